import { expose } from 'comlink';
import { allDrawings, PAGES } from '@/core/files';
import { benchCardPdf } from '@/core/files/bench-card';
import { sheetPdf, type PrintWords } from '@/core/files/pdf';
import { isPlain, type Printed } from '@/core/files/pdf-text';
import { printPicture } from '@/core/files/print-picture';
import type { Units } from '@/core/length';
import { figureText, keyFigures, planFor, readDesign, sayer, stepsOf, type DesignInput } from '@/core/plan';
import { greets } from './helper';

/** What came of printing; plain data, because error classes do not survive the crossing. */
export type PdfAnswer =
  | {
      readonly ok: true;
      readonly bytes: Uint8Array;
      /** Which letters could not be printed, as a sentence; null when all were. */
      readonly missing: string | null;
    }
  | { readonly ok: false; readonly message: string };

/** Font files for letters that readers of PDF have not of their own; fetched only where such letters are printed. */
const REGULAR = [
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-vietnamese-400-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-ext-400-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-400-normal.woff',
    import.meta.url,
  ),
];
const BOLD = [
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-latin-ext-700-normal.woff',
    import.meta.url,
  ),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-vietnamese-700-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-700-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-greek-ext-700-normal.woff',
    import.meta.url,
  ),
  new URL('../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-700-normal.woff', import.meta.url),
  new URL(
    '../../node_modules/@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-700-normal.woff',
    import.meta.url,
  ),
];

/** The fonts a text takes besides those every reader has. One that cannot be fetched is done without. */
async function fontsFor(text: string, files: readonly URL[]): Promise<Uint8Array[]> {
  if (isPlain(text.normalize('NFC'))) return [];
  const fetched = await Promise.all(
    files.map((file) =>
      fetch(file).then(
        async (answer) => (answer.ok ? new Uint8Array(await answer.arrayBuffer()) : null),
        () => null,
      ),
    ),
  );
  return fetched.filter((file) => file !== null);
}

const answerOf = ({ bytes, missing }: Printed): PdfAnswer => ({
  ok: true,
  bytes,
  missing:
    missing.length === 0
      ? null
      : `No font here has the ${missing.length === 1 ? 'sign' : 'signs'} ${missing.slice(0, 12).join(' ')}: a dot stands for ${missing.length === 1 ? 'it' : 'them'} in the print.`,
});

const pdfWorker = {
  ...greets,
  /** Plans the design anew and prints its sheets. */
  async print(design: DesignInput, page: string, words: PrintWords): Promise<PdfAnswer> {
    const read = readDesign(design);
    const paper = PAGES.find((p) => p.id === page);
    if (!read.ok || !paper)
      return { ok: false, message: read.ok ? `“${page}” is not a page size here.` : read.issues[0]!.message };
    const { made } = planFor(read.design);
    if (!made) return { ok: false, message: 'There is no pattern to print yet. See the first check.' };
    const fonts = await fontsFor(`${words.title} ${words.numbers}`, REGULAR);
    return answerOf(await sheetPdf(allDrawings(made, read.design), paper, words, printPicture(made), fonts));
  },
  /** Plans the design anew and prints the whole make on one page. */
  async card(
    design: DesignInput,
    page: string,
    { title, units, copies, day }: { title: string; units: Units; copies: number; day: string },
  ): Promise<PdfAnswer> {
    const read = readDesign(design);
    const paper = PAGES.find((p) => p.id === page);
    if (!read.ok || !paper)
      return { ok: false, message: read.ok ? `“${page}” is not a page size here.` : read.issues[0]!.message };
    const plan = planFor(read.design);
    const { made } = plan;
    if (!made) return { ok: false, message: 'There is no pattern to print yet. See the first check.' };
    const say = sayer(units, read.design.graduation);
    const kind = read.design.construction.title;
    const contents = read.design.contents ?? made.largest;
    const fonts = { regular: await fontsFor(title, REGULAR), bold: await fontsFor(title, BOLD) };
    return answerOf(
      await benchCardPdf(
        allDrawings(made, read.design),
        paper,
        {
          title,
          kind: copies > 1 ? `${kind}, ${copies} copies` : kind,
          numbers: keyFigures(made, read.design).map((figure) => ({
            label: figure.label,
            value: figureText(figure, say),
          })),
          steps: stepsOf(plan, say).map(({ text, caution }) => ({ text, caution })),
          copies,
          units,
          label: [
            title,
            kind,
            `for ${say(contents.width, 'down')} × ${say(contents.height, 'down')}`,
            `cut ${say(made.pieces[0].piece.blank.width)} × ${say(made.pieces[0].piece.blank.height)}`,
            `made ${day}`,
          ],
        },
        printPicture(made),
        fonts,
      ),
    );
  },
};
export type PdfWorker = typeof pdfWorker;
expose(pdfWorker);
