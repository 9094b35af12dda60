/** Layers: what is laid on a face of the finished thing, or into its room, each read off the folded shape. */
import { type PanelId, LEAST, drawPiece, rect, type Hole, type Piece } from '../pattern';
import { alongContents } from '../fit';
import { visibleFrom, type Side } from '../fold';
import {
  anticlockwise,
  apply,
  area as areaOf,
  boxOf,
  compose,
  direction,
  fromSegment,
  invert,
  leftPart,
  regionArea,
  rotation,
  sideOf,
  TOLERANCE,
  translation,
  type Affine,
  type Point,
  type Polygon,
} from '../geometry';
import { mm, near, roundTo, type Mm } from '../length';
import { type Design, usualReveal, type LayerPlace } from '../design';
import { plainFace } from './plain-face';
import { offTheReel } from './reel';
import type { LaidOn, PlannedLayer, Made, MadePiece } from './made';
import { pieceOf, viewOf } from './thing';

/** What layers are sized from. */
type Sized = Pick<Made, 'inside' | 'finished' | 'built' | 'folded'> & {
  readonly pieces: readonly Pick<MadePiece, 'piece'>[];
};

/** A place to lie on: its shape as the layer's own flat sheet sees it, and how it gets from there onto the panel. */
interface Seat {
  readonly upon: string | null;
  readonly shape: Polygon<'sheet'>;
  readonly onto: { readonly panel: PanelId; readonly side: Side; readonly map: (p: Point) => Point<'sheet'> } | null;
  readonly face: PlannedLayer['face'];
  readonly holes: readonly Hole[];
}

/** Ribbon to hold beyond what goes round an insert, mm. Common practice, no source. */
const TO_HOLD = 60;

const NAMES: Record<LayerPlace, string> = {
  front: 'mat',
  back: 'mat for the back',
  flap: 'mat for the flap',
  inside: 'insert',
  sheet: 'template for the holes',
};
const ORDINALS = ['', 'second ', 'third ', 'fourth ', 'fifth ', 'sixth '];

/**
 * The layers of a design, sized from what was folded: the first on a face is as large as its plain part allows, each next
 * one smaller by its own border. Those nothing is left of are not among them.
 */
export function layersOf(
  made: Sized,
  {
    layers,
    graduation,
    usual,
    paper,
    measured,
  }: Pick<Design, 'layers' | 'graduation' | 'usual' | 'paper' | 'measured'>,
): PlannedLayer[] {
  const out: PlannedLayer[] = [];
  const taken = new Set(made.built.pieces.map(({ name }) => name));
  const named = (on: LayerPlace): string => {
    const base = on === 'inside' && made.folded.standing ? 'liner' : NAMES[on];
    const name =
      ORDINALS.map((ordinal) => `${ordinal}${base}`).find((one) => !taken.has(one)) ?? `${base} ${taken.size}`;
    taken.add(name);
    return name;
  };
  const seats = new Map<LayerPlace, Seat | null>();
  layers.forEach(({ on, reveal: told, paper: own, pull }, index) => {
    const seat = seats.has(on) ? seats.get(on)! : asItCame(firstSeat(made, on), on, made, measured);
    const reveal = told ?? usualReveal(on, usual);
    // Two that would lie across each other: the second has no room.
    const crosses = seat?.upon === null && out.some(({ laid }) => laid && liesOnSame(laid, seat));
    const shape = seat && !crosses ? inset(seat.shape, reveal, graduation) : null;
    seats.set(on, null);
    if (!seat || !shape) return;
    const name = named(on);
    const { onto } = seat;
    out.push({
      index,
      on,
      upon: seat.upon,
      reveal,
      piece: pieceFrom(name, shape.polygon, seat.holes),
      paper: own ?? paper,
      ribbon:
        pull && on === 'inside'
          ? offTheReel(Math.ceil(2 * alongContents(made.built.cavities[0], made.inside).height + TO_HOLD), graduation)
          : mm(0),
      face: seat.face,
      laid: onto && {
        name,
        panel: onto.panel,
        side: onto.side,
        polygon: shape.polygon.map((p) => onto.map(apply(shape.map, p))),
      },
    });
    const through = onto && { ...onto, map: (p: Point) => onto.map(apply(shape.map, p)) };
    seats.set(on, { ...seat, upon: name, shape: shape.polygon, onto: through, holes: [] });
  });
  return out;
}

