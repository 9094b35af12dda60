import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { area, boxOf, contains, largestRectangle, type Point } from '.';

const ring = (...all: readonly (readonly [number, number])[]): Point[] => all.map(([x, y]) => ({ x, y }));
const size = (box: ReturnType<typeof largestRectangle>): number =>
  box ? (box.maxX - box.minX) * (box.maxY - box.minY) : 0;

test('a rectangle is its own; a bite in its top leaves what is under it, exactly', () => {
  expect(largestRectangle([ring([0, 0], [80, 0], [80, 50], [0, 50])])).toEqual({
    minX: 0,
    maxX: 80,
    minY: 0,
    maxY: 50,
  });
  const bitten = ring([0, 0], [80, 0], [80, 50], [50, 50], [50, 41], [30, 41], [30, 50], [0, 50]);
  expect(largestRectangle([bitten])).toEqual({ minX: 0, maxX: 80, minY: 0, maxY: 41 });
});

test('a hole is kept clear of, be it a ring of the shape or a box', () => {
  const sheet = ring([0, 0], [80, 0], [80, 50], [0, 50]);
  const hole = ring([60, 20], [60, 30], [70, 30], [70, 20]);
  const left = { minX: 0, maxX: 60, minY: 0, maxY: 50 };
  expect(largestRectangle([sheet, hole])).toEqual(left);
  expect(largestRectangle([sheet], [boxOf(hole)])).toEqual(left);
});

test('in a triangle it is half of it (the middle lines: Euclid), within a fortieth', () => {
  const triangle = ring([0, 0], [100, 0], [50, 60]);
  expect(size(largestRectangle([triangle]))).toBeGreaterThan(0.95 * (area(triangle) / 2));
  expect(size(largestRectangle([triangle]))).toBeLessThan(area(triangle) / 2 + 1e-6);
});

test('of nothing there is none', () => {
  expect(largestRectangle([])).toBeNull();
  expect(
    largestRectangle([ring([0, 0], [10, 0], [10, 10], [0, 10])], [{ minX: -1, maxX: 11, minY: -1, maxY: 11 }]),
  ).toBeNull();
});

test('it lies in the shape, whatever that is', () => {
  const point = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: 0, max: 60 }));
  fc.assert(
    fc.property(fc.array(point, { minLength: 3, maxLength: 8 }), (points) => {
      // Round the middle: a star of sorts, never crossing itself.
      const [cx, cy] = [0, 1].map((axis) => points.reduce((sum, p) => sum + p[axis]! / points.length, 0));
      const star = ring(
        ...[...points].sort((a, b) => Math.atan2(a[1] - cy!, a[0] - cx!) - Math.atan2(b[1] - cy!, b[0] - cx!)),
      );
      const box = largestRectangle([star]);
      fc.pre(box !== null);
      const { minX, maxX, minY, maxY } = box!;
      const [dx, dy] = [(maxX - minX) * 0.01, (maxY - minY) * 0.01];
      for (const share of [0, 0.25, 0.5, 0.75, 1])
        for (const p of [
          { x: minX + dx + share * (maxX - minX - 2 * dx), y: minY + dy },
          { x: minX + dx + share * (maxX - minX - 2 * dx), y: maxY - dy },
          { x: minX + dx, y: minY + dy + share * (maxY - minY - 2 * dy) },
          { x: maxX - dx, y: minY + dy + share * (maxY - minY - 2 * dy) },
        ])
          expect(contains(star, p)).toBe(true);
    }),
    runs(60),
  );
});
