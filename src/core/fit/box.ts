import { TOLERANCE } from '../geometry';
import type { Contents, Ease } from '../constructions';
import {
  boxInside,
  boxTaken,
  NO_PAPER,
  standsFree,
  type BoxCavity,
  type Calipers,
  type FitRefusal,
  type Folded,
  type Raised,
  type Size3,
  type Standing,
} from '../fold';
import { mm, type Mm } from '../length';
import type { Fit, OpenCavity } from './hold';

/** A box that stands, when things go in and at the end. */
export interface OpenedBox {
  readonly cavity: BoxCavity;
  readonly going: Standing;
  readonly lying: Standing;
  readonly inside: Size3;
  /** What its own layers take of that each way, mm. */
  readonly taken: Size3;
}

/** Opens the room of what stands. Throws when no wall does, or when no step is the one things go in after. */
export function openedBox(folded: Folded, cavity: BoxCavity, caliper: Calipers = NO_PAPER): OpenedBox {
  const { standing } = folded;
  if (!standing) throw new Error(`the box ${cavity.id} has no walls that stand`);
  const going = standingAfter(folded, standing, cavity.insertAfter);
  const lying = standing.finished;
  return { cavity, going, lying, inside: boxInside(lying, cavity), taken: boxTaken(lying, cavity, caliper) };
}

function standingAfter(folded: Folded, standing: Raised, step: string): Standing {
  if (step === 'flat') return standing.start;
  const stage = standing.stages.find((s) => s.step.id === step);
  if (stage) return stage.after;
  if (folded.stages.some((s) => s.step.id === step)) return standing.start;
  throw new Error(`no step is called ${step}`);
}

/** How the given contents stand in a box, asked of the paper as it stands. */
export function boxFit(box: OpenedBox, contents: Contents): Fit {
  const { cavity, going, lying, inside, taken } = box;
  const size = {
    width: mm(contents.width + taken.width),
    // What runs through lies free along its way.
    height: mm(cavity.through ? Math.min(contents.height, inside.height) : contents.height + taken.height),
    depth: mm(contents.thickness + taken.depth),
  };
  const large: FitRefusal =
    inside.width < size.width - TOLERANCE.drawn
      ? 'too_wide'
      : inside.height < size.height - TOLERANCE.drawn
        ? 'too_high'
        : inside.depth < size.depth - TOLERANCE.drawn
          ? 'too_deep'
          : null;
  const test = (when: Standing, open: boolean): FitRefusal =>
    large ?? (standsFree(when, lying, cavity, size, open) ? null : 'in_the_way');
  return {
    ease: { width: mm(inside.width - size.width), height: mm(inside.height - size.height) },
    depth: mm(inside.depth - size.depth),
    insert: test(going, true),
    seat: test(lying, false),
  };
}

/** The room between the layers of a box's own paper. */
const clear = ({ inside, taken }: OpenedBox, side: keyof Size3): Mm => mm(Math.max(0, inside[side] - taken[side]));

/** Most width and height that keep the least ease; what is thicker than the box is deep does not fit at all. */
export function largestInBox(box: OpenedBox, least: Ease, thickness: Mm): Contents {
  const fits = thickness <= clear(box, 'depth') + TOLERANCE.length;
  const most = (side: 'width' | 'height'): Mm => mm(fits ? Math.max(0, clear(box, side) - least[side]) : 0);
  return { width: most('width'), height: most('height'), thickness };
}

/** Most thickness that goes into a box at a width and height; 0 when they do not fit. */
export const thickestInBox = (box: OpenedBox, least: Ease, contents: Contents): Mm =>
  (['width', 'height'] as const).some(
    (side) =>
      !(side === 'height' && box.cavity.through) && clear(box, side) - contents[side] < least[side] - TOLERANCE.length,
  )
    ? mm(0)
    : clear(box, 'depth');

/** A box, ready to be asked. */
export function boxHold(folded: Folded, cavity: BoxCavity, caliper: Calipers): OpenCavity {
  const box = openedBox(folded, cavity, caliper);
  return {
    cavity,
    inside: box.inside,
    taken: box.taken,
    limits: cavity.through ? ['width', 'depth'] : ['width', 'height', 'depth'],
    opens: null,
    fit: (contents) => boxFit(box, contents),
    largest: (least, thickness) => largestInBox(box, least, thickness),
    thickest: (least, contents) => thickestInBox(box, least, contents),
  };
}
