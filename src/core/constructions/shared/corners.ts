import { difference, roundCorners, sideOf, type Polygon, type Segment, TOLERANCE } from '../../geometry';
import { mm, type Mm } from '../../length';
import { ring, type Trim } from '../../pattern';

/** A part with its outer corners rounded and what comes off at each, or the largest radius (mm) they all take. */
export type Rounded = { readonly polygon: Polygon<'sheet'>; readonly trims: readonly Trim[] } | { readonly limit: Mm };

/** The other half of a square that is cut corner to corner, its right angle away from the corner the first half has. */
export const otherHalf = (id: string, name: string, side: number, kept: NonNullable<Trim['kept']>): Trim => ({
  id: `second-${id}`,
  name,
  kept,
  polygon: ring([side, 0], [side, side], [0, side]),
  cut: {
    kind: 'path',
    path: [
      { x: side, y: 0 },
      { x: 0, y: side },
    ],
  },
});

/** Rounds the corners of a part at `indices`. */
export function rounded(
  shape: Polygon<'sheet'>,
  indices: readonly number[],
  radius: Mm,
  id: string,
  name: string,
): Rounded {
  const made = roundCorners(shape, indices, radius);
  if ('limit' in made) return { limit: mm(made.limit) };
  // Each corner by itself: taken at once, corners that touch would come off as one.
  const trims = indices.flatMap((index, i): Trim[] => {
    const one = roundCorners(shape, [index], radius);
    const [polygon] = 'polygon' in one ? difference([shape], [one.polygon]) : [];
    return polygon
      ? [{ id: `${id}-${i + 1}`, name, polygon, cut: { kind: 'rounded', corner: shape[index]!, radius } }]
      : [];
  });
  return { polygon: made.polygon, trims };
}

/** Rounds the corners at the outer end of a flap: those that stand away from the fold's own square ends. */
export function roundFree(
  shape: Polygon<'sheet'>,
  fold: Segment<'sheet'>,
  radius: Mm,
  id: string,
  name: string,
): Rounded {
  const depth = shape.map((p) => -sideOf(fold, p));
  const most = Math.max(...depth);
  const outer = shape.map((_, i) => i).filter((i) => depth[i]! > most - TOLERANCE.length);
  return rounded(shape, outer, radius, id, name);
}
