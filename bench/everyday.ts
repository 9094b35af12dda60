/**
 * Everyday designs of every holder: what is found of them, kind by kind, and how many of those with a fault a person gets
 * out of by taking the first remedy offered, three times at most. The bound is nine in ten.
 */
import { usually } from './few';
import fc from 'fast-check';
import { CONSTRUCTIONS } from '../src/core/constructions';
import { changedDesign, readDesign, type DesignInput } from '../src/core/design';
import { checksOf, remediesTried, type Check } from '../src/core/checks';
import { planFor } from '../src/core/plan';
import { contentsFirst, paperFirst } from '../tests/helpers/designs';

const DESIGNS = usually(2000, 26);
const SEED = 7;
/** Remedies taken one after the other, and the share that has to come out sound. */
const STEPS = 3;
const BOUND = 0.9;

const each = Math.ceil(DESIGNS / CONSTRUCTIONS.length);
const designs: DesignInput[] = CONSTRUCTIONS.flatMap((construction) =>
  fc.sample(fc.oneof(contentsFirst(construction), paperFirst(construction)), { numRuns: each, seed: SEED }),
).slice(0, DESIGNS);

const found = new Map<string, { fail: number; warn: number }>();
const times: number[] = [];
let [planned, failing, cured] = [0, 0, 0];
const fails = (checks: readonly Check[]): boolean => checks.some(({ level }) => level === 'fail');

for (const first of designs) {
  let read = readDesign(first);
  if (!read.ok) throw new Error(`an everyday design must be sound: ${JSON.stringify(read.issues)}`);
  planned++;
  let plan = planFor(read.design);
  const checks = checksOf(plan);
  for (const { kind, level } of checks) {
    if (level !== 'fail' && level !== 'warn') continue;
    const count = found.get(kind) ?? { fail: 0, warn: 0 };
    count[level]++;
    found.set(kind, count);
  }
  if (!fails(checks)) continue;
  failing++;
  let input = first;
  for (let step = 0; step < STEPS; step++) {
    const start = performance.now();
    const offered = remediesTried(plan);
    times.push(performance.now() - start);
    const remedy = offered.find(({ level, remedies }) => level === 'fail' && remedies.length > 0)?.remedies[0];
    if (!remedy) break;
    input = changedDesign(input, remedy.change);
    read = readDesign(input);
    if (!read.ok) break;
    plan = planFor(read.design);
    if (fails(checksOf(plan))) continue;
    cured++;
    break;
  }
}

times.sort((a, b) => a - b);
const share = cured / failing;
console.log(`${planned} everyday designs, ${failing} with a fault`);
for (const [kind, { fail, warn }] of [...found].sort((a, b) => b[1].fail + b[1].warn - a[1].fail - a[1].warn))
  console.log(`  ${kind}: ${fail} fail, ${warn} warn`);
console.log(
  `the first remedy, ${STEPS} times at most, leads to a plan without a fault in ${cured} of ${failing}: ${(share * 100).toFixed(1)} %, ${(share / BOUND).toFixed(2)} of the bound of ${BOUND * 100} %`,
);
console.log(
  `looking for remedies: median ${times[Math.floor(times.length / 2)]!.toFixed(1)} ms, 95th percentile ${times[Math.floor(times.length * 0.95)]!.toFixed(1)} ms`,
);
