/**
 * The fold engine: `assemble(pieces, steps)` turns flat pieces into layers, and everything else here is read off
 * those layers. Nothing in this folder knows any construction or its formulas.
 */
export {
  flatStack,
  hasPanel,
  hingeLine,
  layerOf,
  levelOf,
  type Joint,
  type Layer,
  type Side,
  type Stack,
} from './stack';
export { EXACT, offBy, type Slack } from './slack';
export { foldOver, type Fold, type FoldProblem } from './foldOver';
export {
  assemble,
  isReady,
  stageAfter,
  type AssemblyFold,
  type AnyProblem,
  type AssemblyPlace,
  type AssemblyStep,
  type FlatWork,
  type Folded,
  type Stage,
} from './assemble';
export { bringing } from './bringing';
export { refold } from './refold';
export { reached } from './hangsOn';
export { contactsOf, type Contact } from './contact';
export * from './measure';
export { NO_PAPER, type Calipers, type Taken } from './taken';
export * from './unfolds';
export type { BoxCavity, Cavity, FlatCavity } from './cavity';
export {
  aboveSlot,
  facesView,
  mouthView,
  slotOf,
  type Room,
  type FitRefusal,
  type Slot,
  type SlotRefusal,
} from './slot';
export * from './standing';
