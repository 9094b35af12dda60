/** Tools: `programmeFor(piece, start, tool)` says what to do; `simulate(blank, tool, moves)` does it. */
export { COMMON_BOARD } from './envelope-board';
export { hasGroove } from './scoring-board';
export type { EnvelopeBoard, Kit, OwnTool, ScoringBoard, Tool, ToolKind } from './kinds';
export { TOOLS } from './list';
export {
  benchFigures,
  faultWords,
  figureOf,
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
  withFigure,
} from './registry';
export type { Fault, ToolLimitFacts } from './fault';
export type { ToolGesture, RulerReading, UnderThing, ToolStep, ToolWork, Under } from './tool';
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
export {
  scoresRun,
  type Mark,
  type MarkFor,
  type Move,
  type Programme,
  type RimMark,
  type Spot,
  type Stretch,
} from './move';
export { pointerTold, programmeFor } from './programme';
export { partWay, stretchReadings } from './telling';
export { simulate, type Simulated } from './simulate';
export { scoresLeft, wholeSheet, type SheetState } from './sheet';
export { differences } from './compare';
export { calibrate, trialInside, type BoardSize, type Calibration, type TrialFold } from './calibrate';
