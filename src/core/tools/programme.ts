import type { Start } from '../constructions';
import { crossing, direction, distance, dot, lengthInside, minus, sideOf, type Point, type Segment } from '../geometry';
import { mm, type Mm } from '../length';
import { edgeLength, leftOf, notchTriangle, onEdge, rightOf, type Blank, type Edge, type Piece } from '../pattern';
import { hasGroove, type EdgeBoard, type EnvelopeBoard, type Tool } from './tool';

/** A place on the sheet's rim: along an edge from its left end once that edge is near, mm. */
export interface RimMark {
  readonly edge: Edge;
  readonly at: Mm;
}

/** A place on the sheet as it is measured: along an edge, and in from it; 0 deep is on the rim, less is outside. */
export interface Spot extends RimMark {
  readonly deep: Mm;
  /** How a maker finds it without measuring: at a corner, where scores cross, or on one. */
  readonly on: 'corner' | 'crossing' | 'score' | 'open';
  /** Scores it lies on. */
  readonly scores: readonly string[];
}

/** A stretch of a line, measured from an edge, mm. */
export interface Stretch {
  readonly from: Mm;
  readonly to: Mm;
}

/** One thing the maker does to the flat sheet. */
export type Move =
  /** Lay the near edge in the board: by its ruler (`at` the reading), by a mark on the sheet, or pointer to the last score. */
  | {
      readonly do: 'place';
      readonly edge: Edge;
      readonly by: 'ruler' | 'mark' | 'pointer';
      readonly at: Mm;
      /** The score the pointer comes to, where it is not the last one made. */
      readonly to?: string;
    }
  | { readonly do: 'punch' }
  /** Run the groove; `onward` says the groove ends first and a ruler carries the score to the sheet's edge. */
  | {
      readonly do: 'score';
      readonly score: string;
      readonly also?: readonly string[];
      readonly length: Mm;
      readonly onward: boolean;
    }
  /** A quarter turn clockwise: the right edge comes near. */
  | { readonly do: 'turn' }
  | ({
      readonly do: 'mark';
      readonly for: 'notch' | 'score' | 'slant' | 'hole' | 'slit';
      readonly deep?: Mm;
    } & RimMark)
  /** Score along a ruler from one mark to another; between the notches only, where the line is to be notched. */
  | {
      readonly do: 'join';
      readonly score: string;
      /** Other scores on the same line, run in one go. */
      readonly also?: readonly string[];
      readonly from: RimMark;
      readonly to: RimMark;
      readonly notched: boolean;
      /** Where it starts and stops when not all along the line: from the first mark's edge, mm. */
      readonly only?: Stretch;
    }
  /** With the sheet's left edge at the fence, score down the groove `at` from it. */
  | {
      readonly do: 'groove';
      readonly score: string;
      readonly also?: readonly string[];
      readonly edge: Edge;
      readonly at: Mm;
      /** Where it starts and stops when not all along the groove: up from the near edge, mm. */
      readonly only?: Stretch;
    }
  /** The board that scores near an edge: one score as far from the near edge as the board makes it. */
  | { readonly do: 'edge-score'; readonly score: string; readonly also?: readonly string[]; readonly edge: Edge }
  /** Its relief notch, punched where the guide meets the score `at`: slants away on the far or the near side of it. */
  | { readonly do: 'relief'; readonly edge: Edge; readonly at: Mm; readonly slants: 'left' | 'right' }
  /** Cut out the corner that two scored lines make at an edge, between two marks. */
  | { readonly do: 'snip'; readonly edge: Edge; readonly from: Mm; readonly to: Mm }
  /** Cut straight from spot to spot; what lies on the right falls away. */
  | { readonly do: 'cut'; readonly what: string; readonly kept?: true; readonly path: readonly Spot[] }
  /** Cut straight from spot to spot with paper left on both sides. */
  | { readonly do: 'slit'; readonly slit: string; readonly what: string; readonly from: Spot; readonly to: Spot }
  /** Round the corner of the paper at a spot. */
  | { readonly do: 'round'; readonly what: string; readonly at: Spot; readonly radius: Mm }
  /** Bite into an edge with a round punch, its middle at a spot. */
  | { readonly do: 'bite'; readonly what: string; readonly at: Spot; readonly diameter: Mm }
  | { readonly do: 'hole'; readonly what: string; readonly at: Spot; readonly diameter: Mm };

