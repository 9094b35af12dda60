import { wrap, type Remote } from 'comlink';

/** Why a helper does not help: there are none in this browser, it broke, it says nothing, or it said why itself. */
export type HelperProblem = 'none' | 'broke' | 'silent' | 'told';

const SENTENCES: Record<Exclude<HelperProblem, 'told'>, string> = {
  none: 'This browser runs nothing beside the page, and this work needs it. The shelf, the bench and every step still work; try another browser for this',
  broke:
    'The part of the app that works this out could not be loaded or broke off. Load the page again; the bench and every step still work',
  silent:
    'The part of the app that works this out does not answer yet. It may still come; if not, load the page again. The bench and every step still work',
};

/** A helper that does not help. Its message is a sentence without its stop. */
export class HelperTrouble extends Error {
  override readonly name = 'HelperTrouble';
  constructor(
    readonly problem: HelperProblem,
    sentence = problem === 'told' ? '' : SENTENCES[problem],
  ) {
    super(sentence.replace(/\.$/, ''));
  }
}

/** A helper says that it is there within this time, or it is told that it does not, ms. */
const PATIENCE = 8000;

/** Every helper answers this, whatever else it does. */
export interface Greets {
  readonly hello: () => true;
}
export const greets: Greets = { hello: () => true };

/** A worker and what it can be asked. */
export interface Helper<T> {
  /**
   * Asks it something. Fails with `HelperTrouble` when it is missing or breaks; `silent` is called when it does not even
   * greet within seconds: another one is then started beside it, and whichever greets first is asked.
   */
  readonly ask: <R>(job: (remote: Remote<T>) => Promise<R>, silent?: (trouble: HelperTrouble) => void) => Promise<R>;
  readonly end: () => void;
}

/** Starts a helper; `make` makes its worker. Never throws: what is wrong is told to whoever asks. */
export function startHelper<T extends Greets>(make: () => Worker): Helper<T> {
  let workers: Worker[] = [];
  let greeted = false;
  let ended = false;
  let greets: (remote: Remote<T>) => void = () => undefined;
  let broken: (trouble: HelperTrouble) => void = () => undefined;
  const there = new Promise<Remote<T>>((greet, fail) => {
    greets = greet;
    broken = fail;
  });
  // One that greeted may still break.
  let breaks: (trouble: HelperTrouble) => void = () => undefined;
  const breaking = new Promise<never>((_, fail) => (breaks = fail));
  for (const one of [there, breaking]) one.catch(() => undefined);
  const breakOff = (problem: HelperProblem): void => {
    broken(new HelperTrouble(problem));
    breaks(new HelperTrouble(problem));
  };
  const start = (): void => {
    try {
      const worker = make();
      workers.push(worker);
      worker.onerror = (event) => {
        // It is told in a sentence, not as an error of the page.
        event.preventDefault();
        breakOff('broke');
      };
      worker.onmessageerror = () => breakOff('broke');
      const remote = wrap<T>(worker);
      (remote as unknown as Remote<Greets>).hello().then(
        () => {
          if (greeted) return;
          greeted = true;
          for (const other of workers) if (other !== worker) other.terminate();
          workers = [worker];
          greets(remote);
        },
        () => undefined,
      );
    } catch {
      breakOff('none');
    }
  };
  start();
  return {
    ask: async (job, silent) => {
      const waiting = setTimeout(() => {
        if (greeted || ended) return;
        silent?.(new HelperTrouble('silent'));
        if (workers.length === 1) start();
      }, PATIENCE);
      try {
        return await Promise.race([there.then(job), breaking]);
      } finally {
        clearTimeout(waiting);
      }
    },
    end: () => {
      ended = true;
      for (const worker of workers) worker.terminate();
    },
  };
}

/** Why a helper's answer did not come, as a sentence without its stop. */
export function helperWhy(error: unknown): string {
  if (error instanceof HelperTrouble) return error.message;
  console.error(error);
  return 'Something unforeseen happened while this was worked out. Try it with other sizes; nothing of yours was changed';
}
