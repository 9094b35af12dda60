/** Steps: `stepsOf(plan, say)` tells the whole make in order, each step with its picture and its caution. */
import type { Stage } from '../fold';
import type { Say } from '../length';
import { planFor, type Made, type MadePiece, type Plan, CONTENTS, glueAdvice, glueIds, allNumbers } from '../plan';
import { stillToDo } from '../mending';
import { pointerTold } from '../tools';
import { workOf, type Work } from './work';
import { closureStep, discsStep, layerStep } from './finishing';
import { cutStep, decorating, hasSeveral, toolSteps } from './flat';
import {
  assemblySteps,
  contentsSteps,
  secondScoreStep,
  foldsTogether,
  isPlainFold,
  pieceWorkedOn,
  standingSteps,
  trimStep,
} from './folding';
import { capitalised, listed, uncapitalised } from '../text';
import { handled, withWaits } from './handling';
import type { StepDraft, Step } from './step';

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
  const stepOf = (stage: number): string => made.folded.stages[stage]!.step.id;
  const glueFor = (step: string) => advice.find((a) => a.step === step);
  const order = workOf(plan);
  const twice = new Set(order.flatMap((one) => (one.do === 'second-score' ? [stepOf(one.stage)] : [])));
  const foldSteps = (stage: Stage, i: number): readonly StepDraft[] =>
    assemblySteps(stage, i, made, numbers, glueFor(stage.step.id), say, late).map((draft) =>
      twice.has(stage.step.id) && (draft.action === 'fold' || draft.action === 'close')
        ? { ...draft, text: `${draft.text} Crease it on both lines.` }
        : draft,
    );
  const told = (work: Work): readonly StepDraft[] => {
    switch (work.do) {
      case 'cut':
        return [cutStep(work.part.piece, namesOf(work.alike), made, design, say)];
      case 'flat':
        return leftOn(work.part, (part) => toolSteps(part, namesOf(work.alike), made, say), design);
      case 'decorate':
        return [decorating(work.what, work.part, made)];
      case 'fix-discs':
        return [discsStep(made, design, say)];
      case 'trim':
        return [trimStep(made.folded.stages[work.stage]!, work.stage, made, say)];
      case 'second-score':
        return [secondScoreStep(made.folded.stages[work.stage]!, work.beyond, made, numbers, say)];
      case 'fold':
        return foldSteps(made.folded.stages[work.stage]!, work.stage);
      case 'raise':
        return standingSteps(
          made.folded.standing!.stages[work.stage]!,
          work.stage,
          made,
          numbers,
          glueFor(work.id),
          say,
        );
      case 'contents':
        return contentsSteps(made, design, glueFor(CONTENTS), say);
      case 'layer':
        return [layerStep(work.layer, made, say)];
      case 'closure':
        return [closureStep(work.closure, made, say, work.phase === 'flat')];
    }
  };
  const steps = together(order, made, twice)
    .flatMap((run) => {
      const [first] = run;
      const drafts = run.length > 1 ? [foldsTogether(stagesOf(run, made), lastOf(run), made, numbers)] : told(first);
      return drafts.map((draft) => named({ ...draft, phase: first.phase }, made));
    })
    .map((draft, i, all) => ({
      ...draft,
      text: `${draft.text}${pageByPage(plan) && draft.phase === 'fold' ? pageAgain(i, all, made) : again(draft, all.slice(0, i), made)}`,
    }))
    .map((draft, i) => handled({ id: i + 1, readings: [], ...draft }, design, holdsWith));
  return withWaits(
    numberedEdges(withoutFinished(steps, plan, say)),
    (glue) => holdsWith.get(glue) ?? design.adhesive.all,
  );
}

/**
 * Of a sheet that went wrong in the middle of its make what was done before is not told again: flat work of pieces that were
 * finished, and what was folded and joined, each as often as it was done, but for what is made anew. What is left to do to the
 * sheet itself is asked of the sheet (`leftOn`).
 */
