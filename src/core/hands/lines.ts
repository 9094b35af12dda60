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
import { edgeLength, leftOf, notchTriangle, onEdge, type Blank, type Edge, type Piece } from '../pattern';
import type { Mark } from '../tools';

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

/**
 * The lines of a piece, and what moves each: the right and the far side of the blank by how it is cut; a score by how its
 * own mark is measured, and by the side it is measured from; a score between two notches by the setting of either.
 * @param doings what hands do so far; what this piece takes is added
 */
export function loosened(piece: Piece, marks: readonly Mark[], doings: HandError[], several: boolean): Loose {
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
  const right = doing('cut', 'width', 'the width', { side: true });
  const far = doing('cut', 'height', 'the height', { side: true });
  const rims = ([1, 2, 3, 4] as const).map((edge) => ({ edge, line: rim(blank, edge) }));
  const moved = (edge: Edge): Moves[] =>
    edge === 2 ? [{ doing: right, by: 1 }] : edge === 3 ? [{ doing: far, by: 1 }] : [];
  /** Outward of the blank at one of its sides. */
  const outward = (edge: Edge): Point<'sheet'> => {
    const { x, y } = squareTo(rim(blank, edge));
    return { x: -x, y: -y };
  };
  const settings = new Map<string, number>();
  const settingOf = (mark: Mark): number => {
    const key = `${mark.for} ${mark.edge} ${mark.at.toFixed(3)}`;
    const known = settings.get(key);
    if (known !== undefined) return known;
    const made = doing(mark.reference === 'board' ? 'setting' : 'score', key, 'the mark', {
      mark: { edge: mark.edge, at: mark.at },
    });
    settings.set(key, made);
    return made;
  };
  /** How what is measured along an edge moves a line that ends there. */
  const measured = (mark: Mark, normal: Point<'sheet'>): Moves[] => {
    const along = direction(rim(blank, mark.edge).from, rim(blank, mark.edge).to);
    const left = leftOf(mark.edge);
    const out = outward(left);
    return [
      { doing: settingOf(mark), by: dot(along, normal) },
      ...moved(left).map(({ doing: side, by }) => ({ doing: side, by: by * dot(out, normal) })),
    ];
  };
  const hinges = piece.hinges.map(({ line }) => line);
  const lines: Line[] = [];
  const edges = piece.panels.map(({ polygon }) =>
    polygon.map((p, i) => {
      const q = polygon[(i + 1) % polygon.length]!;
      const known = lines.findIndex(({ at }) => onLine(at, p) && onLine(at, q));
      if (known >= 0) return known;
      const side = rims.find(({ line }) => onLine(line, p) && onLine(line, q));
      const score = hinges.find((line) => onLine(line, p) && onLine(line, q));
      const at = side?.line ?? score ?? { from: p, to: q };
      const normal = squareTo(at);
      lines.push({ at, normal, ...movedBy(side?.edge, score !== undefined, at, normal) });
      return lines.length - 1;
    }),
  );

  function movedBy(
    edge: Edge | undefined,
    scored: boolean,
    at: Segment<'sheet'>,
    normal: Point<'sheet'>,
  ): Pick<Line, 'from' | 'to'> {
    if (edge !== undefined) {
      const own = moved(edge).map(({ doing: side, by }) => ({ doing: side, by: by * dot(outward(edge), normal) }));
      return { from: own, to: own };
    }
    if (!scored) {
      const own = [{ doing: doing('cut', `cut ${lines.length}`, 'a cut'), by: 1 }];
      return { from: own, to: own };
    }
    const here = marks.flatMap((mark) => {
      const place = placeOf(mark, piece);
      return place && onLine(at, place) ? [{ mark, place }] : [];
    });
    const ends = [at.from, at.to].map(
      (end) => here.toSorted((a, b) => distance(a.place, end) - distance(b.place, end))[0]?.mark,
    );
    if (ends[0] && ends[1]) return { from: measured(ends[0], normal), to: measured(ends[1], normal) };
    const own = [{ doing: doing('score', `score ${lines.length}`, 'a score'), by: 1 }];
    return { from: own, to: own };
  }

  return { piece, lines, edges };
}

/** Where what is marked begins: a score on the rim, a notch at its tip, where the scores cross that run from it. */
function placeOf(mark: Mark, { blank, notches }: Piece): Point<'sheet'> | null {
  if (mark.for === 'score') return onEdge(blank, mark.edge, mark.at);
  if (mark.for !== 'notch') return null;
  const notch = notches.find(({ edge, at }) => edge === mark.edge && Math.abs(at - mark.at) < TOLERANCE.found);
  return notch ? notchTriangle(blank, notch)[1] : null;
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
