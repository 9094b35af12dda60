import type { Units } from '@/core/length';

/** The sheet paper is told in, mm: what most people have lying there. */
const SHEET = {
  in: { area: 304.8 * 304.8, name: 'a 12 in sheet', many: 'sheets of 12 in' },
  mm: { area: 210 * 297, name: 'an A4 sheet', many: 'sheets of A4' },
} as const satisfies Record<Units, object>;

const PARTS: readonly (readonly [share: number, words: string])[] = [
  [1 / 12, 'a twelfth'],
  [1 / 8, 'an eighth'],
  [1 / 6, 'a sixth'],
  [1 / 5, 'a fifth'],
  [1 / 4, 'a quarter'],
  [1 / 3, 'a third'],
  [1 / 2, 'half'],
  [2 / 3, 'two thirds'],
  [3 / 4, 'three quarters'],
];

/** So much paper, mm², as a crafter sees it: `about a third of a 12 in sheet`, `about 2 sheets of 12 in`. */
export function sheetWords(area: number, units: Units): string {
  const { area: whole, name, many } = SHEET[units];
  const share = area / whole;
  if (share < 1 / 14) return `a corner of ${name}`;
  if (share > 0.875) {
    const sheets = Math.max(1, Math.round(share * 2) / 2);
    return sheets === 1 ? `about the whole of ${name}` : `about ${String(sheets).replace('.5', ' 1/2')} ${many}`;
  }
  // The nearest of the usual parts, by how much larger or smaller it is.
  const off = (part: number): number => Math.abs(Math.log(share / part));
  const [, words] = PARTS.reduce((best, one) => (off(one[0]) < off(best[0]) ? one : best));
  return `about ${words} of ${name}`;
}
