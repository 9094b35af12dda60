import type { LaidItem } from './problem';

/** Pieces joined side by side (`across`) or one above the other: the least rectangle round them, and how it came about. */
export interface Joined {
  readonly width: number;
  readonly height: number;
  /** How many of each item. */
  readonly counts: Uint16Array;
  readonly made:
    | { readonly item: number; readonly turned: boolean }
    | { readonly a: Joined; readonly b: Joined; readonly across: boolean };
}

/** Where the pieces of a joined rectangle lie, nm from its lower left. */
export function laidOut({ made }: Joined, x = 0, y = 0): LaidItem[] {
  if ('item' in made) return [{ ...made, x, y }];
  const { a, b, across } = made;
  return [...laidOut(a, x, y), ...laidOut(b, across ? x + a.width : x, across ? y : y + a.height)];
}
