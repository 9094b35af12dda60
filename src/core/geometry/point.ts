/** Where a point is measured: on the flat sheet, in the folded plane, on a tool's own axes, or as a picture shows it. */
export type Frame = 'sheet' | 'folded' | 'tool' | 'scene';

/** A point in millimetres, x right and y up, that knows which frame it belongs to. */
export interface Point<F extends Frame = Frame> {
  readonly x: number;
  readonly y: number;
  /** Never present at run time; keeps the compiler from mixing frames. */
  readonly frame?: F;
}

export interface Segment<F extends Frame = Frame> {
  readonly from: Point<F>;
  readonly to: Point<F>;
}

export const minus = <F extends Frame>(a: Point<F>, b: Point<F>): Point<F> => ({ x: a.x - b.x, y: a.y - b.y });
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
/** Distance between two points, mm. (`Math.hypot` guards against overflow no sheet can cause, and is far slower.) */
export const distance = (a: Point, b: Point): number =>
  Math.sqrt((a.x - b.x) * (a.x - b.x) + (a.y - b.y) * (a.y - b.y));
export const middle = <F extends Frame>(a: Point<F>, b: Point<F>): Point<F> => ({
  x: (a.x + b.x) / 2,
  y: (a.y + b.y) / 2,
});

/** The unit vector from `a` towards `b`. Throws when the two coincide: such a line has no direction. */
export function direction<F extends Frame>(a: Point<F>, b: Point<F>): Point<F> {
  const length = distance(a, b);
  if (!(length > 0)) throw new Error('a line needs two different points');
  return { x: (b.x - a.x) / length, y: (b.y - a.y) / length };
}

/** Signed distance of a point from the line through a segment, mm; positive on its left. */
export const sideOf = <F extends Frame>(line: Segment<F>, p: Point<F>): number =>
  cross(direction(line.from, line.to), minus(p, line.from));

/** Where the lines through two segments cross, or null when they run alike. */
export function crossing<F extends Frame>(a: Segment<F>, b: Segment<F>): Point<F> | null {
  const along = direction(a.from, a.to);
  const other = direction(b.from, b.to);
  const turn = cross(along, other);
  if (Math.abs(turn) < 1e-12) return null;
  const t = cross(minus(b.from, a.from), other) / turn;
  return { x: a.from.x + along.x * t, y: a.from.y + along.y * t };
}

/** Distance of a point from a segment, mm. */
export function fromSegment({ from, to }: Segment, p: Point): number {
  const length = distance(from, to);
  if (length === 0) return distance(from, p);
  const t = ((p.x - from.x) * (to.x - from.x) + (p.y - from.y) * (to.y - from.y)) / (length * length);
  const at = Math.min(1, Math.max(0, t));
  return distance({ x: from.x + (to.x - from.x) * at, y: from.y + (to.y - from.y) * at }, p);
}
