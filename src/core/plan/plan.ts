import {
  claimsOf,
  closedThickness,
  withFeatures,
  type Built,
  type Contents,
  type Refusal,
  type Start,
} from '../constructions';
import { assemble, foldedBox, roomAxes, thickestPile, type Folded, type Size3 } from '../fold';
import { holdOf, alongContents, type OpenCavity } from '../fit';
import { boxOf3, seenFrom } from '../geometry';
import { mm, type Mm } from '../length';
import { some, type Piece } from '../pattern';
import { differences, programmeFor, simulate } from '../tools';
import { calipersOf, isGiven, type Design, type Papers, isSold, comesInPieces, firstPieceFrom } from '../design';
import { onSheet, withFlapsJoined, type Rescued } from '../mending';
import { sizedFor } from './sized';
import { basePieces, ownPaper, spinesOf, viewOf } from './thing';
import { discHoles } from './closures';
import { addedOutside, layersOf, takenInside } from './layers';
import type { Made, MadeLayer, MadePiece, Plan } from './made';

const NO_CONTENTS: Contents = { width: mm(0), height: mm(0), thickness: mm(0) };
const NOTHING: Size3 = { width: mm(0), height: mm(0), depth: mm(0) };

/**
 * Plans a design: draws the pattern, folds it, pushes the contents in, and carries the programme out on the
 * simulated tool. What is reported is read off the folded shape.
 */
export function planFor(asked: Design): Plan {
  const plan = planAsDrawn(asked);
  return asked.rescued ? planOnSheet(plan, asked.rescued) : plan;
}

/** A plan that was drawn for whole sheets, with one of its pieces made of a sheet that went wrong: nothing is sized anew. */
export function planOnSheet(whole: Plan, rescued: Rescued): Plan {
  const plan: Plan = { ...whole, design: { ...whole.design, rescued } };
  // A mat that is cut of a spoiled sheet is whole: it is only cut of another.
  const isLayer = plan.made?.layers.some(({ piece }) => piece.name === rescued.piece) ?? false;
  return plan.made && !isLayer ? onSheetAsItIs(plan, rescued) : plan;
}

function planAsDrawn(asked: Design): Plan {
  const design = withLayersInside(asked);
  const sheets = design.sheets ?? (design.blank && isSold(design.blank) && comesInPieces(design) ? 1 : null);
  const piece = sheets === null ? null : firstPieceFrom(design, sheets);
  if (design.sheets !== null && !piece) return { design: asked, made: null, refusal: tooFew(asked) };
  const { sized, options } = sizedFor(piece ? { ...design, blank: piece } : design);
  const cut = sized.ok ? withFeatures(sized.built, sized.folded) : sized;
  if (!cut.ok) return { design: asked, made: null, refusal: cut.refusal };
  // What gave way is what it is from here on, in every form and figure.
  const told = options === design.options ? asked : { ...asked, options };
  const folded = cut.folded ?? assemble(cut.built.pieces, cut.built.assembly);
  const holds = cut.built.cavities.map((cavity, i) =>
    // What a bite left as it was is not opened again.
    i === 0 && sized.ok && sized.folded === folded ? sized.hold! : holdOf(folded, cavity, calipersOf(design)),
  );
  const made = madeFrom(told, cut.built, folded, holds);
  return { design: made.layers.length > 0 ? { ...told, papers: made.papers.papers } : told, refusal: null, made };
}

/** A plan with one of its pieces on a sheet that went wrong: flaps joined on, what is missing off, all folded anew. */
function onSheetAsItIs(plan: Plan & { readonly made: Made }, rescued: Rescued): Plan {
  const { design, made } = plan;
  const drawn = withFlapsJoined(made.built, rescued);
  const built = drawn && onSheet(drawn, rescued, design.graduation);
  if (!drawn || !built) {
    const refusal: Refusal = { code: 'sheet-past-mending', value: mm(0), limit: mm(0), about: { part: rescued.piece } };
    return { design, made: null, refusal };
  }
  const folded = assemble(built.pieces, built.assembly);
  const holds = built.cavities.map((cavity) => holdOf(folded, cavity, calipersOf(design)));
  const before = new Map(made.built.pieces.map((piece) => [piece, made.pieces.find((part) => part.piece === piece)]));
  const pieces = built.pieces.flatMap((piece, i): MadePiece[] => {
    if (piece.source !== 'made') return [];
    // That its moves give the pattern is tried on a whole sheet.
    const whole = drawn.pieces[i] ?? piece;
    const part = { ...(before.get(whole) ?? madePiece(whole, built.start, design)), piece };
    // What there is no paper for any more is not cut.
    return piece.trims.length < whole.trims.length
      ? [{ ...part, programme: programmeFor({ ...whole, trims: piece.trims }, built.start, design.tool) }]
      : [part];
  });
  return { design, refusal: null, made: madeOf(design, built, pieces as unknown as Made['pieces'], folded, holds) };
}

/** A design for contents that share their room with layers. */
function withLayersInside(design: Design): Design {
  const more = takenInside(design);
  if (more === 0) return design;
  const thickness = mm(design.thickness + more);
  return { ...design, thickness, contents: design.contents && { ...design.contents, thickness } };
}

