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
