import { leastWidth, TOLERANCE, type Polygon } from '../../geometry';

/**
 * How far off paper may be and still count as folded as told. A pattern is exact; a sheet that hands have cut and
 * scored is not, and is folded and judged with more of it.
 */
export interface Slack {
  /** How far a hinge or joint may lie off the line that is folded, or a panel across it, mm. */
  readonly lines: number;
  /** Overlap too small to be in the way, mm². */
  readonly speck: number;
  /** How far paper in space may lie off what it should touch, or reach into it, mm. */
  readonly touch: number;
}

/** Rounding alone: what a pattern is held to. */
export const EXACT: Slack = { lines: TOLERANCE.folded, speck: TOLERANCE.speck, touch: TOLERANCE.standing };

/** True for shared paper that is broader than lines may be off; rounding alone leaves no strip, only specks. */
export const isBroad = (shared: Polygon, { lines }: Slack): boolean =>
  lines <= EXACT.lines || leastWidth(shared) > lines;

/** For a sheet whose lines lie up to so far from where they should, mm: two of them may be off either way. */
export const offBy = (lines: number): Slack => ({
  lines: EXACT.lines + 2 * lines,
  speck: EXACT.speck,
  touch: EXACT.touch + 2 * lines,
});
