import { expose } from 'comlink';
import { allDrawings, PAGES } from '@/core/files';
import { benchCardPdf } from '@/core/files/bench-card';
import { sheetPdf, type PrintWords } from '@/core/files/pdf';
import { printPicture } from '@/core/files/print-picture';
import type { Units } from '@/core/length';
import { keyNumbers, planFor, readDesign, sayer, stepsOf, type DesignInput } from '@/core/plan';

/** What came of printing; plain data, because error classes do not survive the crossing. */
export type PdfAnswer = { ok: true; bytes: Uint8Array } | { ok: false; message: string };

const pdfWorker = {
  /** Plans the design anew and prints its sheets. */
  async print(design: DesignInput, page: string, words: PrintWords): Promise<PdfAnswer> {
    const read = readDesign(design);
    const paper = PAGES.find((p) => p.id === page);
    if (!read.ok || !paper)
      return { ok: false, message: read.ok ? `“${page}” is not a page size here.` : read.issues[0]!.message };
    const { made } = planFor(read.design);
    if (!made) return { ok: false, message: 'There is no pattern to print yet. See the first check.' };
    return { ok: true, bytes: await sheetPdf(allDrawings(made, read.design), paper, words, printPicture(made)) };
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
    return {
      ok: true,
      bytes: await benchCardPdf(
        allDrawings(made, read.design),
        paper,
        {
          title,
          kind: copies > 1 ? `${kind}, ${copies} copies` : kind,
          numbers: keyNumbers(made, read.design, say),
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
      ),
    };
  },
};
export type PdfWorker = typeof pdfWorker;
expose(pdfWorker);
