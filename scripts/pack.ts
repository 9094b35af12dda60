/** Command line of the pack contract: a cut list on standard input, its layout on standard output. */
import { loadSolver, pack, readCutList } from '../src/core/cutting';
import { refuse, standardInput } from './document';

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
  process.stdout.write(`${JSON.stringify(pack(read.list, solver), null, 2)}\n`);
});
