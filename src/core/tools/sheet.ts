import {
  contains,
  crossing,
  difference,
  direction,
  distance,
  dot,
  intersection,
  minus,
  sideOf,
  signedArea,
  type Point,
  type Polygon,
  type Segment,
  TOLERANCE,
} from '../geometry';
import { mm, type Mm } from '../length';
import { blankPolygon, edgeLength, onEdge, rightOf, type Blank, type Edge } from '../pattern';
import type { Fault } from './fault';
import type { RimMark, Spot, Stretch } from './move';

/** Paper that a move took off, as rings. */
export interface TakenOff {
  readonly by: 'cut' | 'round' | 'bite';
  readonly rings: readonly Polygon<'sheet'>[];
}

/** A score as it was run, whole: what is cut from it later is not taken off here. */
export interface Run {
  readonly scores: readonly string[];
  readonly line: Segment<'sheet'>;
}

/** What a sheet has become after any part of the work: plain data, from which work goes on. */
export interface SheetState {
  readonly blank: Blank;
  /** The edge at the maker. */
  readonly near: Edge;
  /** How it lies in a tool: from its left end to where the tool works, mm; null when it lies free. */
  readonly standing: number | null;
  readonly marks: readonly (RimMark & { readonly deep: number })[];
  readonly runs: readonly Run[];
  readonly notches: readonly Polygon<'sheet'>[];
  /** Edges with a notch. */
  readonly notched: readonly Edge[];
  /** Paths cut from spot to spot, the waste on their right. */
  readonly cuts: readonly Polygon<'sheet'>[];
  /** What is left of the sheet, rings; holes clockwise. Round holes and slits are told apart. */
  readonly paper: readonly Polygon<'sheet'>[];
  /** What fell away besides the notches, and by what. */
  readonly off: readonly TakenOff[];
  readonly slits: readonly Segment<'sheet'>[];
  readonly holes: readonly { readonly centre: Point<'sheet'>; readonly diameter: number }[];
  /** What could not be carried out. */
  readonly faults: readonly Fault[];
}

/** A sheet as it is cut, edge 1 at the maker. */
export const wholeSheet = (blank: Blank): SheetState => ({
  blank,
  near: 1,
  standing: null,
  marks: [],
  runs: [],
  notches: [],
  notched: [],
  cuts: [],
  paper: [blankPolygon(blank)],
  off: [],
  slits: [],
  holes: [],
  faults: [],
});

type Place = RimMark & { readonly deep?: number };

/** A sheet on the table while a move is carried out: what can be found on it, and what is done to it. */
export class Sheet {
  constructor(private now: SheetState) {}

  get state(): SheetState {
    return this.now;
  }
  get blank(): Blank {
    return this.now.blank;
  }
  get near(): Edge {
    return this.now.near;
  }
  /** How long the near edge is, and how far the sheet reaches away from it, mm. */
  get wide(): Mm {
    return edgeLength(this.blank, this.near);
  }
  get deep(): Mm {
    return edgeLength(this.blank, this.near % 2 === 1 ? 2 : 1);
  }

  private with(change: Partial<SheetState>): void {
    this.now = { ...this.now, ...change };
  }

  fault(fault: Fault): void {
    this.with({ faults: [...this.now.faults, fault] });
  }

  /** A point over the sheet: so far along the near edge from its left end, and so far away from it. */
  over(along: number, deep: number): Point<'sheet'> {
    return this.found({ edge: this.near, at: along as Mm, deep });
  }
  /** The place a maker finds along an edge and in from it. */
  found({ edge, at, deep = 0 }: Place): Point<'sheet'> {
    const [from, to] = [onEdge(this.blank, edge, 0), onEdge(this.blank, edge, edgeLength(this.blank, edge))];
    const u = direction(from, to);
    return { x: from.x + u.x * at - u.y * deep, y: from.y + u.y * at + u.x * deep };
  }
  isMarked({ edge, at, deep = 0 }: Place): boolean {
    return this.now.marks.some(
      (mark) =>
        mark.edge === edge && Math.abs(mark.at - at) < TOLERANCE.drawn && Math.abs(mark.deep - deep) < TOLERANCE.drawn,
    );
  }
  /** True when a spot can be found: it is marked, it is a corner, or two scores (or a score and the rim) cross there. */
  isFound(spot: Spot): boolean {
    if (this.isMarked(spot)) return true;
    const p = this.found(spot);
    const { width, height } = this.blank;
    const rims = [p.x, p.y, width - p.x, height - p.y].filter((depth) => Math.abs(depth) < TOLERANCE.found).length;
    const ways = new Set(
      this.now.runs
        .map(({ line }) => line)
        .filter((line) => Math.abs(sideOf(line, p)) < TOLERANCE.found)
        .map(({ from, to }) => Math.round(Math.atan2(to.y - from.y, to.x - from.x) * 100) % 314),
    );
    return rims + ways.size > 1;
  }

  turn(): void {
    this.with({ near: rightOf(this.near), standing: null });
  }
  /** Lays it in a tool, so far from its left end to where the tool works; null takes it out. */
  lay(standing: number | null): void {
    this.with({ standing });
  }
  mark({ edge, at, deep = 0 }: Place): void {
    this.with({ marks: [...this.now.marks, { edge, at, deep }] });
  }
  run(scores: readonly string[], line: Segment<'sheet'>): void {
    this.with({ runs: [...this.now.runs, { scores, line }] });
  }
  notch(edge: Edge, triangle: Polygon<'sheet'>): void {
    this.with({
      notches: [...this.now.notches, triangle],
      notched: [...this.now.notched, edge],
      paper: difference(this.now.paper, [triangle]),
    });
  }
  /** Cuts along a path; what lies on its right falls away. */
  cut(path: Polygon<'sheet'>): void {
    this.with({ cuts: [...this.now.cuts, path] });
    this.takeOff('cut', fallen(this.blank, path));
  }
  slit(line: Segment<'sheet'>): void {
    this.with({ slits: [...this.now.slits, line] });
  }
  hole(centre: Point<'sheet'>, diameter: number): void {
    this.with({ holes: [...this.now.holes, { centre, diameter }] });
  }
  /** Takes paper off; whether there was any. */
  takeOff(by: TakenOff['by'], waste: Polygon<'sheet'>): boolean {
    const rings = this.now.paper.flatMap((ring) => (signedArea(ring) < 0 ? [] : intersection(ring, waste)));
    this.with({ off: [...this.now.off, { by, rings }], paper: difference(this.now.paper, [waste]) });
    return rings.length > 0;
  }
}

