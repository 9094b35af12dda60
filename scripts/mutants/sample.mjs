import { readdirSync, readFileSync } from 'node:fs';
import { join, relative, resolve } from 'node:path';
import { randomLcg } from 'd3-random';
import { createInstrumenter } from '@stryker-mutator/instrumenter';
import { createInjector } from 'typed-inject';

/** Which changes were drawn is left here for the processes that try them. */
export const DRAWN = resolve('.reports/mutants-drawn.json');

/** What tells one change from all others: file, place and what is written there instead. */
export const keyOf = ({ fileName, location: { start, end }, replacement }) =>
  [
    relative(process.cwd(), fileName).replace(/^.*?src\/core/, 'src/core'),
    start.line,
    start.column,
    end.line,
    end.column,
    replacement,
  ].join(':');

/** The sources of one folder of the core, tests left out. */
export const sources = (folder) =>
  readdirSync(join('src/core', folder), { recursive: true })
    .map((name) => join('src/core', folder, name))
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts'))
    .sort();

const quiet = Object.fromEntries(
  ['trace', 'debug', 'info', 'warn', 'error', 'fatal', 'isTraceEnabled', 'isDebugEnabled', 'isInfoEnabled'].map(
    (name) => [name, () => false],
  ),
);

/** Every small change there is in a folder, in the order of its files. */
export async function changesOf(folder) {
  const instrumenter = createInjector()
    .provideValue('options', {})
    .provideValue('logger', quiet)
    .provideValue('getLogger', () => quiet)
    .injectFunction(createInstrumenter);
  const { mutants } = await instrumenter.instrument(
    sources(folder).map((name) => ({ name: resolve(name), content: readFileSync(name, 'utf8'), mutate: true })),
    { ignorers: [], excludedMutations: [], noHeader: true, plugins: null },
  );
  return mutants;
}

/** `count` of these, drawn with a seed, each as likely as any other. */
export function draw(things, count, seed) {
  const next = randomLcg(((seed >>> 0) + 0.5) / 2 ** 32);
  const left = [...things];
  for (let k = 0; k < Math.min(count, left.length); k++) {
    const at = k + Math.floor(next() * (left.length - k));
    [left[k], left[at]] = [left[at], left[k]];
  }
  return left.slice(0, count);
}
