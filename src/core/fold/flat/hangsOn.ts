import type { ScoreId, Hinge } from '../../pattern';
import type { Joint } from './stack';

/** What holds some paper together. */
interface Held {
  readonly hinges: readonly Hinge[];
  readonly joints: readonly Joint[];
}

/** Every panel that hangs together with the moving side of some hinges once these let go: by hinges and by glue. */
export const hangsOn = (held: Held, hinges: readonly ScoreId[]): ReadonlySet<string> =>
  reached(
    held,
    held.hinges.filter(({ id }) => hinges.includes(id)).map(({ between }) => between[1]),
    hinges,
  );

/** Every panel that hinges and glue hold to some others, but for hinges that let go. */
export function reached(held: Held, from: readonly string[], letGo: readonly string[] = []): ReadonlySet<string> {
  const links = [
    ...held.hinges.filter((hinge) => !letGo.includes(hinge.id)).map((hinge) => hinge.between),
    ...held.joints.map((joint) => [joint.panel, joint.onto] as const),
  ];
  const found = new Set(from);
  for (let grew = true; grew;) {
    grew = false;
    for (const [a, b] of links)
      if (found.has(a) !== found.has(b)) {
        found.add(a).add(b);
        grew = true;
      }
  }
  return found;
}
