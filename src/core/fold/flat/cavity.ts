import type { PanelId, StepId } from '../../pattern';
import type { Segment } from '../../geometry';

/** What every place for contents says of itself. */
interface Place {
  readonly id: string;
  /** The panel the contents lie or stand on; in a pocket the wall whose edge they pass as they go in. */
  readonly floor: PanelId;
  /** The step after which they go in; `flat` before any. */
  readonly insertAfter: StepId;
  /** What a maker does to put them in, a sentence, where the kind of place does not say it. */
  readonly put?: string;
  /** What goes in is often food. */
  readonly food?: true;
}

/** Room between layers that lie on each other. */
export interface FlatCavity extends Place {
  readonly kind: 'closed' | 'pocket' | 'tube' | 'wrap';
  /** The panels on the other side of the contents; whatever lies over these is on that side too. */
  readonly roof: readonly PanelId[];
  /** The edge of the floor they pass, on the flat sheet. */
  readonly mouth: Segment<'sheet'>;
  /** Which length of the contents lies along the mouth; the width when left out. */
  readonly acrossMouth?: 'width' | 'height';
  /** Share of the contents that each side must cover at the end. */
  readonly covered: { readonly floor: number; readonly roof: number };
  /**
   * Panels that unfold between its walls at the mouth, from one wall to the other, on each side: thickness up to what
   * they add to the mouth takes nothing from the width.
   */
  readonly gusset?: readonly (readonly [string, ...string[]])[];
  /** Contents run through and out at the far end: nothing is asked of their height. */
  readonly through?: boolean;
}

/** Room between walls that stand. */
export interface BoxCavity extends Place {
  readonly kind: 'box';
  /** A line on the floor's sheet along which the contents' width lies. */
  readonly across: Segment<'sheet'>;
  /** The panel that says how tall it is where nothing lies over it. */
  readonly tall: PanelId;
  /** Contents stand on edge: their height goes up, their thickness across the floor. */
  readonly onEdge: boolean;
  /** Contents go in along their height, from an end that is open; from above when left out. */
  readonly from?: 'end';
  /** They run through and out at both ends: nothing is asked of their height. */
  readonly through?: boolean;
  /** They are glued to the floor. */
  readonly glued?: true;
  /** Panels that lie flush with its walls and floor on the far side: they take nothing of the room. */
  readonly outside?: readonly PanelId[];
}

/** A place contents go, as its construction declares it. */
export type Cavity = FlatCavity | BoxCavity;
