import {
  direction,
  distance,
  dot,
  minus,
  sideOf,
  TOLERANCE,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { edgeLength, leftOf, onEdge, type Blank, type Edge, type Piece } from '../pattern';
import { scoresRun, type Programme } from '../tools';

/** What of a sheet is made with an error of its own: its size, a line that is scored, one that is cut, a setting of a board. */
export type ErrorKind = 'cut' | 'score' | 'setting';

/** One thing that hands do, and how exact it has to be done: its error moves lines of the sheet. */
export interface HandError {
  readonly id: string;
  /** The piece it is done on. */
  readonly piece: string;
  readonly kind: ErrorKind;
  /** What it is in a maker’s words, and where it is marked, mm; null for what is cut. */
  readonly what: string;
  readonly mark: { readonly edge: Edge; readonly at: number } | null;
  /** It is a side of the blank. */
  readonly side: boolean;
}

/** How far one end of a line moves, square to it, for each mm that something is off. */
interface Moves {
  readonly doing: number;
  readonly by: number;
}
/** A straight line of a piece: every panel edge on it moves with it. */
interface Line {
  readonly at: Segment<'sheet'>;
  /** Square to it, to its left. */
  readonly normal: Point<'sheet'>;
  readonly from: readonly Moves[];
  readonly to: readonly Moves[];
}
/** A piece as lines that may lie elsewhere, and where its corners are made by them. */
export interface Loose {
  readonly piece: Piece;
  readonly lines: readonly Line[];
  /** By panel: the line of each edge. */
  readonly edges: readonly (readonly number[])[];
}

/** A piece as it was made, and where any straight line of it came to lie. */
export interface Drawn {
  readonly piece: Piece;
  readonly moved: (line: Segment<'sheet'>) => Segment<'sheet'>;
}

const squareTo = ({ from, to }: Segment<'sheet'>): Point<'sheet'> => {
  const { x, y } = direction(from, to);
  return { x: -y, y: x };
};

/** True for points on one straight line. */
const onLine = (line: Segment<'sheet'>, p: Point<'sheet'>): boolean => Math.abs(sideOf(line, p)) < TOLERANCE.found;

/** The line that one side of the blank is cut along. */
const rim = (blank: Blank, edge: Edge): Segment<'sheet'> => ({
  from: onEdge(blank, edge, 0),
  to: onEdge(blank, edge, edgeLength(blank, edge)),
});

/** How a sheet is cut and set, where makers differ: it decides whose errors are handed on. */
export interface Ways {
  /** Both sides of a blank at one setting of the fence, or each at its own. */
  readonly fence: 'one' | 'two';
  /** An envelope board after its first side: with the pointer at the score just made, or every side by the ruler. */
  readonly setBy: 'pointer' | 'ruler';
}

/** How a place on the sheet is off: so far along, and away, for each mm that something is. */
type Shift = readonly { readonly doing: number; readonly by: Point<'sheet'> }[];

const times = (vector: Point<'sheet'>, by: number): Point<'sheet'> => ({ x: vector.x * by, y: vector.y * by });
/** How far a line moves, square to it, where a point of it is shifted. */
const across = (shift: Shift, normal: Point<'sheet'>): readonly Moves[] =>
  shift.map(({ doing, by }) => ({ doing, by: dot(by, normal) }));
const scaled = (moves: readonly Moves[], by: number): readonly Moves[] =>
  moves.map((one) => ({ ...one, by: one.by * by }));

/**
 * The lines of a piece, and what moves each. Errors act where the tool makes them, each once: a rim by how it is cut; a mark at
 * the rim it is made on, and a score through two marks is the line through them; a groove as a whole line, by its distance from
 * the fence; a score of the envelope board runs at 45° from its notch, which stands where the ruler or the pointer brought it.
 * @param doings what hands do so far; what this piece takes is added
 */
export function loosened(
  piece: Piece,
  { moves }: Programme,
  doings: HandError[],
  several: boolean,
  { fence, setBy }: Ways,
): Loose {
  const { blank } = piece;
  const of = several ? ` of the ${piece.name}` : '';
  const doing = (
    kind: ErrorKind,
    id: string,
    what: string,
    more: Partial<Pick<HandError, 'mark' | 'side'>> = {},
  ): number => {
    const own = { id: `${piece.name}: ${id}`, piece: piece.name, kind, what: `${what}${of}` };
    doings.push({ ...own, mark: null, side: false, ...more });
    return doings.length - 1;
  };
  // Measured from the near left corner, what is cut off lies to the right and at the far side.
  const right = doing('cut', 'width', fence === 'one' ? 'the size' : 'the width', { side: true });
  const far = fence === 'one' ? right : doing('cut', 'height', 'the height', { side: true });
  const rims = ([1, 2, 3, 4] as const).map((edge) => ({ edge, line: rim(blank, edge) }));
  const alongOf = (edge: Edge): Point<'sheet'> => direction(rim(blank, edge).from, rim(blank, edge).to);
  /** Outward of the blank at one of its sides. */
  const outward = (edge: Edge): Point<'sheet'> => times(squareTo(rim(blank, edge)), -1);
  /** How a side of the blank lies elsewhere. */
  const rimShift = (edge: Edge): Shift =>
    edge === 2 ? [{ doing: right, by: outward(2) }] : edge === 3 ? [{ doing: far, by: outward(3) }] : [];
  const known = new Map<string, number>();
  /** What is set or marked at one place, once. */
  const set = (kind: ErrorKind, edge: Edge, at: number): number => {
    const key = `${kind} ${edge} ${at.toFixed(3)}`;
    const before = known.get(key);
    if (before !== undefined) return before;
    const made = doing(kind, key, 'the mark', { mark: { edge, at } });
    known.set(key, made);
    return made;
  };
  /** A place measured along an edge from its left end: with that end, with the edge, and by the reading itself. */
  const measured = (kind: ErrorKind, edge: Edge, at: number): Shift => [
    ...rimShift(leftOf(edge)),
    ...rimShift(edge),
    { doing: set(kind, edge, at), by: alongOf(edge) },
  ];
  const made = scoresMade();
  const lines: Line[] = [];
  const edges = piece.panels.map(({ polygon }) =>
    polygon.map((p, i) => {
      const q = polygon[(i + 1) % polygon.length]!;
      const before = lines.findIndex(({ at }) => onLine(at, p) && onLine(at, q));
      if (before >= 0) return before;
      const side = rims.find(({ line }) => onLine(line, p) && onLine(line, q));
      const score = piece.hinges.find(({ line }) => onLine(line, p) && onLine(line, q));
      const at = side?.line ?? score?.line ?? { from: p, to: q };
      const normal = squareTo(at);
      lines.push({ at, normal, ...movedBy(side?.edge, score, at, normal) });
      return lines.length - 1;
    }),
  );
  return { piece, lines, edges };

  function movedBy(
    edge: Edge | undefined,
    score: Piece['hinges'][number] | undefined,
    at: Segment<'sheet'>,
    normal: Point<'sheet'>,
  ): Pick<Line, 'from' | 'to'> {
    const whole = (own: readonly Moves[]): Pick<Line, 'from' | 'to'> => ({ from: own, to: own });
    if (edge !== undefined) return whole(across(rimShift(edge), normal));
    if (!score) return whole([{ doing: doing('cut', `cut ${lines.length}`, 'a cut'), by: 1 }]);
    const found = made.get(score.id);
    if (!found) return whole([{ doing: doing('score', `score ${lines.length}`, 'a score'), by: 1 }]);
    const [first, second] = found;
    if (!second) return whole(across(first.shift, normal));
    // The line through two places that are off: its ends between them, or beyond.
    const way = minus(second.at, first.at);
    const long = dot(way, way);
    const end = (p: Point<'sheet'>): readonly Moves[] => {
      const t = dot(minus(p, first.at), way) / long;
      return [...scaled(across(first.shift, normal), 1 - t), ...scaled(across(second.shift, normal), t)];
    };
    return { from: end(at.from), to: end(at.to) };
  }

  /** Each score by what places its line: a point that carries it along as it is, or two that it runs through. */
  function scoresMade(): ReadonlyMap<string, readonly [Placed, Placed?]> {
    const all = new Map<string, readonly [Placed, Placed?]>();
    /** The notch the sheet stands at. */
    let standing: Placed | null = null;
    let last: string | null = null;
    for (const move of moves) {
      switch (move.do) {
        case 'place': {
          const { edge, at, by } = move;
          const foot = onEdge(blank, edge, at);
          const before: string | null = by === 'pointer' ? (move.to ?? last) : null;
          const met = before !== null && setBy === 'pointer' ? all.get(before)?.[0] : undefined;
          const own = by === 'mark' ? 'score' : 'setting';
          standing = { at: foot, shift: met ? pointed(edge, at, met) : measured(own, edge, at) };
          break;
        }
        case 'score': {
          if (!standing) break;
          for (const id of scoresRun(move)) all.set(id, [standing]);
          last = move.score;
          break;
        }
        case 'groove': {
          for (const id of scoresRun(move))
            all.set(id, [{ at: onEdge(blank, move.edge, move.at), shift: measured('score', move.edge, move.at) }]);
          break;
        }
        case 'edge-score': {
          const { edge } = move;
          const own = { doing: set('score', edge, 0), by: outward(edge) };
          for (const id of scoresRun(move))
            all.set(id, [{ at: onEdge(blank, edge, 0), shift: [...rimShift(edge), own] }]);
          break;
        }
        case 'join': {
          const [from, to] = [move.from, move.to].map(({ edge, at }): Placed => ({
            at: onEdge(blank, edge, at),
            shift: measured('score', edge, at),
          })) as [Placed, Placed];
          for (const id of scoresRun(move)) all.set(id, [from, to]);
          break;
        }
      }
    }
    return all;
  }

  /** A notch that the pointer finds: where the score from the edge before comes to the rim, and by its own error. */
  function pointed(edge: Edge, at: number, { shift }: Placed): Shift {
    const along = alongOf(edge);
    const out = outward(edge);
    // It comes down to the near edge from the upper left, at 45°: its normal looks up and to the right.
    const normal = times({ x: along.x - out.x, y: along.y - out.y }, Math.SQRT1_2);
    // Along the rim a point of the line shifts by (m − ρ·out·normal) / along·normal.
    const lean = dot(along, normal);
    return [
      ...shift.map(({ doing: one, by }) => ({ doing: one, by: times(along, dot(by, normal) / lean) })),
      ...rimShift(edge).flatMap(({ doing: one, by }) => [
        { doing: one, by },
        { doing: one, by: times(along, -dot(by, normal) / lean) },
      ]),
      { doing: set('setting', edge, at), by: along },
    ];
  }
}

/** A place of the sheet that carries a line, and how it is off. */
interface Placed {
  readonly at: Point<'sheet'>;
  readonly shift: Shift;
}

/** The piece with everything that is done off by so much, mm, and where any straight line of it comes to lie. */
export function drawnWith({ piece, lines, edges }: Loose, errors: readonly number[]): Drawn {
  const total = (moves: readonly Moves[]): number => moves.reduce((sum, { doing, by }) => sum + errors[doing]! * by, 0);
  const now = lines.map(({ at, normal, from, to }): Segment<'sheet'> => {
    const [a, b] = [total(from), total(to)];
    return {
      from: { x: at.from.x + normal.x * a, y: at.from.y + normal.y * a },
      to: { x: at.to.x + normal.x * b, y: at.to.y + normal.y * b },
    };
  });
  /** Where a corner comes to lie: where its two lines cross; on one line it moves with that. */
  const corner = (p: Point<'sheet'>, before: number, after: number): Point<'sheet'> => {
    const met = before === after ? null : meeting(now[before]!, now[after]!);
    if (met && distance(met, p) < FAR) return met;
    const line = now[after]!;
    const along = direction(line.from, line.to);
    const t = dot(minus(p, line.from), along);
    return { x: line.from.x + along.x * t, y: line.from.y + along.y * t };
  };
  const panels = piece.panels.map((panel, i) => {
    const own = edges[i]!;
    const polygon: Polygon<'sheet'> = panel.polygon.map((p, k) =>
      corner(p, own[(k + own.length - 1) % own.length]!, own[k]!),
    );
    return { ...panel, polygon };
  });
  const moved = (line: Segment<'sheet'>): Segment<'sheet'> => {
    const k = lines.findIndex(({ at }) => onLine(at, line.from) && onLine(at, line.to));
    if (k < 0) return line;
    const { from, to } = now[k]!;
    const along = direction(from, to);
    const on = (p: Point<'sheet'>): Point<'sheet'> => {
      const t = dot(minus(p, from), along);
      return { x: from.x + along.x * t, y: from.y + along.y * t };
    };
    return { from: on(line.from), to: on(line.to) };
  };
  const hinges = piece.hinges.map((hinge) => ({ ...hinge, line: moved(hinge.line) }));
  return { piece: { ...piece, panels, hinges }, moved };
}

/** Two lines that are nearly one cross nowhere near, mm. */
const FAR = 25;

/** Where two lines cross, however far their ends reach; null where they hardly do. */
function meeting(a: Segment<'sheet'>, b: Segment<'sheet'>): Point<'sheet'> | null {
  const [u, v] = [minus(a.to, a.from), minus(b.to, b.from)];
  const turn = u.x * v.y - u.y * v.x;
  if (Math.abs(turn) < 1e-4 * Math.hypot(u.x, u.y) * Math.hypot(v.x, v.y)) return null;
  const from = minus(b.from, a.from);
  const t = (from.x * v.y - from.y * v.x) / turn;
  return { x: a.from.x + u.x * t, y: a.from.y + u.y * t };
}
