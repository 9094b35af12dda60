/** Checks: `checksOf(plan)` asks of the folded shape what a maker would ask; `remediesTried(plan)` what helps. */
export type { Check, CheckOf } from './check';
export { checksOf } from './checks';
export { FINER, type OwnPaper } from './offers';
export { type PostedPlan, postPlan, receivePlan } from './posted';
export { type Remedies, remediesOf, remediesTried } from './remedies';
export { checkSentence, remedyLabel } from './words';
