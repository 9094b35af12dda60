import fc from 'fast-check';
import { polygonArea } from 'd3-polygon';
import { secondArea, secondDifference, secondIntersection } from '../../../tests/helpers/second-geometry';
import {
  apply,
  applyAll,
  area,
  boxOf,
  compose,
  contains,
  difference,
  intersection,
  invert,
  isConvex,
  leastWidth,
  lengthInside,
  plainRings,
  reflection,
  regionArea,
  rotation,
  roundCorners,
  sharedRegion,
  signedArea,
  translation,
  union,
  type Point,
  type Polygon,
} from '.';

/** A random convex polygon: points round an ellipse, in order. */
const convex = fc
  .record({
    x: fc.double({ min: -40, max: 40, noNaN: true }),
    y: fc.double({ min: -40, max: 40, noNaN: true }),
    r: fc.double({ min: 5, max: 50, noNaN: true }),
    squash: fc.double({ min: 0.3, max: 1, noNaN: true }),
    turns: fc.uniqueArray(fc.integer({ min: 0, max: 71 }), { minLength: 4, maxLength: 12 }),
  })
  .map(({ x, y, r, squash, turns }): Polygon =>
    turns
      .sort((a, b) => a - b)
      .map((t) => ({ x: x + r * Math.cos((t * Math.PI) / 36), y: y + r * squash * Math.sin((t * Math.PI) / 36) })),
  );

const square = (x: number, y: number, side: number): Polygon => [
  { x, y },
  { x: x + side, y },
  { x: x + side, y: y + side },
  { x, y: y + side },
];

test('area agrees with a second and a third library (Clipper2, d3-polygon)', () => {
  fc.assert(
    fc.property(convex, (polygon) => {
      expect(area(polygon)).toBeCloseTo(secondArea([polygon]), 2);
      expect(area(polygon)).toBeCloseTo(Math.abs(polygonArea(polygon.map((p) => [p.x, p.y]))), 6);
    }),
  );
});

test('neighbours that share a corner to the last bit but one stay one, on marks that end half way between two units', () => {
  // Sixty-fourths of an inch have six decimals of a millimetre, the clipping five.
  for (const at of [72.628125, 55.165625, 0.396875, 13.890625])
    for (const hair of [0, 1e-14, -1e-14]) {
      const left = [
        { x: 0, y: 0 },
        { x: at, y: at },
        { x: 0, y: 2 * at },
      ];
      const right = [
        { x: at + hair, y: at - hair },
        { x: 0, y: 0 },
        { x: 3 * at, y: 0 },
      ];
      expect(union([left, right])).toHaveLength(1);
    }
});

test('intersection, union and difference agree with a second library (Clipper2), reflected polygons included', () => {
  fc.assert(
    fc.property(convex, convex, fc.boolean(), (a, other, mirrored) => {
      const b = mirrored ? applyAll<'sheet'>(reflection({ from: { x: 0, y: 0 }, to: { x: 1, y: 2 } }), other) : other;
      expect(Math.abs(regionArea(intersection(a, b)) - secondIntersection([a], [b]))).toBeLessThan(0.02);
      expect(Math.abs(regionArea(difference([a], [b])) - secondDifference([a], [b]))).toBeLessThan(0.02);
      expect(Math.abs(regionArea(union([a, b])) - secondArea([a, b]))).toBeLessThan(0.02);
    }),
  );
});

test('what lies wholly under covers leaves nothing, and a gap between covers is found', () => {
  expect(difference([square(1, 1, 4)], [square(0, 0, 3), square(2, 0, 6), square(0, 2, 6)])).toEqual([]);
  expect(regionArea(difference([square(0, 0, 10)], [square(0, 0, 4), square(6, 6, 4)]))).toBeCloseTo(68, 6);
  expect(difference([], [square(0, 0, 1)])).toEqual([]);
});

test('a ring round a hole becomes plain rings of the same area', () => {
  const ring = difference([square(0, 0, 10)], [square(3, 3, 2)]);
  expect(ring).toHaveLength(2);
  const plain = plainRings(ring);
  expect(plain.every((p) => signedArea(p) > 0)).toBe(true);
  expect(regionArea(plain)).toBeCloseTo(96, 6);
  expect(regionArea(sharedRegion(plain, [square(3, 3, 2)]))).toBe(0);
});

