import { TOLERANCE } from '../geometry';
import type { Contents, Ease } from '../constructions';
import {
  boxInside,
  standsFree,
  type BoxCavity,
  type FitRefusal,
  type Folded,
  type Raised,
  type Size3,
  type Standing,
} from '../fold';
import { mm, type Mm } from '../length';
import type { Fit, Hold } from './hold';

/** A box that stands, when things go in and at the end. */
export interface OpenedBox {
  readonly cavity: BoxCavity;
  readonly going: Standing;
  readonly lying: Standing;
  readonly inside: Size3;
}

/** Opens the room of what stands. Throws when no wall does, or when no step is the one things go in after. */
export function openedBox(folded: Folded, cavity: BoxCavity): OpenedBox {
  const { standing } = folded;
  if (!standing) throw new Error(`the box ${cavity.id} has no walls that stand`);
  const going = standingAfter(folded, standing, cavity.insertAfter);
  return { cavity, going, lying: standing.finished, inside: boxInside(standing.finished, cavity) };
}

function standingAfter(folded: Folded, standing: Raised, step: string): Standing {
  if (step === 'flat') return standing.start;
  const stage = standing.stages.find((s) => s.step.id === step);
  if (stage) return stage.after;
  if (folded.stages.some((s) => s.step.id === step)) return standing.start;
  throw new Error(`no step is called ${step}`);
}

/** How the given contents stand in a box, asked of the paper as it stands. */
export function boxFit({ cavity, going, lying, inside }: OpenedBox, { width, height, thickness }: Contents): Fit {
  const size = { width, height, depth: thickness };
  const large: FitRefusal =
    inside.width < width - TOLERANCE.drawn
      ? 'too_wide'
      : inside.height < height - TOLERANCE.drawn
        ? 'too_high'
        : inside.depth < thickness - TOLERANCE.drawn
          ? 'too_deep'
          : null;
  const test = (when: Standing, open: boolean): FitRefusal =>
    large ?? (standsFree(when, lying, cavity, size, open) ? null : 'in_the_way');
  return {
    ease: { width: mm(inside.width - width), height: mm(inside.height - height) },
    depth: mm(inside.depth - thickness),
    insert: test(going, true),
    seat: test(lying, false),
  };
}

/** Most width and height that keep the least ease; what is thicker than the box is deep does not fit at all. */
export function largestInBox({ inside }: OpenedBox, least: Ease, thickness: Mm): Contents {
  const fits = thickness <= inside.depth + TOLERANCE.length;
  const most = (side: 'width' | 'height'): Mm => mm(fits ? Math.max(0, inside[side] - least[side]) : 0);
  return { width: most('width'), height: most('height'), thickness };
}

/** Most thickness that goes into a box at a width and height; 0 when they do not fit. */
export const thickestInBox = ({ inside }: OpenedBox, least: Ease, { width, height }: Contents): Mm =>
  inside.width - width < least.width - TOLERANCE.length || inside.height - height < least.height - TOLERANCE.length
    ? mm(0)
    : inside.depth;

/** A box, ready to be asked. */
export function boxHold(folded: Folded, cavity: BoxCavity): Hold {
  const box = openedBox(folded, cavity);
  return {
    cavity,
    inside: box.inside,
    limits: ['width', 'height', 'depth'],
    opens: null,
    fit: (contents) => boxFit(box, contents),
    largest: (least, thickness) => largestInBox(box, least, thickness),
    thickest: (least, contents) => thickestInBox(box, least, contents),
  };
}
