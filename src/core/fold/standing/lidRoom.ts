import type { PanelId } from '../../pattern';
import { boxOf3, seenFrom, type Pose, type Segment, TOLERANCE } from '../../geometry';
import { reached } from '../flat/hangsOn';
import { thickestPile } from '../flat/measure';
import { flushWith, pileOf } from './flush';
import { leafOf, type Leaf, type Standing } from './pose';
import { roomAxes, roomOver } from './boxRoom';

/** A lid and what it goes over: their floors, and the line on the inner floor along which the contents' width lies. */
export interface LidPair {
  readonly inner: PanelId;
  readonly outer: PanelId;
  readonly across: Segment<'sheet'>;
  readonly outerAcross: Segment<'sheet'>;
  /** A wall of the lid, which says how deep it is. */
  readonly wall: PanelId;
}

/** How a lid goes on, one way across. */
export interface LidWay {
  /** The lid's inside less the box's, as scored, mm. */
  readonly allowance: number;
  /** Layers of paper between the box's inside and the lid's wall, on one side: the most anywhere; and how thick. */
  readonly layers: number;
  readonly thick: number;
}

/** A lid on its box, both ways, read off how they stand, and how thick the paper of each piece is, mm. */
export function lidWays(
  standing: Standing,
  pair: LidPair,
  caliper: (piece: string) => number,
): { readonly width: LidWay; readonly height: LidWay } {
  const box = reached(standing, [pair.inner]);
  const lid = reached(standing, [pair.outer]);
  const axes = roomAxes(standing, { floor: pair.inner, across: pair.across });
  const inBox = standing.leaves.filter((l) => box.has(l.panel.id));
  const [least, most] = boxOf3(inBox.flatMap((l) => l.corners).map((p) => seenFrom(axes, p)));
  const over = roomOver(standing, { floor: pair.outer, across: pair.outerAcross, tall: pair.wall }, (l) =>
    lid.has(l.panel.id),
  );
  const ofLid = standing.leaves.filter((l) => lid.has(l.panel.id));
  const way = (axis: 'x' | 'y'): LidWay => {
    // The thicker of two opposite walls; inside the lid its own wall is the last layer, and is not counted.
    const between = (each: (piece: string) => number): number => {
      const ofBox = [least, most].map((end) => thickestBeside(inBox, axes, axis, end[axis], each));
      const lidWall = each(ofLid[0]!.piece);
      const inLid = [over.least, over.most].map((end) => thickestBeside(ofLid, over.axes, axis, end[axis], each));
      return Math.max(...ofBox) + Math.max(...inLid) - lidWall;
    };
    return {
      allowance: over.most[axis] - over.least[axis] - (most[axis] - least[axis]),
      layers: between(() => 1),
      thick: between(caliper),
    };
  };
  return { width: way('x'), height: way('y') };
}

/** What stands at one wall of a box: the thickest place of it, each layer counting what its piece does. */
function thickestBeside(
  leaves: readonly Leaf[],
  axes: Pose,
  axis: 'x' | 'y',
  at: number,
  each: (piece: string) => number,
): number {
  const flush = flushWith(leaves, axes, axis, at);
  return flush.length === 0 ? 0 : thickestPile(pileOf(flush), each);
}

/** How far two panels' edges lie on each other in space, mm: the longest stretch shared; 0 when they do not meet. */
export function edgesMeet(standing: Standing, a: PanelId, b: PanelId): number {
  const [p, q] = [leafOf(standing, a), leafOf(standing, b)];
  let best = 0;
  p.corners.forEach((from, i) => {
    const to = p.corners[(i + 1) % p.corners.length]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y, to.z - from.z);
    if (length < 1e-6) return;
    const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length, z: (to.z - from.z) / length };
    const on = (v: { x: number; y: number; z: number }): number | null => {
      const d = { x: v.x - from.x, y: v.y - from.y, z: v.z - from.z };
      const t = d.x * along.x + d.y * along.y + d.z * along.z;
      return Math.hypot(d.x - along.x * t, d.y - along.y * t, d.z - along.z * t) < TOLERANCE.agreed ? t : null;
    };
    q.corners.forEach((start, j) => {
      const [s, t] = [on(start), on(q.corners[(j + 1) % q.corners.length]!)];
      if (s === null || t === null) return;
      best = Math.max(best, Math.min(length, Math.max(s, t)) - Math.max(0, Math.min(s, t)));
    });
  });
  return best;
}
