/**
 * Cutting: a cut list, its layout, `fenceOrder` for how to cut it, and the stash. The search itself, `pack(list, solver)`,
 * comes with the solver and is asked for by its own name: `cutting/pack`.
 */
export {
  cutListSchema,
  layoutSchema,
  readCutList,
  type Cut,
  type CutList,
  type CutListInput,
  type CutPiece,
  type Layout,
  type Placement,
  type Rect,
  type SheetKind,
  type SheetLayout,
} from './cut-list';
export { laidByHand, shareUsed, type ByHand } from './layout';
export type { PackProgress } from './pack';
export { longestCut } from './longest-cut';
export { isOfSize, isPlaced } from './placed';
export { endsPieces, fenceCare, fenceSentences, partWords } from './fence-words';
export { carryOutCuts, fenceOrder, type FenceGroup, type TrimmerCut } from './trimmer';
export { copiesFrom, piecesOf, sheetsFor, type Need, type NeededPiece } from './needs';
export {
  paperSpent,
  sheetsFrom,
  stashPaperSchema,
  whenCut,
  type KeptPaper,
  type PaperSpent,
  type StashChange,
  type StashPaper,
} from './stash';
