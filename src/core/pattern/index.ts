/** Flat pieces: a 6 in square with four notches, a body and four flaps is one `Piece`. */
export * from './piece';
export type { PanelId, PanelName, ScoreId, StepId } from './ids';
export { drawPiece, rect, ring, sharedEdge, wasteTrims, type Drawing, type FoldLine, type SlitLine } from './draw';
export { outlineOf, wasteOf } from './outline';
export { patternFaults, type PatternFault } from './consistent';
export { drawable, Undrawable } from './undrawable';
export { LEAST } from './least';
export * from './some';
