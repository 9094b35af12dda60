import { slotOf, stageAfter, type FlatCavity, type Joint } from '../../fold';
import { TOLERANCE } from '../../geometry';
import type { Mm } from '../../length';
import type { ClaimType, FindingOf } from './claim';

/** Cards that are pulled out of pockets by a tab. */
export interface PullOuts {
  readonly kind: 'pull-outs';
  readonly cards: readonly {
    /** What a maker calls it. */
    readonly name: string;
    readonly cavity: FlatCavity;
    /** Along the pocket’s mouth and into it, layers included in the thickness, mm. */
    readonly across: Mm;
    readonly into: Mm;
    readonly thickness: Mm;
    /** Rings through the pocket: each ties its walls together where it goes through them. */
    readonly rings: readonly Joint[];
  }[];
}
export interface PullOutsFacts {
  'pull-out': { readonly card: string; readonly side: 'across' | 'into' | 'rings'; readonly out: number };
}

/**
 * Each card pushed into its pocket of the folded page as deep as that lets it: what room is left beside it, whether it is
 * the pocket’s end that stops it or a ring, and that no more of it stands out than lies in.
 */
export const pullOuts: ClaimType<PullOuts, PullOutsFacts> = {
  of: 'pile',
  measure: ({ cards }, { folded }) =>
    cards.map(({ name, cavity, across, into, thickness, rings }): FindingOf<PullOutsFacts> => {
      const { stack } = stageAfter(folded, cavity.insertAfter);
      const bare = slotOf(stack, cavity, false);
      const ringed = slotOf({ ...stack, joints: [...stack.joints, ...rings] }, cavity, false);
      const width = across + thickness;
      const depth = ({ roomFor }: typeof bare): number => roomFor({ width, height: 0 }).height - thickness / 2;
      const deep = Math.min(into, depth(ringed));
      const left = {
        across: ringed.roomFor({ width, height: Math.max(0, deep) }).width - width,
        into: deep - into / 2,
        rings: deep - Math.min(into, depth(bare)),
      };
      const [side, value] = (Object.entries(left) as ['across' | 'into' | 'rings', number][]).reduce((least, one) =>
        one[1] < least[1] ? one : least,
      );
      const fits = value >= -TOLERANCE.folded;
      return {
        kind: 'pull-out',
        at: cavity.id,
        level: fits ? 'pass' : 'fail',
        value: fits ? left.across : value,
        limit: 0,
        about: { card: name, side: fits ? 'across' : side, out: into - deep },
      };
    }),
  words: {
    'pull-out': ({ level, value, about: { card, side, out } }, say) => {
      if (level === 'pass')
        return `The ${card} goes in with ${say(value)} to spare${out > TOLERANCE.folded ? `, stands out by ${say(out)}` : ''} and is held by its tab.`;
      return side === 'rings'
        ? `The ${card} meets the rings ${say(-value)} before it is in: make it shorter, or the holes nearer the edge.`
        : `The ${card} is ${say(-value)} too ${side === 'across' ? 'wide for' : 'long for'} its pocket and does not go in.`;
    },
  },
};
