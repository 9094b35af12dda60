import { seatIn, turned } from '../../fit';
import {
  carriedLeaf,
  hasPanel,
  inView,
  layerOf,
  leafOf,
  type Leaf,
  type Side,
  type Stack,
  type Standing,
  type Touch,
  type View,
} from '../../fold';
import { apply, posed, type Point, type Polygon } from '../../geometry';
import type { Design } from '../design/design';
import type { Made } from '../plan';
import { basePieces, viewOf } from '../thing';
import type { Finish } from '../steps';
import { closurePlan, type ClosurePlan } from '../work/closures';
import { glueAreas } from '../work/glue';
import { companionsOf, type Companion } from '../work/companions';
import { plainFront } from './print';

/** A piece glued on a panel of the finished thing, as it lies on that panel's sheet. */
export interface LaidOn {
  readonly name: string;
  readonly panel: string;
  readonly side: Side;
  readonly polygon: Polygon<'sheet'>;
}

/** What is glued on the front of the finished thing: a mat in the middle of its plain part. */
export function laidOnFront(made: Made, design: Pick<Design, 'companions' | 'graduation'>): readonly LaidOn[] {
  const mats = companionsOf(made, design).filter(({ goes }) => goes === 'on the front');
  const front = mats.length > 0 ? plainFront(made) : null;
  if (!front) return [];
  return mats.map(({ piece: { name }, width, height }) => {
    const lies = turned(made.built.cavities[0], { width, height });
    const corner = (across: number, up: number): Point<'sheet'> =>
      front.onSheet({ x: (across * lies.width) / 2, y: (up * lies.height) / 2 });
    return {
      name,
      panel: front.panel,
      side: front.side,
      polygon: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)],
    };
  });
}

/** Places on a panel of a pile in a view of it; none where the panel is not in it. */
export const inPile = (
  panel: string,
  polygons: readonly Polygon<'sheet'>[],
  stack: Stack,
  view: View,
): readonly Polygon<'folded'>[] =>
  hasPanel(stack, panel)
    ? polygons.map((ring) => ring.map((p) => inView(view, apply(layerOf(stack, panel).map, p))))
    : [];

/** How far what lies on paper is drawn off it, mm: enough to lie on top of it. */
const OFF = 0.1;

/** Paper, or glue, on a panel of what stands, and what it touches. */
export function leafOn(
  standing: Standing,
  { name, panel, side, polygon }: LaidOn,
  piece: string,
  off = OFF,
): { readonly leaf: Leaf; readonly touch: Touch } {
  const { pose } = leafOf(standing, panel);
  const id = `${piece}-${panel}-${name}`;
  const o = posed(pose, { x: 0, y: 0 }, side === 'inside' ? off : -off);
  const leaf: Leaf = { piece, panel: { id, name, polygon }, pose, corners: [], box: [o, o] };
  return { leaf: carriedLeaf(leaf, (p) => ({ ...p, o })), touch: { panel: id, onto: panel, face: side } };
}

/** The insert that lies in the first room with the contents; null where none is asked for. */
const insertOf = (made: Made, design: Pick<Design, 'companions' | 'graduation'>): Companion | null =>
  companionsOf(made, design).find(({ goes }) => goes === 'before the contents') ?? null;

/** What has been put on the finished front by a step's picture. */
export function dressing(
  made: Made,
  design: Pick<Design, 'companions' | 'graduation' | 'closure' | 'thickness'>,
  done: Finish,
): { readonly laid: readonly LaidOn[]; readonly closure: ClosurePlan | null } {
  const laid = laidOnFront(made, design);
  const closure = closurePlan(made, design);
  // A ribbon is glued on under the mat; whatever else shuts it comes last.
  const under = closure?.kind === 'ribbon' && !closure.trouble;
  return {
    laid: done === 'closure' && under ? [] : laid,
    closure: done === 'layer' && !under ? null : closure,
  };
}

type Seat = ReturnType<typeof seatIn>;

/** The finished pile as its front is drawn: what lies in it, what is glued on it, where its paper is glued, what shuts it. */
export interface FinishedFront {
  readonly stack: Stack;
  readonly view: View;
  readonly face: 'below' | 'above';
  readonly given: ReadonlySet<string>;
  readonly contents: Seat | null;
  readonly insert: Seat | null;
  readonly glue: readonly Polygon<'folded'>[];
  readonly laid: readonly Polygon<'folded'>[];
  readonly closure: ClosurePlan | null;
}

/** Everything that is drawn on the front of a finished pile, in its view, mm. */
export function finishedFront(made: Made, design: Design, done: Finish): FinishedFront {
  const { built, folded, inside } = made;
  const stack = folded.finished;
  const view = viewOf(built, stack);
  const [cavity] = built.cavities;
  const seat = (size: Parameters<typeof seatIn>[2]): Seat | null =>
    cavity && cavity.kind !== 'box' ? seatIn(cavity, inside, size) : null;
  const insert = insertOf(made, design);
  const { laid, closure } = dressing(made, design, done);
  return {
    stack,
    view,
    face: built.front,
    given: basePieces(built),
    contents: seat(design.contents ?? made.largest),
    insert: insert && seat(insert),
    glue: glueAreas(made).flatMap(({ joint: { panel, polygons } }) => inPile(panel, polygons, stack, view)),
    laid: laid.flatMap(({ panel, polygon }) => inPile(panel, [polygon], stack, view)),
    closure,
  };
}
