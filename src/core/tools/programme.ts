import { TOLERANCE } from '../geometry';
import type { Start } from '../constructions';
import { mm } from '../length';
import { edgeLength, rightOf, type Blank, type Edge, type Piece } from '../pattern';
import { rimLines, scoredLines, spotAt, straightLines, type RimLine, type StraightLine } from './lines';
import type { Tool } from './kinds';
import { planTool } from './registry';
import type { Mark, MarkFor, Move, Programme, RimMark, Spot, Stretch } from './move';

/** A move that waits to be made: on an edge that must be near for it, or anywhere once all edges are done. */
interface Task {
  readonly move: Move;
  readonly near?: Edge;
  readonly mark?: Mark;
}

/**
 * Puts the moves for a piece in order for the tool: what the tool makes, by the tool; what it does not, with what lies
 * on any table. The sheet goes round once: on each edge the scores that want it near, then all marks that stand on it;
 * what is cut or scored from mark to mark comes after.
 */
export function programmeFor(piece: Piece, start: Start, tool: Tool): Programme {
  const makes = planTool(tool);
  const whole = makes.whole?.(piece, start, tool);
  if (whole) return whole;
  const notched = piece.notches.length > 0;
  const own = (notched && makes.notched?.(piece, start, tool)) || { moves: [], marks: [] };
  const rims = rimLines(piece);
  const straight = notched ? [] : straightLines(piece);
  const slanted = rims.filter((line) => !line.notched && !straight.some(({ ids }) => ids.includes(line.ids[0]!)));
  return roundOnce({ ...own, blank: piece.blank }, [
    ...(!notched ? along(piece, straight, tool) : own.moves.length === 0 ? byHand(piece, rims) : []),
    ...slanted.flatMap(joinTasks),
    ...trimTasks(piece, straight, tool),
    ...slitTasks(piece),
    // Last: a notch may be punched only when all is glued.
    ...biteTasks(piece),
  ]);
}

/** What is marked on one edge in one go stands together by its purpose. */
const PURPOSES: readonly MarkFor[] = ['notch', 'score', 'slant', 'slit', 'hole'];
const purpose = ({ move }: Task): number => (move.do === 'mark' ? 1 + PURPOSES.indexOf(move.for) : 0);
const distanceAlong = ({ move }: Task): number => (move.do === 'mark' ? move.at : 0);

/** All tasks after what is done already: the sheet turned from edge to edge, each edge near once at most. */
function roundOnce(begun: Programme & { readonly blank: Blank }, tasks: readonly Task[]): Programme {
  const moves: Move[] = [...begun.moves];
  const marks: Mark[] = [...begun.marks];
  const take = ({ move, mark }: Task): void => {
    moves.push(move);
    if (mark) marks.push(mark);
  };
  let near = ((moves.filter((move) => move.do === 'turn').length % 4) + 1) as Edge;
  const bring = (edge: Edge): void => {
    while (near !== edge) {
      moves.push({ do: 'turn' });
      near = rightOf(near);
    }
  };
  const first = near;
  for (const i of [0, 1, 2, 3]) {
    const edge = (((first - 1 + i) % 4) + 1) as Edge;
    const here = tasks
      .filter((task) => task.near === edge)
      .sort((a, b) => purpose(a) - purpose(b) || distanceAlong(a) - distanceAlong(b));
    if (here.length > 0) bring(edge);
    here.forEach(take);
  }
  // A stretch is measured up from an edge that is near: those of the edge that is come first, then the sheet is turned once.
  const after = tasks.filter((task) => task.near === undefined);
  const isStretch = ({ move }: Task): boolean => move.do === 'join' && move.only !== undefined;
  const stretches = after.filter(isStretch).sort((a, b) => away(a, near) - away(b, near));
  const firstStretch = after.findIndex(isStretch);
  after.forEach((task, i) => {
    if (i === firstStretch)
      for (const one of stretches) {
        while (away(one, near) > 0) bring(rightOf(near));
        take(fromNear(one, near, begun.blank));
      }
    if (!isStretch(task)) take(task);
  });
  return { moves, marks };
}

/** 0 for a line from or to the edge that is near, 1 for one that runs across. */
const away = ({ move }: Task, near: Edge): number =>
  move.do === 'join' && move.from.edge !== near && move.to.edge !== near ? 1 : 0;

/** A line told from the edge that is near, its stretch measured up from there. */
function fromNear(task: Task, near: Edge, blank: Blank): Task {
  const { move } = task;
  if (move.do !== 'join' || move.from.edge === near || !move.only) return task;
  const depth = edgeLength(blank, near === 1 || near === 3 ? 2 : 1);
  const { from, to, only } = move;
  return {
    ...task,
    move: { ...move, from: to, to: from, only: { from: mm(depth - only.to), to: mm(depth - only.from) } },
  };
}

/** A mark on the sheet with its place among what is measured. */
const marking = (move: Extract<Move, { do: 'mark' }>, only: Stretch | undefined = undefined): Task => ({
  near: move.edge,
  move,
  mark: {
    edge: move.edge,
    at: move.at,
    for: move.for,
    reference: 'ruler',
    ...(move.deep ? { deep: move.deep } : {}),
    ...only,
  },
});

