import { anticlockwise, area, union, type Polygon, TOLERANCE } from '../geometry';
import { notchTriangle, type Piece } from './piece';

function withoutStraightCorners(polygon: Polygon<'sheet'>): Polygon<'sheet'> {
  return polygon.filter((p, i) => {
    const a = polygon[(i + polygon.length - 1) % polygon.length]!;
    const b = polygon[(i + 1) % polygon.length]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    return length === 0 || Math.abs((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length > TOLERANCE.drawn;
  });
}

/** The piece after cutting: its panels as one region, anticlockwise. Holes, if any, follow clockwise. */
export function outlineOf(piece: Piece): readonly Polygon<'sheet'>[] {
  const rings = union(piece.panels.map((panel) => panel.polygon));
  const [outer, ...holes] = [...rings].sort((a, b) => area(b) - area(a));
  if (!outer) throw new Error(`${piece.name} has no panels`);
  return [anticlockwise(outer), ...holes].map(withoutStraightCorners);
}

/** Everything that falls away: notches, those that run together as one, and trims. */
export const wasteOf = (piece: Piece): readonly Polygon<'sheet'>[] => [
  ...union(piece.notches.map((notch) => notchTriangle(piece.blank, notch))),
  ...piece.trims.map((trim) => trim.polygon),
];
