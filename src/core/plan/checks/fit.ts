import { anticlockwise, distance, sideOf } from '../../geometry';
import { inches, mm } from '../../length';
import type { Design } from '../design';
import type { Made, Plan } from '../plan';
import { check, curesFor, fromContents, HAIR, type Check, type Level, type Remedy } from './check';

/** A band with more room than this falls off by itself, mm. Common practice 1/4 in. */
const LOOSE = inches(1 / 4);

/** What the contents have of room, or what of a mat shows. */
export function fitChecks({ design }: Plan, made: Made): Check[] {
  if (made.built.room) return roomChecks(design, made);
  const [cavity] = made.built.cavities;
  if (!cavity) return [...revealChecks(made), ...finishedCheck(made)];
  const gusset = made.opens;
  const wide =
    gusset === null
      ? []
      : [
          check(
            'gusset',
            design.thickness > gusset + HAIR ? 'fail' : 'pass',
            design.thickness,
            gusset,
            {},
            design.thickness > gusset + HAIR ? curesFor(design, 'gusset', design.thickness) : [],
          ),
        ];
  if (!made.fit) {
    const { width, height } = made.largest;
    const nothing = width <= HAIR || (height <= HAIR && !cavity.through);
    return [check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, { width, height }), ...wide];
  }
  const { ease, insert, seat } = made.fit;
  const sides = (['width', 'height'] as const).filter((side) => !cavity.through || side === made.built.acrossMouth);
  const found = sides.map((side) => {
    const [value, limit] = [ease[side], design.least[side]];
    const level: Level = value < -HAIR ? 'fail' : value <= HAIR || value < limit - HAIR ? 'warn' : 'pass';
    // The sheet was given with its contents: only a larger sheet helps, which is the contents-first question.
    const remedies: Remedy[] = level === 'pass' || !design.blank ? [] : [fromContents(design)];
    return check(`room-${side}`, level, value, limit, {}, remedies);
  });
  const stuck = insert ?? seat;
  const slides =
    cavity.through && ease.width >= 0
      ? [check('slides-off', ease.width > LOOSE + HAIR ? 'warn' : 'pass', ease.width, LOOSE)]
      : [];
  return [
    ...found,
    check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, { why: stuck ?? '' }),
    ...wide,
    ...slides,
  ];
}

/** What the contents have of room between walls that stand. */
function roomChecks(design: Design, made: Made): Check[] {
  const { fit, inside, built } = made;
  if (!fit) {
    const { width, height } = made.largest;
    const nothing = width <= HAIR || height <= HAIR;
    return [
      check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, { width, height, depth: inside.depth }),
    ];
  }
  const snug = design.construction.ease.aim;
  const found = (['width', 'height'] as const).map((side) => {
    const [value, limit] = [fit.ease[side], design.least[side]];
    const none = value <= HAIR && snug[side] > 0;
    const level: Level = value < -HAIR ? 'fail' : none || value < limit - HAIR ? 'warn' : 'pass';
    return check(
      `room-${side}`,
      level,
      value,
      limit,
      {},
      level === 'pass' || !design.blank ? [] : [fromContents(design)],
    );
  });
  const shallow = fit.depth < -HAIR;
  const stuck = fit.insert ?? fit.seat;
  return [
    ...found,
    check(
      'room-depth',
      shallow ? 'fail' : 'pass',
      fit.depth,
      0,
      { onEdge: built.room!.onEdge ? 1 : 0 },
      shallow ? curesFor(design, 'room-depth', mm(-fit.depth)) : [],
    ),
    check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, { why: stuck ?? '', box: 1 }),
  ];
}

/** A mat's border on what it lies on: the least of it, all round. */
function revealChecks({ built, folded }: Made): Check[] {
  const given = built.pieces.find((piece) => piece.given);
  if (!given) return [];
  const base = folded.finished.layers.find((layer) => layer.piece === given.name)!;
  const mat = folded.finished.layers.find((layer) => layer.piece !== given.name)!;
  const rim = anticlockwise(base.polygon);
  const reveal = Math.min(
    ...rim.flatMap((from, i) => {
      const to = rim[(i + 1) % rim.length]!;
      return distance(from, to) < HAIR ? [] : mat.polygon.map((p) => sideOf({ from, to }, p));
    }),
  );
  return [check('reveal', reveal < -HAIR ? 'fail' : 'pass', reveal, 0, { on: given.name })];
}

const finishedCheck = ({ finished }: Made): Check[] => [
  check('finished-size', 'pass', finished.width, 0, { width: finished.width, height: finished.height }),
];
