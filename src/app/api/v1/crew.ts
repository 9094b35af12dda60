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
  /** Longest a piece of work may take, ms: then the best so far is the answer, and the thread is ended. */
  readonly deadline: number;
  /** Starts a thread. */
  readonly hire: () => Worker;
}

/**
 * Does work in threads beside the one that answers requests, so that no document, however it is made, keeps the server
 * from answering. A thread whose work takes too long, or whose asker went away, is ended with it.
 */
export function crew({ hands, queue, deadline, hire }: CrewLimits): {
  readonly ask: (asked: ServerQuestion, signal: AbortSignal) => Promise<CrewOutcome>;
} {
  const idle: Worker[] = [];
  const waiting: (() => void)[] = [];
  let working = 0;

  const done = (): void => {
    working--;
    waiting.shift()?.();
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
        deadline,
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
      if (working >= hands) {
        if (waiting.length >= queue) return { kind: 'busy' };
        const turn = await new Promise<boolean>((resolve) => {
          const mine = (): void => {
            signal.removeEventListener('abort', leave);
            resolve(true);
          };
          const leave = (): void => {
            waiting.splice(waiting.indexOf(mine), 1);
            resolve(false);
          };
          waiting.push(mine);
          signal.addEventListener('abort', leave, { once: true });
        });
        if (!turn) return { kind: 'gone' };
      }
      working++;
      return begin(asked, signal);
    },
  };
}
