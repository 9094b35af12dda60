import { waysOn, type Item, type LaidItem, type Stock } from './problem';

/** A rectangle still empty, nm. */
interface Space {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** How a sheet is filled: which piece comes first, where it goes, how what is left of its place is divided. */
export interface Manner {
  readonly order: 'area' | 'long' | 'width' | 'height' | 'round';
  readonly place: 'tight' | 'area' | 'low' | 'long';
  readonly split: 'shorter' | 'longer' | 'across' | 'up';
}

const ORDERS: readonly Manner['order'][] = ['area', 'long', 'height', 'width', 'round'];
const PLACES: readonly Manner['place'][] = ['tight', 'area', 'low', 'long'];
const SPLITS: readonly Manner['split'][] = ['shorter', 'longer', 'across', 'up'];

/** Every manner for cuts from edge to edge. */
export const MANNERS: readonly Manner[] = ORDERS.flatMap((order) =>
  PLACES.flatMap((place) => SPLITS.map((split) => ({ order, place, split }))),
);
/** Every manner without such cuts: nothing is split. */
export const FREE_MANNERS: readonly Manner[] = ORDERS.flatMap((order) =>
  PLACES.map((place) => ({ order, place, split: 'shorter' as const })),
);

/** Largest first by what the manner looks at. Gives the items' places. */
export function largestFirst(items: readonly Item[], order: Manner['order']): number[] {
  const weight = ({ width, height }: Item): number => {
    switch (order) {
      case 'area':
        return width * height;
      case 'long':
        return Math.max(width, height) * 1e10 + Math.min(width, height);
      case 'width':
        return width;
      case 'height':
        return height;
      case 'round':
        return width + height;
    }
  };
  return items.map((_, i) => i).sort((a, b) => weight(items[b]!) - weight(items[a]!));
}

/** How well a piece lies in a space: less is better, the second number between equals. */
function fitness(space: Space, width: number, height: number, place: Manner['place']): readonly [number, number] {
  const [dx, dy] = [space.width - width, space.height - height];
  switch (place) {
    case 'tight':
      return [Math.min(dx, dy), Math.max(dx, dy)];
    case 'long':
      return [Math.max(dx, dy), Math.min(dx, dy)];
    case 'area':
      return [space.width * space.height - width * height, Math.min(dx, dy)];
    case 'low':
      return [space.y + height, space.x];
  }
}

/**
 * Fills one sheet, piece by piece, each into the space it fits best. `left` is how many of each item there still are;
 * `order` the items' places, first choice first. With `free`, spaces may overlap and the cuts need not go from edge to
 * edge.
 */
export function fill(
  stock: Stock,
  items: readonly Item[],
  left: readonly number[],
  order: readonly number[],
  manner: Manner,
  free: boolean,
): LaidItem[] {
  const rest = [...left];
  const laid: LaidItem[] = [];
  let spaces: Space[] = [{ x: 0, y: 0, width: stock.width, height: stock.height }];
  for (const i of order) {
    const ways = waysOn(stock, items[i]!);
    while (rest[i]! > 0) {
      let best: { space: Space; width: number; height: number; turned: boolean } | null = null;
      let fit: readonly [number, number] = [Infinity, Infinity];
      for (const space of spaces)
        for (const { width, height, turned } of ways) {
          if (width > space.width || height > space.height) continue;
          const now = fitness(space, width, height, manner.place);
          if (now[0] < fit[0] || (now[0] === fit[0] && now[1] < fit[1]))
            [best, fit] = [{ space, width, height, turned }, now];
        }
      if (!best) break;
      const { space, width, height, turned } = best;
      laid.push({ item: i, x: space.x, y: space.y, turned });
      rest[i]!--;
      spaces = free
        ? carve(spaces, { x: space.x, y: space.y, width, height })
        : [...spaces.filter((other) => other !== space), ...split(space, width, height, manner.split)];
    }
  }
  return laid;
}

/** What is left of a space beside and above the piece in its corner, divided by one cut from edge to edge. */
function split(space: Space, width: number, height: number, how: Manner['split']): Space[] {
  const [dx, dy] = [space.width - width, space.height - height];
  const upright = how === 'up' || (how === 'shorter' && dx >= dy) || (how === 'longer' && dx < dy);
  const beside = { x: space.x + width, y: space.y, width: dx, height: upright ? space.height : height };
  const above = { x: space.x, y: space.y + height, width: upright ? width : space.width, height: dy };
  return [beside, above].filter((part) => part.width > 0 && part.height > 0);
}

/** The largest empty rectangles that are left when another is taken. */
export function carve(spaces: readonly Space[], taken: Space): Space[] {
  const parts = spaces.flatMap((space): Space[] => {
    const right = space.x + space.width;
    const top = space.y + space.height;
    const [takenRight, takenTop] = [taken.x + taken.width, taken.y + taken.height];
    if (taken.x >= right || takenRight <= space.x || taken.y >= top || takenTop <= space.y) return [space];
    return [
      { ...space, width: taken.x - space.x },
      { ...space, x: takenRight, width: right - takenRight },
      { ...space, height: taken.y - space.y },
      { ...space, y: takenTop, height: top - takenTop },
    ].filter(({ width, height }) => width > 0 && height > 0);
  });
  const inside = (a: Space, b: Space): boolean =>
    a.x >= b.x && a.y >= b.y && a.x + a.width <= b.x + b.width && a.y + a.height <= b.y + b.height;
  return parts.filter((a, i) => !parts.some((b, j) => i !== j && inside(a, b) && (!inside(b, a) || j < i)));
}
