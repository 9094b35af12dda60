/** Nested outlines: each thing in what holds it, one beside the other where they lie so, the band over all. */
import { CHAINS, planSet, readSet, type SetInput, type SetPlan } from '@/core/sets';
import { outlinesOf, type Outline } from './nest';

const planned = (input: SetInput): SetPlan => {
  const read = readSet(input);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
};
const chain = (id: string): SetPlan => {
  const found = CHAINS.find((one) => one.id === id)!;
  return planned(found.set(found.usual));
};
const inside = (inner: Outline, outer: Outline): boolean =>
  inner.x >= outer.x - 0.01 &&
  inner.y >= outer.y - 0.01 &&
  inner.x + inner.width <= outer.x + outer.width + 0.01 &&
  inner.y + inner.height <= outer.y + outer.height + 0.01;

test.each(['front', 'side'] as const)('from the %s every part lies in what holds it', (from) => {
  for (const { id } of CHAINS) {
    const plan = chain(id);
    const all = outlinesOf(plan, from);
    for (const { part } of plan.parts)
      for (const hold of part.holds)
        for (const inner of all.filter((one) => one.part === hold.part && !one.layer)) {
          const outer = all.filter((one) => one.part === part.id && !one.layer);
          // What the contents of a folio or a sleeve stand out of is open.
          if (['sleeve', 'folio'].includes(part.id)) continue;
          expect([id, part.id, outer.some((one) => inside(inner, one))]).toEqual([id, part.id, true]);
        }
    expect(new Set(all.map(({ part }) => part)).size).toBe(plan.parts.length);
  }
});

test('so many lie beside each other as there are, from where that is seen', () => {
  const sweets = chain('sweets-in-a-box');
  const count = (from: 'front' | 'side') => outlinesOf(sweets, from).filter(({ part }) => part === 'sweet').length;
  expect([count('front'), count('side')]).toEqual([4, 1]);
  const boxed = chain('cards-in-a-box');
  const stacked = (from: 'front' | 'side') => outlinesOf(boxed, from).filter(({ part }) => part === 'envelope').length;
  expect([stacked('front'), stacked('side')]).toEqual([1, 4]);
});

test('a band comes last, over what it goes round; mats are drawn in their papers', () => {
  const all = outlinesOf(chain('cards-in-a-box'), 'front');
  expect(all.at(-1)).toMatchObject({ part: 'band', round: true, deep: 0 });
  const [mat] = outlinesOf(chain('gift-card'), 'front').filter(({ layer }) => layer);
  expect(mat).toMatchObject({ part: 'holder', paper: 'mat' });
});

test('what stands by itself stands beside the rest', () => {
  const two = planned({
    version: 1,
    parts: [
      { id: 'a', given: { width: 50, height: 80, thickness: 1 } },
      { id: 'b', given: { width: 30, height: 40, thickness: 1 } },
    ],
  });
  const [a, b] = outlinesOf(two, 'front');
  expect(b!.x).toBeGreaterThan(a!.x + a!.width);
});
