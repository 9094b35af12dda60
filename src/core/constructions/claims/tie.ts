import { leafOf, roomAxes } from '../../fold';
import { boxOf3, seenFrom, TOLERANCE } from '../../geometry';
import type { Mm } from '../../length';
import type { ClaimType } from './claim';

/** Flaps whose tips lap over the opening of a box, and what a tie hole there takes with its margin, mm; 0 without one. */
export interface TieClaim {
  readonly kind: 'tie';
  readonly flaps: readonly [string, string];
  readonly needs: Mm;
}
export interface TieFacts {
  tie: { readonly a: string; readonly b: string; readonly holed: boolean };
}

export const tie: ClaimType<TieClaim, TieFacts> = {
  of: 'standing',
  measure: ({ flaps, needs }, { folded, cavity, name }) => {
    if (cavity?.kind !== 'box') return [];
    const { finished } = folded.standing!;
    const axes = roomAxes(finished, cavity);
    const [a, b] = flaps.map((id) => boxOf3(leafOf(finished, id).corners.map((p) => seenFrom(axes, p)))) as [
      ReturnType<typeof boxOf3>,
      ReturnType<typeof boxOf3>,
    ];
    // They reach for each other along whichever axis both do not span alike.
    const lap = (axis: 'x' | 'y'): number => Math.min(a[1][axis], b[1][axis]) - Math.max(a[0][axis], b[0][axis]);
    const unlike = (axis: 'x' | 'y'): number => Math.abs(a[0][axis] - b[0][axis]) + Math.abs(a[1][axis] - b[1][axis]);
    const value = lap(unlike('x') > unlike('y') ? 'x' : 'y');
    const holed = needs > 0;
    const level = value >= needs - TOLERANCE.folded ? 'pass' : holed ? 'warn' : 'note';
    const about = { a: name(flaps[0]), b: name(flaps[1]), holed };
    return [{ kind: 'tie', level, value, limit: needs, about, ...(holed && { cure: needs }) }];
  },
  words: {
    tie: ({ level, value, limit, about: { a, b, holed } }, say) => {
      if (level === 'pass')
        return `The tips lap by ${say(value)} over the opening${holed ? ': room for the tie hole and its margin' : ''}.`;
      return value < 0
        ? `The tips of the ${a} and the ${b} stop ${say(-value)} apart: tie it with a cord round the box.`
        : `The tips lap by only ${say(value)}; a tie hole with its margin takes ${say(limit)}. Tie a cord round instead.`;
    },
  },
};
