/**
 * Walks over everything there is take a share of it in the whole check, drawn by hand so that each kind of screen, field, step
 * and edit is in it once; with `THOROUGH=1`, as `npm run thorough` has it, all of it.
 */
export const THOROUGH = process.env.THOROUGH === '1';
