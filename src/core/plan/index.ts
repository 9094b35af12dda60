/** Plans: `planFor(design)` draws, folds and measures; what comes of it is a `Made`, and everything else is read off that. */
export { type Book, type BookLeaf, bookOf, leafBox } from './book';
export { type ClosurePlan, closureOf, closurePlan } from './closures';
export { CONTENTS, type GlueAdvice, glueAdvice, glueAreas, glueIds, keepDry } from './glue';
export { addedOutside, layersOf } from './layers';
export {
  type LaidOn,
  type PlannedLayer,
  type Made,
  type MadeLayer,
  type MadePiece,
  type Plan,
  partNamed,
} from './made';
export { type ScoreNumber, allNumbers, scoreNumbers } from './numbers';
export { thingOutline, planFor, planOnSheet } from './plan';
export { type Shape, type Sight, closedSights, openSights } from './sights';
export { HOLDS, sizedFor } from './sized';
export { basePieces, ownPaper, panelName, pieceOf, spinesOf, viewOf } from './thing';
