import { expose } from 'comlink';
import {
  checksOf,
  postPlan,
  remediesOf,
  remediesTried,
  type OwnPaper,
  type PostedPlan,
  type Remedies,
} from '@/core/checks';
import { planFor } from '@/core/plan';
import { readDesign, type DesignInput } from '@/core/design';
import { greets } from './helper';

const planWorker = {
  ...greets,
  /** A design's plan with its checks; null where it cannot be read. */
  plan: (input: DesignInput): PostedPlan | null => {
    const read = readDesign(input);
    if (!read.ok) return null;
    const plan = planFor(read.design);
    return postPlan(plan, checksOf(plan));
  },
  /** What helps against each thing found of a design, by its id: tried in the plan; null where it cannot be read. */
  remedies: (input: DesignInput, owned: readonly OwnPaper[]): Remedies | null => {
    const read = readDesign(input);
    return read.ok ? remediesOf(remediesTried(planFor(read.design), owned)) : null;
  },
};
export type PlanWorker = typeof planWorker;
expose(planWorker);
