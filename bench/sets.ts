/**
 * Median time of planning a set of 12 parts with all its checks, beside 12 times the time of one plan and 2 ms: what
 * holding each other may cost beyond the plans themselves.
 */
import { ONCE, usually } from './few';
import { Bench, type BenchOptions } from 'tinybench';
import { checksOf } from '../src/core/checks';
import { planFor } from '../src/core/plan';
import { planSet, readSet, setChecks, type SetInput } from '../src/core/sets';

/** What a set may take beyond its plans, ms. */
const BEYOND = 2;

const papers = [
  { id: 'cover', width: '12 in', height: '12 in', caliper: 0.28, count: 40 },
  { id: 'text', width: '8 1/2 in', height: '11 in', caliper: 0.13, count: 40 },
];
/** Three times a card in an envelope in a sleeve, the sleeves in a box, all of it with a band. */
const set: SetInput = {
  version: 1,
  tool: { kind: 'scoring-board' },
  papers,
  parts: [
    ...[1, 2, 3].flatMap((n): SetInput['parts'] => [
      { id: `card-${n}`, design: { construction: 'folded-card', contents: { width: 80 + n, height: 110 } } },
      { id: `envelope-${n}`, paper: 'text', design: { construction: 'seam-envelope' }, holds: [{ part: `card-${n}` }] },
      { id: `sleeve-${n}`, design: { construction: 'sleeve' }, holds: [{ part: `envelope-${n}` }] },
    ]),
    {
      id: 'box',
      design: { construction: 'tray-box' },
      holds: [1, 2, 3].map((n) => ({ part: `sleeve-${n}` })),
    },
    { id: 'band', design: { construction: 'belly-band' }, round: 'box' },
    { id: 'tag', design: { construction: 'tag', contents: { width: 50, height: 90 } } },
  ],
};
const read = readSet(set);
if (!read.ok) throw new Error(`the set must be sound: ${JSON.stringify(read.issues)}`);
const designs = planSet(read.set).parts.map(({ plan }) => plan.design);

const bench = new Bench(usually<BenchOptions>({ time: 3000, warmupTime: 1000 }, ONCE));
bench.add('its 12 plans, each with its checks', () => void designs.forEach((design) => checksOf(planFor(design))));
bench.add('the set with all checks', () => {
  const planned = planSet(read.set);
  planned.parts.forEach(({ plan }) => void checksOf(plan));
  setChecks(planned);
});
void bench.run().then(() => {
  const [alone, whole] = bench.tasks.map((task) => {
    if (task.result.state !== 'completed') throw new Error(`${task.name} did not run`);
    return task.result.latency.p50;
  }) as [number, number];
  const bound = alone + BEYOND;
  console.log(`12 plans with their checks: ${alone.toFixed(2)} ms (${(alone / designs.length).toFixed(2)} ms each)`);
  console.log(
    `the set of 12 parts with all checks: ${whole.toFixed(2)} ms, ${(whole / bound).toFixed(2)} of the bound, 12 plans and ${BEYOND} ms`,
  );
});
