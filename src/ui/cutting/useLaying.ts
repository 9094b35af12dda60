import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { CutList, Progress } from '@/core/cutting';
import type { CuttingWorker } from '@/workers/cutting.worker';
import { helperWhy, startHelper, type Helper } from '@/workers/helper';

/** How long a list is left alone before it is laid out, ms: typing a number is one change. */
const PAUSE = 250;

interface Laying {
  /** The best so far of the list as it stands; null until there is one. */
  readonly progress: Progress | null;
  readonly running: boolean;
  readonly trouble: string | null;
  /** Stops looking; the best so far stays. */
  readonly stop: () => void;
}

const NOTHING = { key: '', progress: null as Progress | null, running: false, trouble: null as string | null };

/** Lays a list out in a worker, anew whenever it changes; `key` tells one list from another. */
export function useLaying(list: CutList | null, key: string): Laying {
  const helper = useRef<Helper<CuttingWorker> | null>(null);
  const [state, setState] = useState(NOTHING);
  const end = useCallback((): void => {
    helper.current?.end();
    helper.current = null;
  }, []);
  useEffect(() => {
    if (!list) return end;
    let gone = false;
    const tell = (part: Partial<typeof NOTHING>): void => {
      if (!gone) setState((last) => ({ ...(last.key === key ? last : NOTHING), key, ...part }));
    };
    const begin = setTimeout(() => {
      tell({ running: true, trouble: null });
      helper.current = startHelper<CuttingWorker>(
        () => new Worker(new URL('../../workers/cutting.worker.ts', import.meta.url), { type: 'module' }),
      );
      helper.current
        .ask(
          (remote) =>
            remote.lay(
              list,
              proxy((progress: Progress) => tell({ progress, trouble: null })),
            ),
          (silent) => tell({ trouble: silent.message }),
        )
        .then(
          (note) => tell({ running: false, trouble: note }),
          (error: unknown) => tell({ running: false, trouble: helperWhy(error) }),
        )
        .finally(() => !gone && end());
    }, PAUSE);
    return () => {
      gone = true;
      clearTimeout(begin);
      end();
    };
    // The key stands for the list: equal lists are laid once.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, end]);
  const current = state.key === key ? state : NOTHING;
  return {
    ...current,
    running: list !== null && (current.running || (current.progress === null && current.trouble === null)),
    stop: () => {
      end();
      setState((last) => ({ ...last, running: false }));
    },
  };
}
