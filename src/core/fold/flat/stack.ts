import type { PanelId, ScoreId, Hinge, Piece } from '../../pattern';
import {
  apply,
  applyAll,
  direction,
  dot,
  IDENTITY,
  minus,
  sameMap,
  type Affine,
  type Polygon,
  type Segment,
} from '../../geometry';

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

/** The piece as it lies flat, inside up. Corners that are pinched in by hand are not followed. */
export function flatStack({ name, panels, hinges }: Piece): Stack {
  const firm = panels.filter(({ bends }) => bends !== 'pinched');
  const followed = new Set(firm.map(({ id }) => id));
  return {
    layers: firm.map(({ id, polygon }) => ({
      piece: name,
      panel: id,
      map: IDENTITY,
      up: 'inside',
      polygon: applyAll<'folded'>(IDENTITY, polygon),
    })),
    hinges:
      followed.size < panels.length ? hinges.filter(({ between }) => between.every((id) => followed.has(id))) : hinges,
    joints: [],
  };
}

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

/** The hinge beyond the strip that goes round an edge, where a fold over these goes round one. */
const beyondStrip = (hinges: readonly Hinge[], [first, ...more]: readonly ScoreId[]): Hinge | undefined => {
  const lead = hinges.find(({ id }) => id === first)!;
  return hinges.find(({ id, between }) => more.includes(id) && between[0] === lead.between[1]);
};

/**
 * The line a flat fold turns about, on the sheet its still panel lies on: that of its first hinge. Where it names the next
 * hinge too, paper goes round the edge of what lies there, and what hangs on the strip between them comes to lie with its
 * score on the first: it turns about the middle of the strip.
 */
export function turningLine(hinges: readonly Hinge[], scores: readonly ScoreId[]): Segment<'sheet'> {
  const { line } = hinges.find(({ id }) => id === scores[0])!;
  const next = beyondStrip(hinges, scores);
  if (!next) return line;
  const along = direction(line.from, line.to);
  const off = minus(next.line.from, line.from);
  const past = dot(off, along);
  const moved = ({ x, y }: typeof off): typeof off => ({
    x: x + (off.x - past * along.x) / 2,
    y: y + (off.y - past * along.y) / 2,
  });
  return { from: moved(line.from), to: moved(line.to) };
}

/** A pile in which a strip stands that went round an edge: it lies on nothing, and what it carried hangs on its first score. */
export function stoodUp(stack: Stack, scores: readonly ScoreId[]): Stack {
  const next = beyondStrip(stack.hinges, scores);
  if (!next) return stack;
  const [strip, beyond] = next.between;
  return {
    ...stack,
    layers: stack.layers.filter(({ panel }) => panel !== strip),
    hinges: stack.hinges.flatMap((hinge) =>
      hinge === next
        ? []
        : hinge.id === scores[0]
          ? [{ ...hinge, between: [hinge.between[0], beyond] as const }]
          : [hinge],
    ),
  };
}
