import { expose } from 'comlink';
import { oddsAnswer, readHands, type HandsAnswer } from '@/core/hands';
import { toEnd } from '@/core/progress';
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
    return { answer: toEnd(oddsAnswer(read.question), tell), why: null };
  },
};
export type HandsWorker = typeof handsWorker;
expose(handsWorker);
