import { planDocument, planFor, readDesign } from '@/core/plan';
import { readJsonBody, refused } from '../body';

/** POST a design, get its plan. 422 with the reasons for a bad document, 413 for one that is too long. */
export async function POST(request: Request): Promise<Response> {
  const body = await readJsonBody(request);
  if (!body.ok) return refused(body);
  const read = readDesign(body.value);
  if (!read.ok) return Response.json({ error: 'The design has a problem.', issues: read.issues }, { status: 422 });
  return Response.json(planDocument(planFor(read.design)));
}
