import type { Side } from '../fold';
import type { Edge, ScoreId } from '../pattern';

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
      /** Seen from this side: what is glued on there, up to the layer that is laid now, or the ribbon that goes under it. */
      readonly glued?: {
        readonly side: Side;
        readonly laying: string | 'ribbon';
        /** The score its place is told from. */
        readonly from?: ScoreId;
      };
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
