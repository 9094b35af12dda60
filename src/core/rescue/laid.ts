import type { PanelId, PanelName, Piece } from '../pattern';
import { hasPanel, layerOf, layersAt } from '../fold';
import {
  apply,
  applyAll,
  area,
  centreOf,
  contains,
  direction,
  distance,
  dot,
  lengthInside,
  minus,
  sharedRegion,
  type Affine,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { mm } from '../length';
import { bitesOf, isAlong, layFrom, orientations, uglinessOf, USED, type Turned } from '../mending';
import { laidOnFaces, printMap } from '../looks';
import type { Made } from '../plan';
import type { Papers } from '../design';
import type { ScarredSheet, SheetMark } from './sheet';

/** Where a mark of the sheet ends up. */
export type Ends = 'fold' | 'hidden' | 'shows' | 'cut-off';
export interface Scar {
  readonly what: string;
  readonly ends: Ends;
  /** The panel it lies on, as its maker calls it; null for what is cut off. */
  readonly panel: PanelName | null;
  readonly panelId: PanelId | null;
  /** It was wrong before, and is not only in the way of another pattern. */
  readonly wrong: boolean;
  /** Paper is gone, or cut through. */
  readonly open: boolean;
}

/** A pattern laid on a sheet as it is. */
export interface LaidPattern {
  /** How the sheet is turned for it, and where on it the pattern begins, mm from its left end and its near edge then. */
  readonly turned: Turned;
  readonly over: boolean;
  readonly at: Point<'sheet'>;
  /** From the sheet to the pattern's own. */
  readonly lay: Affine;
  readonly scars: readonly Scar[];
  /** Where each scar that shows lies on a panel, on the pattern’s sheet. */
  readonly showing: readonly { readonly panel: PanelId; readonly points: readonly Point<'sheet'>[] }[];
  /** Paper that panels lack there, by panel. */
  readonly bites: ReadonlyMap<string, readonly Polygon<'sheet'>[]>;
  /** Panels, as their maker calls them, that reach over the rim of the sheet and are shorter by that. */
  readonly short: readonly string[];
  /** Panels, by id, on which something wrong can be seen, or that are cut through. */
  readonly spoiled: readonly string[];
  /** Hinges that are scored already. */
  readonly scored: readonly string[];
  /** How ugly it is: what shows, what paper lacks, what lies hidden; the less the better. */
  readonly ugly: number;
}

/** Less of a mark on a panel is nothing, mm. */
const SPECK = 1;

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

/**
 * The least ugly ways a piece of the pattern can lie on the sheet, the best first, and as it lay; none where it is far larger.
 */
export function waysToLie(made: Made, piece: Piece, sheet: ScarredSheet, sided: 1 | 2): readonly LaidPattern[] {
  const folds = piece.hinges.map(({ line }) => line);
  const scores = sheet.marks.flatMap(({ kind, lines }) => (kind === 'score' ? lines : []));
  const seen = showsWhere(made);
  const lays = orientations(sheet.blank)
    // One-sided paper is not turned over.
    .filter(({ over }) => sided === 2 || !over)
    .flatMap(({ map, size, ...lies }) => {
      const [wide, high] = [size.width - piece.blank.width, size.height - piece.blank.height];
      if (wide < -LACKS || high < -LACKS) return [];
      const turned = scores.map(({ from, to }) => ({ from: apply<'sheet'>(map, from), to: apply<'sheet'>(map, to) }));
      const xs = starts(wide, along(turned, 'x'), along(folds, 'x'));
      const ys = starts(high, along(turned, 'y'), along(folds, 'y'));
      return xs.flatMap((x) => ys.map((y) => ({ ...lies, at: { x, y }, lay: layFrom({ map }, { x, y }) })));
    });
  const found: LaidPattern[] = [];
  /** The ugliest of the best so far: what is uglier before all of it is looked at is none of them. */
  const uglies: number[] = [];
  for (const { lay, ...lies } of lays) {
    const asItLay = lies.turned === 'not' && !lies.over && lies.at.x === 0 && lies.at.y === 0;
    const one = laidSo(made, piece, sheet, lay, seen, asItLay ? Infinity : (uglies[BEST - 1] ?? Infinity));
    if (!one) continue;
    found.push({ ...one, ...lies });
    uglies.push(one.ugly);
    uglies.sort((a, b) => a - b);
  }
  // Of what is as ugly the one that needs no turning.
  return found.sort((a, b) => Math.round(100 * (a.ugly - b.ugly)));
}

/** So many of the best are wanted. */
const BEST = 2;

type Seen = (panel: PanelId, p: Point<'sheet'>) => boolean;

/** Paper alike on both sides, whichever way up: only where panels show is asked. */
const PLAIN: Papers = { paper: { caliper: mm(0), sided: 2, directional: false, turn: 0 }, papers: {}, turns: {} };

/** Whether a place of a panel can be seen on the finished thing, from either side. What lies beside it is seen. */
export function showsWhere(made: Made): Seen {
  const { folded } = made;
  const covers = laidOnFaces(made);
  const covered = (panel: PanelId, p: Point<'sheet'>): boolean =>
    covers.some((mat) => mat.panel === panel && contains(mat.polygon, p));
  if (folded.standing) {
    const shown = new Set(printMap(made, PLAIN).map(({ panel }) => panel));
    const standing = new Set(folded.standing.finished.leaves.map(({ panel: { id } }) => id));
    return (panel, p) => !standing.has(panel) || (shown.has(panel) && !covered(panel, p));
  }
  const { finished } = folded;
  return (panel, p) => {
    if (!hasPanel(finished, panel)) return true;
    const at = apply<'folded'>(layerOf(finished, panel).map, p);
    const pile = layersAt(finished, at);
    const end = pile[0]?.panel === panel || pile.at(-1)?.panel === panel;
    return end && !covered(panel, p);
  };
}

/**
 * Where everything on the sheet ends up when the pattern lies on it so; null as soon as that is uglier than some limit.
 */
export function laidSo(
  made: Made,
  piece: Piece,
  sheet: ScarredSheet,
  lay: Affine,
  seen: Seen,
  limit: number,
): Omit<LaidPattern, 'turned' | 'over' | 'at'> | null {
  const name = (id: PanelId): PanelName => piece.panels.find((panel) => panel.id === id)?.name ?? String(id);
  const { byPanel: bites, short } = bitesOf(piece, sheet, lay, sheet.marks.length > 0 ? limit : Infinity);
  const scored = new Set<string>();
  const showing: { panel: PanelId; points: readonly Point<'sheet'>[] }[] = [];
  const spoiled = new Set<string>(bites.keys());
  let ugly = 0;
  for (const rings of bites.values()) ugly += uglinessOf(rings);
  const scars: Scar[] = [];
  for (const mark of sheet.marks) {
    if (ugly > limit) return null;
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
    if (mark.wrong)
      for (const { ends, panel } of found)
        if (panel && (ends === 'shows' || (open && ends === 'hidden'))) spoiled.add(panel);
    const worst = RANK.flatMap((ends) => found.filter((one) => one.ends === ends))[0];
    scars.push({
      what: mark.what,
      ends: worst?.ends ?? 'cut-off',
      panel: worst?.panel ? name(worst.panel) : null,
      panelId: worst?.panel ?? null,
      wrong: mark.wrong,
      open,
    });
  }
  // Folds that still have to be scored are work.
  ugly += 0.01 * (piece.hinges.length - scored.size);
  return { lay, scars, showing, bites, short: short.map(name), spoiled: [...spoiled], scored: [...scored], ugly };
}

/** The worst comes first: a mark that ends in several places is told by it. */
const RANK: readonly Ends[] = ['shows', 'hidden', 'fold', 'cut-off'];

interface Found {
  readonly ends: Ends;
  readonly panel: PanelId | null;
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
  // What the pattern is slit along is cut there as it should be.
  if (kind === 'slit' && piece.slits.some((slit) => isAlong(slit.line, line))) return [];
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

/** Paper that is gone: where a panel should have it; nothing where it is only cut off anyway. */
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
  return found;
}
