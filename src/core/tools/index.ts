/** Tools: `programmeFor(built, board)` says what to do; `simulate(blank, board, moves)` does it. */
export { COMMON_BOARD, makingWith, toolSchema, type EdgeBoard, type EnvelopeBoard, type Tool } from './tool';
export { programmeFor, type Mark, type Move, type Programme, type RimMark, type Spot, type Stretch } from './programme';
export { simulate, type Made } from './simulate';
export { differences } from './compare';
export { calibrate, type BoardSize, type Calibration, type TrialFold } from './calibrate';
