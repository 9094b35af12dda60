import type { PanelId, Hinge, Panel } from '../../pattern';
import { boxOf3, poseOf, posed, type Pose, type Vec } from '../../geometry';
import type { Joint, Stack } from '../flat/stack';

/** One panel where it stands in space. */
export interface Leaf {
  readonly piece: string;
  readonly panel: Panel;
  readonly pose: Pose;
  /** Corners in space, as the panel's polygon has them. */
  readonly corners: readonly Vec[];
  readonly box: readonly [Vec, Vec];
}

/** One paper face to face with another: `panel` lies on that face of `onto`. */
export interface Touch {
  readonly panel: PanelId;
  readonly onto: PanelId;
  readonly face: 'inside' | 'outside';
}

/** Paper standing in space: every panel, what hinges and glue hold together, and what lies on what. */
export interface Standing {
  readonly leaves: readonly Leaf[];
  readonly hinges: readonly Hinge[];
  readonly joints: readonly Joint[];
  readonly touches: readonly Touch[];
}

export const leaf = (piece: string, panel: Panel, pose: Pose): Leaf => {
  const corners = panel.polygon.map((p) => posed(pose, p));
  return { piece, panel, pose, corners, box: boxOf3(corners) };
};

/** A leaf carried by a move of space. */
export const carriedLeaf = ({ piece, panel, pose }: Leaf, move: (pose: Pose) => Pose): Leaf =>
  leaf(piece, panel, move(pose));

/** The panel of that id. Throws when it is not there. */
export function leafOf(standing: Pick<Standing, 'leaves'>, panel: PanelId): Leaf {
  const found = standing.leaves.find((l) => l.panel.id === panel);
  if (!found) throw new Error(`nothing standing is called ${panel}`);
  return found;
}

/** A flat pile as it lies on the table: all in one plane, who lies on whom remembered. `aside` mm to the right. */
export function standingOf(stack: Stack, panels: ReadonlyMap<string, Panel>, aside = 0): Standing {
  const leaves = stack.layers.map(({ piece, panel, map: [a, b, c, d, e, f] }) =>
    leaf(piece, panels.get(panel)!, poseOf([a, b, c, d, e + aside, f])),
  );
  // Each on the next one down that it overlaps would do; all pairs are few, and need no order.
  const touches = stack.layers.flatMap((upper, i) =>
    stack.layers.slice(0, i).map((lower): Touch => ({
      panel: upper.panel,
      onto: lower.panel,
      face: lower.up === 'inside' ? 'inside' : 'outside',
    })),
  );
  return { leaves, hinges: stack.hinges, joints: stack.joints, touches };
}
