/** What was made of a design: the pattern, the folding of it, the moves to make it, and what was measured. */
import type { PanelId, Piece } from '../pattern';
import type { Built, Contents, Refusal } from '../constructions';
import type { Fit, OpenCavity } from '../fit';
import type { Folded, Side, Size3 } from '../fold';
import type { Polygon } from '../geometry';
import type { Mm } from '../length';
import type { Fault, Programme } from '../tools';
import type { Design, LayerPlace, Papers } from '../design';

/** A piece to be cut, with the moves that make it. */
export interface MadePiece {
  readonly piece: Piece;
  readonly programme: Programme;
  /** Where the simulated tool's sheet differs from the pattern; empty when they agree. */
  readonly toolFaults: readonly Fault[];
}

/** A piece glued on a panel of the finished thing, as it lies on that panel's sheet. */
export interface LaidOn {
  readonly name: string;
  readonly panel: PanelId;
  readonly side: Side;
  readonly polygon: Polygon<'sheet'>;
}

/** A layer as it comes out. */
export interface PlannedLayer {
  /** Its place in the design's list of layers. */
  readonly index: number;
  readonly on: LayerPlace;
  /** The layer it is glued on; null where it lies on the thing itself. */
  readonly upon: string | null;
  readonly reveal: Mm;
  readonly piece: Piece;
  readonly paper: Design['paper'];
  /** Ribbon that goes round it, to pull it out by, mm; 0 for none. */
  readonly ribbon: Mm;
  /** The side of the finished thing it shows on; null for what lies inside, or only on the flat sheet. */
  readonly face: 'front' | 'back' | null;
  readonly laid: LaidOn | null;
}

/** A layer with the moves that make it. */
export interface MadeLayer extends MadePiece {
  readonly layer: PlannedLayer;
}

/** A design carried out: the pattern, the folding of it, the moves to make it, and what was measured. */
export interface Made {
  readonly built: Built;
  /** The pieces to cut, without what the maker has already. */
  readonly pieces: readonly [MadePiece, ...MadePiece[]];
  /** What is laid on its faces and into its room, in the order of the design. */
  readonly layers: readonly MadeLayer[];
  readonly folded: Folded;
  /** Its cavities, opened; the first is the one the contents are sized for. */
  readonly holds: readonly OpenCavity[];
  /** The papers its pieces are cut from, those of its layers too. */
  readonly papers: Papers;
  /** Room for what goes in, along its own axes; depth 0 in what lies flat. */
  readonly inside: Size3;
  /** Room beside the design's contents; null when only the paper was given, or nothing goes in. */
  readonly fit: Fit | null;
  readonly largest: Contents;
  readonly thickest: Mm;
  /** Along the contents' width and height; thickness with the contents in. */
  readonly finished: Size3 & { readonly thickness: Mm };
}

/** The answer to a design: made, or the reason why no pattern exists. */
export type Plan =
  | { readonly design: Design; readonly made: Made; readonly refusal: null }
  | { readonly design: Design; readonly made: null; readonly refusal: Refusal };

/** The piece of that name with its moves, a layer included. */
export const partNamed = ({ pieces, layers }: Pick<Made, 'pieces' | 'layers'>, name: string): MadePiece =>
  [...pieces, ...layers].find(({ piece }) => piece.name === name) ?? pieces[0];
