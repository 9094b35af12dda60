import type { Polygon, Segment } from '../geometry';
import { blankPolygon, outlineOf, type Blank, type Hole } from '../pattern';
import {
  companionsOf,
  glueAreas,
  keepDry,
  scoreNumbers,
  type Companion,
  type Design,
  type Made,
  type MadePiece,
} from '../plan';

/** A numbered fold line. */
export interface ScoreLine extends Segment<'sheet'> {
  readonly id: string;
  /** Its place in the order of scoring, as the steps number it. */
  readonly number: number;
  readonly fold: 'valley' | 'mountain';
}

/** A flat piece as lines and areas on the sheet, millimetres, y up: what every drawing and file shows. */
export interface SheetDrawing {
  readonly name: string;
  readonly blank: Blank;
  readonly outline: readonly Polygon<'sheet'>[];
  readonly scores: readonly ScoreLine[];
  readonly holes: readonly Hole[];
  readonly slits: readonly Segment<'sheet'>[];
  readonly glue: readonly Polygon<'sheet'>[];
  readonly noGlue: readonly Polygon<'sheet'>[];
}

/** Draws one piece of a made plan. */
export function sheetDrawing(made: Made, { piece, programme }: MadePiece = made.pieces[0]): SheetDrawing {
  const numbers = scoreNumbers(programme);
  const own = (panel: string): boolean => piece.panels.some(({ id }) => id === panel);
  return {
    name: piece.name,
    blank: piece.blank,
    outline: outlineOf(piece),
    scores: piece.hinges
      .map(({ id, line, fold }) => ({ ...line, id, fold, number: numbers.get(id) ?? 0 }))
      .sort((a, b) => a.number - b.number),
    holes: piece.holes,
    slits: piece.slits.map(({ line }) => line),
    glue: glueAreas(made).flatMap(({ joint }) => (own(joint.panel) ? joint.polygons : [])),
    noGlue: keepDry(made).flatMap(({ panel, polygons }) => (own(panel) ? polygons : [])),
  };
}

/** Every sheet to cut for a made plan: its pieces, then the companions asked for. */
export const allDrawings = (made: Made, design: Pick<Design, 'companions' | 'graduation'>): readonly SheetDrawing[] => [
  ...made.pieces.map((part) => sheetDrawing(made, part)),
  ...companionsOf(made, design).map(companionDrawing),
];

/** A companion as a sheet: a rectangle, its scores and holes. */
function companionDrawing({ title, width, height, scores, holes }: Companion): SheetDrawing {
  const blank = { width, height };
  return {
    name: title.toLowerCase(),
    blank,
    outline: [blankPolygon(blank)],
    scores: scores.map((at, i) => ({
      id: `s-${i + 1}`,
      number: i + 1,
      fold: 'valley',
      from: { x: 0, y: at },
      to: { x: width, y: at },
    })),
    holes: holes.map(({ x, y, diameter }, i) => ({ id: `hole-${i + 1}`, panel: '', centre: { x, y }, diameter })),
    slits: [],
    glue: [],
    noGlue: [],
  };
}
