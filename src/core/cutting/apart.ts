/** Lengths nearer than this are one, nm: a tenth of a thousandth of a millimetre. */
export const SAME = 100;

/** A rectangle of paper, nm. What lies on it is grown by the blade's width, and so is the paper. */
export interface SheetPart {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A piece on the paper; `id` says which. */
export interface Block extends SheetPart {
  readonly id: number;
}

/** A cut from edge to edge of one part: across x (an upright line) or across y, parting it into first and second. */
export interface Parting {
  readonly part: SheetPart;
  readonly axis: 'x' | 'y';
  /** Where the second part begins. */
  readonly at: number;
  readonly first: Pieces;
  readonly second: Pieces;
}

/** What becomes of a part: it is parted, it is a piece, or nothing lies on it. */
export type Pieces =
  | { readonly kind: 'cut'; readonly cut: Parting }
  | { readonly kind: 'piece'; readonly part: SheetPart; readonly id: number }
  | { readonly kind: 'rest'; readonly part: SheetPart };

/** The cuts that part the pieces, or the pieces no cut from edge to edge passes between. */
export type Apart =
  | { readonly ok: true; readonly pieces: Pieces }
  | { readonly ok: false; readonly locked: readonly number[] };

type Axis = Parting['axis'];
const other = (axis: Axis): Axis => (axis === 'x' ? 'y' : 'x');
const start = (part: SheetPart, axis: Axis): number => part[axis];
const length = (part: SheetPart, axis: Axis): number => (axis === 'x' ? part.width : part.height);
const end = (part: SheetPart, axis: Axis): number => start(part, axis) + length(part, axis);
const between = (part: SheetPart, axis: Axis, from: number, to: number): SheetPart =>
  axis === 'x' ? { ...part, x: from, width: to - from } : { ...part, y: from, height: to - from };

/**
 * Parts pieces by cuts from edge to edge, strips first: every cut there is along one axis, then each strip along the
 * other. If any order of cuts parts them this one does, for a cut that was possible before another is still possible
 * after it. `first` is the axis tried first.
 */
export function apart(blocks: readonly Block[], part: SheetPart, first: Axis): Apart {
  if (blocks.length === 0) return { ok: true, pieces: { kind: 'rest', part } };
  const [block] = blocks;
  if (
    blocks.length === 1 &&
    (['x', 'y'] as const).every(
      (axis) =>
        Math.abs(start(block!, axis) - start(part, axis)) <= SAME &&
        Math.abs(end(block!, axis) - end(part, axis)) <= SAME,
    )
  )
    return { ok: true, pieces: { kind: 'piece', part, id: block!.id } };
  const along = strips(blocks, first).length > 1 || gaps(blocks, part, first) ? first : other(first);
  const found = strips(blocks, along);
  if (found.length === 1 && !gaps(blocks, part, along)) return { ok: false, locked: blocks.map(({ id }) => id) };
  return inTurn(found, part, along);
}

/** Whether there is paper beside the outermost pieces. */
const gaps = (blocks: readonly Block[], part: SheetPart, axis: Axis): boolean =>
  Math.min(...blocks.map((block) => start(block, axis))) > start(part, axis) + SAME ||
  Math.max(...blocks.map((block) => end(block, axis))) < end(part, axis) - SAME;

/** Cuts one strip after the other off a part. */
function inTurn(found: readonly Strip[], part: SheetPart, axis: Axis): Apart {
  const [strip, ...more] = found;
  if (!strip) return { ok: true, pieces: { kind: 'rest', part } };
  const cut = (at: number, head: Apart, tail: Apart): Apart =>
    !head.ok
      ? head
      : !tail.ok
        ? tail
        : { ok: true, pieces: { kind: 'cut', cut: { part, axis, at, first: head.pieces, second: tail.pieces } } };
  if (strip.from > start(part, axis) + SAME)
    return cut(
      strip.from,
      { ok: true, pieces: { kind: 'rest', part: between(part, axis, start(part, axis), strip.from) } },
      inTurn(found, between(part, axis, strip.from, end(part, axis)), axis),
    );
  if (strip.to >= end(part, axis) - SAME) return apart(strip.blocks, part, other(axis));
  return cut(
    strip.to,
    apart(strip.blocks, between(part, axis, start(part, axis), strip.to), other(axis)),
    inTurn(more, between(part, axis, strip.to, end(part, axis)), axis),
  );
}

interface Strip {
  readonly from: number;
  readonly to: number;
  readonly blocks: readonly Block[];
}

/** The pieces in strips no piece of which reaches into another, along an axis. */
function strips(blocks: readonly Block[], axis: Axis): Strip[] {
  const sorted = [...blocks].sort((a, b) => start(a, axis) - start(b, axis));
  const found: { from: number; to: number; blocks: Block[] }[] = [];
  for (const block of sorted) {
    const last = found.at(-1);
    if (last && start(block, axis) < last.to - SAME) {
      last.blocks.push(block);
      last.to = Math.max(last.to, end(block, axis));
    } else found.push({ from: start(block, axis), to: end(block, axis), blocks: [block] });
  }
  return found;
}

/** Every cut, each before those that need it. */
export function partings(pieces: Pieces): Parting[] {
  return pieces.kind === 'cut' ? [pieces.cut, ...partings(pieces.cut.first), ...partings(pieces.cut.second)] : [];
}

/** What is left over, the blade's width still with it. */
export function restsOf(pieces: Pieces): SheetPart[] {
  if (pieces.kind === 'cut') return [...restsOf(pieces.cut.first), ...restsOf(pieces.cut.second)];
  return pieces.kind === 'rest' ? [pieces.part] : [];
}
