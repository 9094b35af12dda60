import { cross3, dot3, length3, minus3, plus3, seenFrom, type Vec } from '../../geometry';
import { EXACT } from '../flat/slack';
import type { Leaf } from './pose';

/** True when the upright boxes round two panels do not meet. */
const apart = (a: Leaf, b: Leaf, touch: number): boolean =>
  a.box[1].x < b.box[0].x - touch ||
  b.box[1].x < a.box[0].x - touch ||
  a.box[1].y < b.box[0].y - touch ||
  b.box[1].y < a.box[0].y - touch ||
  a.box[1].z < b.box[0].z - touch ||
  b.box[1].z < a.box[0].z - touch;

/**
 * True when two flat panels pass through each other: each stands on both sides of the other's plane, and on the line
 * where the planes meet there is a stretch that belongs to both. Panels that only touch, or share an edge, do not.
 * @param touch less than this on either side is touching, mm
 */
export function passThrough(a: Leaf, b: Leaf, touch: number = EXACT.touch): boolean {
  if (apart(a, b, touch)) return false;
  const aOff = heights(a, b);
  if (!onBothSides(aOff, touch)) return false;
  const bOff = heights(b, a);
  if (!onBothSides(bOff, touch)) return false;
  const along = cross3(a.pose.normal, b.pose.normal);
  const length = length3(along);
  if (length < 1e-9) return false;
  const line = { x: along.x / length, y: along.y / length, z: along.z / length };
  const [as, bs] = [stretches(a, aOff, line), stretches(b, bOff, line)];
  return as.some(([from, to]) => bs.some(([start, end]) => Math.min(to, end) - Math.max(from, start) > touch));
}

/** How far each corner of one panel stands off the plane of another, mm. */
const heights = (a: Leaf, b: Leaf): number[] => a.corners.map((corner) => seenFrom(b.pose, corner).z);

const onBothSides = (off: readonly number[], touch: number): boolean =>
  off.some((z) => z > touch) && off.some((z) => z < -touch);

/** The stretches of a plane's line that run inside a panel, as distances along the line. */
function stretches({ corners }: Leaf, off: readonly number[], line: Vec): [number, number][] {
  const hits: number[] = [];
  corners.forEach((from, i) => {
    const j = (i + 1) % corners.length;
    const [z, next] = [off[i]!, off[j]!];
    // A corner in the plane counts as standing above it, so that every way through is counted twice.
    if (z < 0 === next < 0) return;
    hits.push(dot3(plus3(from, minus3(corners[j]!, from), z / (z - next)), line));
  });
  hits.sort((p, q) => p - q);
  const found: [number, number][] = [];
  for (let i = 0; i + 1 < hits.length; i += 2) found.push([hits[i]!, hits[i + 1]!]);
  return found;
}
