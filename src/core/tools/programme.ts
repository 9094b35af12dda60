import { TOLERANCE } from '../geometry';
import type { Start } from '../constructions';
import { mm } from '../length';
import { edgeLength, type Edge, type Piece } from '../pattern';
import { rimLines, scoredLines, spotAt, straightLines, type RimLine, type StraightLine } from './lines';
import { planTool, type Move, type Tool } from './registry';
import type { Mark, Programme, RimMark, Spot } from './move';

/**
 * Puts the moves for a piece in order for the tool: what the tool makes, by the tool; what it does not, with what lies
 * on any table.
 */
export function programmeFor(piece: Piece, start: Start, tool: Tool): Programme {
  const makes = planTool(tool);
  const whole = makes.whole?.(piece, start, tool);
  if (whole) return whole;
  const notched = piece.notches.length > 0;
  const rims = rimLines(piece);
  const straight = notched ? [] : straightLines(piece);
  const slanted = rims.filter((line) => !line.notched && !straight.some(({ ids }) => ids.includes(line.ids[0]!)));
  const parts = [
    notched ? (makes.notched?.(piece, start, tool) ?? byHand(piece, rims)) : along(piece, straight, tool),
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

/** Straight scores: by the tool where it makes them, else from mark to mark with a ruler. */
function along(piece: Piece, lines: readonly StraightLine[], tool: Tool): Programme {
  const makes = planTool(tool);
  const moves: Move[] = [];
  const marks: Mark[] = [];
  let near: Edge = 1;
  const bring = (edge: Edge): void => {
    while (near !== edge) {
      moves.push({ do: 'turn' });
      near = ((near % 4) + 1) as Edge;
    }
  };
  for (const line of lines) {
    const own = makes.score?.(line, piece.blank, tool);
    if (own) {
      if (own.near) bring(own.near);
      moves.push(own.move);
      if (own.mark) marks.push(own.mark);
      continue;
    }
    const { ids, edge, at, only } = line;
    const across = { edge: (edge + 2) as Edge, at: mm(edgeLength(piece.blank, edge) - at) };
    moves.push(
      { do: 'mark', edge, at, for: 'score' },
      { do: 'mark', ...across, for: 'score' },
      {
        do: 'join',
        score: ids[0]!,
        also: ids.slice(1),
        from: { edge, at },
        to: across,
        notched: false,
        ...(only ? { only } : {}),
      },
    );
    marks.push(
      { edge, at, for: 'score', reference: 'ruler', ...only },
      { ...across, for: 'score', reference: 'ruler' },
    );
  }
  // What follows is told with edge 1 near, as the sheet lay before the tool's own turns.
  bring(1);
  return { moves, marks };
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
      (m) =>
        m.edge === edge &&
        Math.abs(m.at - at) < TOLERANCE.folded &&
        Math.abs(((m as Spot).deep ?? 0) - deep) < TOLERANCE.folded,
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
      for (const own of planTool(tool).slants?.(path, tool) ?? []) {
        moves.push(own.move);
        marked.push(own.marks);
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
