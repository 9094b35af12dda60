import fontkit from '@cantoo/fontkit';
import type { PDFDocument, PDFFont, PDFPage, RGB, StandardFonts } from '@cantoo/pdf-lib';

/** Words in lines that fit. */
export function textLines(text: string, fits: (line: string) => boolean): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines.at(-1)} ${word}` : word;
    if (lines.length > 0 && fits(longer)) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** A PDF, and the letters of its words that none of its fonts has: a middle dot stands for each. */
export interface Printed {
  readonly bytes: Uint8Array;
  readonly missing: readonly string[];
}

/** Where text is set: the left end of its base line and its size, in points. */
interface At {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly color?: RGB;
}

/** Sets text in the first of several fonts that has each letter. */
export interface Lettering {
  /** How wide a text comes out, points. */
  readonly width: (text: string, size: number) => number;
  readonly draw: (page: PDFPage, text: string, at: At) => void;
  /** Letters asked for that no font has, so far. */
  readonly missing: ReadonlySet<string>;
}

/** Letters every reader of PDF has in its own fonts (Windows code page 1252, as PDF 1.7, annex D, has it). */
const PLAIN =
  /^[\u0020-\u007E\u00A0-\u00FF\u0152\u0153\u0160\u0161\u0178\u017D\u017E\u0192\u02C6\u02DC\u2013\u2014\u2018-\u201A\u201C-\u201E\u2020-\u2022\u2026\u2030\u2039\u203A\u20AC\u2122]*$/;

/** True for text that needs no font besides those every reader has. */
export const isPlainText = (text: string): boolean => PLAIN.test(text);

/**
 * Prepares setting text in one of the fonts every reader has, and for what that lacks in `more`: font files (WOFF or
 * TrueType), of which the letters used are put into the PDF.
 */
export async function letteringIn(
  pdf: PDFDocument,
  standard: StandardFonts,
  more: readonly Uint8Array[],
): Promise<Lettering> {
  if (more.length > 0) pdf.registerFontkit(fontkit);
  const fonts = [await pdf.embedFont(standard)];
  for (const file of more) fonts.push(await pdf.embedFont(file, { subset: true }));
  const letters = fonts.map((font, i) => (i === 0 ? null : new Set(font.getCharacterSet())));
  const missing = new Set<string>();
  const has = (i: number, letter: string): boolean => letters[i]?.has(letter.codePointAt(0)!) ?? isPlainText(letter);
  /** Stretches of text, each in one font. */
  const runs = (text: string): { readonly font: PDFFont; text: string }[] => {
    const found: { readonly font: PDFFont; text: string }[] = [];
    for (const letter of text.normalize('NFC')) {
      const at = fonts.findIndex((_, i) => has(i, letter));
      // What joins or colours the letter before it is no letter of its own.
      // oxlint-disable-next-line no-misleading-character-class -- each of them is looked for by itself
      if (at < 0 && !/[\p{M}\u200D\uFE0E\uFE0F]/u.test(letter)) missing.add(letter);
      const [font, set] = at < 0 ? [fonts[0]!, '·'] : [fonts[at]!, letter];
      const last = found.at(-1);
      if (last?.font === font) last.text += set;
      else found.push({ font, text: set });
    }
    return found;
  };
  return {
    width: (text, size) => runs(text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0),
    draw: (page, text, { x, y, size, color }) => {
      let at = x;
      for (const run of runs(text)) {
        page.drawText(run.text, { x: at, y, size, font: run.font, ...(color ? { color } : {}) });
        at += run.font.widthOfTextAtSize(run.text, size);
      }
    },
    missing,
  };
}
