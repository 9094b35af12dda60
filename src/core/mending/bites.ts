/** Paper that panels lack where a pattern is laid on a sheet that is not whole. */
import {
  apply,
  applyAll,
  area,
  boxesMeet,
  boxOf,
  centreOf,
  circle,
  contains,
  difference,
  distance,
  nearRim,
  intersection,
  leastWidth,
  plainRings,
  type Affine,
  type Box,
  type Point,
  type Polygon,
} from '../geometry';
import { mm } from '../length';
import { blankPolygon, type Blank, type Hole, type Panel, type Piece } from '../pattern';

/** Paper missing in a strip so narrow is an edge cut a little short, mm. */
export const SLIVER = 0.4;
/** Less is nothing, mm². */
const SPECK = 1;

/** A sheet, and what of it is gone: rings. */
interface Sheet {
  readonly blank: Blank;
  readonly gone: readonly Polygon<'sheet'>[];
}

/** What panels lack, on the pattern’s sheet. */
export interface Bites {
  readonly byPanel: ReadonlyMap<string, readonly Polygon<'sheet'>[]>;
  /** Panels that reach over the rim of the sheet. */
  readonly short: readonly string[];
}

/** Paper that is missed: more than a speck, and broader than an edge that was cut a little short. */
const lacking = (rings: readonly Polygon<'sheet'>[]): Polygon<'sheet'>[] =>
  plainRings(rings).filter((ring) => area(ring) > SPECK && leastWidth(ring) > SLIVER);

/** How ugly it is that this much paper is lacking. */
export const uglinessOf = (rings: readonly Polygon<'sheet'>[]): number =>
  rings.reduce((sum, ring) => sum + 2 + Math.sqrt(area(ring)), 0);

/**
 * What the panels of a piece lack, the sheet laid under it by `lay`. Uglier than `limit` it is not looked at to its end: what
 * was found by then is uglier too.
 */
export function bitesOf(piece: Piece, sheet: Sheet, lay: Affine, limit = Infinity): Bites {
  const blank = blankPolygon(sheet.blank).map((p) => apply<'sheet'>(lay, p));
  const gone = sheet.gone.map((ring) => applyAll<'sheet'>(lay, ring));
  const [rim, boxes] = [boxOf(blank), gone.map(boxOf)];
  const beyond = ({ minX, minY, maxX, maxY }: Box): boolean =>
    minX < rim.minX - SLIVER || minY < rim.minY - SLIVER || maxX > rim.maxX + SLIVER || maxY > rim.maxY + SLIVER;
  const byPanel = new Map<string, readonly Polygon<'sheet'>[]>();
  const short: string[] = [];
  let ugly = 0;
  for (const { id, polygon } of piece.panels) {
    if (ugly > limit) break;
    const box = boxOf(polygon);
    // What the pattern itself has holes for lacks nothing.
    const holes = piece.holes.flatMap(({ panel, centre, diameter }) =>
      panel === id ? [circle(centre, diameter / 2 + SLIVER, 24)] : [],
    );
    const over = beyond(box) ? lacking(difference([polygon], [blank])) : [];
    if (over.length > 0) short.push(id);
    const taken = gone.flatMap((ring, i) => (boxesMeet(box, boxes[i]!) ? intersection(polygon, ring) : []));
    const missing = taken.length > 0 ? [...over, ...lacking(difference(taken, holes))] : over;
    if (missing.length > 0) byPanel.set(id, missing);
    ugly += uglinessOf(missing);
  }
  return { byPanel, short };
}

/** True for a point that has paper of a panel all round it. */
const isWithin = (polygon: Polygon<'sheet'>, p: Point<'sheet'>): boolean =>
  contains(polygon, p) && !nearRim(polygon, p, SLIVER);

/** A corner that comes off with what is torn: so little of a panel, and no more than that, mm². From memory. */
const CORNER = { share: 0.1, area: 200 };

/** What is left of a panel; null where it falls in two. A corner that hangs on nothing any more is gone too. */
function leftOf(polygon: Polygon<'sheet'>, bite: Polygon<'sheet'>): Polygon<'sheet'> | null {
  const [left, ...more] = difference([polygon], [bite]).toSorted((a, b) => area(b) - area(a));
  const off = more.reduce((sum, ring) => sum + area(ring), 0);
  return left && off < Math.min(CORNER.area, CORNER.share * area(polygon)) ? left : null;
}

/**
 * A piece with the paper its panels lack taken off them; null where what is left of one falls apart, unless a strip behind it
 * holds it together. A hole in the middle of a panel changes no fold: it is a hole of that size.
 */
export function bitten(piece: Piece, { byPanel }: Bites, backed: readonly string[] = []): Piece | null {
  if (byPanel.size === 0) return piece;
  const holes: Hole[] = [];
  const panels: Panel[] = [];
  for (const panel of piece.panels) {
    let { polygon } = panel;
    for (const [i, bite] of (byPanel.get(panel.id) ?? []).entries()) {
      if (bite.every((p) => isWithin(polygon, p))) {
        // With paper behind it nothing tears on from there.
        if (backed.includes(panel.id)) continue;
        const centre = centreOf(bite);
        const diameter = mm(2 * Math.max(...bite.map((p) => distance(centre, p))));
        holes.push({ id: `scar-${panel.id}-${i + 1}`, panel: panel.id, centre, diameter });
        continue;
      }
      const left = leftOf(polygon, bite);
      if (!left && !backed.includes(panel.id)) return null;
      polygon = left ?? polygon;
    }
    panels.push({ ...panel, polygon });
  }
  return { ...piece, panels, holes: [...piece.holes, ...holes] };
}
