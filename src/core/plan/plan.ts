import type { Built, Contents, Ease, Refusal } from '../constructions';
import { assemble, foldedBox, mostLayers, mouthView, type Folded } from '../fold';
import { fitOf, insideOf, largestContents, slotsOf, thickest, turned, type Fit } from '../fit';
import { mm, type Mm } from '../length';
import { differences, programmeFor, simulate, type Programme } from '../tools';
import { briefFor, type Design } from './design';

/** A design carried out: the pattern, the folding of it, the moves to make it, and what was measured. */
export interface Made {
  readonly built: Built;
  readonly folded: Folded;
  readonly programme: Programme;
  /** Where the simulated tool's sheet differs from the pattern; empty when they agree. */
  readonly toolFaults: readonly string[];
  readonly inside: Ease;
  /** Room beside the design's contents; null when only the paper was given. */
  readonly fit: Fit | null;
  readonly largest: Contents;
  readonly thickest: Mm;
  /** Along the contents' width and height; thickness with the contents in. */
  readonly finished: { readonly width: Mm; readonly height: Mm; readonly thickness: Mm };
}

/** The answer to a design: made, or the reason why no pattern exists. */
export type Plan =
  | { readonly design: Design; readonly made: Made; readonly refusal: null }
  | { readonly design: Design; readonly made: null; readonly refusal: Refusal };

/**
 * Plans a design: draws the pattern, folds it, pushes the contents in, and carries the programme out on the
 * simulated tool. What is reported is read off the folded shape.
 */
export function planFor(design: Design): Plan {
  const result = design.construction.build(briefFor(design));
  if (!result.ok) return { design, made: null, refusal: result.refusal };
  const { built } = result;
  const folded = assemble(built.piece, built.folds);
  const programme = programmeFor(built, design.tool);
  const toolFaults = differences(simulate(built.piece.blank, design.tool, programme.moves), built.piece);
  const slots = slotsOf(built, folded);
  const inside = insideOf(built, slots);
  const largest = largestContents(built, inside, design.least, design.thickness);
  const contents = design.contents ?? largest;
  const box = foldedBox(folded.finished, mouthView(folded.finished, built.cavities[0]));
  const { width, height } = turned(built, { width: mm(box.maxX - box.minX), height: mm(box.maxY - box.minY) });
  return {
    design,
    refusal: null,
    made: {
      built,
      folded,
      programme,
      toolFaults,
      inside,
      fit: design.contents ? fitOf(built, slots, design.contents) : null,
      largest,
      thickest: thickest(built, inside, design.least, contents),
      finished: { width, height, thickness: mm(mostLayers(folded.finished) * design.paper.caliper + design.thickness) },
    },
  };
}
