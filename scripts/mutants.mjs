/**
 * Would a test notice? Makes small changes in the core, one at a time, and runs the tests that reach each:
 * `npm run mutants` draws 200 in every folder of src/core, `npm run mutants -- fold constructions/albums` in these,
 * `SAMPLE=40 SEED=7 npm run mutants` as many and others, `OWN=1` asks the tests of that folder alone. What no test noticed is printed with its line; changes that
 * change nothing anybody could see are listed, with the reason, in scripts/mutants/equivalent.json.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { installPackages } from './install.mjs';

installPackages();
const { changesOf, draw, DRAWN, keyOf, sources } = await import('./mutants/sample.mjs');
const { TIMES } = await import('./unit.mjs');

const every = readdirSync('src/core');
const folders = process.argv.slice(2);
const unknown = folders.filter((folder) => !existsSync(`src/core/${folder}`));
if (unknown.length > 0) {
  console.error(`No folder of src/core is called ${unknown.join(', ')}; there are ${every.join(', ')}.`);
  process.exit(2);
}
if (folders.length === 0) folders.push(...every);
const { SAMPLE = '200', SEED = '1' } = process.env;

/**
 * Quick tests first: a change is let go at the first test that notices. Those of many seconds are asked about their own folder;
 * the second reader about every plan.
 */
const SECONDS = 12;
const EVERYWHERE = /second-|holders|formulas|answers|laws/;
const times = JSON.parse(readFileSync(TIMES, 'utf8'));
const took = (name) => times[`src/core/${name}`] ?? 0;
const tests = readdirSync('src/core', { recursive: true })
  .filter((name) => name.endsWith('.test.ts'))
  .sort((a, b) => took(a) - took(b) || a.localeCompare(b));
const asked = (folder) =>
  tests.filter(
    (name) =>
      name.startsWith(`${folder}/`) || (process.env.OWN !== '1' && (took(name) < SECONDS || EVERYWHERE.test(name))),
  );

const same = JSON.parse(readFileSync('scripts/mutants/equivalent.json', 'utf8'));
const stale = same.filter(({ file, line }) => !existsSync(file) || !readFileSync(file, 'utf8').includes(line));
if (stale.length > 0) {
  console.error(`Listed as making no difference, but not in the code any more: ${JSON.stringify(stale, null, 2)}`);
  process.exit(2);
}
mkdirSync('.reports', { recursive: true });
const table = [];
for (const folder of folders) table.push([folder, await tried(folder)]);
console.log(`\n${'folder'.padEnd(15)}  noticed  unseen  equivalent  read once  of those that matter`);
let enough = true;
for (const [folder, { noticed, unseen, equivalent, once }] of table) {
  const share = (100 * noticed) / Math.max(noticed + unseen, 1);
  if (share < 85) enough = false;
  const [a, b, c, d] = [noticed, unseen, equivalent, once].map(String);
  console.log(
    `${folder.padEnd(15)}  ${a.padStart(7)}  ${b.padStart(6)}  ${c.padStart(10)}  ${d.padStart(9)}  ${share.toFixed(1)} %`,
  );
}
process.exit(enough ? 0 : 1);

/** Draws changes in a folder, tries each, prints what no test noticed and counts. */
async function tried(folder) {
  const drawn = new Set(draw(await changesOf(folder), Number(SAMPLE), Number(SEED)).map(keyOf));
  writeFileSync(DRAWN, JSON.stringify([...drawn]));
  console.log(`\n${folder}: ${drawn.size} changes, seed ${SEED}.`);
  const [config, report] = ['.reports/mutants-config.json', `.reports/mutants-${folder.replaceAll('/', '-')}.json`];
  writeFileSync(
    config,
    JSON.stringify({
      testRunner: 'mocha',
      plugins: ['@stryker-mutator/mocha-runner', './scripts/mutants/drawn.mjs'],
      checkers: ['drawn'],
      mutate: sources(folder),
      coverageAnalysis: 'perTest',
      // What is worked out once, while the files are read, would need all of them read again for every change.
      ignoreStatic: true,
      mochaOptions: {
        spec: asked(folder).map((name) => `src/core/${name}`),
        require: ['tsx/cjs', './scripts/mutants/jest-words.mjs', './tests/helpers/seed.ts'],
      },
      ignorePatterns: ['.next', '.pw', '.reports', 'docs', 'e2e', 'public'],
      tempDirName: '.reports/mutants',
      reporters: ['json'],
      jsonReporter: { fileName: report },
      dryRunTimeoutMinutes: 30,
      timeoutMS: 5_000,
      // Half of these try, the other half are asked which were drawn, and have done so at once.
      concurrency: 4,
      allowEmpty: true,
      logLevel: 'warn',
    }),
  );
  const { status } = spawnSync('node_modules/.bin/stryker', ['run', config], {
    stdio: ['ignore', 'inherit', 'inherit'],
    // Properties on the cases of the check, on fewer of them.
    env: { ...process.env, SEED: '20261127', RUNS: process.env.RUNS ?? '0.2' },
  });
  if (status !== 0) process.exit(status ?? 1);
  const counts = { noticed: 0, unseen: 0, equivalent: 0, once: 0 };
  for (const [file, { source, mutants }] of Object.entries(JSON.parse(readFileSync(report, 'utf8')).files)) {
    const lines = source.split('\n');
    for (const { location, replacement, mutatorName, status: outcome } of mutants) {
      const { start, end } = location;
      if (!drawn.has(keyOf({ fileName: file, location: fromZero(location), replacement }))) continue;
      const line = lines[start.line - 1].trim();
      if (outcome === 'Ignored') counts.once++;
      else if (outcome === 'Killed' || outcome === 'Timeout') counts.noticed++;
      else if (same.some((known) => file.endsWith(known.file) && line.includes(known.line) && replacement === known.to))
        counts.equivalent++;
      else {
        counts.unseen++;
        const was = lines.slice(start.line - 1, end.line);
        was[was.length - 1] = was.at(-1).slice(0, end.column - 1);
        was[0] = was[0].slice(start.column - 1);
        console.log(
          `${file}:${start.line}  ${mutatorName}, ${outcome}\n    ${line}\n  - ${was.join('\n    ')}\n  + ${replacement}`,
        );
      }
    }
  }
  return counts;
}

/** The report counts lines and columns from one. */
function fromZero({ start, end }) {
  return {
    start: { line: start.line - 1, column: start.column - 1 },
    end: { line: end.line - 1, column: end.column - 1 },
  };
}
