import {
  area,
  direction,
  distance,
  leftPart,
  sideOf,
  type Point,
  type Polygon,
  type Segment,
  TOLERANCE,
} from '../../geometry';
import { inches, mm, roundTo, stepOf, type Mm } from '../../length';
import {
  drawable,
  notchTriangle,
  onEdge,
  Undrawable,
  type Edge,
  type Hinge,
  type Notch,
  type Panel,
  type Piece,
  type Trim,
  isSquare,
  LEAST,
} from '../../pattern';
import type { AssemblyFold } from '../../fold';
import { fold } from '../shared/building';
import type { Claim } from '../claims';
import {
  PLAIN,
  type Brief,
  type BuildResult,
  type Ease,
  type Grip,
  type Refusal,
  type Start,
} from '../shared/construction';
import { roundFree } from '../shared/corners';
import { bestCandidate, marksRound, wantedEase, type Candidate } from '../shared/rounding';

/** What the square envelopes share of their options. */
export interface SquareOptions {
  readonly setting?: Mm | undefined;
}

/** How the flaps of a square envelope are cut and closed. */
export interface FlapStyle {
  readonly opening: 'long' | 'short';
  readonly tip: 'point' | 'blunt' | 'folded';
  readonly tipDepth: Mm;
  readonly corner: Mm;
  /** Depth the flaps on the long sides are cut back to, from the length of the short side; null leaves them whole. */
  readonly longDepth: ((shortSide: number) => number) | null;
  /** `trim`: cut back so that they clear the far fold; `lap`: so that one is glued on the other. */
  readonly longFlaps: 'trim' | 'lap';
  /** How far blunt flaps on the short sides reach past where the long ones cross; null leaves them whole. */
  readonly blunt: number | null;
}

/** A trimmed flap stops this far inside the fold it reaches for, mm. Common practice 1/16 in. */
export const TRIM_CLEARANCE = inches(1 / 16);

/** The four numbers that fix the pattern: side of the blank, true setting, notch; `a` and `b` follow. */
export interface SquareLayout {
  readonly side: Mm;
  readonly setting: Mm;
  readonly notch: Mm;
  readonly start: Start;
}

/**
 * Envelope from one square sheet by four diagonal folds and four notches. With setting `p`, notch `n` and side
 * `L`: `a = p − n/2`, `b = L − p − n/2`; the folds `x − y = ±a` and `x + y = L ± b` enclose `√2·a × √2·b` and
 * their corners are the notch tips (derivation: intersect the lines). Checked by folding, never by this.
 */
export function squareEnvelope(brief: Brief<SquareOptions>, style: FlapStyle): BuildResult {
  const layout = squareLayout(brief);
  return 'code' in layout ? { ok: false, refusal: layout } : draw(layout, brief, style);
}

/** The square and its setting: for the contents, or for the sheet there is. */
export function squareLayout(brief: Brief<SquareOptions>): SquareLayout | Refusal {
  const layout = brief.blank ? fromPaper(brief) : fromContents(brief);
  return 'code' in layout ? layout : { ...layout, side: tidy(layout.side), setting: tidy(layout.setting) };
}

/** Takes rounding noise off a sum of marks: to a nanometre. */
const tidy = (length: Mm): Mm => mm(Math.round(length * 1e6) / 1e6);

/** Paper first: the sheet as given, set where told, where its contents sit best, or at half its side. */
function fromPaper(brief: Brief<SquareOptions>): SquareLayout | Refusal {
  const { blank, making, options } = brief;
  const { width, height } = blank!;
  if (!isSquare({ width, height }))
    return { code: 'blank-not-square', value: mm(Math.max(width, height)), limit: mm(Math.min(width, height)) };
  const { notch } = making;
  if (width <= 2 * notch) return { code: 'notch-off-sheet', value: width, limit: mm(2 * notch) };
  const setting = mm((options.setting ?? settingFor(brief, width)) + making.offset);
  // A setting just there leaves a fold of no length.
  const low = setting <= notch / 2 + TOLERANCE.length;
  if (low || setting >= width - notch / 2 - TOLERANCE.length)
    return {
      code: 'setting-off-sheet',
      value: options.setting ?? setting,
      limit: low ? mm(notch / 2 - making.offset) : mm(width - notch / 2 - making.offset),
    };
  return { side: width, setting, notch, start: reading(making, setting, mm(width - setting)) };
}

