import { seenFrom, type Point, type Pose } from '../../geometry';
import type { Stack } from '../flat/stack';
import type { Leaf } from './pose';

/** Paper that stands within this of a plane counts as its layers, mm. */
const FLUSH = 0.5;

/** An axis of a room. */
export type Axis = 'x' | 'y' | 'z';
const OTHERS = { x: ['y', 'z'], y: ['x', 'z'], z: ['x', 'y'] } as const;

/** The leaves that stand flush with a plane square to an axis, each as it is seen along it. */
export const flushWith = (
  leaves: readonly Leaf[],
  axes: Pose,
  axis: Axis,
  at: number,
): { readonly leaf: Leaf; readonly polygon: readonly Point<'folded'>[] }[] =>
  leaves.flatMap((leaf) => {
    const corners = leaf.corners.map((p) => seenFrom(axes, p));
    const [u, v] = OTHERS[axis];
    return corners.every((p) => Math.abs(p[axis] - at) < FLUSH)
      ? [{ leaf, polygon: corners.map((p): Point<'folded'> => ({ x: p[u], y: p[v] })) }]
      : [];
  });

/** Leaves seen along an axis as a pile, to count how thick they lie. */
export const pileOf = (flush: ReturnType<typeof flushWith>): Stack => ({
  hinges: [],
  joints: [],
  layers: flush.map(({ leaf, polygon }, i) => ({
    piece: leaf.piece,
    panel: String(i),
    map: [1, 0, 0, 1, 0, 0],
    up: 'inside',
    polygon,
  })),
});
