import type { Polygon, Segment } from '../geometry';
import { outlineOf, type Blank } from '../pattern';
import { glueAreas, keepDry, scoreNumbers, type Made } from '../plan';

/** A numbered fold line. */
export interface ScoreLine extends Segment<'sheet'> {
  readonly id: string;
  /** Its place in the order of scoring, as the steps number it. */
  readonly number: number;
  readonly fold: 'valley' | 'mountain';
}

/** A flat piece as lines and areas on the sheet, millimetres, y up: what every drawing and file shows. */
export interface SheetDrawing {
  readonly blank: Blank;
  readonly outline: readonly Polygon<'sheet'>[];
  readonly scores: readonly ScoreLine[];
  readonly glue: readonly Polygon<'sheet'>[];
  readonly noGlue: readonly Polygon<'sheet'>[];
}

/** Draws the piece of a made plan. */
export function sheetDrawing(made: Made): SheetDrawing {
  const { piece } = made.built;
  const numbers = scoreNumbers(made.programme);
  return {
    blank: piece.blank,
    outline: outlineOf(piece),
    scores: piece.hinges
      .map(({ id, line, fold }) => ({ ...line, id, fold, number: numbers.get(id) ?? 0 }))
      .sort((a, b) => a.number - b.number),
    glue: glueAreas(made).flatMap(({ contact }) => contact.polygons),
    noGlue: keepDry(made).flatMap((contact) => contact.polygons),
  };
}
