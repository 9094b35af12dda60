/**
 * Scenes: paper as data, for every picture and file. `pileScene`, `stillScene`, `spaceScene`, `sheetScene`, `tableScene`,
 * `scarredScene` and `layoutScene` make them; `STYLE` says how each kind of thing is drawn; renderers stand where they draw.
 */
export type {
  Anchor,
  AreaKind,
  Face,
  FaceOf,
  Line,
  SceneMark,
  Scene,
  SheetLooks,
  SideLooks,
  SpaceFace,
  SpaceScene,
  State,
  Stuff,
} from './scene';
export { pileScene, type OnPile, type PileSight } from './pile';
export { areaOf, onScene, sheetScene, uncutScene, type OnSheet } from './sheet';
export { inFrom, scarredScene, tableScene } from './table';
export { carried } from './carried';
export { onStock } from './stock';
export { papered } from './papered';
export { layoutScene } from './layout';
export { spaceScene, stillScene } from './space';
export {
  areaAt,
  drawnBox,
  facesAt,
  heightOf,
  linesOf,
  marksOf,
  placeOf,
  ringsOf,
  ringsSeen,
  scoresOf,
  seenOnly,
  widthOf,
} from './ask';
export { facePaint, lookOf, printedShade, STYLE, type DrawStyle, type Paint, type Tone } from './style';
export { sceneText } from './text';
