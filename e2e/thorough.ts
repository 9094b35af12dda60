/**
 * The whole check goes through each kind of screen, field, step and edit once. What goes through the rest, with other holders,
 * windows and sizes, is tagged `@thorough` or asks here: it runs with `THOROUGH=1`, as `npm run thorough` has it.
 */
export const THOROUGH = process.env.THOROUGH === '1';
