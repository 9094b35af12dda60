/** Every check there is, from a fresh machine on: `npm test`. Says at the end how many tests ran. */
import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { relative } from 'node:path';
import { chromium, installPackages } from './install.mjs';
import { TIMES } from './unit.mjs';

const started = Date.now();
const seconds = () => ((Date.now() - started) / 1000).toFixed(0);
const times = [];
const bin = (name) => `node_modules/.bin/${name}`;
const reports = { unit: '.reports/unit.json', browser: '.reports/browser.json' };
rmSync('.reports', { recursive: true, force: true });
mkdirSync('.reports');

const running = new Set();
/** Runs one check; what it says is shown when it is over, or at once where it runs alone. */
const part = (title, command, args, { env = {}, alone = false } = {}) =>
  new Promise((done) => {
    if (alone) console.log(`\n== ${title}`);
    const begun = Date.now();
    const child = spawn(command, args, {
      stdio: alone ? 'inherit' : ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    });
    running.add(child);
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream?.on('data', (text) => (said += text));
    child.on('error', (error) => (said += error.message));
    child.on('close', (status) => {
      running.delete(child);
      times.push([title, (Date.now() - begun) / 1000]);
      const took = `${((Date.now() - begun) / 1000).toFixed(0)} s`;
      console.log(alone ? `(${took})` : `\n== ${title} (${took})\n${said.trim()}`);
      if (status === 0) return done();
      console.error(`\n“${title}” found something.`);
      for (const other of running) other.kill();
      process.exit(status ?? 1);
    });
  });
const inTurn = async (...parts) => {
  for (const next of parts) await next();
};

// The browser comes while the packages do.
const browser = part('a browser', process.execPath, ['scripts/install.mjs', 'browser']);
installPackages();
times.push(['installing packages', (Date.now() - started) / 1000]);
// Each of these works on one core, so the build and the reading checks go beside each other.
await Promise.all([
  browser,
  inTurn(
    () => part('lint: rules of the language, a pure core, arrows one way', 'npm', ['run', '-s', 'lint']),
    () => part('formatting', bin('oxfmt'), ['--check']),
    // So that looking for changes that nobody notices does not rot: one is drawn, and must be noticed.
    () =>
      part('a small change is noticed', process.execPath, ['scripts/mutants.mjs', 'pattern'], {
        env: { SAMPLE: '1', SEED: '4', OWN: '1' },
      }),
  ),
  inTurn(
    () => part('build', 'npm', ['run', '-s', 'build'], { env: { TYPES_CHECKED_APART: '1' } }),
    // The build writes the types of its routes.
    () => part('types', 'npm', ['run', '-s', 'types']),
    () => part('unused code', bin('knip'), []),
  ),
]);
await part(
  'unit tests and properties',
  process.execPath,
  // Plans are many small things that are soon forgotten: with room for them they are swept up a tenth quicker.
  ['--max-semi-space-size=64', bin('jest'), '--ci', '--maxWorkers=100%', '--json', '--outputFile', reports.unit],
  // A third of the cases of each property that it says: what is new is looked for by the fuzzing, and by the thorough check.
  { alone: true, env: { RUNS: process.env.RUNS ?? (process.env.THOROUGH === '1' ? '1' : '0.35') } },
);
// A benchmark that nobody runs rots: each is run as far as shows that it runs.
await part('each benchmark runs', process.execPath, ['bench/run.mjs', 'all'], {
  env: { FEW: '1', CHROMIUM: chromium() },
});
await part('browser tests', bin('playwright'), ['test'], { env: { CHROMIUM: chromium() }, alone: true });

const unit = JSON.parse(readFileSync(reports.unit, 'utf8'));
const inBrowser = JSON.parse(readFileSync(reports.browser, 'utf8'));
const { stats } = inBrowser;
const counts = { unit: unit.numPassedTests, browser: stats.expected };
const unrun = unit.numPendingTests + unit.numTodoTests + stats.skipped;
if (counts.unit === 0 || counts.browser === 0) {
  console.error('A kind of test ran no test at all.');
  process.exit(1);
}

/** Seconds by file: of the unit tests, and of what is driven in a browser. */
const unitTimes = unit.testResults.map(({ name, startTime, endTime }) => [
  relative('.', name),
  (endTime - startTime) / 1000,
]);
const results = ({ specs = [], suites = [] }) => [
  ...specs.flatMap(({ file, tests }) =>
    tests.flatMap((test) => test.results.map(({ duration }) => [file, duration / 1000])),
  ),
  ...suites.flatMap(results),
];
const browserTimes = new Map();
for (const [file, took] of inBrowser.suites.flatMap(results))
  browserTimes.set(`e2e/${file}`, (browserTimes.get(`e2e/${file}`) ?? 0) + took);
const slowest = [...unitTimes, ...browserTimes].sort(([, a], [, b]) => b - a);
const told = (rows) => rows.map(([what, took]) => `${took.toFixed(0).padStart(5)} s  ${what}`).join('\n');
console.log(`\nEach check:\n${told(times)}\n\nThe slowest files:\n${told(slowest.slice(0, 10))}`);
// What answers quickly is known by this file: `npm run unit` reads it.
if (process.env.KEEP_TIMES === '1')
  writeFileSync(
    TIMES,
    `${JSON.stringify(Object.fromEntries(unitTimes.map(([file, took]) => [file, Math.round(10 * took) / 10]).sort()), null, 2)}\n`,
  );
console.log(
  `\nEvery check passed: ${counts.unit + counts.browser} tests ran (${counts.unit} unit and property, ${counts.browser} in the browser), ${unrun} skipped, in ${(seconds() / 60).toFixed(1)} minutes.`,
);