function withoutFinished(steps: readonly Step[], { design }: Plan, say: Say): readonly Step[] {
  const { rescued } = design;
  if (rescued?.step === undefined) return steps;
  const before = planFor({ ...design, rescued: null });
  if (!before.made) return steps;
  const was = stepsOf(before, say);
  const open = new Set(
    was.flatMap((step) => (step.phase !== 'fold' && step.id >= rescued.step! ? piecesOf(step) : [])),
  );
  const known = new Set(was.flatMap(piecesOf));
  const finished = (piece: string): boolean => piece !== rescued.piece && known.has(piece) && !open.has(piece);
  const panels = before.made.built.pieces.flatMap(({ panels: all }) => all);
  const anew = [...rescued.joined, ...rescued.strips].flatMap(
    (id) => panels.find((panel) => panel.id === id)?.name ?? [],
  );
  const isAnew = ({ text }: Step): boolean => anew.some((name) => text.includes(name));
  // What is glued for that is joined again, too.
  const pairs = new Set(steps.flatMap((step) => (isAnew(step) ? (step.glue ?? step.joins ?? []) : [])));
  const done = new Map<string, number>();
  for (const { id, phase, text } of was)
    if (phase === 'fold' && id < rescued.step) done.set(text, (done.get(text) ?? 0) + 1);
  return steps
    .filter((step) => {
      if (step.phase !== 'fold') return !piecesOf(step).every(finished);
      const times = done.get(step.text) ?? 0;
      if (times === 0 || isAnew(step) || pairs.has(step.glue ?? step.joins ?? '')) return true;
      done.set(step.text, times - 1);
      return false;
    })
    .map((step, i) => ({ ...step, id: i + 1 }));
}

/** All pieces that a step is done to. */
const piecesOf = ({ piece, alike = [] }: Pick<Step, 'piece' | 'alike'>): readonly string[] => [piece, ...alike];

type Phased = StepDraft & Pick<Step, 'phase'>;

/** Pieces that are named before what is done to them. */
const pieceSaid = (names: readonly string[]): string => `${capitalised(listed(names))}: `;

/** What a step says where its piece stands over it. */
export function unnamed(step: Pick<Step, 'piece' | 'alike' | 'text'>): string {
  const said = pieceSaid(piecesOf(step));
  return step.text.startsWith(said) ? capitalised(step.text.slice(said.length)) : step.text;
}

/** Where there are several pieces, flat work names its own, and every one that is worked on alike. */
function named<T extends Phased>(draft: T, made: Made): T {
  if (draft.phase !== 'flat' || draft.picture.kind !== 'flat' || !hasSeveral(made)) return draft;
  const names = piecesOf(draft);
  const said = draft.text.toLowerCase();
  if (names.every((name) => said.includes(name.toLowerCase()))) return draft;
  return { ...draft, text: `${pieceSaid(names)}${uncapitalised(draft.text)}` };
}

/** Told where a blank is cut whose edges are named later. */
export const NUMBER_EDGES = 'edges in pencil on the inside: 1 near you, 2 on the right, 3 far, 4 on the left.';

/** Edges that steps name are numbered first, in pencil, as the sheet lies. */
function numberedEdges(steps: readonly Step[]): Step[] {
  const told = new Set(
    steps.flatMap((step) => (step.phase === 'flat' && /\bedges? \d/u.test(step.text) ? piecesOf(step) : [])),
  );
  return steps.map((step) =>
    step.phase === 'cut' && piecesOf(step).some((piece) => told.has(piece))
      ? {
          ...step,
          how: `${step.how} Number ${piecesOf(step).length > 1 ? 'their' : 'its'} ${NUMBER_EDGES}`,
        }
      : step,
  );
}

