import type { PanelId, PanelName, ScoreId } from './ids';
import type { Mm } from '../length';
import { TOLERANCE, type Point, type Polygon, type Segment } from '../geometry';

/** The rectangle cut first, before notches and corners come off. */
export interface Blank {
  readonly width: Mm;
  readonly height: Mm;
}

/** A face between folds. Its inside lies up on the sheet. */
export interface Panel {
  readonly id: PanelId;
  readonly name: PanelName;
  readonly polygon: Polygon<'sheet'>;
  /**
   * How it bends where that is not by folding its scores: pinched in by hand, too small for them, so folding does not follow it;
   * or formed round the edge of a board, so its scores may be as close as that is thick.
   */
  readonly bends?: 'pinched' | 'round-board';
}

/** A score: the line where one panel turns against another. */
export interface Hinge {
  readonly id: ScoreId;
  /** The panel that stays and the panel that moves. */
  readonly between: readonly [still: PanelId, moving: PanelId];
  readonly line: Segment<'sheet'>;
  /** A valley folds towards the inside, a mountain away from it. */
  readonly fold: 'valley' | 'mountain';
  /** Turn from flat, degrees: 180 folded over, 90 a wall. */
  readonly angle: number;
  /** Place in the order of folding; hinges folded together share it. */
  readonly order: number;
}

/** Edges of a blank: near, right, far, left as the sheet first lies. */
export type Edge = 1 | 2 | 3 | 4;

/** The edge that lies on the left, or on the right, while `near` is at the maker. */
export const leftOf = (near: Edge): Edge => (((near + 2) % 4) + 1) as Edge;
export const rightOf = (near: Edge): Edge => ((near % 4) + 1) as Edge;

/** A right-angled notch cut into an edge, as an envelope board punches it. */
export interface Notch {
  readonly id: string;
  readonly edge: Edge;
  /** Middle of the notch from the left end of its edge once that edge is near, mm. */
  readonly at: Mm;
  /** Length along the edge, mm; the depth is half of it. */
  readonly length: Mm;
}

/** Paper cut away besides the notches. */
export interface Trim {
  readonly id: string;
  /** What comes off along a path, in a maker's words: `tip of the closing flap`; otherwise the part it comes off. */
  readonly name: string;
  /** It is no waste: a mat of its own. */
  readonly kept?: 'spare' | 'used';
  readonly polygon: Polygon<'sheet'>;
  readonly cut: TrimCut;
}

/**
 * How paper comes off: along a path of straight cuts with the waste on its right, a corner rounded, or bitten by a
 * round punch whose middle may lie outside the paper.
 */
export type TrimCut =
  | { readonly kind: 'path'; readonly path: Polygon<'sheet'> }
  | { readonly kind: 'rounded'; readonly corner: Point<'sheet'>; readonly radius: Mm }
  | { readonly kind: 'punched'; readonly centre: Point<'sheet'>; readonly diameter: Mm };

/** A round hole through a panel. */
export interface Hole {
  readonly id: string;
  readonly panel: PanelId;
  readonly centre: Point<'sheet'>;
  readonly diameter: Mm;
}

/** A cut with paper on both its sides: two panels part along it and nothing falls away. */
export interface Slit {
  readonly id: string;
  /** What it parts, in a maker's words: `slit beside the pen loop`. */
  readonly name: string;
  readonly line: Segment<'sheet'>;
}

/**
 * Where a piece comes from: cut and scored for this thing; bought or had, and part of it; or there already and only
 * fixed to (a page, a panel): measured against, never counted in size, layers or print.
 */
export type Source = 'made' | 'bought' | 'base';

/** A flat piece of paper: its blank, the panels on it, the hinges between them and what is cut away. */
export interface Piece {
  readonly name: string;
  /** How many alike one thing takes; the first of them is folded for all. */
  readonly quantity: number;
  readonly blank: Blank;
  readonly panels: readonly Panel[];
  readonly hinges: readonly Hinge[];
  readonly notches: readonly Notch[];
  readonly trims: readonly Trim[];
  readonly holes: readonly Hole[];
  readonly slits: readonly Slit[];
  readonly source: Source;
}

const rectangle = ({ width, height }: Blank): Polygon<'sheet'> => [
  { x: 0, y: 0 },
  { x: width, y: 0 },
  { x: width, y: height },
  { x: 0, y: height },
];

/** The blank as a polygon, origin at its lower left. */
export const blankPolygon = rectangle;

/** The panel of that id. Throws when the piece has none: a construction named a panel it never made. */
export function panelOf(piece: Piece, id: PanelId): Panel {
  const panel = piece.panels.find((p) => p.id === id);
  if (!panel) throw new Error(`${piece.name} has no panel ${id}`);
  return panel;
}

/** True for a sheet that is as wide as it is high. */
export const isSquare = ({ width, height }: { readonly width: number; readonly height: number }): boolean =>
  Math.abs(width - height) <= TOLERANCE.length;

/** How long an edge of the blank is, mm. */
export const edgeLength = (blank: Blank, edge: Edge): Mm => (edge % 2 === 1 ? blank.width : blank.height);

/** The point `at` mm along an edge from its left end once that edge is near (so: anticlockwise round the blank). */
export function onEdge(blank: Blank, edge: Edge, at: number): Point<'sheet'> {
  const { width, height } = blank;
  if (edge === 1) return { x: at, y: 0 };
  if (edge === 2) return { x: width, y: at };
  if (edge === 3) return { x: width - at, y: height };
  return { x: 0, y: height - at };
}

/** The triangle a notch takes out of its edge: start, tip, end, going along the edge. */
export function notchTriangle(blank: Blank, notch: Notch): readonly [Point<'sheet'>, Point<'sheet'>, Point<'sheet'>] {
  const { edge, at, length } = notch;
  const start = onEdge(blank, edge, at - length / 2);
  const end = onEdge(blank, edge, at + length / 2);
  const foot = onEdge(blank, edge, at);
  const inward = { x: -(end.y - start.y) / length, y: (end.x - start.x) / length };
  return [start, { x: foot.x + (inward.x * length) / 2, y: foot.y + (inward.y * length) / 2 }, end];
}
