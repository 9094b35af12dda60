/** Breadth that a figure takes in a drawing, px, and how far apart rows of them stand. */
const BREADTH = 60;
export const ROW = 22;

/** The row, from 0, in which each figure stands under its mark so that none runs over another; marks in px. */
export function figureRows(marks: readonly number[]): readonly number[] {
  const rows = marks.map(() => 0);
  const ends: number[] = [];
  for (const [i, x] of [...marks.entries()].sort(([, a], [, b]) => a - b)) {
    const free = ends.findIndex((end) => x - BREADTH / 2 >= end);
    rows[i] = free < 0 ? ends.length : free;
    ends[rows[i]] = x + BREADTH / 2;
  }
  return rows;
}

/** Room for figures under their marks, px: the first row and those under it. */
export const roomForRows = (marks: readonly number[], first: number): number =>
  marks.length === 0 ? 0 : first + ROW * Math.max(...figureRows(marks));

/** Of several lengths those that are told in figures: all, or where one is at hand that one alone. */
export function toldIn(lengths: readonly number[], shown: number | undefined): readonly number[] {
  const unlike = lengths.filter((at, i) => lengths.findIndex((other) => Math.abs(other - at) < 0.01) === i);
  if (shown === undefined) return unlike;
  const at = unlike.filter((one) => Math.abs(one - shown) < 0.01);
  return at.length > 0 ? at : unlike.slice(0, 1);
}

/** Numbers on a ruler stand so far apart that none runs into the next, in steps of its unit: px to a millimetre. */
export function numberedEvery(units: 'in' | 'mm', scale: number): number {
  const [unit, steps, room] = units === 'in' ? [25.4, [1, 2, 4, 6], 16] : [1, [20, 50, 100, 200], 30];
  return unit * (steps.find((step) => step * unit * scale >= room) ?? steps.at(-1)!);
}
