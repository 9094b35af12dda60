import type { PanelName } from '../../pattern';
import { listed } from '../../text';
import type { ClaimType } from './claim';

/** Flaps that were too deep for the opening, and whose tips are turned under; by what a maker calls them. */
export interface TipsTurned {
  readonly kind: 'tips-turned';
  readonly flaps: readonly string[];
}
export interface TipsTurnedFacts {
  'tips-turned': { readonly panels: readonly PanelName[] };
}

export const tipsTurned: ClaimType<TipsTurned, TipsTurnedFacts> = {
  of: 'standing',
  measure: ({ flaps }) =>
    flaps.length > 0
      ? [
          {
            kind: 'tips-turned',
            level: 'note',
            value: flaps.length,
            limit: 0,
            about: { panels: flaps },
          },
        ]
      : [],
  words: {
    'tips-turned': ({ value, about: { panels } }) =>
      `The ${listed(panels, 'the ')} ${value > 1 ? 'are' : 'is'} deeper than the box is wide: the tips are turned under, inside.`,
  },
};
