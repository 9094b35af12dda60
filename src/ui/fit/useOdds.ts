import { proxy } from 'comlink';
import { mattersMost, type Hands, type HandsAnswer, type SetAnswer } from '@/core/hands';
import type { DesignInput } from '@/core/plan';
import type { SetInput } from '@/core/sets';
import type { HandsWorker } from '@/workers/hands.worker';
import { useBeside } from '../parts/useBeside';

/** A design is left alone this long before it is made again and again, ms. */
const PAUSE = 400;
/** Makes counted for the curve, and for a word at one step. */
const RUNS = 1500;
const FEW = 400;
const SEED = 1;

interface Counted {
  readonly answer: HandsAnswer | null;
  /** Share of the makes that are counted. */
  readonly done: number;
}

/** Makes counted beside the page; null asks nothing. */
function useCounted(question: object | null, atMoreRoom: boolean) {
  const { told, ...rest } = useBeside<HandsWorker, Counted>({
    key: question && JSON.stringify(question),
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/hands.worker.ts', import.meta.url), { type: 'module' }),
    job: async (remote, tell) => {
      const { answer, why } = await remote.count(
        question,
        proxy((done: number) => tell({ done, answer: null })),
        atMoreRoom,
      );
      if (answer) tell({ done: 1, answer });
      return why;
    },
  });
  return { answer: told?.answer ?? null, done: told?.done ?? 0, ...rest };
}

/** How likely hands like these make it fit, counted beside the page; anew whenever the design or the hands change. */
export const useOdds = (design: DesignInput, hands: Hands) =>
  useCounted({ version: 1, design, hands, runs: RUNS, seed: SEED }, true);

/** Sets counted beside the page: each is several makes. */
const SETS = 300;

/** How likely hands like these make a whole set fit, each part what the others became; null asks nothing. */
export function useSetOdds(set: SetInput | null, hands: Hands) {
  const question = set && { version: 1, set, hands, runs: SETS, seed: SEED };
  const { told, ...rest } = useBeside<HandsWorker, { readonly answer: SetAnswer | null; readonly done: number }>({
    key: question && JSON.stringify(question),
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/hands.worker.ts', import.meta.url), { type: 'module' }),
    job: async (remote, tell) => {
      const { answer, why } = await remote.countSet(
        question,
        proxy((done: number) => tell({ done, answer: null })),
      );
      if (answer) tell({ done: 1, answer });
      return why;
    },
  });
  return { answer: told?.answer ?? null, done: told?.done ?? 0, ...rest };
}

/** What of a design is to be done with care; null until that is known, and where nothing stands out. */
export function useCare(design: DesignInput | null, hands: Hands) {
  const { answer } = useCounted(design && { version: 1, design, hands, runs: FEW, seed: SEED }, false);
  return answer && mattersMost(answer);
}
