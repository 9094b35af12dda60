import { proxy } from 'comlink';
import type { Graduation, Units } from '@/core/length';
import type { RescueWorker, ShownWays } from '@/workers/rescue.worker';
import { useBeside } from '../parts/useBeside';

/** A mishap is left alone this long before ways out are sought, ms. */
const PAUSE = 300;
const NONE: ShownWays = { ways: [], mistakes: [], done: 0 };

/** Ways out of a mishap, sought beside the page, the best so far; sought anew whenever it is told otherwise. */
export function useWays(
  document: object | null,
  units: Units,
  graduation: Graduation,
): { readonly found: ShownWays; readonly trouble: string | null } {
  const { told, trouble } = useBeside<RescueWorker, ShownWays>({
    key: document && JSON.stringify([document, units, graduation]),
    pause: PAUSE,
    make: () => new Worker(new URL('../../workers/rescue.worker.ts', import.meta.url), { type: 'module' }),
    job: (remote, tell) => remote.seek(document, units, graduation, proxy(tell)),
  });
  return { found: told ?? NONE, trouble };
}
