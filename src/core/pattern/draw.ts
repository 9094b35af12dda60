import type { PanelId, ScoreId } from './ids';
import {
  anticlockwise,
  area,
  boxOf,
  difference,
  direction,
  distance,
  dot,
  leastWidth,
  minus,
  plainRings,
  sideOf,
  type Point,
  type Polygon,
  type Segment,
  TOLERANCE,
} from '../geometry';
import {
  blankPolygon,
  notchTriangle,
  type Blank,
  type Hinge,
  type Notch,
  type Panel,
  type Piece,
  type Slit,
  type Source,
  type Trim,
} from './piece';
import { drawable, drawableBlank } from './undrawable';

/** A fold to draw: its hinge lies where the two panels share an edge. */
export interface FoldLine {
  readonly id: ScoreId;
  readonly between: readonly [still: PanelId, moving: PanelId];
  readonly fold?: 'valley' | 'mountain';
  readonly angle?: number;
}

/** A slit to draw: it runs where the panels of each pair share an edge, all on one line. */
export interface SlitLine {
  readonly id: string;
  readonly name: string;
  readonly between: readonly (readonly [string, string])[];
}

/** A piece as its maker thinks of it: panels and which of them fold on which. */
export interface Drawing {
  readonly name: string;
  readonly blank: Blank;
  readonly panels: readonly Panel[];
  /** In the order they are folded. */
  readonly folds: readonly FoldLine[];
  /** Waste with a way of coming off, or a name, of its own; the rest of the waste is found. */
  readonly trims?: readonly Trim[];
  /** Cuts between panels that share an edge and do not fold on each other: each along all the pairs it names. */
  readonly slits?: readonly SlitLine[];
  /** Notches a board punches; what they take is not found as waste. */
  readonly notches?: readonly Notch[];
  /** `made` unless told. */
  readonly source?: Source;
  /** 1 unless told. */
  readonly quantity?: number;
}

/**
 * Draws a piece: hinges are found where panels share an edge, waste is what of the blank no panel covers, and its
 * cut runs along the panels it parts from. Throws `Undrawable` when a panel shrinks to nothing, and when two panels of a
 * fold share no edge.
 */
export function drawPiece({
  name,
  blank,
  folds,
  trims = [],
  slits = [],
  notches = [],
  source = 'made',
  quantity = 1,
  ...drawing
}: Drawing): Piece {
  drawableBlank(name, blank);
  const panels = drawing.panels.map(drawable);
  const panelById = new Map(panels.map((panel) => [panel.id, panel]));
  const hinges = folds.map(({ id, between, fold = 'valley', angle = 180 }, i): Hinge => {
    const [still, moving] = between.map((panel) => panelById.get(panel));
    const line = still && moving ? sharedEdge(still.polygon, moving.polygon) : null;
    if (!line) throw new Error(`${name}: ${between.join(' and ')} share no edge to fold on`);
    return { id, between, line, fold, angle, order: i + 1 };
  });
  const cuts = slits.map(({ id, name: slit, between }): Slit => {
    const found = between.map(([a, b]) => {
      const line = sharedEdge(panelById.get(a)!.polygon, panelById.get(b)!.polygon);
      if (!line) throw new Error(`${name}: ${a} and ${b} share no edge to slit`);
      return line;
    });
    return { id, name: slit, line: found.reduce(alongBoth) };
  });
  const found = wasteTrims({ name, blank, panels, notches, trims });
  return {
    name,
    quantity,
    blank,
    panels,
    hinges,
    notches,
    // Corners are rounded on what has been cut out.
    trims: [...found, ...trims],
    holes: [],
    slits: cuts,
    source,
  };
}

/** What of a blank neither panels cover nor notches and other trims take, with its cuts. */
export function wasteTrims({
  name,
  blank,
  panels,
  notches,
  trims,
}: Pick<Piece, 'name' | 'blank' | 'panels' | 'notches' | 'trims'>): Trim[] {
  const punched = notches.map((notch) => notchTriangle(blank, notch));
  const covered = [...punched, ...panels.map((panel) => panel.polygon), ...trims.map((trim) => trim.polygon)];
  return plainRings(difference([blankPolygon(blank)], covered))
    .filter((ring) => leastWidth(ring) > TOLERANCE.drawn)
    .sort((a, b) => goingRound(blank, a) - goingRound(blank, b))
    .flatMap((polygon, i) =>
      trimOf(anticlockwise(polygon), `trim-${name.replaceAll(' ', '-')}-${i + 1}`, blank, panels),
    );
}

/** Where a ring lies, going round the blank as its edges are numbered, from the near left corner on; 0 to 1. */
function goingRound(blank: Blank, ring: Polygon<'sheet'>): number {
  const corner = blankPolygon(blank).findIndex((p) => ring.some((q) => distance(p, q) < TOLERANCE.drawn));
  if (corner >= 0) return corner / 4;
  const { minX, minY, maxX, maxY } = boxOf(ring);
  const [x, y] = [(minX + maxX) / blank.width - 1, (minY + maxY) / blank.height - 1];
  return (Math.atan2(y, x) / (2 * Math.PI) + 1 + 3 / 8) % 1;
}

