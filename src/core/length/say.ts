import { formatLength } from './format';
import { roundTo, unitsOf, type Graduation, type Units } from './graduation';
import { INCH, mm } from './mm';

/**
 * Says a length the way the person reads: `say(95.25)` is `3 3/4 in`; `down` never says more than there is, `up` never
 * less than it takes.
 */
export type Say = (value: number, way?: 'down' | 'up') => string;

/**
 * A sayer for a person's units and marks; a figure between marks is said as "about", or as the mark below or above. What is
 * less than a mark is not nothing: it is said as that, or in decimals.
 */
export const sayer =
  (units: Units, graduation: Graduation): Say =>
  (value, way) => {
    const marks = marksFor(units, graduation);
    const tenths = (round: (tenth: number) => number): string =>
      formatLength(mm(round(value * 10) / 10), 'mm', 'exact');
    const lessThanMark = (): string => `less than ${formatLength(roundTo(mm(0.01), marks, 'up'), units, marks)}`;
    if (way === undefined) {
      const nearest = formatLength(mm(value), units, graduation, true);
      if (!nearest.startsWith('about 0 ') || Math.abs(value) < 0.05) return nearest;
      return units === 'mm'
        ? tenths(Math.round)
        : `${String(Number((value / INCH).toPrecision(1))).replace('-', '−')} in`;
    }
    const marked = roundTo(mm(value), marks, way);
    if (way === 'up' && units === 'mm' && marked > value * 2 && value >= 0.1) return tenths(Math.ceil);
    if (way === 'down' && units === 'mm' && value >= 0.1) return tenths((tenth) => Math.floor(tenth + 1e-6));
    return way === 'down' && marked <= 0 && value >= 0.1 ? lessThanMark() : formatLength(marked, units, marks, true);
  };

/** Marks to round a said figure to: the design's own where they suit the units, else sixteenths or half millimetres. */
const marksFor = (units: Units, graduation: Graduation): Graduation =>
  graduation !== 'exact' && unitsOf(graduation) === units ? graduation : units === 'in' ? '1/16 in' : '0.5 mm';
