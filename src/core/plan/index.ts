/** Plans: `planFor(design)` draws, folds and proves; `planDocument(plan)` writes the answer down. */
export {
  briefFor,
  constructionOptions,
  designSchema,
  issuesOf,
  readDesign,
  type Design,
  type DesignInput,
  type Issue,
} from './design';
export { planFor, type Made, type Plan } from './plan';
export { checksOf, type Check, type DesignChange, type Level, type Remedy } from './checks';
export { checkSentence, remedyLabel, sayer, type Say } from './words';
export { scoreNumbers, stepsOf, type Action, type Step, type StepPicture } from './steps';
export { glueAreas, keepDry, planDocument, planSchema, type PlanDocument } from './document';
export { CARDS, PAPERS, sizeNamed, smallestPaperFor, type PaperSize } from './papers';
