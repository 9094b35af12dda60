import { useEffect, useState } from 'react';
import { CARDS, sizeNamed } from '@/core/design';
import { pictureOf, takingIn, type Picture } from '@/core/looks';
import { cutListOf, sheetsTaken, type PlannedPart, type SetInput, type SetPlan } from '@/core/sets';
import { keepStill, readStill } from '@/data/stills';
import { answerOf, checksAcross, plannedSet } from '../parts/plans';

/** What a project's card shows of its set, as data. */
export interface Card {
  /** The outermost thing, with what is in it peeking out. */
  readonly picture: Picture | null;
  /** What it is: the holder, or what it holds in what. */
  readonly kind: string;
  /** How its size is introduced; null without a pattern. */
  readonly holds: 'Made for' | 'Holds' | 'Holds up to' | null;
  readonly contents: { readonly width: number; readonly height: number } | null;
  /** The usual name of contents of that size. */
  readonly usual: string | null;
  readonly pieces: number;
  /** Sheets of paper the whole set takes, as far as papers have sizes; 0 where that is not told. */
  readonly sheets: number;
  readonly blank: { readonly width: number; readonly height: number } | null;
  readonly failing: boolean;
  /** Why the set cannot be read. */
  readonly unread: string | null;
}

const UNREAD = { picture: null, kind: '', holds: null, contents: null, usual: null, pieces: 0, sheets: 0, blank: null };

/** The card of a set, planned here and now. */
export function cardOf(input: SetInput): Card {
  const whole = plannedSet(input);
  if (!('plan' in whole)) return { ...UNREAD, failing: true, unread: whole.issues[0]?.message ?? null };
  const { parts, set } = whole.plan;
  const shown = outermostOf(whole.plan);
  const { made, design } = shown.plan;
  const several = parts.length > 1;
  const inner = several ? innermostOf(whole.plan) : shown;
  const told = inner.part.given ?? inner.plan.design.contents;
  const contents = made && (told ?? inner.plan.made?.largest ?? made.largest);
  const cuts = cutListOf(whole.plan);
  const sheets = cuts.map(({ paper, pieces }) =>
    sheetsTaken(
      set.papers.find(({ id }) => id === paper),
      pieces,
    ),
  );
  const failing = parts.some((one) => {
    const answer = answerOf(whole.set, one);
    return !one.part.given && (!('checks' in answer) || answer.checks.some((check) => check.level === 'fail'));
  });
  return {
    picture: made && (several && shown.holds ? takingIn(made, shown.holds) : pictureOf(made)),
    kind: several
      ? [...parts]
          .reverse()
          .map(({ part: { name, quantity } }) => (quantity > 1 ? `${quantity} × ${name}` : name))
          .join(', ')
      : design.construction.title,
    holds: made && (several ? 'Holds' : made.holds.length === 0 ? 'Made for' : made.fit ? 'Holds' : 'Holds up to'),
    contents: contents && { width: contents.width, height: contents.height },
    usual: (made && told && sizeNamed(CARDS, told.width, told.height)?.title) ?? null,
    pieces: several
      ? cuts.reduce((sum, { pieces }) => sum + pieces.reduce((all, { quantity }) => all + quantity, 0), 0)
      : (made?.pieces.length ?? 0),
    sheets:
      several && sheets.every((one) => one !== null && Number.isFinite(one))
        ? sheets.reduce<number>((sum, one) => sum + one!, 0)
        : 0,
    blank: made && { ...made.pieces[0].piece.blank },
    failing: failing || checksAcross(whole).some(({ level }) => level === 'fail'),
    unread: null,
  };
}

/** What one sees of a set: the largest of what nothing holds, a band giving way to what it goes round. */
function outermostOf({ parts, set }: SetPlan): PlannedPart {
  const held = (id: string): boolean => set.parts.some(({ holds }) => holds.some(({ part }) => part === id));
  const area = ({ outside }: PlannedPart): number => (outside ? outside.width * outside.height : 0);
  const seen = parts.filter(({ part }) => !held(part.id) && !part.round);
  return [...(seen.length > 0 ? seen : parts)].sort((a, b) => area(b) - area(a))[0]!;
}

/** What it is all for: the innermost of what one sees. */
function innermostOf(plan: SetPlan): PlannedPart {
  let one = outermostOf(plan);
  for (;;) {
    const [hold] = one.part.holds;
    const next = hold && plan.parts.find(({ part }) => part.id === hold.part);
    if (!next) return one;
    one = next;
  }
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

/** This version of what draws cards; nothing while the app is worked on. */
const VERSION = process.env.DRAWN_BY ?? '';

/**
 * The card of a set: as it was last drawn, at once. Where another version of the app drew it, or none did, it is planned once
 * it is in sight and there is time, and drawn anew where that says something else. Null until there is one.
 */
export function useCard(set: SetInput, inSight: boolean): Card | null {
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
      await idle();
      if (gone) return;
      const now = cardOf(set);
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
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, inSight]);
  return shown?.key === key ? shown.card : (drawn.get(key) ?? null);
}
