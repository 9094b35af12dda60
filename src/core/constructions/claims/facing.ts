import type { PanelId } from '../../pattern';
import { TOLERANCE } from '../../geometry';
import { hingeLine, inView, mouthView, reachAcross, type Stack, type View } from '../../fold';
import type { ClaimType } from './claim';

/** Flaps that face each other across the floor of a pocket. */
export interface Facing {
  readonly kind: 'facing';
  readonly pairs: readonly (readonly [string, string])[];
}
interface Tips {
  readonly a: string;
  readonly b: string;
  /** They just meet. */
  readonly meet: boolean;
  /** Other flaps cover what they leave open. */
  readonly closed: boolean;
}
export interface FacingFacts {
  'tips-width': Tips;
  'tips-height': Tips;
}

export const facing: ClaimType<Facing, FacingFacts> = {
  of: 'pile',
  measure: ({ pairs }, { folded: { finished }, cavity, name }) => {
    if (!cavity || cavity.kind === 'box') return [];
    const view = mouthView(finished, cavity);
    return pairs.map(([a, b]) => {
      const axis = facingAxis(finished, view, a);
      const value = reachAcross(finished, a, b, axis);
      const wide = (axis === view.across) === (cavity.acrossMouth !== 'height');
      return {
        kind: wide ? 'tips-width' : 'tips-height',
        level: value < -TOLERANCE.folded ? 'note' : 'pass',
        value,
        limit: 0,
        about: { a: name(a), b: name(b), meet: Math.abs(value) <= TOLERANCE.folded, closed: cavity.kind === 'closed' },
      };
    });
  },
  words: { 'tips-width': words, 'tips-height': words },
};

function words(
  { level, value, about: { a, b, meet, closed } }: { level: string; value: number; about: Tips },
  say: (value: number) => string,
): string {
  if (meet) return `The tips of the ${a} and the ${b} just meet.`;
  if (level !== 'note') return `The ${a} and the ${b} lap by ${say(value)}.`;
  return closed
    ? `The tips of the ${a} and the ${b} stop ${say(-value)} apart; the other flaps cover the gap.`
    : `The ${a} and the ${b} leave a window of ${say(-value)} between them.`;
}

/** Which of the view's axes a flap reaches along: the one its shape spans from a far edge of the floor. */
function facingAxis(stack: Stack, view: View, panel: PanelId): View['across'] {
  const line = hingeLine(
    stack,
    stack.hinges.find((h) => h.between[1] === panel)!,
  );
  const [from, to] = [inView(view, line.from), inView(view, line.to)];
  return Math.abs(to.x - from.x) > Math.abs(to.y - from.y) ? view.up : view.across;
}
