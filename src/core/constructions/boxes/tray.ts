/** A tray as a box and its lid are made: a floor, four walls, tabs at the corners glued inside two of them. */
import type { AssemblyRaise } from '../../fold';
import { mm, type Mm } from '../../length';
import { drawPiece, rect, ring, type Piece } from '../../pattern';
import { raiseStep, segment } from '../shared/building';

/** What a tray is drawn from, mm; ids start with `prefix`. */
export interface TraySize {
  readonly prefix: string;
  readonly name: string;
  readonly width: Mm;
  readonly height: Mm;
  readonly depth: Mm;
  /** Walls that keep the corners as tabs: those along the width (near and far), or along the height. */
  readonly keepers: 'width' | 'height';
  /** What a tab is slanted by. */
  readonly slant: Mm;
}

export interface Tray {
  readonly piece: Piece;
  readonly steps: readonly AssemblyRaise[];
  readonly meets: readonly (readonly [string, string])[];
  readonly across: ReturnType<typeof segment>;
  readonly floor: string;
  readonly wall: string;
}

const EDGES = ['near', 'far', 'left', 'right'] as const;

/** Draws a tray and says how its walls are raised. */
export function drawTray({ prefix, name, width: W, height: L, depth: d, keepers, slant }: TraySize): Tray {
  const id = (part: string): string => `${prefix}${part}`;
  const [x1, x2, y1, y2] = [d, d + W, d, d + L];
  const [right, far] = [W + 2 * d, L + 2 * d];
  const along = keepers === 'width';
  // Two tabs share one wall: neither reaches past its middle.
  const g = Math.min(d, (along ? L : W) / 2);
  const s = Math.min(slant, d / 4, g / 2);
  const walls = {
    near: rect(x1, 0, x2, y1),
    far: rect(x1, y2, x2, far),
    left: rect(0, y1, x1, y2),
    right: rect(x2, y1, right, y2),
  };
  /** The tab at one corner, on the end of its wall: slanted away from the floor, so that it clears the fold there. */
  const tab = (low: boolean, leftmost: boolean): ReturnType<typeof ring> => {
    const [cx, cy] = [leftmost ? x1 : x2, low ? y1 : y2];
    const [ox, oy] = [leftmost ? -1 : 1, low ? -1 : 1];
    return along
      ? ring([cx, cy], [cx, cy + oy * d], [cx + ox * g, cy + oy * d], [cx + ox * g, cy + oy * s])
      : ring([cx, cy], [cx + ox * d, cy], [cx + ox * d, cy + oy * g], [cx + ox * s, cy + oy * g]);
  };
  const tabs = (
    [
      ['near', 'left', true, true],
      ['near', 'right', true, false],
      ['far', 'left', false, true],
      ['far', 'right', false, false],
    ] as const
  ).map(([across, up, low, leftmost]) => ({
    tab: id(`tab-${across}-${up}`),
    keeper: id(`wall-${along ? across : up}`),
    onto: id(`wall-${along ? up : across}`),
    polygon: tab(low, leftmost),
    name: `${across} ${up} tab`,
  }));
  const piece = drawPiece({
    name,
    blank: { width: mm(right), height: mm(far) },
    panels: [
      { id: id('floor'), name: prefix ? 'top of the lid' : 'floor', polygon: rect(x1, y1, x2, y2) },
      ...EDGES.map((edge) => ({
        id: id(`wall-${edge}`),
        name: `${edge} wall${prefix ? ' of the lid' : ''}`,
        polygon: walls[edge],
      })),
      ...tabs.map((t) => ({ id: t.tab, name: t.name, polygon: t.polygon })),
    ],
    folds: [
      ...EDGES.map((edge) => ({ id: id(`s-${edge}`), between: [id('floor'), id(`wall-${edge}`)] as const, angle: 90 })),
      ...tabs.map((t) => ({ id: `s-${t.tab}`, between: [t.keeper, t.tab] as const, angle: 90 })),
    ],
  });
  const of = prefix ? ' of the lid' : '';
  const [first, second] = along ? (['near', 'far'] as const) : (['left', 'right'] as const);
  const [third, fourth] = along ? (['left', 'right'] as const) : (['near', 'far'] as const);
  return {
    piece,
    steps: [
      raiseStep(id('raise-keepers'), `Raise the ${first} and the ${second} wall${of}`, [
        [id(`s-${first}`)],
        [id(`s-${second}`)],
      ]),
      raiseStep(
        id('turn-tabs'),
        `Turn the four tabs${of} in`,
        tabs.map((t) => [`s-${t.tab}`] as const),
      ),
      raiseStep(
        id('raise-others'),
        `Raise the ${third} and the ${fourth} wall${of} against the tabs`,
        [[id(`s-${third}`)], [id(`s-${fourth}`)]],
        { joins: tabs.map((t) => ({ panel: t.tab, onto: t.onto, face: 'inside' })) },
      ),
    ],
    meets: [
      [id('wall-near'), id('wall-left')],
      [id('wall-near'), id('wall-right')],
      [id('wall-far'), id('wall-left')],
      [id('wall-far'), id('wall-right')],
    ],
    across: segment(x1, (y1 + y2) / 2, x2, (y1 + y2) / 2),
    floor: id('floor'),
    wall: id('wall-near'),
  };
}
