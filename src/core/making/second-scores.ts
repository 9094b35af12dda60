/** Folds that go round what lies there: each takes a second score, a pile beyond its first. */
import { claimsOf, measured } from '../constructions';
import { calipersOf, type Design } from '../design';
import { mm, type Mm } from '../length';
import { panelName, type Made } from '../plan';

/** How far beyond its score each such fold takes a second one, mm, by the step of the assembly. */
export function secondScores({ built, folded }: Made, design: Design): ReadonlyMap<string, Mm> {
  const thing = {
    folded,
    cavity: built.cavities[0],
    caliper: calipersOf(design),
    name: (panel: string) => panelName(built, panel),
  };
  const found = measured(claimsOf(built.claims, 'creases'), 'pile', thing);
  return new Map(found.flatMap(({ at, value }) => (at === undefined ? [] : [[at, mm(value)] as const])));
}