const tooFew = ({ blank, sheets }: Design): Refusal => ({
  code: 'sheets-too-few',
  value: mm(sheets ?? 1),
  limit: mm(0),
  about: { ...blank },
});

/** The pattern with the holes that a closure is fixed through. */
function withDiscHoles(design: Design, built: Built, folded: Folded): Built {
  if (design.closure.kind !== 'buttons') return built;
  const finished = finishedSize(built, folded, design);
  const pieces = built.pieces.map((piece) => ({ piece }));
  const holes = discHoles({ built, folded, finished, pieces }, design);
  if (holes.length === 0) return built;
  return {
    ...built,
    pieces: some(
      built.pieces.map((piece) => {
        const own = holes.filter(({ panel }) => piece.panels.some(({ id }) => id === panel));
        return own.length > 0 ? { ...piece, holes: [...piece.holes, ...own] } : piece;
      }),
    ),
  };
}

function madeFrom(design: Design, pattern: Built, folded: Folded, holds: readonly OpenCavity[]): Made {
  const built = withDiscHoles(design, pattern, folded);
  const pieces = built.pieces
    .filter(({ source }) => source === 'made')
    .map((piece) => madePiece(piece, built.start, design)) as unknown as Made['pieces'];
  return madeOf(design, built, pieces, folded, holds);
}

/** What things look like that nobody told the paper of: a card. */
const CARD = { colour: '#f6ecd2' } as const;

function madeOf(
  design: Design,
  built: Built,
  pieces: Made['pieces'],
  folded: Folded,
  holds: readonly OpenCavity[],
): Made {
  const [hold] = holds;
  const { least, thickness } = design;
  const shared = withLayersInside(design);
  const largest = { ...(hold?.largest(least, shared.thickness) ?? NO_CONTENTS), thickness };
  const sized = {
    built,
    pieces,
    inside: hold?.inside ?? NOTHING,
    finished: finishedSize(built, folded, shared),
    folded,
  };
  const layers = layersOf(sized, design).map((layer): MadeLayer => ({
    ...madePiece(layer.piece, built.start, design),
    layer,
  }));
  return {
    ...sized,
    layers,
    finished: {
      ...sized.finished,
      thickness: mm(sized.finished.thickness + addedOutside(layers.map(({ layer }) => layer))),
    },
    holds,
    papers: {
      // What is there already is of no paper of ours.
      paper: isGiven(design.construction.name) ? { ...design.paper, front: CARD, back: CARD } : design.paper,
      papers: { ...design.papers, ...Object.fromEntries(layers.map(({ piece, layer }) => [piece.name, layer.paper])) },
      turns: design.turns,
    },
    fit: (shared.contents && hold?.fit(shared.contents)) ?? null,
    largest,
    thickest: mm(
      Math.max(0, (hold?.thickest(least, design.contents ?? largest) ?? 0) - (shared.thickness - thickness)),
    ),
  };
}

/** A piece with the moves that make it, tried on the simulated tool. */
function madePiece(piece: Piece, start: Start, { tool }: Design): MadePiece {
  const programme = programmeFor(piece, start, tool);
  return { piece, programme, toolFaults: differences(simulate(piece.blank, tool, programme.moves), piece) };
}

/**
 * The outline of what is folded, along its contents' width and height, or the box round what stands; depth 0 in what lies
 * flat.
 */
export function thingOutline(built: Built, folded: Folded): Size3 {
  const [cavity] = built.cavities;
  if (folded.standing && cavity?.kind === 'box') {
    const { finished } = folded.standing;
    const axes = roomAxes(finished, cavity);
    const base = basePieces(built);
    const own = finished.leaves.filter((l) => !base.has(l.piece) && !built.proud.includes(l.panel.id));
    const [low, high] = boxOf3(own.flatMap((l) => l.corners).map((p) => seenFrom(axes, p)));
    const [across, deep, up] = [high.x - low.x, high.y - low.y, high.z - low.z].map((v) => mm(v)) as [Mm, Mm, Mm];
    return cavity.onEdge ? { width: across, height: up, depth: deep } : { width: across, height: deep, depth: up };
  }
  const box = foldedBox(ownPaper(folded.finished, built), viewOf(built, folded.finished));
  const outline = { width: mm(box.maxX - box.minX), height: mm(box.maxY - box.minY) };
  return { ...alongContents(cavity, outline), depth: mm(0) };
}

/** How large the finished thing is: its outline and the layers it stacks to, or the box round what stands. */
function finishedSize(
  built: Built,
  folded: Folded,
  { thickness, ...design }: Papers & Pick<Design, 'thickness'>,
): Made['finished'] {
  const outline = thingOutline(built, folded);
  const [cavity] = built.cavities;
  if (folded.standing && cavity?.kind === 'box') return { ...outline, thickness: outline.depth };
  const own = ownPaper(folded.finished, built);
  const spines = spinesOf(built, folded).map(({ breadth }) => breadth);
  const [leaves] = claimsOf(built.claims, 'leaves');
  return {
    ...outline,
    thickness: leaves
      ? closedThickness(own, calipersOf(design), leaves)
      : mm(Math.max(thickestPile(own, calipersOf(design)) + (cavity ? thickness : 0), ...spines)),
  };
}
