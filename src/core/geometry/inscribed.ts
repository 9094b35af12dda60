import type { Frame } from './point';
import { boxOf, contains, type Box, type Polygon } from './polygon';

/** Lines that a shape is divided by each way, besides those through its corners: slanted sides are met within a share of this. */
const LINES = 40;
/** How far inside a cell's corner is asked for, as a share of the cell. */
const INSIDE = 1e-3;

/**
 * The largest upright rectangle in a shape of one or more rings (what lies in an even number of them is outside it) that
 * stays clear of some boxes; null where there is none. Exact where the shape's sides are upright or level, within a
 * fortieth of it where they slant. The rectangle is sought among the cells of a grid, row by row, as the largest one under a histogram.
 */
export function largestRectangle<F extends Frame>(
  rings: readonly Polygon<F>[],
  clearOf: readonly Box[] = [],
): Box | null {
  const corners = rings.flat();
  if (corners.length === 0) return null;
  const box = boxOf(corners);
  const lines = (from: number, to: number, own: readonly number[]): number[] =>
    [...own, ...Array.from({ length: LINES + 1 }, (_, i) => from + ((to - from) * i) / LINES)]
      .filter((at) => at >= from && at <= to)
      .sort((a, b) => a - b)
      .filter((at, i, all) => i === 0 || at - all[i - 1]! > 1e-6);
  const xs = lines(box.minX, box.maxX, [...corners.map(({ x }) => x), ...clearOf.flatMap((b) => [b.minX, b.maxX])]);
  const ys = lines(box.minY, box.maxY, [...corners.map(({ y }) => y), ...clearOf.flatMap((b) => [b.minY, b.maxY])]);
  const isPaper = (x: number, y: number): boolean =>
    rings.filter((ring) => contains(ring, { x, y } as Polygon<F>[number])).length % 2 === 1;
  const free = (i: number, j: number): boolean => {
    const [x0, x1, y0, y1] = [xs[i]!, xs[i + 1]!, ys[j]!, ys[j + 1]!];
    const [dx, dy] = [(x1 - x0) * INSIDE, (y1 - y0) * INSIDE];
    return (
      !clearOf.some((b) => x0 < b.maxX - dx && x1 > b.minX + dx && y0 < b.maxY - dy && y1 > b.minY + dy) &&
      [x0 + dx, x1 - dx].every((x) => [y0 + dy, y1 - dy].every((y) => isPaper(x, y)))
    );
  };
  let best: Box | null = null;
  let most = 0;
  // How far down from this row each column is free.
  const low = xs.slice(1).map(() => 0);
  for (let j = 0; j + 1 < ys.length; j++) {
    for (let i = 0; i + 1 < xs.length; i++) if (!free(i, j)) low[i] = j + 1;
    for (let i = 0; i + 1 < xs.length; i++) {
      let from = low[i]!;
      for (let k = i; k + 1 < xs.length && from <= j; k++) {
        from = Math.max(from, low[k]!);
        if (from > j) break;
        const size = (xs[k + 1]! - xs[i]!) * (ys[j + 1]! - ys[from]!);
        if (size <= most) continue;
        most = size;
        best = { minX: xs[i]!, maxX: xs[k + 1]!, minY: ys[from]!, maxY: ys[j + 1]! };
      }
    }
  }
  return best;
}
