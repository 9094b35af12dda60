/**
 * Weights of paper. Grammage is defined by ISO 536; the basis weight of American papers is that of 500 sheets of the
 * grade's basic size: 20 × 26 in for cover, 25 × 38 in for text (published definitions, from memory).
 */
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