/** The stretch that covers two stretches of one line, running as the first does. */
function alongBoth(a: Segment<'sheet'>, b: Segment<'sheet'>): Segment<'sheet'> {
  const along = direction(a.from, a.to);
  const points = [a.from, a.to, b.from, b.to].sort((p, q) => dot(minus(p, q), along));
  return { from: points[0]!, to: points[3]! };
}

/** The longest stretch of edge two polygons share, running as the first does; null when they share none. */
export function sharedEdge(a: Polygon<'sheet'>, b: Polygon<'sheet'>): Segment<'sheet'> | null {
  let best: Segment<'sheet'> | null = null;
  let longest = TOLERANCE.drawn;
  a.forEach((from, i) => {
    const to = a[(i + 1) % a.length]!;
    if (distance(from, to) < TOLERANCE.drawn) return;
    const along = direction(from, to);
    b.forEach((p, j) => {
      const q = b[(j + 1) % b.length]!;
      if (Math.abs(sideOf({ from, to }, p)) > TOLERANCE.drawn || Math.abs(sideOf({ from, to }, q)) > TOLERANCE.drawn)
        return;
      const [s, t] = [dot(minus(p, from), along), dot(minus(q, from), along)];
      const [start, end] = [Math.max(0, Math.min(s, t)), Math.min(distance(from, to), Math.max(s, t))];
      if (end - start <= longest) return;
      longest = end - start;
      const at = (d: number): Point<'sheet'> => ({ x: from.x + along.x * d, y: from.y + along.y * d });
      best = { from: at(start), to: at(end) };
    });
  });
  return best;
}

/** One piece of waste: cut along the part of its rim that is not the blank's, waste on the right of the cut. */
function trimOf(ring: Polygon<'sheet'>, id: string, blank: Blank, panels: readonly Panel[]): Trim[] {
  if (area(ring) < TOLERANCE.folded) return [];
  const onRim = (i: number): boolean => {
    const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
    const near = (value: number, other: number, edge: number): boolean =>
      Math.abs(value - edge) < TOLERANCE.drawn && Math.abs(other - edge) < TOLERANCE.drawn;
    return near(p.x, q.x, 0) || near(p.x, q.x, blank.width) || near(p.y, q.y, 0) || near(p.y, q.y, blank.height);
  };
  const edges = ring.map((_, i) => i);
  const inner = edges.filter((i) => !onRim(i));
  if (inner.length === 0) return [];
  // Each run of inner edges is one path; the ring goes anticlockwise round the waste, so the cut goes back along it.
  const starts = inner.filter((i) => onRim((i + ring.length - 1) % ring.length));
  const runs = (starts.length > 0 ? starts : [inner[0]!]).map((start) => {
    const run = [start];
    while (run.length < ring.length && !onRim((run.at(-1)! + 1) % ring.length))
      run.push((run.at(-1)! + 1) % ring.length);
    return [...run.map((i) => ring[i]!), ring[(run.at(-1)! + 1) % ring.length]!].reverse();
  });
  const paths = runs.map(withoutStraight);
  // Waste that parts from the sheet along two separate cuts is two cuts, each called after what it runs along.
  return paths.map((path, i) => ({
    id: i === 0 ? id : `${id}-${i + 1}`,
    name: wasteName(path, panels),
    polygon: i === 0 ? ring : [],
    cut: { kind: 'path', path },
  }));
}

function withoutStraight(path: Polygon<'sheet'>): Polygon<'sheet'> {
  return path.filter((p, i) => {
    const [before, after] = [path[i - 1], path[i + 1]];
    return !before || !after || Math.abs(sideOf({ from: before, to: after }, p)) > TOLERANCE.drawn;
  });
}

/** Waste is called after the panels it is cut from. */
function wasteName(path: Polygon<'sheet'>, panels: readonly Panel[]): string {
  const beside = panels.filter((panel) => sharedEdge(path, panel.polygon)).map((panel) => panel.name);
  const names = [...new Set(beside)].slice(0, 2);
  return `waste beside the ${names.join(' and the ')}`;
}

/** A rectangle from its corners, anticlockwise. */
export const rect = (x0: number, y0: number, x1: number, y1: number): Polygon<'sheet'> => [
  { x: x0, y: y0 },
  { x: x1, y: y0 },
  { x: x1, y: y1 },
  { x: x0, y: y1 },
];

/** A polygon from pairs, anticlockwise. */
export const ring = (...points: readonly (readonly [number, number])[]): Polygon<'sheet'> =>
  anticlockwise(points.map(([x, y]) => ({ x, y })));