/** Straight scores: by the tool where it makes them, else from mark to mark with a ruler. */
function along(piece: Piece, lines: readonly StraightLine[], tool: Tool): Task[] {
  const makes = planTool(tool);
  return lines.flatMap((line): Task[] => {
    const own = makes.score?.(line, piece.blank, tool);
    if (own)
      return [{ move: own.move, ...(own.near ? { near: own.near } : {}), ...(own.mark ? { mark: own.mark } : {}) }];
    const { ids, edge, at, only } = line;
    const from = { edge, at };
    const to = { edge: (edge + 2) as Edge, at: mm(edgeLength(piece.blank, edge) - at) };
    return [
      marking({ do: 'mark', ...from, for: 'score' }, only),
      marking({ do: 'mark', ...to, for: 'score' }),
      {
        move: {
          do: 'join',
          score: ids[0]!,
          also: ids.slice(1),
          from,
          to,
          notched: false,
          ...(only ? { only } : {}),
        },
      },
    ];
  });
}

/** Lines from mark to mark, then the notches cut out. */
function byHand(piece: Piece, rims: readonly RimLine[]): Task[] {
  const lines = rims.filter((line) => line.notched);
  return [
    ...lines.flatMap(joinTasks),
    ...piece.notches.map(({ edge, at, length }): Task => ({
      move: { do: 'snip', edge, from: mm(at - length / 2), to: mm(at + length / 2) },
    })),
  ];
}

function joinTasks({ ids, from, to, notched }: RimLine): Task[] {
  return [
    marking({ do: 'mark', for: 'score', ...from }),
    marking({ do: 'mark', for: 'score', ...to }),
    {
      move: {
        do: 'join',
        score: ids[0]!,
        ...(ids.length > 1 ? { also: ids.slice(1) } : {}),
        from,
        to,
        notched,
      },
    },
  ];
}

/** Slits, from spot to spot: most start and end where scores cross. */
function slitTasks(piece: Piece): Task[] {
  const lines = scoredLines(piece);
  return piece.slits.flatMap((slit): Task[] => {
    const [from, to] = [slit.line.from, slit.line.to].map((p) => spotAt(piece.blank, p, lines)) as [Spot, Spot];
    const marks = [from, to]
      .filter(({ on }) => on !== 'corner' && on !== 'crossing')
      .map(({ edge, at, deep }) => marking({ do: 'mark', for: 'slit', edge, at, ...(deep > 0 ? { deep } : {}) }));
    return [...marks, { move: { do: 'slit', slit: slit.id, what: slit.name, from, to } }];
  });
}

/** Bites of a round punch, one for each place: it may take off several bits there. */
function biteTasks({ blank, trims }: Piece): Task[] {
  const bites = new Map<string, Move>();
  for (const { name, cut } of trims)
    if (cut.kind === 'punched')
      bites.set(JSON.stringify(cut), {
        do: 'bite',
        what: name,
        at: spotAt(blank, cut.centre, []),
        diameter: cut.diameter,
      });
  return [...bites.values()].map((move) => ({ move }));
}

/** What is cut off besides the notches: from spot to spot, rounded corners and holes. */
function trimTasks(piece: Piece, straight: readonly StraightLine[], tool: Tool): Task[] {
  const { blank } = piece;
  const lines = scoredLines(piece).filter(({ ids }) => straight.some((line) => line.ids.includes(ids[0]!)));
  const tasks: Task[] = [];
  const marked: RimMark[] = [];
  const isMarked = ({ edge, at, deep }: Spot): boolean =>
    marked.some(
      (m) =>
        m.edge === edge &&
        Math.abs(m.at - at) < TOLERANCE.folded &&
        Math.abs(((m as Spot).deep ?? 0) - deep) < TOLERANCE.folded,
    );
  const mark = (spot: Spot, what: 'slant' | 'hole'): void => {
    if (spot.on === 'corner' || spot.on === 'crossing' || isMarked(spot)) return;
    marked.push(spot);
    const { edge, at, deep } = spot;
    tasks.push(marking({ do: 'mark', for: what, edge, at, ...(deep > 0 ? { deep } : {}) }));
  };
  for (const trim of piece.trims) {
    const { cut } = trim;
    if (cut.kind === 'rounded')
      tasks.push({
        move: { do: 'round', what: trim.name, at: spotAt(blank, cut.corner, lines), radius: cut.radius },
      });
    else if (cut.kind === 'path') {
      const path = cut.path.map((p) => spotAt(blank, p, lines));
      for (const own of planTool(tool).slants?.(path, tool) ?? []) {
        tasks.push({ move: own.move });
        marked.push(own.marks);
      }
      path.forEach((spot) => mark(spot, 'slant'));
      tasks.push({ move: { do: 'cut', what: trim.name, ...(trim.kept && { kept: true }), path } });
    }
  }
  for (const hole of piece.holes) {
    const at = spotAt(blank, hole.centre, []);
    mark(at, 'hole');
    const panel = piece.panels.find(({ id }) => id === hole.panel)!;
    tasks.push({ move: { do: 'hole', what: panel.name, at, diameter: hole.diameter } });
  }
  return tasks;
}

/** The same programme for a sheet that has more scores than those just made: the pointer is told which one it comes to. */
export function pointerTold(programme: Programme): Programme {
  let last: string | undefined;
  const moves = programme.moves.map((move): Move => {
    const to = last;
    if (move.do === 'score') last = move.score;
    return move.do === 'place' && move.by === 'pointer' && move.to === undefined && to ? { ...move, to } : move;
  });
  return { ...programme, moves };
}
