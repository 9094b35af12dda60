import type { SheetLayout } from '@/core/cutting';

/** Sheets laid alike, one after the other: the first of them and how many. */
export interface SheetGroup {
  readonly first: number;
  readonly count: number;
}

/** Neighbouring sheets with the same pieces in the same places, whatever the pieces' names. */
export function sheetGroups(sheets: readonly SheetLayout[]): SheetGroup[] {
  const groups: { first: number; count: number; key: string }[] = [];
  sheets.forEach(({ sheet, placements }, i) => {
    const places = placements.map(({ x, y, width, height }) => [x, y, width, height].map((n) => n.toFixed(2)).join());
    const key = `${sheet}|${places.join('|')}`;
    const last = groups.at(-1);
    if (last?.key === key) last.count++;
    else groups.push({ first: i, count: 1, key });
  });
  return groups.map(({ first, count }) => ({ first, count }));
}
