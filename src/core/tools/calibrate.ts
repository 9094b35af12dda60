import { INCH, mm, type Mm } from '../length';

/** What a trial fold told: the square, the setting used, and the inside measured after folding. */
export interface TrialFold {
  readonly sheet: Mm;
  readonly setting: Mm;
  readonly width: Mm;
  readonly height: Mm;
}

export interface BoardSize {
  readonly notch: Mm;
  readonly offset: Mm;
}

/** Notches real boards might have, mm; a trial outside them was measured or typed wrong. */
const NOTCH = { least: 0.2 * INCH, most: 2 * INCH };
/** A guide further out than this is no guide, mm. */
const OFFSET = INCH / 2;

export type Calibration =
  { readonly ok: true; readonly board: BoardSize } | { readonly ok: false; readonly message: string };

/**
 * Works out a board's notch and offset from one trial fold: `n = L − (W + H)/√2`, `d = W/√2 + n/2 − p`
 * (the envelope's formulas solved for n and d). One reading in eighths is good to about ±2 mm.
 */
export function calibrate({ sheet, setting, width, height }: TrialFold): Calibration {
  const notch = sheet - (width + height) / Math.SQRT2;
  const offset = width / Math.SQRT2 + notch / 2 - setting;
  if (notch < NOTCH.least || notch > NOTCH.most)
    return {
      ok: false,
      message: `These figures make the notch ${notch.toFixed(1)} mm long, which no board has. Measure the inside between the folds again, and the sheet.`,
    };
  if (Math.abs(offset) > OFFSET) {
    const other = height / Math.SQRT2 + notch / 2 - setting;
    if (Math.abs(other) <= OFFSET) return { ok: true, board: { notch: mm(notch), offset: mm(other) } };
    return {
      ok: false,
      message: `These figures put the guide ${Math.abs(offset).toFixed(1)} mm off. Check the setting the trial was folded at.`,
    };
  }
  return { ok: true, board: { notch: mm(notch), offset: mm(offset) } };
}
