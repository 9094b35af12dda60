import type { Say } from '../../length';
import type { Made } from '../plan';
import type { ClosurePlan } from '../work/closures';
import type { Companion } from '../work/companions';
import { CAUTION, closureWords } from '../words';
import { listed } from '../../text';
import type { Draft, StepPicture } from './step';

/** Cutting what goes with it. */
export function companionStep({ title, width, height, scores, ribbon }: Companion, made: Made, say: Say): Draft {
  const scored = scores.length > 0 ? `, score at ${listed(scores.map((at) => say(at)))}` : '';
  return {
    piece: title,
    action: 'cut',
    text: `${title}: cut ${say(width)} × ${say(height)}${scored}.${ribbon > 0 ? ` It takes ${say(ribbon)} of ribbon.` : ''}`,
    caution: CAUTION.blade,
    picture: whenDone(made),
  };
}

/** What shuts it. */
export function closureStep({ kind, length }: ClosurePlan, made: Made, say: Say): Draft {
  const caution = kind === 'buttons' ? CAUTION.fixings : kind === 'dot' ? CAUTION.smallParts : undefined;
  return {
    piece: made.pieces[0].piece.name,
    action: kind === 'ribbon' ? 'glue' : 'close',
    text: closureWords(kind, say(length)),
    picture: whenDone(made),
    ...(caution && { caution }),
  };
}

/** The mat on the front, when the thing itself is folded. */
export const matStep = (made: Made): Draft => ({
  piece: made.pieces[0].piece.name,
  action: 'glue',
  text: 'Glue the mat on the front, the same border all round.',
  picture: whenDone(made),
});

/** The finished thing. */
function whenDone({ folded, pieces }: Made): StepPicture {
  if (folded.standing) return { kind: 'standing', stage: folded.standing.stages.length - 1 };
  return folded.stages.length > 0
    ? { kind: 'folded', stage: folded.stages.length - 1 }
    : { kind: 'flat', piece: pieces[0].piece.name, near: 1, moves: 0, fresh: 0 };
}
