/** Layers that are glued on while the sheet is flat, and where they are found there. */
import { apply, boxOf, TOLERANCE, type Box, type Point } from '../geometry';
import { inView } from '../fold';
import { mm, near, type Mm } from '../length';
import { viewOf, type Made } from '../plan';
import type { Panel, Piece, ScoreId } from '../pattern';

export interface LaidFlat {
  /** The piece it lies on. */
  readonly seat: string;
  /** How far from a score, or from the panel's edge at the opening or away from it; null in the middle both ways. */
  readonly from: { readonly side: { readonly score: ScoreId } | 'opening' | 'far'; readonly by: Mm } | null;
}

/** What lies off the middle by less is in the middle to the eye, mm. From memory. */
const MIDDLE = 1;
const AXES = ['x', 'y'] as const;
type Axis = (typeof AXES)[number];
const ends = (box: Box, axis: Axis): readonly [number, number] =>
  axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY];

/**
 * Layers that are glued on before anything is folded, by their name: those in the middle of one panel at least one way, so
 * that they are found on the flat sheet, and what lies on such a one. Others wait until what shows can be seen.
 */
export function laidOnFlat(made: Made): ReadonlyMap<string, LaidFlat> {
  const { pieces, layers } = made;
  const found = new Map<string, LaidFlat>();
  for (const { layer } of layers) {
    const { laid, upon, piece } = layer;
    const below = upon === null ? undefined : found.get(upon);
    if (below) found.set(piece.name, below);
    if (upon !== null || !laid) continue;
    const seat = pieces.find((part) => part.piece.panels.some(({ id }) => id === laid.panel))?.piece;
    const panel = seat?.panels.find(({ id }) => id === laid.panel);
    if (!seat || !panel || seat.hinges.length === 0) continue;
    const [whole, own] = [boxOf(panel.polygon), boxOf(laid.polygon)];
    const off = AXES.filter((axis) => {
      const [[low, high], [from, to]] = [ends(whole, axis), ends(own, axis)];
      return !near(from - low, high - to, MIDDLE);
    });
    if (off.length === 2) continue;
    const from = off[0] ? fromSide(off[0], whole, own, panel, seat, made) : null;
    if (from !== undefined) found.set(piece.name, { seat: seat.name, from });
  }
  return found;
}

/** From the nearer of two sides of a panel, where that is a score, or lies along the mouth once it is folded. */
function fromSide(
  axis: Axis,
  whole: Box,
  own: Box,
  { id, polygon }: Panel,
  seat: Piece,
  { built, folded }: Made,
): LaidFlat['from'] | undefined {
  const [[low, high], [from, to]] = [ends(whole, axis), ends(own, axis)];
  const isLow = from - low <= high - to;
  const [at, by] = isLow ? [low, from - low] : [high, high - to];
  const isThere = (place: number): boolean => near(place, at, TOLERANCE.drawn);
  const score = seat.hinges.find(
    ({ between, line }) => between.includes(id) && isThere(line.from[axis]) && isThere(line.to[axis]),
  );
  if (score) return { side: { score: score.id }, by: mm(by) };
  const straight = polygon.some((p, i) => isThere(p[axis]) && isThere(polygon[(i + 1) % polygon.length]![axis]));
  const layer = folded.finished.layers.find(({ panel }) => panel === id);
  if (!straight || !layer || built.cavities.length === 0) return undefined;
  const view = viewOf(built, folded.finished);
  const seen = (place: number): Point<'folded'> =>
    inView(view, apply(layer.map, axis === 'x' ? { x: place, y: own.minY } : { x: own.minX, y: place }));
  const [here, there] = [seen(at), seen(isLow ? high : low)];
  if (Math.abs(here.y - there.y) < Math.abs(here.x - there.x)) return undefined;
  return { side: here.y < there.y ? 'opening' : 'far', by: mm(by) };
}
