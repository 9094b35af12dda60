import { z } from '../text/zod';
import { inches, lengthSchema, mm, stepOf, type Mm } from '../length';
import { changedDesign, inputOf, readDesign, type Design } from '../design';
import { planFor, type Made } from '../plan';
import type { Kit } from '../tools';
import { toEnd } from '../progress';
import { issuesOf, type Issue } from '../text/issues';
import { planSet, readSet, type SetDesign } from '../sets';
import { makesOfSet, type ChainOdds } from './chain';
import type { Ways } from './lines';
import { benchFor, makes, type Hands, type Odds } from './odds';

/** What hands usually are off, two standard deviations, mm. Common practice 1/32 in for what is cut and scored. */
export const USUAL_HANDS: Hands = { cut: inches(1 / 32), score: inches(1 / 32), setting: inches(1 / 32) };

/** What is cut with scissors, by eye along a line. Common practice, no source. */
export const SCISSORS = inches(1 / 16);

/** Most makes counted at once, and those of a question that does not say. */
const MOST_RUNS = 20_000;
const USUAL_RUNS = 4000;

const off = lengthSchema({ least: 0, most: 10 });
const fence = z
  .enum(['one', 'two'], {
    error: 'Write "one" where both sides of a blank are cut at one setting of the fence, "two" where not.',
  })
  .optional();
const setBy = z
  .enum(['pointer', 'ruler'], {
    error: 'An envelope board is set by its "pointer" after the first side, or each side by the "ruler".',
  })
  .optional();

/**
 * The hands document (its JSON Schema: /api/v1/schema): a design, or a whole set, how exact its maker is, how often it is made, and the seed of
 * chance.
 */
export const handsSchema = z.strictObject({
  version: z.literal(1, { error: 'This reads documents of version 1: write "version": 1.' }),
  design: z
    .record(z.string(), z.unknown(), { error: 'A design is an object with its construction.' })
    .optional()
    .describe('A design document.'),
  set: z
    .record(z.string(), z.unknown(), { error: 'A set is an object with its parts.' })
    .optional()
    .describe('A set document instead: each part must take what goes into it as that became.'),
  hands: z
    .strictObject({
      cut: off.optional().describe('1/32 in, by scissors 1/16 in.'),
      score: off.prefault(USUAL_HANDS.score),
      setting: off.prefault(USUAL_HANDS.setting),
      fence: fence.describe('Whether both sides of a blank are cut at one setting: a square is.'),
      setBy: setBy.describe('How an envelope board is set after its first side.'),
    })
    .prefault({})
    .describe('How far off what is cut, scored and set on a board is, two standard deviations.'),
  runs: z
    .int({ error: 'Write how often it is made as a whole number.' })
    .min(1, { error: 'It is made once at least.' })
    .max(MOST_RUNS, { error: `It is made ${MOST_RUNS} times at most.` })
    .default(USUAL_RUNS),
  seed: z.int({ error: 'A seed is a whole number.' }).default(1),
  fence,
  setBy,
});

interface Counting {
  readonly hands: Hands;
  readonly ways: Partial<Ways>;
  readonly runs: number;
  readonly seed: number;
}
/** A question that was read: of a design by itself, or of a set. */
export type DesignQuestion = Counting & { readonly design: Design; readonly set: null };
export type SetQuestion = Counting & { readonly design: null; readonly set: SetDesign };
export type HandsQuestion = DesignQuestion | SetQuestion;

type ReadQuestion =
  | { readonly ok: true; readonly question: HandsQuestion }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** Reads the document; what is wrong with it with its place. */
export function readHands(document: unknown): ReadQuestion {
  const read = handsSchema.safeParse(document, { reportInput: true });
  if (!read.success) return { ok: false, issues: issuesOf(read.error) };
  const { design, set, hands: told, runs, seed } = read.data;
  const fence = told.fence ?? read.data.fence;
  const setBy = told.setBy ?? read.data.setBy;
  const ways = { ...(fence && { fence }), ...(setBy && { setBy }) };
  const counting = (kit: Kit | null) => ({
    hands: { cut: told.cut ?? cutsBy(kit), score: told.score, setting: told.setting },
    ways,
    runs,
    seed,
  });
  const within = (place: string, issues: readonly Issue[]): ReadQuestion => ({
    ok: false,
    issues: issues.map(({ path, message }) => ({ path: [place, path].filter(Boolean).join('.'), message })),
  });
  if ((design === undefined) === (set === undefined))
    return { ok: false, issues: [{ path: 'design', message: 'Give a design, or a set: one of the two.' }] };
  if (set) {
    const whole = readSet(set);
    return whole.ok
      ? { ok: true, question: { ...counting(null), set: whole.set, design: null } }
      : within('set', whole.issues);
  }
  const one = readDesign({ version: 1, ...design });
  return one.ok
    ? { ok: true, question: { ...counting(one.design.kit), design: one.design, set: null } }
    : within('design', one.issues);
}

/** How exact what cuts is: where a kit is told and no trimmer is in it, scissors do. */
const cutsBy = (kit: Kit | null): Mm =>
  kit && Object.keys(kit).length > 0 && kit.trimmer === undefined ? SCISSORS : USUAL_HANDS.cut;

