import { crossing, direction, distance, dot, minus, sideOf, type Point, type Polygon, type Segment } from '../geometry';
import { edgeLength, onEdge, type Blank, type Edge } from '../pattern';
import type { Move, RimMark } from './programme';
import type { Tool } from './tool';

/** What a simulated tool left on the sheet. */
export interface Made {
  /** Scores that remain on the paper, in the order they were run. */
  readonly scores: readonly Segment<'sheet'>[];
  readonly notches: readonly Polygon<'sheet'>[];
  /** Straight cuts that took a corner off. */
  readonly slants: readonly Segment<'sheet'>[];
  /** Moves the tool could not carry out. */
  readonly faults: readonly string[];
}

/** Reading error of the simulated eye, mm: marks closer than this are the same mark. */
const EYE = 1e-4;

/**
 * Carries a programme out on a blank, move by move, as the tool would: it knows where the sheet lies, its own
 * notch, offset, ruler and groove, and nothing of the pattern. Moves it cannot make are faults, not exceptions.
 */
export function simulate(blank: Blank, tool: Tool, moves: readonly Move[]): Made {
  const faults: string[] = [];
  const runs: Segment<'sheet'>[] = [];
  const notches: Polygon<'sheet'>[] = [];
  const slants: Segment<'sheet'>[] = [];
  const marks: RimMark[] = [];
  let near: Edge = 1;
  let standing: number | null = null;
  const isMarked = ({ edge, at }: RimMark): boolean =>
    marks.some((mark) => mark.edge === edge && Math.abs(mark.at - at) < EYE);
  const board = tool.kind === 'envelope-board' ? tool : null;
  /** A point over the sheet while `near` is at the maker: `along` from its left end, `deep` away from it. */
  const over = (along: number, deep: number): Point<'sheet'> => {
    const [from, to] = [onEdge(blank, near, 0), onEdge(blank, near, edgeLength(blank, near))];
    const u = direction(from, to);
    return { x: from.x + u.x * along - u.y * deep, y: from.y + u.y * along + u.x * deep };
  };

  for (const move of moves) {
    if (move.do === 'turn') {
      near = ((near % 4) + 1) as Edge;
      standing = null;
    } else if (move.do === 'mark') marks.push({ edge: move.edge, at: move.at });
    else if (move.do === 'place') {
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
        const meets = runs.at(-1)?.to;
        if (!meets || Math.abs(sideOf({ from: left, to: right }, meets)) > EYE)
          faults.push('the last score does not reach the near edge, so the pointer has nothing to meet');
        else standing = dot(minus(meets, left), direction(left, right)) - board.notch / 2;
      }
    } else if (move.do === 'punch') {
      if (standing === null || !board) faults.push('the sheet does not lie in the board');
      else
        notches.push([
          over(standing - board.notch / 2, 0),
          over(standing, board.notch / 2),
          over(standing + board.notch / 2, 0),
        ]);
    } else if (move.do === 'score') {
      if (standing === null || !board) faults.push('the sheet does not lie in the board');
      else {
        const [width, depth] = [edgeLength(blank, near), edgeLength(blank, near === 1 || near === 3 ? 2 : 1)];
        const free = Math.min(width - standing, depth - board.notch / 2);
        const reach = move.onward ? free : Math.min(free, board.grooveEnd / Math.SQRT2);
        runs.push({ from: over(standing, board.notch / 2), to: over(standing + reach, board.notch / 2 + reach) });
      }
    } else if (move.do === 'join') {
      if (!isMarked(move.from) || !isMarked(move.to))
        faults.push(`score ${move.score} lacks a mark to start or end at`);
      else
        runs.push({ from: onEdge(blank, move.from.edge, move.from.at), to: onEdge(blank, move.to.edge, move.to.at) });
    } else if (move.do === 'snip') {
      const [from, to] = [onEdge(blank, move.edge, move.from), onEdge(blank, move.edge, move.to)];
      const through = (p: Point<'sheet'>) =>
        runs.find((run) => distance(run.from, p) < EYE || distance(run.to, p) < EYE);
      const [a, b] = [through(from), through(to)];
      const tip = a && b ? crossing(a, b) : null;
      if (tip) notches.push([from, tip, to]);
      else faults.push(`no two scores meet over edge ${move.edge} to cut a notch by`);
    } else if (move.do === 'slant') {
      if (!isMarked(move.from) || !isMarked(move.to)) faults.push(`the cut at the ${move.what} lacks a mark`);
      else
        slants.push({ from: onEdge(blank, move.from.edge, move.from.at), to: onEdge(blank, move.to.edge, move.to.at) });
    }
  }
  return { scores: runs.flatMap((run) => remaining(run, blank, notches, slants)), notches, slants, faults };
}

/** What is left of a scored line once notches and corners are off. */
function remaining(
  run: Segment<'sheet'>,
  blank: Blank,
  notches: readonly Polygon<'sheet'>[],
  slants: readonly Segment<'sheet'>[],
): Segment<'sheet'>[] {
  const centre = { x: blank.width / 2, y: blank.height / 2 };
  const stops = [0, 1];
  const length = distance(run.from, run.to);
  const along = direction(run.from, run.to);
  const edges = [
    ...notches.flatMap((ring) => ring.map((p, i) => ({ from: p, to: ring[(i + 1) % ring.length]! }))),
    ...slants,
  ];
  for (const edge of edges) {
    const p = crossing(run, edge);
    if (p) stops.push(dot(minus(p, run.from), along) / length);
  }
  const kept = (p: Point<'sheet'>): boolean =>
    !notches.some((ring) => inOrOn(ring, p)) &&
    slants.every((slant) => sideOf(slant, p) * Math.sign(sideOf(slant, centre)) > EYE);
  const sorted = stops.filter((t) => t >= 0 && t <= 1).sort((a, b) => a - b);
  const at = (t: number): Point<'sheet'> => ({
    x: run.from.x + along.x * length * t,
    y: run.from.y + along.y * length * t,
  });
  const pieces: [number, number][] = [];
  for (let i = 0; i + 1 < sorted.length; i++) {
    const [a, b] = [sorted[i]!, sorted[i + 1]!];
    if ((b - a) * length < EYE || !kept(at((a + b) / 2))) continue;
    const last = pieces.at(-1);
    if (last && (a - last[1]) * length < EYE) last[1] = b;
    else pieces.push([a, b]);
  }
  return pieces.map(([a, b]) => ({ from: at(a), to: at(b) }));
}

/** True when the point lies in a triangle or on its rim, either way round. */
function inOrOn(triangle: Polygon<'sheet'>, p: Point<'sheet'>): boolean {
  const sides = triangle.map((a, i) => sideOf({ from: a, to: triangle[(i + 1) % triangle.length]! }, p));
  return sides.every((s) => s >= -EYE) || sides.every((s) => s <= EYE);
}
