import { through, type Inking, type Print } from './print';

const TILE = { width: 32, height: 40 };
/** The colours one under the other. */
const BANDS = [0, 1, 2, 1, 3, 1, 4, 1] as const;
const APART = TILE.height / BANDS.length;
/** How deep the comb has drawn a band, mm. */
const DRAWN = 9;

/** The upper rim of a band: arcs that hang between the teeth of a comb. */
const rim = (y: number): (readonly [number, number])[] =>
  Array.from({ length: 2 * TILE.width + 1 }, (_, i): readonly [number, number] => {
    const x = i / 2;
    return [x, y + DRAWN * Math.abs(2 * ((x % 16) / 16) - 1) ** 1.7];
  });

/** Marbled bands, drawn through with a comb. */
export const combed: Print = {
  name: 'combed',
  title: 'Combed, marbled',
  tile: TILE,
  directional: true,
  colours: ['#1f4656', '#e7dcc2', '#a5402c', '#7fa39c', '#d09b3f'],
  back: '#f9f4e6',
  draw: () =>
    Array.from({ length: BANDS.length + 5 }, (_, i): Inking => {
      const k = i - 4;
      const low = [
        [TILE.width, TILE.height + 20],
        [0, TILE.height + 20],
      ] as const;
      return { d: through([...rim(k * APART), ...low], true), fill: BANDS[(k + BANDS.length) % BANDS.length]! };
    }),
};
