import type { Leaf, Side, Touch } from '../fold';
import { centre3, cross3, dot3, seenFrom, TOLERANCE, type Affine, type Point, type Pose, type Vec } from '../geometry';

/** Where the viewer stands: turned about the upright, and raised, degrees. */
const TURNED = -32;
const RAISED = 28;

const rad = (degrees: number): number => (degrees * Math.PI) / 180;
/** Towards the viewer, and what is right and up in the picture. */
const OUT: Vec = {
  x: Math.cos(rad(RAISED)) * Math.sin(rad(TURNED)),
  y: -Math.cos(rad(RAISED)) * Math.cos(rad(TURNED)),
  z: Math.sin(rad(RAISED)),
};
const RIGHT: Vec = { x: Math.cos(rad(TURNED)), y: Math.sin(rad(TURNED)), z: 0 };
const UP: Vec = cross3(OUT, RIGHT);
/** Light falls from above and a little from the left. */
const LIGHT: Vec = { x: -0.35, y: -0.45, z: 0.82 };

/** Where a place in space is seen, mm: x to the right, y up. */
export const inPicture = (p: Vec): Point<'scene'> => ({ x: dot3(p, RIGHT), y: dot3(p, UP) });

/** How a sheet that stands so is seen: from its own places to those of the picture. */
export const pictureMap = ({ x, y, o }: Pose): Affine => [
  dot3(x, RIGHT),
  dot3(x, UP),
  dot3(y, RIGHT),
  dot3(y, UP),
  dot3(o, RIGHT),
  dot3(o, UP),
];

/** A panel as it is seen: which side of it, and how much light falls on it, 0 to 1. */
interface SeenLeaf {
  readonly leaf: Leaf;
  readonly side: Side;
  readonly light: number;
}

/** What stands, drawn without perspective and ordered so that what is nearer is drawn later. */
export function drawingOrder(leaves: readonly Leaf[], touches: readonly Touch[]): readonly SeenLeaf[] {
  const seen = leaves.filter((l) => Math.abs(dot3(l.pose.normal, OUT)) > 1e-3);
  const flat = seen.map((l) => l.corners.map(inPicture));
  const boxes = flat.map((points) => ({
    x0: Math.min(...points.map((p) => p.x)),
    x1: Math.max(...points.map((p) => p.x)),
    y0: Math.min(...points.map((p) => p.y)),
    y1: Math.max(...points.map((p) => p.y)),
  }));
  const over = new Map(touches.map(({ panel, onto, face }): [string, Touch['face']] => [`${panel} ${onto}`, face]));
  const behind = seen.map(() => new Set<number>());
  seen.forEach((a, i) => {
    for (let j = i + 1; j < seen.length; j++) {
      const [p, q] = [boxes[i]!, boxes[j]!];
      if (p.x1 <= q.x0 || q.x1 <= p.x0 || p.y1 <= q.y0 || q.y1 <= p.y0) continue;
      // What does not cover each other in the picture needs no order, and orders for nothing make rings.
      if (beside(flat[i]!, flat[j]!) || beside(flat[j]!, flat[i]!)) continue;
      const front = inFront(a, seen[j]!, over);
      if (front > 0) behind[i]!.add(j);
      else if (front < 0) behind[j]!.add(i);
    }
  });
  const order: number[] = [];
  const done = new Set<number>();
  const depth = seen.map((l) => dot3(centre3(l.corners), OUT));
  while (order.length < seen.length) {
    const rest = seen.map((_, i) => i).filter((i) => !done.has(i));
    const free = rest.filter((i) => [...behind[i]!].every((j) => done.has(j)));
    // Panels that hide each other in a ring cannot be ordered: the furthest goes first.
    const next = (free.length > 0 ? free : rest).reduce((best, i) => (depth[i]! < depth[best]! ? i : best));
    order.push(next);
    done.add(next);
  }
  return order.map((i) => {
    const leaf = seen[i]!;
    const towards = dot3(leaf.pose.normal, OUT) > 0;
    const lit = dot3(leaf.pose.normal, LIGHT) * (towards ? 1 : -1);
    return { leaf, side: towards ? 'inside' : 'outside', light: 0.5 + 0.5 * Math.max(-1, Math.min(1, lit)) };
  });
}

/** True when a line along some side of `a` has all of `b` beyond it. */
function beside(a: readonly Point[], b: readonly Point[]): boolean {
  return a.some((from, i) => {
    const to = a[(i + 1) % a.length]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    if (length < TOLERANCE.standing) return false;
    const off = (p: Point): number => ((to.x - from.x) * (p.y - from.y) - (to.y - from.y) * (p.x - from.x)) / length;
    const [own, other] = [a.map(off), b.map(off)];
    return (
      (Math.max(...own) < TOLERANCE.standing && Math.min(...other) > -TOLERANCE.standing) ||
      (Math.min(...own) > -TOLERANCE.standing && Math.max(...other) < TOLERANCE.standing)
    );
  });
}

/** Above nought when `a` is nearer the viewer than `b`, below when further; nought when neither hides the other. */
function inFront(a: Leaf, b: Leaf, over: ReadonlyMap<string, Touch['face']>): number {
  const face = over.get(`${a.panel.id} ${b.panel.id}`);
  if (face) return dot3(b.pose.normal, OUT) > 0 === (face === 'inside') ? 1 : -1;
  const other = over.get(`${b.panel.id} ${a.panel.id}`);
  if (other) return dot3(a.pose.normal, OUT) > 0 === (other === 'inside') ? -1 : 1;
  return sideOfPlane(a, b) || -sideOfPlane(b, a);
}

/** Whether all of `a` lies on the viewer's side of the plane of `b` (1), on the far side (−1), or on both (0). */
function sideOfPlane(a: Leaf, b: Leaf): number {
  const viewer = dot3(b.pose.normal, OUT) > 0 ? 1 : -1;
  const off = a.corners.map((p) => seenFrom(b.pose, p).z * viewer);
  if (off.every((z) => Math.abs(z) < TOLERANCE.standing)) return 0;
  if (off.every((z) => z > -TOLERANCE.standing)) return 1;
  return off.every((z) => z < TOLERANCE.standing) ? -1 : 0;
}
