import { apply, type Affine } from './affine';
import {
  cross,
  direction,
  distance,
  dot,
  fromSegment,
  minus,
  sideOf,
  type Frame,
  type Point,
  type Segment,
} from './point';

/** A simple polygon in millimetres, without a repeated last point. Anticlockwise unless a fold reflected it. */
export type Polygon<F extends Frame = Frame> = readonly Point<F>[];

export interface Box {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Signed area, mm²: positive when anticlockwise (shoelace formula). */
export function signedArea(polygon: Polygon): number {
  let sum = 0;
  for (let i = 0; i < polygon.length; i++) sum += cross(polygon[i]!, polygon[(i + 1) % polygon.length]!);
  return sum / 2;
}

export const area = (polygon: Polygon): number => Math.abs(signedArea(polygon));

/** The same polygon, anticlockwise. */
export const anticlockwise = <F extends Frame>(polygon: Polygon<F>): Polygon<F> =>
  signedArea(polygon) < 0 ? [...polygon].reverse() : polygon;

export function boxOf(points: readonly Point[]): Box {
  const box = { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity };
  for (const { x, y } of points) {
    if (x < box.minX) box.minX = x;
    if (x > box.maxX) box.maxX = x;
    if (y < box.minY) box.minY = y;
    if (y > box.maxY) box.maxY = y;
  }
  return box;
}

/** True when two boxes share more than a hair's breadth (mm). */
export const boxesMeet = (a: Box, b: Box, hair = 1e-6): boolean =>
  a.minX < b.maxX - hair && b.minX < a.maxX - hair && a.minY < b.maxY - hair && b.minY < a.maxY - hair;

/** The polygon carried through a map; a reflection turns its winding round. */
export const applyAll = <T extends Frame>(map: Affine, polygon: Polygon): Polygon<T> =>
  polygon.map((p) => apply<T>(map, p));

/** Least and most of `p · axis` over the points, mm for a unit axis. */
export function extent(points: readonly Point[], axis: Point): readonly [number, number] {
  const along = points.map((p) => dot(p, axis));
  return [Math.min(...along), Math.max(...along)];
}

/** True when the point lies in the polygon (crossing number); points on the rim may go either way. */
export function contains<F extends Frame>(polygon: Polygon<F>, p: Point<F>): boolean {
  let inside = false;
  for (let i = 0, j = polygon.length - 1; i < polygon.length; j = i++) {
    const [a, b] = [polygon[i]!, polygon[j]!];
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  }
  return inside;
}

/** True where a place lies no further from the rim of a polygon than that, inside it or out. */
export const nearRim = <F extends Frame>(polygon: Polygon<F>, p: Point<F>, within: number): boolean =>
  polygon.some((from, i) => fromSegment({ from, to: polygon[(i + 1) % polygon.length]! }, p) <= within);

/** The mean of a polygon's corners; inside it where it is convex. */
export const centreOf = <F extends Frame>(polygon: Polygon<F>): Point<F> =>
  polygon.reduce<Point<F>>((sum, p) => ({ x: sum.x + p.x / polygon.length, y: sum.y + p.y / polygon.length }), {
    x: 0,
    y: 0,
  });

/**
 * The part of a convex polygon on the left of a line (Sutherland and Hodgman's step). A corner within `hair` (mm) of
 * the line counts as on it: no corner is added beside it.
 */
export function leftPart<F extends Frame>(polygon: Polygon<F>, { from, to }: Segment<F>, hair = 0): Polygon<F> {
  const along = direction(from, to);
  const left = (p: Point<F>): number => along.x * (p.y - from.y) - along.y * (p.x - from.x);
  const kept: Point<F>[] = [];
  for (let i = 0; i < polygon.length; i++) {
    const [p, q] = [polygon[i]!, polygon[(i + 1) % polygon.length]!];
    const [here, there] = [left(p), left(q)];
    if (here >= -hair) kept.push(p);
    if ((here > hair && there < -hair) || (here < -hair && there > hair)) {
      const t = here / (here - there);
      kept.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
    }
  }
  return kept;
}

/** How much of a segment runs inside a polygon, mm; what runs along the rim (within `hair` mm) does not count. */
export function lengthInside<F extends Frame>(polygon: Polygon<F>, { from, to }: Segment<F>, hair = 1e-4): number {
  const length = distance(from, to);
  const at = (t: number): Point<F> => ({ x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t });
  const rims = polygon.map((p, i): Segment<F> => ({ from: p, to: polygon[(i + 1) % polygon.length]! }));
  const stops = [0, 1];
  for (const rim of rims) {
    const [a, b] = [sideOf(rim, from), sideOf(rim, to)];
    if (a > 0 !== b > 0) stops.push(a / (a - b));
  }
  stops.sort((a, b) => a - b);
  let inside = 0;
  for (let i = 0; i + 1 < stops.length; i++) {
    const middle = at((stops[i]! + stops[i + 1]!) / 2);
    const onRim = rims.some((rim) => {
      const along = dot(minus(middle, rim.from), direction(rim.from, rim.to));
      return Math.abs(sideOf(rim, middle)) < hair && along > -hair && along < distance(rim.from, rim.to) + hair;
    });
    if (!onRim && contains(polygon, middle)) inside += (stops[i + 1]! - stops[i]!) * length;
  }
  return inside;
}

/** True when no corner turns inwards; `hair` (mm) forgives rounding. */
export function isConvex(polygon: Polygon, hair = 1e-7): boolean {
  const ring = anticlockwise(polygon);
  return ring.every((p, i) => {
    const [before, after] = [ring[(i + ring.length - 1) % ring.length]!, ring[(i + 1) % ring.length]!];
    const reach = distance(p, before) + distance(p, after);
    return cross(minus(p, before), minus(after, p)) >= -hair * reach;
  });
}

/**
 * Least width of a convex polygon over all directions, mm: the smallest gap between two parallel lines
 * that hold it. A lap that is a band measures its breadth so. (The least width stands square to an edge.)
 */
export function leastWidth(polygon: Polygon): number {
  let least = Infinity;
  polygon.forEach((p, i) => {
    const next = polygon[(i + 1) % polygon.length]!;
    if (distance(p, next) < 1e-9) return;
    const along = direction(p, next);
    const [low, high] = extent(polygon, { x: -along.y, y: along.x });
    least = Math.min(least, high - low);
  });
  return Number.isFinite(least) ? least : 0;
}

/** Rounds one corner of a polygon by an arc of `radius` mm that fits it, drawn in chords that leave it by under `chord` mm. */
function roundCorner<F extends Frame>(polygon: Polygon<F>, index: number, radius: number, chord: number): Polygon<F> {
  const corner = polygon[index]!;
  const [before, after] = [
    polygon[(index + polygon.length - 1) % polygon.length]!,
    polygon[(index + 1) % polygon.length]!,
  ];
  const [a, b] = [direction(corner, before), direction(corner, after)];
  const half = halfAngle(a, b);
  const back = radius / Math.tan(half);
  const toCentre = radius / Math.sin(half);
  const spine = direction({ x: 0, y: 0 }, { x: a.x + b.x, y: a.y + b.y });
  const centre = { x: corner.x + spine.x * toCentre, y: corner.y + spine.y * toCentre };
  const start = { x: corner.x + a.x * back, y: corner.y + a.y * back };
  const sweep = Math.PI - 2 * half;
  const turn =
    cross(minus(start, centre), minus({ x: corner.x + b.x * back, y: corner.y + b.y * back }, centre)) < 0 ? -1 : 1;
  const chords = Math.max(2, Math.ceil(sweep / (2 * Math.acos(Math.max(0, 1 - chord / radius)))));
  const first = Math.atan2(start.y - centre.y, start.x - centre.x);
  const arc = Array.from({ length: chords + 1 }, (_, i) => {
    const angle = first + (turn * sweep * i) / chords;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
  return [...polygon.slice(0, index), ...arc, ...polygon.slice(index + 1)];
}

/** A circle in so many chords, anticlockwise. */
export const circle = <F extends Frame>(centre: Point<F>, radius: number, chords: number): Polygon<F> =>
  Array.from({ length: chords }, (_, i) => {
    const turn = (2 * Math.PI * i) / chords;
    return { x: centre.x + radius * Math.cos(turn), y: centre.y + radius * Math.sin(turn) };
  });

/** Half the angle between two directions, radians. */
const halfAngle = (a: Point, b: Point): number => Math.acos(Math.max(-1, Math.min(1, dot(a, b)))) / 2;

/**
 * Rounds the corners of a polygon at `indices` by arcs of `radius` mm, drawn in chords that leave them by under `chord`
 * mm; or gives the largest radius (mm) that all of these corners take at once. An arc takes `radius · cot(half the
 * angle)` of either edge; two on one edge share it.
 */
export function roundCorners<F extends Frame>(
  polygon: Polygon<F>,
  indices: readonly number[],
  radius: number,
  chord = 0.03,
): { readonly polygon: Polygon<F> } | { readonly limit: number } {
  const at = (i: number): Point<F> => polygon[(i + polygon.length) % polygon.length]!;
  /** What a radius of 1 takes of the edges at a corner; nothing where it stays sharp. */
  const takes = polygon.map((corner, i) =>
    indices.includes(i) ? 1 / Math.tan(halfAngle(direction(corner, at(i - 1)), direction(corner, at(i + 1)))) : 0,
  );
  const limit = polygon.reduce((least, corner, i) => {
    const share = takes[i]! + takes[(i + 1) % polygon.length]!;
    return share > 0 ? Math.min(least, distance(corner, at(i + 1)) / share) : least;
  }, Infinity);
  if (radius > limit + 1e-9) return { limit };
  const taken = Math.min(radius, limit);
  let rounded = polygon;
  if (taken > 0) for (const i of [...indices].sort((x, y) => y - x)) rounded = roundCorner(rounded, i, taken, chord);
  return { polygon: rounded };
}
