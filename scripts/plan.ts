/** Command line of the plan contract: a design or a set on standard input, its plan on standard output; `--many` for one a line. */
import { planAnswerTo as planned } from '../src/core/sets';
import { answerTo, end, endMany, standardInput, wrong, type Answer } from './document';

const plan = (text: string): Promise<Answer> =>
  answerTo(text, (document) => {
    const answer = planned(document);
    return answer.ok ? { so: 'answer', body: answer.answer } : wrong(answer.error, answer.issues);
  });

async function run(args: readonly string[]): Promise<void> {
  const unknown = args.find((arg) => arg !== '--many');
  if (unknown !== undefined) return end(wrong(`“${unknown}” is not an option here. Only --many is.`, []));
  const input = standardInput();
  const lines = input.split(/\r?\n/).filter((line) => line.trim() !== '');
  if (!args.includes('--many') || lines.length === 0) return end(await plan(input));
  const answers: Answer[] = [];
  for (const line of lines) answers.push(await plan(line));
  endMany(answers);
}
void run(process.argv.slice(2));
