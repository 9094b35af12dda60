/** Hands: `oddsAnswer(question)` makes a plan thousands of times with the errors of hands, and counts how often it fits. */
export { benchFor, oddsOf, type MakeCheck, type Hands, type Odds } from './odds';
export { careAt, mattersMost, rulerAt, rulerHelps } from './care';
export { fromFits, fromMeasured, fromStrip, fromTrials, readMeasures, type Exactness } from './exactness';
export {
  answerHands,
  handsSchema,
  oddsAnswer,
  readHands,
  SCISSORS,
  setOddsAnswer,
  USUAL_HANDS,
  WORTH_HAVING,
  type HandsAnswer,
  type HandsQuestion,
  type SetAnswer,
} from './question';
