import { sheetsFor, type CutList, type NeededPiece } from '../cutting';
import { drawn } from '../constructions';
import { mm, roundTo, stepOf } from '../length';
import type { Blank, Piece } from '../pattern';
import { briefFor, paperOf, type Design, type Papers } from './design';

/** So many lengths are tried along a sheet; from the best of them it goes on in smaller steps. */
const TRIED = 10;
/** Most layouts looked for: what is found by then is taken. */
const MOST_LAID = 60;

/** A sheet of paper for the cutting, as many of it as it takes. */
export const sheetOf = (
  { width, height }: Blank,
  { directional }: Pick<Design['paper'], 'directional'>,
): CutList['sheets'][number] => ({
  name: 'sheet',
  width,
  height,
  count: undefined,
  kerf: mm(0),
  trim: mm(0),
  directional,
  priority: 0,
});

/** What is cut for a pattern, as the cutting takes it. */
export const cutFor = (pieces: readonly Piece[], design: Papers): NeededPiece[] =>
  pieces
    .filter(({ source }) => source === 'made')
    .map(({ name, blank, quantity, trims }): NeededPiece => {
      // What the same thing uses is not there for another.
      const gives = 1 + trims.filter(({ kept }) => kept === 'spare').length;
      const { directional, turn } = paperOf(design, name);
      const across = directional && turn % 2 === 1;
      return {
        name,
        width: across ? blank.height : blank.width,
        height: across ? blank.width : blank.height,
        quantity,
        turn: !directional,
        ...(gives > 1 && { gives }),
      };
    });

/** Found before, the oldest forgotten first: a plan is asked for again and again. */
const found = new Map<string, Blank | null>();
const MOST_FOUND = 40;

/**
 * The largest first piece with which all pieces of a holder can be cut from so many of the given sheets, from edge to
 * edge, either way round; on the design's marks. Null where there is none.
 */
export function firstPieceFrom(design: Design, sheets: number): Blank | null {
  const { blank, graduation, options, paper, thickness, contents, tool } = design;
  if (!blank) return null;
  const about = [design.construction.name, sheets, blank, graduation, options, paper, thickness, contents, tool];
  const key = JSON.stringify(about);
  const before = found.get(key);
  if (before !== undefined) return before;
  const piece = searched(design, blank, sheets);
  found.set(key, piece);
  for (const oldest of found.keys()) {
    if (found.size <= MOST_FOUND) break;
    found.delete(oldest);
  }
  return piece;
}

/** True for what is made of several pieces when its first is the given paper. */
export function comesInPieces(design: Design): boolean {
  const pattern = drawn(design.construction, briefFor(design));
  return pattern.ok && cutFor(pattern.built.pieces, design).reduce((sum, { quantity }) => sum + quantity, 0) > 1;
}

function searched(design: Design, sheet: Blank, sheets: number): Blank | null {
  const marks = design.graduation === 'exact' ? '0.5 mm' : design.graduation;
  const step = stepOf(marks);
  const stock = sheetOf(sheet, design.paper);
  const room = sheets * sheet.width * sheet.height;
  let left = MOST_LAID;
  const goes = (blank: Blank): boolean => {
    if (areaOf(blank) > room || left <= 0) return false;
    const pattern = drawn(design.construction, briefFor({ ...design, blank }));
    if (!pattern.ok) return false;
    const pieces = cutFor(pattern.built.pieces, design);
    const area = pieces.reduce((sum, { width, height, quantity }) => sum + width * height * quantity, 0);
    if (area > room) return false;
    left--;
    return sheetsFor(pieces, stock, sheets) <= sheets;
  };
  const on = (width: number, height: number): Blank => ({
    width: roundTo(mm(width), marks, 'down'),
    height: roundTo(mm(height), marks, 'down'),
  });
  const most = Math.max(sheet.width, sheet.height);
  const lengths = Array.from({ length: TRIED }, (_, i) => (most * (i + 1)) / TRIED);
  const tried = lengths
    .flatMap((width) => lengths.map((height) => on(width, height)))
    .filter(({ width, height }) => width > 0 && height > 0)
    .sort((a, b) => areaOf(b) - areaOf(a));
  let best = tried.find(goes) ?? null;
  // From there towards more, by smaller and smaller steps; what one side gives up the other may gain.
  for (let by = most / TRIED; best && by >= step / 2;) {
    const { width, height }: Blank = best;
    const next: Blank | undefined = [
      on(width + by, height + by),
      on(width + by, height),
      on(width, height + by),
      on(width + by, height - by),
      on(width - by, height + by),
    ].find((one) => one.height > 0 && one.width > 0 && areaOf(one) > areaOf(best!) && goes(one));
    if (next) best = next;
    else by /= 2;
  }
  return best;
}

const areaOf = ({ width, height }: Blank): number => width * height;
