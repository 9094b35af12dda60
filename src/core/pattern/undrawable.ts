import { distance, extent, leastWidth, type Polygon, type Segment } from '../geometry';
import { mm, type Mm } from '../length';
import type { Blank, Panel } from './piece';

/** Least breadth a part is drawn with, mm. What is under 3 mm cannot be folded by hand; this is where it is gone. */
const LEAST_BREADTH = mm(0.1);
/** Points this close are one, mm. */
const SAME = 1e-7;
/** Polygons of more corners have arcs in them and are not looked through for sides that cross. */
const MOST_SIDES = 16;

/**
 * A part of a pattern that shrank to nothing, or past it, at the sizes asked. Thrown while a pattern is drawn and taken
 * up where it was asked for, as a refusal: no construction has to foresee every way a part can vanish.
 */
export class Undrawable extends Error {
  constructor(
    /** What a maker calls the part. */
    readonly part: string,
    /** How broad it would be, and how broad it must be at least, mm. */
    readonly breadth: Mm,
    readonly least: Mm = LEAST_BREADTH,
  ) {
    super(`${part} would be ${breadth} mm broad`);
  }
}

/** A panel without corners that coincide. Throws `Undrawable` when nothing is left of it, or its sides cross. */
export function drawable<P extends Panel>(panel: P): P {
  const polygon = panel.polygon.filter((p, i, all) => distance(p, all[(i + 1) % all.length]!) > SAME);
  const breadth = polygon.length < 3 || crossesItself(polygon) ? 0 : leastBreadth(polygon);
  if (breadth < LEAST_BREADTH) throw new Undrawable(panel.name, mm(Math.max(0, breadth)));
  return polygon.length === panel.polygon.length ? panel : { ...panel, polygon };
}

/** Throws `Undrawable` for a blank of which nothing is left. */
export function drawableBlank(name: string, { width, height }: Blank): void {
  const breadth = Math.min(width, height);
  if (breadth < LEAST_BREADTH) throw new Undrawable(name, mm(Math.max(0, breadth)));
}

/** Its least width; of what is not convex, that of the box round it, which is never less. */
const leastBreadth = (polygon: Polygon): number =>
  Math.min(
    leastWidth(polygon),
    ...[
      { x: 1, y: 0 },
      { x: 0, y: 1 },
    ].map((way) => {
      const [low, high] = extent(polygon, way);
      return high - low;
    }),
  );

function crossesItself(polygon: Polygon): boolean {
  if (polygon.length > MOST_SIDES) return false;
  const side = (i: number): Segment => ({ from: polygon[i]!, to: polygon[(i + 1) % polygon.length]! });
  return polygon.some((_, i) =>
    polygon.some((__, j) => j > i + 1 && !(i === 0 && j === polygon.length - 1) && cross(side(i), side(j))),
  );
}

/** True when two segments pass through each other; touching ends do not count. */
function cross(a: Segment, b: Segment): boolean {
  const side = (line: Segment, x: number, y: number): number =>
    Math.sign((line.to.x - line.from.x) * (y - line.from.y) - (line.to.y - line.from.y) * (x - line.from.x));
  return (
    side(a, b.from.x, b.from.y) * side(a, b.to.x, b.to.y) < 0 &&
    side(b, a.from.x, a.from.y) * side(b, a.to.x, a.to.y) < 0
  );
}
