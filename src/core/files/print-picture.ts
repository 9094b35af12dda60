import { foldedBox, inView, visibleFrom } from '../fold';
import type { Point } from '../geometry';
import { pictureOf } from '../looks';
import type { Made } from '../plan';

/** One shape of a printed picture, mm: x to the right, y up. Later ones cover earlier ones. */
export interface PrintShape {
  readonly rings: readonly (readonly Point[])[];
  /** 1 leaves the paper white, 0 prints black. */
  readonly shade: number;
}

/** How dark the outside of the sheet is printed; the inside stays white. */
const OUTSIDE = 0.87;
/** How much darker a panel is in full shadow. */
const SHADOW = 0.35;

/** The finished thing as a small picture for paper: what stands, or the front of what lies flat. */
export function printPicture(made: Made): readonly PrintShape[] {
  const picture = pictureOf(made);
  if (picture.kind === 'still')
    return picture.faces.map(({ points, side, light }) => ({
      rings: [points],
      shade: (side === 'inside' ? 1 : OUTSIDE) * (1 - (1 - light) * SHADOW),
    }));
  const { stack, view, front } = picture;
  const box = foldedBox(stack, view);
  const at = (p: Point): Point => {
    const v = inView(view, p as Point<'folded'>);
    return { x: front === 'above' ? box.maxX - v.x : v.x, y: -v.y };
  };
  return [...visibleFrom(stack, front, view)]
    .reverse()
    .map(({ region, side }) => ({ rings: region.map((ring) => ring.map(at)), shade: side === 'inside' ? 1 : OUTSIDE }));
}
