import { useMemo } from 'react';
import {
  checksOf,
  planFor,
  readDesign,
  receivePlan,
  type Check,
  type Design,
  type DesignInput,
  type Issue,
  type Plan,
  type PostedPlan,
} from '@/core/plan';

export type Planned =
  | { readonly plan: Plan; readonly checks: readonly Check[]; readonly design: Design }
  /** It could be read and not worked out: a fault of the app's own, with which the rest can still be changed. */
  | { readonly issues: readonly Issue[]; readonly design: Design }
  | { readonly issues: readonly Issue[] };

const FAULT =
  'This design could not be worked out. That is a fault of the app, not of yours: change a size or a choice, or undo. Nothing of it is lost.';

/** Plans kept at hand, last asked for last: what several screens, or two renderings, ask for is worked out once. */
const kept = new Map<string, Planned>();
const MOST = 60;

function keep(key: string, planned: Planned): Planned {
  kept.delete(key);
  kept.set(key, planned);
  for (const oldest of kept.keys()) {
    if (kept.size <= MOST) break;
    kept.delete(oldest);
  }
  return planned;
}

function work(input: DesignInput): Planned {
  const read = readDesign(input);
  if (!read.ok) return { issues: read.issues };
  const { design } = read;
  try {
    const plan = planFor(design);
    return { plan, checks: checksOf(plan), design: plan.design };
  } catch (error) {
    console.error('planning', JSON.stringify(input), error);
    return { issues: [{ path: '', message: FAULT }], design };
  }
}

/** Plans a design here and now, unless it is at hand. */
export function planned(input: DesignInput): Planned {
  const key = JSON.stringify(input);
  const before = kept.get(key);
  return keep(key, before ?? work(input));
}

/** Takes over what was planned beside the page, so that it is at hand. */
export function takePlanned(input: DesignInput, posted: PostedPlan): void {
  const { plan, checks } = receivePlan(posted);
  keep(JSON.stringify(input), { plan, checks, design: plan.design });
}

/** What was made of a design; null where there is no pattern, or it cannot be read. */
export function madeOf(input: DesignInput): Plan['made'] {
  const answer = planned(input);
  return 'plan' in answer ? answer.plan.made : null;
}

/** The plan of a design as it stands. */
export const usePlan = (design: DesignInput): Planned => useMemo(() => planned(design), [design]);
