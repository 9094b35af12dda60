import type { PanelId } from '../pattern';
import { seatIn } from '../fit';
import {
  carriedLeaf,
  hasPanel,
  inView,
  outOfView,
  layerOf,
  leafOf,
  type Leaf,
  type Side,
  type Stack,
  type Standing,
  type Touch,
  type View,
} from '../fold';
import { apply, invert, posed, type Polygon, type Segment } from '../geometry';
import type { Design } from '../design';
import {
  type Made,
  basePieces,
  viewOf,
  partNamed,
  closurePlan,
  type ClosurePlan,
  glueAreas,
  type LaidOn,
  type MadeLayer,
} from '../plan';
import { pileScene, type OnPile, type PileSight, type Scene } from '../scene';
import type { Finish } from './step-picture';

/** What is glued on the faces of the finished thing, the lowest first. */
export const laidOnFaces = ({ layers }: Pick<Made, 'layers'>): readonly LaidOn[] =>
  layers.flatMap(({ layer }) => (layer.laid ? [layer.laid] : []));

/**
 * Places on a panel of a pile in a view of it; none where the panel is not in it. On panels that are turned over rings still
 * run the same way round: where areas lie over each other neither takes the other away.
 */
export function inPile(
  panel: PanelId,
  polygons: readonly Polygon<'sheet'>[],
  stack: Stack,
  view: View,
): readonly Polygon<'folded'>[] {
  if (!hasPanel(stack, panel)) return [];
  const { map } = layerOf(stack, panel);
  const [a, b, c, d] = map;
  const rings = polygons.map((ring) => ring.map((p) => inView(view, apply(map, p))));
  return a * d - b * c < 0 ? rings.map((ring) => ring.reverse()) : rings;
}

/** What lies on one side of a flat sheet: its layers up to the one laid now, and the ribbon that goes under them; on the sheet. */
export function gluedFlat(
  made: Made,
  design: Pick<Design, 'closure' | 'thickness' | 'graduation'>,
  of: string,
  { side, laying }: { readonly side: Side; readonly laying: string },
): { readonly laid: readonly Polygon<'sheet'>[]; readonly ribbon: Segment<'sheet'> | null } {
  const own = new Set(partNamed(made, of).piece.panels.map(({ id }) => id));
  const all = laidOnFaces(made).filter((one) => own.has(one.panel) && one.side === side);
  const upTo = all.findIndex(({ name }) => name === laying) + 1;
  const closure = closurePlan(made, design);
  const front = made.layers.find(({ layer }) => layer.on === 'front')?.layer.laid;
  const { finished } = made.folded;
  if (closure?.kind !== 'ribbon' || !closure.line || !front || !own.has(front.panel) || front.side !== side)
    return { laid: all.slice(0, upTo).map(({ polygon }) => polygon), ribbon: null };
  const back = invert(layerOf(finished, front.panel).map);
  const view = viewOf(made.built, finished);
  const [from, to] = closure.line.map((p) => apply<'sheet'>(back, outOfView(view, p)));
  return { laid: all.slice(0, upTo).map(({ polygon }) => polygon), ribbon: { from: from!, to: to! } };
}

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
const insertOf = ({ layers }: Made): MadeLayer | null => layers.find(({ layer }) => layer.on === 'inside') ?? null;

/** What has been put on the finished thing by a step's picture: its layers, up to the one that is laid, and what shuts it. */
export function dressing(
  made: Made,
  design: Pick<Design, 'closure' | 'thickness' | 'graduation'>,
  done: Finish,
  upTo: string | undefined = undefined,
): { readonly laid: readonly LaidOn[]; readonly closure: ClosurePlan | null } {
  const all = laidOnFaces(made);
  const last = all.findIndex(({ name }) => name === upTo);
  const laid = last < 0 ? all : all.slice(0, last + 1);
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
  readonly sight: PileSight;
  readonly on: OnPile;
}

/** Everything that is drawn on the front of a finished pile. */
export function finishedFront(made: Made, design: Design, done: Finish, upTo?: string): FinishedFront {
  const { built, folded, inside } = made;
  const stack = folded.finished;
  const view = viewOf(built, stack);
  const [cavity] = built.cavities;
  const seat = (size: Parameters<typeof seatIn>[2]): Seat | null =>
    cavity && cavity.kind !== 'box' ? seatIn(cavity, inside, size) : null;
  const insert = insertOf(made);
  const { laid, closure } = dressing(made, design, done, upTo);
  // What is laid on the back is shown there.
  const back =
    made.layers.some(({ layer }) => layer.piece.name === upTo && layer.face === 'back') ||
    (done === 'closure' && closure?.face === 'back');
  const shown = new Set(
    made.layers.flatMap(({ layer }) => (layer.face === (back ? 'back' : 'front') ? [layer.piece.name] : [])),
  );
  return {
    sight: { stack, view, from: back === (built.front === 'below') ? 'above' : 'below' },
    on: {
      given: basePieces(built),
      contents: seat(design.contents ?? made.largest),
      insert: insert && seat(insert.piece.blank),
      glue: glueAreas(made).flatMap(({ joint: { panel, polygons } }) => inPile(panel, polygons, stack, view)),
      laid: laid
        .filter(({ name }) => shown.has(name))
        .flatMap(({ name, panel, polygon }) =>
          inPile(panel, [polygon], stack, view).map((ring) => ({ name, polygon: ring })),
        ),
      closure: closure && (closure.face === 'back') === back ? closure : null,
    },
  };
}

export const frontScene = ({ sight, on }: FinishedFront): Scene => pileScene(sight, on);
