import type { ScoreId, Edge } from '../pattern';
import type { Mm } from '../length';
import type { RulerReading } from '../tools';
import type { StepPicture } from '../looks';

/** Cutting the blanks, working on the flat sheets, folding and gluing. */
export type Phase = 'cut' | 'flat' | 'fold';

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
  readonly score?: ScoreId;
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
  /** What was glued dries from here on, minutes, and under a book where it lies flat. */
  readonly dries?: { readonly minutes: number; readonly pressed: boolean };
  readonly phase: Phase;
  /** Lengths to find on a ruler, in the order they are needed. */
  readonly readings: readonly RulerReading[];
  readonly picture: StepPicture;
}

/** A step that has no place in the order yet. */
export type StepDraft = Omit<Step, 'id' | 'phase' | 'readings' | 'how'> & {
  readonly readings?: readonly RulerReading[];
};
