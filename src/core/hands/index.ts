/** Hands: `oddsAnswer(question)` makes a plan thousands of times with the errors of hands, and counts how often it fits. */
export { benchFor, oddsOf, type MakeCheck, type Hands, type Odds } from './odds';
export { careAt, mattersMost } from './care';
export { fromFits, fromStrip, fromTrials, readMeasures, type Exactness } from './exactness';
export {
  answerHands,
  handsSchema,
  oddsAnswer,
  readHands,
  setOddsAnswer,
  USUAL_HANDS,
  type HandsAnswer,
  type HandsQuestion,
  type SetAnswer,
} from './question';
