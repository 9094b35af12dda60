import { proxy } from 'comlink';
import type { Hands, HandsAnswer } from '@/core/hands';
import type { DesignInput } from '@/core/plan';
import type { HandsWorker } from '@/workers/hands.worker';
import { useBeside } from '../parts/useBeside';

/** A design is left alone this long before it is made again and again, ms. */
const PAUSE = 400;
const RUNS = 1500;
const SEED = 1;

interface Counted {
  readonly answer: HandsAnswer | null;
  /** Share of the makes that are counted. */
  readonly done: number;
}

/** How likely hands like these make it fit, counted beside the page; anew whenever the design or the hands change. */
export function useOdds(design: DesignInput, hands: Hands) {
  const question = { version: 1, design, hands, runs: RUNS, seed: SEED };
  const { told, ...rest } = useBeside<HandsWorker, Counted>({
    key: JSON.stringify(question),
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/hands.worker.ts', import.meta.url), { type: 'module' }),
    job: async (remote, tell) => {
      const { answer, why } = await remote.count(
        question,
        proxy((done: number) => tell({ done, answer: null })),
      );
      if (answer) tell({ done: 1, answer });
      return why;
    },
  });
  return { answer: told?.answer ?? null, done: told?.done ?? 0, ...rest };
}
