import type { Contents } from '../constructions';
import {
  isReady,
  carriedLeaf,
  contentsIn,
  foldedBox,
  hasPanel,
  leafOf,
  outOfView,
  reached,
  type BoxCavity,
  type Layer,
  type Leaf,
  type Stack,
  type Standing,
  type View,
} from '../fold';
import {
  applyAll,
  compose,
  minus,
  plus3,
  poseWithin,
  reflection,
  rotation,
  seenPose,
  translation,
  type Point,
} from '../geometry';
import type { Design } from '../design';
import { basePieces, glueAreas, keepDry, type Made, ownPaper, partNamed, viewOf } from '../plan';
import { alongContents, seatIn } from '../fit';
import type { Edge } from '../pattern';
import { areaOf, carried, onScene, onStock, pileScene, stillScene, tableScene, uncutScene, type Scene } from '../scene';
import { cutFromSheet } from './print';
import { asMade } from './sheet-looks';
import type { StepPicture } from './step-picture';
import { dressing, finishedFront, frontScene, gluedFlat, inPile, leafOn } from './dressing';

/** The finished thing, to be drawn small: a pile as it lies before its maker, or what stands. */
export function pictureOf(made: Made, from: 'above' | 'below' = 'above'): Scene {
  const { standing } = made.folded;
  if (standing) return asMade(made, stillScene(standing.finished, basePieces(made.built)));
  const stack = ownPaper(made.folded.finished, made.built);
  const sight = { stack, view: viewOf(made.built, stack), from };
  return asMade(made, pileScene(sight, { given: basePieces(made.built) }));
}

/** It as it takes its contents in: half of them still stick out, so that what is open, and where, is seen. */
export function takingIn(made: Made, contents: Contents): Scene {
  const { built, folded } = made;
  const [cavity] = built.cavities;
  if (folded.standing || !cavity || cavity.kind === 'box') return pictureOf(made);
  const stage = folded.stages.find(({ step }) => step.id === cavity.insertAfter);
  const stack = ownPaper(stage?.stack ?? (isReady(folded, cavity) ? folded.flat : folded.finished), built);
  const seat = seatIn(cavity, made.inside, contents);
  return asMade(
    made,
    pileScene(
      { stack, view: viewOf(built, stack), from: 'above' },
      { contents: { ...seat, y: seat.y - seat.height / 2 }, out: true, given: basePieces(built) },
    ),
  );
}

/** Room between two piles that lie beside each other, as a share of the larger one's width. */
const GAP = 0.08;

/**
 * The pile of one step and how it is looked at. What is glued before it is laid down lies beside the pile it goes on,
 * the side that takes the glue up.
 */
function pileAtStep(
  made: Made,
  picture: Extract<StepPicture, { kind: 'folded' }>,
): { readonly stack: Stack; readonly view: View } {
  const { step, moving, before, stack } = made.folded.stages[picture.stage]!;
  const glued = glueAreas(made).filter(({ id }) => id === picture.glue);
  if (!picture.before || glued.length === 0 || glued.some(({ joint }) => hasPanel(before, joint.panel))) {
    const shown = picture.before ? before : stack;
    return { stack: shown, view: viewOf(made.built, shown) };
  }
  const view = viewOf(made.built, stack);
  const own = new Set(moving);
  const [laid, under] = [true, false].map((is) => stack.layers.filter(({ panel }) => own.has(panel) === is)) as [
    Layer[],
    Layer[],
  ];
  const [a, b] = [foldedBox({ ...stack, layers: laid }, view), foldedBox({ ...stack, layers: under }, view)];
  const from = b.maxX + GAP * Math.max(a.maxX - a.minX, b.maxX - b.minX);
  const turned = step.kind !== 'place' || step.level !== 'bottom';
  const at = (x: number, y: number): Point<'folded'> => outOfView(view, { x, y });
  const middle = (from + a.maxX) / 2;
  const by = minus(at(from - a.minX, 0), at(0, 0));
  // Laid on top it is glued underneath: it lies there turned over.
  const map = turned ? reflection({ from: at(middle, 0), to: at(middle, 1) }) : translation(by.x, by.y);
  const beside = laid.map((layer): Layer => ({
    ...layer,
    map: compose(map, layer.map),
    polygon: applyAll<'folded'>(map, layer.polygon),
    up: turned ? (layer.up === 'inside' ? 'outside' : 'inside') : layer.up,
  }));
  return { stack: { ...stack, layers: [...under, ...(turned ? beside.reverse() : beside)] }, view };
}

/** The paper as it lies during one step, seen by the maker: the sheet with its near edge towards them, a pile, or what stands. */
export const stepScene = (made: Made, design: Design, picture: StepPicture): Scene =>
  asMade(made, atStep(made, design, picture));

function atStep(made: Made, design: Design, picture: StepPicture): Scene {
  if (picture.kind === 'standing') return stillStep(made, picture, design);
  if (picture.done) return frontScene(finishedFront(made, design, picture.done, picture.laying));
  if (picture.kind === 'folded') return pileStep(made, design, picture);
  if (picture.cut) return cutStep(made, design, picture.piece);
  return picture.glued ? gluedStep(made, design, picture, picture.glued) : flatStep(made, design, picture);
}

type FlatPicture = Extract<StepPicture, { kind: 'flat' }>;

/** A sheet with an edge at the maker: turned a quarter clockwise for every turn made. */
const nearAt = (scene: Scene, near: Edge): Scene => carried(scene, rotation(((1 - near) * Math.PI) / 2));

