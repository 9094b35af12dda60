import { polygonCentroid } from 'd3-polygon';
import { boxOf, distance, IDENTITY, type Point, type Polygon, type Segment } from '../geometry';
import { blankPolygon, edgeLength, onEdge, outlineOf, type Blank, type Piece } from '../pattern';
import type { Anchor, AreaKind, AreaMark, Face, Line, SceneMark, Scene } from './scene';

/** What lies on a flat piece; places are on its sheet, mm. */
export interface OnSheet {
  /** The scores' numbers as the steps tell them; the order of folding unless told. */
  readonly numbers?: ReadonlyMap<string, number> | undefined;
  readonly glue?: readonly Polygon<'sheet'>[];
  readonly noGlue?: readonly Polygon<'sheet'>[];
  /** What will lie on it, and on which panel. */
  readonly contents?: Polygon<'sheet'> | null;
  /** The panel that becomes the front. */
  readonly front?: string | undefined;
}

/** Paper seen from its inside as it lies on the table: a sheet's own places are the scene's. */
export const onScene = (p: Point<'sheet'>): Point<'scene'> => ({ x: p.x, y: p.y });
const seenAll = (polygons: readonly Polygon<'sheet'>[]): Polygon<'scene'>[] =>
  polygons.map((ring) => ring.map(onScene));
export const lineOf = (kind: Line['kind'], { from, to }: Segment<'sheet'>, more: Partial<Line> = {}): Line => ({
  kind,
  points: [onScene(from), onScene(to)],
  ...more,
});
/** An area of a flat sheet as a mark on it. */
export const areaOf = (of: AreaKind, ...polygons: readonly Polygon<'sheet'>[]): AreaMark => ({
  kind: 'area',
  of,
  rings: seenAll(polygons),
});
const area = (of: AreaKind, polygons: readonly Polygon<'sheet'>[] = []): SceneMark[] =>
  polygons.length > 0 ? [areaOf(of, ...polygons)] : [];

export const sheetFace = (piece: string, own: readonly Polygon<'sheet'>[], lines: readonly Line[]): Face => ({
  id: piece,
  piece,
  panel: null,
  side: 'inside',
  stuff: 'paper',
  own,
  map: IDENTITY,
  rings: seenAll(own),
  depth: 0,
  light: 1,
  lines,
});

export const anchorsOf = (blank: Blank): readonly Anchor[] =>
  ([1, 2, 3, 4] as const).map((edge) => ({
    edge,
    from: onScene(onEdge(blank, edge, 0)),
    to: onScene(onEdge(blank, edge, edgeLength(blank, edge))),
  }));

export const sceneOf = (
  kind: Scene['kind'],
  name: string,
  blank: Blank,
  face: Face,
  marks: readonly SceneMark[],
): Scene => ({
  kind,
  name,
  box: { minX: 0, maxX: blank.width, minY: 0, maxY: blank.height },
  faces: [face],
  marks,
  anchors: anchorsOf(blank),
  frame: IDENTITY,
});

/** A flat piece with everything that is cut, slit, scored and glued. */
export function sheetScene(piece: Piece, on: OnSheet = {}): Scene {
  const { blank, hinges, slits, holes, panels, name } = piece;
  const scores = hinges
    .map(({ id, line, fold, order }) =>
      lineOf(fold, line, { id, number: on.numbers ? (on.numbers.get(id) ?? 0) : order }),
    )
    .sort((a, b) => a.number! - b.number!);
  return sceneOf(
    'sheet',
    name,
    blank,
    sheetFace(name, outlineOf(piece), [...slits.map(({ line }) => lineOf('slit', line)), ...scores]),
    [
      ...area('blank', [blankPolygon(blank)]),
      ...area('no-glue', on.noGlue),
      ...area('glue', on.glue),
      ...area(
        'front',
        panels.filter(({ id }) => id === on.front).map(({ polygon }) => polygon),
      ),
      ...area('contents', on.contents ? [on.contents] : []),
      ...holes.map(({ centre, diameter }): SceneMark => ({ kind: 'hole', at: onScene(centre), diameter })),
      ...panels.map((panel): SceneMark => {
        const { minX, maxX, minY, maxY } = boxOf(panel.polygon);
        const [x, y] = polygonCentroid(panel.polygon.map((p): [number, number] => [p.x, p.y]));
        const room = { width: maxX - minX, height: maxY - minY };
        return { kind: 'name', text: panel.name, of: panel.id, at: { x, y }, room };
      }),
      ...numbersOf(scores),
    ],
  );
}

/** A blank before anything is made of it. */
export const uncutScene = (name: string, blank: Blank): Scene =>
  sceneOf('table', name, blank, sheetFace(name, [blankPolygon(blank)], []), []);

/** Scores run in one go carry one number, on the longest of them. */
function numbersOf(scores: readonly Line[]): readonly SceneMark[] {
  const long = ({ points: [from, to] }: Line): number => distance(from!, to!);
  return [...new Set(scores.map(({ number }) => number!))].map((number): SceneMark => {
    const [from, to] = scores
      .filter((score) => score.number === number)
      .reduce((a, b) => (long(b) > long(a) ? b : a)).points;
    return { kind: 'number', number, from: from!, to: to! };
  });
}
