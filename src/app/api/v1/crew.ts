import type { Worker } from 'node:worker_threads';
import type { ServerQuestion, ServerAnswer } from '@/workers/server.worker';

/** What became of a piece of work: an answer, nothing in time, no hand free, the asker gone, or a fault of ours. */
export type CrewOutcome =
  | { readonly kind: 'answer'; readonly status: number; readonly body: string }
  | { readonly kind: 'late' | 'busy' | 'gone' }
  | { readonly kind: 'broke'; readonly stack: string };

interface CrewLimits {
  /** Threads that work at once. */
  readonly hands: number;
  /** Requests that wait for one; more are turned away. */
  readonly queue: number;
  /** Longest a piece of work may take, ms, its waiting included: then the best so far is the answer, and the thread is ended. */
  readonly deadline: number;
  /** Starts a thread. */
  readonly hire: () => Worker;
}

/**
 * Does work in threads beside the one that answers requests, so that no document, however it is made, keeps the server
 * from answering. A thread whose work takes too long, or whose asker went away, is ended with it.
 */
export function crew({ hands, queue, deadline, hire }: CrewLimits): {
  readonly ask: (asked: Omit<ServerQuestion, 'time'>, signal: AbortSignal) => Promise<CrewOutcome>;
} {
  const idle: Worker[] = [];
  const waiting: (() => void)[] = [];
  let working = 0;

  /** A place that is free goes to who waits first. */
  const done = (): void => {
    const next = waiting.shift();
    if (next) next();
    else working--;
  };
  const begin = (asked: ServerQuestion, signal: AbortSignal): Promise<CrewOutcome> =>
    new Promise((resolve) => {
      const worker = idle.pop() ?? hire();
      let best: string | null = null;
      const settle = (outcome: CrewOutcome, keep: boolean): void => {
        clearTimeout(timer);
        signal.removeEventListener('abort', leave);
        worker.removeAllListeners();
        if (keep) {
          // One that breaks while it has nothing to do is forgotten.
          worker.once('error', () => idle.splice(0, idle.length, ...idle.filter((other) => other !== worker)));
          worker.unref();
          idle.push(worker);
        } else {
          worker.on('error', () => undefined);
          void worker.terminate();
        }
        resolve(outcome);
        done();
      };
      const leave = (): void => settle({ kind: 'gone' }, false);
      const timer = setTimeout(
        () => settle(best === null ? { kind: 'late' } : { kind: 'answer', status: 200, body: best }, false),
        asked.time,
      );
      worker.ref();
      worker.removeAllListeners();
      worker.on('message', (said: ServerAnswer) => {
        if (said.so === 'far') best = said.body;
        else if (said.so === 'answer') settle({ kind: 'answer', status: said.status, body: said.body }, true);
        else settle({ kind: 'broke', stack: said.stack }, false);
      });
      worker.once('error', (error: Error) => settle({ kind: 'broke', stack: error.stack ?? error.message }, false));
      worker.once('exit', () => settle({ kind: 'broke', stack: 'the thread ended' }, false));
      signal.addEventListener('abort', leave);
      worker.postMessage(asked);
    });

  return {
    ask: async (asked, signal) => {
      if (signal.aborted) return { kind: 'gone' };
      const until = Date.now() + deadline;
      if (working < hands) working++;
      else {
        if (waiting.length >= queue) return { kind: 'busy' };
        const turn = await new Promise<'mine' | 'gone' | 'late'>((resolve) => {
          const settle = (how: 'mine' | 'gone' | 'late'): void => {
            clearTimeout(timer);
            signal.removeEventListener('abort', leave);
            if (how !== 'mine') waiting.splice(waiting.indexOf(mine), 1);
            resolve(how);
          };
          const mine = (): void => settle('mine');
          const leave = (): void => settle('gone');
          const timer = setTimeout(() => settle('late'), deadline);
          waiting.push(mine);
          signal.addEventListener('abort', leave);
        });
        if (turn !== 'mine') return { kind: turn };
      }
      return begin({ ...asked, time: Math.max(1, until - Date.now()) }, signal);
    },
  };
}
