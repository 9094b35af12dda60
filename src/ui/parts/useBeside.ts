import type { Remote } from 'comlink';
import { useCallback, useEffect, useEffectEvent, useRef, useState } from 'react';
import { helperWhy, startHelper, type Greets, type Helper } from '@/workers/helper';

interface Work<W, Told> {
  /** What it is done for: begun anew when this changes; null while there is nothing to do. */
  readonly key: string | null;
  /** So long nothing is begun, ms: typing a number is one change. */
  readonly pause: number;
  readonly make: () => Worker;
  /** Does it, telling of the best so far; ends with what the person should know of it, or null. */
  readonly job: (remote: Remote<W>, tell: (told: Told) => void) => Promise<string | null>;
}
interface Beside<Told> {
  /** The best so far for what stands now; null until there is one. */
  readonly told: Told | null;
  readonly running: boolean;
  readonly trouble: string | null;
  /** Stops it; the best so far stays. */
  readonly stop: () => void;
}

/** Long work in a helper of its own, beside the page: begun once things stand still, told of as it goes, ended with them. */
export function useBeside<W extends Greets, Told>({ key, pause, make, job }: Work<W, Told>): Beside<Told> {
  const nothing = { key: '', told: null as Told | null, running: true, trouble: null as string | null };
  const helper = useRef<Helper<W> | null>(null);
  const wait = useRef<ReturnType<typeof setTimeout>>(undefined);
  const [state, setState] = useState(nothing);
  const end = useCallback((): void => {
    clearTimeout(wait.current);
    helper.current?.end();
    helper.current = null;
  }, []);
  const begin = useEffectEvent((tell: (part: Partial<typeof nothing>) => void, gone: () => boolean): void => {
    tell({ running: true, trouble: null });
    helper.current = startHelper<W>(make);
    helper.current
      .ask(
        (remote) => job(remote, (told) => tell({ told, trouble: null })),
        (silent) => tell({ trouble: silent.message }),
      )
      .then(
        (why) => tell({ running: false, trouble: why }),
        (error: unknown) => tell({ running: false, trouble: helperWhy(error) }),
      )
      .finally(() => !gone() && end());
  });
  useEffect(() => {
    if (key === null) return end;
    let gone = false;
    const tell = (part: Partial<typeof nothing>): void => {
      if (!gone)
        setState((last) => ({ ...(last.key === key ? last : { ...last, told: null, trouble: null }), key, ...part }));
    };
    wait.current = setTimeout(() => begin(tell, () => gone), pause);
    return () => {
      gone = true;
      end();
    };
  }, [key, pause, end]);
  const now = state.key === key ? state : nothing;
  return {
    told: now.told,
    running: key !== null && now.running,
    trouble: now.trouble,
    stop: () => {
      end();
      setState({ ...now, key: key ?? '', running: false });
    },
  };
}
