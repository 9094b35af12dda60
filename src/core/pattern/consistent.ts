import { area, boxOf, intersection, sideOf, TOLERANCE } from '../geometry';
import { outlineOf, wasteOf } from './outline';
import { panelOf, type Piece } from './piece';

/** Something that makes a piece impossible as a flat pattern. A sound construction never yields one. */
export interface PatternFault {
  readonly code: 'panels_overlap' | 'outside_blank' | 'area_missing' | 'not_one_piece' | 'score_off_panel';
  readonly detail: string;
}

/**
 * The flat laws: panels do not overlap, the outline is one ring inside the blank, panels and waste make up the
 * whole blank, and every score lies on the rim of both its panels. Empty when all hold.
 */
export function patternFaults(piece: Piece): PatternFault[] {
  const faults: PatternFault[] = [];
  const parts = [
    ...piece.panels.map((p) => ({ name: p.id, polygon: p.polygon })),
    ...wasteOf(piece).map((polygon, i) => ({ name: `waste ${i + 1}`, polygon })),
  ];
  parts.forEach((a, i) =>
    parts.slice(i + 1).forEach((b) => {
      const shared = intersection(a.polygon, b.polygon).reduce((sum, p) => sum + area(p), 0);
      if (shared > TOLERANCE.agreed)
        faults.push({ code: 'panels_overlap', detail: `${a.name} and ${b.name} share ${shared} mm²` });
    }),
  );
  const rings = outlineOf(piece);
  if (rings.length !== 1) faults.push({ code: 'not_one_piece', detail: `${rings.length} rings` });
  const box = boxOf(rings.flat());
  if (
    box.minX < -TOLERANCE.drawn ||
    box.minY < -TOLERANCE.drawn ||
    box.maxX > piece.blank.width + TOLERANCE.drawn ||
    box.maxY > piece.blank.height + TOLERANCE.drawn
  )
    faults.push({ code: 'outside_blank', detail: JSON.stringify(box) });
  const covered = parts.reduce((sum, part) => sum + area(part.polygon), 0);
  const missing = piece.blank.width * piece.blank.height - covered;
  if (Math.abs(missing) > TOLERANCE.agreed)
    faults.push({ code: 'area_missing', detail: `${missing} mm² of the blank is neither panel nor waste` });
  for (const hinge of piece.hinges)
    for (const id of hinge.between) {
      const { polygon } = panelOf(piece, id);
      const onRim = polygon.some((p, i) => {
        const rim = { from: p, to: polygon[(i + 1) % polygon.length]! };
        if (Math.hypot(rim.to.x - rim.from.x, rim.to.y - rim.from.y) < TOLERANCE.drawn) return false;
        return [hinge.line.from, hinge.line.to].every((end) => {
          const along = (end.x - rim.from.x) * (rim.to.x - rim.from.x) + (end.y - rim.from.y) * (rim.to.y - rim.from.y);
          const length2 = (rim.to.x - rim.from.x) ** 2 + (rim.to.y - rim.from.y) ** 2;
          return (
            Math.abs(sideOf(rim, end)) < TOLERANCE.drawn &&
            along > -TOLERANCE.drawn * Math.sqrt(length2) &&
            along < length2 + TOLERANCE.drawn * Math.sqrt(length2)
          );
        });
      });
      if (!onRim) faults.push({ code: 'score_off_panel', detail: `${hinge.id} does not lie on the rim of ${id}` });
    }
  return faults;
}
