import type { PanelId, Hinge, Piece } from '../pattern';
import { apply, applyAll, compose, IDENTITY, reflection, type Affine, type Polygon, type Segment } from '../geometry';
import { bringing } from './flat/bringing';
import type { AssemblyStep, FlatWork, Folded, Stage } from './assemble';
import { turningLine, type Stack } from './flat/stack';

/**
 * What was folded once, folded again from pieces whose lines lie a little elsewhere: the same panels move in the same
 * order and come to lie on each other as before, so nothing is searched for. Only for what stays flat; whether the folds
 * can be made is not asked again.
 * @param pieces panel by panel and hinge by hinge those that were folded, drawn anew
 * @param asked the steps after which the pile is looked at, besides the last; those between keep their old piles
 */
export function refold(
  folded: Folded,
  steps: readonly AssemblyStep[],
  pieces: readonly Piece[],
  asked: ReadonlySet<string>,
): Folded {
  const polygons = new Map<string, Polygon<'sheet'>>();
  const hinges = new Map<string, Hinge>();
  const maps = new Map<string, Affine>();
  for (const piece of pieces) {
    for (const { id, polygon } of piece.panels) {
      polygons.set(id, polygon);
      maps.set(id, IDENTITY);
    }
    for (const hinge of piece.hinges) hinges.set(hinge.id, hinge);
  }
  const lying = (panel: PanelId, { from, to }: Segment<'sheet'>): Segment<'folded'> => {
    const map = maps.get(panel)!;
    return { from: apply(map, from), to: apply(map, to) };
  };
  const carry = (panels: readonly PanelId[], by: Affine): void => {
    for (const panel of panels) maps.set(panel, compose(by, maps.get(panel)!));
  };
  const now = (stack: Stack): Stack => ({
    ...stack,
    layers: stack.layers.map((layer) => {
      const map = maps.get(layer.panel)!;
      return { ...layer, map, polygon: applyAll<'folded'>(map, polygons.get(layer.panel)!) };
    }),
    hinges: stack.hinges.map((hinge) => ({ ...hinge, line: hinges.get(hinge.id)!.line })),
  });
  const turn = (step: FlatWork, moving: readonly PanelId[]): void => {
    if (step.kind === 'place') {
      carry(moving, bringing(lying(step.panel, step.line), lying(step.onto, step.on), step.over));
      return;
    }
    const lead = hinges.get(step.hinges[0]!)!;
    carry(moving, reflection(lying(lead.between[0], turningLine([...hinges.values()], step.hinges))));
  };
  const done = new Map<string, Stage>();
  const stages = new Map([...folded.earlier, ...folded.stages].map((stage) => [stage.step.id, stage]));
  let { finished } = folded;
  for (const { id } of steps) {
    const stage = stages.get(id);
    if (!stage) continue;
    turn(stage.step, stage.moving);
    const last = stage.stack === folded.finished;
    if (!last && !asked.has(id)) continue;
    const stack = now(stage.stack);
    if (last) finished = stack;
    done.set(id, { ...stage, stack });
  }
  const anew = (all: readonly Stage[]): Stage[] => all.map((stage) => done.get(stage.step.id) ?? stage);
  return {
    ...folded,
    stages: anew(folded.stages),
    earlier: anew(folded.earlier),
    finished: stages.size === 0 ? now(finished) : finished,
  };
}
