import type { Print } from './print';

const TURNS = [
  [0, 1, 2, 3],
  [2, 3, 1, 0],
  [1, 0, 3, 2],
  [3, 2, 0, 1],
] as const;
/** Half a disc of 5 mm round a place, its flat side turned by quarters clockwise from below. */
const FLAT = [
  [-5, 0, 5, 0],
  [0, -5, 0, 5],
  [5, 0, -5, 0],
  [0, 5, 0, -5],
] as const;

/** Half-discs, turned every way. */
export const halves: Print = {
  name: 'halves',
  title: 'Halves, half-discs',
  tile: { width: 48, height: 48 },
  directional: false,
  colours: ['#f4ecdb', '#d59a36', '#2e4a54'],
  back: '#fdf6e6',
  draw: () =>
    TURNS.flatMap((row, j) =>
      row.map((turn, i) => {
        const [x1, y1, x2, y2] = FLAT[turn];
        const [x, y] = [i * 12 + 6, j * 12 + 6];
        return { d: `M${x + x1} ${y + y1}A5 5 0 0 1 ${x + x2} ${y + y2}z`, fill: (i * 4 + j) % 5 === 0 ? 2 : 1 };
      }),
    ),
};
