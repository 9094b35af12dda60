/** 300 seeded mishaps: how many have a way first that it should not be, beside none; and how long one takes in the middle. */
import { usually } from './few';
import { faultsOf, seededMishaps } from '../tests/helpers/mishaps';
import { sayer } from '../src/core/length';
import { allWaysOut } from '../src/core/rescue';

const COUNT = Number(process.argv[2] ?? usually(300, 1));
const say = sayer('in', '1/8 in');
const times: number[] = [];
let wrong = 0;
for (const [i, mishap] of seededMishaps(COUNT).entries()) {
  const from = performance.now();
  const faults = faultsOf(allWaysOut(mishap, say));
  times.push(performance.now() - from);
  if (faults.length > 0) wrong++;
  for (const fault of faults) console.log(`${i} ${mishap.design.construction.name}: ${fault}`);
}
times.sort((a, b) => a - b);
console.log(
  `${wrong} of ${COUNT} are wrong; all ways of one in ${times[COUNT >> 1]!.toFixed(0)} ms, the slowest in ${times.at(-1)!.toFixed(0)} ms`,
);
process.exit(wrong > 0 ? 1 : 0);
