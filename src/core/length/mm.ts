/** A length in millimetres. The core knows no other unit; inches exist only where people type and read. */
export type Mm = number & { readonly __unit: 'mm' };

/** One inch in millimetres, exactly (ISO 80000-3). */
export const INCH = 25.4;

/** Brands a plain number as millimetres. Throws on NaN and infinities: those are bugs, not input. */
export function mm(value: number): Mm {
  if (!Number.isFinite(value)) throw new Error(`${value} is not a length`);
  return value as Mm;
}

/** A length given in inches, as millimetres. */
export const inches = (value: number): Mm => mm(value * INCH);

/** True when `a` and `b` differ by at most `tolerance` (all mm). NaN is near nothing. */
export const near = (a: number, b: number, tolerance: number): boolean => Math.abs(a - b) <= tolerance;
