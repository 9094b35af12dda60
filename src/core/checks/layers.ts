import { usualReveal } from '../design';
import type { Made, Plan } from '../plan';
import { check, type Check } from './check';

/** Layers that were asked for and for which there is no room. */
export const layerChecks = ({ design }: Plan, { layers }: Made): Check[] =>
  design.layers.flatMap(({ on, reveal = usualReveal(on, design.usual) }, i) =>
    layers.some(({ layer }) => layer.index === i) ? [] : [check('layer', 'warn', reveal, 0, { on }, [], `${i + 1}`)],
  );
