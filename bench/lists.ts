import type { CutListInput } from '../src/core/cutting';
import { ALBUM } from '../tests/helpers/cut-lists';

/** Numbers from 0 to 1 that look random and are the same every time (Park and Miller 1988). */
export function chance(seed: number): () => number {
  let at = seed;
  return () => {
    at = (at * 48271) % 2147483647;
    return at / 2147483647;
  };
}

type Written = Omit<CutListInput, 'cutter'>;
const sheet = { name: '12 in square', width: '12 in', height: '12 in' };
const of = (
  pieces: readonly (readonly [width: string | number, height: string | number, quantity: number])[],
): Written => ({
  version: 1,
  sheets: [sheet],
  pieces: pieces.map(([width, height, quantity], i) => ({ name: `piece ${i + 1}`, width, height, quantity })),
});
const inch = (w: number, h: number, n: number) => [`${w} in`, `${h} in`, n] as const;

/** An eight-page album: 160 pieces of 10 sizes. */
export const album = of(ALBUM.map(([, width, height, quantity]) => inch(width, height, quantity)));

/** Four cards with box, lid and envelopes. */
export const cards = of([
  inch(8.5, 5.5, 4),
  inch(7.625, 7.625, 4),
  inch(8, 9.5, 1),
  inch(8.125, 9.625, 1),
  inch(4, 5.25, 4),
]);

/** Pieces of so many sizes, 30 to 200 mm long, so many together. */
export function random(sizes: number, pieces: number, seed: number): Written {
  const next = chance(seed);
  return of(
    Array.from({ length: sizes }, (_, i) => [
      Math.round(30 + next() * 170),
      Math.round(30 + next() * 170),
      Math.floor(pieces / sizes) + (i < pieces % sizes ? 1 : 0),
    ]),
  );
}

/** So many sheets, each cut up from edge to edge into so many pieces, on a grid of `step` eighths of an inch. */
export function cutUp(sheets: number, each: number, step: number, seed: number): Written {
  const next = chance(seed);
  const all: [number, number][] = [];
  for (let i = 0; i < sheets; i++) {
    const parts: [number, number][] = [[96, 96]];
    while (parts.length < each) {
      parts.sort((a, b) => b[0] * b[1] - a[0] * a[1]);
      const [w, h] = parts.shift()!;
      const long = Math.max(w, h);
      const cut = Math.max(step, Math.round((long * (0.3 + 0.4 * next())) / step) * step);
      parts.push(
        ...((w > h
          ? [
              [cut, h],
              [w - cut, h],
            ]
          : [
              [w, cut],
              [w, h - cut],
            ]) as [number, number][]),
      );
    }
    all.push(...parts);
  }
  const counted = new Map<string, [number, number, number]>();
  for (const [a, b] of all) {
    const [w, h] = a > b ? [a, b] : [b, a];
    const known = counted.get(`${w} ${h}`);
    if (known) known[2]++;
    else counted.set(`${w} ${h}`, [w, h, 1]);
  }
  return of([...counted.values()].map(([w, h, n]) => [`${w}/8 in`, `${h}/8 in`, n]));
}
