/** Sets: `readSet(document)` reads papers and parts that hold each other, `planSet(set)` plans them from the inside out. */
export {
  LIES,
  MOST_ALIKE,
  setSchema,
  type HeldPart,
  type Lie,
  type Part,
  type PartInput,
  type PartOutput,
  type SetDesign,
  type SetInput,
  type SetPaper,
  type SetPaperInput,
} from './set';
export { readSet, type SetResult } from './read';
export { designOf, setOf, withDesign } from './design-of';
export { heldBy, planSet, type PlannedPart, type Planner, type SetPlan } from './plan-set';
export { alike, onEachOther, together, type Outside } from './outside';
export { setChecks, type SetCheck, type SetRemedy } from './checks';
export { setRemedyLabel, setSentence } from './words';
export {
  cutListOf,
  isCut,
  pieceName,
  sheetsTaken,
  shortagesOf,
  type PaperCuts,
  type SetPiece,
  type Shortage,
} from './cut-list';
export { partSteps } from './order';
export { setsDone, setsLaid, walkOf, withOwnWays, type DoneAgain, type OwnWay, type WayOfWork } from './walk';
export { stepsAt, type LaidPaper, type SheetsAtHand, type Stop } from './stop';
export { freeId, setBegunIn, withInside, withOutside, withoutPart, withPaper, withPart, withRemedy } from './change';
export { outermost, withSetInside, withSetOutside } from './join';
export { copiesSaid, stopWords, type StopWords } from './stop-words';
export { minutesOf, paceOf, type Finished } from './time';
export { CHAINS, type Begun, type Chain } from './chains';
export { ENVELOPE_WAYS, type Envelopes, type EnvelopeWay } from './from-envelopes';
export { setDocument, setPlanSchema, type SetPlanDocument } from './document';
export { planAnswerTo, type PlanAnswer } from './answer';
export { setOfOlder } from './older';
export {
  followsFrom,
  isFolded,
  isRefused,
  planAsMade,
  wayThrough,
  type Follows,
  type Happened,
  type MeasuredPart,
} from './measured';
