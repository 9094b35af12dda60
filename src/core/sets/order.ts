/** The order of work over all parts of a set and their copies, from the same graph for one part and for many. */
import type { Say } from '../length';
import { paperOf } from '../design';
import { stepsOf, type Step, inOrder } from '../making';
import { isCut } from './cut-list';
import type { PlannedPart, SetPlan } from './plan-set';

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
