import { z } from '../text/zod';
import { inches, stepOf } from '../length';
import { edgeLength, type Piece } from '../pattern';
import type { Action, Step } from '../making';
import type { Design } from '../design';
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

/** Every mistake: what is said of it, what it was in short, and what avoids it. */
const WORDS: Record<Mistake, { readonly was: string; readonly why?: string; readonly next: string }> = {
  mirror: {
    was: 'the mirror setting',
    why: 'measured from the other end of the edge',
    next: 'see that the sheet’s left end is at nought',
  },
  neighbour: { was: 'the neighbouring edge’s setting', next: 'say the edge aloud before you set it' },
  'whole-mark': { was: 'a mark or two beside the right one', next: 'count the marks from the inch' },
  'one-inch': { was: 'one whole inch, or centimetre, off', next: 'see that the ruler begins at nought' },
  'wrong-edge': {
    was: 'one that belongs on another edge',
    why: 'the wrong one lay near',
    next: 'number the edges in pencil before you begin',
  },
  'sides-swapped': {
    was: 'the other side’s length',
    why: 'the two were exchanged',
    next: 'write W and H on the sheet before you cut',
  },
};

/** What is said of a mistake, and what avoids it. */
export function mistakeWords(mistake: Mistake): string {
  const { was, why, next } = WORDS[mistake];
  return `That is ${was}${why ? `: ${why}` : ''}. Next time ${next}.`;
}

/** What can be misread: a length that is cut, or the place of a mark. */
const MISREAD = ['blank', 'score', 'notch', 'slit', 'hole'] as const;
export const MISTAKES = Object.keys(WORDS) as readonly Mistake[];

/** A reading that was mistaken once, and where: so that it can be told at that step the next time. */
export const misreadSchema = z.object({
  mistake: z.enum(MISTAKES as [Mistake, ...Mistake[]]),
  of: z.enum(MISREAD),
  construction: z.string().max(60),
  piece: z.string().max(120),
  /** The edge it was marked on; null for what is cut. */
  edge: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]).nullable(),
});
export type Misread = z.output<typeof misreadSchema>;

/** What is to be remembered of a fact; null where it is no reading that people commonly mistake. */
export function misreadOf(
  fact: Fact,
  piece: Piece,
  design: Pick<Design, 'graduation' | 'construction'>,
): Misread | null {
  const mistake = mistakeOf(fact, piece, design);
  const of = MISREAD.find((kind) => kind === fact.kind);
  return mistake && of
    ? {
        mistake,
        of,
        construction: design.construction.name,
        piece: piece.name,
        edge: 'edge' in fact ? fact.edge : null,
      }
    : null;
}

/** The steps at which a thing is read: where it is set, marked or measured. */
const READ_AT: Record<Misread['of'], readonly Action[]> = {
  blank: ['cut'],
  score: ['score', 'mark'],
  notch: ['punch', 'mark'],
  slit: ['mark'],
  hole: ['mark'],
};

/** What is told at a step because it was misread before; null where it never was. */
export function warningAt(
  step: Pick<Step, 'action' | 'phase' | 'piece' | 'edge'>,
  construction: string,
  known: readonly Misread[],
): string | null {
  const was = known.findLast(
    (one) =>
      one.construction === construction &&
      one.piece === step.piece &&
      READ_AT[one.of].includes(step.action) &&
      (one.of === 'blank' ? step.phase === 'cut' : step.phase === 'flat') &&
      (one.edge === null || step.edge === undefined || step.edge === one.edge),
  );
  return was ? `Here you once took ${WORDS[was.mistake].was}: ${WORDS[was.mistake].next}.` : null;
}

const READ: Record<Misread['of'], string> = {
  blank: 'the size of',
  score: 'a score on',
  notch: 'a notch on',
  slit: 'a slit on',
  hole: 'a hole on',
};

/** A mistaken reading as the log tells it. */
export const misreadWords = ({ mistake, of, piece, edge }: Misread): string =>
  `${READ[of]} the ${piece}${edge ? `, edge ${edge}` : ''}: ${WORDS[mistake].was}`;
