import { inches, stepOf } from '../length';
import { edgeLength, type Piece } from '../pattern';
import type { Design } from '../plan';
import type { EdgeFact, Fact } from './wrong';

/** A figure that is commonly taken for the right one, by what was read wrongly. */
export type Mistake = 'mirror' | 'neighbour' | 'whole-mark' | 'one-inch' | 'wrong-edge' | 'sides-swapped';

/** How near two figures are to be the same reading, mm. */
const SAME = 0.6;
const same = (a: number, b: number): boolean => Math.abs(a - b) < SAME;

/**
 * Which reading a wrong figure is, where it is one that people commonly take (common practice): the mirror setting, the
 * neighbouring edge’s, one whole mark or one inch off, the two sides of a sheet exchanged; null where it is none.
 */
export function mistakeOf(fact: Fact, piece: Piece, { graduation }: Pick<Design, 'graduation'>): Mistake | null {
  const { blank } = piece;
  if (fact.kind === 'blank') {
    if (same(fact.width, blank.height) && same(fact.height, blank.width) && !same(blank.width, blank.height))
      return 'sides-swapped';
    return (
      ['width', 'height']
        .map((side) => offBy(fact[side as 'width'] - blank[side as 'width'], graduation))
        .find(Boolean) ?? null
    );
  }
  if (!('edge' in fact)) return null;
  const { edge, at, instead, kind } = fact;
  if (instead === undefined) return elsewhere(fact, piece) ? 'wrong-edge' : null;
  if (same(instead, edgeLength(blank, edge) - at) && !same(instead, at)) return 'mirror';
  const beside =
    kind === 'notch' &&
    piece.notches.some((notch) => notch.edge !== edge && same(notch.at, instead) && !same(notch.at, at));
  return beside ? 'neighbour' : offBy(instead - at, graduation);
}

/** A notch too many that another edge has at the same place: the wrong edge lay near. */
const elsewhere = ({ kind, edge, at }: EdgeFact, { notches }: Piece): boolean =>
  kind === 'notch' && notches.some((notch) => notch.edge !== edge && same(notch.at, at));

function offBy(off: number, graduation: Design['graduation']): Mistake | null {
  if (same(Math.abs(off), inches(1)) || same(Math.abs(off), 10)) return 'one-inch';
  const mark = graduation === 'exact' ? 0 : stepOf(graduation);
  const tol = Math.min(SAME, mark / 4);
  return mark > 0 && [1, 2].some((marks) => Math.abs(Math.abs(off) - marks * mark) < tol) ? 'whole-mark' : null;
}

const WORDS: Record<Mistake, string> = {
  mirror:
    'That is the mirror setting: measured from the other end of the edge. Next time see that the sheet’s left end is at nought.',
  neighbour: 'That is the neighbouring edge’s setting. Next time say the edge aloud before you set it.',
  'whole-mark': 'That is a mark or two beside the right one. Next time count the marks from the inch.',
  'one-inch': 'That is one whole inch, or centimetre, off. Next time see that the ruler begins at nought.',
  'wrong-edge': 'That belongs on another edge: the wrong one lay near. Number the edges in pencil before you begin.',
  'sides-swapped': 'The two sides are exchanged. Write W and H on the sheet before you cut.',
};

/** What is said of a mistake, and what avoids it. */
export const mistakeWords = (mistake: Mistake): string => WORDS[mistake];
