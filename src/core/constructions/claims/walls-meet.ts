import { TOLERANCE } from '../../geometry';
import { edgesMeet } from '../../fold';
import type { ClaimType } from './claim';

/** Pairs of walls whose edges must meet once they stand. */
export interface WallsMeet {
  readonly kind: 'walls-meet';
  readonly pairs: readonly (readonly [string, string])[];
}
export interface WallsMeetFacts {
  'walls-meet': { readonly a: string; readonly b: string };
}

export const wallsMeet: ClaimType<WallsMeet, WallsMeetFacts> = {
  of: 'standing',
  measure: ({ pairs }, { folded, name }) => {
    const { finished } = folded.standing!;
    const shared = pairs.map(([a, b]) => ({ a, b, value: edgesMeet(finished, a, b) }));
    if (shared.length === 0) return [];
    // The pair that shares the shortest stretch of edge.
    const { a, b, value } = shared.reduce((low, pair) => (pair.value < low.value ? pair : low));
    const about = { a: name(a), b: name(b) };
    return [{ kind: 'walls-meet', level: value <= TOLERANCE.folded ? 'fail' : 'pass', value, limit: 0, about }];
  },
  words: {
    'walls-meet': ({ level, about: { a, b } }) =>
      level === 'pass'
        ? 'Stood up in the computer: every wall meets its neighbours, edge on edge.'
        : `The ${a} and the ${b} do not meet when they stand.`,
  },
};
