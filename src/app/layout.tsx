import type { Metadata, Viewport } from 'next';
import '@fontsource-variable/bricolage-grotesque';
import '@fontsource-variable/source-sans-3';
import './global.css';
import { Shell } from '@/ui/shell/Shell';
import { COLOURS_CSS } from '@/ui/shell/tokens';

export const metadata: Metadata = {
  title: 'Tuck Fold',
  applicationName: 'Tuck Fold',
  appleWebApp: { capable: true, title: 'Tuck Fold' },
  description: 'Sizes envelopes round what goes in, proves them by folding, and tells you where to cut, set and score.',
};
export const viewport: Viewport = {
  width: 'device-width',
  initialScale: 1,
  themeColor: [
    { media: '(prefers-color-scheme: light)', color: '#efe8dc' },
    { media: '(prefers-color-scheme: dark)', color: '#1c1a18' },
  ],
};

export default function RootLayout({ children }: { children: React.ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <style>{COLOURS_CSS}</style>
      </head>
      <body>
        <Shell>{children}</Shell>
      </body>
    </html>
  );
}
