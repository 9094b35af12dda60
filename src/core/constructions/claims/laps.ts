import { TOLERANCE } from '../../geometry';
import { lapBetween } from '../../fold';
import { inches, mm, type Mm } from '../../length';
import { type ClaimType, type Level, type Thing } from './claim';

/** Pairs of panels whose lap holds the thing together. */
export interface Laps {
  readonly kind: 'laps';
  readonly pairs: readonly (readonly [string, string])[];
}
export interface LapFacts {
  'flap-overlap': { readonly a: string; readonly b: string };
}

/** Least lap that holds with glue, mm. Common practice 1/4 in. */
const LEAST_LAP = inches(1 / 4);

/** The narrowest of the laps on the folded thing; null where nothing laps. */
export function leastOf(
  { pairs }: Laps,
  { folded }: Pick<Thing, 'folded'>,
): { readonly a: string; readonly b: string; readonly breadth: Mm } | null {
  const laps = pairs.map(([a, b]) => ({ a, b, breadth: mm(lapBetween(folded.finished, a, b).breadth) }));
  return laps.length > 0 ? laps.reduce((low, lap) => (lap.breadth < low.breadth ? lap : low)) : null;
}

export const laps: ClaimType<Laps, LapFacts> = {
  of: 'pile',
  measure: (claim, thing) => {
    const least = leastOf(claim, thing);
    if (!least) return [];
    const { a, b, breadth: value } = least;
    const level: Level = value <= TOLERANCE.folded ? 'fail' : value < LEAST_LAP - TOLERANCE.folded ? 'warn' : 'pass';
    const about = { a: thing.name(a), b: thing.name(b) };
    return [{ kind: 'flap-overlap', level, value, limit: LEAST_LAP, about, cure: LEAST_LAP }];
  },
  words: {
    'flap-overlap': ({ level, value, limit, about: { a, b } }, say) => {
      if (level === 'pass') return `Flaps lap by ${say(value)} where they are glued.`;
      return value <= TOLERANCE.folded
        ? `The ${a} and the ${b} do not meet, so nothing holds them. Leave the flaps longer.`
        : `The ${a} laps the ${b} by only ${say(value)}; ${say(limit)} holds better. Use the thinnest tape.`;
    },
  },
};
