import { expose } from 'comlink';
import { oddsAnswer, readHands, setOddsAnswer, type HandsAnswer, type SetAnswer } from '@/core/hands';
import { toEnd } from '@/core/progress';
import { greets } from './helper';
import { nowAndThen } from './nowAndThen';

/** How far it is, told no oftener than it can be seen, ms. */
const OFTEN = 100;

const handsWorker = {
  ...greets,
  /** Makes a design again and again, telling how far it is; the odds, or why it could not be asked. */
  count(
    document: unknown,
    tell: (done: number) => void,
    atMoreRoom = true,
  ): { readonly answer: HandsAnswer | null; readonly why: string | null } {
    const read = readHands(document);
    if (!read.ok) return { answer: null, why: read.issues[0]!.message };
    if (read.question.set) return { answer: null, why: 'A whole set is counted by itself.' };
    return { answer: toEnd(oddsAnswer(read.question, atMoreRoom), nowAndThen(tell, OFTEN)), why: null };
  },
  /** Makes a whole set again and again, the same way. */
  countSet(
    document: unknown,
    tell: (done: number) => void,
  ): { readonly answer: SetAnswer | null; readonly why: string | null } {
    const read = readHands(document);
    if (!read.ok) return { answer: null, why: read.issues[0]!.message };
    if (!read.question.set) return { answer: null, why: 'A single design is counted by itself.' };
    return { answer: toEnd(setOddsAnswer(read.question), nowAndThen(tell, OFTEN)), why: null };
  },
};
export type HandsWorker = typeof handsWorker;
expose(handsWorker);
