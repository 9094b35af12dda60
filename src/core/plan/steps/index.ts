/** Steps: `stepsOf(plan, say)` tells the whole make in order, each step with its picture and its caution. */
import { glueAdvice } from '../glue';
import { allNumbers } from '../numbers';
import { inOrder } from '../order';
import type { Plan } from '../plan';
import type { Say } from '../words';
import { finishing, type Task } from './finishing';
import { cutStep, decorating, toolSteps } from './flat';
import { assemblySteps } from './folding';
import type { Step } from './step';

export type { Action, Step, StepPicture } from './step';

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
      { id: cut, after: [], rank: byPiece ? 2 * i : 0, steps: [cutStep(piece, made, say)] },
      { id: `flat ${piece.name}`, after: [cut], rank: byPiece ? 2 * i + 1 : 1 + i, steps: toolSteps(part, made, say) },
      // Looks come while the piece is flat and cut out: neither inks nor dies reach a folded edge.
      ...design.decorate.map((what) => ({
        id: `${what} ${piece.name}`,
        after: [`flat ${piece.name}`],
        rank: byPiece ? 2 * i + 1 : 1 + i,
        steps: [decorating(what, part)],
      })),
    ];
  });
  const late = new Set(
    made.built.features.flatMap((f) => (f.kind === 'finger-notch' && f.when === 'assembled' ? [f.cavity] : [])),
  );
  const advice = glueAdvice(made, design);
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
  tasks.push(...finishing(design, made, floor + made.folded.stages.length, say));
  return inOrder(tasks)
    .flatMap((task) => task.steps)
    .map((step, i) => ({ id: i + 1, ...step }));
}
