import { defineConfig } from '@playwright/test';
import { CHROMIUM_ARGS, executablePath } from './e2e/browser';
import { THOROUGH } from './e2e/thorough';

const PORT = 4310;
const launch = (...more: string[]) => ({
  executablePath,
  // A page is open for seconds: what the optimising compiler spends on it is a tenth of all the time, and is not earned back.
  args: [...CHROMIUM_ARGS, '--js-flags=--no-opt', ...more],
});

/** Drives the built app in Debian's Chromium. `npm test` builds first; alone: `npm run build && npx playwright test`. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 300_000,
  // A loaded two-core machine may take its time; what is awaited still has to come.
  expect: { timeout: 45_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: true,
  // What another test of the check goes through too, elsewhere or with something else, waits for the thorough one.
  ...(THOROUGH ? {} : { grepInvert: /@thorough/ }),
  reporter: [['list'], ['json', { outputFile: '.reports/browser.json' }]],
  outputDir: '.pw',
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // A trace of every step doubles the time on two cores: `TRACE=on npx playwright test` when one is wanted.
    trace: process.env.TRACE === 'on' ? 'on' : 'off',
    launchOptions: launch(),
    // Kept for offline use in the tests about that alone: fetching the whole app for each would be slow.
    serviceWorkers: 'block',
  },
  projects: [
    {
      name: 'table',
      testIgnore: /space|offline|api/,
      use: {
        // What is still opening or closing is missed by a click now and then: here nothing moves.
        contextOptions: { reducedMotion: 'reduce' },
        // A page is emptied, with all that is stored, and kept for the next test: what the app's scripts compile to stays known,
        // which is a sixth of all the time.
        reuseContext: true,
      },
    },
    {
      name: 'offline',
      testMatch: /offline/,
      use: { serviceWorkers: 'allow', contextOptions: { reducedMotion: 'reduce' } },
    },
    // The paper in space is drawn without a graphics card; for every page that would be slow.
    {
      name: 'space',
      testMatch: /space/,
      use: {
        // Every point is drawn by the processor: fewer of them are as many things to see.
        viewport: { width: 1120, height: 640 },
        launchOptions: launch('--use-angle=swiftshader', '--enable-unsafe-swiftshader'),
      },
    },
    // By itself, after all others: it looks how long answers take while the server works hard.
    { name: 'server', testMatch: /api/, dependencies: ['table', 'offline', 'space'] },
  ],
  webServer: {
    command: `node scripts/serve.mjs ${PORT}`,
    env: { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production', COMPRESS: 'off' },
    url: `http://localhost:${PORT}/api/ping`,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
  },
});
