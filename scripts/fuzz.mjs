/**
 * Tries every property on cases nobody has tried: `npm run fuzz` for five minutes, `npm run fuzz -- 30` for thirty,
 * `npm run fuzz -- 30 laws` with the tests of that name only. Every round has a seed of its own; what fails is printed
 * with its seed and its smallest case, and the next round goes on. Ends with status 1 when anything failed.
 */
import { spawnSync } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { installPackages } from './install.mjs';

const [minutes = '5', only = ''] = process.argv.slice(2);
const until = Date.now() + Number(minutes) * 60_000;
if (!(Number(minutes) > 0)) {
  console.error(`“${minutes}” is no number of minutes: npm run fuzz -- 30`);
  process.exit(2);
}
installPackages();

/** The tests that try properties. */
const tests = readdirSync('src', { recursive: true })
  .map((file) => join('src', file))
  .filter(
    (file) => /\.test\.tsx?$/.test(file) && file.includes(only) && /from 'fast-check'/.test(readFileSync(file, 'utf8')),
  );
if (tests.length === 0) {
  console.error(`No test of properties is called “${only}”.`);
  process.exit(2);
}

const failed = [];
let rounds = 0;
while (Date.now() < until) {
  const seed = String(randomInt(2 ** 31));
  const { status, stdout, stderr } = spawnSync(
    'node_modules/.bin/jest',
    ['--silent', '--maxWorkers=100%', '--runTestsByPath', ...tests],
    { encoding: 'utf8', env: { ...process.env, SEED: seed, RUNS: process.env.RUNS ?? '3' }, maxBuffer: 2 ** 28 },
  );
  rounds++;
  if (status === 0) {
    console.log(`seed ${seed}: nothing found`);
    continue;
  }
  const names = [...new Set([...`${stdout}${stderr}`.matchAll(/^ {2}● .*$/gm)].map(([line]) => line.trim()))];
  failed.push(seed);
  console.log(
    `seed ${seed}: ${names.length} failed; SEED=${seed} RUNS=${process.env.RUNS ?? '3'} npx jest tries it again`,
  );
  console.log(
    `${stdout}${stderr}`
      .split('\n')
      .filter((line) => !line.startsWith('PASS'))
      .join('\n'),
  );
}
console.log(
  `\n${rounds} rounds over ${tests.length} files, ${failed.length} with something found${failed.length > 0 ? `: seeds ${failed.join(', ')}` : ''}.`,
);
process.exit(failed.length > 0 ? 1 : 0);
