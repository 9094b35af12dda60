import { mm } from '../../length';
import { Undrawable } from '../../pattern';
import type { Brief, BuildResult, Construction } from './construction';

/** Least width and height of contents a holder is drawn for, mm: what is smaller has no panel that can be folded. */
const LEAST_CONTENTS = mm(3);

/**
 * Asks a construction for its pattern. What cannot be drawn is a refusal, never an exception: contents too small for
 * any panel, and parts that shrink to nothing at these sizes.
 */
export function drawn(construction: Construction, brief: Brief): BuildResult {
  const { contents } = brief;
  for (const side of ['width', 'height'] as const)
    if (contents && contents[side] < LEAST_CONTENTS)
      return {
        ok: false,
        refusal: { code: 'contents-too-small', value: contents[side], limit: LEAST_CONTENTS, about: { side } },
      };
  try {
    return construction.build(brief);
  } catch (error) {
    if (!(error instanceof Undrawable)) throw error;
    const { part, breadth, least } = error;
    return { ok: false, refusal: { code: 'part-too-small', value: breadth, limit: least, about: { part } } };
  }
}
