/**
 * Would a test notice? Makes small changes in the core, one at a time, and runs the tests that reach each:
 * `npm run mutants` draws 200 in every folder of src/core, `npm run mutants -- fold files` in these,
 * `SAMPLE=40 SEED=7 npm run mutants` as many and others. What no test noticed is printed with its line; changes that
 * change nothing anybody could see are listed, with the reason, in scripts/mutants/equivalent.json.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { installPackages } from './install.mjs';

installPackages();
const { changesOf, draw, DRAWN, keyOf, sources } = await import('./mutants/sample.mjs');

const every = readdirSync('src/core');
const folders = process.argv.slice(2);
const unknown = folders.filter((folder) => !every.includes(folder));
if (unknown.length > 0) {
  console.error(`No folder of src/core is called ${unknown.join(', ')}; there are ${every.join(', ')}.`);
  process.exit(2);
}
if (folders.length === 0) folders.push(...every);
const { SAMPLE = '200', SEED = '1' } = process.env;

const drawn = new Map();
for (const folder of folders)
  for (const change of draw(await changesOf(folder), Number(SAMPLE), Number(SEED))) drawn.set(keyOf(change), folder);
mkdirSync('.reports', { recursive: true });
writeFileSync(DRAWN, JSON.stringify([...drawn.keys()]));
console.log(`${drawn.size} changes in ${folders.join(', ')}; seed ${SEED}.`);

/**
 * Quick tests first: a change is let go at the first test that notices. Files are the slowest to test, and say the least
 * about what is not their own.
 */
const SLOW = /laws|answers|second-|sentences|walk|moments|extras|straight|plan\.test|pack|holders|formulas/;
const tests = readdirSync('src/core', { recursive: true })
  .filter((name) => name.endsWith('.test.ts') && (folders.includes('files') || !name.startsWith('files/')))
  .sort((a, b) => Number(SLOW.test(a)) - Number(SLOW.test(b)) || a.localeCompare(b))
  .map((name) => `src/core/${name}`);
const report = '.reports/mutants.json';
const config = {
  testRunner: 'mocha',
  plugins: ['@stryker-mutator/mocha-runner', './scripts/mutants/drawn.mjs'],
  checkers: ['drawn'],
  mutate: folders.flatMap(sources),
  coverageAnalysis: 'perTest',
  // What is worked out once, while the files are read, would need all of them read again for every change.
  ignoreStatic: true,
  mochaOptions: {
    spec: tests,
    require: ['tsx/cjs', './scripts/mutants/jest-words.cjs', './tests/helpers/seed.ts'],
  },
  ignorePatterns: ['.next', '.pw', '.reports', 'docs', 'e2e', 'public'],
  tempDirName: '.reports/mutants',
  reporters: ['progress-append-only', 'json'],
  jsonReporter: { fileName: report },
  dryRunTimeoutMinutes: 30,
  timeoutMS: 20_000,
  // Half of these try, the other half are asked which were drawn, and have done so at once.
  concurrency: 4,
  allowEmpty: true,
};
writeFileSync('.reports/mutants-config.json', JSON.stringify(config));
const { status } = spawnSync('node_modules/.bin/stryker', ['run', '.reports/mutants-config.json'], {
  stdio: ['ignore', 'inherit', 'inherit'],
  // Properties on the cases of the check, on fewer of them.
  env: { ...process.env, SEED: '20261127', RUNS: process.env.RUNS ?? '0.2' },
});
if (status !== 0) process.exit(status ?? 1);

const same = JSON.parse(readFileSync('scripts/mutants/equivalent.json', 'utf8'));
/** The report counts lines and columns from one. */
const fromZero = ({ start, end }) => ({
  start: { line: start.line - 1, column: start.column - 1 },
  end: { line: end.line - 1, column: end.column - 1 },
});
const count = new Map(folders.map((folder) => [folder, { noticed: 0, unseen: 0, equivalent: 0, once: 0 }]));
for (const [file, { source, mutants }] of Object.entries(JSON.parse(readFileSync(report, 'utf8')).files)) {
  const lines = source.split('\n');
  for (const { location, replacement, mutatorName, status } of mutants) {
    const folder = drawn.get(keyOf({ fileName: file, location: fromZero(location), replacement }));
    if (!folder) continue;
    const line = lines[location.start.line - 1].trim();
    const counts = count.get(folder);
    if (status === 'Ignored') counts.once++;
    else if (status === 'Killed' || status === 'Timeout') counts.noticed++;
    else if (same.some((known) => file.endsWith(known.file) && line.includes(known.line) && replacement === known.to))
      counts.equivalent++;
    else {
      counts.unseen++;
      const was = lines
        .slice(location.start.line - 1, location.end.line)
        .join('\n')
        .slice(
          location.start.column - 1,
          location.end.line === location.start.line ? location.end.column - 1 : undefined,
        );
      console.log(
        `\n${file}:${location.start.line}  ${mutatorName}, ${status}\n    ${line}\n  - ${was}\n  + ${replacement}`,
      );
    }
  }
}
console.log(`\n${'folder'.padEnd(15)}  noticed  unseen  equivalent  read once  of those that matter`);
let enough = true;
for (const [folder, { noticed, unseen, equivalent, once }] of count) {
  const share = (100 * noticed) / Math.max(noticed + unseen, 1);
  if (share < 85) enough = false;
  console.log(
    `${folder.padEnd(15)}  ${String(noticed).padStart(7)}  ${String(unseen).padStart(6)}  ${String(equivalent).padStart(10)}  ${String(once).padStart(9)}  ${share.toFixed(1)} %`,
  );
}
process.exit(enough ? 0 : 1);
