import { expose } from 'comlink';
import { oddsAnswer, readHands, type HandsAnswer } from '@/core/hands';
import { greets } from './helper';

const handsWorker = {
  ...greets,
  /** Makes a design again and again, telling how far it is; the odds, or why it could not be asked. */
  count(
    document: unknown,
    tell: (done: number) => void,
  ): { readonly answer: HandsAnswer | null; readonly why: string | null } {
    const read = readHands(document);
    if (!read.ok) return { answer: null, why: read.issues[0]!.message };
    const going = oddsAnswer(read.question);
    for (;;) {
      const next = going.next();
      if (next.done) return { answer: next.value, why: null };
      tell(next.value);
    }
  },
};
export type HandsWorker = typeof handsWorker;
expose(handsWorker);
