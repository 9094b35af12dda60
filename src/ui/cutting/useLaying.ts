import { proxy } from 'comlink';
import type { CutList, PackProgress } from '@/core/cutting';
import type { CuttingWorker } from '@/workers/cutting.worker';
import { useBeside } from '../parts/useBeside';

/** How long a list is left alone before it is laid out, ms. */
const PAUSE = 250;

interface Laying {
  /** The best so far of the list as it stands; null until there is one. */
  readonly progress: PackProgress | null;
  readonly running: boolean;
  readonly trouble: string | null;
  /** Stops looking; the best so far stays. */
  readonly stop: () => void;
}

/** Lays a list out in a worker, anew whenever it changes; `key` tells one list from another: equal lists are laid once. */
export function useLaying(list: CutList | null, key: string): Laying {
  const { told, ...rest } = useBeside<CuttingWorker, PackProgress>({
    key: list && key,
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/cutting.worker.ts', import.meta.url), { type: 'module' }),
    job: (remote, tell) => remote.lay(list!, proxy(tell)),
  });
  return { progress: told, ...rest };
}
