/** Hands: `oddsAnswer(question)` makes a plan thousands of times with the errors of hands, and counts how often it fits. */
export { benchFor, oddsOf, type Asked, type Hands, type Odds } from './odds';
export { fromStrip, readMeasures } from './strip';
export {
  answerHands,
  handsSchema,
  oddsAnswer,
  readHands,
  USUAL_HANDS,
  type HandsAnswer,
  type HandsQuestion,
} from './question';
