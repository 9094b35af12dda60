import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { changedDesign, type Design, type DesignChange, type DesignInput } from '@/core/design';
import type { Project } from '@/data/db';
import { collide, patchBetween, patched } from '@/data/patch';
import type { ProjectDecisions } from '@/data/projects';

/** Changes under one key that follow within this time are one step of undo, ms. */
const SAME_GESTURE = 900;
/** Steps of undo kept. */
const KEPT = 200;

export interface BenchState extends ProjectDecisions {
  readonly id: string;
  /** The part on the table, by its id; looked at, not decided: undo leaves it. */
  readonly part: string;
  readonly show: (part: string) => void;
  readonly past: readonly ProjectDecisions[];
  readonly future: readonly ProjectDecisions[];
  /** Makes a change; changes with the same key in one go (a drag, typing) undo together. */
  readonly change: (to: Partial<ProjectDecisions>, key: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /**
   * Takes over what another page changed. Undo goes on taking back this page's own changes and leaves the other's; where
   * both changed the same, it brings this page's own back.
   */
  readonly adopt: (other: ProjectDecisions) => void;
}

export type BenchStore = UseBoundStore<StoreApi<BenchState>>;

const decided = ({ name, units, set }: ProjectDecisions): ProjectDecisions => ({ name, units, set });

/** The open project with its undo history. Every change is handed to `keep` as it is made. */
export function createBenchStore(
  project: Project,
  keep: (before: ProjectDecisions, after: ProjectDecisions) => void,
): BenchStore {
  let lastKey = '';
  let lastAt = 0;
  return create<BenchState>()((set, get) => {
    /** Kept in the task that changed it, before anything is drawn: what is seen on the screen is kept by then. */
    const turnTo = (next: Partial<BenchState>): void => {
      const before = decided(get());
      set(lying(next));
      keep(before, decided(get()));
    };
    /** The part on the table is one there is: what was taken out of the set leaves it to the part that holds the others. */
    const lying = (next: Partial<BenchState>): Partial<BenchState> => {
      const { set: now, part } = { ...get(), ...next };
      return now.parts.some(({ id }) => id === part) ? next : { ...next, part: now.parts.at(-1)!.id };
    };
    return {
      id: project.id,
      ...decided(project),
      part: project.set.parts.at(-1)!.id,
      show: (part) => set({ part }),
      past: [],
      future: [],
      change: (to, key) => {
        const { past, future, ...now } = get();
        const at = Date.now();
        const goesOn = key === lastKey && at - lastAt < SAME_GESTURE && future.length === 0;
        lastKey = key;
        lastAt = at;
        turnTo({ ...to, past: goesOn ? past : [...past, decided(now)].slice(-KEPT), future: [] });
      },
      undo: () => {
        const { past, future, ...now } = get();
        const back = past.at(-1);
        lastKey = '';
        if (back) turnTo({ ...back, past: past.slice(0, -1), future: [decided(now), ...future] });
      },
      redo: () => {
        const { past, future, ...now } = get();
        const [next, ...rest] = future;
        lastKey = '';
        if (next) turnTo({ ...next, past: [...past, decided(now)], future: rest });
      },
      adopt: (other) => {
        const { past, future, ...now } = get();
        const theirs = patchBetween(decided(now), decided(other));
        if (theirs.length === 0) return;
        lastKey = '';
        const own = past[0] ? patchBetween(past[0], decided(now)) : [];
        set(
          lying(
            collide(own, theirs)
              ? { ...decided(other), past: [...past, decided(now)].slice(-KEPT), future: [] }
              : {
                  ...decided(other),
                  past: past.map((then) => patched(then, theirs)),
                  future: future.map((then) => patched(then, theirs)),
                },
          ),
        );
      },
    };
  });
}

/** Parts of a design that a form hands over whole when one field of theirs is changed. */
const PARTS = ['paper', 'contents', 'blank', 'adhesive'] as const;

/**
 * A change that was made of a design as its form showed it (`seen`, as it was read), laid over the design as it is now:
 * what a drag, or another window, changed of the same paper since the form was drawn stays.
 */
export function changedSince(seen: Partial<Design>, now: DesignInput, change: DesignChange): DesignInput {
  const next = changedDesign(now, change) as Record<string, unknown>;
  for (const part of PARTS)
    if (seen[part] && change[part] && now[part])
      next[part] = patched<object>(now[part], patchBetween(seen[part], change[part]));
  return next as DesignInput;
}
