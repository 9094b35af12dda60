import { slotOf, stageAfter, type FlatCavity } from '../../fold';
import { TOLERANCE } from '../../geometry';
import type { Mm } from '../../length';
import type { ClaimType, FindingOf } from './claim';

/** Cards that are pulled out of pockets by a tab, and what they must not reach. */
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
    /** How deep in the pocket the first hole begins; null where there is none. */
    readonly holes: Mm | null;
  }[];
}
export interface PullOutsFacts {
  'pull-out': { readonly card: string; readonly side: 'across' | 'into' | 'holes'; readonly out: number };
}

/** Each card in its pocket, as deep as that lets it: room beside it, clear of the holes, and out far enough to be held. */
export const pullOuts: ClaimType<PullOuts, PullOutsFacts> = {
  of: 'pile',
  measure: ({ cards }, { folded }) =>
    cards.map(({ name, cavity, across, into, thickness, holes }): FindingOf<PullOutsFacts> => {
      const slot = slotOf(stageAfter(folded, cavity.insertAfter).stack, cavity, false);
      const width = across + thickness;
      const deep = Math.min(into, slot.roomFor({ width, height: 0 }).height - thickness / 2);
      const left = {
        across: slot.roomFor({ width, height: Math.max(0, deep) }).width - width,
        // What stops it within reach of its tab is the pocket’s own end; sooner it is too long.
        into: deep - into / 2,
        holes: holes === null ? Infinity : holes - deep,
      };
      const [side, value] = (Object.entries(left) as ['across' | 'into' | 'holes', number][]).reduce((least, one) =>
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
        return `The ${card} goes in with ${say(value)} to spare${out > 0 ? `, stands out by ${say(out)}` : ''} and is held by its tab.`;
      return side === 'holes'
        ? `The ${card} reaches ${say(-value)} into the holes: the rings would hold it fast.`
        : `The ${card} is ${say(-value)} too ${side === 'across' ? 'wide for' : 'long for'} its pocket and does not go in.`;
    },
  },
};
