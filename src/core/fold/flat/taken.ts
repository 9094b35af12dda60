import { boxOf, leftPart, type Point, type Segment } from '../../geometry';
import type { FlatCavity } from './cavity';
import { inView, thickestPile, type View } from './measure';
import { hasPanel, layerOf, levelOf, type Layer, type Stack } from './stack';
import type { Tie } from './ties';

/** How thick the paper of a piece is, mm. */
export type Calipers = (piece: string) => number;
/** Paper without thickness: lengths as they are drawn. */
export const NO_PAPER: Calipers = () => 0;

/** What a flat cavity's own paper takes of its room, mm. */
export interface Taken {
  /** Paper between its faces at the thickest place where contents lie: tabs, laps, tucks, linings. */
  readonly layers: number;
  /** Folded edges that bound it: about a caliper each, across the mouth and into the pocket. */
  readonly width: number;
  readonly height: number;
  /** Its bottom is a plain fold, which closes to nothing however far the sides open. */
  readonly wedge: boolean;
}

/** Where contents lie, in the view of the mouth. */
interface Where {
  readonly view: View;
  /** In the same view. */
  readonly ties: readonly Tie[];
  readonly room: { readonly left: number; readonly width: number; readonly depth: number };
  readonly closed: boolean;
  /** How far off lines may lie, mm. */
  readonly within: number;
}

/** Reads off the folded pile what the paper itself takes of a cavity. */
export function takenIn(stack: Stack, cavity: FlatCavity, where: Where, caliper: Calipers): Taken {
  const { left, width, depth } = where.room;
  const { within } = where;
  let [across, into, wedge] = [0, 0, false];
  const ends = new Map<'left' | 'right' | 'bottom' | 'mouth', number>();
  for (const { hinge, points } of where.ties) {
    if (!hinge) continue;
    const box = boxOf(points);
    const end =
      box.maxX <= left + within
        ? 'left'
        : box.minX >= left + width - within
          ? 'right'
          : box.minY >= depth - within
            ? 'bottom'
            : where.closed && box.maxY <= within
              ? 'mouth'
              : null;
    if (end === null) continue;
    ends.set(end, Math.max(ends.get(end) ?? 0, caliper(layerOf(stack, hinge.between[0]).piece)));
    const unfolding = cavity.gusset?.some((panels) => hinge.between.some((panel) => panels.includes(panel))) ?? false;
    if (end === 'bottom' && !unfolding) wedge = true;
  }
  for (const [end, thick] of ends)
    if (end === 'left' || end === 'right') across += thick;
    else into += thick;
  return { layers: layersBetween(stack, cavity, where, caliper), width: across, height: into, wedge };
}

/**
 * Paper between the floor and the outermost of the roof, mm, at the thickest place where contents lie. The outermost is
 * the face itself and takes nothing; walls that unfold stand beside the contents and not on them.
 */
function layersBetween(stack: Stack, cavity: FlatCavity, { view, room, within }: Where, caliper: Calipers): number {
  if (!(room.width > within && room.depth > within)) return 0;
  const floor = levelOf(stack, cavity.floor);
  const roofs = cavity.roof.filter((panel) => hasPanel(stack, panel)).map((panel) => levelOf(stack, panel));
  const outermost = roofs.reduce(
    (far, level) => (Math.abs(level - floor) > Math.abs(far - floor) ? level : far),
    floor,
  );
  if (outermost === floor) return 0;
  const unfolding = new Set(cavity.gusset?.flat());
  const [low, high] = [Math.min(floor, outermost), Math.max(floor, outermost)];
  const between = stack.layers.filter((layer, level) => {
    return level >= low && level <= high && level !== floor && !unfolding.has(layer.panel);
  });
  if (between.length < 2) return 0;
  const seat = rectangle(room.left, 0, room.left + room.width, room.depth);
  const over = between.flatMap((layer): Layer[] => {
    const polygon = seat.reduce<Layer['polygon']>(
      (part, edge) => (part.length > 2 ? leftPart(part, edge) : []),
      layer.polygon.map((p) => inView(view, p)),
    );
    return polygon.length > 2 ? [{ ...layer, polygon }] : [];
  });
  return Math.max(0, thickestPile({ ...stack, layers: over }, caliper) - caliper(stack.layers[outermost]!.piece));
}

/** The four sides of a rectangle, its inside on their left. */
function rectangle(x0: number, y0: number, x1: number, y1: number): Segment<'folded'>[] {
  const corners: Point<'folded'>[] = [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ];
  return corners.map((from, i) => ({ from, to: corners[(i + 1) % 4]! }));
}
