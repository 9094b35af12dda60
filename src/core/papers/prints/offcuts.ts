import { seeded } from '../../chance';
import { around, placed, through, type Inking, type Print } from './print';

const SIDE = 90;
const TILE = { width: SIDE, height: SIDE };
/** Scraps lie no closer than this, mm. */
const APART = 9;
const SHAPES = [
  [
    [-4, 2],
    [4, 2],
    [0, -2.5],
  ],
  [
    [-4.5, 2],
    [4.5, 2],
    [2.5, -2],
    [-2.5, -2],
  ],
  [
    [-3, -3],
    [3, -3],
    [3, 3],
    [-3, 3],
  ],
  [
    [-4, -1],
    [4, -1],
    [4, 1],
    [-4, 1],
  ],
  [
    [-3, 3],
    [3, 3],
    [3, -3],
  ],
] as const;

/** How far two places lie apart where the tile goes on beyond its sides. */
const across = (a: number, b: number): number => Math.min(Math.abs(a - b), SIDE - Math.abs(a - b));

function scraps(): readonly Inking[] {
  const chance = seeded(23);
  const places: (readonly [number, number])[] = [];
  for (let tries = 0; tries < 4000 && places.length < 80; tries++) {
    const [x, y] = [chance() * SIDE, chance() * SIDE];
    if (places.every(([a, b]) => Math.hypot(across(a, x), across(b, y)) > APART)) places.push([x, y]);
  }
  return places.flatMap((place, i) => {
    const [turn, size] = [chance() * 360, 0.7 + chance() * 0.5];
    return around(TILE, place, 8).map(([x, y]): Inking => ({
      d: through(placed(SHAPES[i % SHAPES.length]!, { x, y, turn, size }), true),
      fill: 1 + ((i * 3 + 1) % 5),
    }));
  });
}

/** Scraps of five papers, strewn. */
export const offcuts: Print = {
  name: 'offcuts',
  title: 'Offcuts, scraps',
  tile: TILE,
  directional: false,
  colours: ['#f2eee4', '#27474f', '#c0522f', '#dda541', '#8fa58b', '#4b3a52'],
  back: '#fbf8f0',
  draw: scraps,
};
