/** Mending: a pattern laid on a sheet that went wrong (`onSheet`), bitten by what is gone, mended and folded like any other. */
export { bitesOf, uglinessOf } from './bites';
export { USED, asRing, asSegment, covers, isAlong, stillToDo } from './done';
export { cutAway, layFrom, layOf, liesAsItIs, orientations } from './lying';
export { onSheet, withFlapsJoined } from './mending';
export { onlyHinge } from './mends';
export { type Rescued, type Turned, rescuedSchema } from './schema';
