import type { Say } from '../../length';
import { closurePlan } from '../work/closures';
import { companionsOf } from '../work/companions';
import type { Design } from '../design/design';
import type { Operation } from '../work/order';
import type { Made } from '../plan';
import { CAUTION, closureWords } from '../words';
import { listed, type Draft, type Phase, type StepPicture } from './step';

/** Steps that are done in one go, with what must come before them. */
export interface Task extends Operation {
  readonly steps: readonly Draft[];
  /** Folding when left out. */
  readonly phase?: Phase;
}

/** Companions and the closure, when the thing itself is folded: a ribbon under its mat before that is glued. */
export function finishing(design: Design, made: Made, rank: number, say: Say): Task[] {
  const last = made.folded.stages.length - 1;
  const { standing } = made.folded;
  const done = [...made.folded.stages, ...(standing?.stages ?? [])].map(({ step }) => step.id);
  const picture: StepPicture = standing
    ? { kind: 'standing', stage: standing.stages.length - 1 }
    : last >= 0
      ? { kind: 'folded', stage: last }
      : { kind: 'flat', piece: made.pieces[0].piece.name, near: 1, moves: 0, fresh: 0 };
  const piece = made.pieces[0].piece.name;
  const closure = closurePlan(made, design);
  const tasks: Task[] = companionsOf(made, design).map((companion) => ({
    id: `cut ${companion.name}`,
    after: [],
    rank: rank + 1,
    steps: [
      {
        piece: companion.title,
        action: 'cut',
        text: `${companion.title}: cut ${say(companion.width)} × ${say(companion.height)}${companion.scores.length > 0 ? `, score at ${listed(companion.scores.map((at) => say(at)))}` : ''}.${companion.ribbon > 0 ? ` It takes ${say(companion.ribbon)} of ribbon.` : ''}`,
        caution: CAUTION.blade,
        picture,
      },
    ],
  }));
  const hasMat = tasks.some(({ id }) => id === 'cut mat');
  const tie = closure && !closure.trouble;
  if (tie)
    tasks.push({
      id: 'closure',
      // A ribbon under a mat is laid before the mat; everything else closes what is finished.
      after: design.closure.kind === 'ribbon' ? done : [...done, ...(hasMat ? ['glue mat'] : [])],
      rank: rank + 3,
      steps: [
        {
          piece,
          action: design.closure.kind === 'ribbon' ? 'glue' : 'close',
          text: closureWords(design.closure.kind, say(closure.length)),
          picture,
          ...(design.closure.kind === 'buttons'
            ? { caution: CAUTION.fixings }
            : design.closure.kind === 'dot'
              ? { caution: CAUTION.smallParts }
              : {}),
        },
      ],
    });
  if (hasMat)
    tasks.push({
      id: 'glue mat',
      after: [...done, 'cut mat', ...(tie && design.closure.kind === 'ribbon' ? ['closure'] : [])],
      rank: rank + 2,
      steps: [{ piece, action: 'glue', text: 'Glue the mat on the front, the same border all round.', picture }],
    });
  return tasks;
}
