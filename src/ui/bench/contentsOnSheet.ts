import { alongContents } from '@/core/fit';
import { flatStack, mouthView } from '@/core/fold';
import type { Point } from '@/core/geometry';
import type { Design } from '@/core/design';
import type { Made, MadePiece } from '@/core/plan';

/** Where contents lie on a sheet, mm. */
export interface Seat {
  readonly panel: string;
  readonly card: readonly Point<'sheet'>[];
  readonly corner: Point<'sheet'>;
  readonly heart: Point<'sheet'>;
  /** Directions of the contents' width and height on the sheet. */
  readonly across: Point;
  readonly deep: Point;
  readonly width: number;
  readonly height: number;
  /** Width of the label's place on the sheet, mm. */
  readonly shown: number;
}

/** The contents as they will lie on the panel that takes them, when that is on this piece. */
export function contentsOnSheet(made: Made, { piece }: MadePiece, design: Design): Seat | null {
  const [cavity] = made.built.cavities;
  const panel = piece.panels.find(({ id }) => id === cavity?.floor);
  if (!cavity || cavity.kind === 'box' || !panel) return null;
  const view = mouthView(flatStack(piece), cavity);
  const { width, height } = design.contents ?? made.largest;
  const { width: across, height: deep } = alongContents(cavity, { width: view.across, height: view.up });
  const xs = panel.polygon.map((p) => p.x);
  const ys = panel.polygon.map((p) => p.y);
  const heart = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const card = (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([u, v]) => ({
    x: heart.x + (across.x * u * width) / 2 + (deep.x * v * height) / 2,
    y: heart.y + (across.y * u * width) / 2 + (deep.y * v * height) / 2,
  }));
  const corner = card.reduce((a, b) => (b.y > a.y + 1e-6 || (Math.abs(b.y - a.y) < 1e-6 && b.x > a.x) ? b : a));
  const shown = Math.max(...card.map((p) => p.x)) - Math.min(...card.map((p) => p.x));
  return { panel: panel.id, card, corner, heart, across, deep, width, height, shown };
}
