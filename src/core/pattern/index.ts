/** Flat pieces: a 6 in square with four notches, a body and four flaps is one `Piece`. */
export * from './piece';
export { outlineOf, wasteOf } from './outline';
export { patternFaults, type PatternFault } from './consistent';
