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
  turningLine,
  type Joint,
  type Layer,
  type Side,
  type Stack,
} from './flat/stack';
export { EXACT, offBy, type Slack } from './flat/slack';
export { foldOver, type Fold, type FoldProblem } from './flat/foldOver';
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
export { bringing } from './flat/bringing';
export { refold } from './refold';
export { reached } from './flat/hangsOn';
export { contactsOf, type Contact } from './flat/contact';
export * from './flat/measure';
export { NO_PAPER, type Calipers, type Taken } from './flat/taken';
export * from './flat/unfolds';
export type { BoxCavity, Cavity, FlatCavity } from './flat/cavity';
export {
  aboveSlot,
  facesView,
  mouthView,
  slotOf,
  type Room,
  type FitRefusal,
  type Slot,
  type SlotRefusal,
} from './flat/slot';
export * from './standing';
