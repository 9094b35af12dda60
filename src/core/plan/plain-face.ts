/** The plain part of a face: where a mat, a label or a print can lie. */
import type { PanelId } from '../pattern';
import { inView, layerOf, outOfView, visibleFrom, type Side } from '../fold';
import { apply, invert, largestRectangle, regionArea, TOLERANCE, type Box, type Point } from '../geometry';
import { closedSights, type Shape, type Sight } from './sights';

/** The largest plain rectangle of a face: clear of notches, holes, flaps and folds. */
export interface PlainFace {
  readonly width: number;
  readonly height: number;
  /** The panel it lies on, the side of it that shows, and where a point off the rectangle's middle lies on its sheet. */
  readonly panel: PanelId;
  readonly side: Side;
  readonly onSheet: (offMiddle: Point<'folded'>) => Point<'sheet'>;
}

/** Found before: it is asked for by everything that lies on a face. */
const known = new WeakMap<Shape['folded'], Map<'front' | 'back', PlainFace | null>>();

/** Finds the plain part of the front, or of what lies opposite, mm in the view of its pile; null where none shows. */
export function plainFace(made: Shape, which: 'front' | 'back'): PlainFace | null {
  const before = known.get(made.folded) ?? new Map<'front' | 'back', PlainFace | null>();
  known.set(made.folded, before);
  const found = before.get(which);
  if (found !== undefined) return found;
  const piles = closedSights(made);
  const plain = plainPart(made, which === 'front' ? piles[0] : piles.at(-1));
  before.set(which, plain);
  return plain;
}

function plainPart(made: Shape, pile: Sight | undefined): PlainFace | null {
  if (!pile) return null;
  const [front] = visibleFrom(pile.stack, pile.from, pile.view)
    .map((shown) => ({ ...shown, area: regionArea(shown.region) }))
    .sort((one, other) => other.area - one.area);
  if (!front || front.area <= TOLERANCE.seen) return null;
  const { panel, side } = front;
  const { view } = pile;
  const { map } = layerOf(pile.stack, panel);
  const rings = front.region.map((ring) => ring.map((p) => inView(view, p)));
  const holes = made.built.pieces.flatMap((piece) => piece.holes.filter((hole) => hole.panel === panel));
  const box = largestRectangle(
    rings,
    holes.map(({ centre, diameter }): Box => {
      const { x, y } = inView(view, apply(map, centre));
      return { minX: x - diameter / 2, maxX: x + diameter / 2, minY: y - diameter / 2, maxY: y + diameter / 2 };
    }),
  );
  if (!box) return null;
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  const back = invert(map);
  return {
    width: box.maxX - box.minX,
    height: box.maxY - box.minY,
    panel,
    side,
    onSheet: ({ x, y }) => apply<'sheet'>(back, outOfView(view, { x: middle.x + x, y: middle.y + y })),
  };
}
