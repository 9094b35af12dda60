import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef } from 'react';
import { fenceCare } from '@/core/cutting';
import { inputOf, readDesign, type Design } from '@/core/design';
import { careAt, mattersMost, rulerAt, rulerHelps, USUAL_HANDS } from '@/core/hands';
import { mm, type Mm } from '@/core/length';
import { planFor, type Made } from '@/core/plan';
import { warningAt } from '@/core/rescue';
import {
  minutesOf,
  partSteps,
  setsDone,
  stepsAt,
  walkOf,
  planAsMade,
  wayThrough,
  type DoneAgain,
  type Happened,
  type SetPlan,
  type Stop,
} from '@/core/sets';
import type { Step } from '@/core/making';
import type { MakeRecord, TakenMeasure } from '@/data/db';
import { keepMake, laidPapers } from '@/data/makes';
import { HANDS, MISREADS } from '@/data/setting-kinds';
import { useCare } from '../fit/useOdds';
import { useUnits } from '../parts/InUnits';
import { planAtHand } from '../parts/plans';
import { useSetting } from '../parts/useKept';
import { usePace } from '../parts/usePace';
import { useTell } from '../parts/useTell';
import { useClock } from './useTable';

/** A make as it stands: where it is on its way, what lies on the table there, and how it goes on. */
export interface MakeAtHand {
  readonly walk: readonly Stop[];
  /** Stops passed. */
  readonly done: number;
  /** The stop at hand; none once all are passed. */
  readonly stop: Stop | undefined;
  readonly made: Made;
  readonly design: Design;
  /** The steps of the part at hand. */
  readonly steps: readonly Step[];
  /** The part at hand, where there are several. */
  readonly part: string | null;
  /** Copies there are of the part at hand, and sets finished. */
  readonly of: number;
  readonly finished: number;
  /** What is told at this step besides its words. */
  readonly beware: readonly string[];
  readonly minutes: number;
  /** Minutes that are left, at the person's own pace. */
  readonly left: number;
  /** To that stop; the time since the last one is counted. */
  readonly goTo: (to: number) => void;
  /** A copy of a new sheet: what is behind is done again for it, of one piece where that is told; then it goes on with the others. */
  readonly anew: (copy: number, piece: string | null) => void;
  /** The last stop is done again for some of its copies. */
  readonly again: (copies: readonly number[]) => void;
  /** The set as it is planned now: with what was measured as it came out. */
  readonly asMade: SetPlan;
  /** A part came out otherwise than planned: what is still to be cut follows. */
  readonly measure: (taken: Omit<TakenMeasure, 'at'>) => void;
  /** Taken off the table without a word in the log; it can be laid there again. */
  readonly stopIt: () => void;
}

