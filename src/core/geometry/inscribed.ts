import type { Frame } from './point';
import { boxOf, type Box, type Polygon } from './polygon';

/** Lines that a shape is divided by each way, besides those through its corners: slanted sides are met within a share of this. */
const LINES = 32;
/** How far inside a cell it is looked at, as a share of the cell. */
const INSIDE = 1e-3;

/**
 * The largest upright rectangle in a shape of one or more rings (what lies in an even number of them is outside it) that
 * stays clear of some boxes; null where there is none. Exact where the shape's sides are upright or level, within a
 * thirtieth of it where they slant. It is sought among the cells of a grid: row by row the largest under a histogram.
 */
export function largestRectangle<F extends Frame>(
  rings: readonly Polygon<F>[],
  clearOf: readonly Box[] = [],
): Box | null {
  const corners = rings.flat();
  if (corners.length === 0) return null;
  const box = boxOf(corners);
  const xs = linesOver(box.minX, box.maxX, [...corners.map(({ x }) => x), ...clearOf.flatMap((b) => [b.minX, b.maxX])]);
  const ys = linesOver(box.minY, box.maxY, [...corners.map(({ y }) => y), ...clearOf.flatMap((b) => [b.minY, b.maxY])]);
  let best: Box | null = null;
  let most = 0;
  // How far down from this row each column is free.
  const low = xs.slice(1).map(() => 0);
  for (let j = 0; j + 1 < ys.length; j++) {
    const [y0, y1] = [ys[j]!, ys[j + 1]!];
    const dy = (y1 - y0) * INSIDE;
    const levels = [sidesAt(rings, y0 + dy), sidesAt(rings, y1 - dy)];
    for (let i = 0; i + 1 < xs.length; i++) {
      const [x0, x1] = [xs[i]!, xs[i + 1]!];
      const dx = (x1 - x0) * INSIDE;
      const free =
        levels.every((sides) => isInside(sides, x0 + dx, x1 - dx)) &&
        !clearOf.some((b) => x0 < b.maxX - dx && x1 > b.minX + dx && y0 < b.maxY - dy && y1 > b.minY + dy);
      if (!free) low[i] = j + 1;
    }
    for (let i = 0; i + 1 < xs.length; i++) {
      let from = low[i]!;
      for (let k = i; k + 1 < xs.length; k++) {
        from = Math.max(from, low[k]!);
        if (from > j) break;
        const size = (xs[k + 1]! - xs[i]!) * (y1 - ys[from]!);
        if (size <= most) continue;
        most = size;
        best = { minX: xs[i]!, maxX: xs[k + 1]!, minY: ys[from]!, maxY: y1 };
      }
    }
  }
  return best;
}

/** The lines of the grid one way: through what has a place of its own, and evenly between. */
function linesOver(from: number, to: number, own: readonly number[]): number[] {
  const even = Array.from({ length: LINES + 1 }, (_, i) => from + ((to - from) * i) / LINES);
  return [...own, ...even]
    .filter((at) => at >= from && at <= to)
    .sort((a, b) => a - b)
    .filter((at, i, all) => i === 0 || at - all[i - 1]! > 1e-6);
}

/** Where a level line crosses the sides of some rings, from left to right. */
function sidesAt(rings: readonly Polygon[], y: number): number[] {
  const sides: number[] = [];
  for (const ring of rings)
    for (let i = 0, j = ring.length - 1; i < ring.length; j = i++) {
      const [a, b] = [ring[i]!, ring[j]!];
      if (a.y > y !== b.y > y) sides.push(a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y));
    }
  return sides.sort((a, b) => a - b);
}

/** True where a stretch of a level line lies inside, none of the sides it crosses in it. */
function isInside(sides: readonly number[], from: number, to: number): boolean {
  const before = sides.findIndex((x) => x > from);
  return before % 2 === 1 && sides[before]! >= to;
}
