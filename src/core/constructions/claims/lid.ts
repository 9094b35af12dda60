import { TOLERANCE } from '../../geometry';
import { lidWays, type LidPair } from '../../fold';
import { inches, mm, type Say } from '../../length';
import type { ClaimType, Finding, Level } from './claim';

/** A lid goes over its box, layers and all. */
export interface Lid extends LidPair {
  readonly kind: 'lid';
}
interface Way {
  /** How much larger the lid is than the box, and what its layers take of that. */
  readonly allowance: number;
  readonly layers: number;
  readonly takes: number;
  /** The allowance workshops take without counting. */
  readonly familiar: number;
  /** Cut without any allowance, to grip. */
  readonly exact: boolean;
}
export interface LidFacts {
  'lid-width': Way;
  'lid-height': Way;
}

/** The allowance workshops take without counting layers, mm. Common practice 1/8 in on the blank. */
const FAMILIAR = inches(1 / 8);

/** Card gives way so much, both sides together, when a lid is pressed on, mm; more creases it. From memory. */
const PRESSED = 2;
/** A lid with more than this to spare lifts off by itself, mm. Common practice 1/4 in. */
const LOOSE = inches(1 / 4);

export const lid: ClaimType<Lid, LidFacts> = {
  of: 'standing',
  measure: (pair, { folded, caliper }) => {
    const ways = lidWays(folded.standing!.finished, pair, caliper);
    return (['width', 'height'] as const).map((side) => {
      const { allowance, layers, thick } = ways[side];
      const takes = 2 * thick;
      const value = allowance - takes;
      const exact = Math.abs(allowance) <= TOLERANCE.folded;
      const level: Level =
        value < -PRESSED - TOLERANCE.folded
          ? 'fail'
          : exact
            ? 'note'
            : value <= TOLERANCE.folded || value > LOOSE + TOLERANCE.folded
              ? 'warn'
              : 'pass';
      const about = { allowance, layers, takes, familiar: FAMILIAR, exact };
      // The cure is told how much the allowance must be, with half a millimetre to slide in.
      return { kind: `lid-${side}` as const, level, value, limit: 0, about, cure: mm(takes + 0.5) };
    });
  },
  words: {
    'lid-width': (finding, say) => words(finding, 'width', say),
    'lid-height': (finding, say) => words(finding, 'height', say),
  },
};

function words({ level, value, about }: Finding<string, Way>, way: string, say: Say): string {
  const { layers, takes, allowance, familiar, exact } = about;
  const counted = `${layers} ${layers === 1 ? 'layer' : 'layers'} of paper a side take ${tenths(takes)}`;
  if (level === 'fail')
    return `The lid will not go on: ${counted} in the ${way}, and it is ${exact ? 'no' : say(allowance, 'down')} larger. Cut it larger.`;
  if (exact) return `The lid has the box’s own ${way}: an exact fit that grips there (${counted}). Press it on.`;
  if (value <= TOLERANCE.folded)
    return `The lid is tight in the ${way}: it is ${say(allowance)} larger, and ${counted}. Press it on gently, or cut it larger.`;
  if (value > LOOSE)
    return `The lid is loose in the ${way}: ${tenths(value)} to spare beyond its layers, where ${say(familiar)} in all is usual. Cut it smaller.`;
  return `The lid goes on with ${tenths(value)} to spare in the ${way}: ${say(allowance)} larger, and ${counted}; workshops allow ${say(familiar)} without counting.`;
}

/** A few layers of paper are said in tenths of a millimetre, whatever the ruler. */
const tenths = (value: number): string => `${Math.round(value * 10) / 10} mm`;
