import { outlineOf, type Blank, type PanelId, type PanelName } from '../pattern';
import { inView, layerOf, visibleFrom, type Side } from '../fold';
import {
  apply,
  applyAll,
  compose,
  invert,
  translation,
  type Affine,
  area as areaOf,
  boxOf,
  contains,
  fromSegment,
  regionArea,
  sharedRegion,
  type Point,
  type Polygon,
  TOLERANCE,
} from '../geometry';
import { type DesignChange, paperOf, type Design, type Papers, type Quarters } from '../design';
import { type Made, type MadePiece, panelName, pieceOf, closedSights, openSights, type Sight } from '../plan';

/** A panel as it shows on the finished thing. */
export interface Showing {
  readonly panel: PanelId;
  /** The piece it belongs to. */
  readonly piece: string;
  readonly name: PanelName;
  /** Where it is seen: a side of the finished thing, a page. */
  readonly face: string;
  readonly side: Side;
  /** Where the print's own "up" points as the viewer sees it, degrees clockwise from the viewer's up; −180 to 180. */
  readonly turn: number;
  /** What shows, mm². */
  readonly area: number;
  readonly region: readonly Polygon<'folded'>[];
}

/** Every panel that shows on the finished thing's sides, the front first, the largest first on each. */
export const printMap = (made: Made, design: Papers): readonly Showing[] =>
  closedSights(made).flatMap((sight) => showingIn(sight, made, design));

/** Every panel that shows when it is opened, and page by page; empty for what is only looked at as it is finished. */
export const openPrintMap = (made: Made, design: Papers): readonly Showing[] =>
  openSights(made).flatMap((sight) => showingIn(sight, made, design));

/** How a blank lies on its print where a side of a panel shows it; null where there is no print with a right way up. */
export function printOn(made: Made, design: Papers, { panel, side }: Pick<Showing, 'panel' | 'side'>): Quarters | null {
  const { name, source } = pieceOf(made.built, panel);
  const { directional, sided, turn } = paperOf(design, name);
  return source === 'made' && directional && (side === 'outside' || sided === 2) ? turn : null;
}

/** True where a print stands upright. */
export const isUpright = ({ turn }: Pick<Showing, 'turn'>): boolean => Math.abs(turn) < 0.5;

/** How a print stands, in words. */
export function printStands(turn: number): string {
  const upright = Math.round(turn);
  if (upright === 0) return 'upright';
  if (Math.abs(upright) === 180) return 'upside down';
  if (Math.abs(upright) === 90) return upright > 0 ? 'on its right side' : 'on its left side';
  return `slanted ${Math.abs(upright)}°`;
}

const showingIn = ({ face, stack, view, from, turned }: Sight, made: Made, design: Papers): readonly Showing[] =>
  visibleFrom(stack, from, view)
    .map(({ panel, side, region, turn }): Showing => ({
      panel,
      piece: pieceOf(made.built, panel).name,
      name: panelName(made.built, panel),
      face,
      side,
      // The view looks into the pocket, so its up is the viewer's down; the blank may lie turned on the print.
      turn: normal(turn + 180 + turned - 90 * paperOf(design, pieceOf(made.built, panel).name).turn),
      area: regionArea(region),
      region,
    }))
    .filter(({ area }) => area > TOLERANCE.seen)
    .sort((a, b) => b.area - a.area);

/**
 * Every piece laid on its print so that most of it reads upright wherever it is looked at; null when they lie so already.
 * A piece that only shows at a slant is left as it is.
 */
export function turnedUpright(made: Made, design: Papers): Pick<DesignChange, 'paper' | 'turns'> | null {
  const shows = [...printMap(made, design), ...openPrintMap(made, design)].filter(
    (one) => printOn(made, design, one) !== null,
  );
  const turns = uprightTurns(shows, design);
  const changed = Object.entries(turns).filter(([piece, turn]) => turn !== paperOf(design, piece).turn);
  if (changed.length === 0) return null;
  const { name: first } = made.pieces[0].piece;
  const { [first]: own, ...others } = { ...design.turns, ...turns };
  // The first one lies as its paper does, which can be moved on it; all others are told apart from it.
  if (own === undefined || design.papers[first]) return { turns: { ...design.turns, ...turns } };
  return { paper: { ...design.paper, turn: own }, turns: others };
}

/** By piece, the turn that lets most of it read upright. */
function uprightTurns(shows: readonly Showing[], design: Papers): Readonly<Record<string, Quarters>> {
  const upright = new Map<string, Map<Quarters, number>>();
  for (const one of shows) {
    const turn = turnFor(one, paperOf(design, one.piece).turn);
    if (turn === null) continue;
    const areas = upright.get(one.piece) ?? new Map<Quarters, number>();
    upright.set(one.piece, areas.set(turn, (areas.get(turn) ?? 0) + one.area));
  }
  return Object.fromEntries(
    [...upright].map(([piece, areas]) => {
      const now = paperOf(design, piece).turn;
      // What reads as much upright as it lies stays.
      const share = (turn: Quarters): number => (areas.get(turn) ?? 0) + (turn === now ? TOLERANCE.seen : 0);
      return [piece, [...areas.keys(), now].reduce((best, turn) => (share(turn) > share(best) ? turn : best))];
    }),
  );
}

/** An angle between −180 and 180 degrees, and 180 rather than −180. */
function normal(angle: number): number {
  const turned = (((angle % 360) + 540) % 360) - 180;
  const rounded = Math.round(turned * 1000) / 1000;
  return rounded <= -180 ? 180 : rounded === 0 ? 0 : rounded;
}

