/** Tools: `programmeFor(piece, start, tool)` says what to do; `simulate(blank, tool, moves)` does it. */
export { COMMON_BOARD, type EnvelopeBoard } from './envelope-board';
export { hasGroove, type ScoringBoard } from './scoring-board';
export { TOOLS } from './list';
export {
  benchFigures,
  faultWords,
  freshTool,
  kitOf,
  kitSchema,
  moveWords,
  OFFERED,
  ownedFigures,
  ownToolSchema,
  planTool,
  sameTool,
  TOOL_WORDS,
  toolMove,
  toolOf,
  toolSchema,
  usesTool,
  type Kit,
  type Move,
  type OwnTool,
  type Tool,
  type ToolKind,
  type ToolLimitFacts,
} from './registry';
export type { Fault } from './fault';
export type { Hand, Reading, Thing, ToolStep, ToolWork, Under } from './tool';
export {
  boardsOf,
  COMMON_TOOLBOX,
  MOST_TOOLS,
  toolboxSchema,
  withChanged,
  type Toolbox,
  type ToolChange,
} from './toolbox';
export { enclosedBy } from './enclosed';
export { scoresRun, type Mark, type MarkFor, type Programme, type RimMark, type Spot, type Stretch } from './move';
export { programmeFor } from './programme';
export { partWay, stretchReadings } from './telling';
export { simulate, type Simulated } from './simulate';
export { wholeSheet, type SheetState } from './sheet';
export { differences } from './compare';
export { calibrate, trialInside, type BoardSize, type Calibration, type TrialFold } from './calibrate';
