import { unitsOf, type Graduation, type Units } from './graduation';
import { formatLength } from './format';
import { inches, mm, type Mm } from './mm';

/**
 * What a workshop that works in millimetres says where one that works in inches says a usual fraction: `[inches, mm]`. Common
 * practice, no source.
 */
const SAID: readonly (readonly [number, number])[] = [
  [1 / 16, 1.5],
  [1 / 8, 3],
  [3 / 16, 5],
  [1 / 4, 6],
  [5 / 16, 8],
  [3 / 8, 10],
  [1 / 2, 12],
  [5 / 8, 16],
  [3 / 4, 20],
  [7 / 8, 22],
  [1, 25],
];
/** Beyond those every length is a multiple of this, mm. */
const ROUND = 5;

/** A usual length in millimetres as a workshop says it: 6 for a quarter inch, 40 for an inch and a half. */
export function saidInMetric(length: number): Mm {
  const said = SAID.find(([inch]) => Math.abs(inches(inch) - length) < 1e-6);
  if (said) return mm(said[1]);
  // What is a round figure already is left.
  if (Math.abs(length - Math.round(length)) < 1e-6) return mm(length);
  return mm(length > inches(1) ? ROUND * Math.round(length / ROUND) : Math.round(length * 2) / 2);
}

/** A usual length, found in inches, as it is said in these units: 6 mm for a quarter inch. */
export const usualIn = (units: Units, length: Mm): Mm => (units === 'in' ? length : saidInMetric(length));

/** In which units usual lengths are said on these marks: `exact` has none of its own, and keeps them as they were found, in inches. */
export const usualUnits = (marks: Graduation): Units => (marks === 'exact' ? 'in' : unitsOf(marks));

/** A usual length as it is said on these marks. */
export const usualOn = (marks: Graduation, length: Mm): Mm => usualIn(usualUnits(marks), length);

/** A usual length or a range of them in a sentence: `1/8 in`, `1 to 1 1/2 in`. */
const TOLD =
  /(?<![\d/.])((?:\d+ )?\d+(?:\/\d+)?)(?: (to|and) ((?:\d+ )?\d+(?:\/\d+)?))? in\b(?! (?:the|a|one|its|all)\b)/g;

const inchesIn = (text: string): number =>
  text.split(' ').reduce((sum, part) => {
    const [above, below = '1'] = part.split('/');
    return sum + Number(above) / Number(below);
  }, 0);

/** A sentence that tells what is usual in inches, told in these units: `1/4 in narrower` is `6 mm narrower` to who works in millimetres. */
export const usualWords = (text: string, units: Units): string => {
  if (units === 'in') return text;
  const said = (length: string): string => formatLength(saidInMetric(inches(inchesIn(length))), 'mm', '0.5 mm');
  return text.replaceAll(TOLD, (_, from: string, word: string | undefined, to: string | undefined) =>
    to ? `${said(from).replace(' mm', '')} ${word} ${said(to)}` : said(from),
  );
};
