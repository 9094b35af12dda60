import type { Say } from '../../length';
import { partNamed, type Made } from '../plan';
import type { ClosurePlan } from '../work/closures';
import type { Companion } from '../work/companions';
import { allNumbers } from '../work/numbers';
import { CAUTION, closureWords } from '../words';
import type { Draft, Finish, StepPicture } from './step';

/** What is done with a companion once it is cut, scored and punched. */
export function companionStep(companion: Companion, made: Made, say: Say): Draft {
  const { name, piece, ribbon } = companion;
  const own = `the ${piece.name}`;
  const flat = { kind: 'flat', piece: piece.name, near: 1, moves: movesOf(made, piece.name), fresh: 0 } as const;
  const score = [...allNumbers(made).values()].find((number) => number.piece === piece.name)?.number ?? 1;
  const holed = made.pieces.filter((part) => part.piece.holes.length > 0).map((part) => part.piece.name);
  const is = { piece: piece.name, picture: flat };
  switch (name) {
    case 'insert-card':
      return {
        ...is,
        action: 'insert',
        text: `Lay ${say(ribbon)} of ribbon round the far end of the insert card and slide both in, the ribbon’s ends out of the mouth: it pulls out what goes in.`,
      };
    case 'mat':
      return {
        ...is,
        action: 'glue',
        text: 'Glue the mat in the middle of the plain part of the front.',
        picture: whenDone(made, 'layer'),
      };
    case 'tag':
      return {
        ...is,
        action: 'close',
        text: `Thread ${say(ribbon)} of ribbon through the hole of ${own} and knot it.`,
      };
    case 'note':
      return { ...is, action: 'insert', text: `Fold the note on score ${score}, write it, and put it in.` };
    case 'sweet-wrap':
      return {
        ...is,
        action: 'glue',
        text: 'Wrap the strip round a sweet, glue its end over its start, and put it in.',
        caution: CAUTION.food,
      };
    case 'hole-template':
      return {
        ...is,
        action: 'mark',
        text: `Lay ${own} on the ${holed[0] ?? 'sheet'}, edge on edge, and prick the middle of each hole through it: the marks for its holes are there then.`,
        caution: CAUTION.awl,
      };
    case 'clip-cover':
      return {
        ...is,
        action: 'glue',
        text: `Fold the cover on score ${score} over the clip and glue its halves together.`,
        caution: CAUTION.smallParts,
      };
  }
}

const movesOf = (made: Made, name: string): number => partNamed(made, name).programme.moves.length;

/** Discs for a cord to wind round, fixed while both sides of the paper can be reached. */
export function discsStep(made: Made): Draft {
  const part = made.pieces.find(({ piece }) => piece.holes.some(({ id }) => id.startsWith('disc')));
  const { name } = (part ?? made.pieces[0]).piece;
  return {
    piece: name,
    action: 'close',
    text: 'Fix a disc through each of the two holes on the outside, a washer behind it on the inside.',
    caution: CAUTION.fixings,
    picture: { kind: 'flat', piece: name, near: 1, moves: movesOf(made, name), fresh: 0 },
  };
}

/** What shuts it. */
export function closureStep({ kind, length, through }: ClosurePlan, made: Made, say: Say): Draft {
  return {
    piece: made.pieces[0].piece.name,
    action: kind === 'ribbon' && !through ? 'glue' : 'close',
    text: closureWords(kind, say(length), through),
    picture: whenDone(made, 'closure'),
    ...(kind === 'dot' && { caution: CAUTION.smallParts }),
  };
}

/** The finished thing, and what is put on it now. */
export function whenDone({ folded, pieces }: Made, done: Finish): StepPicture {
  if (folded.standing) return { kind: 'standing', stage: folded.standing.stages.length - 1, done };
  return folded.stages.length > 0
    ? { kind: 'folded', stage: folded.stages.length - 1, done }
    : { kind: 'flat', piece: pieces[0].piece.name, near: 1, moves: 0, fresh: 0 };
}
