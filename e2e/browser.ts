import { existsSync } from 'node:fs';

/** How Debian's Chromium is started, wherever the suite or a benchmark starts it. */
export const executablePath =
  process.env.CHROMIUM ?? ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find((path) => existsSync(path));
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // There is no graphics card: drawing in the browser's own process spares a tenth of all the time.
  '--in-process-gpu',
];
