import { formatLength } from './format';
import { stepOf, unitsOf, type Graduation, type Units } from './graduation';
import { INCH, mm, type Mm } from './mm';

/** A length as it is found on a ruler: the numbered mark before it, and how many small marks past that. */
export interface Tick {
  /** The number printed at the long mark before it: inches, or millimetres in tens. */
  readonly whole: number;
  /** Small marks past the long one. */
  readonly marks: number;
  /** Small marks from one long mark to the next: 8, 16 or 32 to the inch, 10 or 20 to the centimetre. */
  readonly per: number;
  /** The small mark it is found at. */
  readonly at: Mm;
  /** How far the length lies past that mark; negative when short of it. */
  readonly off: Mm;
}

/** A length this near a mark lies on it for the eye, mm: a tenth of the finest mark. From memory. */
const ON_MARK = 0.08;

const SMALL = ['', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'] as const;
const TEENS = ['eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen'];
/** What parts of an inch are called: one, and several. */
export const PARTS: Record<number, readonly [one: string, more: string]> = {
  2: ['half', 'halves'],
  4: ['quarter', 'quarters'],
  8: ['eighth', 'eighths'],
  16: ['sixteenth', 'sixteenths'],
  32: ['thirty-second', 'thirty-seconds'],
};

/** A count under forty, in words. */
function inWords(count: number): string {
  if (count <= 10) return SMALL[count] ?? '';
  if (count < 20) return TEENS[count - 11]!;
  const tens = count < 30 ? 'twenty' : 'thirty';
  return count % 10 === 0 ? tens : `${tens}-${SMALL[count % 10]}`;
}

/**
 * Where a length stands on the person's ruler: counted in their own marks where it lies on one, in the next finer
 * ones where it does not. Lengths below zero are counted as if they were above.
 */
export function tickOf(value: Mm, units: Units, graduation: Graduation): Tick {
  const size = Math.abs(value);
  const own = graduation !== 'exact' && unitsOf(graduation) === units ? stepOf(graduation) : 0;
  const finer = units === 'in' ? [INCH / 8, INCH / 16, INCH / 32] : [1, 0.5];
  const steps = finer.filter((step) => step <= (own || Infinity) + 1e-9);
  const off = (step: number): number => size - Math.round(size / step) * step;
  // Nobody counts finer marks for nothing: the coarsest that has one there, else sixteenths or millimetres.
  const coarse = units === 'in' ? Math.min(own || INCH / 16, INCH / 16) : Math.min(own || 1, 1);
  const step = steps.find((s) => Math.abs(off(s)) <= ON_MARK) ?? coarse;
  const whole = units === 'in' ? INCH : 10;
  const count = Math.round(size / step);
  const per = Math.round(whole / step);
  return {
    whole: Math.floor(count / per) * (units === 'in' ? 1 : 10),
    marks: count % per,
    per,
    at: mm(count * step),
    off: mm(off(step)),
  };
}

/** How the place is counted on a ruler: `three quarters past 3`, `five small marks past 90`. */
export function tickWords(value: Mm, units: Units, graduation: Graduation): string {
  const { whole, marks, per, off } = tickOf(value, units, graduation);
  const lean = Math.abs(off) <= ON_MARK ? '' : off > 0 ? 'a hair over ' : 'a hair under ';
  const from = whole === 0 ? 'from the end' : `past ${whole}`;
  if (marks === 0) return `${lean || 'right on '}${whole === 0 ? 'the end' : whole}`;
  if (units === 'mm') {
    const [full, half] = per === 20 ? [Math.floor(marks / 2), marks % 2 === 1] : [marks, false];
    const counted =
      full === 0
        ? 'half a small mark'
        : `${inWords(full)}${half ? ' and a half' : ''} small ${full === 1 && !half ? 'mark' : 'marks'}`;
    return `${lean}${counted} ${from}`;
  }
  // In the words of the figure that stands beside it: three quarters, and not six eighths.
  const shared = [16, 8, 4, 2].find((by) => marks % by === 0 && per % by === 0) ?? 1;
  const [count, part] = [marks / shared, per / shared];
  return `${lean}${part === 2 ? 'half an inch' : `${inWords(count)} ${PARTS[part]![count === 1 ? 0 : 1]}`} ${from}`;
}

/** A length with its counting: `3 3/4 in: three quarters past 3`. */
export const countedLength = (value: Mm, units: Units, graduation: Graduation): string =>
  `${formatLength(value, units, graduation, true)}: ${tickWords(value, units, graduation)}`;
