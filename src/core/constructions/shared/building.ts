import {
  type PanelId,
  type ScoreId,
  type StepId,
  blankPolygon,
  drawPiece,
  type Blank,
  type Piece,
} from '../../pattern';
import type { AssemblyFold, AssemblyPlace, AssemblyRaise, AssemblySet } from '../../fold';
import { direction, distance, type Point, type Segment } from '../../geometry';
import { inches, mm } from '../../length';
import type { BuildResult, Built, Ease, Grip, Refusal } from './construction';

/** Directions on the sheet, for folds that are dragged. */
export const LEFT: Point<'sheet'> = { x: -1, y: 0 };
export const RIGHT: Point<'sheet'> = { x: 1, y: 0 };
export const UP: Point<'sheet'> = { x: 0, y: 1 };
export const DOWN: Point<'sheet'> = { x: 0, y: -1 };

/** Slant that keeps a tab's ends clear of the fold beside it, mm. Common practice 1/8 in. */
export const SLANT = inches(1 / 8);

const eases = (aim: number, least: number): { aim: Ease; least: Ease } => ({
  aim: { width: inches(aim), height: inches(aim) },
  least: { width: inches(least), height: inches(least) },
});
/** Ease by kind of holder, all common practice: an envelope over a card, a thing that slides, a loose pocket, a box. */
export const EASE = {
  envelope: eases(1 / 4, 1 / 8),
  sliding: eases(1 / 8, 1 / 16),
  wrap: eases(1 / 16, 1 / 32),
  loose: eases(1 / 4, 1 / 8),
  box: eases(1 / 8, 1 / 16),
  none: eases(0, 0),
};

export const segment = (x0: number, y0: number, x1: number, y1: number): Segment<'sheet'> => ({
  from: { x: x0, y: y0 },
  to: { x: x1, y: y1 },
});

/** A fold of the assembly. */
export const fold = (
  id: StepId,
  name: string,
  hinges: readonly ScoreId[],
  more: Partial<Omit<AssemblyFold, 'kind' | 'id' | 'name' | 'hinges'>> = {},
): AssemblyFold => ({ kind: 'fold', id, name, hinges, ...more });

/** A piece laid onto another. */
export const place = (id: StepId, name: string, how: Omit<AssemblyPlace, 'kind' | 'id' | 'name'>): AssemblyPlace => ({
  kind: 'place',
  id,
  name,
  ...how,
});

/** Walls, or whatever else turns in space, raised together: each by its own hinges; square when no angle is told. */
export const raiseStep = (
  id: StepId,
  name: string,
  turns: readonly (readonly [hinge: ScoreId, ...more: ScoreId[]])[],
  more: Partial<Omit<AssemblyRaise, 'kind' | 'id' | 'name' | 'turns'>> & { readonly angle?: number } = {},
): AssemblyRaise => {
  const { angle = 90, ...rest } = more;
  return { kind: 'raise', id, name, turns: turns.map((hinges) => ({ hinges, angle })), ...rest };
};

/** A piece set down on what stands. */
export const setDown = (id: StepId, name: string, how: Omit<AssemblySet, 'kind' | 'id' | 'name'>): AssemblySet => ({
  kind: 'set',
  id,
  name,
  ...how,
});

/** A fold that decides the room aimed for when it is dragged. */
export const roomGrip = (
  hinge: ScoreId,
  along: Point<'sheet'>,
  side: 'width' | 'height',
  label: string,
  rate = 1,
): Grip => ({ hinge, along, label, does: { kind: 'room', side, rate } });

/** A fold that decides an option when it is dragged. */
export const optionGrip = (
  hinge: ScoreId,
  along: Point<'sheet'>,
  option: string,
  label: string,
  from: number,
  [least, most]: readonly [number, number],
  rate = 1,
): Grip => ({
  hinge,
  along,
  label,
  does: { kind: 'option', option, from: mm(from), rate, least: mm(least), most: mm(most) },
});

/** What is there already and a holder is fixed to: one panel, as large as told. */
export const basePiece = (name: string, panel: PanelId, blank: Blank, shape = blankPolygon(blank)): Piece =>
  drawPiece({ name, blank, panels: [{ id: panel, name, polygon: shape }], folds: [], source: 'base' });

export const refuse = (refusal: Refusal): BuildResult => ({ ok: false, refusal });
export const built = (made: Built): BuildResult => ({ ok: true, built: made });

/** A stretch as long as `length` at the middle of a line, running as it does. */
export function middleOf({ from, to }: Segment<'sheet'>, length: number): Segment<'sheet'> {
  const along = direction(from, to);
  const off = (distance(from, to) - length) / 2;
  const at = (t: number): Point<'sheet'> => ({ x: from.x + along.x * t, y: from.y + along.y * t });
  return { from: at(off), to: at(off + length) };
}
