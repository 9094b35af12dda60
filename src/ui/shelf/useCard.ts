import { useEffect, useState } from 'react';
import type { SetInput } from '@/core/sets';
import { keepStill, readStill } from '@/data/stills';
import type { Card } from './card';
import type { ExampleCards } from './exampleCards';

/** A moment in which nothing else is waiting; where the browser does not tell, the next one. */
const idle = (): Promise<void> =>
  new Promise((wake) =>
    typeof requestIdleCallback === 'function'
      ? requestIdleCallback(() => wake(), { timeout: 1500 })
      : setTimeout(wake, 0),
  );

/** Cards this page has drawn already. */
const drawn = new Map<string, Card>();

/** This version of what draws cards; nothing while the app is worked on. */
const VERSION = process.env.DRAWN_BY ?? '';

/** The examples’ cards, drawn when the app was built; asked for once. Those that another version drew are as good as none. */
let cameDrawn: Promise<ReadonlyMap<string, Card>> | null = null;
const cameWith = async (key: string): Promise<Card | null> => {
  cameDrawn ??= fetch('/shelf/cards')
    .then((answer) => answer.json() as Promise<ExampleCards>)
    .then(({ by, cards }) => new Map(by === VERSION ? cards : []))
    // Without a network they are planned like any other.
    .catch(() => new Map());
  return (await cameDrawn).get(key) ?? null;
};

/**
 * The card of a set: as it was last drawn, at once. Where another version of the app drew it, or none did, it is planned once
 * it is in sight and there is time, and drawn anew where that says something else. What `came` with the app was drawn with it.
 * Null until there is one.
 */
export function useCard(set: SetInput, inSight: boolean, came = false): Card | null {
  const key = JSON.stringify(set);
  const [shown, setShown] = useState<{ readonly key: string; readonly card: Card } | null>(null);
  useEffect(() => {
    let gone = false;
    const show = (card: Card): void => {
      drawn.set(key, card);
      if (!gone) setShown({ key, card });
    };
    const draw = async (): Promise<void> => {
      const still = await readStill(key);
      if (still && !gone) setShown({ key, card: still.card as Card });
      if (still && VERSION !== '' && still.by === VERSION) return void drawn.set(key, still.card as Card);
      if (!inSight) return;
      const example = came && VERSION !== '' ? await cameWith(key) : null;
      if (!example) await idle();
      if (gone) return;
      // What plans is asked for when something is planned.
      const now = example ?? (await import('./card')).cardOf(set);
      show(now);
      await keepStill(key, now, VERSION);
    };
    if (!drawn.has(key))
      draw().catch((error: unknown) =>
        // What is wrong with one card is its boundary's business.
        setShown(() => {
          throw error;
        }),
      );
    return () => void (gone = true);
    // A set is told by what it says.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key, inSight, came]);
  return shown?.key === key ? shown.card : (drawn.get(key) ?? null);
}
