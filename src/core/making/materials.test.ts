/** What a make takes besides paper: gathered over parts and copies, and as it is sold. */
import { planOf } from '../../../tests/helpers/designs';
import { inches, mm, sayer } from '../length';
import { asSold, materialsOf, materialsTogether, materialWords, type Material } from '.';

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
  expect(all.map((one) => materialWords(one, 1, say))).toEqual([
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

test('adhesive is told by the length of what is glued, or by its places', () => {
  const packet = { construction: 'packet' };
  const [line] = takes(packet).filter(({ what }) => what === 'wet glue');
  // Two tabs up the sides, one below, a hem across: no longer than all the way round twice, no shorter than once.
  expect(line!.length).toBeGreaterThan(2 * (80 + 110) * 0.9);
  expect(line!.length).toBeLessThan(4 * (80 + 110));
  expect(takes({ ...packet, adhesive: { all: 'tape-runner' } }).map(({ what }) => what)).toContain('tape runner');
  const hot = takes({ ...packet, adhesive: { all: 'hot-glue' } });
  expect(hot.find(({ what }) => what === 'place held with hot glue')!.count).toBeGreaterThanOrEqual(4);
  expect(hot.some(({ what }) => what === 'wet glue')).toBe(false);
});
