import {
  laidByHand,
  shareUsed,
  type ByHand,
  type CutList,
  type Layout,
  type Placement,
  type SheetKind,
} from '@/core/cutting';
import { mm, roundTo, type Graduation } from '@/core/length';

type Refused = Extract<ByHand, { ok: false }>;

/** Sheets as somebody laid them, and for each that cannot be cut, why. */
export interface LayoutDraft {
  readonly layout: Layout;
  readonly refused: ReadonlyMap<number, Refused>;
}

export const kindOf = (list: CutList, name: string): SheetKind => list.sheets.find((sheet) => sheet.name === name)!;

/** A layout with some sheets' pieces laid anew: their cuts and offcuts follow, or the reason why they cannot be cut. */
export function redrawn(
  list: CutList,
  { layout, refused }: LayoutDraft,
  changed: ReadonlyMap<number, readonly Placement[]>,
): LayoutDraft {
  const troubles = new Map(refused);
  const sheets = layout.sheets.map((sheet, i) => {
    const placements = changed.get(i);
    if (!placements) return sheet;
    const found = laidByHand(placements, kindOf(list, sheet.sheet), list.cutter, list.keep);
    troubles.delete(i);
    if (found.ok) return found.sheet;
    troubles.set(i, found);
    return { ...sheet, placements: [...placements] };
  });
  return { layout: { ...layout, sheets }, refused: troubles };
}

/** A layout that can be cut, without its empty sheets. */
export function settled({ layout }: LayoutDraft, list: CutList): Layout {
  const sheets = layout.sheets.filter(({ placements }) => placements.length > 0);
  return {
    ...layout,
    sheets,
    sheetsUsed: sheets.length,
    optimal: sheets.length <= layout.lowerBound && layout.unplaced.length === 0,
    yield: shareUsed(list, sheets),
  };
}

/** Whether a piece may be turned on a sheet. */
export const mayTurn = (list: CutList, sheet: SheetKind, piece: string): boolean =>
  !sheet.directional && list.pieces.every(({ name, turn }) => name !== piece || turn);

export const turnedPlacement = (piece: Placement): Placement => ({
  ...piece,
  width: piece.height,
  height: piece.width,
  turned: !piece.turned,
});

/** How near an edge draws a piece to it, as a share of the sheet's width. */
const PULL = 0.025;

/** Where a dragged piece comes to lie: at an edge that is near, else on a mark; never off the sheet. */
export function snapped(
  piece: Placement,
  others: readonly Placement[],
  { width, height, trim, kerf }: SheetKind,
  graduation: Graduation,
): Placement {
  const pull = Math.max(width, height) * PULL;
  const along = (at: number, size: number, whole: number, edges: readonly number[]): number => {
    const [least, most] = [trim, Math.max(trim, whole - trim - size)];
    const near = [least, most, ...edges, ...edges.map((edge) => edge - size - kerf)]
      .filter((edge) => Math.abs(edge - at) <= pull)
      .sort((a, b) => Math.abs(a - at) - Math.abs(b - at))[0];
    return Math.min(most, Math.max(least, near ?? roundTo(mm(at), graduation, 'nearest')));
  };
  return {
    ...piece,
    x: along(
      piece.x,
      piece.width,
      width,
      others.flatMap((o) => [o.x + o.width + kerf, o.x]),
    ),
    y: along(
      piece.y,
      piece.height,
      height,
      others.flatMap((o) => [o.y + o.height + kerf, o.y]),
    ),
  };
}

/** The first place on a sheet where a piece can lie and the sheet still be cut; turned if it must be. Null when none. */
export function placeFor(
  piece: Placement,
  others: readonly Placement[],
  list: CutList,
  sheet: SheetKind,
): Placement | null {
  const { trim, kerf } = sheet;
  const xs = [trim, ...others.map((o) => o.x + o.width + kerf)].sort((a, b) => a - b);
  const ys = [trim, ...others.map((o) => o.y + o.height + kerf)].sort((a, b) => a - b);
  for (const lying of mayTurn(list, sheet, piece.piece) ? [piece, turnedPlacement(piece)] : [piece])
    for (const y of ys)
      for (const x of xs) {
        const there = { ...lying, x, y };
        if (laidByHand([...others, there], sheet, list.cutter, list.keep).ok) return there;
      }
  return null;
}

/** Why a sheet cannot be cut, as one says it at the table. */
export function refusedWords({ why, pieces }: Refused, placements: readonly Placement[]): string {
  const names = [...new Set(pieces.map((i) => placements[i]?.piece ?? ''))].join(', ');
  switch (why) {
    case 'outside':
      return `Reaches over the edge of the sheet: ${names}.`;
    case 'overlap':
      return `Two pieces lie over each other: ${names}.`;
    case 'locked':
      return `No straight cut from edge to edge passes between ${names}: they lock one another in. Move one, or cut this sheet with scissors.`;
  }
}