/**
 * What the board's ruler reads on a given square: where the contents have their room most evenly on both sides, on the
 * marks; half its side where nothing goes in.
 */
function settingFor({ contents, aim, least, making }: Brief<SquareOptions>, side: number): number {
  if (!contents) return side / 2;
  const { graduation, notch, offset } = making;
  const [w, h] = [contents.width + contents.thickness, contents.height + contents.thickness];
  const [aimed, other] = [Math.max(aim.width, least.width), Math.max(aim.height, least.height)];
  // √2·a − w − aim = √2·b − h − aim', with a + b = L − n.
  const a = ((side - notch) * Math.SQRT2 + w + aimed - h - other) / (2 * Math.SQRT2);
  const within = Math.min(Math.max(a, TRIM_CLEARANCE), side - notch - TRIM_CLEARANCE);
  const ideal = within + notch / 2 - offset;
  const off = (reading: number): number => Math.abs(reading - ideal);
  const [first, ...more] = marksRound(ideal, graduation).filter(
    (reading) => reading + offset > notch / 2 && reading + offset < side - notch / 2,
  );
  return first === undefined ? side / 2 : more.reduce((best, one) => (off(one) < off(best) ? one : best), first);
}

/** Which edge's setting the board's ruler can show; measured on the sheet when it shows neither. */
function reading({ rulerEnd, offset }: Brief['making'], p: Mm, q: Mm): Start {
  const shows = (position: number): boolean =>
    rulerEnd !== null && position - offset <= rulerEnd + TOLERANCE.length && position - offset > 0;
  if (shows(p)) return { edge: 1, reference: 'board' };
  if (shows(q)) return { edge: 2, reference: 'board' };
  return { edge: p <= q ? 1 : 2, reference: 'ruler' };
}

/** Contents first: the blank and setting on the graduation that come nearest the ease aimed for. */
function fromContents({ contents, aim, least, making }: Brief<SquareOptions>): SquareLayout | Refusal {
  const { graduation, notch, offset } = making;
  const need = { width: contents!.width + contents!.thickness, height: contents!.height + contents!.thickness };
  const easeOf = (a: number, b: number): Ease => ({
    width: mm(Math.SQRT2 * a - need.width),
    height: mm(Math.SQRT2 * b - need.height),
  });
  const wanted = wantedEase(aim, least);
  const [a, b] = [(need.width + wanted.width) / Math.SQRT2, (need.height + wanted.height) / Math.SQRT2];
  const [p, q] = [a + notch / 2, b + notch / 2];

  if (making.rulerEnd === null) {
    const pick = bestCandidate(
      pairs(marksRound(a, graduation), marksRound(b, graduation), (first, second) => ({
        ease: easeOf(first, second),
        sheet: first + second + notch,
      })),
      aim,
      least,
    )!;
    return {
      side: mm(pick.sheet),
      setting: mm(pick.first + notch / 2),
      notch,
      start: { edge: pick.first <= pick.second ? 1 : 2, reference: 'ruler' },
    };
  }
  const onBoard = (edge: 1 | 2, shift: number): SquareLayout => {
    const [ideal, other] = edge === 1 ? [p, q] : [q, p];
    const pick = bestCandidate(
      pairs(marksRound(ideal, graduation, shift), marksRound(ideal + other, graduation), (first, sheet) => {
        const [here, there] = edge === 1 ? [first, sheet - first] : [sheet - first, first];
        return { ease: easeOf(here - notch / 2, there - notch / 2), sheet };
      }),
      aim,
      least,
    )!;
    const setting = edge === 1 ? pick.first : pick.second - pick.first;
    return { side: mm(pick.second), setting: mm(setting), notch, start: { edge, reference: 'board' } };
  };
  for (const edge of [1, 2] as const) {
    const layout = onBoard(edge, offset);
    const start = reading(making, layout.setting, mm(layout.side - layout.setting));
    if (start.edge === edge && start.reference === 'board') return layout;
  }
  const measured = onBoard(p <= q ? 1 : 2, 0);
  return { ...measured, start: { ...measured.start, reference: 'ruler' } };
}

