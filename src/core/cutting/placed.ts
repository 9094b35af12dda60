import { TOLERANCE } from '../geometry';
import type { CutList, CutPiece, Layout, Placement, SheetKind, SheetLayout } from './cut-list';
import { laidByHand, shareUsed } from './layout';

/** Sheets measured so near each other are the same paper, mm. */
const SAME = 0.5;

/** True for a sheet of that size, this way round. */
export const isOfSize = (
  sheet: { readonly width: number; readonly height: number },
  width: number,
  height: number,
): boolean => Math.abs(sheet.width - width) < SAME && Math.abs(sheet.height - height) < SAME;

/** Where a piece with a place of its own lies on a kind of sheet, as told or a quarter round; null on any other paper. */
function onSheet({ name, width, height, place }: CutPiece, sheet: SheetKind): Placement | null {
  if (!place) return null;
  const { x, y, on } = place;
  if (isOfSize(sheet, on.width, on.height)) return { piece: name, x, y, width, height, turned: false };
  if (sheet.directional || !isOfSize(sheet, on.height, on.width)) return null;
  return { piece: name, x: y, y: on.width - x - width, width: height, height: width, turned: true };
}

/** Whether a piece of a layout lies where its motif wants it: then it is not moved. */
export const isPlaced = (list: CutList, kind: SheetKind, { piece, x, y }: Placement): boolean =>
  list.pieces.some((one) => {
    const there = one.name === piece ? onSheet(one, kind) : null;
    return there !== null && Math.hypot(there.x - x, there.y - y) < TOLERANCE.drawn;
  });

/** Sheets that a piece with a place of its own is cut from, all laid alike. */
interface Group {
  readonly first: SheetLayout;
  readonly kind: SheetKind;
  readonly count: number;
}

/** What is left to be laid out when pieces with a place of their own lie there, and how that becomes the whole layout. */
interface PlacedFirst {
  readonly rest: CutList;
  /** Sheets that pieces with a place lie on; infinite where one of them finds none. */
  readonly taken: number;
  /** True for a sheet of `rest` that is only what is left of one of these. */
  readonly isRest: (sheet: SheetKind) => boolean;
  readonly whole: (layout: Layout) => Layout;
}

/** A part of a sheet a placed piece leaves over, by its place in `groups` and among the offcuts there. */
const restName = (group: number, offcut: number): string => `\0${group}.${offcut}`;
const isRest = ({ name }: { readonly name: string }): boolean => name.startsWith('\0');

/**
 * Takes the pieces that have a place on their paper out of a list: each copy lies there on a sheet of its own, and what
 * that leaves of the sheet is paper for the other pieces, taken before any other. A piece of whose paper no kind of
 * sheet is listed stays with the others.
 */
export function placedFirst(list: CutList): PlacedFirst {
  const left = list.sheets.map(({ count }) => count ?? Infinity);
  const groups: Group[] = [];
  const missing: Layout['unplaced'] = [];
  const byUse = [...list.sheets.entries()].sort(([, a], [, b]) => a.priority - b.priority);
  const pieces = list.pieces.map((piece) => {
    const own = byUse.flatMap(([i, kind]) => {
      const lying = onSheet(piece, kind);
      return lying ? [{ i, kind, laid: laidByHand([lying], kind, list.cutter, list.keep) }] : [];
    });
    if (own.length === 0) return piece;
    let { quantity } = piece;
    for (const { i, kind, laid } of own) {
      const count = Math.min(quantity, left[i]!);
      if (count === 0 || !laid.ok) continue;
      groups.push({ first: laid.sheet, kind, count });
      left[i]! -= count;
      quantity -= count;
    }
    const why = own.some(({ laid }) => laid.ok)
      ? 'There is no sheet left to cut it from.'
      : 'Its place reaches over the edge of the sheet.';
    if (quantity > 0) missing.push({ piece: piece.name, quantity, why });
    return { ...piece, quantity: 0 };
  });
  if (groups.length === 0 && missing.length === 0) return { rest: list, taken: 0, isRest, whole: (layout) => layout };
  const before = Math.min(...list.sheets.map(({ priority }) => priority)) - 1;
  const rests = groups.flatMap(({ first, kind, count }, group) =>
    first.offcuts.map(({ width, height }, offcut) => ({
      ...kind,
      name: restName(group, offcut),
      width,
      height,
      count,
      trim: 0,
      priority: before,
    })),
  );
  const sheets = list.sheets.map((sheet, i) => (left[i] === Infinity ? sheet : { ...sheet, count: left[i]! }));
  const rest = { ...list, sheets: [...rests, ...sheets] as CutList['sheets'], pieces };
  return {
    rest,
    taken: missing.length > 0 ? Infinity : groups.reduce((sum, { count }) => sum + count, 0),
    isRest,
    whole: (layout) => joined(list, groups, { ...layout, unplaced: [...missing, ...layout.unplaced] }),
  };
}

