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
} from '../geometry';
import { blankPolygon, edgeLength, onEdge, type Blank, type Edge } from '../pattern';
import { mm } from '../length';
import type { Move, RimMark, Spot, Stretch } from './programme';
import { hasGroove, type Tool } from './tool';

/** Paper that a move took off, as rings. */
export interface TakenOff {
  readonly by: 'cut' | 'round' | 'bite';
  readonly rings: readonly Polygon<'sheet'>[];
}

/** What a simulated tool left on the sheet. */
export interface Simulated {
  /** Scores that remain on the paper, in the order they were run. */
  readonly scores: readonly Segment<'sheet'>[];
  readonly notches: readonly Polygon<'sheet'>[];
  /** Paths cut from spot to spot, the waste on their right. */
  readonly cuts: readonly Polygon<'sheet'>[];
  /** What is left of the sheet, rings; holes clockwise. Round holes and slits are told apart. */
  readonly paper: readonly Polygon<'sheet'>[];
  /** What fell away besides the notches, and by what. */
  readonly off: readonly TakenOff[];
  readonly slits: readonly Segment<'sheet'>[];
  readonly holes: readonly { readonly centre: Point<'sheet'>; readonly diameter: number }[];
  /** Moves the tool could not carry out. */
  readonly faults: readonly string[];
}

/** Reading error of the simulated eye, mm: marks closer than this are the same mark. */
const EYE = 1e-4;
/** How near a crossing a spot counts as lying on it, mm. */
const SEEN = 2e-3;

/**
 * Carries a programme out on a blank, move by move, as the tool would: it knows where the sheet lies, its own
 * notch, offset, ruler and groove, and nothing of the pattern. Moves it cannot make are faults, not exceptions.
 */