function* pairs(
  firsts: readonly number[],
  seconds: readonly number[],
  of: (first: number, second: number) => Pick<Candidate, 'ease' | 'sheet'>,
): Generator<Candidate> {
  for (const first of firsts) for (const second of seconds) yield { first, second, ...of(first, second) };
}

/** Draws panels, notches and hinges for a layout, and says how it is folded. */
function draw(layout: SquareLayout, brief: Brief<SquareOptions>, style: FlapStyle): BuildResult {
  const square = squareOf(layout.side, layout.setting, layout.notch);
  const ring = inTurn(square, style.opening);
  const sheet = drawSheet({ name: 'envelope', body: 'body', prefix: '', of: '' }, square, ring, style, brief.making);
  if ('code' in sheet) return { ok: false, refusal: sheet };
  const { piece } = sheet;
  const tip = piece.panels.some(({ id }) => id === 'tip');
  const [closing] = ring.get('closing')!;
  return {
    ok: true,
    built: {
      ...PLAIN,
      pieces: [piece],
      assembly: [...(tip ? [FOLD_TIP] : []), ...(style.longFlaps === 'lap' ? LAPPED : FOLDS)],
      cavities: [
        {
          id: 'envelope',
          kind: 'closed',
          floor: 'body',
          roof: ['side-1', 'side-2', 'bottom'],
          mouth: square.fold(closing),
          insertAfter: 'fold-bottom',
          acrossMouth: closing % 2 === 0 ? 'height' : 'width',
          covered: { floor: 1, roof: 1 },
        },
      ],
      start: layout.start,
      claims: style.longFlaps === 'lap' ? LAPPED_CLAIMS : CLAIMS,
      grips: gripsFor(piece.hinges, square.notches[0]!.at, layout.side, brief),
    },
  };
}

/** What a sheet and its parts are called; where there are several, each has names of its own. */
interface SheetNames {
  readonly name: string;
  readonly body: string;
  /** Before the id of each of its panels. */
  readonly prefix: string;
  /** After what a maker calls each of its flaps. */
  readonly of: string;
}

/**
 * One square sheet with four flaps about a body: which flap stands on which fold, in the order they are folded. What
 * closes is cut as the style says; others are left whole unless it says otherwise.
 */
export function drawSheet(
  { name, body, prefix, of }: SheetNames,
  square: Square,
  ring: ReadonlyMap<string, readonly [k: number, name: string]>,
  style: FlapStyle,
  making: Brief['making'],
): { readonly piece: Piece } | Refusal {
  const drawn: Drawn = { panels: [], hinges: [], trims: [] };
  for (const [flap, [k, called]] of ring) {
    const refusal = drawFlap({ square, flap, called: `${called}${of}`, prefix, k, style, making }, drawn);
    if (refusal) return refusal;
  }
  const tip = drawn.panels.find(({ id }) => id === `${prefix}tip`);
  const order = ['tip', ...ring.keys()].map((id) => `s-${prefix}${id}`);
  return {
    piece: {
      name,
      quantity: 1,
      source: 'made',
      blank: square.blank,
      panels: [
        { id: `${prefix}body`, name: body, polygon: square.tips },
        ...drawn.panels.filter((panel) => panel !== tip),
        ...(tip ? [tip] : []),
      ].map(drawable),
      hinges: [...drawn.hinges]
        .sort((x, y) => order.indexOf(x.id) - order.indexOf(y.id))
        .map((hinge, i): Hinge => ({ ...hinge, order: i + 1 })),
      notches: square.notches,
      trims: drawn.trims,
      holes: [],
      slits: [],
    },
  };
}

