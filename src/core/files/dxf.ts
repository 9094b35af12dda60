import { DxfWriter, point2d, point3d, LWPolylineFlags } from '@tarikjabiri/dxf';
import type { Point, Polygon } from '../geometry';
import { heightOf, marksOf, type AreaKind, type Face, type Line, type Scene } from '../scene';
import { oneLine } from '../text';
import { GAP } from './svg';

/** The layers of a pattern's DXF file, a kind of line each, with a colour number that every reader knows. */
const LAYERS = {
  CUT: 1,
  SLIT: 1,
  HOLE: 1,
  VALLEY: 5,
  MOUNTAIN: 4,
  GLUE: 3,
  'NO-GLUE': 8,
  PAPER: 7,
  BLANK: 8,
  NAME: 8,
} as const;
type LayerName = keyof typeof LAYERS;

/** On which layer each kind of thing stands; what has none is not in the file. */
const FACES: Partial<Record<Face['stuff'], LayerName>> = { paper: 'CUT', stock: 'PAPER' };
const LINES: Partial<Record<Line['kind'], LayerName>> = { slit: 'SLIT', valley: 'VALLEY', mountain: 'MOUNTAIN' };
const AREAS: Partial<Record<AreaKind, LayerName>> = { glue: 'GLUE', 'no-glue': 'NO-GLUE' };

/**
 * Scenes of flat pieces as DXF at true size, millimetres, y up, one above the other as in the SVG, a layer for each kind of
 * line: a machine cuts, slits and holes, and scores valleys and mountains. A piece that has a place on its paper lies
 * there, with the paper round it.
 */
export function sheetDxf(scenes: readonly Scene[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(4);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  let low = scenes.reduce((sum, scene) => sum + heightOf(scene) + GAP, -GAP);
  for (const scene of scenes) {
    const { box, name, faces } = scene;
    low -= heightOf(scene);
    const [dx, dy] = [-box.minX, low - box.minY];
    const on = ({ x, y }: Point) => point3d(x + dx, y + dy);
    const ring = (layerName: LayerName, polygon: Polygon): void => {
      const corners = polygon.map(({ x, y }) => ({ point: point2d(x + dx, y + dy) }));
      dxf.addLWPolyline(corners, { layerName, flags: LWPolylineFlags.Closed });
    };
    // Of a piece by itself the blank is told in its figures.
    const areas = faces.some(({ stuff }) => stuff === 'stock') ? { ...AREAS, blank: 'BLANK' as const } : AREAS;
    for (const { stuff, rings, lines } of faces) {
      const layer = FACES[stuff];
      if (layer) for (const polygon of rings) ring(layer, polygon);
      for (const { kind, points } of lines) {
        const layerName = LINES[kind];
        if (layerName) dxf.addLine(on(points[0]!), on(points[1]!), { layerName });
      }
    }
    for (const { at, diameter } of marksOf(scene, 'hole')) dxf.addCircle(on(at), diameter / 2, { layerName: 'HOLE' });
    for (const { of, rings } of marksOf(scene, 'area')) {
      const layer = areas[of];
      if (layer) for (const polygon of rings) ring(layer, polygon);
    }
    dxf.addText(on({ x: box.maxX + 3, y: box.maxY - 6 }), 4, oneLine(name), { layerName: 'NAME' });
    low -= GAP;
  }
  return dxf.stringify();
}
