import type { PanelId, StepId } from '../../pattern';
import type { Mm } from '../../length';

/** What all steps of an assembly have in common: a name, and where they stand in the order. */
export interface StepBasics {
  readonly id: StepId;
  /** What a maker does: `Fold the left flap over`. */
  readonly name: string;
  /** Set on the step that closes the holder over its contents. */
  readonly closes?: boolean;
  /** Panels whose inside is glued to the contents that lie there. */
  readonly sticks?: readonly PanelId[];
  /** What may hurt, or spoil, where the work itself does not say so. */
  readonly care?: 'fixings' | 'photo' | 'smallParts';
  /** What it takes besides paper and glue, one of it. */
  readonly takes?: string;
  /** What its maker cuts off by hand before anything is glued: how much, and where. */
  readonly trims?: { readonly at: Mm; readonly off: string };
  /** What is glued at it is held by tape of this width, unless its maker chooses otherwise. */
  readonly tape?: Mm;
  /** Done once, however many alike its pieces are. */
  readonly once?: true;
  /** Steps that must come before this one besides those the paper itself demands. */
  readonly after?: readonly StepId[];
}