const liesOnSame = ({ panel, side }: LaidOn, { onto }: Seat): boolean => panel === onto?.panel && side === onto.side;

/** Thickness that layers inside a room take of it, mm. */
export const takenInside = ({ layers, paper }: Pick<Design, 'layers' | 'paper'>): Mm =>
  mm(layers.reduce((sum, { on, paper: own }) => sum + (on === 'inside' ? (own ?? paper).caliper : 0), 0));

/** Thickness that layers add to what shows, mm. */
export const addedOutside = (layers: readonly PlannedLayer[]): Mm =>
  mm(layers.reduce((sum, { face, paper }) => sum + (face ? paper.caliper : 0), 0));

/** What the first layer of a place lies on; null where there is no such place. */
function firstSeat(made: Sized, on: LayerPlace): Seat | null {
  switch (on) {
    case 'front':
    case 'back': {
      const plain = plainFace(made, on);
      if (!plain) return null;
      const size = alongContents(made.built.cavities[0], { width: mm(plain.width), height: mm(plain.height) });
      const quarter = size.width !== plain.width;
      // From the layer's sheet, along the finished thing's own width and height, to off the middle of the plain part.
      const off = (p: Point): Point<'folded'> =>
        quarter
          ? { x: p.y - size.height / 2, y: size.width / 2 - p.x }
          : { x: p.x - size.width / 2, y: p.y - size.height / 2 };
      return {
        upon: null,
        shape: rect(0, 0, size.width, size.height),
        onto: { panel: plain.panel, side: plain.side, map: (p) => plain.onSheet(off(p)) },
        face: on,
        holes: [],
      };
    }
    case 'flap':
      return flapSeat(made);
    case 'inside': {
      const { width, height } = made.inside;
      return made.built.cavities.length > 0
        ? { upon: null, shape: rect(0, 0, width, height), onto: null, face: null, holes: [] }
        : null;
    }
    case 'sheet': {
      const holed = made.pieces.find(({ piece }) => piece.holes.length > 0)?.piece;
      if (!holed) return null;
      const { width, height } = holed.blank;
      return { upon: null, shape: rect(0, 0, width, height), onto: null, face: null, holes: holed.holes };
    }
  }
}

/** A seat on a face, or in the room, of a thing that came out larger or smaller than planned: as much larger or smaller itself. */
function asItCame(seat: Seat | null, on: LayerPlace, made: Sized, measured: Design['measured']): Seat | null {
  if (!seat || !measured || on === 'flap' || on === 'sheet') return seat;
  const box = boxOf(seat.shape);
  const side = (of: 'width' | 'height', was: number): Mm => mm(Math.max(0, was + measured[of] - made.finished[of]));
  const { onto } = seat;
  const [width, height] = [side('width', box.maxX), side('height', box.maxY)];
  // Where it lies it stays in the middle.
  const moved = onto && {
    ...onto,
    map: (p: Point): Point<'sheet'> => onto.map({ x: p.x + (box.maxX - width) / 2, y: p.y + (box.maxY - height) / 2 }),
  };
  return { ...seat, shape: rect(0, 0, width, height), onto: moved };
}

