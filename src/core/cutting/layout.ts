import { apart, partings, restsOf, type SheetPart, type Parting, type Pieces } from './apart';
import type { Answer } from './answer';
import type { Cut, CutList, Layout, Placement, Rect, SheetKind, SheetLayout } from './cut-list';
import { NM, type LaidItem, type Problem, type Stock } from './problem';
import { bestApart, blocksOf, emptyOf, tidied } from './tidy';

/** From nanometres inside the trim to millimetres on the sheet. */
const mmOn =
  ({ trim }: SheetKind) =>
  (nm: number): number =>
    trim + nm / NM;

/** A part of a sheet without the blade's width that went with it, mm. */
function rectOf({ x, y, width, height }: SheetPart, sheet: SheetKind, { kerf }: Stock): Rect {
  const on = mmOn(sheet);
  return { x: on(x), y: on(y), width: (width - kerf) / NM, height: (height - kerf) / NM };
}

/** The cuts that take the trim off, one after the other; the blade goes in the margin as far as that is wide enough. */
export function trimCuts({ width, height, trim, kerf }: SheetKind): Cut[] {
  if (trim === 0) return [];
  const near = Math.max(0, trim - kerf);
  return [
    { from: [near, 0], to: [near, height] },
    { from: [width - trim, 0], to: [width - trim, height] },
    { from: [trim, near], to: [width - trim, near] },
    { from: [trim, height - trim], to: [width - trim, height - trim] },
  ];
}

/** A cut as a line on the sheet, mm: the blade takes its width from there on. */
function lineOf({ part, axis, at }: Parting, sheet: SheetKind, { kerf }: Stock): Cut {
  const { x, y, width, height } = rectOf(part, sheet, { kerf } as Stock);
  const line = mmOn(sheet)(at - kerf);
  return axis === 'x' ? { from: [line, y], to: [line, y + height] } : { from: [x, line], to: [x + width, line] };
}

/** Which of the pieces of one size is laid next, and whether it lies across. */
type Naming = (item: number) => { readonly name: string; readonly across: boolean };

/** Gives each laid piece its name, in the order of the list. */
export function namesOf(list: CutList, { items }: Problem): Naming {
  const queues = items.map(({ pieces }) =>
    pieces.flatMap(({ piece, quantity, across }) =>
      Array.from({ length: quantity }, () => ({ name: list.pieces[piece]!.name, across })),
    ),
  );
  return (item) => queues[item]!.shift()!;
}

/** One sheet with its pieces named, its cuts in order and what is left. */
function sheetLayout(
  list: CutList,
  problem: Problem,
  stock: Stock,
  laid: readonly LaidItem[],
  naming: Naming,
): SheetLayout {
  const sheet = list.sheets[stock.sheet]!;
  const keep = list.keep * NM;
  const { items, free } = problem;
  const placements = blocksOf(laid, stock, items).map((block, i): Placement => {
    const { name, across } = naming(laid[i]!.item);
    return { piece: name, ...rectOf(block, sheet, stock), turned: laid[i]!.turned !== across };
  });
  if (free)
    return {
      sheet: sheet.name,
      placements,
      cuts: outlines(placements, sheet),
      offcuts: emptyOf(laid, stock, items, keep).map((part) => rectOf(part, sheet, stock)),
    };
  const pieces = bestApart(laid, stock, items, keep)!;
  return {
    sheet: sheet.name,
    placements,
    cuts: [...trimCuts(sheet), ...partings(pieces).map((cut) => lineOf(cut, sheet, stock))],
    offcuts: offcutsOf(pieces, sheet, stock, list.keep),
  };
}

/** What is left and worth keeping, largest first. */
function offcutsOf(pieces: Pieces, sheet: SheetKind, stock: Stock, keep: number): Rect[] {
  return restsOf(pieces)
    .map((part) => rectOf(part, sheet, stock))
    .filter(({ width, height }) => Math.min(width, height) >= keep - 1e-6)
    .sort((a, b) => b.width * b.height - a.width * a.height);
}

/** The pieces' outlines, those sides that are not the sheet's own edge, each piece in turn; a shared side once. */
function outlines(placements: readonly Placement[], sheet: SheetKind): Cut[] {
  const seen = new Set<string>();
  return placements.flatMap(({ x, y, width, height }) => {
    const sides: Cut[] = [
      { from: [x, y], to: [x + width, y] },
      { from: [x + width, y], to: [x + width, y + height] },
      { from: [x, y + height], to: [x + width, y + height] },
      { from: [x, y], to: [x, y + height] },
    ];
    const near = (a: number, b: number): boolean => Math.abs(a - b) < 1e-6;
    return sides.filter(({ from, to }) => {
      const onEdge =
        (near(from[0], to[0]) && (near(from[0], 0) || near(from[0], sheet.width))) ||
        (near(from[1], to[1]) && (near(from[1], 0) || near(from[1], sheet.height)));
      const key = [...from, ...to].map((n) => n.toFixed(4)).join();
      if (onEdge || seen.has(key)) return false;
      seen.add(key);
      return true;
    });
  });
}

