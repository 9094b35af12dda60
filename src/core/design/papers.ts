import { TOLERANCE } from '../geometry';
import { inches, mm, roundTo, type Mm, type Units } from '../length';

/** Paper up to this thick lets contents show and creases at a touch, mm (office paper is 0.1). From memory. */
export const THIN = 0.12;
/** Paper from this on cracks when it is folded fast and is cut by a hard pass, mm (about 300 g/m² cover). From memory. */
export const STIFF = 0.35;

/** A sheet as it is sold. */
export interface PaperSize {
  readonly id: string;
  readonly title: string;
  readonly width: Mm;
  readonly height: Mm;
  /** The published size it is, or that none is. */
  readonly source: string;
}

const size = (id: string, title: string, width: Mm, height: Mm, source: string): PaperSize => ({
  id,
  title,
  width,
  height,
  source,
});

/** Sheets people buy, smallest first. */
export const PAPERS: readonly PaperSize[] = [
  size('6in', '6 in square', inches(6), inches(6), 'common practice, no source'),
  size('8in', '8 in square', inches(8), inches(8), 'common practice, no source'),
  size('a4', 'A4', mm(210), mm(297), 'ISO 216'),
  size('letter', 'Letter', inches(8.5), inches(11), 'ANSI/ASME Y14.1 size A'),
  size('12in', '12 in square', inches(12), inches(12), 'common practice, no source'),
  size('a3', 'A3', mm(297), mm(420), 'ISO 216'),
  size('roll', 'Roll, 30 in wide', inches(30), mm(5000), 'common practice, no source'),
];

/** Things that go into envelopes, by their published sizes. */
export const CARDS: readonly PaperSize[] = [
  size('id1', 'ID-1 card (bank, gift)', mm(85.6), mm(53.98), 'ISO/IEC 7810'),
  size('3x4', '3 × 4 in card', inches(3), inches(4), 'common practice, no source'),
  size('a7', 'A7', mm(74), mm(105), 'ISO 216'),
  size(
    'a2card',
    '4 1/4 × 5 1/2 in card',
    inches(4.25),
    inches(5.5),
    'a quarter of a letter sheet (ANSI/ASME Y14.1 size A)',
  ),
  size('a6', 'A6 postcard', mm(105), mm(148), 'ISO 216'),
  size('10x15', '10 × 15 cm photo', mm(100), mm(150), 'common practice, no source'),
  size('4x6', '4 × 6 in photo', inches(4), inches(6), 'common practice, no source'),
  size('5x7', '5 × 7 in card', inches(5), inches(7), 'common practice, no source'),
  size('5sq', '5 in square card', inches(5), inches(5), 'common practice, no source'),
  size('a5', 'A5', mm(148), mm(210), 'ISO 216'),
];

/** Sizes as one looks for them: those that are whole in these units first. */
export const sizesFor = (units: Units, list: readonly PaperSize[]): readonly PaperSize[] => {
  if (units === 'in') return list;
  const whole = ({ width, height }: PaperSize): boolean => Number.isInteger(width) && Number.isInteger(height);
  return [...list.filter(whole), ...list.filter((one) => !whole(one))];
};

/** True when a rectangle lies on a sheet, either way round; `slack` mm forgives rounding. */
export const liesOn = (
  piece: { width: number; height: number },
  sheet: { width: number; height: number },
  slack: number = TOLERANCE.length,
): boolean =>
  (piece.width <= sheet.width + slack && piece.height <= sheet.height + slack) ||
  (piece.height <= sheet.width + slack && piece.width <= sheet.height + slack);

/** Sizes photos are printed at, in inches and in centimetres. Common practice, no source. */
const PHOTOS: readonly PaperSize[] = [
  ...(
    [
      [3.5, 5],
      [4, 6],
      [5, 7],
      [8, 10],
    ] as const
  ).map(([w, h]) => [`${w} × ${h} in`, inches(w), inches(h)] as const),
  ...(
    [
      [9, 13],
      [10, 15],
      [13, 18],
    ] as const
  ).map(([w, h]) => [`${w} × ${h} cm`, mm(10 * w), mm(10 * h)] as const),
].map(([name, w, h]) => size(`photo ${name}`, `${name} photo`, w, h, 'common practice, no source'));

/** True for contents of the size of a photo: what keeps them must not harm one. */
export const isPhotoSize = ({ width, height }: { width: number; height: number }): boolean =>
  sizeNamed(PHOTOS, width, height, MEASURED) !== null;

/** The smallest paper sold that a piece can be cut from, or null. */
export const smallestPaperFor = (piece: { width: number; height: number }): PaperSize | null =>
  PAPERS.find((paper) => liesOn(piece, paper)) ?? null;

/** A size measured in inches is the one published in millimetres within this, mm: half a sixty-fourth. */
export const MEASURED = mm(0.2);

/** A published size as one measures it in one's own units: inches to the nearest thirty-second. */
export const sizeIn = ({ width, height }: PaperSize, units: Units): { readonly width: Mm; readonly height: Mm } =>
  units === 'mm'
    ? { width, height }
    : { width: roundTo(width, '1/32 in', 'nearest'), height: roundTo(height, '1/32 in', 'nearest') };

/** The published or usual size that two lengths make, either way round, or null. */
export const sizeNamed = (
  list: readonly PaperSize[],
  width: number,
  height: number,
  within: number = TOLERANCE.folded,
): PaperSize | null => {
  const same = (a: number, b: number): boolean => Math.abs(a - b) < within;
  const is = ({ width: w, height: h }: PaperSize): boolean =>
    (same(w, width) && same(h, height)) || (same(w, height) && same(h, width));
  return list.find(is) ?? null;
};

/** True for a sheet as it is sold: given as the paper at hand, it is what all pieces come from, and not one of them. */
export const isSold = ({ width, height }: { width: number; height: number }): boolean =>
  sizeNamed(PAPERS, width, height) !== null;
