import { apart, partings, restsOf, type Block, type SheetPart, type Pieces } from './apart';
import { carve, fill, largestFirst, MANNERS, FREE_MANNERS } from './fill';
import { countsOf, waysOn, type Item, type LaidItem, type Stock } from './problem';

/** The laid pieces as blocks of paper, the blade's width with them. */
export function blocksOf(laid: readonly LaidItem[], stock: Stock, items: readonly Item[]): Block[] {
  return laid.map(({ item, x, y, turned }, id) => {
    const { width, height } = items[item]!;
    const [w, h] = turned ? [height, width] : [width, height];
    return { id, x, y, width: w + stock.kerf, height: h + stock.kerf };
  });
}

const whole = (stock: Stock): SheetPart => ({ x: 0, y: 0, width: stock.width, height: stock.height });

/** How good what is left over is: the area of its largest rectangle worth keeping, nm². */
const largest = (rests: readonly SheetPart[], keep: number): number =>
  Math.max(0, ...rests.filter((r) => Math.min(r.width, r.height) >= keep).map((r) => r.width * r.height));

/** The cuts for laid pieces, upright or across first, whichever leaves the larger offcut, then the fewer cuts. */
export function bestApart(
  laid: readonly LaidItem[],
  stock: Stock,
  items: readonly Item[],
  keep: number,
): Pieces | null {
  const blocks = blocksOf(laid, stock, items);
  let best: { pieces: Pieces; rest: number; cuts: number } | null = null;
  for (const axis of ['x', 'y'] as const) {
    const found = apart(blocks, whole(stock), axis);
    if (!found.ok) return null;
    const rest = largest(restsOf(found.pieces), keep + stock.kerf);
    const cuts = partings(found.pieces).length;
    if (!best || rest > best.rest || (rest === best.rest && cuts < best.cuts))
      best = { pieces: found.pieces, rest, cuts };
  }
  return best!.pieces;
}

/** The largest empty rectangles that do not overlap, largest first, for pieces cut without edge to edge cuts. */
export function emptyOf(laid: readonly LaidItem[], stock: Stock, items: readonly Item[], keep: number): SheetPart[] {
  let spaces: SheetPart[] = [whole(stock)];
  for (const block of blocksOf(laid, stock, items)) spaces = carve(spaces, block);
  const found: SheetPart[] = [];
  for (;;) {
    const [first] = spaces
      .filter((space) => Math.min(space.width, space.height) >= keep + stock.kerf)
      .sort((a, b) => b.width * b.height - a.width * a.height);
    if (!first) return found;
    found.push(first);
    spaces = carve(spaces, first);
  }
}

/** A sheet this full has nothing left worth laying together. */
const FULL = 0.97;
/** Pieces laid to tidy a whole layout, over all tries; tries at one size of a sheet; sizes tried. */
const [MOST_LAID, MOST_MANNERS, SIZES] = [300_000, 24, 24];

/**
 * Lays the same pieces on the same sheet so that what is left over is one large rectangle, not slivers: the sheet is
 * made narrower, then lower, as far as the pieces still fit; of all that is found the one with the largest offcut is
 * taken, and of equals the one given. `pieces` is how many the whole layout has: the more, the less is tried.
 */
export function tidied(
  laid: readonly LaidItem[],
  stock: Stock,
  items: readonly Item[],
  keep: number,
  free: boolean,
  pieces: number,
): readonly LaidItem[] {
  const counts = countsOf(laid, items);
  const all = laid.length;
  const rate = (candidate: readonly LaidItem[]): number => {
    if (free) return largest(emptyOf(candidate, stock, items, keep), keep);
    const pieces = bestApart(candidate, stock, items, keep);
    return pieces ? largest(restsOf(pieces), keep + stock.kerf) : -1;
  };
  const area = laid.reduce((sum, { item }) => sum + items[item]!.width * items[item]!.height, 0);
  if (area > FULL * stock.width * stock.height) return laid;
  const known = free ? FREE_MANNERS : MANNERS;
  // Every so many of them, so that all orders and splits have their turn.
  const tries = Math.max(2, Math.min(MOST_MANNERS, Math.floor(MOST_LAID / SIZES / Math.max(1, pieces))));
  const manners = known.filter(
    (_, i) => Math.floor((i * tries) / known.length) !== Math.floor(((i - 1) * tries) / known.length),
  );
  const orders = new Map(
    manners.map(({ order }) => [order, largestFirst(items, order).filter((i) => counts[i]! > 0)] as const),
  );
  let best = laid;
  let rating = rate(laid);
  const fits = (part: Stock): LaidItem[] | null => {
    for (const manner of manners) {
      const order = orders.get(manner.order)!;
      const now = fill(part, items, counts, order, manner, free);
      if (now.length === all) return now;
    }
    return null;
  };
  for (const side of ['width', 'height'] as const) {
    const least = Math.max(
      area / (side === 'width' ? stock.height : stock.width),
      ...laid.map(({ item }) => Math.min(...waysOn(stock, items[item]!).map((way) => way[side]))),
    );
    // Halving finds a good width, and most often the least; every one found is a layout that fits.
    for (let [low, high, turns] = [least, stock[side], SIZES / 2]; turns > 0; turns--) {
      const middle = (low + high) / 2;
      const now = fits({ ...stock, [side]: middle });
      if (!now) {
        low = middle;
        continue;
      }
      high = Math.min(middle, reach(now, stock, items, side));
      const rated = rate(now);
      if (rated > rating * (1 + 1e-9)) [best, rating] = [now, rated];
    }
  }
  return best;
}

/** How far laid pieces reach along a side, nm. */
const reach = (laid: readonly LaidItem[], stock: Stock, items: readonly Item[], side: 'width' | 'height'): number =>
  Math.max(0, ...blocksOf(laid, stock, items).map((b) => (side === 'width' ? b.x + b.width : b.y + b.height)));
