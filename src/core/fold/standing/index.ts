/**
 * Standing: what is raised from flat piles. `raise(pieces, piles, steps)` turns hinges by their angles in space and
 * watches what the paper meets; room, faces and walls are read off how it stands.
 */
export { carriedLeaf, leafOf, standingOf, type Leaf, type Standing, type Touch } from './pose';
export { passThrough } from './crossing';
export {
  midway,
  raise,
  type AssemblyRaise,
  type AssemblySet,
  type Join,
  type Motion,
  type Raised,
  type StandingProblem,
  type StandingStage,
  type StandingWork,
} from './raise';
export { boxInside, boxTaken, contentsIn, roomAxes, standsFree, type Size3 } from './boxRoom';
export { edgesMeet, lidWays, type LidPair, type LidWay } from './lidRoom';
export { seenAsPile, type Look } from './faces';
export { liftsOf } from './lifts';
