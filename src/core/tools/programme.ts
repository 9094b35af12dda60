import type { Built } from '../constructions';
import { crossing, direction, distance, type Segment } from '../geometry';
import { mm, type Mm } from '../length';
import { edgeLength, notchTriangle, onEdge, type Blank, type Edge, type Piece } from '../pattern';
import type { EnvelopeBoard, Tool } from './tool';

/** A place on the sheet's rim: along an edge from its left end once that edge is near, mm. */
export interface RimMark {
  readonly edge: Edge;
  readonly at: Mm;
}

/** One thing the maker does to the flat sheet. */
export type Move =
  /** Lay the near edge in the board: by its ruler (`at` the reading), by a mark on the sheet, or pointer to the last score. */
  | { readonly do: 'place'; readonly edge: Edge; readonly by: 'ruler' | 'mark' | 'pointer'; readonly at: Mm }
  | { readonly do: 'punch' }
  /** Run the groove; `onward` says the groove ends first and a ruler carries the score to the sheet's edge. */
  | { readonly do: 'score'; readonly score: string; readonly length: Mm; readonly onward: boolean }
  /** A quarter turn clockwise: the right edge comes near. */
  | { readonly do: 'turn' }
  | ({ readonly do: 'mark'; readonly for: 'notch' | 'score' | 'slant' } & RimMark)
  /** Score along a ruler from one mark to another; between the notches only, where the line is to be notched. */
  | {
      readonly do: 'join';
      readonly score: string;
      readonly from: RimMark;
      readonly to: RimMark;
      readonly notched: boolean;
    }
  /** Cut out the corner that two scored lines make at an edge, between two marks. */
  | { readonly do: 'snip'; readonly edge: Edge; readonly from: Mm; readonly to: Mm }
  /** Cut straight from mark to mark; the outer part falls away. */
  | { readonly do: 'slant'; readonly what: string; readonly from: RimMark; readonly to: RimMark }
  | { readonly do: 'round'; readonly what: string; readonly radius: Mm };

/** What the maker sets or measures, in contract terms. */
export interface Mark extends RimMark {
  readonly for: 'notch' | 'score' | 'slant';
  readonly reference: 'board' | 'ruler';
}

export interface Programme {
  readonly moves: readonly Move[];
  readonly marks: readonly Mark[];
}

/** Longest score that still counts as within the groove, mm of slack. */
const HAIR = 1e-6;

/** Puts the moves for a piece in order for the tool: notched pieces on an envelope board, anything with a ruler. */
export function programmeFor(built: Built, tool: Tool): Programme {
  const rims = rimLines(built.piece);
  const base = tool.kind === 'envelope-board' ? onBoard(built, tool) : byHand(built.piece, rims);
  const extra = [...rims.filter((line) => !line.notched).flatMap(joinMoves), ...trimMoves(built.piece)];
  const marks: Mark[] = [...base.marks];
  for (const move of extra)
    if (move.do === 'mark') marks.push({ edge: move.edge, at: move.at, for: move.for, reference: 'ruler' });
  return { moves: [...base.moves, ...extra], marks };
}

/** A straight score carried to the rim, where it can be marked. */
interface RimLine {
  readonly id: string;
  /** True for scores that run through notch tips: the tool's own. */
  readonly notched: boolean;
  readonly from: RimMark;
  readonly to: RimMark;
}

/** Every score of the piece, carried to the blank's rim. */
function rimLines(piece: Piece): RimLine[] {
  const tips = piece.notches.map((notch) => notchTriangle(piece.blank, notch)[1]);
  return piece.hinges.map((hinge) => {
    const [from, to] = rimEnds(piece.blank, hinge.line);
    const notched = [hinge.line.from, hinge.line.to].every((end) => tips.some((tip) => distance(tip, end) < 1e-6));
    return { id: hinge.id, notched, from, to };
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
function onBoard({ piece, start }: Built, board: EnvelopeBoard): Programme {
  const moves: Move[] = [];
  const marks: Mark[] = [];
  const edges = [0, 1, 2, 3].map((i) => (((start.edge - 1 + i) % 4) + 1) as Edge);
  for (let turn = 1; turn < start.edge; turn++) moves.push({ do: 'turn' });
  edges.forEach((edge, i) => {
    const notch = piece.notches.find((n) => n.edge === edge);
    if (!notch) throw new Error(`${piece.name} has no notch on edge ${edge}`);
    const reading = mm(notch.at - board.offset);
    const onRuler = reading > 0 && reading <= board.rulerEnd + HAIR;
    if (i > 0) moves.push({ do: 'place', edge, by: 'pointer', at: notch.at });
    else if (start.reference === 'board') moves.push({ do: 'place', edge, by: 'ruler', at: reading });
    else moves.push({ do: 'mark', edge, at: notch.at, for: 'notch' }, { do: 'place', edge, by: 'mark', at: notch.at });
    const byRuler = i === 0 ? start.reference === 'board' : onRuler;
    marks.push(
      byRuler
        ? { edge, at: reading, for: 'notch', reference: 'board' }
        : { edge, at: notch.at, for: 'notch', reference: 'ruler' },
    );
    const length = mm(Math.SQRT2 * (edgeLength(piece.blank, edge) - notch.at));
    const tip = notchTriangle(piece.blank, notch)[1];
    const score = piece.hinges.find((hinge) => distance(hinge.line.from, tip) < 1e-6);
    moves.push(
      { do: 'punch' },
      { do: 'score', score: score?.id ?? '', length, onward: length > board.grooveEnd + HAIR },
    );
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
  for (const line of lines)
    moves.push({ do: 'join', score: line.id, from: line.from, to: line.to, notched: line.notched });
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
  return [
    { do: 'mark', for: 'score', ...line.from },
    { do: 'mark', for: 'score', ...line.to },
    { do: 'join', score: line.id, from: line.from, to: line.to, notched: line.notched },
  ];
}

/** What is cut off besides the notches: straight from mark to mark, then rounded corners. */
function trimMoves(piece: Piece): Move[] {
  return piece.trims.flatMap((trim): Move[] => {
    if (trim.cut.kind === 'rounded') return [{ do: 'round', what: trim.name, radius: trim.cut.radius }];
    const [from, to] = rimEnds(piece.blank, trim.cut.line);
    return [
      { do: 'mark', for: 'slant', ...from },
      { do: 'mark', for: 'slant', ...to },
      { do: 'slant', what: trim.name, from, to },
    ];
  });
}
