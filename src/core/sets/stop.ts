/** A stop on the way through a make, and the sheets it may be about. */
import type { CutList, FenceGroup, Layout } from '../cutting';
import type { Step } from '../making';
import type { PlannedPart } from './plan-set';

/** What one paper of a set was laid out to, for all that is cut of it. */
export interface LaidPaper {
  /** Its id in the set; empty where the set names no paper. */
  readonly paper: string;
  readonly list: CutList;
  readonly layout: Layout;
  /** It is cut already. */
  readonly cut: boolean;
}

/** The sheets a stop is about, and the setting they are cut at; none where all is cut, and only laid ready. */
export interface SheetsAtHand extends LaidPaper {
  readonly group: FenceGroup | null;
}

/** One stop on the way through a make: what is done in one go, and the copies it is done for, one after the other. */
export interface Stop {
  readonly part: string;
  /** What the stop is about. */
  readonly step: Step;
  /** How the sheet is laid down for it. */
  readonly first?: readonly Step[];
  /** What follows before the next copy is taken: what joins the glue while it is wet, the turn that brings the next edge near. */
  readonly follows?: readonly Step[];
  /** Numbered from 1; none where whole sheets are cut up, for whatever comes of them. */
  readonly copies: readonly number[];
  /** The sheets that are cut up: then it is of no part. */
  readonly sheets?: SheetsAtHand;
  /** The plan it is of, where this copy goes its own way: made of a sheet that went wrong. */
  readonly own?: PlannedPart;
  /** Its plan is for what came out when something was measured. */
  readonly asMade?: true;
  /** It is done again, for copies on which it went wrong. */
  readonly again?: true;
}

/** All that is done at a stop, in order. */
export const stepsAt = ({ first = [], step, follows = [] }: Stop): readonly Step[] => [...first, step, ...follows];
