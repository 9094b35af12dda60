/** What a make takes besides paper: gathered over parts and copies, and as it is sold. */
import { planOf } from '../../../tests/helpers/designs';
import { inches, mm, sayer } from '../length';
import { asSold, materialsOf, materialsTogether, materialWords, stepsOf, type Material } from '.';

const say = sayer('mm', '1 mm');
const takes = (fields: object): readonly Material[] => {
  const plan = planOf({ version: 1, contents: { width: 80, height: 110, thickness: 2 }, ...fields } as never);
  return materialsOf(plan.made!, plan.design);
};

test('alike is gathered, lengths and numbers over all copies; what differs in a size stays apart', () => {
  const ribbon = (length: number): Material => ({ what: 'ribbon', count: 1, length: mm(length) });
  const ring = (across: number): Material => ({ what: 'ring', count: 2, across: mm(across) });
  const all = materialsTogether([
    { one: ribbon(433), times: 6 },
    { one: ribbon(100), times: 1 },
    { one: ring(25), times: 3 },
    { one: ring(25), times: 1 },
    { one: ring(32), times: 1 },
  ]);
  expect(all.map((one) => materialWords(one, 1, say, 'mm'))).toEqual([
    '2698 mm of ribbon',
    '8 rings, 25 mm inside',
    '2 rings, 32 mm inside',
  ]);
  // By the ten centimetres, or by half a foot: from memory.
  expect(asSold(all[0]!, 'mm').length).toBe(2700);
  expect(asSold(ribbon(2700), 'mm').length).toBe(2700);
  expect(asSold(ribbon(160), 'in').length).toBeCloseTo(inches(12), 9);
  expect(asSold(all[1]!, 'mm')).toBe(all[1]);
});

test('wet glue is told by what it is spread on, other adhesive by its length or its places', () => {
  const packet = { construction: 'packet' };
  const [glue] = takes(packet).filter(({ what }) => what === 'wet glue');
  // Two tabs up the sides, one below, a hem across and the flap that seals it: 16 mm broad at most, 4 mm at least.
  const round = 2 * 110 + 2 * 80;
  expect(glue!.area).toBeGreaterThan(4 * round * 0.9);
  expect(glue!.area).toBeLessThan(16 * round);
  const twice = materialsTogether([
    { one: glue!, times: 2 },
    { one: glue!, times: 3 },
  ]);
  expect(twice).toEqual([{ ...glue, area: expect.closeTo(5 * glue!.area!, 6) }]);
  expect(materialWords({ what: 'wet glue', count: 1, area: 4321 }, 2, say, 'mm')).toBe('wet glue, on about 87 cm²');
  expect(materialWords({ what: 'wet glue', count: 1, area: 645.16 * 3 }, 1, say, 'in')).toBe(
    'wet glue, on about 3 in²',
  );
  expect(takes({ ...packet, adhesive: { all: 'tape-runner' } }).map(({ what }) => what)).toContain('tape runner');
  const hot = takes({ ...packet, adhesive: { all: 'hot-glue' } });
  expect(hot.find(({ what }) => what === 'place held with hot glue')!.count).toBeGreaterThanOrEqual(4);
  expect(hot.some(({ what }) => what === 'wet glue')).toBe(false);
});

test('in millimetres what comes off a reel is cut to the centimetre, in the list as in the step; in inches it is told up to a mark', () => {
  for (const graduation of ['1 mm', '0.5 mm'] as const) {
    const [ribbon] = takes({ construction: 'card-holder', closure: { kind: 'ribbon' }, graduation }).filter(
      ({ what }) => what === 'ribbon',
    );
    // Twice 80 and the caliper beside it, and the bow: common practice, no source.
    expect([graduation, ribbon!.length! % 10]).toEqual([graduation, expect.closeTo(0, 9)]);
    expect(materialWords(ribbon!, 1, say, 'mm')).toMatch(/^\d+0 mm of ribbon$/u);
  }
  const plan = planOf({
    version: 1,
    construction: 'card-holder',
    contents: { width: 80, height: 110 },
    closure: { kind: 'ribbon' },
  } as never);
  const inch = sayer('in', '1/8 in');
  const [step] = stepsOf(plan, inch).flatMap(({ text }) => /(\S+ \S+ in) of ribbon/u.exec(text)?.[1] ?? []);
  const [listed] = materialsOf(plan.made!, plan.design).filter(({ what }) => what === 'ribbon');
  expect(`${step} of ribbon`).toBe(materialWords(listed!, 1, inch, 'in'));
});
