import { drawn, withFeatures, type Built, type Contents, type Refusal } from '../constructions';
import {
  assemble,
  facesView,
  foldedBox,
  roomAxes,
  thickestPile,
  type Folded,
  type Size3,
  type Stack,
  type View,
} from '../fold';
import { holdOf, turned, type Fit, type Hold } from '../fit';
import { boxOf3, seenFrom } from '../geometry';
import { mm, type Mm } from '../length';
import type { Piece } from '../pattern';
import { differences, programmeFor, simulate, type Fault, type Programme } from '../tools';
import { briefFor, paperOf, type Design } from './design/design';

/** A piece to be cut, with the moves that make it. */
export interface MadePiece {
  readonly piece: Piece;
  readonly programme: Programme;
  /** Where the simulated tool's sheet differs from the pattern; empty when they agree. */
  readonly toolFaults: readonly Fault[];
}

/** A design carried out: the pattern, the folding of it, the moves to make it, and what was measured. */
export interface Made {
  readonly built: Built;
  /** The pieces to cut, without what the maker has already. */
  readonly pieces: readonly [MadePiece, ...MadePiece[]];
  readonly folded: Folded;
  /** Its cavities, opened; the first is the one the contents are sized for. */
  readonly holds: readonly Hold[];
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

const NOTHING: Size3 = { width: mm(0), height: mm(0), depth: mm(0) };

/**
 * Plans a design: draws the pattern, folds it, pushes the contents in, and carries the programme out on the
 * simulated tool. What is reported is read off the folded shape.
 */
export function planFor(design: Design): Plan {
  const pattern = drawn(design.construction, briefFor(design));
  if (!pattern.ok) return { design, made: null, refusal: pattern.refusal };
  const result = withFeatures(pattern.built);
  if (!result.ok) return { design, made: null, refusal: result.refusal };
  const { built } = result;
  const folded = result.folded ?? assemble(built.pieces, built.assembly);
  const pieces = built.pieces
    .filter(({ source }) => source === 'made')
    .map((piece): MadePiece => {
      const programme = programmeFor(piece, built.start, design.tool);
      return { piece, programme, toolFaults: differences(simulate(piece.blank, design.tool, programme.moves), piece) };
    }) as unknown as Made['pieces'];
  const holds = built.cavities.map((cavity) => holdOf(folded, cavity));
  const [hold] = holds;
  const { least, thickness } = design;
  const largest = hold?.largest(least, thickness) ?? { width: mm(0), height: mm(0), thickness: mm(0) };
  return {
    design,
    refusal: null,
    made: {
      built,
      pieces,
      folded,
      holds,
      inside: hold?.inside ?? NOTHING,
      fit: (design.contents && hold?.fit(design.contents)) ?? null,
      largest,
      thickest: hold?.thickest(least, design.contents ?? largest) ?? mm(0),
      finished: finishedSize(built, folded, design),
    },
  };
}

/** How large the finished thing is: its outline and the layers it stacks to, or the box round what stands. */
function finishedSize(
  built: Built,
  folded: Folded,
  { thickness, ...design }: Pick<Design, 'paper' | 'papers' | 'thickness'>,
): Made['finished'] {
  const [cavity] = built.cavities;
  if (folded.standing && cavity?.kind === 'box') {
    const { finished } = folded.standing;
    const axes = roomAxes(finished, cavity);
    const base = basePieces(built);
    const own = finished.leaves.filter((l) => !base.has(l.piece) && !built.proud.includes(l.panel.id));
    const [low, high] = boxOf3(own.flatMap((l) => l.corners).map((p) => seenFrom(axes, p)));
    const [across, deep, up] = [high.x - low.x, high.y - low.y, high.z - low.z].map((v) => mm(v)) as [Mm, Mm, Mm];
    return cavity.onEdge
      ? { width: across, height: up, depth: deep, thickness: deep }
      : { width: across, height: deep, depth: up, thickness: up };
  }
  const own = ownPaper(folded.finished, built);
  const box = foldedBox(own, viewOf(built, folded.finished));
  const outline = { width: mm(box.maxX - box.minX), height: mm(box.maxY - box.minY) };
  return {
    ...turned(cavity, outline),
    depth: mm(0),
    thickness: mm(thickestPile(own, (piece) => paperOf(design, piece).caliper) + (cavity ? thickness : 0)),
  };
}

/** The pieces that were there already, which the thing is only fixed to. */
export const basePieces = (built: Built): ReadonlySet<string> =>
  new Set(built.pieces.filter(({ source }) => source === 'base').map(({ name }) => name));

/** A pile without what was there already. */
export function ownPaper(stack: Stack, built: Built): Stack {
  const base = basePieces(built);
  return base.size === 0 ? stack : { ...stack, layers: stack.layers.filter((layer) => !base.has(layer.piece)) };
}

/** How a pile of this holder is looked at: the first cavity's mouth at the top, where it has one. */
export const viewOf = (built: Built, stack: Stack): View => facesView(stack, built.cavities[0]);

/** What a maker calls a panel. */
export const panelName = (built: Built, id: string): string =>
  built.pieces.flatMap((piece) => piece.panels).find((panel) => panel.id === id)?.name ?? id;

/** The piece a panel belongs to. */
export const pieceOf = (built: Built, panel: string): Piece =>
  built.pieces.find((piece) => piece.panels.some(({ id }) => id === panel))!;