export function simulate(blank: Blank, tool: Tool, moves: readonly Move[]): Simulated {
  const faults: string[] = [];
  const runs: Segment<'sheet'>[] = [];
  const runOf = new Map<string, Segment<'sheet'>>();
  const slits: Segment<'sheet'>[] = [];
  const notches: Polygon<'sheet'>[] = [];
  const cuts: Polygon<'sheet'>[] = [];
  const holes: { centre: Point<'sheet'>; diameter: number }[] = [];
  const off: TakenOff[] = [];
  const marks: { edge: Edge; at: number; deep: number }[] = [];
  let near: Edge = 1;
  let standing: number | null = null;
  const isMarked = ({ edge, at, deep = 0 }: RimMark & { readonly deep?: number }): boolean =>
    marks.some((mark) => mark.edge === edge && Math.abs(mark.at - at) < EYE && Math.abs(mark.deep - deep) < EYE);
  /** The place a maker finds along an edge and in from it. */
  const found = ({ edge, at, deep = 0 }: RimMark & { readonly deep?: number }): Point<'sheet'> => {
    const [from, to] = [onEdge(blank, edge, 0), onEdge(blank, edge, edgeLength(blank, edge))];
    const u = direction(from, to);
    return { x: from.x + u.x * at - u.y * deep, y: from.y + u.y * at + u.x * deep };
  };
  /** True when a spot can be found: it is marked, it is a corner, or two scores (or a score and the rim) cross there. */
  const isFound = (spot: Spot): boolean => {
    if (isMarked(spot)) return true;
    const p = found(spot);
    const rims = [p.x, p.y, blank.width - p.x, blank.height - p.y].filter((depth) => Math.abs(depth) < SEEN).length;
    const through = runs.filter((run) => Math.abs(sideOf(run, p)) < SEEN);
    const ways = new Set(
      through.map((run) => Math.round(Math.atan2(run.to.y - run.from.y, run.to.x - run.from.x) * 100) % 314),
    );
    return rims + ways.size > 1;
  };
  const board = tool.kind === 'envelope-board' ? tool : null;
  /** A point over the sheet while `near` is at the maker: `along` from its left end, `deep` away from it. */
  const over = (along: number, deep: number): Point<'sheet'> => {
    const [from, to] = [onEdge(blank, near, 0), onEdge(blank, near, edgeLength(blank, near))];
    const u = direction(from, to);
    return { x: from.x + u.x * along - u.y * deep, y: from.y + u.y * along + u.x * deep };
  };

  /** The paper as it is by now, rings; holes clockwise. */
  let paper: readonly Polygon<'sheet'>[] = [blankPolygon(blank)];
  const takeOff = (by: TakenOff['by'], waste: Polygon<'sheet'>): void => {
    off.push({ by, rings: paper.flatMap((ring) => (signedArea(ring) < 0 ? [] : intersection(ring, waste))) });
    paper = difference(paper, [waste]);
  };
  const punch = (triangle: Polygon<'sheet'>): void => {
    notches.push(triangle);
    paper = difference(paper, [triangle]);
  };

  /** What a move does to the sheet. A kind of move that is not told here does not compile. */
  const carryOut = (move: Move): void => {
    switch (move.do) {
      case 'turn':
        near = ((near % 4) + 1) as Edge;
        standing = null;
        return;
      case 'mark':
        marks.push({ edge: move.edge, at: move.at, deep: move.deep ?? 0 });
        return;
      case 'place':
        standing = null;
        if (!board) faults.push('there is no board to lay the sheet in');
        else if (move.edge !== near) faults.push(`edge ${move.edge} is not near: edge ${near} is`);
        else if (move.by === 'ruler') {
          if (move.at > board.rulerEnd + EYE) faults.push(`the board's ruler ends before ${move.at} mm`);
          else standing = move.at + board.offset;
        } else if (move.by === 'mark') {
          if (isMarked(move)) standing = move.at;
          else faults.push(`edge ${move.edge} has no mark at ${move.at} mm`);
        } else {
          const [left, right] = [over(0, 0), over(edgeLength(blank, near), 0)];
          const meets = (move.to === undefined ? runs.at(-1) : runOf.get(move.to))?.to;
          if (!meets || Math.abs(sideOf({ from: left, to: right }, meets)) > EYE)
            faults.push('the last score does not reach the near edge, so the pointer has nothing to meet');
          else standing = dot(minus(meets, left), direction(left, right)) - board.notch / 2;
        }
        return;
      case 'punch':
        if (standing === null || !board) faults.push('the sheet does not lie in the board');
        else
          punch([
            over(standing - board.notch / 2, 0),
            over(standing, board.notch / 2),
            over(standing + board.notch / 2, 0),
          ]);
        return;
      case 'score': {
        if (standing === null || !board) {
          faults.push('the sheet does not lie in the board');
          return;
        }
        const [width, depth] = [edgeLength(blank, near), edgeLength(blank, near === 1 || near === 3 ? 2 : 1)];
        const free = Math.min(width - standing, depth - board.notch / 2);
        const reach = move.onward ? free : Math.min(free, board.grooveEnd / Math.SQRT2);
        const run = { from: over(standing, board.notch / 2), to: over(standing + reach, board.notch / 2 + reach) };
        runs.push(run);
        runOf.set(move.score, run);
        return;
      }
      case 'join':
        if (!isMarked(move.from) || !isMarked(move.to))
          faults.push(`score ${move.score} lacks a mark to start or end at`);
        else
          runs.push(
            stretchOf(
              { from: onEdge(blank, move.from.edge, move.from.at), to: onEdge(blank, move.to.edge, move.to.at) },
              move.only,
            ),
          );
        return;
      case 'snip': {
        const [from, to] = [onEdge(blank, move.edge, move.from), onEdge(blank, move.edge, move.to)];
        const through = (p: Point<'sheet'>) =>
          runs.filter((run) => distance(run.from, p) < EYE || distance(run.to, p) < EYE);
        // Where two notches touch, two scores end at one mark: those that cross over this stretch of the edge are meant.
        const along = direction(from, to);
        const tip = through(from)
          .flatMap((a) => through(to).map((b) => (a === b ? null : crossing(a, b))))
          .find((p) => p && dot(minus(p, from), along) > EYE && dot(minus(p, to), along) < -EYE);
        if (tip) punch([from, tip, to]);
        else faults.push(`no two scores meet over edge ${move.edge} to cut a notch by`);
        return;
      }
      case 'groove':
        if (tool.kind !== 'scoring-board') faults.push('there is no scoring board to lay the sheet on');
        else if (move.edge !== near) faults.push(`edge ${move.edge} is not near: edge ${near} is`);
        else if (!hasGroove(tool, move.at))
          faults.push(
            move.at > tool.length
              ? `the scoring board ends before ${move.at} mm`
              : `the scoring board has no groove at ${move.at} mm`,
          );
        else
          runs.push(
            stretchOf(
              { from: over(move.at, 0), to: over(move.at, edgeLength(blank, near === 1 || near === 3 ? 2 : 1)) },
              move.only,
            ),
          );
        return;
      case 'edge-score':
        if (tool.kind !== 'edge-board') faults.push('there is no board that scores near an edge');
        else {
          const depth = tool.scoreFrom + tool.offset;
          runs.push({
            from: found({ edge: move.edge, at: mm(0), deep: depth }),
            to: found({ edge: move.edge, at: edgeLength(blank, move.edge), deep: depth }),
          });
        }
        return;
      case 'relief':
        if (tool.kind !== 'edge-board') faults.push('there is no board that punches a relief notch');
        else if (
          !runs.some(
            (run) =>
              Math.abs(sideOf(run, found({ edge: move.edge, at: move.at, deep: tool.scoreFrom + tool.offset }))) < SEEN,
          )
        )
          faults.push(`no score meets the guide at ${move.at} mm on edge ${move.edge}`);
        else for (const way of [-1, 1]) marks.push({ edge: move.edge, at: move.at + (way * tool.relief) / 2, deep: 0 });
        return;
      case 'cut': {
        const lost = move.path.find((spot) => !isFound(spot));
        if (lost) faults.push(`the cut at the ${move.what} lacks a mark ${lost.at} mm along edge ${lost.edge}`);
        const path = move.path.map(found);
        cuts.push(path);
        takeOff('cut', fallen(blank, path));
        return;
      }
      case 'slit': {
        const lost = [move.from, move.to].find((spot) => !isFound(spot));
        if (lost) faults.push(`the ${move.what} lacks a mark ${lost.at} mm along edge ${lost.edge}`);
        slits.push({ from: found(move.from), to: found(move.to) });
        return;
      }
      case 'round': {
        const corner = cornerOff(paper, found(move.at), move.radius);
        if (typeof corner === 'string') faults.push(`the corner of the ${move.what}: ${corner}`);
        else takeOff('round', corner);
        return;
      }
      case 'bite':
        takeOff('bite', discAt(found(move.at), move.diameter / 2));
        if (off.at(-1)!.rings.length === 0)
          faults.push(`the punch for the finger notch in the ${move.what} meets no paper`);
        return;
      case 'hole':
        if (!isFound(move.at)) faults.push(`the hole in the ${move.what} lacks a mark`);
        holes.push({ centre: found(move.at), diameter: move.diameter });
        return;
      default:
        return neverMade(move);
    }
  };
  moves.forEach(carryOut);
  const waste = [...notches, ...cuts.map((path) => fallen(blank, path))];
  const scores = runs.flatMap((run) => remaining(run, blank, waste)).flatMap((score) => uncut(score, slits));
  return { scores, paper, notches, cuts, off, slits, holes, faults };
}

