import { leastWidth, TOLERANCE } from '../../geometry';
import { lapBetween } from '../../fold';
import { inches, mm, type Mm } from '../../length';
import type { ClaimType, Level, FoldedThing } from './claim';

/** Pairs of panels whose lap holds the thing together. */
export interface Laps {
  readonly kind: 'laps';
  readonly pairs: readonly (readonly [string, string])[];
  /** What was asked for, where marks may leave less. */
  readonly asked?: Mm;
}
export interface LapFacts {
  'flap-overlap': { readonly a: string; readonly b: string; readonly asked?: Mm };
}

/** Least lap that holds with glue, mm. Common practice 1/4 in. */
const LEAST_LAP = inches(1 / 4);
/** The same as it is told in millimetres: enough, too. */
const LEAST_TOLD = mm(6);

/** The narrowest of the laps on the folded thing; null where nothing laps. */
export function leastOf(
  { pairs }: Laps,
  { folded }: Pick<FoldedThing, 'folded'>,
): { readonly a: string; readonly b: string; readonly breadth: Mm } | null {
  const { finished, standing } = folded;
  // In space papers lap where they are glued.
  const glued = (a: string, b: string): number =>
    Math.max(
      0,
      ...standing!.finished.joints
        .filter(({ panel, onto }) => (panel === a && onto === b) || (panel === b && onto === a))
        .flatMap(({ polygons }) => polygons.map(leastWidth)),
    );
  const laps = pairs.map(([a, b]) => ({
    a,
    b,
    breadth: mm(standing ? glued(a, b) : lapBetween(finished, a, b).breadth),
  }));
  return laps.length > 0 ? laps.reduce((low, lap) => (lap.breadth < low.breadth ? lap : low)) : null;
}

export const laps: ClaimType<Laps, LapFacts> = {
  of: 'pile',
  measure: (claim, thing) => {
    const least = leastOf(claim, thing);
    if (!least) return [];
    const { a, b, breadth: value } = least;
    const level: Level = value <= TOLERANCE.folded ? 'fail' : value < LEAST_TOLD - TOLERANCE.folded ? 'warn' : 'pass';
    const short = level === 'pass' && claim.asked !== undefined && value < claim.asked - TOLERANCE.folded;
    const about = { a: thing.name(a), b: thing.name(b), ...(short && { asked: claim.asked }) };
    return [{ kind: 'flap-overlap', level: short ? 'note' : level, value, limit: LEAST_LAP, about, cure: LEAST_LAP }];
  },
  words: {
    'flap-overlap': ({ level, value, limit, about: { a, b, asked } }, say) => {
      if (asked !== undefined)
        return `Flaps lap by ${say(value, 'down')} where they are glued; ${say(asked)} was asked for, and the marks took the rest.`;
      if (level === 'pass') return `Flaps lap by ${say(value)} where they are glued.`;
      return value <= TOLERANCE.folded
        ? `The ${a} and the ${b} do not meet, so nothing holds them. Leave the flaps longer.`
        : `The ${a} laps the ${b} by only ${say(value, 'down')}; ${say(limit, 'up')} holds better. Use the thinnest tape.`;
    },
  },
};
