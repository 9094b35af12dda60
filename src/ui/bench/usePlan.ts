import { useMemo } from 'react';
import {
  checksOf,
  planFor,
  readDesign,
  type Check,
  type Design,
  type DesignInput,
  type Issue,
  type Plan,
} from '@/core/plan';

export type Planned =
  | { readonly plan: Plan; readonly checks: readonly Check[]; readonly design: Design }
  /** It could be read and not worked out: a fault of the app's own, with which the rest can still be changed. */
  | { readonly issues: readonly Issue[]; readonly design: Design }
  | { readonly issues: readonly Issue[] };

const FAULT =
  'This design could not be worked out. That is a fault of the app, not of yours: change a size or a choice, or undo. Nothing of it is lost.';

/** Plans a design. It takes about two milliseconds, so it runs where the drag is and everything follows live. */
export function planned(input: DesignInput): Planned {
  const read = readDesign(input);
  if (!read.ok) return { issues: read.issues };
  const { design } = read;
  try {
    const plan = planFor(design);
    return { plan, checks: checksOf(plan), design };
  } catch (error) {
    console.error('planning', JSON.stringify(input), error);
    return { issues: [{ path: '', message: FAULT }], design };
  }
}

/** The plan of a design as it stands. */
export const usePlan = (design: DesignInput): Planned => useMemo(() => planned(design), [design]);
