import type { Remote } from 'comlink';
import type { PdfAnswer, PdfWorker } from '@/workers/pdf.worker';

/** Prints off the main thread; the PDF library loads only now. Fails with the worker's own sentence. */
export async function printing(job: (worker: Remote<PdfWorker>) => Promise<PdfAnswer>): Promise<Uint8Array> {
  const { wrap } = await import('comlink');
  const worker = new Worker(new URL('../../workers/pdf.worker.ts', import.meta.url), { type: 'module' });
  try {
    const answer = await job(wrap<PdfWorker>(worker));
    if (!answer.ok) throw new Error(answer.message);
    return answer.bytes;
  } finally {
    worker.terminate();
  }
}