/** Quarter turns that bring a showing panel's print upright; null when it runs at a slant. */
export function turnFor({ turn }: Showing, now: Quarters): Quarters | null {
  const quarters = turn / 90;
  if (Math.abs(quarters - Math.round(quarters)) > 1e-3) return null;
  return ((((now + Math.round(quarters)) % 4) + 4) % 4) as Quarters;
}

/** How a blank lies on the sheet it is cut from: from its own places to the sheet's, from its lower left corner, mm. */
export function laidOnPaper({ turn, at }: Design['paper'], { width, height }: Blank): Affine {
  const turned: readonly Affine[] = [
    [1, 0, 0, 1, 0, 0],
    [0, -1, 1, 0, 0, width],
    [-1, 0, 0, -1, width, height],
    [0, 1, -1, 0, height, 0],
  ];
  return compose(translation(at?.x ?? 0, at?.y ?? 0), turned[turn]!);
}

/** Where a point of the blank lies on the printed sheet. */
export const onPaper = (paper: Design['paper'], blank: Blank, p: Point<'sheet'>): Point<'sheet'> =>
  apply(laidOnPaper(paper, blank), p);

/** The point of the blank that lies at a place of the printed sheet. */
export const fromPaper = (paper: Design['paper'], blank: Blank, p: Point<'sheet'>): Point<'sheet'> =>
  apply(invert(laidOnPaper(paper, blank)), p);

/** Where the first blank is cut out of its sheet, as the sheet lies with its print upright; mm from its lower left. */
export interface CutOut {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The rectangle that is cut out of the sheet for the first piece; null where nobody said where it lies. */
export function cutOutOf(made: Made, design: Papers): CutOut | null {
  const { paper } = design;
  if (!paper.at) return null;
  const { name, blank } = made.pieces[0].piece;
  const { width, height } = blank;
  const { turn } = paperOf(design, name);
  return {
    x: paper.at.x,
    y: paper.at.y,
    ...(turn % 2 === 0 ? { width, height } : { width: height, height: width }),
  };
}

/** The sheet a piece is cut from, and where in it: as told, or from its corner; null where no sheet that takes it is known. */
export function cutFromSheet(
  made: Made,
  design: Papers,
  { piece }: MadePiece,
): { readonly paper: Blank; readonly out: CutOut; readonly told: boolean } | null {
  const { width, height } = paperOf(design, piece.name);
  if (width === undefined || height === undefined) return null;
  const told = piece === made.pieces[0].piece ? cutOutOf(made, design) : null;
  const out = told ?? { x: 0, y: 0, ...piece.blank };
  const lies = out.x + out.width <= width + TOLERANCE.length && out.y + out.height <= height + TOLERANCE.length;
  return lies ? { paper: { width, height }, out, told: told !== null } : null;
}

/** How far the blank would have to move for the front's largest panel to lie centred on a place of the sheet, mm. */
export function toCentreFront(made: Made, design: Papers, place: Point<'sheet'>): Point<'sheet'> | null {
  const { piece } = made.pieces[0];
  const [front] = printMap(made, design);
  const panel = front && piece.panels.find(({ id }) => id === front.panel);
  if (!panel) return null;
  const { minX, maxX, minY, maxY } = boxOf(panel.polygon);
  const now = onPaper(design.paper, piece.blank, { x: (minX + maxX) / 2, y: (minY + maxY) / 2 });
  return { x: place.x - now.x, y: place.y - now.y };
}

/** How far inside the front's largest panel a window ends, mm; null where it does not lie on it whole, or is to be avoided. */
export function windowInside(made: Made, design: Papers): number | null {
  const { window } = design.paper;
  if (window?.keep !== 'show') return null;
  const { piece } = made.pieces[0];
  const [front] = printMap(made, design);
  const panel = front && piece.panels.find(({ id }) => id === front.panel);
  if (!panel) return null;
  const { x, y, width, height } = window;
  const corners = [x, x + width].flatMap((px) =>
    [y, y + height].map((py) => fromPaper(design.paper, piece.blank, { x: px, y: py })),
  );
  if (corners.some((corner) => !contains(panel.polygon, corner))) return null;
  const { polygon } = panel;
  const edges = polygon.map((from, i) => ({ from, to: polygon[(i + 1) % polygon.length]! }));
  return Math.min(...corners.flatMap((corner) => edges.map((edge) => fromSegment(edge, corner))));
}

/** A window of the printed sheet as it comes to lie on the finished front. */
export interface FrontWindow {
  /** What of it shows, in the view of the finished pile. */
  readonly region: readonly Polygon<'folded'>[];
  /** Share of the window that shows on the front's largest panel, 0 to 1. */
  readonly share: number;
  /** Share of it that lies on the blank at all. */
  readonly onBlank: number;
}

/** Where the marked window of the paper lands on the finished front; null without one. */
export function windowOnFront(made: Made, design: Papers): FrontWindow | null {
  const { window } = design.paper;
  if (!window) return null;
  const [front] = printMap(made, design);
  if (!front) return null;
  const piece = made.pieces[0].piece;
  const [{ stack, view }] = closedSights(made) as readonly [Sight, ...Sight[]];
  const layer = layerOf(stack, front.panel);

  const { x, y, width, height } = window;
  const corners = [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ].map((p) => fromPaper(design.paper, piece.blank, p));
  const onBlank = regionArea(sharedRegion(outlineOf(piece), [corners])) / areaOf(corners);
  if (layer.piece !== piece.name) return { region: [], share: 0, onBlank };
  const lying = applyAll<'folded'>(layer.map, corners);
  const shown = sharedRegion(front.region, [lying]);
  return {
    region: shown.map((ring) => ring.map((p) => inView(view, p))),
    share: regionArea(shown) / areaOf(lying),
    onBlank,
  };
}
