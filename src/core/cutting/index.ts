/** Cutting: `pack(list, solver)` lays pieces out on the fewest sheets and proves it; `fenceOrder` says how to cut them. */
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
export { laidByHand, type ByHand } from './layout';
export { pack, packing, type Progress } from './pack';
export { USUAL_PATIENCE, type Patience } from './search';
export { loadSolver, type Solver } from './solver';
export { carryOut, fenceOrder, type FenceGroup, type TrimmerCut } from './trimmer';
export { blanksOf, copiesFrom, piecesOf, type Need } from './needs';
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
