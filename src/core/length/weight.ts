/**
 * Weights of paper. Grammage is defined by ISO 536; the basis weight of American papers is that of 500 sheets of the
 * grade's basic size: 20 × 26 in for cover, 25 × 38 in for text (published definitions, from memory).
 */
import type { Units } from './graduation';
import { INCH, mm, type Mm } from './mm';

const POUND = 453.59237;
const REAM = 500;
/** Basic sizes, m². */
const BASIC_SIZES = {
  cover: (20 * 26 * INCH * INCH) / 1e6,
  text: (25 * 38 * INCH * INCH) / 1e6,
} as const;
export type Grade = keyof typeof BASIC_SIZES;

/** g/m² of a paper of so many pounds a ream of its grade. */
export const gramsOf = (pounds: number, grade: Grade): number => (pounds * POUND) / (REAM * BASIC_SIZES[grade]);

/** Pounds a ream of a grade for a paper of so many g/m². */
export const poundsOf = (grams: number, grade: Grade): number => (grams * REAM * BASIC_SIZES[grade]) / POUND;

/**
 * Thickness over weight, cm³/g (ISO 534 calls it bulk). Smooth card runs from 1.1 to 1.5; common practice, no source.
 * A measured caliper is better: ten sheets under a rule, divided by ten.
 */
export const USUAL_BULK = 1.3;

/** Caliper of a paper of so many g/m², mm, at a bulk in cm³/g. */
export const caliperOf = (grams: number, bulk: number = USUAL_BULK): Mm => mm((grams * bulk) / 1000);

/** Caliper of a paper nobody measured or weighed, mm: a 65 lb cover or a good 200 g/m² card. Common practice, no source. */
export const USUAL_CALIPER = mm(0.25);

/** g/m² of a paper of that caliper, at a bulk in cm³/g. */
export const gramsAt = (caliper: number, bulk: number = USUAL_BULK): number => (caliper * 1000) / bulk;

/** What a sheet feels like, by its caliper, mm: the first that it is no thicker than. Common practice, no source. */
const FEELS: readonly (readonly [upTo: number, words: string])[] = [
  [0.07, 'like tissue'],
  [0.12, 'like copy paper'],
  [0.19, 'like a good letter'],
  [0.33, 'like a postcard'],
  [0.6, 'like a business card'],
  [1.2, 'like the back of a pad'],
];

/** What a thickness feels like; nothing for what is no paper any more. */
export const feelsLike = (caliper: number): string => FEELS.find(([upTo]) => caliper <= upTo)?.[1] ?? '';

/** Something thin in the person's own units: `11 thousandths of an inch`, `0.28 mm`. */
export function sayThin(value: number, units: Units): string {
  if (units === 'mm') return `${Number(value.toFixed(2))} mm`;
  const mils = Math.max(1, Math.round((value / INCH) * 1000));
  return mils === 1 ? '1 thousandth of an inch' : `${mils} thousandths of an inch`;
}
