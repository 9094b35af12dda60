import type { Point, Polygon, Segment } from '../geometry';
import { outlineOf, type Blank, type Hole, type Piece } from '../pattern';
import { cutOutOf, onPaper, type CutOut } from '../looks';
import { glueAreas, keepDry, scoreNumbers, type Made, type MadePiece } from '../plan';
import { paperOf, type Design, type Papers } from '../design';
import { isCut, pieceName, type SetPlan } from '../sets';

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
  /** Where the piece lies on its paper, print upright; the drawing is of the whole paper then. */
  readonly laid?: CutOut;
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

/** A piece drawn where it lies on the whole of its paper, print upright. */
function laidOn(drawing: SheetDrawing, paper: Design['paper'], whole: Blank, laid: CutOut): SheetDrawing {
  const at = (p: Point<'sheet'>): Point<'sheet'> => onPaper(paper, drawing.blank, p);
  const all = (polygons: readonly Polygon<'sheet'>[]): Polygon<'sheet'>[] => polygons.map((polygon) => polygon.map(at));
  return {
    ...drawing,
    blank: whole,
    outline: all(drawing.outline),
    scores: drawing.scores.map((score) => ({ ...score, from: at(score.from), to: at(score.to) })),
    holes: drawing.holes.map((hole) => ({ ...hole, centre: at(hole.centre) })),
    slits: drawing.slits.map(({ from, to }) => ({ from: at(from), to: at(to) })),
    glue: all(drawing.glue),
    noGlue: all(drawing.noGlue),
    laid,
  };
}

/**
 * Every sheet to cut for a made plan: its pieces, then its layers. `onPapers` draws a piece that has a
 * place on its paper there, with the paper round it: as a machine takes it that cuts the whole sheet.
 */
export function allDrawings(made: Made, design: Papers, onPapers = false): readonly SheetDrawing[] {
  const [first, ...others] = made.pieces.map((part) => sheetDrawing(made, part));
  const { width, height } = design.paper;
  const { turn } = paperOf(design, made.pieces[0].piece.name);
  const out = cutOutOf(made, design);
  const laid = onPapers && out && width !== undefined && height !== undefined;
  return [
    laid ? laidOn(first!, { ...design.paper, turn }, { width, height }, out) : first!,
    ...others,
    ...made.layers.map(({ piece }) => pieceDrawing(piece)),
  ];
}

/** Every sheet to cut for a whole set, part by part, each named after its part where there are several. */
export function setDrawings({ set, parts }: SetPlan, onPapers = false): readonly SheetDrawing[] {
  return parts.flatMap((one) => {
    const { part, plan } = one;
    if (!plan.made) return [];
    return allDrawings(plan.made, plan.design, onPapers)
      .filter(({ name }) => isCut(one, name))
      .map((drawing) => ({ ...drawing, name: pieceName(set, part.id, drawing.name) }));
  });
}
