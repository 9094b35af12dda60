/**
 * How often a property is tried: as often as it says in the check, `RUNS` times that where more are looked for
 * (`RUNS=4 npm run unit`; the fuzzing does so by itself). A property that fails prints its seed and its smallest case.
 */
export const runs = (times: number): { readonly numRuns: number } => ({
  numRuns: Math.ceil(times * Number(process.env.RUNS ?? 1)),
});
