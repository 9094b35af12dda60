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
  | { readonly issues: readonly Issue[] };

/** Plans a design. It takes about two milliseconds, so it runs where the drag is and everything follows live. */
export function planned(design: DesignInput): Planned {
  const read = readDesign(design);
  if (!read.ok) return { issues: read.issues };
  const plan = planFor(read.design);
  return { plan, checks: checksOf(plan), design: read.design };
}

/** The plan of a design as it stands. */
export const usePlan = (design: DesignInput): Planned => useMemo(() => planned(design), [design]);
