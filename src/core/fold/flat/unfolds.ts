import type { PanelId } from '../../pattern';
import { applyAll, direction, dot, extent, type Polygon } from '../../geometry';
import { mm, type Mm } from '../../length';
import { hingeLine, layerOf, type Stack } from './stack';

/**
 * How far a panel can be lifted away from the fold it hangs by, mm: its breadth square to that fold, up to where glue
 * holds it down. Throws when it hangs by no fold.
 */
export function freeBreadth(stack: Stack, panel: PanelId): Mm {
  const hinge = stack.hinges.find(({ between }) => between[1] === panel);
  if (!hinge) throw new Error(`${panel} hangs by no fold`);
  const line = hingeLine(stack, hinge, panel);
  const along = direction(line.from, line.to);
  const square = { x: -along.y, y: along.x };
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

/** How far two walls can stand apart, mm, with these panels between them one after the other. */
export const unfolds = (stack: Stack, between: readonly string[]): Mm =>
  mm(between.reduce((sum, panel) => sum + freeBreadth(stack, panel), 0));
