import type { Metadata } from 'next';
import { Suspense } from 'react';
import { LogPage } from '@/ui/log/LogPage';

export const metadata: Metadata = { title: 'Log · Tuck Fold' };

export default function Page() {
  return (
    <Suspense>
      <LogPage />
    </Suspense>
  );
}
