import { randomUUID } from 'node:crypto';
import { Worker } from 'node:worker_threads';
import type { ServerQuestion } from '@/workers/server.worker';
import { readBody } from './body';
import { crew, type CrewOutcome } from './crew';

const hire = (): Worker => new Worker(new URL('../../../workers/server.worker.ts', import.meta.url));
/** A plan takes milliseconds: many may wait for one thread. All else takes seconds: none waits, who comes late is told at once. */
const CREWS: Record<ServerQuestion['kind'], ReturnType<typeof crew>> = {
  plan: crew({ hands: 1, queue: 64, deadline: 8000, hire }),
  pack: crew({ hands: 2, queue: 0, deadline: 10_000, hire }),
  hands: crew({ hands: 1, queue: 0, deadline: 30_000, hire }),
  rescue: crew({ hands: 1, queue: 0, deadline: 20_000, hire }),
};

const BUSY: Record<ServerQuestion['kind'], string> = {
  plan: 'More designs are being planned than can be at once. Ask again in a few seconds.',
  pack: 'Two lists are being laid out already, and two are the most at once. Ask again in a few seconds.',
  hands: 'Something is being made thousands of times already, and one is the most at once. Ask again in a few seconds.',
  rescue:
    'Ways out are being sought for another sheet already, and one is the most at once. Ask again in a few seconds.',
};
const LATE: Record<ServerQuestion['kind'], string> = {
  plan: 'This design takes longer to plan than a server may spend on it. Plan it in the app, or by “npm run plan”.',
  pack: 'No layout of this list was found in ten seconds. Make two lists of it, or lay it out by “npm run pack”.',
  rescue: 'No way out was found in time. Ask by “npm run rescue”.',
  hands:
    'Making it so often takes longer than a server may spend on it. Ask for fewer runs, or ask by “npm run hands”.',
};

const sentence = (status: number, message: string, more: HeadersInit = {}): Response =>
  Response.json({ error: message, issues: [{ path: '', message }] }, { status, headers: more });

/** What nobody foresaw: told with a reference under which the server's log has the document that caused it. */
function unforeseen(kind: ServerQuestion['kind'], stack: string, document: string): Response {
  const reference = randomUUID();
  console.error(JSON.stringify({ reference, kind, stack, document }));
  return Response.json(
    {
      error: 'Something went wrong here that nobody foresaw. The document was not at fault; tell us the reference.',
      reference,
    },
    { status: 500 },
  );
}

/** Answers a posted document: 422 with the reasons for a bad one, 413 for one too long, 503 where nothing is free. */
export async function answerTo(kind: ServerQuestion['kind'], request: Request): Promise<Response> {
  let document = '';
  try {
    const body = await readBody(request);
    if (!body.ok) return sentence(body.status, body.message);
    document = body.text;
    const outcome: CrewOutcome = await CREWS[kind].ask({ kind, text: document }, request.signal);
    switch (outcome.kind) {
      case 'answer':
        return new Response(outcome.body, {
          status: outcome.status,
          headers: { 'Content-Type': 'application/json' },
        });
      case 'busy':
        return sentence(503, BUSY[kind], { 'Retry-After': '5' });
      case 'late':
        return sentence(503, LATE[kind]);
      case 'gone':
        return sentence(499, 'The one who asked is gone.');
      case 'broke':
        return unforeseen(kind, outcome.stack, document);
    }
  } catch (error) {
    return unforeseen(kind, error instanceof Error ? (error.stack ?? error.message) : String(error), document);
  }
}
