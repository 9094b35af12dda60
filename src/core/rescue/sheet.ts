import {
  area,
  apply,
  circle,
  difference,
  direction,
  distance,
  dot,
  minus,
  TOLERANCE,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { inches, mm, type Say } from '../length';
import {
  blankPolygon,
  edgeLength,
  notchTriangle,
  onEdge,
  type Blank,
  type Edge,
  type Piece,
  type PanelId,
} from '../pattern';
import { layOf, type Rescued } from '../mending';
import { glueAreas, partNamed, type Made, type Plan } from '../plan';
import { sheetNow } from './sheet-now';
import { stepsOf, type Step } from '../making';
import { simulate, type SheetState } from '../tools';
import { scoresLeft } from '../tools/sheet';
import type { EdgeFact, Fact, Mishap } from './wrong';

/** Something that is on a sheet: lines pressed or cut into it, or paper that is gone. */
export interface SheetMark {
  readonly kind: 'score' | 'notch' | 'slit' | 'hole' | 'cut' | 'tear';
  /** In a maker’s words: `score at 3 3/8 in on edge 2`. */
  readonly what: string;
  readonly lines: readonly Segment<'sheet'>[];
  /** Paper that is gone. */
  readonly gone: readonly Polygon<'sheet'>[];
  /** It is not where the plan has it, or not in the plan at all. */
  readonly wrong: boolean;
}

/** A sheet as it is after a mishap. */
export interface ScarredSheet {
  readonly blank: Blank;
  /** What is left of it, rings. */
  readonly paper: readonly Polygon<'sheet'>[];
  /** What is not, rings. */
  readonly gone: readonly Polygon<'sheet'>[];
  readonly marks: readonly SheetMark[];
  /** The step it went wrong at, of a make that had not gone wrong before; null where none is told. */
  readonly step: number | null;
  /** It is joined to others already: it is laid as it lies, and is nothing else. */
  readonly joined: boolean;
  /** Panels that came off at a fold. */
  readonly off: readonly PanelId[];
  /** It is glued where it should not be, and cannot be opened. */
  readonly glued: boolean;
  /** The panel that is stuck, where it is told. */
  readonly stuck: string | null;
  /** Its size is not the plan’s. */
  readonly cutWrong: boolean;
  /** It went wrong before, and was made of a sheet that had. */
  readonly again: boolean;
}

/** What a slit too many is deep, a hole wide, where nobody says, mm. */
const DEEP = inches(1);
const HOLE = inches(1 / 4);
/** A notch of a board whose plan has none, mm. Common practice 3/4 in. */
const NOTCH = inches(3 / 4);
/** How near a mark lies to where it is said to be, mm. */
const NEAR = 1;

/** The piece that went wrong, as the plan draws it. */
export const spoiledPiece = (made: Made, { piece }: Pick<Mishap, 'piece'>): Piece =>
  partNamed(made, piece ?? made.pieces[0].piece.name).piece;

/** The sheet as it is: the work as far as it was done, with what is wrong on it. */
export function sheetAsItIs(plan: Plan, made: Made, mishap: Mishap, say: Say): ScarredSheet {
  const { design } = plan;
  const piece = spoiledPiece(made, mishap);
  const { programme } = partNamed(made, piece.name);
  const steps = stepsOf(plan, say);
  const at = mishap.step === null ? undefined : steps.find(({ id }) => id === mishap.step);
  const moves = at && at.piece === piece.name ? sheetNow(made, design, steps, at, say).moves : programme.moves.length;
  const size = mishap.wrong.find((fact) => fact.kind === 'blank');
  const blank = size ? { width: size.width, height: size.height } : piece.blank;
  // The tool is set as the plan has it; on another blank what it does comes elsewhere.
  const state = simulate(blank, design.tool, programme.moves.slice(0, moves));
  const told = [...earlier(design.rescued, piece), ...marksOf(state, piece, say)];
  const marks = mishap.wrong.reduce((now, fact) => applied(now, fact, blank, piece, say), told);
  const gone = [...state.off.flatMap(({ rings }) => rings), ...marks.flatMap((mark) => mark.gone)];
  const glued = mishap.wrong.find((fact) => fact.kind === 'glued');
  return {
    blank,
    paper: difference([blankPolygon(blank)], gone),
    gone,
    marks,
    again: design.rescued?.piece === piece.name,
    step: design.rescued ? null : mishap.step,
    joined: isJoined(piece, made, steps.slice(0, (mishap.step ?? 1) - 1)),
    off: mishap.wrong.flatMap((fact) =>
      fact.kind === 'flap-off' ? beyondFold(piece, fact.score).map(({ id }) => id) : [],
    ),
    glued: glued !== undefined,
    stuck: piece.panels.find(({ id, name }) => [id, name].includes(glued?.panel ?? ''))?.id ?? null,
    cutWrong:
      Math.abs(blank.width - piece.blank.width) > NEAR / 2 || Math.abs(blank.height - piece.blank.height) > NEAR / 2,
  };
}

/** Whether anything was glued to a piece, or it to anything, in these steps. */
function isJoined(piece: Piece, made: Made, done: readonly Step[]): boolean {
  const own = new Set(piece.panels.map(({ id }) => id));
  const glued = new Set(done.flatMap(({ joins }) => joins ?? []));
  return glueAreas(made).some(
    ({ id, joint }) => glued.has(id) && [joint.panel, joint.onto].some((panel) => own.has(panel)),
  );
}

/** What a sheet had before that went wrong already, as it lies now: scars, and what of the blank it never reached to. */
function earlier(rescued: Rescued | null, piece: Piece): SheetMark[] {
  if (rescued?.piece !== piece.name) return [];
  const lay = layOf(rescued);
  const on = ([x, y]: readonly [number, number]): Point<'sheet'> => apply(lay, { x, y });
  const line = ([from, to]: Rescued['scores'][number]): Segment<'sheet'> => ({ from: on(from), to: on(to) });
  const beyond = difference(
    [blankPolygon(piece.blank)],
    [blankPolygon(rescued.sheet).map((p) => apply<'sheet'>(lay, p))],
  );
  const gone = [...rescued.gone.map((ring) => ring.map(on)), ...beyond];
  const mark = (kind: SheetMark['kind'], what: string, more: Partial<SheetMark>): SheetMark => ({
    kind,
    what,
    lines: [],
    gone: [],
    wrong: false,
    ...more,
  });
  return [
    ...rescued.scores.map((one) => mark('score', 'earlier score', { lines: [line(one)] })),
    ...rescued.cuts.map((one) => mark('cut', 'earlier cut', { lines: [line(one)], wrong: true })),
    ...gone.map((ring) => mark('tear', 'place that was gone already', { gone: [ring] })),
  ];
}

/** Everything a tool left on the sheet besides what it cut off. */
function marksOf(state: SheetState, piece: Piece, say: Say): SheetMark[] {
  const place = ({ from, to }: Segment<'sheet'>): string => {
    const found = rimOf(state.blank, from) ?? rimOf(state.blank, to);
    return found ? ` at ${say(found.at)} on edge ${found.edge}` : '';
  };
  return [
    ...state.runs.map((run): SheetMark => {
      const lines = scoresLeft({ ...state, runs: [run] });
      const number = piece.hinges.findIndex(({ id }) => run.scores.includes(id)) + 1;
      return {
        kind: 'score',
        what: number > 0 ? `score ${number}` : `score${place(run.line)}`,
        lines,
        gone: [],
        wrong: false,
      };
    }),
    ...state.notches.map((triangle, i): SheetMark => ({
      kind: 'notch',
      what: `notch in edge ${state.notched[i] ?? 1}`,
      lines: [],
      gone: [triangle],
      wrong: false,
    })),
    ...state.slits.map((line): SheetMark => ({
      kind: 'slit',
      what: `slit${place(line)}`,
      lines: [line],
      gone: [],
      wrong: false,
    })),
    ...state.holes.map(({ centre, diameter }): SheetMark => ({
      kind: 'hole',
      what: 'hole',
      lines: [],
      gone: [roundHole(centre, diameter)],
      wrong: false,
    })),
  ];
}

/** A round hole as it is drawn. */
const roundHole = (centre: Point<'sheet'>, diameter: number): Polygon<'sheet'> => circle(centre, diameter / 2, 24);

/** Where a point on the rim lies: which edge, and how far from its left end. */
function rimOf(blank: Blank, p: Point<'sheet'>): { readonly edge: Edge; readonly at: number } | null {
  for (const edge of [1, 2, 3, 4] as const) {
    const from = onEdge(blank, edge, 0);
    const along = direction(from, onEdge(blank, edge, edgeLength(blank, edge)));
    const off = minus(p, from);
    if (Math.abs(off.x * along.y - off.y * along.x) < TOLERANCE.found) return { edge, at: dot(off, along) };
  }
  return null;
}

/** The marks with one fact more. */
function applied(marks: readonly SheetMark[], fact: Fact, blank: Blank, piece: Piece, say: Say): SheetMark[] {
  switch (fact.kind) {
    case 'blank':
    case 'glued':
      return [...marks];
    case 'torn': {
      const gone = fact.polygon.map(([x, y]): Point<'sheet'> => ({ x, y }));
      return [...marks, { kind: 'tear', what: 'torn place', lines: [], gone: [gone], wrong: true }];
    }
    case 'flap-off': {
      const off = beyondFold(piece, fact.score);
      return off.length > 0
        ? [
            ...marks,
            {
              kind: 'tear',
              what: 'flap that came off',
              lines: [],
              gone: off.map(({ polygon }) => polygon),
              wrong: true,
            },
          ]
        : [...marks];
    }
    case 'cut-on': {
      const to: Point<'sheet'> = { x: fact.to[0], y: fact.to[1] };
      const from = endOf(piece, fact.id, to);
      return from
        ? [...marks, { kind: 'cut', what: 'cut that ran on', lines: [{ from, to }], gone: [], wrong: true }]
        : [...marks];
    }
    default:
      return onEdgeApplied(marks, fact, blank, piece, say);
  }
}

/** The panels that come off where a sheet parts at a fold: the smaller side; none where nothing of that name is folded. */
export function beyondFold(piece: Piece, score: string): Piece['panels'] {
  const fold = piece.hinges.find(({ id }) => id === score);
  if (!fold) return [];
  const side = (first: PanelId): Piece['panels'] => {
    const hang = new Set<PanelId>([first]);
    for (let before = 0; before < hang.size;) {
      before = hang.size;
      for (const { id, between } of piece.hinges)
        if (id !== score && between.some((panel) => hang.has(panel))) for (const panel of between) hang.add(panel);
    }
    return piece.panels.filter(({ id }) => hang.has(id));
  };
  const [one, other] = fold.between.map(side) as [Piece['panels'], Piece['panels']];
  const large = (panels: Piece['panels']): number => panels.reduce((sum, { polygon }) => sum + area(polygon), 0);
  return large(one) < large(other) ? one : other;
}

/** The end of a cut, or of a notch’s side, that is nearest to where it ran on. */
function endOf(piece: Piece, id: string, to: Point<'sheet'>): Point<'sheet'> | null {
  const ends = [
    ...piece.slits.filter((slit) => slit.id === id).flatMap(({ line }) => [line.from, line.to]),
    ...piece.trims.filter((trim) => trim.id === id).flatMap(({ polygon }) => polygon),
    ...piece.notches.filter((notch) => notch.id === id).flatMap((notch) => notchTriangle(piece.blank, notch)),
  ];
  return ends.toSorted((a, b) => distance(a, to) - distance(b, to))[0] ?? null;
}

function onEdgeApplied(marks: readonly SheetMark[], fact: EdgeFact, blank: Blank, piece: Piece, say: Say): SheetMark[] {
  const { edge, at, instead, kind } = fact;
  const along = direction(onEdge(blank, edge, 0), onEdge(blank, edge, edgeLength(blank, edge)));
  const inward = { x: -along.y, y: along.x };
  const on = (d: number, deep = 0): Point<'sheet'> => {
    const p = onEdge(blank, edge, d);
    return { x: p.x + inward.x * deep, y: p.y + inward.y * deep };
  };
  const named = (d: number): string => `${kind} at ${say(d)} on edge ${edge}`;
  if (instead === undefined) {
    const depth = edgeLength(blank, edge % 2 === 1 ? 2 : 1);
    const lines =
      kind === 'score'
        ? [{ from: on(at), to: on(at, depth) }]
        : kind === 'slit'
          ? [{ from: on(at), to: on(at, fact.deep ?? DEEP) }]
          : [];
    const gone =
      kind === 'notch'
        ? [triangleAt(blank, edge, at, piece.notches[0]?.length ?? NOTCH)]
        : kind === 'hole'
          ? [roundHole(on(at, fact.deep ?? DEEP), fact.diameter ?? HOLE)]
          : [];
    return [...marks, { kind, what: `${named(at)}, one too many`, lines, gone, wrong: true }];
  }
  // The mark of its kind that lies nearest to where it should be, moved along the edge.
  const by = { x: along.x * (instead - at), y: along.y * (instead - at) };
  const wanted = on(at);
  const reach = (mark: SheetMark): number => {
    const points = [
      ...mark.lines.flatMap(({ from, to }) => [from, to, onRim({ from, to }, blank, edge) ?? from]),
      ...mark.gone.flat(),
    ];
    return Math.min(
      Infinity,
      ...points.map((p) => Math.abs(dot(minus(p, wanted), along)) + Math.abs(dot(minus(p, wanted), inward)) / 4),
    );
  };
  const [nearest] = marks.filter((mark) => mark.kind === kind).toSorted((a, b) => reach(a) - reach(b));
  if (!nearest) return [...marks];
  const moved = (p: Point<'sheet'>): Point<'sheet'> => ({ x: p.x + by.x, y: p.y + by.y });
  return marks.map((mark) =>
    mark === nearest
      ? {
          kind,
          what: `${named(instead)} instead of ${say(at)}`,
          lines: mark.lines.map(({ from, to }) => ({ from: moved(from), to: moved(to) })),
          gone: mark.gone.map((ring) => ring.map(moved)),
          wrong: true,
        }
      : mark,
  );
}

/** Where the line of a score meets an edge of the blank. */
function onRim({ from, to }: Segment<'sheet'>, blank: Blank, edge: Edge): Point<'sheet'> | null {
  const [a, b] = [onEdge(blank, edge, 0), onEdge(blank, edge, edgeLength(blank, edge))];
  const [u, v] = [minus(to, from), minus(b, a)];
  const turn = u.x * v.y - u.y * v.x;
  if (Math.abs(turn) < 1e-6) return null;
  const off = minus(a, from);
  const t = (off.x * v.y - off.y * v.x) / turn;
  return { x: from.x + u.x * t, y: from.y + u.y * t };
}

const triangleAt = (blank: Blank, edge: Edge, at: number, length: number): Polygon<'sheet'> =>
  notchTriangle(blank, { id: 'one too many', edge, at: mm(at), length: mm(length) });

/** Where a mark is measured: the edge it begins at and how far from that edge’s left end, mm; null where it meets none. */
export function placeOnEdge(
  { lines, gone }: SheetMark,
  blank: Blank,
): { readonly edge: Edge; readonly at: number } | null {
  for (const ring of gone) {
    const rims = ring.flatMap((p) => rimOf(blank, p) ?? []);
    const [one, other] = rims;
    if (one && other && one.edge === other.edge) return { edge: one.edge, at: (one.at + other.at) / 2 };
  }
  for (const line of lines) {
    const met = ([1, 2, 3, 4] as const).flatMap((edge) => {
      const p = onRim(line, blank, edge);
      const found = p && rimOf(blank, p);
      const on = found && found.edge === edge && found.at > -1 && found.at < edgeLength(blank, edge) + 1;
      return on ? [{ ...found, off: Math.min(distance(p, line.from), distance(p, line.to)) }] : [];
    });
    const [nearest] = met.toSorted((a, b) => a.off - b.off || a.edge - b.edge);
    if (nearest) return { edge: nearest.edge, at: nearest.at };
  }
  return null;
}
