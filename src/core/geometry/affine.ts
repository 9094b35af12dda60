import { direction, type Frame, type Point, type Segment } from './point';

/** An affine map `x' = a·x + c·y + e`, `y' = b·x + d·y + f`, as six numbers in the order SVG and PDF write. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0];

/** Carries a point through a map into frame `T`. */
export const apply = <T extends Frame>([a, b, c, d, e, f]: Affine, p: Point): Point<T> => ({
  x: a * p.x + c * p.y + e,
  y: b * p.x + d * p.y + f,
});

/** The map that does `first`, then `then`. */
export const compose = (then: Affine, first: Affine): Affine => [
  then[0] * first[0] + then[2] * first[1],
  then[1] * first[0] + then[3] * first[1],
  then[0] * first[2] + then[2] * first[3],
  then[1] * first[2] + then[3] * first[3],
  then[0] * first[4] + then[2] * first[5] + then[4],
  then[1] * first[4] + then[3] * first[5] + then[5],
];

/** The map that undoes `map`. Throws when the map flattens the plane. */
export function invert([a, b, c, d, e, f]: Affine): Affine {
  const scale = a * d - b * c;
  if (Math.abs(scale) < 1e-12) throw new Error('this map cannot be undone');
  return [d / scale, -b / scale, -c / scale, a / scale, (c * f - d * e) / scale, (b * e - a * f) / scale];
}

/** The map that carries points as `carry` does, which must itself be affine. */
export function affineOf<F extends Frame>(carry: (p: Point<F>) => Point): Affine {
  const [o, x, y] = [carry({ x: 0, y: 0 }), carry({ x: 1, y: 0 }), carry({ x: 0, y: 1 })];
  return [x.x - o.x, x.y - o.y, y.x - o.x, y.y - o.y, o.x, o.y];
}

/** Reflection across the line through a segment: what a fold of 180° does to the moving side. */
export function reflection(line: Segment): Affine {
  const { x, y } = direction(line.from, line.to);
  const [a, b, d] = [x * x - y * y, 2 * x * y, y * y - x * x];
  const { x: px, y: py } = line.from;
  return [a, b, b, d, px - a * px - b * py, py - b * px - d * py];
}

/** Turns anticlockwise by an angle in radians about the origin. */
export const rotation = (angle: number): Affine => [
  Math.cos(angle),
  Math.sin(angle),
  -Math.sin(angle),
  Math.cos(angle),
  0,
  0,
];
export const translation = (x: number, y: number): Affine => [1, 0, 0, 1, x, y];

/** True when two maps are the same but for rounding (1e-6 in every number). */
export const sameMap = (a: Affine, b: Affine): boolean => a.every((value, i) => Math.abs(value - b[i]!) < 1e-6);
