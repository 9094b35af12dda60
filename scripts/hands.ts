/** Command line of the hands contract: a design and how exact its maker is on standard input, the odds on standard output. */
import { answerHands, readHands } from '../src/core/hands';
import { answerTo, end, standardInput, wrong } from './document';

async function run([option]: readonly string[]): Promise<void> {
  if (option !== undefined) return end(wrong(`“${option}” is not an option here. There is none.`, []));
  end(
    await answerTo(standardInput(), (document) => {
      const read = readHands(document);
      return read.ok
        ? { so: 'answer', body: answerHands(read.question) }
        : wrong('The question has a problem.', read.issues);
    }),
  );
}
void run(process.argv.slice(2));
