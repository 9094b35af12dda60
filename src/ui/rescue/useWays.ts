import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import type { Graduation, Units } from '@/core/length';
import { helperWhy, startHelper } from '@/workers/helper';
import type { RescueWorker, ShownWays } from '@/workers/rescue.worker';

/** A mishap is left alone this long before ways out are sought, ms: typing a number is one change. */
const PAUSE = 300;
const NONE: ShownWays = { ways: [], mistakes: [], done: 0 };

/** Ways out of a mishap, sought beside the page, the best so far; sought anew whenever it is told otherwise. */
export function useWays(
  document: object | null,
  units: Units,
  graduation: Graduation,
): { readonly found: ShownWays; readonly trouble: string | null } {
  const key = document && JSON.stringify([document, units, graduation]);
  const [state, setState] = useState({ key: '', found: NONE, trouble: null as string | null });
  useEffect(() => {
    if (!key) return;
    let gone = false;
    const tell = (part: Partial<typeof state>): void => {
      if (!gone) setState((last) => ({ ...(last.key === key ? last : { found: NONE, trouble: null }), key, ...part }));
    };
    const helper = startHelper<RescueWorker>(
      () => new Worker(new URL('../../workers/rescue.worker.ts', import.meta.url), { type: 'module' }),
    );
    const wait = setTimeout(() => {
      helper
        .ask(
          (remote) =>
            remote.seek(
              (JSON.parse(key) as [object])[0],
              units,
              graduation,
              proxy((found: ShownWays) => tell({ found, trouble: null })),
            ),
          (silent) => tell({ trouble: silent.message }),
        )
        .then(
          (why) => why !== null && tell({ trouble: why }),
          (error: unknown) => tell({ trouble: helperWhy(error) }),
        );
    }, PAUSE);
    return () => {
      gone = true;
      clearTimeout(wait);
      helper.end();
    };
  }, [key, units, graduation]);
  return state.key === key ? state : { found: NONE, trouble: null };
}
