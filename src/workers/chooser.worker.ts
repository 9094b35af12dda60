import { expose } from 'comlink';
import { suggest, type Question, type Suggestion } from '@/core/plan';

const chooserWorker = {
  /** Every holder as an answer to a question, best first, folded and proved. */
  choose: (question: Question): readonly Suggestion[] => suggest(question),
};
export type ChooserWorker = typeof chooserWorker;
expose(chooserWorker);
