import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Hands, HandsAnswer } from '@/core/hands';
import type { DesignInput } from '@/core/plan';
import type { HandsWorker } from '@/workers/hands.worker';
import { helperWhy, startHelper, type Helper } from '@/workers/helper';

/** A design is left alone this long before it is made again and again, ms. */
const PAUSE = 400;
const RUNS = 1500;
const SEED = 1;

interface Odds {
  readonly answer: HandsAnswer | null;
  /** Share of the makes that are counted; 1 once all are, or it was stopped. */
  readonly done: number;
  readonly trouble: string | null;
  readonly stop: () => void;
}
const NOTHING = { key: '', answer: null as HandsAnswer | null, done: 0, trouble: null as string | null };

/** How likely hands like these make it fit, counted beside the page; anew whenever the design or the hands change. */
export function useOdds(design: DesignInput, hands: Hands): Odds {
  const key = JSON.stringify({ version: 1, design, hands, runs: RUNS, seed: SEED });
  const [state, setState] = useState(NOTHING);
  const helper = useRef<Helper<HandsWorker> | null>(null);
  const end = useCallback((): void => {
    helper.current?.end();
    helper.current = null;
  }, []);
  useEffect(() => {
    let gone = false;
    const tell = (part: Partial<typeof NOTHING>): void => {
      if (!gone) setState((last) => ({ ...(last.key === key ? last : NOTHING), key, ...part }));
    };
    const wait = setTimeout(() => {
      helper.current = startHelper<HandsWorker>(
        () => new Worker(new URL('../../workers/hands.worker.ts', import.meta.url), { type: 'module' }),
      );
      helper.current
        .ask(
          (remote) =>
            remote.count(
              JSON.parse(key),
              proxy((done: number) => tell({ done })),
            ),
          (silent) => tell({ trouble: silent.message }),
        )
        .then(
          ({ answer, why }) => tell({ done: 1, answer, trouble: why }),
          (error: unknown) => tell({ done: 1, trouble: helperWhy(error) }),
        );
    }, PAUSE);
    return () => {
      gone = true;
      clearTimeout(wait);
      end();
    };
  }, [key, end]);
  const now = state.key === key ? state : NOTHING;
  return {
    answer: now.answer,
    done: now.done,
    trouble: now.trouble,
    stop: () => {
      end();
      setState({ ...NOTHING, key, done: 1, trouble: 'Stopped. Change the room or the hands to count again' });
    },
  };
}
