import type { TableReading } from '@/core/files/csv';

/** All lines of a table; `told` hears what share is read, and the page is drawn and answers in between. */
export async function readInParts<Line>(
  reading: Extract<TableReading<Line>, { ok: true }>,
  told: (share: number) => void,
): Promise<readonly Line[]> {
  const lines: Line[] = [];
  for (const part of reading.parts()) {
    lines.push(...part);
    told(lines.length / reading.count);
    await new Promise((next) => setTimeout(next));
  }
  return lines;
}
