import { PDFDocument, popGraphicsState, pushGraphicsState, rgb, StandardFonts, type PDFPage } from '@cantoo/pdf-lib';
import { INCH, type Units } from '../length';
import { drawPicture, POINT, sheetLines } from './pdf';
import { letteringIn, textLines, type Lettering, type Printed } from './pdf-text';
import type { PrintShape } from './print-picture';
import { heightOf, scoresOf, widthOf, type Scene } from '../scene';
import { RIM, type Page } from './tiles';

/** What a bench card says. */
export interface BenchCardWords {
  readonly title: string;
  /** What it is and for how many: `Envelope from a square, 6 copies`. */
  readonly kind: string;
  /** The figures a maker wants large, in words. */
  readonly numbers: readonly { readonly label: string; readonly value: string }[];
  /** Each step as it is told, with its caution where it needs one. */
  readonly steps: readonly { readonly text: string; readonly caution?: string | undefined }[];
  readonly copies: number;
  readonly units: Units;
  /** Lines of the small label for the finished thing's inside. */
  readonly label: readonly string[];
}

/** The label that is cut out and glued inside, mm. */
const LABEL = { width: 58, height: 32 };
/** Height of the band with the drawings and the label, mm. */
const BAND = 70;
/** Room between columns, mm. */
const GAP = 6;
/** Sizes of the steps' type, points: the largest at which all of them fit. */
const TYPE = [9.5, 9, 8.5, 8, 7.5, 7, 6.5, 6, 5.5, 5, 4.5, 4];
/** So many boxes stand beside each other before a step, and so many copies have one each at most. */
const [ABREAST, BOXES] = [8, 40];

const INK = rgb(0, 0, 0);
const SOFT = rgb(0.35, 0.35, 0.35);

/**
 * The whole make on one page to lay on the table: the numbers large, the sheet with the marks of a ruler, every step
 * with a box to tick for each copy, and a label to cut out.
 */
export async function benchCardPdf(
  drawings: readonly Scene[],
  page: Page,
  words: BenchCardWords,
  picture: readonly PrintShape[],
  fonts: { readonly regular: readonly Uint8Array[]; readonly bold: readonly Uint8Array[] } = { regular: [], bold: [] },
): Promise<Printed> {
  const pdf = await PDFDocument.create({ updateMetadata: false });
  pdf.setTitle(`${words.title}: bench card`);
  const letters = await letteringIn(pdf, StandardFonts.Helvetica, fonts.regular);
  const bold = await letteringIn(pdf, StandardFonts.HelveticaBold, fonts.bold);
  const sheet = pdf.addPage([page.width * POINT, page.height * POINT]);
  const wide = page.width - 2 * RIM;
  const write = (text: string, x: number, y: number, size: number, of: Lettering = letters, color = INK): void =>
    of.draw(sheet, text, { x: x * POINT, y: y * POINT, size, color });

  let top = page.height - RIM;
  write(words.title, RIM, top - 5, 17, bold);
  write(words.kind, RIM, top - 10.5, 9.5, letters, SOFT);
  top -= 14;
  top = drawNumbers(words.numbers, top, wide, write, bold);
  drawSheets(sheet, letters, drawings, words.units, RIM, top - BAND, wide - LABEL.width - GAP, BAND);
  const right = RIM + wide - LABEL.width;
  drawPicture(sheet, picture, right * POINT, (top - BAND + LABEL.height + 6) * POINT, {
    width: LABEL.width,
    height: BAND - LABEL.height - 10,
  });
  drawLabel(sheet, words.label, right, top - BAND, write);
  drawSteps(sheet, letters, words, top - BAND - 6, wide);
  const bytes = await pdf.save();
  return { bytes, missing: [...new Set([...letters.missing, ...bold.missing])] };
}

type Write = (text: string, x: number, y: number, size: number, of?: Lettering, color?: typeof INK) => void;

