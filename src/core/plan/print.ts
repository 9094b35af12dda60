import { visibleFrom, type Side } from '../fold';
import { regionArea, type Polygon } from '../geometry';
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
  const turned = ((angle % 360) + 540) % 360 - 180;
  const rounded = Math.round(turned * 1000) / 1000;
  return rounded <= -180 ? 180 : rounded === 0 ? 0 : rounded;
}

/** Quarter turns that bring a showing panel's print upright; null when it runs at a slant. */
export function turnFor({ turn }: Showing, now: 0 | 1 | 2 | 3): 0 | 1 | 2 | 3 | null {
  const quarters = turn / 90;
  if (Math.abs(quarters - Math.round(quarters)) > 1e-3) return null;
  return (((now + Math.round(quarters)) % 4) + 4) % 4 as 0 | 1 | 2 | 3;
}
