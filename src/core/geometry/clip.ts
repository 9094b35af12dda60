import { Clipper64, ClipType, FillRule, type Paths64 } from 'clipper2-ts';
import { TOLERANCE } from './tolerance';
import { anticlockwise, area, boxOf, boxesMeet, isConvex, leftPart, type Polygon } from './polygon';
import { distance, type Frame, type Point } from './point';

/** Clipper counts in whole numbers; one unit is 1e-5 mm. */
const UNITS_PER_MM = 1e5;

/**
 * Sixty-fourths of an inch end half way between two units, where the last bit of a sum would decide which one a corner
 * goes to, and neighbours would come apart. So what is rounded up begins a little lower: no length on a ruler ends there.
 */
const UP_FROM = 0.4;
const units = (length: number): number => Math.floor(length * UNITS_PER_MM + 1 - UP_FROM) + 0;
const toPath = (polygon: Polygon): Paths64[number] => polygon.map((p) => ({ x: units(p.x), y: units(p.y) }));
/** Polygons, each solid: a fold may have turned them clockwise. */
const solids = (polygons: readonly Polygon[]): Paths64 => polygons.map((polygon) => toPath(anticlockwise(polygon)));
/** A region: one solid, or several rings of which the clockwise ones are holes. */
const regionPaths = (rings: readonly Polygon[]): Paths64 => (rings.length === 1 ? solids(rings) : rings.map(toPath));

function run<F extends Frame>(operation: ClipType, subject: Paths64, clip: Paths64): Polygon<F>[] {
  const clipper = new Clipper64();
  clipper.preserveCollinear = false;
  clipper.addSubject(subject);
  if (clip.length > 0) clipper.addClip(clip);
  const solution: Paths64 = [];
  if (!clipper.execute(operation, FillRule.NonZero, solution))
    throw new Error('the clipping library gave up on these polygons');
  return solution
    .map((path) => path.map(({ x, y }): Point<F> => ({ x: x / UNITS_PER_MM, y: y / UNITS_PER_MM })))
    .filter((polygon) => area(polygon) > TOLERANCE.sliver);
}

/** The polygons as one region. Holes come back clockwise. */
export function union<F extends Frame>(polygons: readonly Polygon<F>[]): Polygon<F>[] {
  if (polygons.length === 0) return [];
  const rings = run<F>(ClipType.Union, solids(polygons), []);
  // The library now and then leaves rings apart that share a level edge; given only these, it joins them.
  return rings.length === 1 ? rings : run(ClipType.Union, rings.map(toPath), []);
}

/** What is left of a region outside every solid polygon of `clip`. Holes are clockwise, going in and coming back. */
export function difference<F extends Frame>(subject: readonly Polygon<F>[], clip: readonly Polygon<F>[]): Polygon<F>[] {
  if (subject.length === 0) return [];
  const box = boxOf(subject.flat());
  const near = clip.filter((polygon) => boxesMeet(boxOf(polygon), box));
  // A fold may have turned a lone polygon clockwise: it is solid all the same.
  if (near.length === 0) return subject.length === 1 ? [anticlockwise(subject[0]!)] : [...subject];
  return isHidden(subject, near) ? [] : run(ClipType.Difference, regionPaths(subject), solids(near));
}

/** Quick answer to the commonest question, whether convex polygons cover the subject wholly; false when unsure. */
function isHidden(subject: readonly Polygon[], covers: readonly Polygon[]): boolean {
  if (![...subject, ...covers].every((polygon) => isConvex(polygon))) return false;
  let rest = subject.map((polygon) => anticlockwise(polygon));
  for (const cover of covers) {
    const ring = anticlockwise(cover);
    rest = rest.flatMap((piece) => {
      const outside: Polygon[] = [];
      let inside = piece;
      for (let i = 0; i < ring.length && inside.length > 0; i++) {
        const [from, to] = [ring[i]!, ring[(i + 1) % ring.length]!];
        if (distance(from, to) < 1e-9) continue;
        const off = leftPart(inside, { from: to, to: from });
        if (off.length > 2 && area(off) > TOLERANCE.sliver) outside.push(off);
        inside = leftPart(inside, { from, to });
      }
      return outside;
    });
    if (rest.length === 0) return true;
  }
  return false;
}

function convexIntersection<F extends Frame>(a: Polygon<F>, b: Polygon<F>): Polygon<F> {
  let kept = anticlockwise(a);
  const ring = anticlockwise(b);
  for (let i = 0; i < ring.length && kept.length > 0; i++) {
    const [from, to] = [ring[i]!, ring[(i + 1) % ring.length]!];
    if (distance(from, to) > 1e-9) kept = leftPart(kept, { from, to });
  }
  return kept;
}

/** What two polygons share; convex pairs by half-planes, the rest by the clipping library. */
export function intersection<F extends Frame>(a: Polygon<F>, b: Polygon<F>): Polygon<F>[] {
  if (!boxesMeet(boxOf(a), boxOf(b))) return [];
  if (!isConvex(a) || !isConvex(b)) return run(ClipType.Intersection, solids([a]), solids([b]));
  const shared = convexIntersection(a, b);
  return area(shared) > TOLERANCE.sliver ? [shared] : [];
}

/** What two regions (rings with holes) share. */
export function sharedRegion<F extends Frame>(a: readonly Polygon<F>[], b: readonly Polygon<F>[]): Polygon<F>[] {
  const [first, second] = [a[0], b[0]];
  if (!first || !second) return [];
  return a.length === 1 && b.length === 1
    ? intersection(first, second)
    : run(ClipType.Intersection, regionPaths(a), regionPaths(b));
}
