import type { PanelId, Hinge } from '../../pattern';
import { apply, type Point } from '../../geometry';
import { hingeLine, isFolded, layerOf, type Stack } from './stack';

/** Paper held to paper across a gap between layers: along a folded hinge (a line) or over a glued area (a ring). */
export interface Tie {
  readonly by: string;
  readonly points: readonly Point<'folded'>[];
  /** The hinge, where it is one. */
  readonly hinge: Hinge | null;
}

/**
 * Everything that ties the panels above a gap to those below it, in the folded plane. Panels that merely lie on
 * one another are not tied; a hinge ties once it is folded, glue always.
 */
export function tiesBetween(stack: Stack, isAbove: (panel: PanelId) => boolean): Tie[] {
  const ties: Tie[] = [];
  for (const hinge of stack.hinges) {
    const [a, b] = hinge.between;
    if (isAbove(a) === isAbove(b) || !isFolded(stack, hinge)) continue;
    const { from, to } = hingeLine(stack, hinge);
    ties.push({ by: hinge.id, points: [from, to], hinge });
  }
  for (const joint of stack.joints) {
    if (isAbove(joint.panel) === isAbove(joint.onto)) continue;
    const { map } = layerOf(stack, joint.panel);
    for (const polygon of joint.polygons)
      ties.push({ by: joint.id, points: polygon.map((p) => apply<'folded'>(map, p)), hinge: null });
  }
  return ties;
}
