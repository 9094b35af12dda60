import {
  crossing,
  direction,
  distance,
  dot,
  lengthInside,
  minus,
  sideOf,
  type Point,
  type Segment,
  TOLERANCE,
} from '../geometry';
import { mm, type Mm } from '../length';
import { edgeLength, notchTriangle, onEdge, type Blank, type Edge, type Piece } from '../pattern';
import type { RimMark, Spot, Stretch } from './move';

/** Scores that lie on one line, as far as they reach together. */
export interface ScoredLine {
  readonly ids: readonly string[];
  readonly line: Segment<'sheet'>;
}

/** The piece's scores by the lines they lie on, in the order of folding. */
export function scoredLines(piece: Piece): ScoredLine[] {
  const lines: { ids: string[]; line: Segment<'sheet'> }[] = [];
  // A groove runs on from notch to notch, also where the line is then slit.
  const cut = piece.notches.length > 0 ? piece.slits.map(({ line }) => ({ ids: [], line })) : [];
  for (const { ids, line } of [...piece.hinges.map(({ id, line }) => ({ ids: [id], line })), ...cut]) {
    const same = lines.find((other) =>
      [line.from, line.to].every((end) => Math.abs(sideOf(other.line, end)) < TOLERANCE.folded),
    );
    if (!same) lines.push({ ids: [...ids], line });
    else {
      const along = direction(same.line.from, same.line.to);
      const ends = [same.line.from, same.line.to, line.from, line.to].sort((p, q) => dot(minus(p, q), along));
      same.ids.push(...ids);
      same.line = { from: ends[0]!, to: ends[3]! };
    }
  }
  return lines;
}

/** A line square to an edge, run in one go: across the whole sheet, or over one stretch of it. */
export interface StraightLine {
  readonly ids: readonly string[];
  /** The edge along which it is measured while that is near, and how far from its left end. */
  readonly edge: 1 | 2;
  readonly at: Mm;
  /** Up from that edge; left out when it may run all across. */
  readonly only?: Stretch;
}

export function straightLines(piece: Piece): StraightLine[] {
  return scoredLines(piece)
    .flatMap(({ ids, line }): StraightLine[] => {
      const upright = Math.abs(line.from.x - line.to.x) < TOLERANCE.folded;
      if (!upright && Math.abs(line.from.y - line.to.y) > TOLERANCE.folded) return [];
      const [edge, at] = upright ? ([1, line.from.x] as const) : ([2, line.from.y] as const);
      const whole = { ids, edge, at: mm(at) };
      return mayRunAcross(piece, line) ? [whole] : stretches(piece, whole);
    })
    .sort((a, b) => a.edge - b.edge || a.at - b.at);
}

/** True when the line through a score meets nothing else that must not be scored: no panel's middle, no slit. */
function mayRunAcross(piece: Piece, { from, to }: Segment<'sheet'>): boolean {
  const along = direction(from, to);
  const reach = piece.blank.width + piece.blank.height;
  const all = {
    from: { x: from.x - along.x * reach, y: from.y - along.y * reach },
    to: { x: to.x + along.x * reach, y: to.y + along.y * reach },
  };
  return (
    !piece.panels.some((panel) => lengthInside(panel.polygon, all) > TOLERANCE.folded) &&
    !piece.slits.some((slit) =>
      [slit.line.from, slit.line.to].every((end) => Math.abs(sideOf(all, end)) < TOLERANCE.folded),
    )
  );
}

/** A line's scored stretches, those that meet end to end joined. */
function stretches(piece: Piece, { ids, edge, at }: StraightLine): StraightLine[] {
  const up = ({ x, y }: Point): number => (edge === 1 ? y : piece.blank.width - x);
  const parts = piece.hinges
    .filter(({ id }) => ids.includes(id))
    .map(({ id, line }) => {
      const [from, to] = [up(line.from), up(line.to)].sort((a, b) => a - b) as [number, number];
      return { ids: [id], from, to };
    })
    .sort((a, b) => a.from - b.from);
  const joined: typeof parts = [];
  for (const part of parts) {
    const last = joined.at(-1);
    if (last && part.from < last.to + TOLERANCE.folded) {
      last.ids.push(...part.ids);
      last.to = Math.max(last.to, part.to);
    } else joined.push(part);
  }
  return joined.map((part) => ({ ids: part.ids, edge, at, only: { from: mm(part.from), to: mm(part.to) } }));
}

/** A straight score carried to the rim, where it can be marked. */
export interface RimLine {
  readonly ids: readonly string[];
  /** True for scores that run through notch tips: the tool's own. */
  readonly notched: boolean;
  readonly from: RimMark;
  readonly to: RimMark;
}

/** Every score of the piece, carried to the blank's rim. */
export function rimLines(piece: Piece): RimLine[] {
  const tips = piece.notches.map((notch) => notchTriangle(piece.blank, notch)[1]);
  return scoredLines(piece).map(({ ids, line }) => {
    const [from, to] = rimEnds(piece.blank, line);
    const notched = [line.from, line.to].every((end) => tips.some((tip) => distance(tip, end) < TOLERANCE.folded));
    return { ids, notched, from, to };
  });
}

/** Where the line through a segment leaves the blank, the end nearer its start first. */
function rimEnds(blank: Blank, line: Segment<'sheet'>): [RimMark, RimMark] {
  const along = direction(line.from, line.to);
  const hits: { mark: RimMark; t: number }[] = [];
  for (const edge of [1, 2, 3, 4] as const) {
    const length = edgeLength(blank, edge);
    const side = { from: onEdge(blank, edge, 0), to: onEdge(blank, edge, length) };
    const p = crossing(line, side);
    if (!p) continue;
    const at =
      (p.x - side.from.x) * ((side.to.x - side.from.x) / length) +
      (p.y - side.from.y) * ((side.to.y - side.from.y) / length);
    if (at < -TOLERANCE.length || at > length + TOLERANCE.length) continue;
    hits.push({
      mark: { edge, at: mm(Math.min(Math.max(at, 0), length)) },
      t: (p.x - line.from.x) * along.x + (p.y - line.from.y) * along.y,
    });
  }
  hits.sort((a, b) => a.t - b.t);
  return [hits[0]!.mark, hits.at(-1)!.mark];
}

/** How a point of the sheet is measured: along whichever edge is nearest. */
export function spotAt(blank: Blank, p: Point<'sheet'>, lines: readonly ScoredLine[]): Spot {
  const from = [p.y, blank.width - p.x, blank.height - p.y, p.x];
  const nearest = Math.min(...from);
  const edge = (from.findIndex((depth) => depth <= nearest + TOLERANCE.folded) + 1) as Edge;
  const at = [p.x, p.y, blank.width - p.x, blank.height - p.y][edge - 1]!;
  const onRim = from.filter((depth) => Math.abs(depth) < TOLERANCE.folded).length;
  const on = lines.filter(({ line }) => Math.abs(sideOf(line, p)) < TOLERANCE.folded);
  return {
    edge,
    at: mm(at),
    deep: mm(onRim > 0 ? 0 : nearest),
    on: onRim > 1 ? 'corner' : on.length + onRim > 1 ? 'crossing' : on.length > 0 ? 'score' : 'open',
    scores: on.map((line) => line.ids[0]!),
  };
}
