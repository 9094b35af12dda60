/** The order of work over all parts of a set and their copies, from the same graph for one part and for many. */
import type { Say } from '../length';
import { paperOf } from '../design';
import { stepsOf, type Step, inOrder } from '../making';
import type { Plan } from '../plan';
import { isCut } from './cut-list';
import type { PlannedPart, SetPlan } from './plan-set';

/** How several copies are made: each kind of work on all of them before the next, or one finished after the other. */
export type WayOfWork = 'together' | 'one-by-one';

/** Steps of one part that are done in one go. */
interface Run {
  readonly id: string;
  readonly after: readonly string[];
  readonly rank: number;
  readonly part: string;
  readonly phase: Step['phase'];
  readonly steps: readonly Step[];
}

const PHASES: readonly Step['phase'][] = ['cut', 'flat', 'fold'];
/** Ranks: what kind of work, then with which paper or tool, then how far inside. */
const BY_PHASE = 1_000_000;
const BY_SETTING = 1000;

/**
 * The steps of each part as its own plan tells them; of what is there already those of its layers, and what goes into it.
 */
export const partSteps = (planned: PlannedPart, say: Say): readonly Step[] =>
  stepsOf(planned.plan, say).filter(
    ({ piece, action }) =>
      isCut(planned, piece) ||
      (planned.part.given?.envelope !== undefined &&
        planned.holds !== null &&
        (action === 'insert' || action === 'close' || action === 'glue')),
  );

/**
 * Everything in an order that can be followed: what goes into something is finished before it goes in. By operation all
 * is cut paper by paper, then scored tool by tool, then folded from the innermost outwards; else part by part.
 */
export function runsOf({ set, parts }: SetPlan, say: Say): readonly Run[] {
  const papers = set.papers.map(({ id }) => id);
  const tools = [...new Set(parts.map(({ plan }) => plan.design.tool.kind))];
  const last = new Map<string, string>();
  const runs = parts.flatMap((planned, at): Run[] => {
    const { part, plan } = planned;
    const inner = [...part.holds, ...(part.round ? [part.round] : [])].map((held) => held.part);
    const layers = new Set(plan.made?.layers.map(({ piece }) => piece.name));
    const steps = partSteps(planned, say);
    const own: Run[] = [];
    for (const phase of PHASES) {
      const all = steps.filter((step) => step.phase === phase);
      // What goes in is waited for, and what comes before that is not.
      const filled =
        inner.length === 0 ? -1 : all.findIndex(({ action, piece }) => action === 'insert' && !layers.has(piece));
      const split =
        phase === 'cut'
          ? byPaper(all, planned)
          : phase === 'fold' && filled > 0
            ? [all.slice(0, filled), all.slice(filled)]
            : [all];
      for (const some of split) {
        if (some.length === 0) continue;
        const waits = phase === 'fold' && (some === split.at(-1) || filled <= 0);
        const setting =
          phase === 'cut'
            ? papers.indexOf(paperOfStep(some[0]!, planned)) + 1
            : phase === 'flat'
              ? tools.indexOf(plan.design.tool.kind)
              : 0;
        own.push({
          id: `${part.id} ${own.length}`,
          // Cuts wait for nothing; what comes after them waits for all that was done to the part.
          after: [
            ...(phase === 'cut' ? [] : own.map(({ id }) => id)),
            ...(waits ? inner.map((id) => `${id} done`) : []),
          ],
          rank: set.order === 'by-piece' ? at : PHASES.indexOf(phase) * BY_PHASE + setting * BY_SETTING + at,
          part: part.id,
          phase,
          steps: some,
        });
      }
    }
    if (own.length > 0) last.set(part.id, own.at(-1)!.id);
    return own;
  });
  // What fills another is planned after it and made before it goes in.
  const waiting = runs.map((run) => ({
    ...run,
    after: run.after.flatMap((id) => (id.endsWith(' done') ? (last.get(id.slice(0, -5)) ?? []) : id)),
  }));
  return inOrder(waiting);
}

const paperOfStep = ({ piece }: Step, { plan: { design } }: PlannedPart): string => paperOf(design, piece).id ?? '';

/** Steps that cut, those of one paper together, as they first come. */
function byPaper(steps: readonly Step[], planned: PlannedPart): readonly (readonly Step[])[] {
  const papers = [...new Set(steps.map((step) => paperOfStep(step, planned)))];
  return papers.map((paper) => steps.filter((step) => paperOfStep(step, planned) === paper));
}

