import { TOLERANCE } from '../geometry';
import type { Mm } from '../length';
import type { Step } from '../making';
import type { HandError } from './lines';
import type { Odds } from './odds';

/** What goes with less of what goes wrong is not worth a word. */
const WORTH = 0.1;
/** Nor is anything worth one where nearly every make comes out right. */
const ENOUGH = 0.99;

/** What of a plan is to be done with care: what most of its failures go with; null where nothing stands out. */
export function mattersMost({
  share,
  matters,
}: {
  readonly share: number | null;
  readonly matters: Odds['matters'];
}): HandError | null {
  const [most] = matters;
  return share !== null && share < ENOUGH && most && most.share > WORTH ? most : null;
}

/** What setting every side by the ruler is worth at an envelope board: the shares with the pointer, and without. */
export interface ByRuler {
  readonly pointer: number;
  readonly ruler: number;
}
/** So much more often, and it is worth measuring. */
const GAIN = 0.05;

/** Whether measuring all four sides fits noticeably oftener than the pointer; null where not. */
export const rulerHelps = ({
  share,
  byRuler,
}: {
  readonly share: number | null;
  readonly byRuler: number | null;
}): ByRuler | null =>
  share !== null && byRuler !== null && byRuler - share >= GAIN ? { pointer: share, ruler: byRuler } : null;

/** What is said of it where the pointer would be brought to a score; null at every other step. */
export function rulerAt(
  step: Pick<Step, 'action' | 'at' | 'text'>,
  helps: ByRuler,
  setting: (at: Mm) => string,
): string | null {
  if (step.action !== 'punch' || step.at === undefined || !step.text.includes('at the pointer')) return null;
  const [pointer, ruler] = [helps.pointer, helps.ruler].map((share) => Math.round(share * 100));
  return `Surer than the pointer: set this side by the ruler too, at ${setting(step.at)}. Of 100 then ${ruler} come out right instead of ${pointer}.`;
}

/** What is said at the step where it is done; null at every other. */
export function careAt(
  step: Pick<Step, 'piece' | 'alike' | 'phase' | 'edge' | 'at' | 'readings'>,
  doing: HandError,
): string | null {
  if (step.piece !== doing.piece && !step.alike?.includes(doing.piece)) return null;
  const { mark, side } = doing;
  if (side && step.phase === 'cut') return `Of all that is done ${doing.what} matters most: cut it with care.`;
  if (mark === null) return null;
  const here = [step.at, ...step.readings.map(({ at }) => at)].some(
    (at) => at !== undefined && Math.abs(at - mark.at) < TOLERANCE.found,
  );
  return step.phase === 'flat' && step.edge === mark.edge && here
    ? `Of all that is done this edge matters most: ${doing.kind === 'setting' ? 'set' : 'mark'} it with care.`
    : null;
}
