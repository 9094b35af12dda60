import { contains, nearRim, type Point, type Polygon, type Segment } from '../geometry';
import { edgeLength, onEdge, type Blank, type Edge, type Panel, type Piece } from '../pattern';
import { simulate, type Move, type Tool } from '../tools';
import type { Line, Scene, SceneMark } from './scene';
import { areaOf, lineOf, sceneOf, onScene, sheetFace } from './sheet';

/** The place so far along an edge and so deep in from it. */
export function inFrom(blank: Blank, edge: Edge, along: number, deep: number): Point<'sheet'> {
  const length = edgeLength(blank, edge);
  const [from, to, rim] = [onEdge(blank, edge, 0), onEdge(blank, edge, length), onEdge(blank, edge, along)];
  return { x: rim.x - ((to.y - from.y) / length) * deep, y: rim.y + ((to.x - from.x) / length) * deep };
}

/** How near a rim a mark still lies on the paper, mm. */
const RIM = 0.05;
/** True where paper is left, its rim counted in. */
const liesOn = (paper: readonly Polygon<'sheet'>[], p: Point<'sheet'>): boolean =>
  paper.some((ring) => contains(ring, p) || nearRim(ring, p, RIM));

/** A sheet by the name of the piece it becomes, and its size before anything is cut off. */
type Uncut = Pick<Piece, 'name' | 'blank'>;

/**
 * A sheet with what a simulated tool has made of it: what the last `fresh` moves do stands out, and what falls away in them
 * still lies there; what fell before does not.
 */
export function tableScene({ name, blank }: Uncut, tool: Tool, moves: readonly Move[], fresh: number): Scene {
  const done = moves.length - fresh;
  const before = simulate(blank, tool, moves.slice(0, done));
  const now = simulate(before, tool, moves.slice(done));
  const isNew = (i: number, count: number): { readonly state?: 'fresh' } => (i >= count ? { state: 'fresh' } : {});
  const off = now.off.slice(before.off.length);
  const fell = [
    ...now.notches.slice(before.notches.length),
    ...off.flatMap(({ by, rings }) => (by === 'cut' ? [] : rings)),
  ];
  const waste = off.flatMap(({ by, rings }) => (by === 'cut' ? rings : []));
  return sceneOf(
    'table',
    name,
    blank,
    sheetFace(name, before.paper, [
      ...now.scores.map((score, i) => lineOf('score', score, isNew(i, before.scores.length))),
      ...now.slits.map((slit, i) => lineOf('slit', slit, isNew(i, before.slits.length))),
      ...now.cuts
        .slice(before.cuts.length)
        .map((path): Line => ({ kind: 'cut', points: path.map(onScene), state: 'fresh' })),
    ]),
    [
      ...now.holes.map(({ centre, diameter }, i): SceneMark => ({
        kind: 'hole',
        at: onScene(centre),
        diameter,
        ...isNew(i, before.holes.length),
      })),
      ...waste.map((ring): SceneMark => areaOf('waste', ring)),
      ...fell.map((ring): SceneMark => ({ ...areaOf('notch', ring), state: 'fresh' })),
      ...moves.flatMap((move, i): SceneMark[] => {
        if (move.do !== 'mark') return [];
        const at = inFrom(blank, move.edge, move.at, move.deep ?? 0);
        return i >= done || liesOn(before.paper, at) ? [{ kind: 'mark', at: onScene(at), ...isNew(i, done) }] : [];
      }),
    ],
  );
}

/** What went wrong on a sheet, or was made on it. */
interface Scarred {
  readonly kind: string;
  readonly lines: readonly Segment<'sheet'>[];
  readonly gone: readonly Polygon<'sheet'>[];
  readonly wrong: boolean;
}

/** A sheet as it is after a mishap: each mark's lines and areas carry its place in the list as their id. */
export function scarredScene(
  { name, blank }: Uncut,
  paper: readonly Polygon<'sheet'>[],
  marks: readonly Scarred[],
  flaps: readonly Pick<Panel, 'id' | 'polygon'>[] = [],
): Scene {
  const state = ({ wrong }: Scarred): { readonly state?: 'wrong' } => (wrong ? { state: 'wrong' } : {});
  return sceneOf(
    'table',
    name,
    blank,
    sheetFace(
      name,
      paper,
      marks.flatMap((mark, i) =>
        mark.lines.map((line) =>
          lineOf(mark.kind === 'score' ? 'score' : 'cut', line, { id: String(i), ...state(mark) }),
        ),
      ),
    ),
    [
      ...flaps.map(({ id, polygon }): SceneMark => ({ ...areaOf('flap', polygon), id })),
      ...marks.flatMap((mark, i): SceneMark[] =>
        mark.gone.length > 0 ? [{ ...areaOf('gone', ...mark.gone), id: String(i), ...state(mark) }] : [],
      ),
    ],
  );
}
