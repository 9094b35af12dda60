import { mm, parseLength, type Mm, type Units } from '../length';
import type { FitSeen, Fitted } from '../fit';
import { calibrate, type TrialFold } from '../tools';

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

/** A deviation from so many independent departures as an exactness; null for too few of them. */
function fromScatter(squares: number, free: number, measured: number): Exactness | null {
  if (free < FEWEST) return null;
  const off = 2 * Math.sqrt(squares / free);
  return { off: mm(off), sure: mm((2 * off) / Math.sqrt(2 * free)), measured };
}

/**
 * From trial folds of a board: how far each length measured departs from what its notch and guide make of the setting. Both
 * folds that bound an inside come from a setting each, and each moves it by its `1/√2`: so an inside departs as one setting
 * does. Null where the trials do not say what the board is, or are too few to say more.
 */
export function fromTrials(trials: readonly TrialFold[]): Exactness | null {
  const found = calibrate(trials);
  if (!found.ok) return null;
  const free = found.readings - 2;
  // Measured over √2, as the trials’ equations have it.
  return fromScatter(2 * found.scatter ** 2 * Math.max(0, free), free, found.readings);
}

/** How far off a fit was, mm: loose is more room, tight is less; null where that was not measured. */
const misfit = ({ how, by }: Fitted): number | null =>
  how === 'right' ? 0 : by > 0 ? (how === 'loose' ? by : -by) : null;

/**
 * From how finished things fitted, by kind: within one kind, fits that were measured differ by what hands do. A room lies
 * between two scores, so one score is off by a `√2`th of that. Null for fewer than three that can be compared.
 * @param kinds fits of one holder with one kind of contents each
 */
export function fromFits(kinds: readonly (readonly FitSeen[])[]): Exactness | null {
  let [squares, free, measured] = [0, 0, 0];
  for (const fits of kinds)
    for (const side of ['width', 'height'] as const) {
      const off = fits.map(({ fit }) => misfit(fit[side])).filter((one) => one !== null);
      // All just right says only that none was felt.
      if (off.length < 2 || off.every((one) => one === 0)) continue;
      const middle = off.reduce((sum, one) => sum + one, 0) / off.length;
      squares += off.reduce((sum, one) => sum + (one - middle) ** 2, 0) / 2;
      free += off.length - 1;
      measured += off.length;
    }
  return fromScatter(squares, free, measured);
}

/** A thing from the outside, mm. */
interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * From things that were measured as they came out: an outside lies between two folds, so one score is off by a `√2`th of what it is
 * off. Null for fewer than three sides.
 */
export function fromMeasured(things: readonly { readonly planned: Size; readonly measured: Size }[]): Exactness | null {
  const off = things.flatMap(({ planned, measured }) => [
    measured.width - planned.width,
    measured.height - planned.height,
  ]);
  return fromScatter(off.reduce((sum, one) => sum + one ** 2, 0) / 2, off.length, off.length);
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
