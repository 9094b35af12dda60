import { INCH, type Mm } from './mm';
import type { Graduation, Units } from './graduation';

/** A length taken apart for setting in type: sign, whole number, fraction or decimals, unit. */
export interface LengthParts {
  readonly negative: boolean;
  readonly whole: string;
  /** Numerator and denominator of the fraction, when there is one. */
  readonly fraction: readonly [number, number] | null;
  readonly unit: Units;
  /** True when the printed figure stands for a length that lies between marks. */
  readonly about: boolean;
}

/** How close a printed figure must be to its length to pass for exact, mm. */
const EXACT = 0.005 + 1e-6;

/** A half is said upwards, whichever way it was reckoned: 150.75 never reads 150.7 here and 150.8 there. */
const HALF = 1e-7;

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** Finest fraction of an inch worth reading: sixteenths, unless the maker's own ruler has finer marks. */
const denominatorOf = (graduation: Graduation): number => (graduation === '1/32 in' ? 32 : 16);

/**
 * Takes a length apart for printing. Inches come as a fraction (decimals at `exact`),
 * millimetres with at most one decimal (two at `exact`). A length between marks says so by `about`.
 */
export function lengthParts(value: Mm, units: Units, graduation: Graduation): LengthParts {
  const size = Math.abs(value);
  const decimals = (amount: number, places: number): string => String(Number((amount + HALF).toFixed(places)));
  if (units === 'mm' || graduation === 'exact') {
    const unit = units === 'mm' ? 1 : INCH;
    const places = graduation !== 'exact' ? 1 : units === 'mm' ? 2 : 3;
    const whole = decimals(size / unit, places);
    return {
      negative: value < 0 && Number(whole) !== 0,
      whole,
      fraction: null,
      unit: units,
      about: Math.abs(Number(whole) * unit - size) > EXACT,
    };
  }
  const denominator = denominatorOf(graduation);
  const marks = Math.round((size / INCH) * denominator + HALF);
  const about = Math.abs((marks / denominator) * INCH - size) > EXACT;
  const whole = Math.floor(marks / denominator);
  const rest = marks % denominator;
  const shared = gcd(rest, denominator);
  return {
    negative: value < 0 && marks > 0,
    whole: whole === 0 && rest > 0 ? '' : String(whole),
    fraction: rest === 0 ? null : [rest / shared, denominator / shared],
    unit: 'in',
    about,
  };
}

/** A length as plain text: `3 3/4 in`, `95.3 mm`; `about` marks a figure that was rounded for reading. */
export function formatLength(value: Mm, units: Units, graduation: Graduation, about = false): string {
  const parts = lengthParts(value, units, graduation);
  const amount = [parts.whole, parts.fraction?.join('/')].filter(Boolean).join(' ');
  return `${about && parts.about ? 'about ' : ''}${parts.negative ? '−' : ''}${amount} ${parts.unit}`;
}
