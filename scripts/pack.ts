/** Command line of the pack contract: a cut list on standard input, its layout on standard output. */
import { readCutList } from '../src/core/cutting';
import { loadSolver, pack } from '../src/core/cutting/pack';
import { refuse, standardInput } from './document';

/** Longest a list is searched, ms; then the best so far is the answer. */
const LONGEST = 60_000;

const [unknown] = process.argv.slice(2);
if (unknown) refuse(`“${unknown}” is not an option here. There is none.`, []);
const text = standardInput('cut list');
let document: unknown;
try {
  document = JSON.parse(text);
} catch (error) {
  refuse('The cut list has a problem.', [{ path: '', message: `This is not JSON: ${(error as Error).message}.` }]);
}
const read = readCutList(document);
if (!read.ok) refuse('The cut list has a problem.', read.issues);
void loadSolver().then((solver) => {
  const until = Date.now() + LONGEST;
  const layout = pack(read.list, solver, undefined, () => Date.now() < until);
  process.stdout.write(`${JSON.stringify(layout, null, 2)}\n`);
});
