import type { PanelId } from '../../pattern';
import { applyAll, direction, dot, extent, type Polygon } from '../../geometry';
import { mm, type Mm } from '../../length';
import { hingeLine, layerOf, type Stack } from './stack';

/**
 * How far a panel can be lifted away from the fold it hangs by, mm: its breadth square to that fold, up to where glue
 * holds it down. Throws when it hangs by no fold.
 */
export function freeBreadth(stack: Stack, panel: PanelId): Mm {
  const { line, square } = hangingFold(stack, panel);
  const base = dot(line.from, square);
  /** The nearest and the farthest of some points from the fold. */
  const reach = (ring: Polygon<'folded'>): readonly [number, number] => {
    const [low, high] = extent(ring, square).map((d) => d - base) as [number, number];
    return Math.abs(low) > Math.abs(high) ? [Math.max(0, -high), -low] : [Math.max(0, low), high];
  };
  const [, breadth] = reach(layerOf(stack, panel).polygon);
  const glue = stack.joints
    .filter((joint) => joint.panel === panel || joint.onto === panel)
    .flatMap((joint) => joint.polygons.map((ring) => applyAll<'folded'>(layerOf(stack, joint.panel).map, ring)));
  return mm(Math.min(breadth, ...glue.map((ring) => reach(ring)[0])));
}

/** The fold a panel hangs by, what it hangs on, and the way square to it. Throws when it hangs by none. */
function hangingFold(stack: Stack, panel: PanelId) {
  const hinge = stack.hinges.find(({ between }) => between[1] === panel);
  if (!hinge) throw new Error(`${panel} hangs by no fold`);
  const line = hingeLine(stack, hinge, panel);
  const along = direction(line.from, line.to);
  return { on: hinge.between[0], line, square: { x: -along.y, y: along.x } };
}

/** How far two walls can stand apart, mm, with these panels between them one after the other. */
export const unfolds = (stack: Stack, between: readonly string[]): Mm =>
  mm(between.reduce((sum, panel) => sum + freeBreadth(stack, panel), 0));

/**
 * How much of what unfolds adds to half the mouth's perimeter, mm. What joins one wall's edge to the other's adds all of
 * it; a tab folded under and held by glue takes as much of the base as it gives, and adds nothing.
 */
export function addsToMouth(stack: Stack, between: readonly [string, ...string[]]): Mm {
  const first = hangingFold(stack, between[0]);
  const end = between.at(-1)!;
  const last = hangingFold(stack, end);
  const apart = Math.abs(dot(first.square, last.line.from) - dot(first.square, first.line.from));
  // Held by its own glue, not by the fold of the wall beyond.
  const glued = last.on === first.on || between.includes(last.on);
  return mm(unfolds(stack, between) - apart - (glued ? freeBreadth(stack, end) : 0));
}
