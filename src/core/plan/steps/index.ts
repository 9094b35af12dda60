import type { Say } from '../../length';
/** Steps: `stepsOf(plan, say)` tells the whole make in order, each step with its picture and its caution. */
import { glueAdvice, glueIds } from '../work/glue';
import { allNumbers } from '../work/numbers';
import { inOrder } from '../work/order';
import { pieceOf, type Plan } from '../plan';
import { finishing, type Task } from './finishing';
import { cutStep, decorating, toolSteps } from './flat';
import { assemblySteps, standingSteps } from './folding';
import { handled } from './handling';
import type { Phase, Step } from './step';

export type { Action, IfRough, Phase, Reading, Step, StepPicture } from './step';

/**
 * The whole make in order, told for the design's tool. Every operation names what must come before it: a piece is cut
 * before it is scored, flat work comes before folding, glue before what closes over it; the order follows.
 */
export function stepsOf(plan: Plan, say: Say): Step[] {
  const { made, design } = plan;
  if (!made) return [];
  const byPiece = design.order === 'by-piece';
  const tasks: Task[] = made.pieces.flatMap((part, i) => {
    const { piece } = part;
    const cut = `cut ${piece.name}`;
    return [
      { id: cut, phase: 'cut', after: [], rank: byPiece ? 2 * i : 0, steps: [cutStep(piece, made, say)] },
      {
        id: `flat ${piece.name}`,
        phase: 'flat',
        after: [cut],
        rank: byPiece ? 2 * i + 1 : 1 + i,
        steps: toolSteps(part, made, say),
      },
      // Looks come while the piece is flat and cut out: neither inks nor dies reach a folded edge.
      ...design.decorate.map((what): Task => ({
        id: `${what} ${piece.name}`,
        phase: 'flat',
        after: [`flat ${piece.name}`],
        rank: byPiece ? 2 * i + 1 : 1 + i,
        steps: [decorating(what, part, made)],
      })),
    ];
  });
  const late = new Set(
    made.built.features.flatMap((f) => (f.kind === 'finger-notch' && f.when === 'assembled' ? [f.cavity] : [])),
  );
  const advice = glueAdvice(made, design);
  const ids = glueIds(made);
  const holdsWith = new Map(advice.map(({ step, chosen }) => [ids.get(step) ?? '', chosen]));
  const numbers = allNumbers(made);
  // A pile waits for the flat work of its pieces, and for the step that worked on it last.
  const lastOn = new Map<string, string>();
  const floor = made.pieces.length * 2 + 1;
  made.folded.stages.forEach((stage, i) => {
    const panels = stage.stack.layers;
    const pieces = [...new Set(panels.map((layer) => layer.piece))].filter((name) =>
      made.pieces.some(({ piece }) => piece.name === name),
    );
    const after = pieces.flatMap((name) => [
      `flat ${name}`,
      ...design.decorate.map((what) => `${what} ${name}`),
      ...(lastOn.has(name) ? [lastOn.get(name)!] : []),
    ]);
    tasks.push({
      id: stage.step.id,
      after: [...new Set([...after, ...(stage.step.after ?? [])])],
      rank: floor + i,
      steps: assemblySteps(
        stage,
        i,
        made,
        numbers,
        advice.find((a) => a.step === stage.step.id),
        say,
        late,
      ),
    });
    for (const name of pieces) lastOn.set(name, stage.step.id);
  });
  // A board is laid before the first wall is raised.
  const [cavity] = made.built.cavities;
  const layFirst = cavity?.insertAfter === 'flat';
  const raisedFrom = floor + made.folded.stages.length;
  made.folded.standing?.stages.forEach((stage, i, all) => {
    const moved = new Set(stage.motions.flatMap(({ moving }) => [...moving]));
    const pieces = made.pieces.filter(({ piece }) => piece.panels.some(({ id }) => moved.has(id)));
    tasks.push({
      id: stage.step.id,
      // In space one thing is done after the other, once all the flat work on what moves is done.
      after: [
        ...pieces.map(({ piece }) => `flat ${piece.name}`),
        ...made.folded.stages.map(({ step }) => step.id),
        ...(i > 0 ? [all[i - 1]!.step.id] : []),
        ...(layFirst && i === 0 ? ['lay contents'] : []),
      ],
      rank: raisedFrom + i + 1,
      steps: standingSteps(
        stage,
        i,
        made,
        numbers,
        advice.find((a) => a.step === stage.step.id),
        say,
      ),
    });
  });
  if (layFirst) {
    const { name } = pieceOf(made.built, cavity.floor);
    tasks.push({
      id: 'lay contents',
      after: [`flat ${name}`],
      rank: raisedFrom,
      steps: [
        {
          piece: name,
          action: 'insert',
          text: 'Lay the board on the inside, in the middle of the scores.',
          picture: { kind: 'standing', stage: 0, before: true, inserting: true },
        },
      ],
    });
  }
  tasks.push(...finishing(design, made, raisedFrom + (made.folded.standing?.stages.length ?? 0) + 1, say));
  return inOrder(tasks)
    .flatMap(({ steps, phase = 'fold' }) => steps.map((step): [typeof step, Phase] => [step, phase]))
    .map(([step, phase], i) => handled({ id: i + 1, phase, readings: [], ...step }, design, holdsWith));
}
