/** Command line of the plan contract: a design or a set on standard input, its plan on standard output; `--many` for one a line. */
import { planAnswerTo as planned } from '../src/core/sets';
import { answerTo, main, said, saidOfMany, wrong, type Answer, type Command } from './document';

const answer = (text: string): Promise<Answer> =>
  answerTo(text, (document) => {
    const plan = planned(document);
    return plan.ok ? { so: 'answer', body: plan.answer } : wrong(plan.error, plan.issues);
  });

export const plan: Command = async (args, input) => {
  const unknown = args.find((arg) => arg !== '--many');
  if (unknown !== undefined) return said(wrong(`“${unknown}” is not an option here. Only --many is.`, []));
  const text = input();
  const lines = text.split(/\r?\n/).filter((line) => line.trim() !== '');
  if (!args.includes('--many') || lines.length === 0) return said(await answer(text));
  const answers: Answer[] = [];
  for (const line of lines) answers.push(await answer(line));
  return saidOfMany(answers);
};
void main('plan', plan);
