import { NM, type Item, type Stock } from '../../src/core/cutting/problem';

/** An eight-page album: 160 pieces of 10 sizes, inches. */
export const ALBUM = [
  ['mat', 5.25, 5.875, 16],
  ['page', 6, 6.5, 16],
  ['pocket', 5.5, 4.25, 16],
  ['tag', 3, 5, 16],
  ['strip', 1.5, 6, 16],
  ['band', 1, 11.5, 16],
  ['small mat', 3.75, 2.75, 16],
  ['flap', 4, 5.75, 16],
  ['card', 2.5, 3.5, 16],
  ['hinge', 1.25, 6.5, 16],
] as const;

/**
 * Squares of `side` cut up from edge to edge, the largest part again and again: the pieces of each in whole units, and
 * where they lay. `share` says where the n-th cut falls, from 0 to 1; no piece gets narrower than `least`.
 */
export function cutUpSquares(
  squares: number,
  each: number,
  side: number,
  least: number,
  share: (n: number) => number,
): { x: number; y: number; width: number; height: number }[][] {
  let cuts = 0;
  return Array.from({ length: squares }, () => {
    const parts = [{ x: 0, y: 0, width: side, height: side }];
    while (parts.length < each) {
      parts.sort((a, b) => b.width * b.height - a.width * a.height);
      const part = parts[0]!;
      const upright = part.width > part.height;
      const long = upright ? part.width : part.height;
      if (long < 2 * least) break;
      const at = least + Math.min(long - 2 * least, Math.floor(share(cuts++) * (long - 2 * least + 1)));
      parts.splice(
        0,
        1,
        ...(upright
          ? [
              { ...part, width: at },
              { ...part, x: part.x + at, width: part.width - at },
            ]
          : [
              { ...part, height: at },
              { ...part, y: part.y + at, height: part.height - at },
            ]),
      );
    }
    return parts;
  });
}

/** A sheet in whole units, as the search sees it. */
export const stockOf = (width: number, height: number, more: Partial<Stock> = {}): Stock => ({
  width: width * NM,
  height: height * NM,
  kerf: 0,
  count: Infinity,
  turn: true,
  priority: 0,
  sheet: 0,
  ...more,
});
/** A size of piece in whole units. */
export const itemOf = (width: number, height: number, demand = 1, turn = true): Item => ({
  width: width * NM,
  height: height * NM,
  turn,
  demand,
  pieces: [],
});
