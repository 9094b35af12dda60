import { proxy, type Remote } from 'comlink';
import type { Hands, HandsAnswer, SetAnswer } from '@/core/hands';
import type { DesignInput } from '@/core/design';
import type { SetInput } from '@/core/sets';
import type { HandsWorker } from '@/workers/hands.worker';
import { useBeside } from '../parts/useBeside';

/** A design is left alone this long before it is made again and again, ms. */
const PAUSE = 400;
/** Makes counted for the curve, and for a word at one step. */
const RUNS = 1500;
const FEW = 400;
/** Sets counted: each is several makes. */
const SETS = 300;
const SEED = 1;

interface Counted<A> {
  readonly answer: A | null;
  /** Share of the makes that are counted. */
  readonly done: number;
}
type Asked<A> = Promise<{ readonly answer: A | null; readonly why: string | null }>;

/** Makes counted beside the page; null asks nothing. */
function useCounted<A>(
  question: object | null,
  ask: (remote: Remote<HandsWorker>, tell: (done: number) => void) => Asked<A>,
) {
  const { told, ...rest } = useBeside<HandsWorker, Counted<A>>({
    key: question && JSON.stringify(question),
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/hands.worker.ts', import.meta.url), { type: 'module' }),
    job: async (remote, tell) => {
      // How far it is comes by a road of its own, and may come after the answer: that stays.
      let over = false;
      const { answer, why } = await ask(
        remote,
        proxy((done: number) => over || tell({ done, answer: null })),
      );
      over = true;
      if (answer) tell({ done: 1, answer });
      return why;
    },
  });
  return { answer: told?.answer ?? null, done: told?.done ?? 0, ...rest };
}

/** How likely hands like these make it fit, counted beside the page; anew whenever the design or the hands change. */
export function useOdds(design: DesignInput, hands: Hands) {
  const question = { version: 1, design, hands, runs: RUNS, seed: SEED };
  return useCounted<HandsAnswer>(question, (remote, tell) => remote.count(question, tell));
}

/** How likely hands like these make a whole set fit, each part what the others became; null asks nothing. */
export function useSetOdds(set: SetInput | null, hands: Hands) {
  const question = set && { version: 1, set, hands, runs: SETS, seed: SEED };
  return useCounted<SetAnswer>(question, (remote, tell) => remote.countSet(question, tell));
}

/** How likely a design comes out right as it is, to tell at its steps what matters; null until that is known. */
export function useCare(design: DesignInput | null, hands: Hands) {
  const question = design && { version: 1, design, hands, runs: FEW, seed: SEED };
  const { answer } = useCounted<HandsAnswer>(question, (remote, tell) => remote.count(question, tell, false));
  return answer;
}
