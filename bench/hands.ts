/**
 * Time of folding an envelope 4,000 times with the errors of hands, beside the three seconds it may take on one core, and
 * beside as many folds from the beginning.
 */
import { usually } from './few';
import { benchFor, oddsOf, USUAL_HANDS } from '../src/core/hands';
import { assemble } from '../src/core/fold';
import { planFor } from '../src/core/plan';
import { readDesign } from '../src/core/design';

/** What 4,000 folds may take, ms. */
const BOUND = 3000;
const RUNS = usually(4000, 20);

const read = readDesign({
  version: 1,
  construction: 'diagonal-envelope',
  contents: { width: '3 in', height: '4 in' },
});
if (!read.ok) throw new Error(`the design must be sound: ${JSON.stringify(read.issues)}`);
const plan = planFor(read.design);
if (!plan.made) throw new Error('the design must be made');
const { built } = plan.made;
const bench = benchFor(plan.made, plan.design, USUAL_HANDS);
if (!bench) throw new Error('something must go in');
oddsOf(bench, USUAL_HANDS, 500, 1);
const from = performance.now();
const { share } = oddsOf(bench, USUAL_HANDS, RUNS, 1);
const took = performance.now() - from;
const again = performance.now();
for (let i = 0; i < 500; i++) assemble(built.pieces, built.assembly);
const anew = ((performance.now() - again) * RUNS) / 500;
console.log(
  `${RUNS} makes with errors, measured (share ${share})  ${took.toFixed(0)} ms  ${(took / BOUND).toFixed(2)} of the bound`,
);
console.log(
  `${RUNS} folds from the beginning, not measured         ${anew.toFixed(0)} ms  ${(took / anew).toFixed(2)} of it`,
);
