import { layerOf } from '../../fold';
import { anticlockwise, distance, sideOf, TOLERANCE } from '../../geometry';
import { type ClaimType } from './claim';

/** A mat leaves a border on what it lies on. */
export interface Reveal {
  readonly kind: 'reveal';
  readonly mat: string;
  readonly on: string;
}
export interface RevealFacts {
  reveal: { readonly on: string };
}

/** The least of the border, all round. */
export const reveal: ClaimType<Reveal, RevealFacts> = {
  of: 'pile',
  measure: ({ mat, on }, { folded: { finished }, name }) => {
    const rim = anticlockwise(layerOf(finished, on).polygon);
    const value = Math.min(
      ...rim.flatMap((from, i) => {
        const to = rim[(i + 1) % rim.length]!;
        return distance(from, to) < TOLERANCE.folded
          ? []
          : layerOf(finished, mat).polygon.map((p) => sideOf({ from, to }, p));
      }),
    );
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