/** Key numbers in a row, as many as fit beside each other; gives back how far down they reach, mm. */
function drawNumbers(
  numbers: BenchCardWords['numbers'],
  top: number,
  wide: number,
  write: Write,
  bold: Lettering,
): number {
  let [x, y] = [RIM, top];
  for (const { label, value } of numbers) {
    const room = (size: number): number => bold.width(value, size) / POINT;
    const large = numbers.length > 6 ? 15 : 19;
    const size = room(large) <= wide ? large : room(12) <= wide ? 12 : 8;
    const takes = Math.max(room(size), label.length * 1.6) + GAP;
    if (x > RIM && x + takes > RIM + wide + GAP) [x, y] = [RIM, y - 14];
    write(label, x, y - 3, 8, undefined, SOFT);
    write(value, x, y - 10, size, bold);
    x += takes;
  }
  return y - 14;
}

/** The pieces beside each other to one scale, each with a ruler along its near and its right edge. */
function drawSheets(
  page: PDFPage,
  letters: Lettering,
  drawings: readonly Scene[],
  units: Units,
  left: number,
  bottom: number,
  wide: number,
  high: number,
): void {
  const rim = 8;
  const across = drawings.reduce((sum, drawing) => sum + widthOf(drawing), 0);
  const scale = Math.min(
    (wide - rim * drawings.length) / across,
    (high - rim - 4) / Math.max(...drawings.map(heightOf)),
  );
  let x0 = left;
  for (const drawing of drawings) {
    const [width, height] = [widthOf(drawing), heightOf(drawing)];
    const at = (p: { readonly x: number; readonly y: number }): readonly [number, number] => [
      (x0 + p.x * scale) * POINT,
      (bottom + rim + p.y * scale) * POINT,
    ];
    page.pushOperators(pushGraphicsState(), ...sheetLines(drawing, at), popGraphicsState());
    for (const { from, to, number } of scoresOf(drawing)) {
      const [x, y] = at({ x: from.x + (to.x - from.x) * 0.3, y: from.y + (to.y - from.y) * 0.3 });
      page.drawCircle({ x, y, size: 4.2, color: rgb(1, 1, 1), borderColor: INK, borderWidth: 0.4 });
      letters.draw(page, String(number), { x: x - (number > 9 ? 3.6 : 1.8), y: y - 2.3, size: 6.5 });
    }
    for (const upright of [false, true])
      drawTicks(page, letters, upright ? height : width, scale, units, upright, (t, out) =>
        upright ? [x0 + width * scale + out, bottom + rim + t * scale] : [x0 + t * scale, bottom + rim - out],
      );
    // Edges by their numbers, as steps name them: 1 near, 2 right, 3 far, 4 left.
    for (const [edge, x, y] of [
      [1, width / 2, 3 / scale],
      [2, width - 3 / scale, height / 2],
      [3, width / 2, height - 4.5 / scale],
      [4, 2 / scale, height / 2],
    ] as const) {
      const [px, py] = at({ x, y });
      letters.draw(page, String(edge), { x: px - 1.5, y: py - 1.5, size: 5.5, color: SOFT });
    }
    if (drawings.length > 1)
      letters.draw(page, drawing.name, {
        x: x0 * POINT,
        y: (bottom + rim + height * scale + 1.5) * POINT,
        size: 7,
      });
    x0 += width * scale + rim;
  }
}

/** Marks of a ruler along an edge, the long ones numbered; finer ones only where they stay apart. */
function drawTicks(
  page: PDFPage,
  letters: Lettering,
  length: number,
  scale: number,
  units: Units,
  upright: boolean,
  place: (along: number, out: number) => readonly [number, number],
): void {
  const whole = units === 'in' ? INCH : 10;
  const parts = units === 'in' ? [8, 4, 2, 1] : [2, 1];
  const fine = parts.find((n) => (whole / n) * scale >= 0.7) ?? 1;
  const every = Math.max(1, Math.ceil(3.2 / (whole * scale)));
  for (let i = 0; (i * whole) / fine <= length + 1e-6; i++) {
    const along = (i * whole) / fine;
    const long = i % fine === 0;
    const out = long ? 2.4 : i % Math.ceil(fine / 2) === 0 ? 1.6 : 0.9;
    const [from, to] = [place(along, 0.4), place(along, 0.4 + out)];
    page.drawLine({
      start: { x: from[0] * POINT, y: from[1] * POINT },
      end: { x: to[0] * POINT, y: to[1] * POINT },
      thickness: 0.3,
    });
    const count = i / fine;
    if (!long || i === 0 || count % every !== 0) continue;
    const said = String(units === 'in' ? count : count * 10);
    const [x, y] = place(along, upright ? 3.4 : 5);
    letters.draw(page, said, {
      x: x * POINT - (upright ? 0 : letters.width(said, 5.5) / 2),
      y: y * POINT - (upright ? 2 : 0),
      size: 5.5,
    });
  }
}