/** The sheet with its near edge at the maker, and what the tool has made of it so far. */
function flatStep(made: Made, design: Design, { piece: name, moves: count, fresh, near }: FlatPicture): Scene {
  const { piece, programme } = partNamed(made, name);
  return nearAt(tableScene(piece, design.tool, programme.moves.slice(0, count), fresh), near);
}

/** The flat sheet seen from one side, with what is glued on it there. */
function gluedStep(
  made: Made,
  design: Design,
  { piece: name, moves: count }: FlatPicture,
  glued: NonNullable<FlatPicture['glued']>,
): Scene {
  const { piece, programme } = partNamed(made, name);
  const { laid, ribbon } = gluedFlat(made, design, name, glued);
  const sheet = tableScene(piece, design.tool, programme.moves.slice(0, count), 0);
  const on: Scene = {
    ...sheet,
    faces: sheet.faces.map((face) => ({ ...face, side: glued.side })),
    marks: [
      ...sheet.marks,
      ...(ribbon ? [{ kind: 'ribbon' as const, from: onScene(ribbon.from), to: onScene(ribbon.to) }] : []),
      ...laid.map((polygon) => areaOf('laid', polygon)),
    ],
  };
  // Turned over from left to right, as one turns a page.
  return glued.side === 'outside' ? carried(on, [-1, 0, 0, 1, piece.blank.width, 0]) : on;
}

/** A blank in the sheet it is cut from; by itself where no sheet is known. */
function cutStep(made: Made, design: Design, name: string): Scene {
  const part = partNamed(made, name);
  const { blank } = part.piece;
  const { paper, out } = cutFromSheet(made, design, part) ?? { paper: blank, out: { x: 0, y: 0 } };
  return onStock(uncutScene(name, blank), translation(out.x, out.y), paper);
}

/** The pile before or after a stage, mouth at the top, with the glue to put on or the contents on their way in. */
function pileStep(made: Made, design: Design, picture: Extract<StepPicture, { kind: 'folded' }>): Scene {
  const { folded, built } = made;
  const stage = folded.stages[picture.stage]!;
  const { stack, view } = pileAtStep(made, picture);
  const glue = glueAreas(made)
    .filter(({ id }) => id === picture.glue)
    .flatMap(({ joint: { panel, polygons } }) => inPile(panel, polygons, stack, view));
  // Where the same part must stay free: told by its outline, so that it is not told by colour alone.
  const dry = keepDry(made)
    .filter(({ step }) => picture.glue && step === stage.step.id)
    .flatMap(({ panel, polygons }) => inPile(panel, polygons, stack, view));
  const [cavity] = built.cavities;
  const [contents, inside] = [
    alongContents(cavity, design.contents ?? made.largest),
    alongContents(cavity, made.inside),
  ];
  // A little less than half of them is still outside.
  const goingIn = { x: (inside.width - contents.width) / 2, y: -0.45 * contents.height, ...contents };
  return pileScene(
    { stack, view, from: 'above' },
    { given: basePieces(built), glue, dry, goingIn: picture.inserting ? goingIn : null },
  );
}

/** One step of what stands: only the paper it is about, with the glue to put on, or the contents on their way in. */
function stillStep(made: Made, picture: Extract<StepPicture, { kind: 'standing' }>, design: Design): Scene {
  const contents = design.contents ?? made.largest;
  const { standing } = made.folded;
  const { step, before, after } = standing!.stages[picture.stage]!;
  const now = picture.before ? before : after;
  const about =
    step.kind === 'set'
      ? [step.panel, step.onto]
      : before.hinges.find(({ id }) => id === step.turns[0]!.hinges[0])!.between;
  const own = picture.done ? new Set(after.leaves.map(({ panel }) => panel.id)) : reached(after, about);
  const paper = now.leaves.filter((l) => own.has(l.panel.id));
  const glue = glueAreas(made)
    .filter(({ id, joint }) => id === picture.glue && own.has(joint.panel))
    .flatMap(({ joint: { panel, side, polygons } }) =>
      polygons.map((polygon, i) => leafOn(now, { name: `glue ${i + 1}`, panel, side, polygon }, 'glue')),
    );
  const laid = picture.done
    ? dressing(made, design, picture.done, picture.laying).laid.map((one) => leafOn(now, one, 'laid'))
    : [];
  const on = [...glue, ...laid];
  const [cavity] = made.built.cavities;
  const inside =
    cavity?.kind === 'box' && own.has(cavity.floor) ? contentsSeen(made, cavity, picture, now, contents) : [];
  return stillScene(
    {
      leaves: [...paper, ...on.map(({ leaf }) => leaf), ...inside],
      touches: [...now.touches, ...on.map(({ touch }) => touch)],
      hinges: now.hinges,
    },
    basePieces(made.built),
  );
}

/** Contents a good way over the room they go into, or lying there once they are in. */
function contentsSeen(
  made: Made,
  cavity: BoxCavity,
  { stage, inserting }: Extract<StepPicture, { kind: 'standing' }>,
  now: Standing,
  { width, height, thickness: depth }: Contents,
): readonly Leaf[] {
  const { finished, stages } = made.folded.standing!;
  // What goes in while all is flat is after no stage: it lies there from the first on.
  const after = stages.findIndex(({ step }) => step.id === cavity.insertAfter);
  if (!inserting && after >= stage) return [];
  const [floor, end] = [leafOf(now, cavity.floor).pose, leafOf(finished, cavity.floor).pose];
  const up = inserting ? (cavity.onEdge ? height : made.inside.depth) * 0.9 + 12 : 0;
  return contentsIn(finished, cavity, { width, height, depth }).map((l) =>
    carriedLeaf(l, (pose) => {
      const lain = poseWithin(floor, seenPose(end, pose));
      return { ...lain, o: plus3(lain.o, floor.normal, up) };
    }),
  );
}
