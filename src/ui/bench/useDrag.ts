import { useEffect, useState, useSyncExternalStore } from 'react';
import type { Contents, Grip } from '@/core/constructions';
import { TOLERANCE } from '@/core/geometry';
import { mm, near, roundTo, type Mm } from '@/core/length';
import { changedDesign, type Design, type DesignChange, type DesignInput } from '@/core/design';
import type { Made } from '@/core/plan';
import type { Toolbox } from '@/core/tools';
import { withDesign } from '@/core/sets';
import { partOf, planned, plannedSet } from '../parts/plans';
import { withKit } from '../parts/withKit';
import { PlanAside } from './planAside';
import { changedSince, type BenchStore } from './store';

/** How a grip is used: a drag begins, goes on and ends; a key is a step by itself. */
export type DragPhase = 'start' | 'move' | 'end' | 'step';

/** What dragging does to the design on the bench. */
export interface Dragging {
  /** A fold pulled along its grip by mm since the drag began. */
  readonly onFold: (grip: Grip, by: number, phase: DragPhase) => void;
  /** Contents made larger or smaller by mm since the drag began. */
  readonly onContents: (wider: number, higher: number, phase: DragPhase) => void;
  /** Anything else that follows a drag, made of the design as it was drawn. */
  readonly onPull: (seen: Design, change: DesignChange, key: string) => void;
}

/** After a drag what is beside the sheet has so long to follow, ms. */
const FOLLOWS = 500;

/** Dragging on the bench, and whether something is dragged or has only just been: see `Dragger`. */
export function useDrag(
  store: BenchStore,
  toolbox: Toolbox | null,
): { readonly dragging: Dragging; readonly going: boolean } {
  const [dragger] = useState(() => new Dragger(store));
  useEffect(() => {
    dragger.start();
    return () => dragger.end();
  }, [dragger]);
  useEffect(() => dragger.layOut(toolbox), [dragger, toolbox]);
  const going = useSyncExternalStore(dragger.onGoing, dragger.isGoing, dragger.isGoing);
  return { dragging: dragger, going };
}

/**
 * A dragged fold decides the room aimed for, or an option; the plan's own rounding makes it snap. Each move is planned
 * once, beside the page, and shown when its plan is there; moves that come meanwhile are one. When the drag ends, the room
 * that came of it is the room aimed for.
 */
export class Dragger implements Dragging {
  private readonly aside = new PlanAside();
  private toolbox: Toolbox | null = null;
  /** What was dragged when the drag began. */
  private from: { readonly made: Made | null; readonly contents: Contents | null } = { made: null, contents: null };

  private going = false;
  private over: ReturnType<typeof setTimeout> | null = null;
  private readonly listeners = new Set<() => void>();

  constructor(private readonly store: BenchStore) {}

