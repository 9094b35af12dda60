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
  stillOf,
  type BoxCavity,
  type Layer,
  type Leaf,
  type Stack,
  type Standing,
  type StillFace,
  type View,
} from '../fold';
import {
  applyAll,
  compose,
  minus,
  plus3,
  poseWithin,
  reflection,
  seenPose,
  translation,
  type Point,
} from '../geometry';
import type { Design } from '../design';
import { glueAreas, type Made, ownPaper, viewOf } from '../plan';
import { seatIn } from '../fit';
import type { Mm } from '../length';
import type { StepPicture } from './step-picture';
import { dressing, leafOn } from './dressing';

/** The finished thing as it is drawn: a pile and how it is looked at, or the faces of what stands. */
export type Picture =
  | {
      readonly kind: 'pile';
      readonly stack: Stack;
      readonly view: View;
      readonly front: 'below' | 'above';
      /** Contents half in, in the view, mm. */
      readonly contents?: { readonly x: number; readonly y: number; readonly width: Mm; readonly height: Mm };
    }
  | { readonly kind: 'still'; readonly faces: readonly StillFace[] };

/** The finished thing, to be drawn small. */
export function pictureOf(made: Made): Picture {
  const { standing } = made.folded;
  if (standing) return { kind: 'still', faces: stillOf(standing.finished.leaves, standing.finished.touches) };
  const stack = ownPaper(made.folded.finished, made.built);
  return { kind: 'pile', stack, view: viewOf(made.built, stack), front: made.built.front };
}

/** It as it takes its contents in: half of them still stick out, so that what is open, and where, is seen. */
export function takingIn(made: Made, contents: Contents): Picture {
  const { built, folded } = made;
  const [cavity] = built.cavities;
  if (folded.standing || !cavity || cavity.kind === 'box') return pictureOf(made);
  const stage = folded.stages.find(({ step }) => step.id === cavity.insertAfter);
  const stack = ownPaper(stage?.stack ?? (isReady(folded, cavity) ? folded.flat : folded.finished), built);
  const seat = seatIn(cavity, made.inside, contents);
  return {
    kind: 'pile',
    stack,
    view: viewOf(built, stack),
    front: built.front,
    contents: { ...seat, y: seat.y - seat.height / 2 },
  };
}

/** Room between two piles that lie beside each other, as a share of the larger one's width. */
const GAP = 0.08;

/**
 * The pile of one step and how it is looked at. What is glued before it is laid down lies beside the pile it goes on,
 * the side that takes the glue up.
 */
export function pileAtStep(
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

/** One step of what stands: only the paper it is about, with the glue to put on, or the contents on their way in. */
export function stillStep(
  made: Made,
  picture: Extract<StepPicture, { kind: 'standing' }>,
  design: Design,
): readonly StillFace[] {
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
  return stillOf(
    [...paper, ...on.map(({ leaf }) => leaf), ...inside],
    [...now.touches, ...on.map(({ touch }) => touch)],
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
