import { layerOf } from '../../fold';
import { anticlockwise, distance, sideOf, TOLERANCE } from '../../geometry';
import type { ClaimType } from './claim';

/** Mats that leave a border on what they lie on. */
export interface Reveal {
  readonly kind: 'reveal';
  readonly pairs: readonly (readonly [mat: string, on: string])[];
}
export interface RevealFacts {
  reveal: { readonly on: string };
}

/** The least of all borders, all round, and on what it is found. */
export const reveal: ClaimType<Reveal, RevealFacts> = {
  of: 'pile',
  measure: ({ pairs }, { folded: { finished }, name }) => {
    const borders = pairs.map(([mat, on]) => {
      const rim = anticlockwise(layerOf(finished, on).polygon);
      const value = Math.min(
        ...rim.flatMap((from, i) => {
          const to = rim[(i + 1) % rim.length]!;
          return distance(from, to) < TOLERANCE.folded
            ? []
            : layerOf(finished, mat).polygon.map((p) => sideOf({ from, to }, p));
        }),
      );
      return { value, on };
    });
    if (borders.length === 0) return [];
    const { value, on } = borders.reduce((least, one) => (one.value < least.value ? one : least));
    return [
      { kind: 'reveal', level: value < -TOLERANCE.folded ? 'fail' : 'pass', value, limit: 0, about: { on: name(on) } },
    ];
  },
  words: {
    reveal: ({ level, value, about: { on } }, say) =>
      level === 'pass'
        ? `The border shows ${say(value)} all round at least.`
        : `The mat sticks out past the ${on} by ${say(-value)}.`,
  },
};
