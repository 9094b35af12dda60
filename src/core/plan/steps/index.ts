/** Steps: `stepsOf(plan, say)` tells the whole make in order, each step with its picture and its caution. */
import type { Say } from '../../length';
import { pieceOf, type Made, type Plan } from '../plan';
import { glueAdvice, glueIds } from '../work/glue';
import { allNumbers } from '../work/numbers';
import { workOf } from '../work/work';
import { closureStep, companionStep, matStep } from './finishing';
import { cutStep, decorating, toolSteps } from './flat';
import { assemblySteps, standingSteps } from './folding';
import { handled } from './handling';
import type { Draft, Step } from './step';

export type { Reading } from '../../tools';
export type { Action, IfRough, Step, StepPicture } from './step';

/** The whole make in the order of its work, told for the design's tool. */
export function stepsOf(plan: Plan, say: Say): Step[] {
  const { made, design } = plan;
  if (!made) return [];
  const late = new Set(
    made.built.features.flatMap((f) => (f.kind === 'finger-notch' && f.when === 'assembled' ? [f.cavity] : [])),
  );
  const advice = glueAdvice(made, design);
  const ids = glueIds(made);
  const holdsWith = new Map(advice.map(({ step, chosen }) => [ids.get(step) ?? '', chosen]));
  const numbers = allNumbers(made);
  const glueFor = (step: string) => advice.find((a) => a.step === step);
  return workOf(plan)
    .flatMap((work): (Draft & Pick<Step, 'phase'>)[] => {
      const told = ((): readonly Draft[] => {
        switch (work.do) {
          case 'cut':
            return [cutStep(work.part.piece, made, say)];
          case 'flat':
            return toolSteps(work.part, made, say);
          case 'decorate':
            return [decorating(work.what, work.part, made)];
          case 'fold':
            return assemblySteps(
              made.folded.stages[work.stage]!,
              work.stage,
              made,
              numbers,
              glueFor(work.id),
              say,
              late,
            );
          case 'raise':
            return standingSteps(
              made.folded.standing!.stages[work.stage]!,
              work.stage,
              made,
              numbers,
              glueFor(work.id),
              say,
            );
          case 'lay-contents':
            return [layingStep(made)];
          case 'companion':
            return [companionStep(work.companion, made, say)];
          case 'closure':
            return [closureStep(work.closure, made, say)];
          case 'glue-mat':
            return [matStep(made)];
        }
      })();
      return told.map((draft) => ({ ...draft, phase: work.phase }));
    })
    .map((draft, i) => handled({ id: i + 1, readings: [], ...draft }, design, holdsWith));
}

/** A board is laid down before the first wall is raised. */
const layingStep = ({ built }: Made): Draft => ({
  piece: pieceOf(built, built.cavities[0]!.floor).name,
  action: 'insert',
  text: 'Lay the board on the inside, in the middle of the scores.',
  picture: { kind: 'standing', stage: 0, before: true, inserting: true },
});
