import { useCallback, useEffect, useMemo, useRef } from 'react';
import type { CutList } from '@/core/cutting';
import { setsLaid, type SetPlan, type WayOfWork } from '@/core/sets';
import type { LaidForMake, Project } from '@/data/db';
import { useSheets } from '../cutting/useSheets';

/** So long a make waits for its sheets, ms: then each blank is cut by itself. */
const PATIENCE = 10_000;

/** How sheets lie as soon as that is known, and a promise of it for whoever cannot wait. */
interface Laid {
  readonly laid: readonly LaidForMake[] | null;
  readonly whenLaid: () => Promise<readonly LaidForMake[]>;
}

/** How the sheets of a project lie for a make that is to begin; what is left out is cut a blank after the other. */
export function useLaid(project: Project, plan: SetPlan | null, copies: number, way: WayOfWork): Laid {
  const sheets = useSheets(project, plan, copies, setsLaid(way, copies));
  const laid = useMemo(() => sheets?.filter(({ list, cut }) => cut !== '' || isCutUp(list)) ?? null, [sheets]);
  const now = useRef(laid);
  const waiting = useRef<((laid: readonly LaidForMake[]) => void)[]>([]);
  useEffect(() => {
    now.current = laid;
    if (laid) for (const tell of waiting.current.splice(0)) tell(laid);
  }, [laid]);
  const whenLaid = useCallback(
    () =>
      now.current
        ? Promise.resolve(now.current)
        : new Promise<readonly LaidForMake[]>((tell) => {
            waiting.current.push(tell);
            setTimeout(() => tell([]), PATIENCE);
          }),
    [],
  );
  return { laid, whenLaid };
}

/** One blank is told by itself; scissors go from piece to piece; what is cut out of a certain place is told by itself. */
const isCutUp = ({ pieces, cutter }: CutList): boolean =>
  cutter === 'guillotine' &&
  pieces.reduce((sum, { quantity }) => sum + quantity, 0) > 1 &&
  pieces.every(({ place }) => place === undefined);
