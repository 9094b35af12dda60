/**
 * How often a property is tried: as often as it says in the check, `RUNS` times that where more are looked for
 * (`RUNS=4 npm run unit`; the fuzzing does so by itself). A property that fails prints its seed and its smallest case.
 */
export const runs = (times: number): { readonly numRuns: number } => ({
  numRuns: Math.ceil(times * Number(process.env.RUNS ?? 1)),
});

/** How often something has to have come up in a property's cases, where fewer of them than usual are tried. */
export const atLeast = (count: number): number => Math.floor(count * Math.min(1, Number(process.env.RUNS ?? 1)));
