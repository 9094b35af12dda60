import type { Mm } from '../../length';
import type { Edge } from '../../pattern';
import type { Reading } from '../../tools';
import type { Phase } from '../work/work';

export type Action = 'cut' | 'mark' | 'punch' | 'score' | 'turn' | 'trim' | 'fold' | 'glue' | 'insert' | 'close';

/** Help for a sheet that is not as it should be, and what to beware of in giving it. */
export interface IfRough {
  readonly text: string;
  readonly caution: string;
}

/** One thing to do at the table. */
export interface Step {
  readonly id: number;
  readonly piece: string;
  /** Other pieces to which the same is done in the same go. */
  readonly alike?: readonly string[];
  readonly action: Action;
  readonly edge?: Edge;
  readonly at?: Mm;
  readonly turn?: 'cw';
  readonly score?: string;
  /** All scores of this step, where it makes or folds several. */
  readonly scores?: readonly string[];
  /** The glue that is put on, or that holds from this step on. */
  readonly glue?: string;
  /** The glue that was put on before and now joins. */
  readonly joins?: string;
  readonly layer?: string;
  /** Radius of the corners that are rounded. */
  readonly rounds?: Mm;
  readonly text: string;
  /** The hand's part of it: how hard to press, how to crease, how long to wait. */
  readonly how?: string;
  readonly ifRough?: IfRough;
  readonly caution?: string;
  readonly phase: Phase;
  /** Lengths to find on a ruler, in the order they are needed. */
  readonly readings: readonly Reading[];
  readonly picture: StepPicture;
}

/** What is put on the finished thing: what lies on its front, what shuts it; or it as it is in the end. */
export type Finish = 'layer' | 'closure' | 'whole';

/** What the paper looks like during a step. */
export type StepPicture =
  /** Flat, with `near` at the maker, after the first `moves` of the piece's programme; the last `fresh` of them are this step's. */
  | {
      readonly kind: 'flat';
      readonly piece: string;
      readonly near: Edge;
      readonly moves: number;
      readonly fresh: number;
      /** The blank is cut out of its sheet. */
      readonly cut?: true;
      /** Never folded, it is finished as it lies: with what is put on it now. */
      readonly done?: Finish;
      readonly laying?: string;
    }
  /** Part-folded: the pile before or after a stage. `glue` is about to be put on, or the contents about to go in. */
  | {
      readonly kind: 'folded';
      readonly stage: number;
      /** The first stage of several that are folded in this step. */
      readonly since?: number;
      readonly before?: boolean;
      readonly glue?: string;
      readonly inserting?: boolean;
      /** Nothing is folded: the finished thing, with what is put on it now; `whole` shows it as it is in the end. */
      readonly done?: Finish;
      /** The layer that is laid on it now. */
      readonly laying?: string;
    }
  /** Standing: the thing before or after a stage in space. */
  | {
      readonly kind: 'standing';
      readonly stage: number;
      readonly before?: boolean;
      readonly glue?: string;
      readonly inserting?: boolean;
      /** Nothing is folded: the finished thing, with what is put on it now; `whole` shows it as it is in the end. */
      readonly done?: Finish;
      /** The layer that is laid on it now. */
      readonly laying?: string;
    };

/** A step that has no place in the order yet. */
export type Draft = Omit<Step, 'id' | 'phase' | 'readings' | 'how'> & { readonly readings?: readonly Reading[] };
