/**
 * How much of a benchmark is run: all of it, or just enough to see that it still runs, as the whole check does (`FEW=1`). What
 * is measured then means nothing.
 */
export const FEW = process.env.FEW === '1';
export const usually = <T>(all: T, few: T): T => (FEW ? few : all);

/** For a Bench of tinybench: each task once, and once before. */
export const ONCE = { time: 0, iterations: 1, warmupTime: 0, warmupIterations: 1 };
