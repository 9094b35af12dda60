import { INCH, mm, type Mm } from './mm';

/** The marks on the maker's ruler, board or trimmer: lengths are set and cut on these. */
export const GRADUATIONS = ['1/8 in', '1/16 in', '1/32 in', '1 mm', '0.5 mm', 'exact'] as const;
export type Graduation = (typeof GRADUATIONS)[number];
export type Units = 'in' | 'mm';
export type Direction = 'up' | 'down' | 'nearest';

const STEP: Record<Graduation, number> = {
  '1/8 in': INCH / 8,
  '1/16 in': INCH / 16,
  '1/32 in': INCH / 32,
  '1 mm': 1,
  '0.5 mm': 0.5,
  exact: 0,
};

/** Slack when asking whether a value stands on a mark, mm: far below paper, far above rounding noise. */
const ON_MARK = 1e-6;

/** Distance between marks, mm; 0 for `exact`, which has a mark everywhere. */
export const stepOf = (graduation: Graduation): number => STEP[graduation];

/** The units a graduation is read in. `exact` has none of its own and reads in millimetres. */
export const unitsOf = (graduation: Graduation): Units => (graduation.endsWith('in') ? 'in' : 'mm');

/** Marks that a thing is begun with. */
export const usualMarks = (units: Units): Graduation => (units === 'in' ? '1/8 in' : '1 mm');

/** Moves a length to a mark of the graduation. A length already on a mark stays, whatever the direction. */
export function roundTo(value: Mm, graduation: Graduation, direction: Direction): Mm {
  const step = STEP[graduation];
  if (step === 0) return value;
  const nearest = Math.round(value / step);
  if (direction === 'nearest' || Math.abs(value - nearest * step) <= ON_MARK) return mm(nearest * step);
  return mm((direction === 'up' ? Math.ceil(value / step) : Math.floor(value / step)) * step);
}

/** True when the length stands on a mark of the graduation. */
export function onGraduation(value: Mm, graduation: Graduation): boolean {
  const step = STEP[graduation];
  return step === 0 || Math.abs(value - Math.round(value / step) * step) <= ON_MARK;
}
