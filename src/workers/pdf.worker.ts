import { expose } from 'comlink';
import { allDrawings, PAGES } from '@/core/files';
import { sheetPdf, type PrintWords } from '@/core/files/pdf';
import { printPicture } from '@/core/files/print-picture';
import { planFor, readDesign, type DesignInput } from '@/core/plan';

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
};
export type PdfWorker = typeof pdfWorker;
expose(pdfWorker);
