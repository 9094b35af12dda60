import { expose } from 'comlink';
import { checksOf, planFor, postPlan, readDesign, type DesignInput, type PostedPlan } from '@/core/plan';
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
};
export type PlanWorker = typeof planWorker;
expose(planWorker);