/** The sheet with its four notches. Flap k stands on the fold between the tips of notches k and k + 1. */
export interface Square {
  readonly side: Mm;
  readonly blank: { readonly width: Mm; readonly height: Mm };
  readonly notches: readonly Notch[];
  readonly tips: Polygon<'sheet'>;
  /** The corner of the sheet in flap k. */
  readonly corner: Polygon<'sheet'>;
  readonly fold: (k: number) => Segment<'sheet'>;
  readonly foldLength: (k: number) => number;
  /** Flap k, whole. */
  readonly house: (k: number) => Polygon<'sheet'>;
}

/** The sheet of a layout. */
export function squareOf(side: Mm, setting: Mm, notch: Mm): Square {
  const blank = { width: side, height: side };
  const notches = EDGES.map((edge): Notch => ({
    id: `n${edge}`,
    edge,
    at: edge % 2 === 1 ? setting : mm(side - setting),
    length: notch,
  }));
  const cut = notches.map((n) => notchTriangle(blank, n));
  const tips = cut.map(([, tip]) => tip);
  const corner = EDGES.map((edge) => onEdge(blank, edge, side));
  const next = (k: number): number => (k + 1) % 4;
  const fold = (k: number): Segment<'sheet'> => ({ from: tips[k]!, to: tips[next(k)]! });
  return {
    side,
    blank,
    notches,
    tips,
    corner,
    fold,
    foldLength: (k) => distance(tips[k]!, tips[next(k)]!),
    house: (k) => [tips[k]!, cut[k]![2], corner[k]!, cut[next(k)]![0], tips[next(k)]!],
  };
}

const EDGES = [1, 2, 3, 4] as const satisfies readonly Edge[];
type FlapId = 'side-1' | 'side-2' | 'bottom' | 'closing';

/** True when the flaps on folds 0 and 2, along the contents' height, stand on the long sides. */
const evenAreLong = ({ foldLength }: Square): boolean => foldLength(0) >= foldLength(1) - 1e-9;

/** Which flap stands on which fold, in the order they are folded. */
function inTurn(square: Square, opening: FlapStyle['opening']) {
  const closesEven = (opening === 'long') === evenAreLong(square);
  const [bottom, closing, side1, side2] = closesEven ? [0, 2, 1, 3] : [1, 3, 0, 2];
  return new Map<FlapId, readonly [number, string]>([
    ['side-1', [side1, 'first side flap']],
    ['side-2', [side2, 'second side flap']],
    ['bottom', [bottom, 'bottom flap']],
    ['closing', [closing, 'closing flap']],
  ]);
}

/** What the flaps come to, as they are drawn. */
interface Drawn {
  readonly panels: Panel[];
  readonly hinges: Hinge[];
  readonly trims: Trim[];
}

interface Flap {
  readonly square: Square;
  readonly flap: string;
  /** What a maker calls it. */
  readonly called: string;
  /** Before the ids of this sheet. */
  readonly prefix: string;
  /** The fold it stands on. */
  readonly k: number;
  readonly style: FlapStyle;
  readonly making: Brief['making'];
}