test('maps compose, undo themselves, and a reflection turns winding round', () => {
  const map = compose(
    translation(3, 4),
    compose(rotation(0.7), reflection({ from: { x: 1, y: 1 }, to: { x: 5, y: 2 } })),
  );
  const p: Point = { x: 2.5, y: -7 };
  const back = apply(invert(map), apply(map, p));
  expect([back.x, back.y]).toEqual([expect.closeTo(2.5, 9), expect.closeTo(-7, 9)]);
  expect(signedArea(applyAll(map, square(0, 0, 2)))).toBeCloseTo(-4, 9);
  expect(() => invert([1, 0, 2, 0, 0, 0])).toThrow('cannot be undone');
});

test('least width of a band is its breadth, however it lies', () => {
  const band = applyAll(rotation(0.6), [
    { x: 0, y: 0 },
    { x: 30, y: 0 },
    { x: 30, y: 4 },
    { x: 0, y: 4 },
  ]);
  expect(leastWidth(band)).toBeCloseTo(4, 9);
});

describe('rounded corners', () => {
  const round = (polygon: Polygon, corners: readonly number[], radius: number): Polygon => {
    const rounded = roundCorners(polygon, corners, radius, 0.001);
    if ('limit' in rounded) throw new Error(`at most ${rounded.limit}`);
    return rounded.polygon;
  };

  test('each loses (1 − π/4) r² and stays convex', () => {
    const rounded = round(square(0, 0, 10), [0], 3);
    expect(100 - area(rounded)).toBeCloseTo((1 - Math.PI / 4) * 9, 2);
    expect(isConvex(rounded)).toBe(true);
    expect(boxOf(rounded)).toEqual({ minX: expect.closeTo(0, 9), minY: expect.closeTo(0, 9), maxX: 10, maxY: 10 });
    expect(100 - area(round(square(0, 0, 10), [3, 0, 2, 1], 2))).toBeCloseTo((4 - Math.PI) * 4, 1);
  });

  test('the largest radius is told: two corners share their edge, one has it to itself', () => {
    expect(roundCorners(square(0, 0, 10), [0], 11)).toEqual({ limit: expect.closeTo(10, 9) });
    expect(roundCorners(square(0, 0, 10), [0, 1], 6)).toEqual({ limit: expect.closeTo(5, 9) });
    // A 45° corner gives way sooner: its arc takes r · cot 22.5° of each edge.
    const half = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 0, y: 10 },
    ];
    expect(roundCorners(half, [1], 9)).toEqual({ limit: expect.closeTo(10 * Math.tan(Math.PI / 8), 9) });
  });

  test('up to the very limit nothing is refused, and the limit itself always goes', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 400 }), { minLength: 3, maxLength: 7 }),
        fc.nat(),
        (steps, pick) => {
          const all = steps.reduce((sum, step) => sum + step, 0);
          // Corners on a circle at angles apart: a convex polygon.
          let angle = 0;
          const polygon = steps.map((step) => {
            angle += (2 * Math.PI * step) / all;
            return { x: 50 * Math.cos(angle), y: 50 * Math.sin(angle) };
          });
          const corners = steps.flatMap((_, i) => ((pick >> i) % 2 === 0 ? [i] : []));
          fc.pre(corners.length > 0);
          const tried = roundCorners(polygon, corners, 1e6);
          const { limit } = tried as { limit: number };
          const rounded = roundCorners(polygon, corners, limit);
          expect('polygon' in rounded && area(rounded.polygon)).toBeGreaterThan(0);
          expect('limit' in roundCorners(polygon, corners, limit * 1.001)).toBe(true);
        },
      ),
    );
  });
});

test('a point is inside or not', () => {
  expect(contains(square(0, 0, 2), { x: 1, y: 1 })).toBe(true);
  expect(contains(square(0, 0, 2), { x: 3, y: 1 })).toBe(false);
});

describe('how much of a segment runs inside a polygon', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 10, y: 0 },
    { x: 10, y: 10 },
    { x: 0, y: 10 },
  ];
  test.each([
    ['across', [-5, 5, 15, 5], 10],
    ['from the middle out', [5, 5, 5, 20], 5],
    ['within', [2, 2, 2, 6], 4],
    ['along the rim', [0, 0, 10, 0], 0],
    ['on the line of a side, beyond it', [-5, 10, 15, 10], 0],
    ['outside', [12, 0, 12, 10], 0],
    ['corner to corner', [0, 0, 10, 10], Math.SQRT2 * 10],
  ] as const)('%s', (_, [x1, y1, x2, y2], expected) =>
    expect(lengthInside(square, { from: { x: x1, y: y1 }, to: { x: x2, y: y2 } })).toBeCloseTo(expected, 6),
  );
});
