/** Sizes envelopes are sold by, and the cards they are made for. */
import { TOLERANCE } from '../../geometry';
import { inches, mm, type Mm } from '../../length';

/** Two sides, the longer first, mm. */
type Sides = readonly [long: Mm, short: Mm];

/** An envelope with the card it is made for. */
interface Sold {
  readonly envelope: Sides;
  readonly card: Sides;
}

const inInches = (envelope: readonly [number, number], card: readonly [number, number]): Sold => ({
  envelope: [inches(envelope[0]), inches(envelope[1])],
  card: [inches(card[0]), inches(card[1])],
});
const inMm = (envelope: readonly [number, number], card: readonly [number, number]): Sold => ({
  envelope: [mm(envelope[0]), mm(envelope[1])],
  card: [mm(card[0]), mm(card[1])],
});

const SOLD: readonly Sold[] = [
  // Common practice, no source.
  inInches([5.125, 3.625], [4.875, 3.5]),
  inInches([5.75, 4.375], [5.5, 4.25]),
  inInches([6.5, 4.75], [6.25, 4.5]),
  inInches([7.25, 5.25], [7, 5]),
  inInches([8.125, 5.5], [7.875, 5.25]),
  inInches([8.75, 5.75], [8.5, 5.5]),
  inInches([9.5, 6], [9.25, 5.75]),
  // C7, C6, C5, C4 and DL of ISO 269, for A7, A6, A5, A4 and a third of A4 of ISO 216.
  inMm([114, 81], [105, 74]),
  inMm([162, 114], [148, 105]),
  inMm([229, 162], [210, 148]),
  inMm([324, 229], [297, 210]),
  inMm([220, 110], [210, 99]),
];

/** Envelopes measure up to so much over the size they are sold by, mm. Common practice 1/8 in. */
const OVER = inches(1 / 8);
/** So much under its name is a ruler read short, mm. From memory. */
const SHORT = mm(1);
const NAMED = inches(1 / 4);

/** The size a side is most likely sold by, in quarters of an inch, mm; null where it measures just that, or less. */
export function soldAs(measured: number): Mm | null {
  const name = Math.floor((measured - TOLERANCE.length) / NAMED) * NAMED;
  return name > 0 && measured - name <= OVER + TOLERANCE.length ? mm(name) : null;
}

interface Lying {
  readonly width: Mm;
  readonly height: Mm;
}

/**
 * The envelope of these sides as it is sold, and the card it is made for, both as it lies, mm; null where no such envelope is
 * known. Of several sizes it may be sold by the nearest is told.
 */
export function soldFor(across: number, deep: number): { readonly envelope: Lying; readonly card: Lying } | null {
  const sides = [across, deep].sort((a, b) => b - a);
  const over = ({ envelope }: Sold): number[] => sides.map((side, i) => side - envelope[i as 0 | 1]);
  const known = SOLD.filter((sold) =>
    over(sold).every((more) => more >= -SHORT - TOLERANCE.length && more <= OVER + TOLERANCE.length),
  ).sort((a, b) => Math.max(...over(a).map(Math.abs)) - Math.max(...over(b).map(Math.abs)))[0];
  if (!known) return null;
  const lying = ([long, short]: Sides): Lying =>
    across >= deep ? { width: long, height: short } : { width: short, height: long };
  return { envelope: lying(known.envelope), card: lying(known.card) };
}