/** Marks more than the aim that are asked about besides; and further ones, for as long as too few fit. */
const MORE = [0, 0.5, 1, 2, 3] as const;
const FURTHER = [4, 5, 6, 8] as const;
/** The share that is worth having. */
export const WORTH_HAVING = 0.95;

/** The odds at so much room, mm each way, so many marks more than the aim. */
export interface AtRoom {
  readonly marks: number;
  readonly ease: { readonly width: Mm; readonly height: Mm };
  readonly share: number;
}
/** The odds of a set: all of it, and part by part. */
export interface SetAnswer extends ChainOdds {
  readonly version: 1;
  readonly seed: number;
}
export interface HandsAnswer {
  readonly version: 1;
  /** Share of makes in which everything comes out right; null where there is nothing to count. */
  readonly share: number | null;
  readonly by: Odds['by'];
  readonly matters: Odds['matters'];
  /** The share at the aim, and at half a mark, one, two, three marks more. */
  readonly room: readonly AtRoom[];
  /** The least room of these that 95 of 100 fit with; null where none does, or was asked for. */
  readonly enough: AtRoom | null;
  /** The share with every side of an envelope board set by the ruler; null where the pointer hands nothing on. */
  readonly byRuler: number | null;
  readonly runs: number;
  readonly seed: number;
}

/** How far it has come, 0 to 1. */
export type HandsProgress = number;

/**
 * How likely hands like these make it fit, and at more room. Step by step, telling how far it is: whoever asks may stop it.
 * @param atMoreRoom false where only the plan as it is is asked about
 */
export function* oddsAnswer(
  { design, hands, ways, runs, seed }: DesignQuestion,
  atMoreRoom = true,
): Generator<HandsProgress, HandsAnswer> {
  const plan = planFor(design);
  const bench = plan.made && benchFor(plan.made, design, hands, ways);
  const none = {
    version: 1,
    share: null,
    by: [],
    matters: [],
    room: [],
    enough: null,
    byRuler: null,
    runs,
    seed,
  } as const;
  if (!bench) return none;
  const rooms = design.blank || !atMoreRoom ? [] : roomsOf(design, MORE);
  const ruled =
    ways.setBy !== 'ruler' && byPointer(plan.made!)
      ? benchFor(plan.made!, design, hands, { ...ways, setBy: 'ruler' })
      : null;
  const all = 1 + rooms.length + (ruled ? 1 : 0);
  const counted = yield* shareDone(makes(bench, hands, runs, seed), runs, 0, all);
  const byRuler = ruled ? (yield* shareDone(makes(ruled, hands, runs, seed), runs, 1, all)).share : null;
  const room: AtRoom[] = [];
  const countedAt = function* (at: Roomier, before: number): Generator<HandsProgress, AtRoom | null> {
    const { made } = planFor(at.design);
    const again = made && benchFor(made, at.design, hands, ways);
    if (!again) return null;
    const { share } = yield* shareDone(makes(again, hands, runs, seed), runs, before, all);
    return { marks: at.marks, ease: at.ease, share };
  };
  for (const [i, at] of rooms.entries()) {
    const found = yield* countedAt(at, all - rooms.length + i);
    if (found) room.push(found);
  }
  const fits = ({ share }: AtRoom): boolean => share >= WORTH_HAVING;
  let enough = room.find(fits) ?? null;
  for (const at of enough || rooms.length === 0 ? [] : roomsOf(design, FURTHER)) {
    const found = yield* countedAt(at, all - 1);
    if (found) room.push(found);
    if (found && fits(found)) {
      enough = found;
      break;
    }
  }
  const { share, by, matters } = counted;
  return { version: 1, share, by, matters, room, enough, byRuler, runs, seed };
}

/** True where a score’s error is handed on: a notch is found by the pointer. */
const byPointer = ({ pieces }: Made): boolean =>
  pieces.some(({ programme }) => programme.moves.some((move) => move.do === 'place' && move.by === 'pointer'));

/** How likely hands like these make a whole set fit, the same way. */
export function* setOddsAnswer({ set, hands, ways, runs, seed }: SetQuestion): Generator<HandsProgress, SetAnswer> {
  const odds = yield* shareDone(makesOfSet(planSet(set), hands, runs, seed, ways), runs, 0, 1);
  return { version: 1, ...odds, seed };
}

function* shareDone<T>(
  going: Generator<number, T>,
  runs: number,
  before: number,
  all: number,
): Generator<HandsProgress, T> {
  for (;;) {
    const next = going.next();
    if (next.done) return next.value;
    yield (before + next.value / runs) / all;
  }
}

interface Roomier {
  readonly marks: number;
  readonly ease: AtRoom['ease'];
  readonly design: Design;
}
/** The same design aiming for so many marks more. */
function roomsOf(design: Design, more: readonly number[]): readonly Roomier[] {
  const mark = design.graduation === 'exact' ? 1 : stepOf(design.graduation);
  return more.flatMap((marks) => {
    const ease = { width: mm(design.aim.width + marks * mark), height: mm(design.aim.height + marks * mark) };
    const read = readDesign(changedDesign(inputOf(design), { ease }));
    return read.ok ? [{ marks, ease, design: read.design }] : [];
  });
}

/** All of it at once. */
export const answerHands = (question: HandsQuestion): HandsAnswer | SetAnswer =>
  question.set ? toEnd(setOddsAnswer(question)) : toEnd(oddsAnswer(question));
