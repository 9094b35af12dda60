import type { PanelId, ScoreId, StepId } from '../../pattern';
import {
  apply,
  applyAll,
  area,
  compose,
  intersection,
  lengthInside,
  reflection,
  sideOf,
  type Affine,
  type Polygon,
  type Segment,
} from '../../geometry';
import { hingeLine, layerOf, stoodUp, turningLine, type Layer, type Stack } from './stack';
import { EXACT, isBroad, type Slack } from './slack';
import { tiesBetween } from './ties';

/** One turn of paper: the panels that move, about the line their hinges share, or round the edge between two of them. */
export interface Fold {
  readonly id: StepId;
  readonly hinges: readonly ScoreId[];
  /** Every panel that moves, those further out included. */
  readonly moving: readonly PanelId[];
  /** Tuck: the panel the moving ones go under, instead of onto the stack. */
  readonly under?: PanelId;
}

/** Why a fold cannot be made as told. */
export interface FoldProblem {
  readonly code: 'joint_off_line' | 'straddles' | 'blocked' | 'tuck_tied';
  readonly fold: StepId;
  /** The panel that suffers, and what stands in its way. */
  readonly panel: PanelId;
  readonly by: string;
}

/**
 * Folds the moving panels flat over their line (180°). A valley goes on top when its still panel shows its inside
 * upward and underneath when not; a mountain the other way round. The fold is carried out even where it could
 * not be made at the table, and the problems say why, so that everything can be reported at once.
 */
export function foldOver(
  stack: Stack,
  fold: Fold,
  slack: Slack = EXACT,
): { readonly stack: Stack; readonly problems: readonly FoldProblem[] } {
  const problems: FoldProblem[] = [];
  const moves = new Set(fold.moving);
  const lead = stack.hinges.find((hinge) => hinge.id === fold.hinges[0]);
  if (!lead) throw new Error(`fold ${fold.id} names no hinge of this stack`);
  const line = hingeLine(stack, lead);
  const still = stack.layers.filter((layer) => !moves.has(layer.panel));
  const moving = stack.layers.filter((layer) => moves.has(layer.panel));

  for (const [what, panel, offLine] of jointsAcross(stack, moves, line))
    if (offLine > slack.lines) problems.push({ code: 'joint_off_line', fold: fold.id, panel, by: what });

  const sides = moving.map((layer) => layer.polygon.map((p) => sideOf(line, p)));
  const weight = sides.flat().reduce((sum, side) => sum + side, 0);
  moving.forEach((layer, i) => {
    if (sides[i]!.some((side) => side * Math.sign(weight) < -slack.lines))
      problems.push({ code: 'straddles', fold: fold.id, panel: layer.panel, by: lead.id });
  });

  const onTop = (lead.fold === 'valley') === (layerOf(stack, lead.between[0]).up === 'inside');
  stack.layers.forEach((mover, level) => {
    if (!moves.has(mover.panel)) return;
    const over = onTop ? stack.layers.slice(level + 1) : stack.layers.slice(0, level);
    for (const other of over)
      if (!moves.has(other.panel) && intersection(mover.polygon, other.polygon).some((ring) => inTheWay(ring, slack)))
        problems.push({ code: 'blocked', fold: fold.id, panel: mover.panel, by: other.panel });
  });

  const mirror = reflection(hingeLine(stack, { ...lead, line: turningLine(stack.hinges, fold.hinges) }));
  const turned = carried(moving, mirror, true);
  const at =
    fold.under === undefined ? (onTop ? still.length : 0) : still.findIndex((layer) => layer.panel === fold.under);
  if (at < 0) throw new Error(`fold ${fold.id} goes under ${fold.under}, which is not in this stack`);
  if (fold.under !== undefined) problems.push(...tuckProblems({ ...stack, layers: still }, fold, at, turned, slack));
  const folded = { ...stack, layers: [...still.slice(0, at), ...turned, ...still.slice(at)] };
  return { stack: stoodUp(folded, fold.hinges), problems };
}

/** True for shared paper that is more than a speck, and broader than lines may be off. */
const inTheWay = (shared: Polygon, slack: Slack): boolean => area(shared) > slack.speck && isBroad(shared, slack);

/** Layers carried through a map of the plane; turned over, they change their order and the face they show. */
export const carried = (layers: readonly Layer[], map: Affine, over: boolean): Layer[] =>
  (over ? [...layers].reverse() : layers).map((layer) => ({
    ...layer,
    map: compose(map, layer.map),
    up: over ? (layer.up === 'inside' ? 'outside' : 'inside') : layer.up,
    polygon: applyAll(map, layer.polygon),
  }));

/** What holds the gap shut that paper is tucked into: nothing may tie the paper above it to the paper below it there. */
export function tuckProblems(
  still: Stack,
  fold: Pick<Fold, 'id'>,
  at: number,
  turned: readonly Layer[],
  slack: Slack = EXACT,
): FoldProblem[] {
  const above = new Set(still.layers.slice(at).map((layer) => layer.panel));
  const present = new Set(still.layers.map((layer) => layer.panel));
  const hinges = still.hinges.filter((hinge) => hinge.between.every((panel) => present.has(panel)));
  const joints = still.joints.filter((joint) => present.has(joint.panel) && present.has(joint.onto));
  return tiesBetween({ ...still, hinges, joints }, (panel) => above.has(panel)).flatMap(({ by, points }) =>
    turned
      .filter(({ polygon }) =>
        points.length > 2
          ? intersection(polygon, points).some((ring) => inTheWay(ring, slack))
          : lengthInside(polygon, { from: points[0]!, to: points[1]! }) > slack.lines,
      )
      .map(({ panel }): FoldProblem => ({ code: 'tuck_tied', fold: fold.id, panel, by })),
  );
}

/** Every hinge and glued joint between a moving and a still panel, with how far it lies off the line (mm). */
function* jointsAcross(
  stack: Stack,
  moves: ReadonlySet<string>,
  line: Segment<'folded'>,
): Generator<[string, string, number]> {
  const off = (points: readonly { x: number; y: number }[]): number =>
    Math.max(...points.map((p) => Math.abs(sideOf(line, p))));
  for (const hinge of stack.hinges) {
    const [a, b] = hinge.between;
    if (moves.has(a) === moves.has(b)) continue;
    const ends = [a, b].flatMap((panel) => Object.values(hingeLine(stack, hinge, panel)));
    yield [hinge.id, moves.has(a) ? a : b, off(ends)];
  }
  for (const joint of stack.joints) {
    if (moves.has(joint.panel) === moves.has(joint.onto)) continue;
    const { map } = layerOf(stack, joint.panel);
    yield [joint.id, joint.panel, off(joint.polygons.flat().map((p) => apply(map, p)))];
  }
}
