import { useEffect, useMemo, useState } from 'react';
import { planFor } from '@/core/plan';
import { readDesign, type DesignInput } from '@/core/design';
import { remediesOf, remediesTried, type Check, type OwnPaper, type Remedies } from '@/core/checks';
import { startHelper, type Helper } from '@/workers/helper';
import type { PlanWorker } from '@/workers/plan.worker';
import { useStashPapers } from '../parts/useStash';

/** Remedies are looked for once a design has stood still this long, ms. */
const STILL = 120;
/** Most papers of the stash that are tried. */
const MOST_PAPERS = 8;
const NONE: Remedies = {};

/** The page's helper for this, started when something is first wrong. */
let helper: Helper<PlanWorker> | null = null;
const asked = async (of: DesignInput, owned: readonly OwnPaper[]): Promise<Remedies> => {
  helper ??= startHelper<PlanWorker>(
    () => new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
  );
  try {
    return (await helper.ask((worker) => worker.remedies(of, owned))) ?? NONE;
  } catch {
    // Nothing runs beside the page: it is worked out here, and the page waits that long.
    const read = readDesign(of);
    return read.ok ? remediesOf(remediesTried(planFor(read.design), owned)) : NONE;
  }
};

/** What helps against each thing found of a design, tried beside the page; nothing until it is known. */
export function useRemedies(of: DesignInput, checks: readonly Check[]): Remedies {
  const stash = useStashPapers();
  const owned = useMemo(
    (): readonly OwnPaper[] =>
      stash
        .map(({ name, width, height, caliper, sided, directional }) => ({
          name,
          width,
          height,
          caliper,
          sided,
          directional,
        }))
        .sort((a, b) => a.width * a.height - b.width * b.height)
        .slice(0, MOST_PAPERS),
    [stash],
  );
  const wanted = checks.some(({ level, remedies }) => level === 'fail' || (level !== 'pass' && remedies.length > 0));
  const [found, setFound] = useState<{ readonly of: DesignInput; readonly remedies: Remedies } | null>(null);
  useEffect(() => {
    if (!wanted) return;
    let gone = false;
    const wait = setTimeout(() => {
      void asked(of, owned).then((remedies) => {
        if (!gone) setFound({ of, remedies });
      });
    }, STILL);
    return () => {
      gone = true;
      clearTimeout(wait);
    };
  }, [of, owned, wanted]);
  return wanted && found?.of === of ? found.remedies : NONE;
}
