/** Rescue: `waysOut(mishap, say)` reads a sheet as it is after a mishap, and seeks what it can still be. */
export { readRescue, rescueSchema, type Fact, type Mishap } from './wrong';
export { placeOnEdge, sheetAsItIs, type ScarredSheet, type SheetMark } from './sheet';
export { type Ends, type LaidPattern, type Scar } from './laid';
export { misreadSchema, misreadWords, mistakeOf, warningAt, type Misread, type Mistake } from './mistaken';
export { rescueAnswer } from './answer';
export { allWaysOut, waysOut, type WayOut, type WayKind, type WaysOut } from './ways';
export { sheetNow, type SheetNow } from './sheet-now';
