/** Command line of the pack contract: a cut list on standard input, its layout on standard output. */
import { readCutList } from '../src/core/cutting';
import { loadSolver, pack } from '../src/core/cutting/pack';
import { answerTo, end, standardInput, wrong } from './document';

/** Longest a list is searched, ms; then the best so far is the answer. */
const LONGEST = 60_000;

async function run([option]: readonly string[]): Promise<void> {
  if (option !== undefined) return end(wrong(`“${option}” is not an option here. There is none.`, []));
  const answer = await answerTo(standardInput(), async (document) => {
    const read = readCutList(document);
    if (!read.ok) return wrong('The cut list has a problem.', read.issues);
    const solver = await loadSolver();
    const until = Date.now() + LONGEST;
    return { so: 'answer', body: pack(read.list, solver, undefined, () => Date.now() < until) };
  });
  end(answer);
}
void run(process.argv.slice(2));
