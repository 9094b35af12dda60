/** Chance: `seeded(1)` draws the same numbers every time. */
import { randomLcg } from 'd3-random';

/** Numbers from 0 to 1, evenly spread, that a whole number repeats. */
export const seeded = (seed: number): (() => number) =>
  // The generator takes a share of one, and not the seed itself: whole numbers would draw alike.
  randomLcg(((seed >>> 0) + 0.5) / 2 ** 32);