  readonly isGoing = (): boolean => this.going;
  readonly onGoing = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };
  /** A move was made: what is beside the sheet may lag behind until a while after the last. */
  private goOn(): void {
    if (this.over) clearTimeout(this.over);
    this.over = setTimeout(() => this.setGoing(false), FOLLOWS);
    this.setGoing(true);
  }
  private setGoing(going: boolean): void {
    if (going === this.going) return;
    this.going = going;
    this.listeners.forEach((listener) => listener());
  }

  start(): void {
    this.aside.start(this.design);
  }
  end(): void {
    this.aside.end();
    if (this.over) clearTimeout(this.over);
  }
  layOut(toolbox: Toolbox | null): void {
    this.toolbox = toolbox;
  }

  readonly onFold = (grip: Grip, by: number, phase: DragPhase): void => {
    const { does } = grip;
    if (phase === 'start') this.from = this.now();
    else if (phase === 'move') {
      const { made } = this.from;
      if (made) this.pull(() => this.folded(grip, by, made), 'drag-fold', 'drag');
    } else if (phase === 'step') {
      const { made } = this.now();
      this.take(made && this.folded(grip, by, made), 'drag-fold');
      if (does.kind === 'room') this.take(this.settled(), 'drag-fold');
    } else if (does.kind === 'room') this.pull(() => this.settled(), 'drag-fold', null);
  };

  readonly onContents = (wider: number, higher: number, phase: DragPhase): void => {
    if (phase === 'start') this.from = this.now();
    const { contents } = phase === 'step' ? this.now() : this.from;
    if (!contents) return;
    const change = (): DesignChange => this.grown(wider, higher, contents);
    if (phase === 'step') this.take(change(), 'drag-contents');
    else if (phase === 'move') this.pull(change, 'drag-contents', 'drag');
  };

  readonly onPull = (seen: Design, change: DesignChange, key: string): void =>
    this.pull(() => change, key, 'drag', seen);

  /** The design of the part on the table as it stands this moment, with what is out beside it. */
  private get design(): DesignInput {
    const { set, part } = this.store.getState();
    return partOf(plannedSet(withKit(set, this.toolbox)), part).input;
  }
  private keep(now: DesignInput, next: DesignInput, key: string): void {
    const { set, part, change } = this.store.getState();
    change({ set: withDesign(set, part, now, next) }, key);
  }
  /** What is on the table as it is made this moment: its plan is at hand. */
  private now(): Dragger['from'] {
    const known = planned(this.design);
    return {
      made: 'plan' in known ? known.plan.made : null,
      contents: 'design' in known ? known.design.contents : null,
    };
  }
  private onMark(length: number): Mm {
    return roundTo(mm(length), this.design.graduation ?? '1/8 in', 'nearest');
  }

  /** A key is one change, there at once: it is planned here. */
  private take(change: DesignChange | null, key: string): void {
    if (!change) return;
    const { design } = this;
    const next = changedDesign(design, change);
    if ('design' in planned(next)) this.keep(design, next, key);
  }

  /** Plans the design as it will be with a change, and takes it unless somebody else changed the design meanwhile. */
  private pull(
    change: () => DesignChange | null,
    key: string,
    instead: string | null,
    seen: Partial<Design> = {},
  ): void {
    this.goOn();
    let base = this.design;
    let of = this.store.getState().set;
    let next: DesignInput | null = null;
    this.aside.ask({
      instead,
      design: () => {
        of = this.store.getState().set;
        base = this.design;
        const patch = change();
        next = patch && changedSince(seen, base, patch);
        return next;
      },
      // oxlint-disable-next-line unicorn/no-thenable -- nobody awaits it
      then: () => {
        if (this.store.getState().set !== of) this.pull(change, key, instead, seen);
        else if (next && 'design' in planned(next)) this.keep(base, next, key);
      },
    });
  }

  private folded(grip: Grip, by: number, made: Made): DesignChange | null {
    // What the grip was when the drag began: its plan moves under it.
    const { does } = made.built.grips.find((g) => g.hinge === grip.hinge && g.label === grip.label) ?? grip;
    if (does.kind === 'option') {
      const asked = Math.min(Math.max(does.from + does.rate * by, does.least), does.most);
      return { options: { [does.option]: this.onMark(asked) } };
    }
    const ease = made.fit?.ease;
    if (!ease) return null;
    const room = (side: 'width' | 'height'): Mm =>
      mm(Math.max(0, ease[side] + (side === does.side ? does.rate * by : 0)));
    return { ease: { width: room('width'), height: room('height') } };
  }

  /** The room that came of a drag is what is aimed for from then on; null where it is already. */
  private settled(): DesignChange | null {
    const aim = this.design.ease;
    const ease = this.now().made?.fit?.ease;
    if (!ease || !aim) return null;
    const kept = { width: mm(Math.max(0, ease.width)), height: mm(Math.max(0, ease.height)) };
    // What was aimed for on a mark is what came of it, but for rounding: nothing to plan again.
    const same = (['width', 'height'] as const).every((side) => near(Number(aim[side]), kept[side], TOLERANCE.drawn));
    return same ? null : { ease: kept };
  }

  private grown(wider: number, higher: number, then: Contents): DesignChange {
    const grow = (size: Mm, by: number): Mm => (by === 0 ? size : mm(Math.max(5, this.onMark(Math.max(0, size + by)))));
    return { contents: { ...then, width: grow(then.width, wider), height: grow(then.height, higher) } };
  }
}
