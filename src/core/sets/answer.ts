import { isGiven, readDesign } from '../design';
import { planDocument, type PlanDocument } from '../document';
import { planFor } from '../plan';
import type { Issue } from '../text/issues';
import { setDocument, type SetPlanDocument } from './document';
import { planSet } from './plan-set';
import { readSet } from './read';

/** What comes of a document: its plan, or what is wrong with it. */
export type PlanAnswer =
  | { readonly ok: true; readonly answer: PlanDocument | SetPlanDocument }
  | { readonly ok: false; readonly error: string; readonly issues: readonly Issue[] };

/** True for a document that asks for a set: it has parts. */
const isSet = (document: unknown): boolean => typeof document === 'object' && document !== null && 'parts' in document;

/** Answers a design with its plan, a set with the plans of all its parts; which it is, is told by the document itself. */
export function planAnswerTo(document: unknown): PlanAnswer {
  if (isSet(document)) {
    const read = readSet(document);
    return read.ok
      ? { ok: true, answer: setDocument(planSet(read.set)) }
      : { ok: false, error: 'The set has a problem.', issues: read.issues };
  }
  const { construction } = (document ?? {}) as { readonly construction?: unknown };
  if (isGiven(construction))
    return {
      ok: false,
      error: 'The design has a problem.',
      issues: [
        { path: 'construction', message: 'Nobody makes this: it is there already. Tell of it as “given” in a set.' },
      ],
    };
  const read = readDesign(document);
  return read.ok
    ? { ok: true, answer: planDocument(planFor(read.design)) }
    : { ok: false, error: 'The design has a problem.', issues: read.issues };
}
