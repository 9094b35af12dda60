import { laidOut, type Joined } from './joined';
import { waysOn, type Item, type Pattern, type Stock } from './problem';

/**
 * Sheets that pieces fill wholly: pieces are joined only along sides of equal length, so that nothing is ever left
 * between them. Finds what filling piece by piece misses when a list comes from cut-up sheets. `some` are the items
 * joined, by place; `most` parts are kept, those of few pieces first.
 */
export function seamlessPatterns(
  stock: Stock,
  place: number,
  items: readonly Item[],
  some: readonly number[],
  most: number,
): Pattern[] {
  const known = new Set<string>();
  /** By number of pieces, then by height and by width. */
  const bySize: {
    readonly all: Joined[];
    readonly high: Map<number, Joined[]>;
    readonly wide: Map<number, Joined[]>;
  }[] = [];
  const patterns: Pattern[] = [];
  const put = (size: number, part: Joined): void => {
    if (part.width > stock.width || part.height > stock.height || known.size >= most) return;
    const key = `${part.width} ${part.counts.join()}`;
    if (known.has(key)) return;
    known.add(key);
    if (part.width === stock.width && part.height === stock.height) {
      patterns.push({ stock: place, counts: [...part.counts], laid: laidOut(part) });
      return;
    }
    const own = bySize[size]!;
    own.all.push(part);
    own.high.set(part.height, [...(own.high.get(part.height) ?? []), part]);
    own.wide.set(part.width, [...(own.wide.get(part.width) ?? []), part]);
  };
  const fresh = () => ({ all: [], high: new Map<number, Joined[]>(), wide: new Map<number, Joined[]>() });
  bySize.push(fresh(), fresh());
  for (const i of some) {
    const item = items[i]!;
    const counts = new Uint16Array(items.length);
    counts[i] = 1;
    for (const { width, height, turned } of waysOn(stock, item))
      put(1, { width, height, counts, made: { item: i, turned } });
  }
  for (let size = 2; size <= 40 && known.size < most; size++) {
    bySize.push(fresh());
    for (let less = 1; 2 * less <= size; less++)
      for (const a of bySize[less]!.all) {
        const join = (b: Joined, across: boolean): void => {
          const counts = a.counts.map((n, i) => n + b.counts[i]!);
          if (counts.some((n, i) => n > items[i]!.demand)) return;
          put(size, {
            width: across ? a.width + b.width : a.width,
            height: across ? a.height : a.height + b.height,
            counts,
            made: { a, b, across },
          });
        };
        const { high, wide } = bySize[size - less]!;
        for (const b of high.get(a.height) ?? []) if (a.width + b.width <= stock.width) join(b, true);
        for (const b of wide.get(a.width) ?? []) if (a.height + b.height <= stock.height) join(b, false);
      }
    // Parts of more pieces come from parts of fewer: after as many empty sizes as there were full ones nothing comes.
    if (bySize.slice(Math.ceil(size / 2)).every(({ all }) => all.length === 0)) break;
  }
  return patterns;
}
