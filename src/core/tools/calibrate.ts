import { INCH, mm, type Mm } from '../length';

/** What a trial fold told: the square, the setting used, and the inside measured after folding, one way or both. */
export interface TrialFold {
  readonly sheet: Mm;
  readonly setting: Mm;
  readonly width?: Mm | undefined;
  readonly height?: Mm | undefined;
}

export interface BoardSize {
  readonly notch: Mm;
  readonly offset: Mm;
}

/** Notches real boards might have, mm; a trial outside them was measured or typed wrong. */
const NOTCH = { least: 0.2 * INCH, most: 2 * INCH };
/** A guide further out than this is no guide, mm. */
const OFFSET = INCH / 2;
/** How far off one reading of a ruler in eighths may be, either way, mm. Common practice: half a mark. */
const READING = INCH / 16;
/** A trial that departs this many times as far as a reading explains was measured or folded wrong. From memory. */
const ODD = 1.5;

export type Calibration =
  | {
      readonly ok: true;
      readonly board: BoardSize;
      /** How far either figure may be off, mm: two standard deviations. */
      readonly sure: BoardSize;
      /** Lengths measured. */
      readonly readings: number;
      /** How far they depart from the board’s, a standard deviation of a setting, mm; 0 where two make it out. */
      readonly scatter: Mm;
      /** The trial that does not go with the others, by its place in the list; null when all agree. */
      readonly odd: number | null;
    }
  | { readonly ok: false; readonly message: string };

/** The inside that a board of that size makes of a square at a setting, mm: what a trial should measure. */
export const trialInside = ({ notch, offset }: BoardSize, sheet: Mm, setting: Mm): { width: Mm; height: Mm } => ({
  width: mm(Math.SQRT2 * (setting + offset - notch / 2)),
  height: mm(Math.SQRT2 * (sheet - setting - offset - notch / 2)),
});

/** One measured length as an equation: `offset · d − notch / 2 = found`, d being 1 for a width and −1 for a height. */
interface TrialReading {
  readonly trial: number;
  readonly way: 1 | -1;
  readonly found: number;
}

/**
 * A board's notch n and offset d from trial folds, by least squares: each width measured says
 * `d − n/2 = W/√2 − p`, each height `−d − n/2 = H/√2 − (L − p)` (the envelope's formulas). A reading is good to half
 * a mark of 1/8 in either way; where the trials scatter more than that, the scatter says how sure it is.
 * @param reading how far off one reading may be, mm
 */
export function calibrate(trials: readonly TrialFold[], reading: number = READING): Calibration {
  const refuse = (message: string): Calibration => ({ ok: false, message });
  const readings = trials.flatMap((trial, i) => readingsOf(turnedRight(trial), i));
  const wide = readings.filter(({ way }) => way === 1).length;
  const high = readings.length - wide;
  if (wide === 0 || high === 0)
    return refuse('One way alone does not tell notch and guide apart. Measure a width and a height.');
  const mean = (way: 1 | -1): number =>
    readings.filter((r) => r.way === way).reduce((sum, { found }) => sum + found, 0) / (way === 1 ? wide : high);
  // The normal equations fall apart into one for each way: the means of what widths and heights say.
  const [fromWidths, fromHeights] = [mean(1), mean(-1)];
  const notch = -(fromWidths + fromHeights);
  const offset = (fromWidths - fromHeights) / 2;
  if (notch < NOTCH.least || notch > NOTCH.most)
    return refuse(
      `These figures make the notch ${notch.toFixed(1)} mm long, which no board has. Measure the inside between the folds again, and the sheet.`,
    );
  if (Math.abs(offset) > OFFSET)
    return refuse(
      `These figures put the guide ${Math.abs(offset).toFixed(1)} mm off. Check the setting the trial was folded at.`,
    );
  const departs = readings.map(({ found, way }) => found - (way * offset - notch / 2));
  // A reading is as likely anywhere within half a mark; measured along the inside, a √2 more than along the edge.
  const byEye = reading / Math.sqrt(3) / Math.SQRT2;
  const spare = readings.length - 2;
  const scatter = spare > 0 ? Math.sqrt(departs.reduce((sum, by) => sum + by * by, 0) / spare) : 0;
  const deviation = Math.max(byEye, scatter);
  const both = Math.sqrt(1 / wide + 1 / high);
  const worst = departs.reduce((most, by, i) => (Math.abs(by) > Math.abs(departs[most]!) ? i : most), 0);
  return {
    ok: true,
    board: { notch: mm(notch), offset: mm(offset) },
    sure: { notch: mm(2 * deviation * both), offset: mm(deviation * both) },
    readings: readings.length,
    scatter: mm(scatter),
    odd: spare > 0 && Math.abs(departs[worst]!) > (ODD * reading) / Math.SQRT2 ? readings[worst]!.trial : null,
  };
}

function readingsOf({ sheet, setting, width, height }: TrialFold, trial: number): TrialReading[] {
  return [
    ...(width === undefined ? [] : [{ trial, way: 1, found: width / Math.SQRT2 - setting } as const]),
    ...(height === undefined ? [] : [{ trial, way: -1, found: height / Math.SQRT2 - (sheet - setting) } as const]),
  ];
}

/** A trial whose width and height were written down the other way round puts the guide far off; turned, it does not. */
function turnedRight(trial: TrialFold): TrialFold {
  const { width, height } = trial;
  if (width === undefined || height === undefined) return trial;
  const offsetOf = ({ sheet, setting }: TrialFold, w: number, h: number): number =>
    (w / Math.SQRT2 - setting - (h / Math.SQRT2 - (sheet - setting))) / 2;
  const turned =
    Math.abs(offsetOf(trial, width, height)) > OFFSET && Math.abs(offsetOf(trial, height, width)) <= OFFSET;
  return turned ? { ...trial, width: height, height: width } : trial;
}
