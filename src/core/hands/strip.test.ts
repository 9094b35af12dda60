/** One’s own figures from a strip that was cut and measured: worked by hand, and against drawn samples. */
import { randomLcg, randomNormal } from 'd3';
import { sampleStandardDeviation } from 'simple-statistics';
import { inches } from '../length';
import { fromStrip, readMeasures } from '.';

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

test('lengths typed one after the other; what cannot be read is said', () => {
  expect(readMeasures('4; 4 1/32 in\n101,6 mm', 'in')).toEqual({
    ok: true,
    measured: [expect.closeTo(101.6, 6), expect.closeTo(102.39375, 6), expect.closeTo(101.6, 6)],
  });
  expect(readMeasures('', 'in')).toEqual({ ok: true, measured: [] });
  const bad = readMeasures('4; four', 'in');
  expect(bad.ok ? '' : bad.message).toContain('“four”');
});
