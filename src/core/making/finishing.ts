import type { Say } from '../length';
import type { Design } from '../design';
import { allNumbers, panelName, partNamed, type Made, closurePlan, type ClosurePlan, type PlannedLayer } from '../plan';
import { CAUTION, closureWords } from './words';
import { laidOnFlat, type LaidFlat } from './laid-flat';
import type { StepDraft } from './step';
import type { Side } from '../fold';
import { uncapitalised } from '../text';
import type { Finish, StepPicture } from '../looks';

/** What is done with a layer once it is cut and punched. */
export function layerStep({ on, upon, piece, ribbon, laid }: PlannedLayer, made: Made, say: Say): StepDraft {
  const own = `the ${piece.name}`;
  const flat = { kind: 'flat', piece: piece.name, near: 1, moves: movesOf(made, piece.name), fresh: 0 } as const;
  const is = { piece: piece.name, picture: flat };
  const glued = { ...is, action: 'glue', picture: { ...whenDone(made, 'layer'), laying: piece.name } } as const;
  switch (on) {
    case 'inside':
      return {
        ...is,
        action: 'insert',
        text: made.folded.standing
          ? `Lay ${own} on the floor.`
          : ribbon > 0
            ? `Lay ${say(ribbon, 'up')} of ribbon round the far end of ${own} and slide both in, the ribbon’s ends out of the mouth: it pulls out what goes in.`
            : `Slide ${own} in.`,
      };
    case 'sheet': {
      const holed = made.pieces.filter((part) => part.piece.holes.length > 0).map((part) => part.piece.name);
      return {
        ...is,
        action: 'mark',
        text: `Lay ${own} on the ${holed[0] ?? 'sheet'}, edge on edge, and prick the middle of each hole through it: the marks for its holes are there then.`,
        caution: CAUTION.awl,
      };
    }
    case 'flap':
      return {
        ...glued,
        text: `Glue ${own} ${upon ? `in the middle of the ${upon}` : 'on the flap'}, the same border all round.`,
      };
    case 'front':
    case 'back': {
      const flatly = laidOnFlat(made).get(piece.name);
      if (flatly && laid && upon === null) {
        const { seat, from } = flatly;
        const side = from && sideWords(from.side, made);
        const where = from
          ? `on the ${panelName(made.built, laid.panel)}, ${say(from.by)} from ${side}, the same border at both sides`
          : `in the middle of the ${panelName(made.built, laid.panel)}, the same border at facing sides`;
        return {
          ...glued,
          picture: gluedPicture(made, seat, laid.side, piece.name, from?.side),
          text: `On the ${laid.side} of the ${seat}, glue ${own} ${where}.`,
        };
      }
      return {
        ...glued,
        ...(flatly && laid && { picture: gluedPicture(made, flatly.seat, laid.side, piece.name) }),
        text: `Glue ${own} in the middle of ${upon ? `the ${upon}` : `the plain part of the ${on}`}.`,
      };
    }
  }
}

const sideWords = (side: NonNullable<LaidFlat['from']>['side'], made: Made): string =>
  side === 'opening'
    ? 'its edge at the opening'
    : side === 'far'
      ? 'its edge away from the opening'
      : `score ${allNumbers(made).get(side.score)?.number}`;

/** The flat sheet as it lies for what is glued on it now. */
const gluedPicture = (
  made: Made,
  piece: string,
  side: Side,
  laying: string,
  from?: NonNullable<LaidFlat['from']>['side'],
): StepPicture => ({
  kind: 'flat',
  piece,
  near: 1,
  moves: movesOf(made, piece),
  fresh: 0,
  glued: { side, laying, ...(typeof from === 'object' && { from: from.score }) },
});

const movesOf = (made: Made, name: string): number => partNamed(made, name).programme.moves.length;

/** Discs for a cord to wind round, fixed while both sides of the paper can be reached. */
export function discsStep(made: Made, design: Design, say: Say): StepDraft {
  const part = made.pieces.find(({ piece }) => piece.holes.some(({ id }) => id.startsWith('disc')));
  const { name } = (part ?? made.pieces[0]).piece;
  const off = closurePlan(made, design)?.discs[0]?.cut ?? null;
  const first =
    off === null ? '' : `Cut both discs off along a straight line, ${say(off)} from the middle: there they meet. `;
  return {
    piece: name,
    action: 'close',
    text: `${first}Fix a disc through each of the two holes on the outside, a washer behind it on the inside${off === null ? '' : ', the straight edges towards each other'}.`,
    caution: off === null ? CAUTION.fixings : `${CAUTION.blade} ${CAUTION.fixings}`,
    picture: { kind: 'flat', piece: name, near: 1, moves: movesOf(made, name), fresh: 0 },
  };
}

/** What shuts it. */
export function closureStep({ kind, length, through }: ClosurePlan, made: Made, say: Say, flat = false): StepDraft {
  // What lies under a mat is laid on the piece that the mat goes on.
  const mat = made.layers.find(({ layer: { on } }) => on === 'front')?.layer;
  const words = closureWords(kind, say(length, 'up'), through, mat !== undefined);
  const seat = flat && mat ? laidOnFlat(made).get(mat.piece.name)?.seat : undefined;
  return {
    piece: seat ?? made.pieces[0].piece.name,
    action: kind === 'ribbon' && !through ? 'glue' : 'close',
    text: seat && mat?.laid ? `On the ${mat.laid.side} of the ${seat}, ${uncapitalised(words)}` : words,
    picture: seat && mat?.laid ? gluedPicture(made, seat, mat.laid.side, 'ribbon') : whenDone(made, 'closure'),
    ...(kind === 'dot' && { caution: CAUTION.smallParts }),
  };
}

/** The finished thing, and what is put on it now. */
export function whenDone({ folded, pieces }: Made, done: Finish): StepPicture {
  if (folded.standing) return { kind: 'standing', stage: folded.standing.stages.length - 1, done };
  return folded.stages.length > 0
    ? { kind: 'folded', stage: folded.stages.length - 1, done }
    : { kind: 'flat', piece: pieces[0].piece.name, near: 1, moves: 0, fresh: 0, done };
}