/** What the maker sets or measures, in contract terms. */
export interface Mark extends RimMark {
  readonly for: 'notch' | 'score' | 'slant' | 'hole' | 'slit';
  readonly reference: 'board' | 'fence' | 'ruler';
  /** How far in from the edge, for what does not lie on the rim. */
  readonly deep?: Mm;
  /** Where a score that stops part-way starts and stops, from the edge. */
  readonly from?: Mm;
  readonly to?: Mm;
}

export interface Programme {
  readonly moves: readonly Move[];
  readonly marks: readonly Mark[];
}

/** Lengths closer than this are one, mm. */
const HAIR = 1e-6;
/** Straight lines closer than this are one, mm. */
const CLOSE = 1e-3;

/** Puts the moves for a piece in order for the tool: square pieces on an envelope board, straight scores on a fence. */
export function programmeFor(piece: Piece, start: Start, tool: Tool): Programme {
  const notched = piece.notches.length > 0;
  const rims = rimLines(piece);
  const straight = notched ? [] : straightLines(piece);
  const slanted = rims.filter((line) => !line.notched && !straight.some(({ ids }) => ids.includes(line.ids[0]!)));
  const parts = [
    notched
      ? tool.kind === 'envelope-board'
        ? onBoard(piece, start, tool)
        : byHand(piece, rims)
      : along(piece, straight, tool),
    of(slanted.flatMap(joinMoves)),
    of(trimMoves(piece, straight, tool)),
    of(slitMoves(piece)),
    // Last: a notch may be punched only when all is glued.
    of(biteMoves(piece)),
  ];
  return { moves: parts.flatMap((p) => p.moves), marks: parts.flatMap((p) => p.marks) };
}

/** Moves with the marks measured in them. */
const of = (moves: readonly Move[]): Programme => ({
  moves,
  marks: moves.flatMap((move): Mark[] =>
    move.do === 'mark'
      ? [{ edge: move.edge, at: move.at, for: move.for, reference: 'ruler', ...(move.deep ? { deep: move.deep } : {}) }]
      : [],
  ),
});

/** Scores that lie on one line, as far as they reach together. */
interface ScoredLine {
  readonly ids: readonly string[];
  readonly line: Segment<'sheet'>;
}

