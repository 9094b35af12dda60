/**
 * Median time of one plan with its fold and all checks, for every construction in the registry, beside the 2 ms that
 * leave a 60 Hz frame free for drawing while something is dragged.
 */
import { ONCE, usually } from './few';
import { Bench, type BenchOptions } from 'tinybench';
import { CONSTRUCTIONS, optionFields } from '../src/core/constructions';
import { checksOf } from '../src/core/checks';
import { planDocument } from '../src/core/document';
import { planFor } from '../src/core/plan';
import { readDesign } from '../src/core/design';

/** Most a plan may take, ms. */
const BOUND = 2;

const bench = new Bench(usually<BenchOptions>({ time: 1500, warmupTime: 500 }, ONCE));
for (const { name, options } of CONSTRUCTIONS) {
  // What has a depth holds a pile.
  const deep = optionFields(options).some((field) => field.name === 'depth');
  const read = readDesign({
    version: 1,
    construction: name,
    contents: { width: '3 in', height: '4 in', thickness: deep ? '3/4 in' : '1/16 in' },
    paper: { width: '12 in', height: '12 in' },
  });
  if (!read.ok) throw new Error(`the design for ${name} must be sound: ${JSON.stringify(read.issues)}`);
  bench.add(`${name}: plan, fold, checks`, () => void checksOf(planFor(read.design)));
  bench.add(`${name}: the same with steps and document`, () => void planDocument(planFor(read.design)));
}
void bench.run().then(() => {
  for (const task of bench.tasks) {
    if (task.result.state !== 'completed') throw new Error(`${task.name} did not run`);
    const { p50, p99 } = task.result.latency;
    console.log(
      `${task.name}: median ${p50.toFixed(2)} ms, ${(p50 / BOUND).toFixed(2)} of the ${BOUND} ms bound; 99th percentile ${p99.toFixed(2)} ms`,
    );
  }
});