/** One stop on the way through a make: a step of a part, and the copies of it that it is done for now. */
export interface Stop {
  readonly part: string;
  readonly step: Step;
  /** Numbered from 1; more than one where the work goes on without resetting anything: cutting. */
  readonly copies: readonly number[];
  /** The plan it is of, where this copy goes its own way: made of a sheet that went wrong. */
  readonly own?: PlannedPart;
}

/** A copy of a part that goes its own way from a stop on. */
export interface OwnWay {
  readonly part: string;
  readonly copy: number;
  /** Stops that were behind when it was taken. */
  readonly at: number;
  readonly plan: Plan;
}

/**
 * The way through the make of so many sets. Together: all blanks are cut, then each sheet is marked, punched and scored in
 * one go, then each is folded and glued; a sheet is never left half turned in the board for another. One by one: each
 * copy of a part is finished before the next.
 */
export function walkOf(planned: SetPlan, say: Say, copies: number, way: WayOfWork): Stop[] {
  const all = (part: string): readonly number[] => {
    const { quantity } = planned.set.parts.find(({ id }) => id === part)!;
    return Array.from({ length: quantity * Math.max(1, Math.floor(copies)) }, (_, i) => i + 1);
  };
  const each = (part: string, steps: readonly Step[]): Stop[] =>
    all(part).flatMap((copy) => steps.map((step): Stop => ({ part, step, copies: [copy] })));
  const runs = runsOf(planned, say);
  if (way === 'one-by-one') {
    // A part may be begun before what goes into it, and is finished after it: in the order in which they are finished.
    const ended = [...new Set([...runs].reverse().map(({ part }) => part))].reverse();
    return ended.flatMap((part) => {
      const one = planned.parts.find((other) => other.part.id === part)!;
      return each(part, partSteps(one, say));
    });
  }
  return runs.flatMap(({ part, phase, steps }) =>
    phase === 'cut' ? steps.map((step): Stop => ({ part, step, copies: all(part) })) : each(part, steps),
  );
}

/**
 * The way through a make when some copies go their own way, the one taken first first: what was behind stays, what was to
 * come of that copy is left out, and its own steps come instead: flat work at once, folding where it was folded.
 */
export const withOwnWays = (walk: readonly Stop[], planned: SetPlan, say: Say, ways: readonly OwnWay[]): Stop[] =>
  ways.reduce<Stop[]>(
    (now, { part: id, copy, at, plan }) => {
      const planOf = planned.parts.find(({ part }) => part.id === id);
      if (!planOf || !plan.made) return now;
      const own: PlannedPart = { ...planOf, plan };
      const steps = partSteps(own, say).map((step): Stop => ({ part: id, step, copies: [copy], own }));
      const rest = now.slice(at);
      const isOf = (stop: Stop): boolean => stop.part === id && stop.copies.includes(copy);
      const without = (stops: readonly Stop[]): Stop[] =>
        stops
          .map((stop) => (isOf(stop) ? { ...stop, copies: stop.copies.filter((one) => one !== copy) } : stop))
          .filter(({ copies }) => copies.length > 0);
      const folds = rest.findIndex((stop) => isOf(stop) && stop.step.phase === 'fold');
      const [first, then] = folds < 0 ? [[], rest] : [rest.slice(0, folds), rest.slice(folds)];
      const flat = steps.filter(({ step }) => step.phase !== 'fold');
      const late = steps.filter(({ step }) => step.phase === 'fold');
      return [...now.slice(0, at), ...flat, ...without(first), ...late, ...without(then)];
    },
    [...walk],
  );

/** How many sets are finished when the first `done` stops are behind: of every part so many as one set takes. */
export function setsDone({ set }: SetPlan, walk: readonly Stop[], done: number): number {
  const of = (stops: readonly Stop[], part: string): Set<number> =>
    new Set(stops.filter((stop) => stop.part === part).flatMap((stop) => stop.copies));
  const finished = set.parts
    .filter(({ id }) => walk.some(({ part }) => part === id))
    .map(({ id, quantity }) => Math.floor((of(walk, id).size - of(walk.slice(done), id).size) / quantity));
  return finished.length > 0 ? Math.min(...finished) : 0;
}
