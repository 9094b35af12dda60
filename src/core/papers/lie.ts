import { compose, type Affine } from '../geometry';
import { printNamed } from './prints';
import type { PaperFace } from './face';

/**
 * How a print lies on its sheet: from a place of its tile (mm from the upper left corner, y down, as it is read) to a place of
 * the whole sheet as it lies with its back up (mm from the lower left, y up). Laid again and again beside itself the tile covers
 * the sheet, from the corner that is lower left where the print is looked at. On the front it is mirrored so that whoever turns
 * the sheet over reads it the right way round; on the back it is read as the sheet lies.
 */
export function printLies(face: PaperFace, side: 'front' | 'back', width: number): Affine {
  const seen: Affine = side === 'front' ? [-1, 0, 0, -1, width, 0] : [1, 0, 0, -1, 0, 0];
  if ('colour' in face) return seen;
  const { tile } = printNamed(face.print) ?? { tile: { width: 0, height: 0 } };
  return compose(seen, TURNED[face.turn](tile.width, tile.height));
}

/** A tile turned by quarters clockwise, within the rectangle it then takes. */
const TURNED: Record<0 | 1 | 2 | 3, (width: number, height: number) => Affine> = {
  0: () => [1, 0, 0, 1, 0, 0],
  1: (_, height) => [0, 1, -1, 0, height, 0],
  2: (width, height) => [-1, 0, 0, -1, width, height],
  3: (width) => [0, -1, 1, 0, 0, width],
};
