import type { PanelName, StepId } from '../../pattern';
import { levelOf, thickestPile } from '../../fold';
import { intersection } from '../../geometry';
import type { Mm } from '../../length';
import type { ClaimType, FindingOf } from './claim';

/** Folds that go round what lies in the holder and the paper over it, each by a single crease. */
export interface Creases {
  readonly kind: 'creases';
  /** Steps of the assembly that close something over. */
  readonly folds: readonly StepId[];
  /** What lies in it, mm. */
  readonly thickness: Mm;
}
export interface CreasesFacts {
  creases: { readonly panel: PanelName };
}

/** A single crease goes round so much without being eased, mm. From memory. */
const GOES_ROUND = 1;

/** How thick what each fold goes round is: the paper it comes down on, down to the floor, and what lies there. */
export const creases: ClaimType<Creases, CreasesFacts> = {
  of: 'pile',
  measure: ({ folds, thickness }, { folded, cavity, caliper, name }) =>
    folded.stages.flatMap(({ step, moving, stack }): FindingOf<CreasesFacts>[] => {
      if (!folds.includes(step.id) || !cavity) return [];
      const turned = step.kind === 'fold' && stack.hinges.find(({ id }) => id === step.hinges[0])?.between[1];
      const floor = levelOf(stack, cavity.floor);
      const flaps = stack.layers.filter(({ panel }) => moving.includes(panel));
      const under = stack.layers.filter(
        (layer, level) =>
          level > floor &&
          !moving.includes(layer.panel) &&
          flaps.some(({ polygon }) => intersection(polygon, layer.polygon).length > 0),
      );
      const paper = under.length > 0 ? thickestPile({ ...stack, layers: under }, caliper) : 0;
      const value = paper + thickness;
      return value > GOES_ROUND
        ? [
            {
              kind: 'creases',
              at: step.id,
              level: 'note',
              value,
              limit: GOES_ROUND,
              about: { panel: name(turned || moving[0]!) },
            },
          ]
        : [];
    }),
  words: {
    creases: ({ value, about: { panel } }, say) =>
      `The ${panel} goes round ${say(value, 'up')} of paper and contents: crease it a second time, ${say(value, 'up')} outside the first, or it springs open.`,
  },
};
