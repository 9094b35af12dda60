import type { Point } from '../geometry';
import { pictureOf } from '../looks';
import type { Made } from '../plan';
import { printedShade } from '../scene';

/** One shape of a printed picture, mm: x to the right, y up. Later ones cover earlier ones. */
export interface PrintShape {
  readonly rings: readonly (readonly Point[])[];
  /** 1 leaves the paper white, 0 prints black. */
  readonly shade: number;
}

/** The finished thing as a small picture for paper: what stands, or the front of what lies flat. */
export const printPicture = (made: Made): readonly PrintShape[] =>
  pictureOf(made, made.built.front).faces.flatMap((face) =>
    face.rings.length > 0 ? [{ rings: face.rings, shade: printedShade(face) }] : [],
  );
