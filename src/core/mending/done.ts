import {
  apply,
  applyAll,
  circle,
  difference,
  direction,
  distance,
  intersection,
  leastWidth,
  lengthInside,
  sideOf,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { blankPolygon, type Piece } from '../pattern';
import { scoresLeft, simulate, type Programme, type SheetState, type Tool } from '../tools';
import { layOf } from './lying';
import type { Rescued } from './schema';

/** How near a score lies to a fold that it is used as, mm: what hands are off anyway. */
export const USED = 0.9;

/** True for two lines that are one to the eye, or of which one lies on the other. */
export const isAlong = (fold: Segment<'sheet'>, line: Segment<'sheet'>): boolean =>
  [fold.from, fold.to].every((p) => Math.abs(sideOf(line, p)) < USED) ||
  [line.from, line.to].every((p) => Math.abs(sideOf(fold, p)) < USED);

/** So much of a fold may be unscored at its ends, mm. */
const ENDS = 4;

export const asSegment = ([from, to]: Rescued['scores'][number]): Segment<'sheet'> => ({
  from: { x: from[0], y: from[1] },
  to: { x: to[0], y: to[1] },
});
export const asRing = (ring: Rescued['gone'][number]): Point<'sheet'>[] => ring.map(([x, y]) => ({ x, y }));

/** What the moves of a step leave on a sheet. */
interface Left {
  /** Lines that are run, whether anything is left of them in the end or not. */
  readonly runs: readonly Segment<'sheet'>[];
  readonly scores: readonly Segment<'sheet'>[];
  readonly cuts: readonly Segment<'sheet'>[];
  readonly off: readonly Polygon<'sheet'>[];
}

function leftBy(before: SheetState, after: SheetState, whole: SheetState): Left {
  const fresh = <T>(all: readonly T[], known: readonly T[]): readonly T[] => all.slice(known.length);
  return {
    runs: fresh(after.runs, before.runs).map(({ line }) => line),
    scores: fresh(after.runs, before.runs).flatMap((run) => scoresLeft({ ...whole, runs: [run] })),
    cuts: fresh(after.slits, before.slits),
    off: [
      ...fresh(after.notches, before.notches),
      ...fresh(after.off, before.off).flatMap(({ rings }) => rings),
      ...fresh(after.holes, before.holes).map(({ centre, diameter }) => circle(centre, diameter / 2, 24)),
    ],
  };
}

/**
 * Of steps that follow each other on one flat sheet those that are still to be done on a sheet that has some of it already;
 * what only leads up to a step stays as long as one is left.
 * @param upTo for each step, how many moves are made when it begins and when it is done
 */
export function stillToDo(
  { piece, programme }: { readonly piece: Piece; readonly programme: Programme },
  upTo: readonly (readonly [begin: number, end: number])[],
  rescued: Rescued,
  tool: Tool,
): readonly boolean[] {
  const lay = layOf(rescued);
  const laid = (lines: Rescued['scores']): Segment<'sheet'>[] =>
    lines.map((line) => {
      const { from, to } = asSegment(line);
      return { from: apply(lay, from), to: apply(lay, to) };
    });
  const [scored, cut] = [laid(rescued.scores), laid(rescued.cuts)];
  const gone = rescued.gone.map((ring) => applyAll<'sheet'>(lay, asRing(ring)));
  const rim = applyAll<'sheet'>(lay, blankPolygon(rescued.sheet));
  /** Nothing of it is there to come off, but for a hair along its rim. */
  const missing = (ring: Polygon<'sheet'>): boolean =>
    difference(intersection(ring, rim), gone).every((left) => leastWidth(left) < USED);
  const there = (line: Segment<'sheet'>, lines: readonly Segment<'sheet'>[]): boolean =>
    lines.some((other) => isAlong(line, other) && covers(other, line));
  const at = (moves: number): SheetState => simulate(piece.blank, tool, programme.moves.slice(0, moves));
  const whole = at(programme.moves.length);
  const kinds = upTo.map(([begin, end]): 'leads up' | 'done' | 'to do' => {
    const { runs, scores, cuts, off } = leftBy(at(begin), at(end), whole);
    if (scores.length + cuts.length + off.length === 0)
      return runs.length > 0 && runs.every((line) => there(line, scored)) ? 'done' : 'leads up';
    const done =
      scores.every((line) => there(line, scored)) && cuts.every((line) => there(line, cut)) && off.every(missing);
    return done ? 'done' : 'to do';
  });
  return kinds.map((kind, i) => kind === 'to do' || (kind === 'leads up' && kinds.slice(i).includes('to do')));
}

/** True where a line reaches all along another, but for its ends. */
export function covers(line: Segment<'sheet'>, fold: Segment<'sheet'>): boolean {
  const long = distance(fold.from, fold.to);
  const { x: dx, y: dy } = direction(line.from, line.to);
  const band = [
    { x: line.from.x - dy, y: line.from.y + dx },
    { x: line.to.x - dy, y: line.to.y + dx },
    { x: line.to.x + dy, y: line.to.y - dx },
    { x: line.from.x + dy, y: line.from.y - dx },
  ] as Point<'sheet'>[];
  return lengthInside(band, fold) > long - ENDS;
}