function drawLabel(page: PDFPage, lines: readonly string[], x: number, y: number, write: Write): void {
  page.drawRectangle({
    x: x * POINT,
    y: y * POINT,
    width: LABEL.width * POINT,
    height: LABEL.height * POINT,
    borderColor: SOFT,
    borderWidth: 0.5,
    borderDashArray: [3, 2],
  });
  const size = Math.min(9, (LABEL.height - 6) / lines.length / 0.45);
  lines.forEach((line, i) =>
    write([...line].slice(0, 42).join(''), x + 3, y + LABEL.height - 5 - i * size * 0.45, i === 0 ? size : size - 1),
  );
  write('label for the inside: cut out', x, y + LABEL.height + 1, 6, undefined, SOFT);
}

/** All steps in two columns, in the largest type at which they fit; a box to tick for each copy. */
function drawSteps(page: PDFPage, letters: Lettering, words: BenchCardWords, top: number, wide: number): void {
  const column = (wide - GAP) / 2;
  const height = top - RIM;
  const boxes = Math.min(words.copies, BOXES);
  const abreast = Math.min(boxes, ABREAST);
  /** Room for the boxes and the number before a step's words, points. */
  const indent = (size: number): number => size * (0.9 * abreast + 1.5);
  const laid = (size: number): { readonly lines: string[]; readonly height: number }[] => {
    const told = new Set<string>();
    return words.steps.map(({ text, caution }) => {
      // One page for a whole make: each caution stands at the first step that needs it.
      const fresh = caution !== undefined && !told.has(caution);
      if (fresh) told.add(caution);
      const said = fresh ? `${text} ${caution}` : text;
      const lines = textLines(said, (line) => letters.width(line, size) <= column * POINT - indent(size));
      const rows = Math.max(lines.length * 1.18, Math.ceil(boxes / ABREAST) * 0.9);
      return { lines, height: (rows * size + size * 0.35) / POINT };
    });
  };
  /** Steps down the first column, then the second; null when they do not fit. */
  const split = (steps: ReturnType<typeof laid>): number | null => {
    let [sum, i] = [0, 0];
    while (i < steps.length && sum + steps[i]!.height <= height) sum += steps[i++]!.height;
    return steps.slice(i).reduce((rest, step) => rest + step.height, 0) <= height ? i : null;
  };
  const size = TYPE.find((type) => split(laid(type)) !== null) ?? TYPE.at(-1)!;
  const steps = laid(size);
  const first = split(steps) ?? steps.length;
  let y = top;
  steps.forEach(({ lines, height: takes }, i) => {
    if (i === first) y = top;
    const x = RIM + (i < first ? 0 : column + GAP);
    const box = size * 0.62;
    const base = y * POINT - size;
    for (let copy = 0; copy < boxes; copy++)
      page.drawRectangle({
        x: x * POINT + (copy % ABREAST) * size * 0.9,
        y: base - Math.floor(copy / ABREAST) * size * 0.9,
        width: box,
        height: box,
        borderColor: INK,
        borderWidth: 0.4,
      });
    const from = x * POINT + abreast * size * 0.9 + size * 0.15;
    letters.draw(page, String(i + 1), { x: from, y: base, size, color: SOFT });
    lines.forEach((line, n) =>
      letters.draw(page, line, { x: x * POINT + indent(size), y: base - n * size * 1.18, size }),
    );
    y -= takes;
  });
}
