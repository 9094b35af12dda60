import { laidOut, type Joined } from './joined';
import { waysOn, type Item, type Pattern, type Stock } from './problem';

/**
 * Every set of pieces that cuts from edge to edge can take from one sheet, no more of each than asked for and none
 * that could take one more, built up from the pieces (Wang 1983, "Two algorithms for constrained two-dimensional cutting
 * stock problems"), keeping for each set the rectangles no other is inside of.
 *
 * Null when there are too many: more than `work` joins would be tried.
 */
export function everyPattern(stock: Stock, place: number, items: readonly Item[], work: number): Pattern[] | null {
  /** By how many pieces, then by which. */
  const bySize: Map<string, Joined[]>[] = [new Map(), new Map()];
  const known = new Set<string>();
  let done = 0;
  const put = (size: number, joined: Joined): void => {
    if (joined.width > stock.width || joined.height > stock.height) return;
    const key = joined.counts.join();
    known.add(key);
    const front = bySize[size]!.get(key) ?? [];
    if (front.some((other) => other.width <= joined.width && other.height <= joined.height)) return;
    bySize[size]!.set(key, [
      ...front.filter((other) => joined.width > other.width || joined.height > other.height),
      joined,
    ]);
  };
  if (items.some(({ demand }) => demand > 255)) return null;
  items.forEach((item, i) => {
    const counts = new Uint16Array(items.length);
    counts[i] = 1;
    for (const { width, height, turned } of waysOn(stock, item))
      put(1, { width, height, counts, made: { item: i, turned } });
  });
  // A set that can be cut can be cut with a piece less: at the first number with no set there are no more.
  for (let size = 2; bySize[size - 1]!.size > 0; size++) {
    bySize[size] = new Map();
    for (let less = 1; 2 * less <= size; less++) {
      const [left, right] = [bySize[less]!, bySize[size - less]!];
      const [lefts, rights] = [[...left.values()], [...right.values()]];
      for (let l = 0; l < lefts.length; l++)
        // Two halves of one size are joined once.
        for (let r = 2 * less === size ? l : 0; r < rights.length; r++) {
          const counts = lefts[l]![0]!.counts.map((n, i) => n + rights[r]![0]!.counts[i]!);
          if (counts.some((n, i) => n > items[i]!.demand)) {
            if (++done > work) return null;
            continue;
          }
          for (const a of lefts[l]!)
            for (const b of rights[r]!) {
              if (++done > work) return null;
              put(size, {
                width: a.width + b.width,
                height: Math.max(a.height, b.height),
                counts,
                made: { a, b, across: true },
              });
              put(size, {
                width: Math.max(a.width, b.width),
                height: a.height + b.height,
                counts,
                made: { a, b, across: false },
              });
            }
        }
    }
  }
  const patterns: Pattern[] = [];
  for (const sets of bySize)
    for (const [joined] of sets.values()) {
      const { counts } = joined!;
      const larger = items.some(({ demand }, i) => {
        if (counts[i]! >= demand) return false;
        const more = counts.slice();
        more[i]!++;
        return known.has(more.join());
      });
      if (!larger) patterns.push({ stock: place, counts: [...counts], laid: laidOut(joined!) });
    }
  return patterns;
}
