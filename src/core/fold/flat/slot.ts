import {
  apply,
  area,
  difference,
  extent,
  intersection,
  minus,
  regionArea,
  type Point,
  type Polygon,
  TOLERANCE,
  centreOf,
} from '../../geometry';
import { mm, type Mm } from '../../length';
import { hasPanel, layerOf, levelOf, type Layer, type Stack } from './stack';
import type { Cavity, FlatCavity } from './cavity';
import { EXACT, type Slack } from './slack';
import { tiesBetween, type Tie } from './ties';
import { inView, viewAlong, type View } from './measure';
import { NO_PAPER, takenIn, type Calipers, type Taken } from './taken';

/** Room in a cavity, mm, measured in the flat: across the mouth and into the pocket. */
export interface Room {
  readonly width: Mm;
  readonly height: Mm;
}

/** The panels on the roof's side of a slot: the roof, and whatever lies over it. */
export function aboveSlot(stack: Stack, cavity: FlatCavity): ReadonlySet<string> {
  const above = new Set<string>(cavity.roof);
  const floor = levelOf(stack, cavity.floor);
  for (const layer of stack.layers)
    if (!above.has(layer.panel) && layer.panel !== cavity.floor && levelOf(stack, layer.panel) > floor)
      for (const other of above)
        if (
          hasPanel(stack, other) &&
          levelOf(stack, other) > floor &&
          levelOf(stack, other) < levelOf(stack, layer.panel) &&
          intersection(layer.polygon, layerOf(stack, other).polygon).length > 0
        ) {
          above.add(layer.panel);
          break;
        }
  return above;
}

/** The mouth seen from outside: x along it, y into the pocket. */
export function mouthView(stack: Stack, cavity: FlatCavity): View {
  const floor = layerOf(stack, cavity.floor);
  return viewAlong(apply(floor.map, cavity.mouth.from), apply(floor.map, cavity.mouth.to), centreOf(floor.polygon));
}

/** How faces of a pile are looked at: mouth at the top, or the first piece as it lies where there is no mouth. */
export const facesView = (stack: Stack, cavity: Cavity | undefined): View =>
  cavity && cavity.kind !== 'box' && hasPanel(stack, cavity.floor)
    ? mouthView(stack, cavity)
    : { origin: { x: 0, y: 0 }, across: { x: -1, y: 0 }, up: { x: 0, y: -1 } };

/** Sides of a pocket that run in by no more than this off straight lean, as a sine; others are slanted. From memory. */
const LEANS = 0.08;
/** So little makes no difference to what goes in: a twentieth of a millimetre in ten centimetres. */
const STRAIGHT = 0.0005;

/** The mouth's view turned as the sides of a pocket lean that hands have folded: what goes in leans with them. Null where they stand straight. */
function leaning(view: View, ties: readonly Tie[]): View | null {
  let [lean, weight] = [0, 0];
  for (const { points } of ties)
    points.forEach((p, i) => {
      if (points.length === 2 && i === 1) return;
      const side = minus(inView(view, points[(i + 1) % points.length]!), inView(view, p));
      const long = Math.hypot(side.x, side.y);
      if (long < TOLERANCE.drawn || Math.abs(side.x) > LEANS * long) return;
      // Longer sides say more of how it leans.
      lean += long * Math.sign(side.y) * side.x;
      weight += long * long;
    });
  const sin = weight > 0 ? lean / weight : 0;
  if (Math.abs(sin) < STRAIGHT) return null;
  const cos = Math.sqrt(1 - sin * sin);
  const turned = (a: Point<'folded'>, b: Point<'folded'>, by: number): Point<'folded'> => ({
    x: cos * a.x + by * b.x,
    y: cos * a.y + by * b.y,
  });
  return { origin: view.origin, across: turned(view.across, view.up, -sin), up: turned(view.up, view.across, sin) };
}

/** The part of a tie between two depths, as its spread across the mouth; null when it lies outside them. */
function spread(tie: readonly Point[], from: number, to: number): readonly [number, number] | null {
  const xs: number[] = [];
  tie.forEach((p, i) => {
    const q = tie[(i + 1) % tie.length]!;
    if (p.y > from + TOLERANCE.drawn && p.y < to - TOLERANCE.drawn) xs.push(p.x);
    for (const level of [from + TOLERANCE.drawn, to - TOLERANCE.drawn])
      if (Number.isFinite(level) && p.y < level !== q.y < level)
        xs.push(p.x + ((q.x - p.x) * (level - p.y)) / (q.y - p.y));
  });
  return xs.length === 0 ? null : [Math.min(...xs), Math.max(...xs)];
}

/** Widest free run across the mouth between two depths, mm: [left end, width]. */
function widestGap(
  found: readonly (readonly Point[])[],
  span: readonly [number, number],
  from: number,
  to: number,
): readonly [number, number] {
  const blocked = found.map((tie) => spread(tie, from, to)).filter((s) => s !== null);
  blocked.sort((a, b) => a[0] - b[0]);
  let best: readonly [number, number] = [span[0], 0];
  let free = span[0];
  for (const [low, high] of [...blocked, [span[1], span[1]] as const]) {
    const width = Math.min(low, span[1]) - free;
    if (width > best[1]) best = [free, width];
    free = Math.max(free, high);
  }
  return best;
}

/** Why contents cannot go in or lie in a cavity; null when they can. */
export type SlotRefusal = 'too_wide' | 'too_high' | 'uncovered' | null;
/** The same, of any cavity. */
export type FitRefusal = SlotRefusal | 'too_deep' | 'in_the_way';

