import { waysOn, type Item, type LaidItem, type Stock } from './problem';

/** Most places a cut may stand along one side; with more, sizes are rounded to a grid of this many. */
export const MOST_POINTS = 320;

/** Whether lengths are as they are, or rounded to the grid: `up` finds what surely fits, `down` what bounds it. */
type Rounding = 'exact' | 'up' | 'down';

/**
 * The best value one sheet can give by cuts from edge to edge, by dynamic programming over all sub-rectangles whose
 * sides are sums of pieces' sides (Gilmore and Gomory 1966, "The theory and computation of knapsack functions"; with
 * such points only: Herz 1972). Any number of each item may lie on the sheet.
 */
export class GuillotineTable {
  private readonly xs: Float64Array;
  private readonly ys: Float64Array;
  /** `xs[restX[a * n + j]]` is the largest point in `xs[a] − xs[j]`. */
  private readonly restX: Int32Array;
  private readonly restY: Int32Array;
  private readonly value: Float64Array;
  /** How a sub-rectangle's value is had: 0 empty, 1 narrower, 2 lower, 3 + way, −1 − 2j a cut upright, −2 − 2j across. */
  private readonly how: Int32Array;
  private readonly ways: readonly {
    item: number;
    turned: boolean;
    width: number;
    height: number;
    a: number;
    b: number;
  }[];
  /** False when a piece is so small that it vanished in the rounding: then the best value bounds nothing. */
  readonly bounds: boolean;
  private readonly unitX: number;
  private readonly unitY: number;

  constructor(stock: Stock, items: readonly Item[], rounding: Rounding) {
    const ways = items.flatMap((item, i) =>
      waysOn(stock, item).map((way) => ({ item: i, demand: item.demand, ...way })),
    );
    const grid = (side: number): number => (rounding === 'exact' ? 1 : side / MOST_POINTS);
    this.unitX = grid(stock.width);
    this.unitY = grid(stock.height);
    const round = (length: number, unit: number): number =>
      // A hair is allowed for, so that what is on the grid stays there.
      rounding === 'exact'
        ? length
        : rounding === 'up'
          ? Math.ceil(length / unit - 1e-9)
          : Math.floor(length / unit + 1e-9);
    const sized = ways.map((way) => ({
      ...way,
      width: round(way.width, this.unitX),
      height: round(way.height, this.unitY),
    }));
    const [width, height] = rounding === 'exact' ? [stock.width, stock.height] : [MOST_POINTS, MOST_POINTS];
    this.xs = points(
      width,
      sized.map((way) => [way.width, way.demand] as const),
    );
    this.ys = points(
      height,
      sized.map((way) => [way.height, way.demand] as const),
    );
    this.restX = rests(this.xs);
    this.restY = rests(this.ys);
    this.ways = sized.map((way) => ({ ...way, a: placeOf(this.xs, way.width), b: placeOf(this.ys, way.height) }));
    this.bounds = this.ways.every(({ a, b }) => a > 0 && b > 0);
    this.value = new Float64Array(this.xs.length * this.ys.length);
    this.how = new Int32Array(this.value.length);
  }

  /** Fills the table for what each item is worth; gives the best value of the whole sheet. */
  solve(worth: ArrayLike<number>): number {
    const { xs, ys, restX, restY, value, how, ways } = this;
    const [nx, ny] = [xs.length, ys.length];
    value.fill(0);
    how.fill(0);
    ways.forEach(({ item, a, b }, i) => {
      const at = a * ny + b;
      if (worth[item]! > value[at]!) {
        value[at] = worth[item]!;
        how[at] = 3 + i;
      }
    });
    for (let a = 1; a < nx; a++)
      for (let b = 1; b < ny; b++) {
        const at = a * ny + b;
        let best = value[at]!;
        let by = how[at]!;
        if (value[at - ny]! > best) [best, by] = [value[at - ny]!, 1];
        if (value[at - 1]! > best) [best, by] = [value[at - 1]!, 2];
        const halfX = xs[a]! / 2;
        for (let j = 1; xs[j]! <= halfX; j++) {
          const now = value[j * ny + b]! + value[restX[a * nx + j]! * ny + b]!;
          if (now > best + 1e-12) [best, by] = [now, -1 - 2 * j];
        }
        const halfY = ys[b]! / 2;
        for (let j = 1; ys[j]! <= halfY; j++) {
          const now = value[a * ny + j]! + value[a * ny + restY[b * ny + j]!]!;
          if (now > best + 1e-12) [best, by] = [now, -2 - 2 * j];
        }
        value[at] = best;
        how[at] = by;
      }
    return value[value.length - 1]!;
  }

  /** The pieces of the best sheet found by `solve`, nm. */
  laid(): LaidItem[] {
    const { xs, ys, restX, restY, how, ways, unitX, unitY } = this;
    const [nx, ny] = [xs.length, ys.length];
    const laid: LaidItem[] = [];
    const walk = (a: number, b: number, x: number, y: number): void => {
      const by = how[a * ny + b]!;
      if (by === 0) return;
      if (by === 1) return walk(a - 1, b, x, y);
      if (by === 2) return walk(a, b - 1, x, y);
      if (by > 2) {
        const { item, turned } = ways[by - 3]!;
        laid.push({ item, turned, x: x * unitX, y: y * unitY });
        return;
      }
      const j = (-by - 1) >> 1;
      if (-by % 2 === 1) {
        walk(j, b, x, y);
        walk(restX[a * nx + j]!, b, x + xs[j]!, y);
      } else {
        walk(a, j, x, y);
        walk(a, restY[b * ny + j]!, x, y + ys[j]!);
      }
    };
    walk(nx - 1, ny - 1, 0, 0);
    return laid;
  }

  /** Whether both sides of the sheet have few enough points for a table without rounding. */
  static fits(stock: Stock, items: readonly Item[]): boolean {
    const ways = items.flatMap((item) => waysOn(stock, item).map((way) => ({ ...way, demand: item.demand })));
    return [
      points(
        stock.width,
        ways.map((way) => [way.width, way.demand] as const),
        MOST_POINTS,
      ),
      points(
        stock.height,
        ways.map((way) => [way.height, way.demand] as const),
        MOST_POINTS,
      ),
    ].every((sides) => sides.length <= MOST_POINTS);
  }
}

/** All sums of the sides within a length, each at most as often as asked for, ascending from 0; the length itself last. */
export function points(
  length: number,
  sides: readonly (readonly [side: number, demand: number])[],
  most = Infinity,
): Float64Array {
  const sums = new Set([0]);
  const merged = new Map<number, number>();
  for (const [side, demand] of sides) if (side > 0) merged.set(side, (merged.get(side) ?? 0) + demand);
  for (const [side, demand] of merged) {
    for (const sum of [...sums])
      for (let n = 1, at = sum + side; n <= demand && at <= length; n++, at += side) sums.add(at);
    if (sums.size > most) break;
  }
  sums.add(length);
  return Float64Array.from(sums).sort();
}

/** For every point and every shorter one: the place of the largest point in their difference. */
function rests(points: Float64Array): Int32Array {
  const n = points.length;
  const rest = new Int32Array(n * n);
  for (let a = 0; a < n; a++) {
    let at = a;
    for (let j = 0; j <= a; j++) {
      while (points[at]! > points[a]! - points[j]!) at--;
      rest[a * n + j] = at;
    }
  }
  return rest;
}

/** Place of the first point that is at least so long. */
function placeOf(points: Float64Array, length: number): number {
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (points[middle]! < length) low = middle + 1;
    else high = middle;
  }
  return low;
}
