/** Command line of the pack contract: a cut list on standard input, its layout on standard output. */
import { readCutList } from '../src/core/cutting';
import { loadSolver, pack as packed } from '../src/core/cutting/pack';
import { main, onDocument, wrong } from './document';

/** Longest a list is searched, ms; then the best so far is the answer. */
const LONGEST = 60_000;

export const pack = onDocument(async (document) => {
  const read = readCutList(document);
  if (!read.ok) return wrong('The cut list has a problem.', read.issues);
  const solver = await loadSolver();
  const until = Date.now() + LONGEST;
  return { so: 'answer', body: packed(read.list, solver, undefined, () => Date.now() < until) };
});
void main('pack', pack);