/** The piece's scores by the lines they lie on, in the order of folding. */
function scoredLines(piece: Piece): ScoredLine[] {
  const lines: { ids: string[]; line: Segment<'sheet'> }[] = [];
  // A groove runs on from notch to notch, also where the line is then slit.
  const cut = piece.notches.length > 0 ? piece.slits.map(({ line }) => ({ ids: [], line })) : [];
  for (const { ids, line } of [...piece.hinges.map(({ id, line }) => ({ ids: [id], line })), ...cut]) {
    const same = lines.find((other) => [line.from, line.to].every((end) => Math.abs(sideOf(other.line, end)) < CLOSE));
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
interface StraightLine {
  readonly ids: readonly string[];
  /** The edge along which it is measured while that is near, and how far from its left end. */
  readonly edge: 1 | 2;
  readonly at: Mm;
  /** Up from that edge; left out when it may run all across. */
  readonly only?: Stretch;
}

function straightLines(piece: Piece): StraightLine[] {
  return scoredLines(piece)
    .flatMap(({ ids, line }): StraightLine[] => {
      const upright = Math.abs(line.from.x - line.to.x) < CLOSE;
      if (!upright && Math.abs(line.from.y - line.to.y) > CLOSE) return [];
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
    !piece.panels.some((panel) => lengthInside(panel.polygon, all) > CLOSE) &&
    !piece.slits.some((slit) => [slit.line.from, slit.line.to].every((end) => Math.abs(sideOf(all, end)) < CLOSE))
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
    if (last && part.from < last.to + CLOSE) {
      last.ids.push(...part.ids);
      last.to = Math.max(last.to, part.to);
    } else joined.push(part);
  }
  return joined.map((part) => ({ ids: part.ids, edge, at, only: { from: mm(part.from), to: mm(part.to) } }));
}

/** Straight scores: down the grooves of a scoring board, near an edge on its board, or from mark to mark with a ruler. */
function along(piece: Piece, lines: readonly StraightLine[], tool: Tool): Programme {
  const moves: Move[] = [];
  const marks: Mark[] = [];
  let near = 1;
  const bring = (edge: number): void => {
    while (near !== edge) {
      moves.push({ do: 'turn' });
      near = (near % 4) + 1;
    }
  };
  for (const { ids, edge, at, only } of lines) {
    const score = ids[0]!;
    const also = ids.slice(1);
    const { edge: across, at: far } = { edge: (edge + 2) as Edge, at: mm(edgeLength(piece.blank, edge) - at) };
    // On the board that scores near an edge the score lies along that edge: along the left, or the right, of `edge`.
    const board = tool.kind === 'edge-board' ? tool.scoreFrom + tool.offset : null;
    const beside =
      board === null
        ? null
        : Math.abs(at - board) < CLOSE
          ? leftOf(edge)
          : Math.abs(far - board) < CLOSE
            ? rightOf(edge)
            : null;
    if (beside !== null && !only) {
      moves.push({ do: 'edge-score', score, also, edge: beside });
      continue;
    }
    if (tool.kind === 'scoring-board') {
      // What lies past the board's end, or between its grooves, may have a groove when it is measured from the other side.
      const [side, groove] = hasGroove(tool, at) ? [edge as Edge, at] : [across, far];
      if (hasGroove(tool, groove)) {
        bring(side);
        const depth = edgeLength(piece.blank, edge === 1 ? 2 : 1);
        const here = only && side !== edge ? { from: mm(depth - only.to), to: mm(depth - only.from) } : only;
        moves.push({ do: 'groove', score, also, edge: side, at: groove, ...(here ? { only: here } : {}) });
        marks.push({ edge: side, at: groove, for: 'score', reference: 'fence', ...here });
        continue;
      }
    }
    moves.push(
      { do: 'mark', edge, at, for: 'score' },
      { do: 'mark', edge: across, at: far, for: 'score' },
      {
        do: 'join',
        score,
        also,
        from: { edge, at },
        to: { edge: across, at: far },
        notched: false,
        ...(only ? { only } : {}),
      },
    );
    marks.push(
      { edge, at, for: 'score', reference: 'ruler', ...only },
      { edge: across, at: far, for: 'score', reference: 'ruler' },
    );
  }
  if (moves.some((move) => move.do === 'groove')) bring(1);
  return { moves, marks };
}

/** A straight score carried to the rim, where it can be marked. */
interface RimLine {
  readonly ids: readonly string[];
  /** True for scores that run through notch tips: the tool's own. */
  readonly notched: boolean;
  readonly from: RimMark;
  readonly to: RimMark;
}

/** Every score of the piece, carried to the blank's rim. */
function rimLines(piece: Piece): RimLine[] {
  const tips = piece.notches.map((notch) => notchTriangle(piece.blank, notch)[1]);
  return scoredLines(piece).map(({ ids, line }) => {
    const [from, to] = rimEnds(piece.blank, line);
    const notched = [line.from, line.to].every((end) => tips.some((tip) => distance(tip, end) < CLOSE));
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
    if (at < -HAIR || at > length + HAIR) continue;
    hits.push({
      mark: { edge, at: mm(Math.min(Math.max(at, 0), length)) },
      t: (p.x - line.from.x) * along.x + (p.y - line.from.y) * along.y,
    });
  }
  hits.sort((a, b) => a.t - b.t);
  return [hits[0]!.mark, hits.at(-1)!.mark];
}

/** Edge by edge round the sheet, starting where the setting can be read: place, punch, score, turn. */
function onBoard(piece: Piece, start: Start, board: EnvelopeBoard): Programme {
  const moves: Move[] = [];
  const marks: Mark[] = [];
  const edges = [0, 1, 2, 3].map((i) => (((start.edge - 1 + i) % 4) + 1) as Edge);
  for (let turn = 1; turn < start.edge; turn++) moves.push({ do: 'turn' });
  const lines = scoredLines(piece);
  edges.forEach((edge, i) => {
    const notches = piece.notches.filter((n) => n.edge === edge).sort((a, b) => a.at - b.at);
    if (notches.length === 0) throw new Error(`${piece.name} has no notch on edge ${edge}`);
    for (const notch of notches) {
      const tip = notchTriangle(piece.blank, notch)[1];
      const reading = mm(notch.at - board.offset);
      const onRuler = reading > 0 && reading <= board.rulerEnd + HAIR;
      // A score made from the edge before ends where this notch belongs: the pointer finds it without measuring.
      const foot = onEdge(piece.blank, edge, notch.at);
      const rightwards = minus(onEdge(piece.blank, edge, edgeLength(piece.blank, edge)), foot);
      const leaves = (right: boolean): ScoredLine | undefined =>
        lines.find(({ line }) => {
          const [near, far] = distance(line.from, tip) < CLOSE ? [line.from, line.to] : [line.to, line.from];
          return distance(near, tip) < CLOSE && dot(minus(far, near), rightwards) > 0 === right;
        });
      const meets = i > 0 ? leaves(false) : undefined;
      const first = i === 0 && (notches.length > 1 ? onRuler : start.reference === 'board');
      if (meets)
        moves.push({
          do: 'place',
          edge,
          by: 'pointer',
          at: notch.at,
          ...(notches.length > 1 ? { to: meets.ids[0]! } : {}),
        });
      else if (first) moves.push({ do: 'place', edge, by: 'ruler', at: reading });
      else
        moves.push({ do: 'mark', edge, at: notch.at, for: 'notch' }, { do: 'place', edge, by: 'mark', at: notch.at });
      marks.push(
        (i === 0 ? first : onRuler)
          ? { edge, at: reading, for: 'notch', reference: 'board' }
          : { edge, at: notch.at, for: 'notch', reference: 'ruler' },
      );
      const length = mm(Math.SQRT2 * (edgeLength(piece.blank, edge) - notch.at));
      // The groove runs up and to the right from the tip.
      const score = leaves(true);
      moves.push(
        { do: 'punch' },
        {
          do: 'score',
          score: score?.ids[0] ?? '',
          ...(score && score.ids.length > 1 ? { also: score.ids.slice(1) } : {}),
          length,
          onward: length > board.grooveEnd + HAIR,
        },
      );
    }
    if (i < 3) moves.push({ do: 'turn' });
  });
  return { moves, marks: marks.sort((a, b) => a.edge - b.edge) };
}

/** Marks on every edge, lines from mark to mark, then the notches cut out. */
function byHand(piece: Piece, rims: readonly RimLine[]): Programme {
  const lines = rims.filter((line) => line.notched);
  const marks = lines
    .flatMap((line) => [line.from, line.to])
    .map((mark): Mark => ({ ...mark, for: 'score', reference: 'ruler' }))
    .sort((a, b) => a.edge - b.edge || a.at - b.at);
  const moves: Move[] = [];
  for (const edge of [1, 2, 3, 4] as const) {
    if (edge > 1) moves.push({ do: 'turn' });
    for (const mark of marks) if (mark.edge === edge) moves.push({ do: 'mark', edge, at: mark.at, for: 'score' });
  }
  for (const line of lines) moves.push(joinOf(line));
  for (const notch of piece.notches)
    moves.push({
      do: 'snip',
      edge: notch.edge,
      from: mm(notch.at - notch.length / 2),
      to: mm(notch.at + notch.length / 2),
    });
  return { moves, marks };
}

function joinMoves(line: RimLine): Move[] {
  return [{ do: 'mark', for: 'score', ...line.from }, { do: 'mark', for: 'score', ...line.to }, joinOf(line)];
}

const joinOf = ({ ids, from, to, notched }: RimLine): Move => ({
  do: 'join',
  score: ids[0]!,
  ...(ids.length > 1 ? { also: ids.slice(1) } : {}),
  from,
  to,
  notched,
});

/** Slits, from spot to spot: most start and end where scores cross. */
function slitMoves(piece: Piece): Move[] {
  const lines = scoredLines(piece);
  return piece.slits.flatMap((slit): Move[] => {
    const [from, to] = [slit.line.from, slit.line.to].map((p) => spotAt(piece.blank, p, lines)) as [Spot, Spot];
    const marks = [from, to]
      .filter(({ on }) => on !== 'corner' && on !== 'crossing')
      .map(({ edge, at, deep }): Move => ({ do: 'mark', for: 'slit', edge, at, ...(deep > 0 ? { deep } : {}) }));
    return [...marks, { do: 'slit', slit: slit.id, what: slit.name, from, to }];
  });
}

/** Bites of a round punch, one for each place: it may take off several bits there. */
function biteMoves({ blank, trims }: Piece): Move[] {
  const bites = new Map<string, Move>();
  for (const { name, cut } of trims)
    if (cut.kind === 'punched')
      bites.set(JSON.stringify(cut), {
        do: 'bite',
        what: name,
        at: spotAt(blank, cut.centre, []),
        diameter: cut.diameter,
      });
  return [...bites.values()];
}

/** What is cut off besides the notches: from spot to spot, rounded corners and holes. */
function trimMoves(piece: Piece, straight: readonly StraightLine[], tool: Tool): Move[] {
  const { blank } = piece;
  const lines = scoredLines(piece).filter(({ ids }) => straight.some((line) => line.ids.includes(ids[0]!)));
  const moves: Move[] = [];
  const marked: RimMark[] = [];
  const isMarked = ({ edge, at, deep }: Spot): boolean =>
    marked.some(
      (m) => m.edge === edge && Math.abs(m.at - at) < CLOSE && Math.abs(((m as Spot).deep ?? 0) - deep) < CLOSE,
    );
  const mark = (spot: Spot, purpose: 'slant' | 'hole'): void => {
    if (spot.on === 'corner' || spot.on === 'crossing' || isMarked(spot)) return;
    marked.push(spot);
    moves.push({
      do: 'mark',
      for: purpose,
      edge: spot.edge,
      at: spot.at,
      ...(spot.deep > 0 ? { deep: spot.deep } : {}),
    });
  };
  for (const trim of piece.trims) {
    const { cut } = trim;
    if (cut.kind === 'rounded')
      moves.push({ do: 'round', what: trim.name, at: spotAt(blank, cut.corner, lines), radius: cut.radius });
    else if (cut.kind === 'path') {
      const path = cut.path.map((p) => spotAt(blank, p, lines));
      if (tool.kind === 'edge-board')
        for (const relief of reliefs(path, tool)) {
          moves.push(relief);
          marked.push({
            edge: relief.edge,
            at: mm(relief.at + (relief.slants === 'left' ? -1 : 1) * (tool.relief / 2)),
          });
        }
      path.forEach((spot) => mark(spot, 'slant'));
      moves.push({ do: 'cut', what: trim.name, ...(trim.kept && { kept: true }), path });
    }
  }
  for (const hole of piece.holes) {
    const at = spotAt(blank, hole.centre, []);
    mark(at, 'hole');
    const panel = piece.panels.find(({ id }) => id === hole.panel)!;
    moves.push({ do: 'hole', what: panel.name, at, diameter: hole.diameter });
  }
  return moves;
}

/** The slants of a cut that the relief notch of an edge board makes: from a crossing on its score out to the rim. */
function reliefs(path: readonly Spot[], board: EdgeBoard): Extract<Move, { do: 'relief' }>[] {
  const score = board.scoreFrom + board.offset;
  return path.flatMap((spot, i) =>
    [path[i - 1], path[i + 1]].flatMap((rim) => {
      if (
        !rim ||
        rim.deep > 0 ||
        spot.edge !== rim.edge ||
        Math.abs(spot.deep - score) > CLOSE ||
        spot.on !== 'crossing'
      )
        return [];
      const slant = rim.at - spot.at;
      return Math.abs(Math.abs(slant) - board.relief / 2) < CLOSE
        ? [
            {
              do: 'relief' as const,
              edge: spot.edge,
              at: spot.at,
              slants: slant < 0 ? ('left' as const) : ('right' as const),
            },
          ]
        : [];
    }),
  );
}

/** How a point of the sheet is measured: along whichever edge is nearest. */
function spotAt(blank: Blank, p: Point<'sheet'>, lines: readonly ScoredLine[]): Spot {
  const from = [p.y, blank.width - p.x, blank.height - p.y, p.x];
  const nearest = Math.min(...from);
  const edge = (from.findIndex((depth) => depth <= nearest + CLOSE) + 1) as Edge;
  const at = [p.x, p.y, blank.width - p.x, blank.height - p.y][edge - 1]!;
  const onRim = from.filter((depth) => Math.abs(depth) < CLOSE).length;
  const on = lines.filter(({ line }) => Math.abs(sideOf(line, p)) < CLOSE);
  return {
    edge,
    at: mm(at),
    deep: mm(onRim > 0 ? 0 : nearest),
    on: onRim > 1 ? 'corner' : on.length + onRim > 1 ? 'crossing' : on.length > 0 ? 'score' : 'open',
    scores: on.map((line) => line.ids[0]!),
  };
}
