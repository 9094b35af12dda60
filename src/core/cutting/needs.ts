import { mm } from '../length';
import { companionsOf, paperOf, type Design, type Made } from '../plan';
import { answerBy } from './answer';
import type { CutList, CutPiece } from './cut-list';
import { largestFirst, MANNERS } from './fill';
import { problemOf } from './problem';

/** Something to be cut for, with everything it takes for one copy. */
export interface Need {
  readonly name: string;
  readonly copies: number;
  readonly pieces: readonly CutPiece[];
}

/**
 * The blanks one copy of a design takes, mm: its own pieces, not those the maker has already, and the companions it
 * asks for. On paper with a right way up each lies as the design turns it, and may not be turned.
 */
export function blanksOf(
  made: Made,
  design: Pick<Design, 'companions' | 'graduation' | 'paper' | 'papers'>,
): CutPiece[] {
  const own = made.pieces.map(({ piece: { name, blank, quantity } }): CutPiece => {
    const { directional, turn } = paperOf(design, name);
    const across = directional && turn % 2 === 1;
    return {
      name,
      width: across ? blank.height : blank.width,
      height: across ? blank.width : blank.height,
      quantity,
      turn: !directional,
    };
  });
  const more = companionsOf(made, design).map(({ piece: { name, blank, quantity } }): CutPiece => ({
    name,
    ...blank,
    quantity,
    turn: !design.paper.directional,
  }));
  return [...own, ...more];
}

/** Everything several needs take, each piece named by what it is for where there is more than one. */
export function piecesOf(needs: readonly Need[]): CutPiece[] {
  return needs.flatMap(({ name, copies, pieces }) =>
    pieces.map((piece) => ({
      ...piece,
      name: needs.length > 1 ? `${name}: ${piece.name}` : piece.name,
      quantity: piece.quantity * copies,
    })),
  );
}

/** A few manners of every kind: this is asked at every change of a design. */
const QUICK = MANNERS.filter((_, i) => i % 7 === 0);
/** Most copies of one thing looked for on a sheet. */
const MOST_COPIES = 60;

/**
 * How many copies a stack of sheets is surely enough for, cut from edge to edge: as many to a sheet as a quick layout
 * finds, or so many sheets to a copy. A searched layout may do with less. 0 where a piece is larger than the sheet.
 */
export function copiesFrom(pieces: readonly CutPiece[], sheet: CutList['sheets'][number], count: number): number {
  const sheetsFor = (copies: number): number => {
    const problem = problemOf({
      version: 1,
      sheets: [{ ...sheet, count: undefined }],
      pieces: pieces.map((piece) => ({ ...piece, quantity: piece.quantity * copies })),
      cutter: 'guillotine',
      keep: mm(1),
    });
    let fewest = Infinity;
    for (const manner of QUICK) {
      const { patterns, unplaced } = answerBy(problem, largestFirst(problem.items, manner.order), manner);
      if (unplaced.every((n) => n === 0)) fewest = Math.min(fewest, patterns.length);
      if (fewest === 1) break;
    }
    return fewest;
  };
  const one = sheetsFor(1);
  if (one > 1) return one === Infinity ? 0 : Math.floor(count / one);
  let each = 1;
  while (each < MOST_COPIES && sheetsFor(each + 1) === 1) each++;
  return each * count;
}
