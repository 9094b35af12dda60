import { mm, type Mm } from '../length';

/** A page of a printer, with the rim it cannot print. */
export interface Page {
  readonly id: 'a4' | 'letter';
  readonly title: string;
  readonly width: Mm;
  readonly height: Mm;
}

export const PAGES: readonly Page[] = [
  { id: 'a4', title: 'A4', width: mm(210), height: mm(297) },
  { id: 'letter', title: 'Letter', width: mm(215.9), height: mm(279.4) },
];

/** Rim left free on every page, mm: most printers cannot reach the last 6 mm. From memory. */
export const RIM = 10;
/** Strip at the foot of every page for the check bar and the title, mm. */
export const FOOT = 18;
/** How far neighbouring pages repeat each other, so that they can be laid over and taped, mm. */
export const OVERLAP = 10;

/** The part of the sheet one page shows: its lower left corner on the sheet, and its size, mm. */
export interface Tile {
  readonly row: number;
  readonly column: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Where the tiles of one direction start, so that they overlap and cover the length. */
function starts(length: number, window: number): number[] {
  const found = [0];
  while (found.at(-1)! + window < length - 1e-6) found.push(found.at(-1)! + window - OVERLAP);
  return found;
}

/** Divides a sheet over pages, upright or across, whichever takes fewer. Rows run from the top. */
export function tilesFor(
  size: { readonly width: number; readonly height: number },
  page: Page,
): { readonly across: boolean; readonly tiles: readonly Tile[] } {
  const lay = (across: boolean): Tile[] => {
    const [w, h] = across ? [page.height, page.width] : [page.width, page.height];
    const window = { width: w - 2 * RIM, height: h - 2 * RIM - FOOT };
    const columns = starts(size.width, window.width);
    const rows = starts(size.height, window.height);
    return rows.flatMap((top, row) =>
      columns.map((x, column) => ({ row, column, x, y: size.height - top - window.height, ...window })),
    );
  };
  const [upright, across] = [lay(false), lay(true)];
  return across.length < upright.length ? { across: true, tiles: across } : { across: false, tiles: upright };
}
