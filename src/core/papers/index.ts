/** What paper looks like: its colour or print on either side, and how a print lies on its sheet. */
export { CASING, LINE, colourNamed, contrast, lineOn, luminance } from './colour';
export {
  backOf,
  coloursOf,
  faceSchema,
  frontOf,
  groundOf,
  inked,
  type Looks,
  type PaperFace,
  type PaperFaceInput,
} from './face';
export { printLies } from './lie';
export { printNamed, PRINTS, type Inking, type Print } from './prints';
