import {
  apply,
  applyAll,
  area,
  difference,
  direction,
  distance,
  dot,
  intersection,
  minus,
  union,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import type { Step } from '../making';
import { asRing, asSegment, covers, isAlong, layOf, USED } from '../mending';
import { blankPolygon, rect } from '../pattern';
import type { Plan } from '../plan';
import { pointerTold, scoresLeft, simulate, wholeSheet, type SheetState } from '../tools';

/**
 * Carries out what the steps of a rescued plan still do to the sheet, by the simulated tool and on the sheet as it is: from what is
 * cut, scored and gone already, never from a blank. What then differs from the pattern that is folded: nothing where it can be
 * made so.
 */
export function carriedOut({ design, made }: Plan, steps: readonly Step[]): readonly string[] {
  const { rescued, tool } = design;
  const part = made?.pieces.find(({ piece }) => piece.name === rescued?.piece);
  if (!rescued || !made || !part) return [];
  const { piece } = part;
  const { moves } = pointerTold(part.programme);
  const lay = layOf(rescued);
  const there = intersection(applyAll<'sheet'>(lay, blankPolygon(rescued.sheet)), blankPolygon(piece.blank));
  const gone = rescued.gone.map((ring) => applyAll<'sheet'>(lay, asRing(ring)));
  const line = (one: (typeof rescued.scores)[number]) => {
    const { from, to } = asSegment(one);
    return { from: apply<'sheet'>(lay, from), to: apply<'sheet'>(lay, to) };
  };
  /** A score that lies where the pattern has one, as nearly as hands are off, is that one. */
  const asMeant = (run: Segment<'sheet'>): SheetState['runs'][number] => {
    const hinges = piece.hinges.filter((hinge) => isAlong(hinge.line, run));
    if (!hinges[0]) return { scores: [], line: run };
    const { from, to } = hinges[0].line;
    const along = direction(from, to);
    const on = (p: Point<'sheet'>): Point<'sheet'> => {
      const t = dot(minus(p, from), along);
      return { x: from.x + along.x * t, y: from.y + along.y * t };
    };
    return { scores: hinges.map(({ id }) => id), line: { from: on(run.from), to: on(run.to) } };
  };
  const { width, height } = piece.blank;
  const far = 1e4;
  const around = [
    rect(-far, -far, 0, far),
    rect(width, -far, far, far),
    rect(-far, -far, far, 0),
    rect(-far, height, far, far),
  ];
  /** What is cut off the sheet first takes its end of a score along. */
  const insideBlank = (run: SheetState['runs'][number]): SheetState['runs'] =>
    scoresLeft({ ...wholeSheet(piece.blank), runs: [run], notches: around }).map((left) => ({ ...run, line: left }));
  let state: SheetState = {
    ...wholeSheet(piece.blank),
    paper: difference(there, gone),
    runs: rescued.scores.map((one) => asMeant(line(one))).flatMap((run) => insideBlank(run)),
  };
  for (const { picture } of steps) {
    if (picture.kind !== 'flat' || picture.piece !== piece.name || picture.fresh === 0) continue;
    const from = picture.moves - picture.fresh;
    // A score runs from its notch: where that is there already, the sheet is laid in the board by it.
    const laid = moves[from]!.do === 'score' && state.standing === null ? moves.slice(0, from) : [];
    const place = laid.findLast((move) => move.do === 'place');
    state = simulate(state, tool, [...(place ? [place] : []), ...moves.slice(from, picture.moves)]);
  }
  // Notches are told apart from what is cut off.
  const left = difference(state.paper, state.notches);
  const panels = union(piece.panels.map(({ polygon }) => polygon));
  // A finger notch may be punched only once all is glued.
  const punched = piece.trims.flatMap(({ cut, polygon }) => (cut.kind === 'punched' ? [polygon] : []));
  // Broader than hands are off, on the mean: a corner that is rounded leaves a hair along its curve.
  const broad = (rings: readonly Polygon[]): boolean =>
    rings.some((ring) => {
      const round = ring.reduce((sum, p, i) => sum + distance(p, ring[(i + 1) % ring.length]!), 0);
      return area(ring) > 1 && (2 * area(ring)) / round > USED / 2;
    });
  return [
    ...state.faults.map((fault) => JSON.stringify(fault)),
    ...(broad(difference(left, [...panels, ...punched])) ? [`waste is left on the ${piece.name}`] : []),
    ...(broad(difference(panels, left)) ? [`paper of the ${piece.name} is cut away`] : []),
    ...piece.hinges
      .filter((hinge) => !state.runs.some((run) => isAlong(hinge.line, run.line) && covers(run.line, hinge.line)))
      .map(({ id }) => `${id} of the ${piece.name} is not scored`),
  ];
}
