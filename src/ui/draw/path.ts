import type { Point } from '@/core/geometry';

/** SVG path data for closed rings, after mapping each point to pixels. */
export const ringsPath = (rings: readonly (readonly Point[])[], at: (p: Point) => readonly [number, number]): string =>
  rings
    .map(
      (ring) =>
        `M${ring
          .map((p) =>
            at(p)
              .map((v) => v.toFixed(2))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');
