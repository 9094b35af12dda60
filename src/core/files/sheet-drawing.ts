import type { Polygon, Segment } from '../geometry';
import { outlineOf, type Blank, type Hole, type Piece } from '../pattern';
import { companionsOf, glueAreas, keepDry, scoreNumbers, type Design, type Made, type MadePiece } from '../plan';

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
  const own = (panel: string): boolean => piece.panels.some(({ id }) => id === panel);
  return {
    ...pieceDrawing(piece, scoreNumbers(programme)),
    glue: glueAreas(made).flatMap(({ joint }) => (own(joint.panel) ? joint.polygons : [])),
    noGlue: keepDry(made).flatMap(({ panel, polygons }) => (own(panel) ? polygons : [])),
  };
}

/** A piece by itself, its scores in the order they are numbered; in the order of folding unless told. */
function pieceDrawing(piece: Piece, numbers?: ReadonlyMap<string, number>): SheetDrawing {
  return {
    name: piece.name,
    blank: piece.blank,
    outline: outlineOf(piece),
    scores: piece.hinges
      .map(({ id, line, fold, order }) => ({ ...line, id, fold, number: numbers ? (numbers.get(id) ?? 0) : order }))
      .sort((a, b) => a.number - b.number),
    holes: piece.holes,
    slits: piece.slits.map(({ line }) => line),
    glue: [],
    noGlue: [],
  };
}

/** Every sheet to cut for a made plan: its pieces, then the companions asked for. */
export const allDrawings = (made: Made, design: Pick<Design, 'companions' | 'graduation'>): readonly SheetDrawing[] => [
  ...made.pieces.map((part) => sheetDrawing(made, part)),
  ...companionsOf(made, design).map(({ piece }) => pieceDrawing(piece)),
];
