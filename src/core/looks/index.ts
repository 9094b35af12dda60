/** Looks: what shows of a thing that was made, and how: prints and which way up they stand, pictures of every step, key figures. */
export { type FinishedFront, dressing, finishedFront, gluedFlat, laidOnFaces } from './dressing';
export {
  type FigurePart,
  type KeyFigure,
  figureText,
  keyFigures,
  layerFigures,
  leastLap,
  settingOf,
} from './key-figures';
export { type Moment, beginning, concernedIn, momentsOf, seenAt } from './moments';
export { pictureOf, stepScene, takingIn } from './picture';
export {
  type CutOut,
  type Showing,
  cutFromSheet,
  cutOutOf,
  fromPaper,
  isUpright,
  onPaper,
  openPrintMap,
  printMap,
  printOn,
  printStands,
  toCentreFront,
  turnFor,
  turnedUpright,
  windowInside,
  windowOnFront,
} from './print';
export { asMade, looksNamed } from './sheet-looks';
export { type SheetSeat, contentsOnSheet, sheetPicture } from './sheet-picture';
export type { Finish, StepPicture } from './step-picture';