/** Draws a flap: cut back where it is long, its tip cut off, folded or rounded where it closes. */
function drawFlap(
  { square, flap, called, prefix, k, style, making }: Flap,
  { panels, hinges, trims }: Drawn,
): Refusal | null {
  const fold = square.fold(k);
  const cornerDepth = -sideOf(fold, square.corner[k]!);
  const id = `${prefix}${flap}`;
  const closes = flap === 'closing';
  // A rounded tip stops short by itself; only what stands out past that is cut off straight.
  const eased = closes && style.tip === 'point' ? style.corner * (Math.SQRT2 - 1) : 0;
  /** The flap with so much of its depth cut off, mm. */
  const straighten = (shape: Polygon<'sheet'>, off: number, name: string): Polygon<'sheet'> => {
    if (off <= eased + TOLERANCE.length) return shape;
    const line = parallel(fold, cornerDepth - off);
    const trim = trimmed(shape, line, square.side, id, name);
    if (trim) trims.push(trim);
    return cutBack(shape, line);
  };
  let shape = square.house(k);
  if (style.longDepth && (k % 2 === 0) === evenAreLong(square)) {
    const reach = style.longDepth(square.foldLength((k + 1) % 4));
    // Cut on a mark: so that it clears, or so that no less is left to glue than was asked.
    const way = style.longFlaps === 'trim' ? 'up' : 'down';
    shape = straighten(shape, measurable(cornerDepth - reach, way, making), `end of the ${called}`);
  }
  // The long flaps' slopes cross √2·n short of the tip of the flaps on the short sides.
  const past = style.blunt === null ? 0 : Math.SQRT2 * square.notches[0]!.length - style.blunt;
  if (past > LEAST.folded.fails && (flap === 'bottom' || closes))
    shape = straighten(shape, measurable(past, 'down', making), `tip of the ${called}`);
  const pointed = shape.length === 5;
  if (closes && style.tip !== 'point' && pointed) {
    const most = square.foldLength(k) / 2;
    const depth = measurable(style.tipDepth, 'nearest', making);
    if (depth > most - TOLERANCE.length || depth <= 0)
      return { code: 'tip-too-deep', value: style.tipDepth, limit: mm(most) };
    const line = parallel(fold, cornerDepth - depth);
    if (style.tip === 'folded') {
      panels.push({ id: `${prefix}tip`, name: 'tip', polygon: cutBack(shape, reversed(line)) });
      shape = cutBack(shape, line);
      hinges.push(valley(`s-${prefix}tip`, [id, `${prefix}tip`], onRim(shape, line, called)));
    } else shape = straighten(shape, depth, `tip of the ${called}`);
  }
  if (closes && style.corner > 0 && !(style.tip === 'folded' && pointed)) {
    const rounded = roundFree(shape, fold, style.corner, `${prefix}round`, called);
    if ('limit' in rounded) return { code: 'corner-too-round', value: style.corner, limit: rounded.limit };
    trims.push(...rounded.trims);
    shape = rounded.polygon;
  }
  panels.push({ id, name: called, polygon: shape });
  hinges.push(valley(`s-${id}`, [`${prefix}body`, id], fold));
  return null;
}

/** What comes off a flap beyond a line, and the cut that takes it off; null where that is nothing. */
function trimmed(
  shape: Polygon<'sheet'>,
  line: Segment<'sheet'>,
  side: number,
  flap: string,
  name: string,
): Trim | null {
  const off = cutBack(shape, reversed(line));
  if (off.length <= 2 || area(off) <= TOLERANCE.length) return null;
  const path = wasteRight(toRim(onRim(off, line, name), side), off);
  return { id: `trim-${flap}`, name, polygon: off, cut: { kind: 'path', path } };
}

/** A hinge that folds flat; when, is told once all are known. */
const valley = (id: string, between: Hinge['between'], line: Segment<'sheet'>): Hinge => ({
  id,
  between,
  line,
  fold: 'valley',
  angle: 180,
  order: 0,
});

const FOLD_TIP = fold('fold-tip', 'Fold the tip of the closing flap back', ['s-tip'], { gluedTo: ['closing'] });
const FOLDS: readonly AssemblyFold[] = [
  fold('fold-side-1', 'Fold the first side flap over', ['s-side-1']),
  fold('fold-side-2', 'Fold the second side flap over', ['s-side-2']),
  fold('fold-bottom', 'Fold the bottom flap up onto the side flaps', ['s-bottom'], { gluedTo: ['side-1', 'side-2'] }),
  fold('close', 'Fold the closing flap down', ['s-closing'], {
    gluedTo: ['side-1', 'side-2', 'bottom'],
    closes: true,
  }),
];
/** The same, the second side flap glued on the first. */
const LAPPED = FOLDS.map((step) => (step.id === 'fold-side-2' ? { ...step, gluedTo: ['side-1'] } : step));
const CLAIMS: readonly Claim[] = [
  {
    kind: 'laps',
    pairs: [
      ['bottom', 'side-1'],
      ['bottom', 'side-2'],
      ['closing', 'side-1'],
      ['closing', 'side-2'],
    ],
  },
  {
    kind: 'facing',
    pairs: [
      ['side-1', 'side-2'],
      ['bottom', 'closing'],
    ],
  },
];
/** What holds it then: one side flap on the other, and the bottom on both. */
const LAPPED_CLAIMS = CLAIMS.map((claim): Claim =>
  claim.kind === 'laps'
    ? {
        kind: 'laps',
        pairs: [
          ['side-2', 'side-1'],
          ['bottom', 'side-1'],
          ['bottom', 'side-2'],
        ],
      }
    : claim,
);

