/** Every check there is, from a fresh machine on: `npm test`. Says at the end how many tests ran. */
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { chromium, installPackages, run } from './install.mjs';

const started = Date.now();
installPackages();
const browser = chromium();
const bin = (name) => `node_modules/.bin/${name}`;
const reports = { unit: '.reports/unit.json', browser: '.reports/browser.json' };
rmSync('.reports', { recursive: true, force: true });
mkdirSync('.reports');

const part = (title, command, args, env) => {
  console.log(`\n== ${title}`);
  run(command, args, { env, sentence: `“${title}” found something` });
};
part('formatting', bin('prettier'), ['--check', '--log-level', 'warn', '.']);
part('lint: rules of the language, a pure core, arrows one way', bin('eslint'), ['.', '--max-warnings', '0']);
part('unused code', bin('knip'), []);
part('build', 'npm', ['run', '-s', 'build'], { TYPES_CHECKED_APART: '1' });
part('types', bin('tsc'), ['--noEmit']);
part('unit tests and properties', bin('jest'), ['--ci', '--maxWorkers=100%', '--json', '--outputFile', reports.unit]);
part('browser tests', bin('playwright'), ['test'], { CHROMIUM: browser });

const unit = JSON.parse(readFileSync(reports.unit, 'utf8'));
const { stats } = JSON.parse(readFileSync(reports.browser, 'utf8'));
const counts = { unit: unit.numPassedTests, browser: stats.expected };
const unrun = unit.numPendingTests + unit.numTodoTests + stats.skipped;
if (counts.unit === 0 || counts.browser === 0) {
  console.error('A kind of test ran no test at all.');
  process.exit(1);
}
const minutes = ((Date.now() - started) / 60_000).toFixed(1);
console.log(
  `\nEvery check passed: ${counts.unit + counts.browser} tests ran (${counts.unit} unit and property, ${counts.browser} in the browser), ${unrun} skipped, in ${minutes} minutes.`,
);
