/** Plans: `planFor(design)` draws, folds and proves; `planDocument(plan)` writes the answer down. */
export {
  constructionOptions,
  designSchema,
  layerSchema,
  paperOf,
  paperSchema,
  parseDocument,
  isGiven,
  readDesign,
  type Design,
  type DesignInput,
  type Papers,
} from './design/design';
export { issuesOf, type Issue } from '../text/issues';
export { blanksOf } from './work/blanks';
export { outlineOf, planFor } from './plan';
export { partNamed, type Made, type MadePiece, type Plan } from './made';
export { basePieces, ownPaper, panelName, viewOf } from './thing';
export {
  ADHESIVES,
  CLOSURES,
  DECORATIONS,
  LAYER_PLACES,
  REVEALS,
  type Adhesive,
  type Closure,
  type Decoration,
  type LayerPlace,
} from './design/extras';
export { glueAdvice, glueAreas, keepDry, type GlueAdvice, type GlueArea } from './work/glue';
export { closurePlan, type ClosurePlan } from './work/closures';
export { addedOutside } from './work/layers';
export { type Layer, type MadeLayer } from './made';
export { sheetOf } from './design/sheets';
export {
  fromPaper,
  cutFromSheet,
  cutOutOf,
  type CutOut,
  onPaper,
  toCentreFront,
  windowInside,
  isUpright,
  openPrintMap,
  printMap,
  printOn,
  standing,
  turnedUpright,
  turnFor,
  windowOnFront,
  type FrontWindow,
  type Showing,
} from './looks/print';
export {
  becomes,
  papersFor,
  suggest,
  toolFor,
  type PaperChoice,
  type Question,
  type Suggestion,
} from './choosing/chooser';
export { concernedIn, beginning, momentsOf, seenAt, type Moment } from './looks/moments';
export { checksOf, type Check, type CheckOf, type Level, type Remedy } from './checks';
export { changedDesign, inputOf, type DesignChange } from './design/change';
export { FINER } from './remedies/offers';
export { remediesOf, remediesTried, type OwnPaper, type Remedies } from './remedies';
export { finishedFront, inPile, laidOnFaces, type FinishedFront } from './looks/dressing';
export { pictureOf, pileOf, stillStep, takingIn, type Picture } from './looks/picture';
export { consequenceOf } from './choosing/consequence';
export { checkSentence, remedyLabel } from './words';
export { sayer, type Say } from '../length';
export { scoreNumbers } from './work/numbers';
export { figureText, keyFigures, leastLap, settingOf, type FigurePart, type KeyFigure } from './looks/key-figures';
export { sizeChart, type ChartCard, type ChartLine, type ChartRow } from './choosing/chart';
export type { Phase } from './work/work';
export { stepsOf, whenDone, type Action, type Reading, type Step } from './steps';
export { type Finish, type StepPicture } from './looks/step-picture';
export { postPlan, receivePlan, type PostedPlan } from './posted';
export { sheetNow, type SheetNow } from './work/sheet-now';
export { longestCut } from './work/longest-cut';
export { planDocument, planSchema, type PlanDocument } from './document';
export {
  CARDS,
  isSold,
  liesOn,
  MEASURED,
  PAPERS,
  sizeIn,
  sizeNamed,
  smallestPaperFor,
  type PaperSize,
} from './design/papers';
export { bookOf, leafBox, type Book, type BookCard, type BookLeaf } from './looks/book';
export {
  bitesOf,
  isAlong,
  layFrom,
  layOf,
  onlyHinge,
  orientations,
  USED,
  type Bites,
  type Orientation,
  type Rescued,
  type Turned,
} from './rescued';
export { laidAnew } from './steps/flat';