const neverMade = (move: never): never => {
  throw new Error(`no simulated tool carries out ${JSON.stringify(move)}`);
};

/** Chords of a simulated round cut: they leave it by under a thousandth of its radius. */
const CHORDS = 72;

/** A round punch of that radius about its middle. */
const discAt = (centre: Point<'sheet'>, radius: number): Polygon<'sheet'> =>
  Array.from({ length: CHORDS }, (_, i) => {
    const turn = (2 * Math.PI * i) / CHORDS;
    return { x: centre.x + radius * Math.cos(turn), y: centre.y + radius * Math.sin(turn) };
  });

/**
 * What comes off where the corner of the paper at `p` is rounded, or why it cannot be: an arc that touches both edges
 * needs `radius / tan(half the angle)` of each, and they must go on straight that far.
 */
function cornerOff(paper: readonly Polygon<'sheet'>[], p: Point<'sheet'>, radius: number): Polygon<'sheet'> | string {
  const ring = paper.find((one) => one.some((q) => distance(p, q) < SEEN));
  if (!ring) return 'there is no corner of the paper to round';
  const at = (i: number): Point<'sheet'> => ring[((i % ring.length) + ring.length) % ring.length]!;
  const i = ring.findIndex((q) => distance(p, q) < SEEN);
  const corner = at(i);
  /** How far an edge goes on straight from the corner, one way round, and where to. */
  const straight = (way: 1 | -1): Point<'sheet'> => {
    let k = i + way;
    while (distance(corner, at(k)) < SEEN && k !== i + way * ring.length) k += way;
    const line = { from: corner, to: at(k) };
    while (Math.abs(sideOf(line, at(k + way))) < SEEN && distance(corner, at(k + way)) > distance(corner, at(k)))
      k += way;
    return at(k);
  };
  const [before, after] = [straight(-1), straight(1)];
  if (sideOf({ from: before, to: corner }, after) < SEEN) return 'the paper has no corner that stands out there';
  const [u, v] = [direction(corner, before), direction(corner, after)];
  const half = Math.acos(Math.max(-1, Math.min(1, dot(u, v)))) / 2;
  const needs = radius / Math.tan(half);
  const has = Math.min(distance(corner, before), distance(corner, after));
  if (needs > has + SEEN) return `a radius of ${radius} mm needs ${needs} mm of either edge, and there are ${has}`;
  const along = (w: Point): Point<'sheet'> => ({ x: corner.x + w.x * needs, y: corner.y + w.y * needs });
  const [first, last] = [along(u), along(v)];
  const middle = { x: (u.x + v.x) / (2 * Math.cos(half)), y: (u.y + v.y) / (2 * Math.cos(half)) };
  const deep = radius / Math.sin(half);
  const centre = { x: corner.x + middle.x * deep, y: corner.y + middle.y * deep };
  const [start, turn] = [Math.atan2(last.y - centre.y, last.x - centre.x), -(Math.PI - 2 * half)];
  const arc = Array.from({ length: CHORDS + 1 }, (_, k): Point<'sheet'> => {
    const angle = start + (turn * k) / CHORDS;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
  return [first, corner, ...arc];
}

/** What is left of a score that a slit was cut along. */
function uncut(score: Segment<'sheet'>, slits: readonly Segment<'sheet'>[]): Segment<'sheet'>[] {
  let left = [score];
  for (const slit of slits)
    left = left.flatMap((part) => {
      if ([slit.from, slit.to].some((p) => Math.abs(sideOf(part, p)) > SEEN)) return [part];
      const along = direction(part.from, part.to);
      const length = distance(part.from, part.to);
      const [s, t] = [slit.from, slit.to].map((p) => dot(minus(p, part.from), along)).sort((a, b) => a - b) as [
        number,
        number,
      ];
      if (t < SEEN || s > length - SEEN) return [part];
      return [stretchOf(part, { from: mm(0), to: mm(s) }), stretchOf(part, { from: mm(t), to: mm(length) })].filter(
        ({ from, to }) => dot(minus(to, from), along) > SEEN,
      );
    });
  return left;
}

/** The part of a line that is run: all of it, or from one distance along it to another. */
function stretchOf({ from, to }: Segment<'sheet'>, only: Stretch | undefined): Segment<'sheet'> {
  if (!only) return { from, to };
  const along = direction(from, to);
  const at = (d: number): Point<'sheet'> => ({ x: from.x + along.x * d, y: from.y + along.y * d });
  return { from: at(only.from), to: at(only.to) };
}

/** What falls away to the right of a cut from rim to rim: the path, and the rim back to its start, clockwise. */
function fallen(blank: Blank, path: Polygon<'sheet'>): Polygon<'sheet'> {
  const round = (p: Point<'sheet'>): number => {
    const { width, height } = blank;
    if (Math.abs(p.y) < SEEN) return p.x;
    if (Math.abs(p.x - width) < SEEN) return width + p.y;
    if (Math.abs(p.y - height) < SEEN) return 2 * width + height - p.x;
    return 2 * (width + height) - p.y;
  };
  const all = 2 * (blank.width + blank.height);
  const [start, end] = [round(path[0]!), round(path.at(-1)!)];
  // Clockwise from the end of the cut back to its start: distances round the rim, measured anticlockwise, go down.
  const span = (end - start + all) % all;
  const corners = ([1, 2, 3, 4] as const)
    .map((edge) => onEdge(blank, edge, 0))
    .map((p) => ({ p, at: (end - round(p) + all) % all }))
    .filter(({ at }) => at > SEEN && at < span - SEEN)
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
      if (distance(p, next) < EYE) return;
      const q = crossing(run, { from: p, to: next });
      if (q) stops.push(dot(minus(q, run.from), along) / length);
    });
  const isPaper = (p: Point<'sheet'>): boolean =>
    p.x > 0 && p.y > 0 && p.x < blank.width && p.y < blank.height && !waste.some((ring) => contains(ring, p));
  const kept = (p: Point<'sheet'>): boolean =>
    [-SEEN, SEEN].every((off) => isPaper({ x: p.x - along.y * off, y: p.y + along.x * off }));
  const sorted = stops.filter((t) => t >= 0 && t <= 1).sort((a, b) => a - b);
  const pieces: [number, number][] = [];
  for (let i = 0; i + 1 < sorted.length; i++) {
    const [a, b] = [sorted[i]!, sorted[i + 1]!];
    if ((b - a) * length < SEEN || !kept(at((a + b) / 2))) continue;
    const last = pieces.at(-1);
    if (last && (a - last[1]) * length < 2 * SEEN) last[1] = b;
    else pieces.push([a, b]);
  }
  return pieces.map(([a, b]) => ({ from: at(a), to: at(b) }));
}
