import { waysOn, type Item, type Stock } from './problem';

/**
 * Sheets that are surely needed, from areas as dual feasible functions see them: a function that never lets what fits a
 * sheet measure more than the sheet. (Fekete and Schepers 2001, "New classes of fast lower bounds for bin packing
 * problems"; the plain area is the simplest of them.) Holds for cuts from edge to edge and for free ones.
 *
 * For one size of sheet; `demand` overrides how many of each item there are.
 */
export function areaBound(stock: Stock, items: readonly Item[], demand: readonly number[]): number {
  const ways = items.map((item) =>
    waysOn(stock, item).map(({ width, height }) => [width / stock.width, height / stock.height] as const),
  );
  const thresholds = (side: 0 | 1): number[] => {
    const half = new Set([0]);
    for (const way of ways.flat()) {
      if (way[side] <= 0.5) half.add(way[side]);
      else half.add(1 - way[side] + 1e-9);
    }
    return [...half].filter((e) => e <= 0.5);
  };
  const functionsOf = (side: 0 | 1) => [...thresholds(side).map(rounded), ...[1, 2, 3, 4, 5].map(stepped)];
  const asked = ways.flatMap((own, i) => (own.length > 0 && demand[i]! > 0 ? [{ own, times: demand[i]! }] : []));
  /** What a side's functions say of every way, worked out once: there are many pairs of functions. */
  const said = (side: 0 | 1) => functionsOf(side).map((f) => asked.map(({ own }) => own.map((way) => f(way[side]))));
  const [widths, heights] = [said(0), said(1)];
  let best = 0;
  for (const across of widths)
    for (const along of heights) {
      let sum = 0;
      for (let i = 0; i < asked.length; i++) {
        const [w, h] = [across[i]!, along[i]!];
        // A piece counts with the way it may lie that measures least.
        let least = w[0]! * h[0]!;
        for (let way = 1; way < w.length; way++) if (w[way]! * h[way]! < least) least = w[way]! * h[way]!;
        sum += asked[i]!.times * least;
      }
      best = Math.max(best, sum);
    }
  return best;
}

/** More than half a sheet but for the smallest counts as all of it, the smallest as nothing. */
const rounded =
  (e: number) =>
  (x: number): number =>
    x > 1 - e + 1e-12 ? 1 : x < e - 1e-12 ? 0 : x;

/** A length that goes into the sheet less than k + 1 times counts as more than it is, others in whole steps. */
const stepped =
  (k: number) =>
  (x: number): number => {
    const at = (k + 1) * x;
    return Math.abs(at - Math.round(at)) < 1e-9 ? x : Math.floor(at) / k;
  };
