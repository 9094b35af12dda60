import { mm, parseLength, type Mm, type Units } from '../length';

/** How exact someone is by what they measured, and how sure that is. */
export interface Exactness {
  /** Two standard deviations about what was wanted, mm: what is always off by as much counts too. */
  readonly off: Mm;
  /** How far the true figure may be from that, mm: two standard errors of it. */
  readonly sure: Mm;
  readonly measured: number;
}

/** Fewest measures that say anything. */
const FEWEST = 3;

/**
 * From a test strip: what came of cutting, or scoring, one length again and again. With `n` of them a standard deviation is
 * known within its `1/√(2n)` (the large-sample standard error of a deviation, from memory). Null for fewer than three.
 */
export function fromStrip(wanted: number, measured: readonly number[]): Exactness | null {
  const n = measured.length;
  if (n < FEWEST) return null;
  const off = 2 * Math.sqrt(measured.reduce((sum, one) => sum + (one - wanted) ** 2, 0) / n);
  return { off: mm(off), sure: mm((2 * off) / Math.sqrt(2 * n)), measured: n };
}

/** Lengths typed one after the other, with semicolons or line ends between them; or what cannot be read of it. */
export function readMeasures(
  text: string,
  units: Units,
): { readonly ok: true; readonly measured: readonly Mm[] } | { readonly ok: false; readonly message: string } {
  const measured: Mm[] = [];
  for (const part of text.split(/[;\n]/u).filter((one) => one.trim() !== '')) {
    const read = parseLength(part.trim(), units);
    if (!read.ok) return { ok: false, message: read.message };
    measured.push(read.value);
  }
  return { ok: true, measured };
}
