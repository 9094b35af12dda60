/** Command line of the plan contract: a design on standard input, its plan on standard output; `--many` for one a line. */
import { planDocument, planFor, readDesign } from '../src/core/plan';
import { answerTo, end, endMany, standardInput, wrong, type Answer } from './document';

const planned = (text: string): Promise<Answer> =>
  answerTo(text, (document) => {
    const read = readDesign(document);
    return read.ok
      ? { so: 'answer', body: planDocument(planFor(read.design)) }
      : wrong('The design has a problem.', read.issues);
  });

async function run(args: readonly string[]): Promise<void> {
  const unknown = args.find((arg) => arg !== '--many');
  if (unknown !== undefined) return end(wrong(`“${unknown}” is not an option here. Only --many is.`, []));
  const input = standardInput();
  const lines = input.split(/\r?\n/).filter((line) => line.trim() !== '');
  if (!args.includes('--many') || lines.length === 0) return end(await planned(input));
  const answers: Answer[] = [];
  for (const line of lines) answers.push(await planned(line));
  endMany(answers);
}
void run(process.argv.slice(2));
