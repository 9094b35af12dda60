import type { PanelId } from '../../pattern';
import {
  apply,
  boxesMeet,
  boxOf,
  contains,
  difference,
  direction,
  extent,
  intersection,
  leastWidth,
  minus,
  dot,
  union,
  type Box,
  type Point,
  type Polygon,
  centreOf,
  nearRim,
  TOLERANCE,
} from '../../geometry';
import { layerOf, type Layer, type Side, type Stack } from './stack';

/** How one panel laps another in the folded plane. */
export interface Lap {
  /** The shared paper; empty when they miss each other. */
  readonly polygons: readonly Polygon<'folded'>[];
  /** Breadth of the shared band, mm: its least width in any direction; 0 when there is none. */
  readonly breadth: number;
}

/** What two panels share once folded, and how broad the band is. */
export function lapBetween(stack: Stack, a: PanelId, b: PanelId): Lap {
  const polygons = intersection(layerOf(stack, a).polygon, layerOf(stack, b).polygon);
  return { polygons, breadth: Math.max(0, ...polygons.map(leastWidth)) };
}

/**
 * How far two facing panels reach past each other along an axis, mm; negative is the gap between their tips.
 * The axis is a unit vector in the folded plane, square to both their folds.
 */
export function reachAcross(stack: Stack, a: PanelId, b: PanelId, axis: Point<'folded'>): number {
  const [lowA, highA] = extent(layerOf(stack, a).polygon, axis);
  const [lowB, highB] = extent(layerOf(stack, b).polygon, axis);
  return Math.min(highA, highB) - Math.max(lowA, lowB);
}

/** The part of a panel that nothing above it covers, as regions in the folded plane. */
export const uncovered = (stack: Stack, panel: PanelId, covers: readonly PanelId[]): Polygon<'folded'>[] =>
  difference(
    [layerOf(stack, panel).polygon],
    covers.map((id) => layerOf(stack, id).polygon),
  );

/** Everything the folded thing covers on the table. */
export const foldedOutline = (stack: Stack): Polygon<'folded'>[] => union(stack.layers.map((layer) => layer.polygon));

/** The folded plane seen along a panel's own edge: `origin` at one end of the edge, `across` along it, `up` into the panel. */
export interface View {
  readonly origin: Point<'folded'>;
  readonly across: Point<'folded'>;
  readonly up: Point<'folded'>;
}

/** Coordinates of a folded point in a view, mm. */
export const inView = (view: View, p: Point<'folded'>): Point<'folded'> => {
  const from = minus(p, view.origin);
  return { x: dot(from, view.across), y: dot(from, view.up) };
};

/** The folded point at some coordinates of a view, mm. */
export const outOfView = ({ origin, across, up }: View, { x, y }: Point<'folded'>): Point<'folded'> => ({
  x: origin.x + across.x * x + up.x * y,
  y: origin.y + across.y * x + up.y * y,
});

/** A view along an edge, right-handed, with `inside` on its upper side. The origin is the edge's left end so seen. */
export function viewAlong(from: Point<'folded'>, to: Point<'folded'>, inside: Point<'folded'>): View {
  const across = direction(from, to);
  const up = { x: -across.y, y: across.x };
  return dot(minus(inside, from), up) < 0 ? viewAlong(to, from, inside) : { origin: from, across, up };
}

/** Size of the folded thing in a view, mm. */
export function foldedBox(stack: Stack, view: View): Box {
  return boxOf(stack.layers.flatMap((layer) => layer.polygon.map((p) => inView(view, p))));
}

/** Layers over a point of the folded plane, from the table upwards. */
export const layersAt = (stack: Stack, p: Point<'folded'>): readonly Layer[] =>
  stack.layers.filter((layer) => contains(layer.polygon, p));

/** Most layers anywhere. */
export const mostLayers = (stack: Stack): number =>
  Math.max(
    1,
    thickestPile(stack, () => 1),
  );

