import { companionsOf, type Design, type Made } from '../plan';
import type { CutPiece } from './cut-list';

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
export function blanksOf(made: Made, design: Pick<Design, 'companions' | 'graduation' | 'paper'>): CutPiece[] {
  const { directional, turn } = design.paper;
  const own = made.pieces
    .filter(({ piece }) => !piece.given)
    .map(({ piece: { name, blank } }): CutPiece => {
      const across = directional && turn % 2 === 1;
      return {
        name,
        width: across ? blank.height : blank.width,
        height: across ? blank.width : blank.height,
        quantity: 1,
        turn: !directional,
      };
    });
  const more = companionsOf(made, design).map(({ title, width, height }): CutPiece => ({
    name: title.toLowerCase(),
    width,
    height,
    quantity: 1,
    turn: !directional,
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
