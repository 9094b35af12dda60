import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** What tells this version of what draws cards from every other: all that is computed, and the card itself. */
const drawnBy = () => {
  const files = ['src/core', 'src/ui/shelf'].flatMap((folder) =>
    readdirSync(folder, { recursive: true })
      .map((name) => join(folder, name))
      .filter((name) => /\.tsx?$/.test(name))
      .sort(),
  );
  const sum = createHash('sha256');
  for (const file of files) sum.update(readFileSync(file));
  return sum.digest('hex').slice(0, 16);
};

/** What every answer carries: pages, files and routes alike. */
const EVERYWHERE = [
  { key: 'X-Content-Type-Options', value: 'nosniff' },
  { key: 'Referrer-Policy', value: 'no-referrer' },
  { key: 'Cross-Origin-Opener-Policy', value: 'same-origin' },
  { key: 'Cross-Origin-Resource-Policy', value: 'same-origin' },
  {
    // What the app has no use for, no page of it may ask for.
    key: 'Permissions-Policy',
    value: [
      'accelerometer',
      'camera',
      'display-capture',
      'geolocation',
      'gyroscope',
      'hid',
      'magnetometer',
      'microphone',
      'midi',
      'payment',
      'serial',
      'usb',
    ]
      .map((feature) => `${feature}=()`)
      .join(', '),
  },
];

/**
 * What is no page: scripts, fonts, routes, and the errors in their place. Of these only workers run by their own policy;
 * the one that cuts compiles its solver.
 */
const NO_PAGE = {
  key: 'Content-Security-Policy',
  value: [
    "default-src 'none'",
    "script-src 'self' 'wasm-unsafe-eval'",
    "connect-src 'self'",
    "worker-src 'self'",
    "style-src 'self' 'unsafe-inline'",
    "font-src 'self'",
    "img-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'none'",
  ].join('; '),
};

/** @type {import('next').NextConfig} */
const config = {
  reactStrictMode: true,
  // While it is worked on, what is drawn may change at any moment.
  env: { DRAWN_BY: process.env.NODE_ENV === 'production' ? drawnBy() : '' },
  poweredByHeader: false,
  // On one machine packing takes longer than sending: the browser tests turn it off.
  compress: process.env.COMPRESS !== 'off',
  // The solver finds its compiled part beside itself.
  serverExternalPackages: ['highs', 'esbuild'],
  // The whole check looks at all types by itself, tests and scripts too; once is enough there.
  typescript: { ignoreBuildErrors: process.env.TYPES_CHECKED_APART === '1' },
  // Nothing here is a photograph: whatever asks for one to be made smaller asks for nothing of ours.
  images: { unoptimized: true },
  headers: async () => [
    { source: '/:path*', headers: EVERYWHERE },
    ...['/api', '/_next', '/icons', '/sw.js'].flatMap((place) => [
      { source: place, headers: [NO_PAGE] },
      { source: `${place}/:path*`, headers: [NO_PAGE] },
    ]),
  ],
};
export default config;
