import ClipperLib from 'clipper-lib';
import { anticlockwise, area, boxOf, boxesMeet, isConvex, type Polygon } from './polygon';
import { sideOf, type Frame, type Point } from './point';

/** Clipper counts in whole numbers; one unit is 1e-5 mm. */
const UNITS_PER_MM = 1e5;
/** Slivers smaller than this are rounding, not paper, mm². */
const SLIVER = 1e-3;

type Paths = { X: number; Y: number }[][];

const toPaths = (polygons: readonly Polygon[]): Paths =>
  polygons.map((polygon) =>
    anticlockwise(polygon).map((p) => ({ X: Math.round(p.x * UNITS_PER_MM), Y: Math.round(p.y * UNITS_PER_MM) })),
  );

function run<F extends Frame>(operation: number, subject: readonly Polygon<F>[], clip: readonly Polygon<F>[]): Polygon<F>[] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(toPaths(subject), ClipperLib.PolyType.ptSubject, true);
  if (clip.length > 0) clipper.AddPaths(toPaths(clip), ClipperLib.PolyType.ptClip, true);
  const solution: Paths = [];
  const nonZero = ClipperLib.PolyFillType.pftNonZero;
  if (!clipper.Execute(operation, solution, nonZero, nonZero)) throw new Error('the clipping library gave up on these polygons');
  return solution
    .map((path) => path.map(({ X, Y }): Point<F> => ({ x: X / UNITS_PER_MM, y: Y / UNITS_PER_MM })))
    .filter((polygon) => area(polygon) > SLIVER);
}

/** The polygons as one region. Holes come back clockwise. */
export const union = <F extends Frame>(polygons: readonly Polygon<F>[]): Polygon<F>[] =>
  polygons.length === 0 ? [] : run(ClipperLib.ClipType.ctUnion, polygons, []);

/** What is left of `subject` outside every polygon of `clip`. Holes come back clockwise. */
export function difference<F extends Frame>(subject: readonly Polygon<F>[], clip: readonly Polygon<F>[]): Polygon<F>[] {
  const box = boxOf(subject.flat());
  const near = clip.filter((polygon) => boxesMeet(boxOf(polygon), box));
  if (subject.length === 0) return [];
  return near.length === 0 ? [...subject] : run(ClipperLib.ClipType.ctDifference, subject, near);
}

/** Cuts a convex polygon back to the left of each edge of another (Sutherland and Hodgman's half-planes). */
function convexIntersection<F extends Frame>(a: Polygon<F>, b: Polygon<F>): Polygon<F> {
  let kept: Point<F>[] = [...anticlockwise(a)];
  const ring = anticlockwise(b);
  for (let i = 0; i < ring.length && kept.length > 0; i++) {
    const line = { from: ring[i]!, to: ring[(i + 1) % ring.length]! };
    if (Math.hypot(line.to.x - line.from.x, line.to.y - line.from.y) < 1e-9) continue;
    const sides = kept.map((p) => sideOf(line, p));
    const next: Point<F>[] = [];
    kept.forEach((p, j) => {
      const k = (j + 1) % kept.length;
      const [here, there, q] = [sides[j]!, sides[k]!, kept[k]!];
      if (here >= 0) next.push(p);
      if (here >= 0 !== there >= 0) {
        const t = here / (here - there);
        next.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
      }
    });
    kept = next;
  }
  return kept;
}

/** What two polygons share; convex pairs by half-planes, the rest by the clipping library. */
export function intersection<F extends Frame>(a: Polygon<F>, b: Polygon<F>): Polygon<F>[] {
  if (!boxesMeet(boxOf(a), boxOf(b))) return [];
  if (!isConvex(a) || !isConvex(b)) return run(ClipperLib.ClipType.ctIntersection, [a], [b]);
  const shared = convexIntersection(a, b);
  return area(shared) > SLIVER ? [shared] : [];
}

/** What two regions (rings with holes) share. */
export const sharedRegion = <F extends Frame>(a: readonly Polygon<F>[], b: readonly Polygon<F>[]): Polygon<F>[] =>
  a.length === 0 || b.length === 0 ? [] : run(ClipperLib.ClipType.ctIntersection, a, b);

/** The part of a segment that runs strictly inside a region, as pieces in order along it. */
export function clipSegment<F extends Frame>(from: Point<F>, to: Point<F>, region: readonly Polygon<F>[], inside: (p: Point<F>) => boolean): [Point<F>, Point<F>][] {
  const cuts = [0, 1];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  for (const ring of region)
    ring.forEach((p, i) => {
      const q = ring[(i + 1) % ring.length]!;
      const [ex, ey] = [q.x - p.x, q.y - p.y];
      const turn = dx * ey - dy * ex;
      if (Math.abs(turn) < 1e-12) {
        const length = dx * dx + dy * dy;
        for (const r of [p, q]) cuts.push(((r.x - from.x) * dx + (r.y - from.y) * dy) / length);
        return;
      }
      const t = ((p.x - from.x) * ey - (p.y - from.y) * ex) / turn;
      const s = ((p.x - from.x) * dy - (p.y - from.y) * dx) / turn;
      if (s >= -1e-9 && s <= 1 + 1e-9) cuts.push(t);
    });
  const at = (t: number): Point<F> => ({ x: from.x + dx * t, y: from.y + dy * t });
  const stops = [...new Set(cuts.filter((t) => t >= 0 && t <= 1))].sort((x, y) => x - y);
  const pieces: [number, number][] = [];
  for (let i = 0; i + 1 < stops.length; i++) {
    const [a, b] = [stops[i]!, stops[i + 1]!];
    if (b - a < 1e-9 || !inside(at((a + b) / 2))) continue;
    const last = pieces.at(-1);
    if (last && a - last[1] < 1e-9) last[1] = b;
    else pieces.push([a, b]);
  }
  return pieces.map(([a, b]) => [at(a), at(b)]);
}
