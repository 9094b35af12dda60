import { TOLERANCE } from '../../geometry';
import type { Ease } from '../../constructions';
import { inches, mm, type Mm } from '../../length';
import type { Design } from '../design/design';
import type { Made, Plan } from '../plan';
import { check, curesFor, fromContents, type Check, type Level, type Remedy } from './check';

/** A band with more room than this falls off by itself, mm. Common practice 1/4 in. */
const LOOSE = inches(1 / 4);

/** What the contents have of room. */
export function fitChecks({ design }: Plan, made: Made): Check[] {
  const [hold] = made.holds;
  if (!hold) return [];
  const { cavity, limits, opens } = hold;
  const gusset = opens === null ? [] : [gussetCheck(design, opens)];
  const inBox = cavity.kind === 'box';
  if (!made.fit) {
    const { width, height } = made.largest;
    const nothing = width <= TOLERANCE.folded || (height <= TOLERANCE.folded && (inBox || !cavity.through));
    return [
      check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, {
        width,
        height,
        ...(inBox && { depth: hold.inside.depth }),
      }),
      ...gusset,
    ];
  }
  const { ease, depth, insert, seat } = made.fit;
  const stuck = insert ?? seat;
  return [
    ...(['width', 'height'] as const)
      .filter((side) => limits.includes(side))
      .map((side) => roomCheck(design, side, ease)),
    ...(inBox ? [depthCheck(design, depth, cavity.onEdge)] : []),
    check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, { why: stuck, box: inBox }),
    ...gusset,
    ...(!inBox && cavity.through && ease.width >= 0
      ? [check('slides-off', ease.width > LOOSE + TOLERANCE.folded ? 'warn' : 'pass', ease.width, LOOSE, {})]
      : []),
  ];
}

/** The room left one way; none at all is little where some was aimed for. */
function roomCheck(design: Design, side: 'width' | 'height', ease: Ease): Check {
  const [value, limit] = [ease[side], design.least[side]];
  const none = value <= TOLERANCE.folded && design.construction.ease.aim[side] > 0;
  const level: Level = value < -TOLERANCE.folded ? 'fail' : none || value < limit - TOLERANCE.folded ? 'warn' : 'pass';
  // The sheet was given with its contents: only a larger sheet helps, which is the contents-first question.
  const remedies: Remedy[] = level === 'pass' || !design.blank ? [] : [fromContents(design)];
  return check(`room-${side}`, level, value, limit, {}, remedies);
}

/** A box is as deep as its contents. */
function depthCheck(design: Design, depth: Mm, onEdge: boolean): Check {
  const shallow = depth < -TOLERANCE.folded;
  return check(
    'room-depth',
    shallow ? 'fail' : 'pass',
    depth,
    0,
    { onEdge },
    shallow ? curesFor(design, 'room-depth', mm(-depth)) : [],
  );
}

/** A gusset opens as far as the contents are thick. */
function gussetCheck(design: Design, opens: Mm): Check {
  const narrow = design.thickness > opens + TOLERANCE.folded;
  return check(
    'gusset',
    narrow ? 'fail' : 'pass',
    design.thickness,
    opens,
    {},
    narrow ? curesFor(design, 'gusset', design.thickness) : [],
  );
}