/** Follows a make live: another window that goes on with it takes this one along. */
export function useMaking(make: MakeRecord, plan: SetPlan, onTable: () => number): MakeAtHand {
  const { undoable } = useTell();
  const router = useRouter();
  const { copies, way, laid } = make;
  const { say } = useUnits();
  const happened = useMemo(() => happenedIn(make.ways), [make.ways]);
  const walk = useMemo(
    () =>
      wayThrough(
        walkOf(plan, say, copies, way, laidPapers({ ...(laid && { laid }) })),
        plan,
        say,
        happened,
        { copies, way },
        planAtHand,
      ),
    [plan, say, copies, way, laid, happened],
  );
  const asMade = useMemo(
    () =>
      planAsMade(
        plan,
        happened.filter((one) => 'measured' in one),
        planAtHand,
      ),
    [plan, happened],
  );
  const done = Math.min(make.done, walk.length);
  const stop: Stop | undefined = walk[done];
  const pace = usePace();
  const clock = useClock(stop ? 2 * pace * minutesOf([stop]) * 60_000 : 0);
  const at = stop?.own ?? plan.parts.find(({ part }) => part.id === stop?.part) ?? plan.parts.at(-1)!;
  const { design } = at.plan;
  const beware = useBeware(stop, design);
  const steps = useMemo(() => partSteps(at, say), [at, say]);
  const finished = useMemo(() => setsDone(plan, walk, done), [plan, walk, done]);

  const goTo = (to: number): void => {
    const next = Math.max(0, Math.min(walk.length, to));
    if (next !== done) keepMake(make, { done: next, spent: make.spent + clock.take() });
  };
  const repeat = (asked: Omit<DoneAgain, 'at'>): void =>
    keepMake(make, { ways: [...(make.ways ?? []), { ...asked, at: done }], spent: make.spent + clock.take() });
  const measure = (taken: Omit<TakenMeasure, 'at'>): void =>
    keepMake(make, { ways: [...(make.ways ?? []), { ...taken, at: done }], spent: make.spent + clock.take() });
  const anew = (copy: number, piece: string | null): void => {
    if (stop) repeat({ part: stop.part, copies: [copy], from: 0, ...(piece !== null && { piece }) });
  };
  const again = (some: readonly number[]): void => {
    const last = walk[done - 1];
    if (last) repeat({ part: last.part, copies: some, from: done - 1 });
  };
  const stopIt = (): void => {
    keepMake(make, { endedAt: Date.now(), spent: make.spent + clock.take() });
    undoable({
      key: make.id,
      done: `“${make.name}” is off the table`,
      back: () => Promise.resolve(keepMake({ ...make, endedAt: 1 }, { endedAt: 0 })),
    });
    router.push('/');
  };

  useEffect(() => {
    const ahead = onTable();
    if (ahead > 0) goTo(done + ahead);
    // Once, when it is laid out.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [onTable]);
  const latest = useRef(make);
  useEffect(() => {
    latest.current = make;
  });
  useEffect(() => {
    const leave = (): void => {
      const passed = clock.take();
      if (passed > 0) keepMake(latest.current, { spent: latest.current.spent + passed });
    };
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, [clock]);

  return {
    walk,
    done,
    stop,
    made: at.plan.made!,
    design,
    steps,
    part: plan.parts.length > 1 && !stop?.sheets ? at.part.name : null,
    of: at.part.quantity * copies,
    finished,
    beware,
    minutes: Math.floor((make.spent + clock.running) / 60_000),
    left: pace * minutesOf(walk.slice(done)),
    goTo,
    anew,
    again,
    asMade,
    measure,
    stopIt,
  };
}

/** What happened on the way, planned; a way of its own that cannot be read any more is the common one. */
const happenedIn = (taken: MakeRecord['ways'] = []): readonly Happened[] =>
  taken.flatMap((one): readonly Happened[] => {
    if ('measured' in one) return [{ ...one, laid: laidPapers(one) }];
    if (!('design' in one)) return [one];
    const { design, ...way } = one;
    const read = readDesign(design);
    return read.ok ? [{ ...way, plan: planFor(read.design) }] : [];
  });

/** What is told at a step besides: that it was misread before, that it matters more than any other. */
function useBeware(stop: Stop | undefined, design: Design): readonly string[] {
  const [misreads = []] = useSetting(MISREADS);
  const [hands] = useSetting(HANDS);
  const input = useMemo(() => inputOf(design), [design]);
  const odds = useCare(stop && !stop.sheets ? input : null, hands ?? USUAL_HANDS);
  const { say, graduation } = useUnits();
  if (!stop) return [];
  if (stop.sheets) return stop.sheets.group ? fenceCare(stop.sheets.group, graduation, design.kit.trimmer, say) : [];
  const most = odds && mattersMost(odds);
  const helps = odds && rulerHelps(odds);
  const { tool } = design;
  const setting = (at: Mm): string => say(tool.kind === 'envelope-board' ? mm(at - tool.offset) : at);
  const told = stepsAt(stop).flatMap((step) => [
    warningAt(step, design.construction.name, misreads),
    most && careAt(step, most),
    helps && rulerAt(step, helps, setting),
  ]);
  return [...new Set(told.filter((one) => one !== null))];
}