/** A layout of the rest laid into the sheets of the placed pieces. */
function joined(list: CutList, groups: readonly Group[], layout: Layout): Layout {
  const onRests = (name: string): SheetLayout[] => layout.sheets.filter(({ sheet }) => sheet === name);
  const placed = groups.flatMap(({ first, count }, group) => {
    const inside = first.offcuts.map((_, offcut) => onRests(restName(group, offcut)));
    return Array.from({ length: count }, (_, copy): SheetLayout => {
      const parts = first.offcuts.flatMap((offcut, i) => {
        const part = inside[i]![copy];
        return part ? [shifted(part, offcut)] : [];
      });
      return {
        ...first,
        placements: [...first.placements, ...parts.flatMap(({ placements }) => placements)],
        cuts: [...first.cuts, ...parts.flatMap(({ cuts }) => cuts)],
        offcuts: [
          ...first.offcuts.filter((_, i) => !inside[i]![copy]),
          ...parts.flatMap(({ offcuts }) => offcuts),
        ].sort((a, b) => b.width * b.height - a.width * a.height),
      };
    });
  });
  const sheets = [...placed, ...layout.sheets.filter(({ sheet: name }) => !isRest({ name }))];
  const size = ({ width, height }: { readonly width: number; readonly height: number }): number => width * height;
  const cut = sheets.flatMap(({ placements }) => placements).reduce((sum, piece) => sum + size(piece), 0);
  // Copies that lie at one place never share a sheet; and there is as much paper as there are pieces.
  const most = Math.max(...list.sheets.map(size));
  const lowerBound = Math.max(0, ...copiesOf(groups).values(), Math.ceil(cut / most - 1e-9));
  return {
    ...layout,
    sheets,
    sheetsUsed: sheets.length,
    lowerBound,
    optimal: lowerBound === sheets.length && layout.unplaced.length === 0,
    yield: shareUsed(list, sheets),
  };
}

function copiesOf(groups: readonly Group[]): Map<string, number> {
  const copies = new Map<string, number>();
  for (const { first, count } of groups) {
    const [lying] = first.placements;
    const key = [lying!.piece, lying!.x, lying!.y].join();
    copies.set(key, (copies.get(key) ?? 0) + count);
  }
  return copies;
}

/** A part's layout where that part lies on its sheet. */
function shifted(part: SheetLayout, { x, y }: { readonly x: number; readonly y: number }): SheetLayout {
  const moved = <T extends { readonly x: number; readonly y: number }>(one: T): T => ({
    ...one,
    x: one.x + x,
    y: one.y + y,
  });
  const point = ([px, py]: readonly [number, number]): [number, number] => [px + x, py + y];
  return {
    ...part,
    placements: part.placements.map(moved),
    cuts: part.cuts.map(({ from, to }) => ({ from: point(from), to: point(to) })),
    offcuts: part.offcuts.map(moved),
  };
}
