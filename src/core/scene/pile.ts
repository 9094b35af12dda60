import { foldedBox, visibleFrom, type Stack, type View, type Visible } from '../fold';
import {
  apply,
  applyAll,
  boxOf,
  compose,
  dot,
  invert,
  type Affine,
  type Box,
  type Point,
  type Polygon,
} from '../geometry';
import { sheetFace } from './sheet';
import { foldLines, foldsOf, stuffOf, type AreaKind, type Face, type SceneMark, type Scene } from './scene';

/** A rectangle in a view, its corner nearest the mouth, mm. */
interface Seat {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A pile and from where it is looked at. */
export interface PileSight {
  readonly stack: Stack;
  readonly view: View;
  /** From the table's side, or from above. */
  readonly from: 'below' | 'above';
}

/** What lies on a pile or is seen through it; places are in the pile's view, mm. */
export interface OnPile {
  /** Pieces the maker has already. */
  readonly given?: ReadonlySet<string> | undefined;
  /** What goes in, seen through the paper. */
  readonly contents?: Seat | null | undefined;
  /** What sticks out over the mouth is seen, with the rest of what goes in behind the paper. */
  readonly out?: boolean | undefined;
  /** Contents on their way in, over the pile. */
  readonly goingIn?: Seat | null | undefined;
  readonly insert?: Seat | null | undefined;
  /** Cards behind the paper, each by its name. */
  readonly cards?: readonly (Seat & { readonly name: string })[] | undefined;
  readonly glue?: readonly Polygon<'folded'>[] | undefined;
  readonly dry?: readonly Polygon<'folded'>[] | undefined;
  /** What is glued on it, each by the name of its piece. */
  readonly laid?: readonly { readonly name: string; readonly polygon: Polygon<'folded'> }[] | undefined;
  /** A window of the paper, as it shows here. */
  readonly window?: readonly Polygon<'folded'>[] | undefined;
  readonly closure?:
    | {
        readonly line: readonly [Point<'folded'>, Point<'folded'>] | null;
        readonly discs: readonly {
          readonly at: Point<'folded'>;
          readonly diameter: number;
          readonly cut: number | null;
        }[];
      }
    | null
    | undefined;
  /** Quarter turns a panel’s blank lies turned with on the print that shows, whose direction is drawn; null without. */
  readonly upward?: ((shown: Pick<Visible, 'panel' | 'side'>) => number | null) | undefined;
  /** Places where paper went wrong before. */
  readonly scars?: readonly Point<'folded'>[] | undefined;
}

/** The places of a view, as a map of the folded plane. */
const viewMap = ({ origin, across, up }: View): Affine => [
  across.x,
  up.x,
  across.y,
  up.y,
  -dot(across, origin),
  -dot(up, origin),
];

const seatRing = ({ x, y, width, height }: Seat): Polygon<'folded'> => [
  { x, y },
  { x: x + width, y },
  { x: x + width, y: y + height },
  { x, y: y + height },
];

/** How places of a view lie in its scene: the mouth at the top, the back seen from behind. */
const frameOf = (box: Box, from: PileSight['from']): Affine =>
  from === 'above' ? [-1, 0, 0, -1, box.maxX, box.maxY] : [1, 0, 0, -1, -box.minX, box.maxY];

/** A folded pile as its front or its back is seen: every layer of it, also those that others hide, and what is on it. */
export function pileScene({ stack, view, from }: PileSight, on: OnPile = {}): Scene {
  const box = foldedBox(stack, view);
  const frame = frameOf(box, from);
  const at = (p: Point): Point<'scene'> => apply(frame, p);
  const rings = (polygons: readonly Polygon<'folded'>[]): Polygon<'scene'>[] => polygons.map((ring) => ring.map(at));
  const toScene = compose(frame, viewMap(view));
  const given = on.given ?? NONE;
  const seen = new Map(visibleFrom(stack, from, view).map((one) => [one.panel as string, one]));
  const nearest = from === 'above' ? [...stack.layers].reverse() : stack.layers;
  const faces = nearest.map(({ piece, panel, map, up, polygon }, depth): Face => {
    const shown = seen.get(panel);
    const carried = compose(toScene, map);
    const own = applyAll<'sheet'>(invert(map), polygon);
    return {
      id: panel,
      piece,
      panel,
      side: from === 'above' ? up : up === 'inside' ? 'outside' : 'inside',
      stuff: stuffOf(piece, given),
      own: [own],
      map: carried,
      rings: shown ? shown.region.map((ring) => applyAll<'scene'>(toScene, ring)) : [],
      depth,
      light: 1,
      lines: shown
        ? foldLines(foldsOf(panel, own, stack.hinges), carried)
        : [{ kind: 'hidden', points: polygon.map((p) => apply(toScene, p)) }],
    };
  });
  const outlying = (name: string, seat: Seat, title?: string): Face => {
    const ring = seatRing(seat);
    return {
      ...sheetFace('contents', [ring.map(({ x, y }) => ({ x, y }))], []),
      id: name,
      stuff: 'contents',
      ...(title !== undefined && { title }),
      map: frame,
      rings: rings([ring]),
      depth: stack.layers.length,
    };
  };
  const { contents } = on;
  const over = contents && on.out ? Math.max(0, box.minY - contents.y) : 0;
  const upward = [...seen.values()].reverse().flatMap((one): SceneMark[] => {
    const quarters = on.upward?.(one) ?? null;
    if (quarters === null) return [];
    const { minX, maxX, minY, maxY } = boxOf(one.region.flat().map((p) => apply(toScene, p)));
    return [
      { kind: 'upward', at: { x: (minX + maxX) / 2, y: (minY + maxY) / 2 }, turn: one.turn + 180 - 90 * quarters },
    ];
  });
  const area = (of: AreaKind, polygons: readonly Polygon<'folded'>[] | undefined): SceneMark[] =>
    polygons && polygons.length > 0 ? [{ kind: 'area', of, rings: rings(polygons) }] : [];
  const each = (of: AreaKind, polygons: readonly Polygon<'folded'>[] = []): SceneMark[] =>
    polygons.map((ring) => ({ kind: 'area', of, rings: rings([ring]) }));
  return {
    kind: 'pile',
    name: '',
    box: { minX: 0, maxX: box.maxX - box.minX, minY: 0, maxY: box.maxY - box.minY },
    faces: [
      ...(on.cards ?? []).map((card, i) => outlying(`card ${i + 1}`, card, card.name)),
      ...(contents && over > 0 ? [outlying('contents', { ...contents, height: over })] : []),
      ...faces.reverse(),
    ],
    marks: [
      ...upward,
      ...area('no-glue', on.dry),
      ...area('glue', on.glue),
      ...(on.laid ?? []).map(({ name: id, polygon }): SceneMark => ({
        kind: 'area',
        of: 'laid',
        id,
        rings: rings([polygon]),
      })),
      ...(on.closure?.line
        ? [{ kind: 'cord' as const, from: at(on.closure.line[0]), to: at(on.closure.line[1]) }]
        : []),
      ...(on.closure?.discs ?? []).map((disc): SceneMark => ({
        kind: 'disc',
        at: at(disc.at),
        diameter: disc.diameter,
        cut: disc.cut,
      })),
      ...area('window', on.window),
      ...each('insert', on.insert ? [seatRing(on.insert)] : []),
      ...each('contents', contents ? [seatRing(contents)] : []),
      ...each('going-in', on.goingIn ? [seatRing(on.goingIn)] : []),
      ...(on.scars ?? []).map((p): SceneMark => ({ kind: 'scar', at: at(p) })),
    ],
    anchors: [],
    frame,
  };
}

const NONE: ReadonlySet<string> = new Set();
