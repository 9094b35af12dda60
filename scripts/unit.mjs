/**
 * The unit tests that answer within a minute, for people at work: `npm run unit`, or `npm run unit -- cutting` for those
 * with that in their name, slow ones too. The whole check runs all of them, and `KEEP_TIMES=1 npm test` keeps how long each
 * file took in tests/times.json: as many of the quick ones are run as there is time for, and what is new.
 */
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { installPackages } from './install.mjs';

export const TIMES = 'tests/times.json';
/** What all that are run may take together, on one core, s. */
const TOGETHER = 45;

/** The files that are left out: the slowest, until what is left is quick enough. */
function slow() {
  const byTime = Object.entries(JSON.parse(readFileSync(TIMES, 'utf8'))).sort(([, a], [, b]) => a - b);
  let sum = 0;
  return byTime.flatMap(([file, took]) => ((sum += took) > TOGETHER ? [file] : []));
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  installPackages();
  const asked = process.argv.slice(2);
  const left = slow().map((file) => file.replaceAll('.', '\\.'));
  const { status } = spawnSync(
    'node_modules/.bin/jest',
    asked.length > 0 ? asked : ['--testPathIgnorePatterns', '/node_modules/', ...left],
    { stdio: 'inherit' },
  );
  process.exit(status ?? 1);
}