/** Of the work on a flat sheet what is still to be done: all of it, but on a sheet that went wrong. */
function leftOn(
  part: MadePiece,
  told: (part: MadePiece) => readonly StepDraft[],
  { rescued, tool }: Plan['design'],
): readonly StepDraft[] {
  if (rescued?.piece !== part.piece.name) return told(part);
  const drafts = told({ ...part, programme: pointerTold(part.programme) });
  const moves = drafts.map(({ picture }): readonly [number, number] =>
    picture.kind === 'flat' ? [picture.moves - picture.fresh, picture.moves] : [0, 0],
  );
  const left = stillToDo(part, moves, rescued, tool);
  return drafts.filter((_, i) => left[i]);
}

/** What is said where a piece is made several times: once for its flat work, and at each step of folding and joining. */
function again(
  draft: StepDraft & Pick<Step, 'phase'>,
  before: readonly (StepDraft & Pick<Step, 'phase'>)[],
  made: Made,
): string {
  const quantity = timesOf(draft, made);
  if (quantity === 1 || draft.phase === 'cut' || (draft.action === 'glue' && draft.glue !== undefined)) return '';
  const all = quantity === 2 ? 'both' : `all ${quantity}`;
  if (draft.phase === 'fold') return ` The same for ${all}.`;
  return before.some(({ piece, phase }) => piece === draft.piece && phase === 'flat')
    ? ''
    : ` This and what follows for ${all}.`;
}

/** How many times a step is done. */
function timesOf({ piece, picture }: StepDraft, made: Made): number {
  const once = picture.kind === 'folded' && made.folded.stages[picture.stage]?.step.once;
  return once ? 1 : (made.built.pieces.find(({ name }) => name === piece)?.quantity ?? 1);
}

/** A book may be made one page after the other, all that is cut once cut. */
export const pageByPage = ({ design }: Plan): boolean =>
  design.construction.does === 'gathers' && design.order === 'by-piece';

/** Steps that follow each other and are done as many times are done through for one, then again for each other. */
function pageAgain(i: number, all: readonly (StepDraft & Pick<Step, 'phase'>)[], made: Made): string {
  const times = timesOf(all[i]!, made);
  const goesOn = (one: (typeof all)[number] | undefined): boolean =>
    one !== undefined && one.phase === 'fold' && timesOf(one, made) === times;
  if (times === 1 || goesOn(all[i + 1])) return '';
  let first = i;
  while (goesOn(all[first - 1])) first--;
  const others = times === 2 ? 'the other one' : `the other ${times - 1}, one after the other`;
  return first === i ? ` The same for ${others}.` : ` Then make ${others}: the last ${i - first + 1} steps again.`;
}

type Run = readonly [Work, ...Work[]];
/** So many folds are told in one step at most. */
const FOLDS = 4;

/** Plain folds of one piece that follow each other are one thing to do; everything else stands by itself. */
function together(all: readonly Work[], made: Made, twice: ReadonlySet<string>): readonly Run[] {
  const runs: [Work, ...Work[]][] = [];
  for (const work of all) {
    const last = runs.at(-1);
    const alone = twice.has(work.id) || (last !== undefined && twice.has(last.at(-1)!.id));
    if (last && !alone && last.length < FOLDS && goesOn(last.at(-1)!, work, made)) last.push(work);
    else runs.push([work]);
  }
  return runs;
}

function goesOn(a: Work, b: Work, made: Made): boolean {
  if (a.do !== 'fold' || b.do !== 'fold' || b.stage !== a.stage + 1) return false;
  const [one, next] = [made.folded.stages[a.stage]!, made.folded.stages[b.stage]!];
  return isPlainFold(one, made) && isPlainFold(next, made) && pieceWorkedOn(one, made) === pieceWorkedOn(next, made);
}

const lastOf = (run: Run): number => Math.max(...run.map((work) => (work.do === 'fold' ? work.stage : -1)));
const stagesOf = (run: Run, made: Made): readonly Stage[] =>
  run.flatMap((work) => (work.do === 'fold' ? [made.folded.stages[work.stage]!] : []));

const namesOf = (parts: readonly MadePiece[]): readonly string[] => parts.map(({ piece }) => piece.name);
