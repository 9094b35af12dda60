import { formatLength } from './format';
import { roundTo, unitsOf, type Graduation, type Units } from './graduation';
import { mm } from './mm';

/**
 * Says a length the way the person reads: `say(95.25)` is `3 3/4 in`; `down` never says more than there is, `up` never
 * less than it takes.
 */
export type Say = (value: number, way?: 'down' | 'up') => string;

/** A sayer for a person's units and marks; a figure between marks is said as "about", or as the mark below or above. */
export const sayer =
  (units: Units, graduation: Graduation): Say =>
  (value, way) => {
    // What is less than a mark is not nothing: it is said in tenths of a millimetre.
    const tenths = (round: (tenth: number) => number): string =>
      formatLength(mm(round(value * 10) / 10), 'mm', 'exact');
    if (way === undefined) {
      const nearest = formatLength(mm(value), units, graduation, true);
      return /^about 0 /.test(nearest) && Math.abs(value) >= 0.05 ? tenths(Math.round) : nearest;
    }
    const marks = marksFor(units, graduation);
    const marked = roundTo(mm(value), marks, way);
    if (way === 'up')
      return marked > value * 2 && value >= 0.1 ? tenths(Math.ceil) : formatLength(marked, units, marks, true);
    return marked > 0 || value < 0.1 ? formatLength(marked, units, marks, true) : tenths(Math.floor);
  };

/** Marks to round a said figure to: the design's own where they suit the units, else sixteenths or half millimetres. */
const marksFor = (units: Units, graduation: Graduation): Graduation =>
  graduation !== 'exact' && unitsOf(graduation) === units ? graduation : units === 'in' ? '1/16 in' : '0.5 mm';