/** The flap that closes, as it shows, its fold along the near edge of the layer's sheet. */
function flapSeat({ built, folded }: Sized): Seat | null {
  const step = folded.stages.find((stage) => stage.step.closes)?.step;
  if (step?.kind !== 'fold' || folded.standing) return null;
  const hinges = built.pieces.flatMap((piece) => piece.hinges);
  const hinge = hinges.find(({ id }) => id === step.hinges[0])!;
  const moving = folded.stages.find((stage) => stage.step === step)!.moving;
  const id = hinge.between.find((panel) => moving.includes(panel))!;
  const piece = pieceOf(built, id);
  // Nothing lies over it once all is closed.
  const whole = areaOf(piece.panels.find((panel) => panel.id === id)!.polygon);
  const seen = (['below', 'above'] as const).flatMap((from) =>
    visibleFrom(folded.finished, from, viewOf(built, folded.finished))
      .filter(({ panel, region }) => panel === id && regionArea(region) > whole - TOLERANCE.seen)
      .map(({ side }) => ({ side, from })),
  )[0];
  const polygon = anticlockwise(piece.panels.find((panel) => panel.id === id)!.polygon);
  // Laid with its fold along the near edge, its shape to the left of it.
  const rim = polygon.map((from, i) => ({ from, to: polygon[(i + 1) % polygon.length]! }));
  const fold = rim.find(({ from, to }) => [from, to].every((p) => fromSegment(hinge.line, p) < TOLERANCE.drawn));
  const bent = rim.some(({ from, to }, i) => sideOf({ from, to }, rim[(i + 1) % rim.length]!.to) < -TOLERANCE.length);
  if (!seen || !fold || bent || piece.holes.some(({ panel }) => panel === id)) return null;
  const along = direction(fold.from, fold.to);
  const level = compose(rotation(-Math.atan2(along.y, along.x)), translation(-fold.from.x, -fold.from.y));
  const back = invert(level);
  return {
    upon: null,
    shape: polygon.map((p) => apply<'sheet'>(level, p)),
    onto: { panel: id, side: seen.side, map: (p) => apply<'sheet'>(back, p) },
    face: (seen.from === 'below') === (built.front === 'below') ? 'front' : 'back',
    holes: [],
  };
}

/**
 * A convex shape smaller by a border all round, from its own lower left corner; its sides down to a mark where it is a
 * rectangle, so that the border is never narrower than asked. And the map back onto what it lies on. Null where nothing
 * that can be cut is left.
 */
function inset(
  shape: Polygon<'sheet'>,
  by: number,
  graduation: Design['graduation'],
): { readonly polygon: Polygon<'sheet'>; readonly map: Affine } | null {
  const box = boxOf(shape);
  const isRect =
    shape.length === 4 && shape.every(({ x, y }) => isAt(x, box.minX, box.maxX) && isAt(y, box.minY, box.maxY));
  if (isRect) {
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
    const size = [width, height].map((side) => roundTo(mm(Math.max(0, side - 2 * by)), graduation, 'down'));
    const [w, h] = size as [Mm, Mm];
    return Math.min(w, h) < LEAST.folded.fails
      ? null
      : { polygon: rect(0, 0, w, h), map: translation(box.minX + (width - w) / 2, box.minY + (height - h) / 2) };
  }
  const smaller = shape.reduce<Polygon<'sheet'>>((left, p, i) => {
    const q = shape[(i + 1) % shape.length]!;
    const along = direction(p, q);
    const shift = (r: Point<'sheet'>): Point<'sheet'> => ({ x: r.x - along.y * by, y: r.y + along.x * by });
    return left.length < 3 ? [] : leftPart(left, { from: shift(p), to: shift(q) }, 1e-9);
  }, shape);
  if (smaller.length < 3) return null;
  const { minX, minY, maxX, maxY } = boxOf(smaller);
  return Math.min(maxX - minX, maxY - minY) < LEAST.folded.fails
    ? null
    : { polygon: smaller.map(({ x, y }) => ({ x: x - minX, y: y - minY })), map: translation(minX, minY) };
}

const isAt = (value: number, a: number, b: number): boolean =>
  near(value, a, TOLERANCE.length) || near(value, b, TOLERANCE.length);

/** A layer as a piece that is cut and punched like any other. */
function pieceFrom(name: string, polygon: Polygon<'sheet'>, holes: readonly Hole[]): Piece {
  const { maxX, maxY } = boxOf(polygon);
  const id = name.replaceAll(' ', '-');
  const piece = drawPiece({
    name,
    blank: { width: mm(maxX), height: mm(maxY) },
    panels: [{ id, name, polygon }],
    folds: [],
  });
  return {
    ...piece,
    holes: holes.map(({ centre, diameter }, i) => ({ id: `hole-${i + 1}`, panel: id, centre, diameter })),
  };
}
