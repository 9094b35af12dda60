import type { NeededPiece } from '../cutting';
import { paperOf, type Design, type Papers, cutFor } from '../design';
import { mm } from '../length';
import { cutOutOf } from '../looks';
import type { Made } from '../plan';

/**
 * The blanks one copy of a design takes, mm: its own pieces, not those the maker has already, and its layers.
 * On paper with a right way up each lies as the design turns it, and may not be turned; the first lies where
 * it was laid on its paper.
 */
export function blanksOf(made: Made, design: Papers & Partial<Pick<Design, 'rescued'>>): NeededPiece[] {
  const own = cutFor(
    // What is made of a sheet that went wrong takes no other.
    made.pieces.flatMap(({ piece }) => (piece.name === design.rescued?.piece ? [] : [piece])),
    design,
  );
  const more = made.layers.flatMap(({ piece: { name, blank, quantity } }): NeededPiece[] =>
    name === design.rescued?.piece ? [] : [{ name, ...blank, quantity, turn: !paperOf(design, name).directional }],
  );
  const { width, height } = design.paper;
  const out = cutOutOf(made, design);
  if (!out || width === undefined || height === undefined) return [...own, ...more];
  const place = { x: mm(out.x), y: mm(out.y), on: { width, height } };
  const lying = { width: mm(out.width), height: mm(out.height), turn: !design.paper.directional, place };
  const { name } = made.pieces[0].piece;
  return [...own.map((piece) => (piece.name === name ? { ...piece, ...lying } : piece)), ...more];
}