/** What found no place, by name, and why. */
function unplacedOf(list: CutList, problem: Problem, { unplaced }: Answer, naming: Naming): Layout['unplaced'] {
  const found = new Map<string, number>();
  unplaced.forEach((n, item) => {
    for (let i = 0; i < n; i++) {
      const { name } = naming(item);
      found.set(name, (found.get(name) ?? 0) + 1);
    }
  });
  return [...found].map(([piece, quantity]) => ({ piece, quantity, why: 'There is no sheet left to cut it from.' }));
}

/** Share of some sheets that is pieces, 0 to 1. */
export function shareUsed(list: CutList, sheets: readonly SheetLayout[]): number {
  const size = ({ width, height }: { readonly width: number; readonly height: number }): number => width * height;
  const paper = sheets.reduce((sum, { sheet }) => sum + size(list.sheets.find(({ name }) => name === sheet)!), 0);
  const cut = sheets.flatMap(({ placements }) => placements).reduce((sum, piece) => sum + size(piece), 0);
  return paper > 0 ? cut / paper : 0;
}

/** A whole layout from an answer. `tidy` lays each sheet's pieces anew so that what is left is one large offcut. */
export function layoutOf(
  list: CutList,
  problem: Problem,
  answer: Answer,
  proof: { readonly lowerBound: number; readonly proved: boolean },
  misfits: Layout['unplaced'],
  tidy: boolean,
): Layout {
  const { items, stocks, free } = problem;
  const naming = namesOf(list, problem);
  const area = (laid: readonly LaidItem[]): number =>
    laid.reduce((sum, { item }) => sum + items[item]!.width * items[item]!.height, 0);
  // Sheets of a kind together, fullest first; the same sheet is laid the same way each time.
  const pieces = answer.patterns.reduce((sum, pattern) => sum + pattern.laid.length, 0);
  const tidyOf = new Map<string, readonly LaidItem[]>();
  const sheets = [...answer.patterns]
    .sort((a, b) => a.stock - b.stock || area(b.laid) - area(a.laid))
    .map(({ stock, counts, laid }) => {
      const key = `${stock}:${counts.join()}`;
      if (!tidyOf.has(key))
        tidyOf.set(key, tidy ? tidied(laid, stocks[stock]!, items, list.keep * NM, free, pieces) : laid);
      return sheetLayout(list, problem, stocks[stock]!, tidyOf.get(key)!, naming);
    });
  const unplaced = [...misfits, ...unplacedOf(list, problem, answer, naming)];
  return {
    version: 1,
    sheets,
    sheetsUsed: sheets.length,
    lowerBound: Math.min(proof.lowerBound, sheets.length),
    optimal: proof.proved && unplaced.length === 0,
    yield: shareUsed(list, sheets),
    unplaced,
  };
}

/** What becomes of a sheet somebody laid out by hand. */
export type ByHand =
  | { readonly ok: true; readonly sheet: SheetLayout }
  | { readonly ok: false; readonly why: 'outside' | 'overlap' | 'locked'; readonly pieces: readonly number[] };

/** Whether pieces laid by hand can be cut, and how: none outside or over another, and for a trimmer none locked in. */
export function laidByHand(
  placements: readonly Placement[],
  sheet: SheetKind,
  cutter: CutList['cutter'],
  keep: number,
): ByHand {
  const kerf = Math.round(sheet.kerf * NM);
  const inside = (side: number): number => Math.round((side - 2 * sheet.trim) * NM) + kerf;
  const part: SheetPart = { x: 0, y: 0, width: inside(sheet.width), height: inside(sheet.height) };
  const blocks = placements.map(({ x, y, width, height }, id) => ({
    id,
    x: Math.round((x - sheet.trim) * NM),
    y: Math.round((y - sheet.trim) * NM),
    width: Math.round(width * NM) + kerf,
    height: Math.round(height * NM) + kerf,
  }));
  const HAIR = 200;
  const outside = blocks.filter(
    (b) => b.x < -HAIR || b.y < -HAIR || b.x + b.width > part.width + HAIR || b.y + b.height > part.height + HAIR,
  );
  if (outside.length > 0) return { ok: false, why: 'outside', pieces: outside.map(({ id }) => id) };
  for (const a of blocks)
    for (const b of blocks)
      if (
        a.id < b.id &&
        Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > HAIR &&
        Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > HAIR
      )
        return { ok: false, why: 'overlap', pieces: [a.id, b.id] };
  const stock = { kerf } as Stock;
  const free = cutter === 'free';
  const found = (['x', 'y'] as const).map((axis) => apart(blocks, part, axis));
  const [best] = found
    .flatMap((one) => (one.ok ? [{ pieces: one.pieces, offcuts: offcutsOf(one.pieces, sheet, stock, keep) }] : []))
    .sort(
      (a, b) => largestOf(b.offcuts) - largestOf(a.offcuts) || partings(a.pieces).length - partings(b.pieces).length,
    );
  if (!best && !free) {
    const [locked] = found.flatMap((one) => (one.ok ? [] : [one.locked]));
    return { ok: false, why: 'locked', pieces: locked! };
  }
  return {
    ok: true,
    sheet: {
      sheet: sheet.name,
      placements: [...placements],
      cuts: free
        ? outlines(placements, sheet)
        : [...trimCuts(sheet), ...partings(best!.pieces).map((cut) => lineOf(cut, sheet, stock))],
      offcuts: best?.offcuts ?? [],
    },
  };
}

const largestOf = ([first]: readonly Rect[]): number => (first ? first.width * first.height : 0);
