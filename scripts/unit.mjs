/**
 * The unit tests that answer within a minute, for people at work: `npm run unit`, or `npm run unit -- cutting` for those
 * with that in their name, slow ones too. The whole check runs all of them.
 */
import { spawnSync } from 'node:child_process';
import { installPackages } from './install.mjs';

/** Tests over the whole registry, through whole programs or second libraries: each takes ten seconds and more. */
const SLOW = [
  'files/laws',
  'files/answers',
  'files/files',
  'files/bench-card',
  'files/pdf-text',
  'checks/sentences',
  'plan/second-reader',
  'looks/key-figures',
  'work/walk',
  'looks/moments',
  'plan/plan\\.',
  'cutting/pack',
  'fold/second-opinion',
  'fold/standing/second-look',
  'constructions/extremes',
  'constructions/formulas',
  'constructions/holders',
  'constructions/standing-holders',
  'table/OnTable',
  'data/hostile',
  'scripts/',
];

installPackages();
const asked = process.argv.slice(2);
const { status } = spawnSync(
  'node_modules/.bin/jest',
  asked.length > 0 ? asked : ['--testPathIgnorePatterns', '/node_modules/', ...SLOW.map((name) => `/${name}`)],
  { stdio: 'inherit' },
);
process.exit(status ?? 1);
