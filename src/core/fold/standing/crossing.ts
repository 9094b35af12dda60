import { cross3, dot3, length3, minus3, plus3, seenFrom, type Vec } from '../../geometry';
import type { Leaf } from './pose';

/** Paper touches paper within this, mm: less than that on either side is no passing through. */
const TOUCH = 0.02;

/** True when the upright boxes round two panels do not meet. */
const apart = (a: Leaf, b: Leaf): boolean =>
  a.box[1].x < b.box[0].x - TOUCH ||
  b.box[1].x < a.box[0].x - TOUCH ||
  a.box[1].y < b.box[0].y - TOUCH ||
  b.box[1].y < a.box[0].y - TOUCH ||
  a.box[1].z < b.box[0].z - TOUCH ||
  b.box[1].z < a.box[0].z - TOUCH;

/**
 * True when two flat panels pass through each other: each stands on both sides of the other's plane, and on the line
 * where the planes meet there is a stretch that belongs to both. Panels that only touch, or share an edge, do not.
 */
export function passThrough(a: Leaf, b: Leaf): boolean {
  if (apart(a, b)) return false;
  const [aOff, bOff] = [heights(a, b), heights(b, a)];
  if (!onBothSides(aOff) || !onBothSides(bOff)) return false;
  const along = cross3(a.pose.normal, b.pose.normal);
  const length = length3(along);
  if (length < 1e-9) return false;
  const line = { x: along.x / length, y: along.y / length, z: along.z / length };
  const [as, bs] = [stretches(a, aOff, line), stretches(b, bOff, line)];
  return as.some(([from, to]) => bs.some(([start, end]) => Math.min(to, end) - Math.max(from, start) > TOUCH));
}

/** How far each corner of one panel stands off the plane of another, mm. */
const heights = (a: Leaf, b: Leaf): number[] => a.corners.map((corner) => seenFrom(b.pose, corner).z);

const onBothSides = (off: readonly number[]): boolean => off.some((z) => z > TOUCH) && off.some((z) => z < -TOUCH);

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
