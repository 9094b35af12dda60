/** One’s own figures from a strip that was cut and measured: worked by hand, and against drawn samples. */
import { randomLcg, randomNormal } from 'd3-random';
import { sampleStandardDeviation } from 'simple-statistics';
import { inches, mm } from '../length';
import { trialInside } from '../tools';
import { fromFits, fromMeasured, fromStrip, fromTrials, readMeasures } from '.';

test('five cuts at 4 in, worked by hand: twice the root of the mean square of what they are off', () => {
  const measured = [4, 4 + 1 / 32, 4 - 1 / 32, 4, 4 + 1 / 32].map((inch) => inches(inch));
  // Three of five off by 1/32: 2 √(3/5) / 32 in.
  const found = fromStrip(inches(4), measured)!;
  expect(found.off).toBeCloseTo(inches((2 * Math.sqrt(3 / 5)) / 32), 9);
  expect(found.measured).toBe(5);
  expect(found.sure).toBeCloseTo((2 * found.off) / Math.sqrt(10), 9);
  expect(fromStrip(inches(4), measured.slice(0, 2))).toBeNull();
});

test('what is always off by as much counts, though it never varies', () => {
  expect(fromStrip(100, [101, 101, 101, 101])!.off).toBeCloseTo(2, 9);
});

test('of many measures it is twice the standard deviation of what they were drawn from (simple-statistics), within what it says', () => {
  const draw = randomNormal.source(randomLcg(0.42))(100, 0.4);
  const measured = Array.from({ length: 400 }, draw);
  const found = fromStrip(100, measured)!;
  expect(found.off / 2).toBeCloseTo(sampleStandardDeviation(measured), 1);
  expect(Math.abs(found.off - 0.8)).toBeLessThan(found.sure);
});

describe('from what was folded anyway', () => {
  const draw = randomNormal.source(randomLcg(0.7))(0, 0.5);

  test('trial folds tell how exactly a board was set: drawn with half a millimetre, found within what it says', () => {
    const board = { notch: inches(0.75), offset: mm(0.6) };
    const trials = Array.from({ length: 150 }, (_, i) => {
      const [sheet, setting] = [inches(6), inches(2.25 + (i % 4) / 4)];
      const { width, height } = trialInside(board, sheet, setting);
      // Either fold that bounds an inside has a setting of its own.
      const off = () => (draw() - draw()) / Math.SQRT2;
      return { sheet, setting, width: mm(width + off()), height: mm(height + off()) };
    });
    const found = fromTrials(trials)!;
    expect(found.measured).toBe(300);
    expect(Math.abs(found.off - 1)).toBeLessThan(found.sure);
    expect(found.sure).toBeLessThan(0.1);
    // Two trials make out the board and leave too little over; one way alone does not even that.
    expect(fromTrials(trials.slice(0, 2))).toBeNull();
    expect(fromTrials(trials.map(({ height: _, ...trial }) => trial))).toBeNull();
  });

  test('fits tell how exactly scores lie: kinds that always sit tight say nothing by that, makes that differ do', () => {
    const fit = (off: number) =>
      ({ how: off < 0 ? 'tight' : off > 0 ? 'loose' : 'right', by: mm(Math.abs(off)) }) as const;
    const room = { width: mm(3), height: mm(3) };
    const kind = (always: number, count: number) =>
      Array.from({ length: count }, () => ({
        room,
        fit: { width: fit(always + draw() - draw()), height: fit(always + draw() - draw()) },
      }));
    const found = fromFits([kind(-2, 60), kind(1.5, 90)])!;
    expect(found.measured).toBe(300);
    expect(Math.abs(found.off - 1)).toBeLessThan(found.sure);
    // The very same misfit each time: no hand's doing. Felt, but not measured: nothing to reckon with.
    const same = { room, fit: { width: fit(-1), height: fit(-1) } };
    expect(fromFits([[same, same, same]])!.off).toBe(0);
    const felt = { room, fit: { width: { how: 'tight', by: mm(0) }, height: { how: 'right', by: mm(0) } } } as const;
    expect(fromFits([[felt, felt, felt, felt]])).toBeNull();
    expect(fromFits([[same], [same]])).toBeNull();
  });

  test('three departures worked by hand: tight by 1, right, loose by 1', () => {
    const by = (off: number) =>
      ({ how: off < 0 ? 'tight' : off > 0 ? 'loose' : 'right', by: mm(Math.abs(off)) }) as const;
    const fits = [-1, 0, 1].map((off) => ({
      room: { width: mm(2), height: mm(2) },
      fit: { width: by(off), height: by(off) },
    }));
    // Their squares about the middle sum to 2 on either side, halved for two scores: 2 in all, over 2 + 2 free ones.
    expect(fromFits([fits])!.off).toBeCloseTo(2 * Math.sqrt(2 / 4), 9);
  });
});

test('lengths typed one after the other; what cannot be read is said', () => {
  expect(readMeasures('4; 4 1/32 in\n101,6 mm', 'in')).toEqual({
    ok: true,
    measured: [expect.closeTo(101.6, 6), expect.closeTo(102.39375, 6), expect.closeTo(101.6, 6)],
  });
  expect(readMeasures('', 'in')).toEqual({ ok: true, measured: [] });
  const bad = readMeasures('4; four', 'in');
  expect(bad.ok ? '' : bad.message).toContain('“four”');
});

describe('from what was measured as it came out', () => {
  const thing = (width: number, height: number) => ({
    planned: { width: 100, height: 150 },
    measured: { width, height },
  });
  test('an outside lies between two folds: one is off by a √2th; fewer than three sides say nothing', () => {
    // Off by 1, −1, 1 and 1 mm: two deviations of one fold are 2/√2.
    const found = fromMeasured([thing(101, 149), thing(101, 151)])!;
    expect(found.off).toBeCloseTo(Math.SQRT2, 9);
    expect(found.measured).toBe(4);
    expect(fromMeasured([thing(101, 149)])).toBeNull();
  });

  test('a fit of no amount is just right only where it says so', () => {
    const fit = (how: 'tight' | 'loose', by: number) => ({ fit: { width: { how, by }, height: { how, by } } }) as never;
    expect(fromFits([[fit('tight', 0), fit('loose', 1), fit('tight', 0)]])).toBeNull();
  });
});
