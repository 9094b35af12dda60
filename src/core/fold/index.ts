/**
 * The fold engine: `assemble(piece, folds)` turns a flat piece into layers, and everything else here is read off
 * those layers. Nothing in this folder knows any construction or its formulas.
 */
export { flatStack, hingeLine, layerOf, levelOf, type Joint, type Layer, type Side, type Stack } from './stack';
export { foldOver, type Fold, type FoldProblem } from './foldOver';
export { assemble, stageAfter, type AssemblyFold, type Folded, type Stage } from './assemble';
export { contactsUnder, type Contact } from './contact';
export * from './measure';
export { mouthView, slotOf, type Cavity, type Room, type Slot, type SlotRefusal } from './slot';
