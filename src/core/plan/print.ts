import { inView, layerOf, visibleFrom, type Side } from '../fold';
import { applyAll, area as areaOf, regionArea, sharedRegion, type Point, type Polygon } from '../geometry';
import { outlineOf, type Blank } from '../pattern';
import type { Design } from './design';
import { ownPaper, panelName, viewOf, type Made } from './plan';

/** Visible specks smaller than this are rounding, mm². */
const SPECK = 1;

/** A panel as it shows on the finished thing. */
export interface Showing {
  readonly panel: string;
  readonly name: string;
  readonly face: 'front' | 'back';
  readonly side: Side;
  /** Where the print's own "up" points as the viewer sees it, degrees clockwise from the viewer's up; −180 to 180. */
  readonly turn: number;
  /** What shows, mm². */
  readonly area: number;
  readonly region: readonly Polygon<'folded'>[];
}

/** Every panel that shows on the finished thing's two faces, the front first, the largest first on each. */
export function printMap(made: Made, { paper }: Pick<Design, 'paper'>): readonly Showing[] {
  const { built, folded } = made;
  const stack = ownPaper(folded.finished, built);
  const view = viewOf(built, stack);
  return (['front', 'back'] as const).flatMap((face) =>
    visibleFrom(stack, (face === 'front') === (built.front === 'below') ? 'below' : 'above', view)
      .map(({ panel, side, region, turn }): Showing => ({
        panel,
        name: panelName(built, panel),
        face,
        side,
        // The view looks into the pocket, so its up is the viewer's down; the blank may lie turned on the print.
        turn: normal(turn + 180 - 90 * paper.turn),
        area: regionArea(region),
        region,
      }))
      .filter(({ area }) => area > SPECK)
      .sort((a, b) => b.area - a.area),
  );
}

/** An angle between −180 and 180 degrees, and 180 rather than −180. */
function normal(angle: number): number {
  const turned = (((angle % 360) + 540) % 360) - 180;
  const rounded = Math.round(turned * 1000) / 1000;
  return rounded <= -180 ? 180 : rounded === 0 ? 0 : rounded;
}

/** Quarter turns that bring a showing panel's print upright; null when it runs at a slant. */
export function turnFor({ turn }: Showing, now: 0 | 1 | 2 | 3): 0 | 1 | 2 | 3 | null {
  const quarters = turn / 90;
  if (Math.abs(quarters - Math.round(quarters)) > 1e-3) return null;
  return ((((now + Math.round(quarters)) % 4) + 4) % 4) as 0 | 1 | 2 | 3;
}

/** Where a point of the blank lies on the printed sheet, from the sheet's lower left corner, mm. */
export function onPaper({ turn, at }: Design['paper'], { width, height }: Blank, p: Point<'sheet'>): Point<'sheet'> {
  const { x, y } = at ?? { x: 0, y: 0 };
  const turned = [
    [p.x, p.y],
    [p.y, width - p.x],
    [width - p.x, height - p.y],
    [height - p.y, p.x],
  ] as const;
  const [dx, dy] = turned[turn];
  return { x: x + dx, y: y + dy };
}

/** The point of the blank that lies at a place of the printed sheet. */
export function fromPaper({ turn, at }: Design['paper'], { width, height }: Blank, p: Point<'sheet'>): Point<'sheet'> {
  const [x, y] = [p.x - (at?.x ?? 0), p.y - (at?.y ?? 0)];
  const back = [
    [x, y],
    [width - y, x],
    [width - x, height - y],
    [y, height - x],
  ] as const;
  const [bx, by] = back[turn];
  return { x: bx, y: by };
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
export function windowOnFront(made: Made, design: Pick<Design, 'paper'>): FrontWindow | null {
  const { window } = design.paper;
  if (!window) return null;
  const [front] = printMap(made, design);
  if (!front) return null;
  const piece = made.pieces[0].piece;
  const stack = ownPaper(made.folded.finished, made.built);
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
  const view = viewOf(made.built, stack);
  return {
    region: shown.map((ring) => ring.map((p) => inView(view, p))),
    share: regionArea(shown) / areaOf(lying),
    onBlank,
  };
}