/**
 * A pair of folds stands `W/2` from the middle, so a fold pulled out by `outward` widens the inside by twice that;
 * on a given sheet it moves the setting by `√2·outward`, towards the far end for the folds that bound the width.
 */
export function gripsFor(
  hinges: readonly Hinge[],
  at: Mm,
  side: Mm,
  { blank, making: { graduation, notch, offset } }: Brief<SquareOptions>,
): Grip[] {
  const step = stepOf(graduation) || 1;
  return hinges
    .filter((hinge) => hinge.between[0] === 'body')
    .map(({ id, line }): Grip => {
      const along = direction(line.from, line.to);
      const bounds = along.x * along.y > 0 ? 'width' : 'height';
      const grip = { hinge: id, along: { x: along.y, y: -along.x }, label: 'move the fold' };
      if (!blank) return { ...grip, does: { kind: 'room', side: bounds, rate: 2 } };
      return {
        ...grip,
        does: {
          kind: 'option',
          option: 'setting',
          from: mm(at - offset),
          rate: (bounds === 'width' ? 1 : -1) * Math.SQRT2,
          least: mm(notch / 2 + step - offset),
          most: mm(side - notch / 2 - step - offset),
        },
      };
    });
}

/** A line carried to the rim of a square: a cut that starts in a notch runs across what is gone already. */
function toRim(line: Segment<'sheet'>, side: number): Segment<'sheet'> {
  const { x: dx, y: dy } = direction(line.from, line.to);
  const reach = (ux: number, uy: number): Point<'sheet'> => {
    const { x, y } = line.from;
    const t = Math.min(
      ux > 0 ? (side - x) / ux : ux < 0 ? -x / ux : Infinity,
      uy > 0 ? (side - y) / uy : uy < 0 ? -y / uy : Infinity,
    );
    return { x: x + ux * t, y: y + uy * t };
  };
  return { from: reach(-dx, -dy), to: reach(dx, dy) };
}

/** The line of a cut with the waste on its right. */
const wasteRight = (line: Segment<'sheet'>, off: Polygon<'sheet'>): Polygon<'sheet'> =>
  off.some((p) => sideOf(line, p) > TOLERANCE.length) ? [line.to, line.from] : [line.from, line.to];

/** The line `depth` mm outside a fold (on its right), drawn alike. */
function parallel(fold: Segment<'sheet'>, depth: number): Segment<'sheet'> {
  const along = direction(fold.from, fold.to);
  const move = (p: Point<'sheet'>): Point<'sheet'> => ({ x: p.x + along.y * depth, y: p.y - along.x * depth });
  return { from: move(fold.from), to: move(fold.to) };
}

const reversed = (line: Segment<'sheet'>): Segment<'sheet'> => ({ from: line.to, to: line.from });

/** A depth from a sheet's corner towards its middle whose line meets the edges on marks, so that it can be measured. */
const measurable = (depth: number, way: 'up' | 'down' | 'nearest', { graduation }: Brief['making']): number =>
  roundTo(mm(Math.max(depth, 0) * Math.SQRT2), graduation, way) / Math.SQRT2;

const cutBack = (polygon: Polygon<'sheet'>, line: Segment<'sheet'>): Polygon<'sheet'> => leftPart(polygon, line, 1e-9);

/** The stretch of a line that runs along a part's rim. Throws `Undrawable` when the part ends short of it. */
function onRim(polygon: Polygon<'sheet'>, line: Segment<'sheet'>, part: string): Segment<'sheet'> {
  const ends = polygon.filter((p) => Math.abs(sideOf(line, p)) < TOLERANCE.length);
  const [from, to] = [ends[0], ends.at(-1)];
  if (!from || !to || distance(from, to) < TOLERANCE.length) throw new Undrawable(part, mm(0));
  return { from, to };
}
