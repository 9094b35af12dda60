/** Making: `stepsOf(plan, say)` is the order of work told step by step. */
export { blanksOf } from './blanks';
export { whenDone } from './finishing';
export { flatMoves, laidAnew } from './flat';
export { asSold, materialsOf, materialsTogether, materialWords, type Material } from './materials';
export { inOrder } from './order';
export type { Action, Step } from './step';
export { NUMBER_EDGES, pageByPage, stepsOf, unnamed } from './steps';
export { CAUTION, adhesiveSentence, closureWords } from './words';
