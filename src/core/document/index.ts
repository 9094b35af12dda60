/** The plan document: `planDocument(plan)` writes the answer down for other programs. */
export { type PlanDocument, planDocument, planSchema } from './document';
