import { readCutList, type Layout } from '@/core/cutting';
import { loadSolver, packing, USUAL_PATIENCE } from '@/core/cutting/pack';
import { readJsonBody, refused } from '../body';

/** Longest a list is searched, ms; then the best so far is the answer. */
const LONGEST = 10_000;
const patience = { ...USUAL_PATIENCE, solverSeconds: 3, joins: 400_000 };

/** POST a cut list, get its layout. 422 with the reasons for a bad document, 413 for one that is too long. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJsonBody(request);
  if (!body.ok) return refused(body);
  const read = readCutList(body.value);
  if (!read.ok) return Response.json({ error: 'The cut list has a problem.', issues: read.issues }, { status: 422 });
  const until = Date.now() + LONGEST;
  let best: Layout | null = null;
  for (const { layout } of packing(read.list, await loadSolver(), patience)) {
    best = layout;
    if (Date.now() > until) break;
    // Others are answered in between.
    await new Promise(setImmediate);
  }
  return Response.json(best);
}
