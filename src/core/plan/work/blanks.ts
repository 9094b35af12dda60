import type { CutPiece } from '../../cutting';
import type { Design } from '../design/design';
import { cutFor } from '../design/sheets';
import type { Made } from '../plan';
import { companionsOf } from './companions';

/**
 * The blanks one copy of a design takes, mm: its own pieces, not those the maker has already, and the companions it
 * asks for. On paper with a right way up each lies as the design turns it, and may not be turned.
 */
export function blanksOf(
  made: Made,
  design: Pick<Design, 'companions' | 'graduation' | 'paper' | 'papers'>,
): CutPiece[] {
  const own = cutFor(
    made.pieces.map(({ piece }) => piece),
    design,
  );
  const more = companionsOf(made, design).map(({ piece: { name, blank, quantity } }): CutPiece => ({
    name,
    ...blank,
    quantity,
    turn: !design.paper.directional,
  }));
  return [...own, ...more];
}
