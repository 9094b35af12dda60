import { mm } from '../length';
import { answerBy } from './answer';
import type { CutList, CutPiece } from './cut-list';
import { largestFirst, MANNERS } from './fill';
import { placedFirst } from './placed';
import { problemOf, type Pattern } from './problem';

/** A blank that one copy of something takes. */
export interface NeededPiece extends CutPiece {
  /** How many of it one blank gives: a square cut corner to corner is two mats. One where it is not told. */
  readonly gives?: number;
}

/** Something to be cut for, with everything it takes for one copy. */
export interface Need {
  readonly name: string;
  readonly copies: number;
  readonly pieces: readonly NeededPiece[];
}

/** Everything several needs take, each piece named by what it is for where there is more than one. */
export function piecesOf(needs: readonly Need[]): CutPiece[] {
  return needs.flatMap(({ name, copies, pieces }) =>
    pieces.map(({ gives = 1, ...piece }) => ({
      ...piece,
      name: needs.length > 1 ? `${name}: ${piece.name}` : piece.name,
      quantity: Math.ceil((piece.quantity * copies) / gives),
    })),
  );
}

/** A few manners of every kind: this is asked at every change of a design. */
const QUICK = MANNERS.filter((_, i) => i % 7 === 0);
/** Most copies of one thing looked for on a sheet. */
const MOST_COPIES = 60;

/**
 * How many sheets of one size some pieces take, cut from edge to edge, as a quick layout finds it: a searched one may do
 * with fewer. Infinite where a piece is larger than the sheet.
 * @param enough no fewer are looked for than these
 */
export function sheetsFor(pieces: readonly CutPiece[], sheet: CutList['sheets'][number], enough = 1): number {
  const { rest, taken, isRest } = placedFirst({
    version: 1,
    sheets: [{ ...sheet, count: undefined }],
    pieces: [...pieces],
    cutter: 'guillotine',
    keep: mm(1),
  });
  const problem = problemOf(rest);
  // What is left of a sheet that a placed piece lies on is no sheet of its own.
  const isSheet = ({ stock }: Pattern): boolean => !isRest(rest.sheets[problem.stocks[stock]!.sheet]!);
  let fewest = Infinity;
  for (const manner of QUICK) {
    const { patterns, unplaced } = answerBy(problem, largestFirst(problem.items, manner.order), manner);
    if (unplaced.every((n) => n === 0)) fewest = Math.min(fewest, taken + patterns.filter(isSheet).length);
    if (fewest <= enough) break;
  }
  return fewest;
}

/**
 * How many copies a stack of sheets is surely enough for, cut from edge to edge: as many to a sheet as a quick layout
 * finds, or so many sheets to a copy. 0 where a piece is larger than the sheet.
 */
export function copiesFrom(pieces: readonly NeededPiece[], sheet: CutList['sheets'][number], count: number): number {
  const takes = (copies: number): number => sheetsFor(piecesOf([{ name: '', copies, pieces }]), sheet);
  const one = takes(1);
  if (one > 1) return one === Infinity ? 0 : Math.floor(count / one);
  let each = 1;
  while (each < MOST_COPIES && takes(each + 1) === 1) each++;
  return each * count;
}
