/** Tools: `programmeFor(built, board)` says what to do; `simulate(blank, board, moves)` does it. */
export {
  COMMON_BOARD,
  hasGroove,
  makingWith,
  sameTool,
  toolSchema,
  type EdgeBoard,
  type EnvelopeBoard,
  type ScoringBoard,
  type Tool,
} from './tool';
export { kitSchema, type Kit } from './kit';
export {
  boardsOf,
  COMMON_TOOLBOX,
  kitOf,
  MOST_TOOLS,
  OWN_TOOLS,
  ownToolSchema,
  toolboxSchema,
  toolOf,
  type OwnTool,
  type Toolbox,
  type ToolKind,
} from './toolbox';
export { enclosedBy } from './enclosed';
export { programmeFor, type Mark, type Move, type Programme, type RimMark, type Spot, type Stretch } from './programme';
export { simulate, type Simulated } from './simulate';
export { differences } from './compare';
export { calibrate, trialInside, type BoardSize, type Calibration, type TrialFold } from './calibrate';
