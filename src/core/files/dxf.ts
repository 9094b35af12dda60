import { DxfWriter, point2d, point3d, LWPolylineFlags } from '@tarikjabiri/dxf';
import type { Point, Polygon } from '../geometry';
import { rect } from '../pattern';
import { oneLine } from '../text';
import type { SheetDrawing } from './sheet-drawing';
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

/**
 * The flat pieces as DXF at true size, millimetres, y up, one above the other as in the SVG, a layer for each kind of
 * line: a machine cuts, slits and holes, and scores valleys and mountains. A piece that has a place on its paper lies
 * there, with the paper round it.
 */
export function sheetDxf(drawings: readonly SheetDrawing[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(4);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  let low = drawings.reduce((sum, { blank }) => sum + blank.height + GAP, -GAP);
  for (const { name, blank, outline, scores, holes, slits, glue, noGlue, laid } of drawings) {
    low -= blank.height;
    const on = ({ x, y }: Point) => point3d(x, y + low);
    const ring = (layerName: keyof typeof LAYERS, polygon: Polygon): void => {
      const corners = polygon.map(({ x, y }) => ({ point: point2d(x, y + low) }));
      dxf.addLWPolyline(corners, { layerName, flags: LWPolylineFlags.Closed });
    };
    for (const polygon of outline) ring('CUT', polygon);
    for (const { from, to } of slits) dxf.addLine(on(from), on(to), { layerName: 'SLIT' });
    for (const { centre, diameter } of holes) dxf.addCircle(on(centre), diameter / 2, { layerName: 'HOLE' });
    for (const { from, to, fold } of scores) dxf.addLine(on(from), on(to), { layerName: fold.toUpperCase() });
    for (const polygon of glue) ring('GLUE', polygon);
    for (const polygon of noGlue) ring('NO-GLUE', polygon);
    if (laid) {
      ring('PAPER', rect(0, 0, blank.width, blank.height));
      ring('BLANK', rect(laid.x, laid.y, laid.x + laid.width, laid.y + laid.height));
    }
    dxf.addText(on({ x: blank.width + 3, y: blank.height - 6 }), 4, oneLine(name), { layerName: 'NAME' });
    low -= GAP;
  }
  return dxf.stringify();
}
