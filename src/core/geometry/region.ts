import { TOLERANCE } from './tolerance';
import { area, boxOf, signedArea, type Polygon } from './polygon';
import { sharedRegion } from './clip';
import { distance, type Frame } from './point';

/**
 * The same region in rings without holes: a ring round a hole is split through the hole's middle, upright.
 * Files and glue areas want plain polygons.
 */
export function plainRings<F extends Frame>(region: readonly Polygon<F>[]): Polygon<F>[] {
  const hole = region.find((ring) => signedArea(ring) < 0);
  if (!hole) return region.flatMap(splitWhereTouching);
  const all = boxOf(region.flat());
  const cut = (boxOf(hole).minX + boxOf(hole).maxX) / 2;
  const slab = (from: number, to: number): Polygon<F> => [
    { x: from, y: all.minY - 1 },
    { x: to, y: all.minY - 1 },
    { x: to, y: all.maxY + 1 },
    { x: from, y: all.maxY + 1 },
  ];
  return [slab(all.minX - 1, cut), slab(cut, all.maxX + 1)].flatMap((half) => plainRings(sharedRegion(region, [half])));
}

/** A ring that touches itself at a corner, as the separate rings it is made of. */
function splitWhereTouching<F extends Frame>(ring: Polygon<F>): Polygon<F>[] {
  for (let i = 0; i < ring.length; i++)
    for (let j = i + 1; j < ring.length; j++)
      if (distance(ring[i]!, ring[j]!) < TOLERANCE.drawn)
        return [ring.slice(i, j), [...ring.slice(0, i), ...ring.slice(j)]]
          .filter((part) => part.length > 2)
          .flatMap(splitWhereTouching);
  return [ring];
}

/** Area of a region, holes taken off, mm². */
export const regionArea = (region: readonly Polygon[]): number =>
  region.reduce((sum, ring) => sum + (signedArea(ring) < 0 ? -1 : 1) * area(ring), 0);
