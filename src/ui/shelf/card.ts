import { CARDS, sizeNamed } from '@/core/design';
import { pictureOf, takingIn } from '@/core/looks';
import { seenOnly, type Scene } from '@/core/scene';
import { cutListOf, sheetsTaken, type PlannedPart, type SetInput, type SetPlan } from '@/core/sets';
import { answerOf, checksAcross, plannedSet } from '../parts/plans';

/** What a project's card shows of its set, as data. */
export interface Card {
  /** The outermost thing, with what is in it peeking out. */
  readonly picture: Scene | null;
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
    picture: made && seenOnly(several && shown.holds ? takingIn(made, shown.holds) : pictureOf(made)),
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
