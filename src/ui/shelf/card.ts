import { useEffect, useState } from 'react';
import { CARDS, pictureOf, sizeNamed, type DesignInput, type Picture } from '@/core/plan';
import { same } from '@/data/patch';
import { keepStill, readStill } from '@/data/stills';
import { planned } from '../parts/plans';

/** What a project's card shows of its design, as data. */
export interface Card {
  readonly picture: Picture | null;
  /** How its size is introduced; null without a pattern. */
  readonly holds: 'Made for' | 'Holds' | 'Holds up to' | null;
  readonly contents: { readonly width: number; readonly height: number } | null;
  /** The usual name of contents of that size. */
  readonly usual: string | null;
  readonly pieces: number;
  readonly blank: { readonly width: number; readonly height: number } | null;
  readonly failing: boolean;
  /** Why the design cannot be read. */
  readonly unread: string | null;
}

/** The card of a design, planned here and now. */
export function cardOf(input: DesignInput): Card {
  const answer = planned(input);
  const made = 'plan' in answer ? answer.plan.made : null;
  const told = 'design' in answer ? answer.design.contents : null;
  const contents = made && (told ?? made.largest);
  return {
    picture: made && pictureOf(made),
    holds: made && (made.holds.length === 0 ? 'Made for' : made.fit ? 'Holds' : 'Holds up to'),
    contents: contents && { width: contents.width, height: contents.height },
    usual: (made && told && sizeNamed(CARDS, told.width, told.height)?.title) ?? null,
    pieces: made?.pieces.length ?? 0,
    blank: made && { ...made.pieces[0].piece.blank },
    failing: !('checks' in answer) || answer.checks.some((check) => check.level === 'fail'),
    unread: 'issues' in answer ? (answer.issues[0]?.message ?? null) : null,
  };
}

/** A moment in which nothing else is waiting; where the browser does not tell, the next one. */
const idle = (): Promise<void> =>
  new Promise((wake) =>
    typeof requestIdleCallback === 'function'
      ? requestIdleCallback(() => wake(), { timeout: 1500 })
      : setTimeout(wake, 0),
  );

/** Cards this page has drawn already. */
const drawn = new Map<string, Card>();

/**
 * The card of a design: as it was last drawn, at once; then planned when there is time, and drawn anew where that says
 * something else. Null until there is one.
 */
export function useCard(design: DesignInput): Card | null {
  const key = JSON.stringify(design);
  const [shown, setShown] = useState<{ readonly key: string; readonly card: Card } | null>(null);
  useEffect(() => {
    let gone = false;
    const show = (card: Card): void => {
      drawn.set(key, card);
      if (!gone) setShown({ key, card });
    };
    const draw = async (): Promise<void> => {
      const still = (await readStill(key)) as Card | null;
      if (still && !gone) show(still);
      await idle();
      if (gone) return;
      const now = cardOf(design);
      if (still && same(still, now)) return;
      show(now);
      await keepStill(key, now);
    };
    if (!drawn.has(key))
      draw().catch((error: unknown) =>
        // What is wrong with one card is its boundary's business.
        setShown(() => {
          throw error;
        }),
      );
    return () => void (gone = true);
    // A design is told by what it says.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return shown?.key === key ? shown.card : (drawn.get(key) ?? null);
}
