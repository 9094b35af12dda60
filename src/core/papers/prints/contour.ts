import type { Inking, Print } from './print';

const SIDE = 80;
/** Cells along a side: lines are drawn straight within each. */
const CELLS = 96;
const STEP = 0.36;
const [LOWEST, HIGHEST] = [-2.6, 2.7];
/** From this level on the land is drawn in the other colour. */
const HIGH = 10;

/** How high the land lies; the same at opposite sides of the tile. */
function height(i: number, j: number): number {
  const [a, b] = [(i / CELLS) * 2 * Math.PI, (j / CELLS) * 2 * Math.PI];
  return Math.sin(a) + Math.cos(b) + 0.7 * Math.sin(2 * a + b) + 0.5 * Math.cos(3 * b - a);
}

/** The land at every corner of every cell. */
const surveyed = (): readonly (readonly number[])[] =>
  Array.from({ length: CELLS + 1 }, (_, j) => Array.from({ length: CELLS + 1 }, (__, i) => height(i, j)));

/** The lines at one height: from each side of a cell where the land crosses it to the next such side. */
function linesAt(level: number, land: readonly (readonly number[])[]): string {
  const cell = SIDE / CELLS;
  let d = '';
  for (let j = 0; j < CELLS; j++)
    for (let i = 0; i < CELLS; i++) {
      const corners = [
        [i, j],
        [i + 1, j],
        [i + 1, j + 1],
        [i, j + 1],
      ] as const;
      const over = corners.map(([x, y]) => land[y]![x]! - level);
      // Most cells lie wholly over or under it.
      if (Math.min(...over) >= 0 || Math.max(...over) < 0) continue;
      const crossed = corners.flatMap(([x, y], at) => {
        const next = (at + 1) % 4;
        const [from, to] = [over[at]!, over[next]!];
        if (from < 0 === to < 0) return [];
        const [share, [nx, ny]] = [from / (from - to), corners[next]!];
        return [`${((x + share * (nx - x)) * cell).toFixed(2)} ${((y + share * (ny - y)) * cell).toFixed(2)}`];
      });
      if (crossed.length >= 2) d += `M${crossed[0]}L${crossed[1]}`;
      if (crossed.length === 4) d += `M${crossed[2]}L${crossed[3]}`;
    }
  return d;
}

/** Level lines, as on a map of hills: every fifth is bolder, the high land of another colour. */
export const contour: Print = {
  name: 'contour',
  title: 'Contour, level lines',
  tile: { width: SIDE, height: SIDE },
  directional: false,
  colours: ['#e7dfc6', '#7a6240', '#3f7c7a'],
  back: '#fbf7ea',
  draw: () => {
    const land = surveyed();
    return Array.from({ length: Math.floor((HIGHEST - LOWEST) / STEP) + 1 }, (_, k): Inking => ({
      d: linesAt(LOWEST + k * STEP, land),
      stroke: k >= HIGH ? 2 : 1,
      width: k % 5 === 0 ? 0.6 : 0.3,
    }));
  },
};
