/** Designs: `readDesign(document)` is what is asked: contents or paper, tool, choices, papers. */
export { type DesignChange, changedDesign, inputOf } from './change';
export {
  type Design,
  type DesignInput,
  type Papers,
  type Quarters,
  briefFor,
  calipersOf,
  constructionOptions,
  designSchema,
  isGiven,
  layerSchema,
  paperOf,
  paperSchema,
  parseDocument,
  readDesign,
} from './design';
export {
  ADHESIVES,
  type Adhesive,
  CLOSURES,
  type Closure,
  DECORATIONS,
  type Decoration,
  LAYER_PLACES,
  type LayerPlace,
  usualReveal,
} from './extras';
export {
  CARDS,
  MEASURED,
  PAPERS,
  type PaperSize,
  STIFF,
  THIN,
  isPhotoSize,
  isSold,
  liesOn,
  sizeIn,
  sizesFor,
  sizeNamed,
  smallestPaperFor,
} from './papers';
export { comesInPieces, cutFor, firstPieceFrom, sheetOf } from './sheets';
export { begunIn, metricOptions } from './metric';
