import { useMemo } from 'react';
import { checksOf, receivePlan, type Check, type PostedPlan } from '@/core/checks';
import { planFor, type Plan } from '@/core/plan';
import { readDesign, type Design, type DesignInput } from '@/core/design';
import type { Issue } from '@/core/text/issues';
import {
  designOf,
  planSet,
  readSet,
  setChecks,
  type PlannedPart,
  type SetCheck,
  type SetInput,
  type SetPlan,
} from '@/core/sets';

export type Planned =
  | { readonly plan: Plan; readonly checks: readonly Check[]; readonly design: Design }
  /** It could be read and not worked out: a fault of the app's own, with which the rest can still be changed. */
  | { readonly issues: readonly Issue[]; readonly design: Design }
  | { readonly issues: readonly Issue[] };

const FAULT =
  'This design could not be worked out. That is a fault of the app, not of yours: change a size or a choice, or undo. Nothing of it is lost.';

/** Things worked out and kept at hand, last asked for last: what several screens, or two renderings, ask for is done once. */
function atHand<T>(most: number) {
  const kept = new Map<string, T>();
  const keep = (key: string, value: T): T => {
    kept.delete(key);
    kept.set(key, value);
    for (const oldest of kept.keys()) {
      if (kept.size <= most) break;
      kept.delete(oldest);
    }
    return value;
  };
  return {
    keep,
    get: (key: string, work: () => T): T => keep(key, kept.get(key) ?? work()),
  };
}

type Outcome = { readonly plan: Plan; readonly checks: readonly Check[] } | { readonly fault: true };
/** Plans by the design they answer, as it was read. */
const outcomes = atHand<Outcome>(120);
const answers = atHand<Planned>(60);
const sets = atHand<PlannedSet>(40);

/** What tells a design that was read from every other. */
const keyOf = ({ construction, ...design }: Design): string => JSON.stringify([construction.name, design]);

function outcomeOf(design: Design): Outcome {
  return outcomes.get(keyOf(design), () => {
    try {
      const plan = planFor(design);
      return { plan, checks: checksOf(plan) };
    } catch (error) {
      console.error('planning', keyOf(design), error);
      return { fault: true };
    }
  });
}

const answered = (design: Design): Planned => {
  const outcome = outcomeOf(design);
  return 'fault' in outcome
    ? { issues: [{ path: '', message: FAULT }], design }
    : { ...outcome, design: outcome.plan.design };
};

/** A plan of a design that was read, at hand or made now. Throws where that is a fault of the app. */
export function planAtHand(design: Design): Plan {
  const outcome = outcomeOf(design);
  if ('fault' in outcome) throw new Error(FAULT);
  return outcome.plan;
}

/** Plans a design here and now, unless it is at hand. */
export const planned = (input: DesignInput): Planned =>
  answers.get(JSON.stringify(input), () => {
    const read = readDesign(input);
    return read.ok ? answered(read.design) : { issues: read.issues };
  });

/** Takes over what was planned beside the page, so that it is at hand. */
export function takePlanned(input: DesignInput, posted: PostedPlan): void {
  const { plan, checks } = receivePlan(posted);
  const read = readDesign(input);
  if (read.ok) outcomes.keep(keyOf(read.design), { plan, checks });
  answers.keep(JSON.stringify(input), { plan, checks, design: plan.design });
}

/** A set as it is planned, or why it cannot be. */
export type PlannedSet = { readonly set: SetInput } & (
  | { readonly plan: SetPlan }
  | { readonly issues: readonly Issue[] }
);

/** Plans a set here and now, part by part; whatever of it is at hand is not planned again. */
export const plannedSet = (set: SetInput): PlannedSet =>
  sets.get(JSON.stringify(set), () => {
    const read = readSet(set);
    if (!read.ok) return { set, issues: read.issues };
    try {
      return { set, plan: planSet(read.set, planAtHand) };
    } catch (error) {
      console.error('planning', JSON.stringify(set), error);
      return { set, issues: [{ path: '', message: FAULT }] };
    }
  });

/** A part of a planned set by itself: its design as a document, and what became of it. */
export interface OpenPart {
  readonly part: PlannedPart | null;
  readonly input: DesignInput;
  readonly answer: Planned;
}

/** A part of a planned set, by its id; the last, which holds the others, where there is none of that id. */
export function partOf(whole: PlannedSet, id: string): OpenPart {
  const raw = whole.set.parts.find((one) => one.id === id) ?? whole.set.parts.at(-1)!;
  if (!('plan' in whole)) return { part: null, input: designOf(whole.set, raw), answer: { issues: whole.issues } };
  const part = whole.plan.parts.find((one) => one.part.id === raw.id) ?? null;
  const input = part ? inputOfPart(whole.set, part) : designOf(whole.set, raw);
  return { part, input, answer: part ? answerOf(whole.set, part) : planned(input) };
}

/** The design of a planned part as a document of its own: what the others tell of it filled in. */
export function inputOfPart(set: SetInput, { part, holds, plan }: PlannedPart): DesignInput {
  const raw = set.parts.find(({ id }) => id === part.id)!;
  const name = plan.design.holds;
  const own = part.given ? {} : { ...(raw.design?.contents as object | undefined) };
  const contents = !part.fixed && holds ? holds : own;
  const told = { ...contents, ...(name !== null && !part.given && { name }) };
  return designOf(set, raw, Object.keys(told).length > 0 ? { contents: told } : {});
}

/** What became of a planned part: as its design by itself, unless another part should tell its size and does not. */
export const answerOf = (set: SetInput, part: PlannedPart): Planned =>
  part.plan.refusal?.code === 'not-told'
    ? { plan: part.plan, checks: checksOf(part.plan), design: part.plan.design }
    : planned(inputOfPart(set, part));

const across = new WeakMap<SetPlan, readonly SetCheck[]>();

/** Everything found across a set, looked for once: several things on a screen ask. */
export function checksAcross(whole: PlannedSet): readonly SetCheck[] {
  if (!('plan' in whole)) return [];
  const found = across.get(whole.plan) ?? setChecks(whole.plan);
  across.set(whole.plan, found);
  return found;
}

/** Everything found of the parts of a set by themselves, with the part it is about. */
export const checksOfParts = (whole: PlannedSet): readonly { readonly part: PlannedPart; readonly check: Check }[] =>
  'plan' in whole
    ? whole.plan.parts.flatMap((part) => {
        const answer = answerOf(whole.set, part);
        return 'checks' in answer && !part.part.given ? answer.checks.map((check) => ({ part, check })) : [];
      })
    : [];

/** What was made of a design; null where there is no pattern, or it cannot be read. */
export function madeOf(input: DesignInput): Plan['made'] {
  const answer = planned(input);
  return 'plan' in answer ? answer.plan.made : null;
}

/** The plan of a set as it stands. */
export const usePlannedSet = (set: SetInput): PlannedSet => useMemo(() => plannedSet(set), [set]);
