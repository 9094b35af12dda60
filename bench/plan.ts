/** Median time of one plan with its fold, checks, steps and simulated tool; the aim is under 2 ms (60 frames a second while dragging). */
import { Bench } from 'tinybench';
import { checksOf, planDocument, planFor, readDesign } from '../src/core/plan';

const read = readDesign({
  version: 1,
  construction: 'diagonal-envelope',
  contents: { width: '3 in', height: '4 in', thickness: '1/16 in' },
  paper: { width: '12 in', height: '12 in' },
});
if (!read.ok) throw new Error('the bench design must be sound');
const { design } = read;

/** Most a plan may take and leave a 60 Hz frame free for drawing, ms. */
const BOUND = 2;
const bench = new Bench({ time: 1500, warmupTime: 500 });
bench
  .add('plan + fold + checks', () => void checksOf(planFor(design)))
  .add('the same with steps and document', () => void planDocument(planFor(design)));
void bench.run().then(() => {
  for (const task of bench.tasks) {
    if (task.result.state !== 'completed') throw new Error(`${task.name} did not run`);
    const { p50, p99 } = task.result.latency;
    console.log(
      `${task.name}: median ${p50.toFixed(2)} ms (${(p50 / BOUND).toFixed(2)} of the ${BOUND} ms bound), 99th percentile ${p99.toFixed(2)} ms`,
    );
  }
});
