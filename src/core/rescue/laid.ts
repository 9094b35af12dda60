import type { Built } from '../constructions';
import { layerOf, layersAt } from '../fold';
import {
  apply,
  applyAll,
  area,
  boxesMeet,
  boxOf,
  centreOf,
  compose,
  contains,
  difference,
  direction,
  distance,
  dot,
  leastWidth,
  lengthInside,
  minus,
  plainRings,
  sharedRegion,
  sideOf,
  translation,
  type Affine,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import type { Blank, Piece } from '../pattern';
import { laidOnFaces, printMap, type Design, type Made } from '../plan';
import type { ScarredSheet, SheetMark } from './sheet';

/** Where a mark of the sheet ends up. */
export type Ends = 'fold' | 'hidden' | 'shows' | 'cut-off';
export interface Scar {
  readonly what: string;
  readonly ends: Ends;
  /** The panel it lies on, as its maker calls it; null for what is cut off. */
  readonly panel: string | null;
  /** It was wrong before, and is not only in the way of another pattern. */
  readonly wrong: boolean;
  /** Paper is gone, or cut through. */
  readonly open: boolean;
}

/** A pattern laid on a sheet as it is. */
export interface Laid {
  /** From the sheet to the pattern's own. */
  readonly lay: Affine;
  readonly scars: readonly Scar[];
  /** Where each scar that shows lies on a panel, on the pattern’s sheet. */
  readonly showing: readonly { readonly panel: string; readonly points: readonly Point<'sheet'>[] }[];
  /** Paper that panels lack there, by panel. */
  readonly bites: ReadonlyMap<string, readonly Polygon<'sheet'>[]>;
  /** Hinges that are scored already. */
  readonly scored: readonly string[];
  /** How ugly it is: what shows, what paper lacks, what lies hidden; the less the better. */
  readonly ugly: number;
}

/** How near a score lies to a fold that it is used as, mm: what hands are off anyway. */
const USED = 0.9;
/** Less of a mark on a panel is nothing, mm. */
const SPECK = 1;
/** Paper missing in a strip so narrow is an edge cut a little short, mm. */
const SLIVER = 0.4;

/** The eight ways a sheet can lie: turned by quarters, and turned over. */
function orientations({ width, height }: Blank): readonly { readonly turn: Affine; readonly size: Blank }[] {
  const turns: readonly (readonly [Affine, boolean])[] = [
    [[1, 0, 0, 1, 0, 0], false],
    [[-1, 0, 0, -1, width, height], false],
    [[0, 1, -1, 0, height, 0], true],
    [[0, -1, 1, 0, 0, width], true],
  ];
  return turns.flatMap(([turn, across]) => {
    const size = across ? { width: height, height: width } : { width, height };
    return [
      { turn, size },
      { turn: compose([-1, 0, 0, 1, size.width, 0], turn), size },
    ];
  });
}

/** So many places along a side are tried. */
const STARTS = 4;

/** Where along a sheet a pattern may begin: at either end, in the middle, and where a score comes to lie on a fold. */
function starts(room: number, scores: readonly number[], folds: readonly number[]): readonly number[] {
  const all = [0, room, room / 2, ...scores.flatMap((score) => folds.map((fold) => score - fold))];
  const [least, most] = [Math.min(0, room) - 1e-6, Math.max(0, room) + 1e-6];
  return [...new Set(all.filter((at) => at > least && at < most).map((at) => Math.round(at * 1e4) / 1e4))].slice(
    0,
    STARTS,
  );
}

/** Coordinates of straight lines that run along x, or along y. */
const along = (lines: readonly Segment<'sheet'>[], axis: 'x' | 'y'): number[] =>
  lines.filter(({ from, to }) => Math.abs(from[axis] - to[axis]) < 1e-3).map(({ from }) => from[axis]);

/** So much of a sheet may be missing at one side, mm: what flaps lack there is seen when it is folded. */
const LACKS = 32;

/** Every way a piece of the pattern can lie on the sheet, the least ugly first; none where it is far larger. */
export function waysToLie(made: Made, piece: Piece, sheet: ScarredSheet, sided: 1 | 2): readonly Laid[] {
  const folds = piece.hinges.map(({ line }) => line);
  const scores = sheet.marks.flatMap(({ kind, lines }) => (kind === 'score' ? lines : []));
  const seen = showsWhere(made);
  const lays = orientations(sheet.blank)
    // One-sided paper is not turned over.
    .filter((_, i) => sided === 2 || i % 2 === 0)
    .flatMap(({ turn, size }) => {
      const [over, high] = [size.width - piece.blank.width, size.height - piece.blank.height];
      if (over < -LACKS || high < -LACKS) return [];
      const turned = scores.map(({ from, to }) => ({ from: apply<'sheet'>(turn, from), to: apply<'sheet'>(turn, to) }));
      const xs = starts(over, along(turned, 'x'), along(folds, 'x'));
      const ys = starts(high, along(turned, 'y'), along(folds, 'y'));
      return xs.flatMap((x) => ys.map((y) => compose(translation(-x, -y), turn)));
    });
  return lays.map((lay) => laidSo(made, piece, sheet, lay, seen)).sort((a, b) => a.ugly - b.ugly);
}

const corners = ({ width, height }: Blank): readonly Point<'sheet'>[] => [
  { x: 0, y: 0 },
  { x: width, y: height },
];

type Seen = (panel: string, p: Point<'sheet'>) => boolean;

/** Whether a place of a panel can be seen on the finished thing, from either side. */
function showsWhere(made: Made): Seen {
  const { folded } = made;
  const covers = laidOnFaces(made);
  const covered = (panel: string, p: Point<'sheet'>): boolean =>
    covers.some((mat) => mat.panel === panel && contains(mat.polygon, p));
  if (folded.standing) {
    const shown = new Set(printMap(made, PLAIN).map(({ panel }) => panel));
    return (panel, p) => shown.has(panel) && !covered(panel, p);
  }
  const { finished } = folded;
  return (panel, p) => {
    const at = apply<'folded'>(layerOf(finished, panel).map, p);
    const pile = layersAt(finished, at);
    const end = pile[0]?.panel === panel || pile.at(-1)?.panel === panel;
    return end && !covered(panel, p);
  };
}
const PLAIN = {
  paper: { caliper: 0, sided: 2, directional: false, turn: 0 },
  papers: {},
  turns: {},
} as unknown as Design;

function laidSo(made: Made, piece: Piece, sheet: ScarredSheet, lay: Affine, seen: Seen): Laid {
  const paper = sheet.paper.map((ring) => applyAll<'sheet'>(lay, ring));
  const name = (id: string): string => piece.panels.find((panel) => panel.id === id)?.name ?? id;
  // Most panels lie clear of every rim and of all that is gone: these lack nothing.
  const rim = boxOf(corners(sheet.blank).map((p) => apply<'sheet'>(lay, p)));
  const lacking = sheet.gone.map((ring) => boxOf(ring.map((p) => apply<'sheet'>(lay, p))));
  const isWhole = (polygon: Polygon<'sheet'>): boolean => {
    const box = boxOf(polygon);
    const within =
      box.minX > rim.minX - SLIVER &&
      box.minY > rim.minY - SLIVER &&
      box.maxX < rim.maxX + SLIVER &&
      box.maxY < rim.maxY + SLIVER;
    return within && !lacking.some((other) => boxesMeet(box, other));
  };
  const bites = new Map(
    piece.panels.flatMap(({ id, polygon }) => {
      if (isWhole(polygon)) return [];
      const missing = plainRings(difference([polygon], paper)).filter(
        (ring) => leastWidth(ring) > SLIVER && area(ring) > SPECK,
      );
      return missing.length > 0 ? [[id, missing] as const] : [];
    }),
  );
  const scored = new Set<string>();
  const showing: { panel: string; points: readonly Point<'sheet'>[] }[] = [];
  let ugly = 0;
  const scars = sheet.marks.map((mark): Scar => {
    const open = mark.gone.length > 0 || mark.kind === 'slit' || mark.kind === 'cut';
    const found = [
      ...mark.lines.flatMap((line) => endsOfLine(piece, mapped(lay, line), mark.kind, scored, seen)),
      ...mark.gone.flatMap((ring) => endsOfGone(piece, applyAll<'sheet'>(lay, ring), bites, seen)),
    ];
    for (const one of found) {
      if (one.ends === 'shows') {
        showing.push({ panel: one.panel!, points: one.points });
        ugly += (open ? 4 : 1) * one.weight;
      } else if (one.ends === 'hidden') ugly += 0.05 * one.weight;
    }
    const worst = RANK.flatMap((ends) => found.filter((one) => one.ends === ends))[0];
    return {
      what: mark.what,
      ends: worst?.ends ?? 'cut-off',
      panel: worst?.panel ? name(worst.panel) : null,
      wrong: mark.wrong,
      open,
    };
  });
  // Folds that still have to be scored are work.
  ugly += 0.01 * (piece.hinges.length - scored.size);
  for (const rings of bites.values()) ugly += rings.reduce((sum, ring) => sum + 2 + Math.sqrt(area(ring)), 0);
  return { lay, scars, showing, bites, scored: [...scored], ugly };
}

/** The worst comes first: a mark that ends in several places is told by it. */
const RANK: readonly Ends[] = ['shows', 'hidden', 'fold', 'cut-off'];

interface Found {
  readonly ends: Ends;
  readonly panel: string | null;
  readonly weight: number;
  readonly points: readonly Point<'sheet'>[];
}

const mapped = (lay: Affine, { from, to }: Segment<'sheet'>): Segment<'sheet'> => ({
  from: apply(lay, from),
  to: apply(lay, to),
});

function endsOfLine(
  piece: Piece,
  line: Segment<'sheet'>,
  kind: SheetMark['kind'],
  scored: Set<string>,
  seen: Seen,
): Found[] {
  const length = distance(line.from, line.to);
  if (length < SPECK) return [];
  const on = piece.hinges.filter(({ line: fold }) => isAlong(fold, line));
  const dir = direction(line.from, line.to);
  const at = (t: number): Point<'sheet'> => ({ x: line.from.x + dir.x * t, y: line.from.y + dir.y * t });
  /** What of the line lies on folds, from where to where along it. */
  const used = on.map((hinge) => {
    const [a, b] = [hinge.line.from, hinge.line.to].map((p) => dot(minus(p, line.from), dir)).sort((s, t) => s - t) as [
      number,
      number,
    ];
    const covered = Math.min(b, length) - Math.max(a, 0);
    // A score that reaches all along a fold is that fold; a cut along it is none.
    if (kind === 'score' && covered > b - a - 4) scored.add(hinge.id);
    return [a, b] as const;
  });
  const found: Found[] = [];
  if (kind === 'score' && used.some(([a, b]) => Math.min(b, length) - Math.max(a, 0) > SPECK))
    found.push({ ends: 'fold', panel: on[0]!.between[1], weight: 0, points: [] });
  for (const { id, polygon } of piece.panels) {
    const inside = lengthInside(polygon, line);
    if (inside <= SPECK) continue;
    const steps = Math.max(4, Math.min(24, Math.round(length / 4)));
    const points = Array.from({ length: steps }, (_, i) => ((i + 0.5) * length) / steps)
      .filter((t) => kind !== 'score' || !used.some(([a, b]) => t > a - USED && t < b + USED))
      .map(at)
      .filter((p) => contains(polygon, p));
    if (points.length === 0) continue;
    const shown = points.filter((p) => seen(id, p));
    const weight = (points.length / steps) * length * 0.1;
    found.push(
      shown.length > 0
        ? { ends: 'shows', panel: id, weight, points: shown }
        : { ends: 'hidden', panel: id, weight, points: [] },
    );
  }
  return found;
}

const isAlong = (fold: Segment<'sheet'>, line: Segment<'sheet'>): boolean =>
  [fold.from, fold.to].every((p) => Math.abs(sideOf(line, p)) < USED) ||
  [line.from, line.to].every((p) => Math.abs(sideOf(fold, p)) < USED);

/** Paper that is gone: where a panel should have it, or only what is cut off anyway. */
function endsOfGone(
  piece: Piece,
  ring: Polygon<'sheet'>,
  bites: ReadonlyMap<string, readonly Polygon<'sheet'>[]>,
  seen: Seen,
): Found[] {
  const found: Found[] = [];
  for (const [id, rings] of bites) {
    const own = rings.flatMap((bite) => sharedRegion([bite], [ring])).filter((part) => area(part) > SPECK);
    if (own.length === 0) continue;
    const points = own.flatMap((part) => [centreOf(part)]);
    const weight = own.reduce((sum, part) => sum + Math.sqrt(area(part)), 0);
    const shown = points.filter((p) => seen(id, p));
    found.push({ ends: shown.length > 0 ? 'shows' : 'hidden', panel: id, weight, points: shown });
  }
  if (found.length === 0 && piece.notches.length + piece.trims.length > 0)
    found.push({ ends: 'cut-off', panel: null, weight: 0, points: [] });
  return found;
}

/**
 * The pattern with the paper its panels lack taken off them; null where what is left of one falls apart, or has a hole
 * in it that is not round.
 */
export function bitten(built: Built, piece: Piece, { bites }: Laid): Built | null {
  if (bites.size === 0) return built;
  const panels = piece.panels.map((panel) => {
    const missing = bites.get(panel.id);
    if (!missing) return panel;
    const rings = difference([panel.polygon], missing);
    const whole = plainRings(rings);
    if (rings.length !== 1 || whole.length !== 1) return null;
    return { ...panel, polygon: whole[0]! };
  });
  if (panels.some((panel) => panel === null)) return null;
  const own = { ...piece, panels: panels as Piece['panels'] };
  return {
    ...built,
    pieces: built.pieces.map((one) => (one.name === piece.name ? own : one)) as unknown as Built['pieces'],
  };
}