/** A cavity of a folded stack, ready to be asked. Sizes are mm with thickness and ease already added. */
export interface Slot {
  /** The largest rectangle that goes in. */
  readonly largest: Room;
  /** For a thing of this size: the width free at its height, and the depth free at its width. */
  readonly roomFor: (size: FlatSize) => Room;
  /**
   * The slot test: the thing goes in through the mouth, or lies in when closed, without meeting anything that
   * ties below to above, and is covered as far as declared.
   */
  readonly test: (size: FlatSize) => SlotRefusal;
  /** What its own paper takes of the room. */
  readonly taken: Taken;
}

interface FlatSize {
  readonly width: number;
  readonly height: number;
}

/**
 * Opens a cavity for questions, read off the folded stack. While inserting, things are swept in through the
 * mouth (`closed` false); when closed they must lie inside.
 * @param slack a fold that closes the mouth may lie so far inside it, and things go in straight or as its sides lean
 * @param caliper how thick the paper of each piece is
 * @param above what lies on the roof’s side, where that is known already
 */
export function slotOf(
  stack: Stack,
  cavity: FlatCavity,
  closed: boolean,
  slack: Slack = EXACT,
  caliper: Calipers = NO_PAPER,
  above: ReadonlySet<string> = aboveSlot(stack, cavity),
): Slot {
  const ties = tiesBetween(stack, (panel) => above.has(panel));
  const view = mouthView(stack, cavity);
  const asked = { stack, cavity, closed, slack, caliper, above };
  const straight = slotSeen(asked, ties, view);
  if (slack.lines <= EXACT.lines) return straight;
  const lean = leaning(view, ties);
  if (!lean) return straight;
  const leant = slotSeen(asked, ties, lean);
  return {
    largest: straight.largest,
    get taken() {
      return straight.taken;
    },
    roomFor: (size) => {
      const [one, other] = [straight.roomFor(size), leant.roomFor(size)];
      const left = ({ width, height }: Room): number => Math.min(width - size.width, height - size.height);
      return left(other) > left(one) ? other : one;
    },
    test: (size) => {
      const refusal = straight.test(size);
      return refusal && leant.test(size) ? refusal : null;
    },
  };
}

interface Asked {
  readonly stack: Stack;
  readonly cavity: FlatCavity;
  readonly closed: boolean;
  readonly slack: Slack;
  readonly caliper: Calipers;
  readonly above: ReadonlySet<string>;
}

/** The cavity for things that go in as the view stands. */
function slotSeen({ stack, cavity, closed, slack, caliper, above }: Asked, between: readonly Tie[], view: View): Slot {
  // What ties below to above, in the mouth's view: a thing in the slot must meet none of it.
  const ties = between.map((tie) => ({ ...tie, points: tie.points.map((p) => inView(view, p)) }));
  const found = ties.map(({ points }) => points);
  const floor = layerOf(stack, cavity.floor).polygon.map((p) => inView(view, p));
  const span = extent(floor, { x: 1, y: 0 });
  const deepest = extent(floor, { x: 0, y: 1 })[1];
  const gap = (depth: number): readonly [left: number, width: number] =>
    widestGap(found, span, closed ? slack.lines - EXACT.lines : -Infinity, depth);
  // Between two ties' ends the free width does not change, so only these depths matter.
  const steps = [...new Set([...found.flat().map((p) => p.y), deepest])]
    .filter((y) => y > TOLERANCE.drawn && y <= deepest + TOLERANCE.drawn)
    .sort((a, b) => a - b)
    .map((depth) => ({ depth, left: gap(depth)[0], width: gap(depth)[1] }));

  const deepestFor = (width: number): number => {
    const stop = steps.findIndex((step) => step.width < width - TOLERANCE.drawn);
    return (stop < 0 ? steps.at(-1) : steps[stop - 1])?.depth ?? 0;
  };
  const roomFor = (size: FlatSize): Room => ({
    width: mm(gap(Math.min(Math.max(size.height, 4 * TOLERANCE.drawn), deepest))[1]),
    height: mm(deepestFor(size.width) || deepestFor(0)),
  });
  const isCovered = (size: FlatSize): boolean => {
    const [left, width] = gap(size.height);
    const [from, to] = [left + (width - size.width) / 2, left + (width + size.width) / 2];
    // They rest on the bottom of the pocket.
    const rest = Math.max(0, deepestFor(size.width) - size.height);
    const seat: Polygon<'folded'> = [
      { x: from, y: rest },
      { x: to, y: rest },
      { x: to, y: rest + size.height },
      { x: from, y: rest + size.height },
    ];
    const covered = (layers: readonly Layer[]): number =>
      1 -
      regionArea(
        difference(
          [seat],
          layers.map((layer) => layer.polygon.map((p) => inView(view, p))),
        ),
      ) /
        area(seat);
    const sides = [
      [stack.layers.filter((layer) => !above.has(layer.panel)), cavity.covered.floor],
      [stack.layers.filter((layer) => above.has(layer.panel)), cavity.covered.roof],
    ] as const;
    return sides.every(([layers, share]) => covered(layers) >= share - 1e-6);
  };
  const best = steps.reduce((a, b) => (b.width * b.depth > a.width * a.depth ? b : a), { left: 0, width: 0, depth: 0 });
  let taken: Taken | null = null;
  return {
    largest: { width: mm(best.width), height: mm(best.depth) },
    // Asked of few: found when it is.
    get taken() {
      return (taken ??= takenIn(stack, cavity, { view, ties, room: best, closed, within: slack.lines }, caliper));
    },
    roomFor,
    test: (size) => {
      const room = roomFor(size);
      if (room.height < size.height - TOLERANCE.drawn) return 'too_high';
      if (room.width < size.width - TOLERANCE.drawn) return 'too_wide';
      return closed && !isCovered(size) ? 'uncovered' : null;
    },
  };
}
