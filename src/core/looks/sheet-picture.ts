import { alongContents } from '../fit';
import { flatStack, mouthView } from '../fold';
import { boxOf, type Point } from '../geometry';
import type { Design } from '../design';
import { glueAreas, keepDry, scoreNumbers, type Made, type MadePiece } from '../plan';
import { asMade } from './sheet-looks';
import { sheetScene, type OnSheet, type Scene } from '../scene';

/** A piece of a made plan, flat, as every screen and file shows it: cuts, numbered scores, where glue goes and where none may. */
export function sheetPicture(made: Made, { piece, programme }: MadePiece = made.pieces[0], on: OnSheet = {}): Scene {
  const own = (panel: string): boolean => piece.panels.some(({ id }) => id === panel);
  const scene = sheetScene(piece, {
    numbers: scoreNumbers(programme),
    glue: glueAreas(made).flatMap(({ joint }) => (own(joint.panel) ? joint.polygons : [])),
    noGlue: keepDry(made).flatMap(({ panel, polygons }) => (own(panel) ? polygons : [])),
    ...on,
  });
  return asMade(made, scene);
}

/** Where contents lie on a sheet, mm. */
export interface SheetSeat {
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
export function contentsOnSheet(made: Made, { piece }: MadePiece, design: Design): SheetSeat | null {
  const [cavity] = made.built.cavities;
  const panel = piece.panels.find(({ id }) => id === cavity?.floor);
  if (!cavity || cavity.kind === 'box' || !panel) return null;
  const view = mouthView(flatStack(piece), cavity);
  const { width, height } = design.contents ?? made.largest;
  const { width: across, height: deep } = alongContents(cavity, { width: view.across, height: view.up });
  const { minX, maxX, minY, maxY } = boxOf(panel.polygon);
  const heart = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
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
