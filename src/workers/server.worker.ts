import { setPriority } from 'node:os';
import { parentPort } from 'node:worker_threads';
import { readCutList } from '@/core/cutting';
import { loadSolver, packing, USUAL_PATIENCE } from '@/core/cutting/pack';
import { unitsOf, sayer } from '@/core/length';
import { oddsAnswer, readHands, setOddsAnswer, type HandsQuestion } from '@/core/hands';
import { parseDocument } from '@/core/design';
import { toEnd } from '@/core/progress';
import { readRescue, rescueAnswer, waysOut, type Mishap } from '@/core/rescue';
import { planAnswerTo } from '@/core/sets';
import { nowAndThen } from './nowAndThen';

/** What the server's helper is asked: a kind of work, and the document as it came. */
export interface ServerQuestion {
  readonly kind: 'plan' | 'pack' | 'hands' | 'rescue';
  readonly text: string;
  /** Time there is for it, ms. */
  readonly time: number;
}

/** What it says: the best it has so far, or the answer; what nobody foresaw comes as its stack. */
export type ServerAnswer =
  | { readonly so: 'far'; readonly body: string }
  | { readonly so: 'answer'; readonly status: 200 | 422; readonly body: string }
  | { readonly so: 'broke'; readonly stack: string };

// This thread gives way to the one that answers requests. (On Linux a priority is a thread’s own.)
if (process.platform === 'linux') setPriority(10);

const patience = { ...USUAL_PATIENCE, solverSeconds: 3, joins: 400_000 };
/** The best so far is told no oftener than this, ms. */
const OFTEN = 400;

const answer = (status: 200 | 422, body: object): ServerAnswer => ({
  so: 'answer',
  status,
  body: JSON.stringify(body),
});
const wrong = (error: string, issues: readonly object[]): ServerAnswer => answer(422, { error, issues });

async function work({ kind, text, time }: ServerQuestion, say: (said: ServerAnswer) => void): Promise<ServerAnswer> {
  const document = parseDocument(text);
  if (!document.ok) return wrong(document.message, [{ path: '', message: document.message }]);
  if (kind === 'plan') {
    const planned = planAnswerTo(document.value);
    return planned.ok ? answer(200, planned.answer) : wrong(planned.error, planned.issues);
  }
  if (kind === 'hands') {
    const asked = readHands(document.value);
    if (!asked.ok) return wrong('The question has a problem.', asked.issues);
    return counted(asked.question, time);
  }
  if (kind === 'rescue') {
    const asked = readRescue(document.value);
    if (!asked.ok) return wrong('What went wrong is told in a way that has a problem.', asked.issues);
    return rescued(asked.mishap, say);
  }
  const read = readCutList(document.value);
  if (!read.ok) return wrong('The cut list has a problem.', read.issues);
  let best: object | null = null;
  const tell = nowAndThen((layout: object) => say({ so: 'far', body: JSON.stringify(layout) }), OFTEN);
  for (const { layout } of packing(read.list, await loadSolver(), patience)) tell((best = layout));
  return answer(200, best!);
}

/** So long a thread warms up, and so long it then counts until it is known how long all of it takes, ms. */
const [WARM, KNOWN] = [250, 250];

/** The odds; where they would take longer than there is time for, that is said at once, with what would do. */
function counted(question: HandsQuestion, time: number): ServerAnswer {
  const going = question.set ? setOddsAnswer(question) : oddsAnswer(question);
  const begun = performance.now();
  let first: { readonly at: number; readonly done: number } | null = null;
  for (let asked = false; ;) {
    const next = going.next();
    if (next.done) return answer(200, next.value);
    const now = performance.now();
    if (asked || now - begun < WARM) continue;
    first ??= { at: now, done: next.value };
    const so = now - first.at;
    if (so < KNOWN) continue;
    asked = true;
    const all = so / (next.value - first.done);
    // It is still getting quicker.
    if (all <= 1.5 * time) continue;
    const runs = Math.max(1, Math.floor((0.8 * question.runs * time) / all));
    const message = `Made ${question.runs} times this takes about ${Math.ceil(all / 1000)} seconds, and a server may spend ${Math.floor(time / 1000)} on it. Ask for ${runs} runs, or ask by “npm run hands”.`;
    return wrong(message, [{ path: 'runs', message }]);
  }
}

/** Ways out, the best so far told now and then: late is better than never. */
function rescued(mishap: Mishap, say: (said: ServerAnswer) => void): ServerAnswer {
  const { graduation } = mishap.design;
  const found = toEnd(
    waysOut(mishap, sayer(unitsOf(graduation), graduation)),
    nowAndThen((best) => say({ so: 'far', body: JSON.stringify(rescueAnswer(best)) }), 5 * OFTEN, 5 * OFTEN),
  );
  return answer(200, rescueAnswer(found));
}

parentPort?.on('message', (asked: ServerQuestion) => {
  const say = (said: ServerAnswer): void => parentPort!.postMessage(said);
  work(asked, say).then(say, (error: unknown) =>
    say({ so: 'broke', stack: error instanceof Error ? (error.stack ?? error.message) : String(error) }),
  );
});
