import type { PanelId, Hinge, Piece } from '../../pattern';
import { apply, applyAll, IDENTITY, sameMap, type Affine, type Polygon, type Segment } from '../../geometry';

/** Which face of the paper: the inside face lies up while the sheet is flat. */
export type Side = 'inside' | 'outside';

/** One panel where the folding has brought it. Panels have names of their own across all pieces of a thing. */
export interface Layer {
  readonly piece: string;
  readonly panel: PanelId;
  /** From the flat sheet to the folded plane; a reflection when the panel shows its outside upward. */
  readonly map: Affine;
  readonly up: Side;
  readonly polygon: Polygon<'folded'>;
}

/** Paper held to paper: `panel` glued onto `onto` over the polygons, given on the flat sheet of `panel`. */
export interface Joint {
  readonly id: string;
  readonly panel: PanelId;
  readonly onto: PanelId;
  /** The face of `panel` that takes the glue. */
  readonly side: 'inside' | 'outside';
  readonly polygons: readonly Polygon<'sheet'>[];
}

/** A piece part-way through folding: its layers from the table upwards, and what has been glued. */
export interface Stack {
  readonly layers: readonly Layer[];
  readonly hinges: readonly Hinge[];
  readonly joints: readonly Joint[];
}

/** The piece as it lies flat, inside up. */
export const flatStack = (piece: Piece): Stack => ({
  layers: piece.panels.map(({ id, polygon }) => ({
    piece: piece.name,
    panel: id,
    map: IDENTITY,
    up: 'inside',
    polygon: applyAll<'folded'>(IDENTITY, polygon),
  })),
  hinges: piece.hinges,
  joints: [],
});

/** Height of a panel in the stack, 0 at the table. Throws when the stack has no such panel. */
export function levelOf(stack: Stack, panel: PanelId): number {
  const level = stack.layers.findIndex((layer) => layer.panel === panel);
  if (level < 0) throw new Error(`the stack has no panel ${panel}`);
  return level;
}

export const hasPanel = (stack: Stack, panel: PanelId): boolean => stack.layers.some((layer) => layer.panel === panel);

export const layerOf = (stack: Stack, panel: PanelId): Layer => stack.layers[levelOf(stack, panel)]!;

/** A hinge's line in the folded plane, as the given panel carries it. */
export function hingeLine(stack: Stack, hinge: Hinge, panel: PanelId = hinge.between[0]): Segment<'folded'> {
  const { map } = layerOf(stack, panel);
  return { from: apply(map, hinge.line.from), to: apply(map, hinge.line.to) };
}

/** True once the two panels of a hinge no longer lie in one sheet. */
export function isFolded(stack: Stack, hinge: Hinge): boolean {
  const [a, b] = [layerOf(stack, hinge.between[0]), layerOf(stack, hinge.between[1])];
  return a.up !== b.up || !sameMap(a.map, b.map);
}