/** Scores as they remain on the paper, in the order they were run. */
export function scoresLeft({ blank, runs, notches, cuts, slits }: SheetState): Segment<'sheet'>[] {
  const waste = [...notches, ...cuts.map((path) => fallen(blank, path))];
  return runs.flatMap(({ line }) => remaining(line, blank, waste)).flatMap((score) => uncut(score, slits));
}

/** What is left of a score that a slit was cut along. */
function uncut(score: Segment<'sheet'>, slits: readonly Segment<'sheet'>[]): Segment<'sheet'>[] {
  let left = [score];
  for (const slit of slits)
    left = left.flatMap((part) => {
      if ([slit.from, slit.to].some((p) => Math.abs(sideOf(part, p)) > TOLERANCE.found)) return [part];
      const along = direction(part.from, part.to);
      const length = distance(part.from, part.to);
      const [s, t] = [slit.from, slit.to].map((p) => dot(minus(p, part.from), along)).sort((a, b) => a - b) as [
        number,
        number,
      ];
      if (t < TOLERANCE.found || s > length - TOLERANCE.found) return [part];
      return [stretchOf(part, { from: mm(0), to: mm(s) }), stretchOf(part, { from: mm(t), to: mm(length) })].filter(
        ({ from, to }) => dot(minus(to, from), along) > TOLERANCE.found,
      );
    });
  return left;
}

/** The part of a line that is run: all of it, or from one distance along it to another. */
export function stretchOf({ from, to }: Segment<'sheet'>, only: Stretch | undefined): Segment<'sheet'> {
  if (!only) return { from, to };
  const along = direction(from, to);
  const at = (d: number): Point<'sheet'> => ({ x: from.x + along.x * d, y: from.y + along.y * d });
  return { from: at(only.from), to: at(only.to) };
}

/** What falls away to the right of a cut from rim to rim: the path, and the rim back to its start, clockwise. */
function fallen(blank: Blank, path: Polygon<'sheet'>): Polygon<'sheet'> {
  const round = (p: Point<'sheet'>): number => {
    const { width, height } = blank;
    if (Math.abs(p.y) < TOLERANCE.found) return p.x;
    if (Math.abs(p.x - width) < TOLERANCE.found) return width + p.y;
    if (Math.abs(p.y - height) < TOLERANCE.found) return 2 * width + height - p.x;
    return 2 * (width + height) - p.y;
  };
  const all = 2 * (blank.width + blank.height);
  const [start, end] = [round(path[0]!), round(path.at(-1)!)];
  // Clockwise from the end of the cut back to its start: distances round the rim, measured anticlockwise, go down.
  const span = (end - start + all) % all;
  const corners = ([1, 2, 3, 4] as const)
    .map((edge) => onEdge(blank, edge, 0))
    .map((p) => ({ p, at: (end - round(p) + all) % all }))
    .filter(({ at }) => at > TOLERANCE.found && at < span - TOLERANCE.found)
    .sort((a, b) => a.at - b.at);
  return [...path, ...corners.map(({ p }) => p)];
}

/** What is left of a scored line once notches and waste are off: where there is paper on both its sides. */
function remaining(run: Segment<'sheet'>, blank: Blank, waste: readonly Polygon<'sheet'>[]): Segment<'sheet'>[] {
  const stops = [0, 1];
  const length = distance(run.from, run.to);
  const along = direction(run.from, run.to);
  const at = (t: number): Point<'sheet'> => ({
    x: run.from.x + along.x * length * t,
    y: run.from.y + along.y * length * t,
  });
  for (const ring of waste)
    ring.forEach((p, i) => {
      const next = ring[(i + 1) % ring.length]!;
      stops.push(dot(minus(p, run.from), along) / length);
      if (distance(p, next) < TOLERANCE.drawn) return;
      const q = crossing(run, { from: p, to: next });
      if (q) stops.push(dot(minus(q, run.from), along) / length);
    });
  const isPaper = (p: Point<'sheet'>): boolean =>
    p.x > 0 && p.y > 0 && p.x < blank.width && p.y < blank.height && !waste.some((ring) => contains(ring, p));
  const kept = (p: Point<'sheet'>): boolean =>
    [-TOLERANCE.found, TOLERANCE.found].every((off) => isPaper({ x: p.x - along.y * off, y: p.y + along.x * off }));
  const sorted = stops.filter((t) => t >= 0 && t <= 1).sort((a, b) => a - b);
  const pieces: [number, number][] = [];
  for (let i = 0; i + 1 < sorted.length; i++) {
    const [a, b] = [sorted[i]!, sorted[i + 1]!];
    if ((b - a) * length < TOLERANCE.found || !kept(at((a + b) / 2))) continue;
    const last = pieces.at(-1);
    if (last && (a - last[1]) * length < 2 * TOLERANCE.found) last[1] = b;
    else pieces.push([a, b]);
  }
  return pieces.map(([a, b]) => ({ from: at(a), to: at(b) }));
}
