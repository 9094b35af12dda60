import { boxOf3, seenFrom } from '../../geometry';
import { edgesMeet, leafOf, lidWays, roomAxes, type LidWay } from '../../fold';
import { inches, mm } from '../../length';
import { panelName, type Made, type Plan } from '../plan';
import { check, curesFor, HAIR, type Check, type Level } from './check';

/** The allowance workshops take without counting layers, mm. Common practice 1/8 in on the blank. */
const FAMILIAR = inches(1 / 8);

/** What is asked only of what stands: walls that meet, a lid that goes on, a loop for its pen, tips that lap. */
export function boxChecks(plan: Plan, made: Made): Check[] {
  const { standing } = made.folded;
  if (!standing) return [];
  return [...meetCheck(made), ...lidChecks(plan, made), ...penCheck(plan, made), ...tieChecks(plan, made)];
}

/** Every pair of walls, edge on edge: the shortest stretch they share. */
function meetCheck({ built, folded }: Made): Check[] {
  const pairs = built.meets.map(([a, b]) => ({ a, b, shared: edgesMeet(folded.standing!.finished, a, b) }));
  const worst = pairs.reduce((low, pair) => (pair.shared < low.shared ? pair : low), pairs[0]!);
  if (!worst) return [];
  return [
    check('walls-meet', worst.shared <= HAIR ? 'fail' : 'pass', worst.shared, 0, {
      a: panelName(built, worst.a),
      b: panelName(built, worst.b),
    }),
  ];
}

/** Room the lid has over the layers it goes round, both ways. */
function lidChecks({ design }: Plan, { built, folded }: Made): Check[] {
  if (!built.lid) return [];
  const ways = lidWays(folded.standing!.finished, built.lid);
  return (['width', 'height'] as const).map((side) => {
    const { allowance, layers }: LidWay = ways[side];
    const takes = 2 * layers * design.paper.caliper;
    const room = allowance - takes;
    const exact = Math.abs(allowance) <= HAIR;
    const level: Level = exact ? 'note' : room < -HAIR ? 'fail' : room <= HAIR ? 'warn' : 'pass';
    return check(
      `lid-${side}`,
      level,
      room,
      0,
      { allowance, layers, takes, familiar: FAMILIAR, exact: exact ? 1 : 0 },
      // The cure is told how much the allowance must be, with half a millimetre to slide in.
      level === 'pass' ? [] : curesFor(design, `lid-${side}`, mm(takes + 0.5)),
    );
  });
}

/** A loop takes the pen that was asked for. */
function penCheck({ design }: Plan, { built, pen: takes }: Made): Check[] {
  if (takes === null) return [];
  const asked = built.penLoop?.pen ?? 0;
  const small = takes < asked - HAIR;
  return [
    check(
      'pen',
      small ? 'warn' : 'pass',
      takes,
      asked,
      { wall: (takes * Math.PI) / 2 },
      small ? curesFor(design, 'pen', mm(asked)) : [],
    ),
  ];
}

/** Whether the tips that close the top lap far enough for a tie, and which were turned under. */
function tieChecks({ design }: Plan, { built, folded }: Made): Check[] {
  const checks: Check[] = [];
  const [cavity] = built.cavities;
  if (built.tie && cavity?.kind === 'box') {
    const { finished } = folded.standing!;
    const axes = roomAxes(finished, cavity);
    const [a, b] = built.tie.flaps.map((id) => boxOf3(leafOf(finished, id).corners.map((p) => seenFrom(axes, p)))) as [
      ReturnType<typeof boxOf3>,
      ReturnType<typeof boxOf3>,
    ];
    // They reach for each other along whichever axis both do not span alike.
    const lap = (axis: 'x' | 'y'): number => Math.min(a[1][axis], b[1][axis]) - Math.max(a[0][axis], b[0][axis]);
    const unlike = (axis: 'x' | 'y'): number => Math.abs(a[0][axis] - b[0][axis]) + Math.abs(a[1][axis] - b[1][axis]);
    const value = lap(unlike('x') > unlike('y') ? 'x' : 'y');
    const { needs, flaps } = built.tie;
    const short = value < needs - HAIR;
    checks.push(
      check(
        'tie',
        short ? (needs > 0 ? 'warn' : 'note') : 'pass',
        value,
        needs,
        { a: panelName(built, flaps[0]), b: panelName(built, flaps[1]), holed: needs > 0 ? 1 : 0 },
        short && needs > 0 ? curesFor(design, 'tie', needs) : [],
      ),
    );
  }
  if (built.turnedUnder.length > 0)
    checks.push(
      check('tips-turned', 'note', built.turnedUnder.length, 0, { panels: built.turnedUnder.join(' and the ') }),
    );
  return checks;
}
