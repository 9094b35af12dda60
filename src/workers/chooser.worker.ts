import { expose } from 'comlink';
import { suggest, type Question, type Suggestion } from '@/core/choosing';
import { greets } from './helper';

const chooserWorker = {
  ...greets,
  /** Every holder as an answer to a question, best first, folded and proved. */
  choose: (question: Question): readonly Suggestion[] => suggest(question),
  /** The holders that can be made, to each of several questions. */
  chooseEach: (questions: readonly Question[]): readonly (readonly Suggestion[])[] =>
    questions.map((question) => suggest(question).filter(({ obstacle }) => obstacle === null)),
};
export type ChooserWorker = typeof chooserWorker;
expose(chooserWorker);
