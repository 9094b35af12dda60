import { create, type StoreApi, type UseBoundStore } from 'zustand';
import type { Units } from '@/core/length';
import type { DesignChange, DesignInput } from '@/core/plan';
import type { Project } from '@/data/db';

/** What undo goes back to: everything the person decides. */
interface Decided {
  readonly name: string;
  readonly units: Units;
  readonly design: DesignInput;
}

/** Changes under one key that follow within this time are one step of undo, ms. */
const SAME_GESTURE = 900;
/** Steps of undo kept. */
const KEPT = 200;

export interface BenchState extends Decided {
  readonly id: string;
  readonly past: readonly Decided[];
  readonly future: readonly Decided[];
  /** Why the last save failed, or null. */
  readonly trouble: string | null;
  /** Makes a change; changes with the same key in one go (a drag, typing) undo together. */
  readonly change: (to: Partial<Decided>, key: string) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes over what another page wrote; undo brings this page's own back. */
  readonly adopt: (project: Project) => void;
  readonly setTrouble: (trouble: string | null) => void;
}

export type BenchStore = UseBoundStore<StoreApi<BenchState>>;

const decided = ({ name, units, design }: Decided): Decided => ({ name, units, design });

/** The open project with its undo history. */
export function createBenchStore(project: Project): BenchStore {
  let lastKey = '';
  let lastAt = 0;
  return create<BenchState>()((set) => ({
    id: project.id,
    ...decided(project),
    past: [],
    future: [],
    trouble: null,
    change: (to, key) =>
      set((state) => {
        const now = Date.now();
        const goesOn = key === lastKey && now - lastAt < SAME_GESTURE && state.future.length === 0;
        lastKey = key;
        lastAt = now;
        return { ...to, past: goesOn ? state.past : [...state.past, decided(state)].slice(-KEPT), future: [] };
      }),
    undo: () =>
      set((state) => {
        const back = state.past.at(-1);
        lastKey = '';
        return back ? { ...back, past: state.past.slice(0, -1), future: [decided(state), ...state.future] } : state;
      }),
    redo: () =>
      set((state) => {
        const [next, ...future] = state.future;
        lastKey = '';
        return next ? { ...next, past: [...state.past, decided(state)], future } : state;
      }),
    adopt: (other) =>
      set((state) => ({ ...decided(other), past: [...state.past, decided(state)].slice(-KEPT), future: [] })),
    setTrouble: (trouble) => set({ trouble }),
  }));
}

/**
 * Lays a change over a design: fields are replaced, options one by one, `undefined` takes a field out; options `null`
 * takes all of them out.
 */
export function changedDesign(design: DesignInput, { options, ...fields }: DesignChange): DesignInput {
  const merged = {
    ...design,
    ...fields,
    options: options === null ? {} : { ...(design.options as Record<string, unknown> | undefined), ...options },
  };
  for (const part of [merged, merged.options] as Record<string, unknown>[])
    for (const key of Object.keys(part)) if (part[key] === undefined) delete part[key];
  return merged as DesignInput;
}