/**
 * The thickest place of a pile, counted at the middles of every pair's overlap: where paper is thickest a pair overlaps.
 * @param each what a layer of that piece counts: its caliper, or one
 */
export function thickestPile(stack: Stack, each: (piece: string) => number): number {
  // Paper of one outline that lies in one place counts together: in a book most of it does.
  const same = new Map<string, { readonly polygon: Polygon<'folded'>; readonly box: Box; counts: number }>();
  for (const { polygon, piece } of stack.layers) {
    const key = outlineKey(polygon);
    const known = same.get(key);
    if (known) known.counts += each(piece);
    else same.set(key, { polygon, box: boxOf(polygon), counts: each(piece) });
  }
  const boxed = [...same.values()];
  const count = (p: Point<'folded'>): number =>
    boxed.reduce(
      (sum, { polygon, box, counts }) =>
        p.x < box.minX || p.x > box.maxX || p.y < box.minY || p.y > box.maxY || !liesOver(polygon, p)
          ? sum
          : sum + counts,
      0,
    );
  let most = boxed.reduce((thickest, { counts }) => Math.max(thickest, counts), 0);
  boxed.forEach((a, i) => {
    for (let j = i + 1; j < boxed.length; j++) {
      if (!boxesMeet(a.box, boxed[j]!.box)) continue;
      for (const shared of intersection(a.polygon, boxed[j]!.polygon))
        for (const p of probes(shared)) most = Math.max(most, count(p));
    }
  });
  return most;
}

/** The corners of a polygon, whichever comes first and whichever way round. */
const outlineKey = (polygon: Polygon<'folded'>): string =>
  polygon
    .map(({ x, y }) => `${Math.round(x / TOLERANCE.drawn)} ${Math.round(y / TOLERANCE.drawn)}`)
    .sort()
    .join(',');

/** True where paper lies over a point and all round it: of two that meet in a line neither lies over that line. */
const liesOver = (polygon: Polygon<'folded'>, p: Point<'folded'>): boolean =>
  contains(polygon, p) && !nearRim(polygon, p, TOLERANCE.folded);

/** The middle of a convex polygon and points just inside its corners. */
function probes(polygon: Polygon<'folded'>): Point<'folded'>[] {
  const centre = centreOf(polygon);
  return [centre, ...polygon.map((p) => ({ x: p.x + (centre.x - p.x) * 0.01, y: p.y + (centre.y - p.y) * 0.01 }))];
}

/** A piece of paper as it shows on one face of the folded thing. */
export interface Visible {
  readonly panel: PanelId;
  readonly side: Side;
  readonly region: readonly Polygon<'folded'>[];
  /** Where the sheet's own "up" points as the viewer sees it, degrees clockwise from the viewer's up. */
  readonly turn: number;
}

/**
 * What shows from above (`back` of an envelope lying on its front) or from the table side.
 * @param view whose `up` is the viewer's up
 */
export function visibleFrom(stack: Stack, from: 'above' | 'below', view: View): readonly Visible[] {
  const order = from === 'above' ? [...stack.layers].reverse() : stack.layers;
  const seen: Visible[] = [];
  order.forEach((layer, i) => {
    const region = difference(
      [layer.polygon],
      order.slice(0, i).map((above) => above.polygon),
    );
    if (region.length === 0) return;
    const origin = apply<'folded'>(layer.map, { x: 0, y: 0 });
    const tip = apply<'folded'>(layer.map, { x: 0, y: 1 });
    const sheetUp = minus(tip, origin);
    const right = dot(sheetUp, view.across) * (from === 'above' ? 1 : -1);
    const turn = (Math.atan2(right, dot(sheetUp, view.up)) * 180) / Math.PI;
    const up = from === 'above' ? layer.up : layer.up === 'inside' ? 'outside' : 'inside';
    seen.push({ panel: layer.panel, side: up, region, turn: Math.round(turn * 1000) / 1000 });
  });
  return seen;
}
