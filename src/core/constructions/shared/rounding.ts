import { TOLERANCE } from '../../geometry';
import { mm, near, stepOf, type Graduation } from '../../length';
import type { Ease } from './construction';

/** A pair of positions a rounding search may choose. */
export interface Candidate {
  readonly first: number;
  readonly second: number;
  /** Ease the pair gives, mm. */
  readonly ease: Ease;
  /** Side of the sheet the pair needs, mm. */
  readonly sheet: number;
}

/** Marks of the graduation round an ideal position, from three below to three above; `exact` has just the ideal. */
export function marksRound(ideal: number, graduation: Graduation, shift = 0): number[] {
  const step = stepOf(graduation);
  if (step === 0) return [ideal];
  const middle = Math.round((ideal - shift) / step);
  return Array.from({ length: 7 }, (_, i) => (middle - 3 + i) * step + shift);
}

/**
 * Of the pairs that keep the least ease both ways, the one whose larger departure from the aim is smallest; of
 * equals, the smaller sheet. Null when none keeps the least ease.
 */
export function bestCandidate(candidates: Iterable<Candidate>, aim: Ease, least: Ease): Candidate | null {
  let best: Candidate | null = null;
  let bestOff = Infinity;
  for (const candidate of candidates) {
    const { ease } = candidate;
    if (ease.width < least.width - TOLERANCE.length || ease.height < least.height - TOLERANCE.length) continue;
    const off = Math.max(Math.abs(ease.width - aim.width), Math.abs(ease.height - aim.height));
    if (
      off < bestOff - TOLERANCE.length ||
      (near(off, bestOff, TOLERANCE.length) && best !== null && candidate.sheet < best.sheet - TOLERANCE.length)
    ) {
      best = candidate;
      bestOff = Math.min(off, bestOff);
    }
  }
  return best;
}

/** The larger of aim and least, either way: where an exact plan puts the ease. */
export const wantedEase = (aim: Ease, least: Ease): Ease => ({
  width: mm(Math.max(aim.width, least.width)),
  height: mm(Math.max(aim.height, least.height)),
});
