/** Lengths: `parseLength('3 3/4 in')` is `{ ok: true, value: 95.25 }`, and `formatLength` says it back. */
export { INCH, inches, mm, near, type Mm } from './mm';
export {
  GRADUATIONS,
  onGraduation,
  roundTo,
  stepOf,
  unitsOf,
  usualMarks,
  type Direction,
  type Graduation,
  type Units,
} from './graduation';
export { sayer, type Say } from './say';
export { saidOut } from './spoken';
export { parseLength, type ParsedLength } from './parse';
export { formatLength, lengthParts, type LengthParts } from './format';
export { countedLength, tickOf, tickWords, type Tick } from './tick';
export { caliperOf, feelsLike, gramsAt, gramsOf, poundsOf, sayThin, USUAL_CALIPER, type Grade } from './weight';
export { saidInMetric, usualIn, usualOn, usualUnits, usualWords } from './usual';
export { lengthSchema, type LengthLimits } from './schema';
