import type { CutList } from './cut-list';

/**
 * Lengths inside the search are whole nanometres: every fraction of an inch down to 1/128 is whole there, so that three
 * thirds of a sheet fit it exactly.
 */
export const NM = 1e6;

/** A kind of sheet as the search sees it: what is left inside its trim, grown by the blade's width once. */
export interface Stock {
  readonly width: number;
  readonly height: number;
  /** Width of the blade: what lies on the sheet is grown by it, so that pieces lie edge to edge. */
  readonly kerf: number;
  /** At hand; infinite where there are as many as needed. */
  readonly count: number;
  /** Whether pieces may be turned on it. */
  readonly turn: boolean;
  readonly priority: number;
  /** Place in the cut list. */
  readonly sheet: number;
}

/** A size of piece, all pieces of it together. */
export interface Item {
  readonly width: number;
  readonly height: number;
  readonly turn: boolean;
  readonly demand: number;
  /** The pieces of this size in the cut list, by place; each may lie the other way round. */
  readonly pieces: readonly { readonly piece: number; readonly quantity: number; readonly across: boolean }[];
}

/** A piece laid on a sheet, nm, from the lower left of what the trim leaves. */
export interface LaidItem {
  readonly item: number;
  readonly x: number;
  readonly y: number;
  readonly turned: boolean;
}

/** One sheet and what lies on it. */
export interface Pattern {
  readonly stock: number;
  /** How many of each item. */
  readonly counts: readonly number[];
  readonly laid: readonly LaidItem[];
}

/** A cut list in whole nanometres, equal sizes together. */
export interface Problem {
  readonly stocks: readonly Stock[];
  readonly items: readonly Item[];
  readonly free: boolean;
}

/** The list in whole nanometres, equal sizes together; sheets of which there are none are left out. */
export function problemOf(list: CutList): Problem {
  const nm = (length: number): number => Math.round(length * NM);
  const stocks = list.sheets.flatMap((sheet, i): Stock[] => {
    if (sheet.count === 0) return [];
    const kerf = nm(sheet.kerf);
    return [
      {
        width: nm(sheet.width) - 2 * nm(sheet.trim) + kerf,
        height: nm(sheet.height) - 2 * nm(sheet.trim) + kerf,
        kerf,
        count: sheet.count ?? Infinity,
        turn: !sheet.directional,
        priority: sheet.priority,
        sheet: i,
      },
    ];
  });
  const items = new Map<string, { -readonly [K in keyof Item]: Item[K] } & { pieces: Item['pieces'][number][] }>();
  list.pieces.forEach(({ width, height, turn, quantity }, piece) => {
    if (quantity === 0) return;
    const [w, h] = [nm(width), nm(height)];
    // A piece lying the other way round is the same size only if every sheet lets it be turned.
    const across = turn && w < h && stocks.every((stock) => stock.turn);
    const [a, b] = across ? [h, w] : [w, h];
    const turns = turn && a !== b;
    const key = `${a} ${b} ${turns}`;
    const item = items.get(key) ?? { width: a, height: b, turn: turns, demand: 0, pieces: [] };
    item.demand += quantity;
    item.pieces.push({ piece, quantity, across });
    items.set(key, item);
  });
  return { stocks, items: [...items.values()], free: list.cutter === 'free' };
}

/** A way an item may lie on a stock, blade included. */
export interface ItemPose {
  readonly width: number;
  readonly height: number;
  readonly turned: boolean;
}

/** The ways an item may lie on a stock; none where it does not fit. */
export function waysOn(stock: Stock, item: Item): readonly ItemPose[] {
  const [width, height] = [item.width + stock.kerf, item.height + stock.kerf];
  const ways: ItemPose[] = [{ width, height, turned: false }];
  if (item.turn && stock.turn) ways.push({ width: height, height: width, turned: true });
  return ways.filter((way) => way.width <= stock.width && way.height <= stock.height);
}

/** How many of each item lie there. */
export function countsOf(laid: readonly LaidItem[], items: readonly Item[]): number[] {
  const counts = items.map(() => 0);
  for (const { item } of laid) counts[item]!++;
  return counts;
}
