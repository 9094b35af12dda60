import type { Remote } from 'comlink';
import { HelperTrouble, startHelper } from '@/workers/helper';
import type { PdfAnswer, PdfWorker } from '@/workers/pdf.worker';

/** Prints off the main thread; the PDF library loads only now. Fails with a sentence without its stop. */
export async function printing(
  job: (worker: Remote<PdfWorker>) => Promise<PdfAnswer>,
): Promise<Extract<PdfAnswer, { ok: true }>> {
  const helper = startHelper<PdfWorker>(
    () => new Worker(new URL('../../workers/pdf.worker.ts', import.meta.url), { type: 'module' }),
  );
  try {
    // Nothing else waits for it here: when it is silent for long, that is the answer.
    const answer = await new Promise<PdfAnswer>((done, failed) => helper.ask(job, failed).then(done, failed));
    if (!answer.ok) throw new HelperTrouble('told', answer.message);
    return answer;
  } finally {
    helper.end();
  }
}
