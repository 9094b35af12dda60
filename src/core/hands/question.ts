import { z } from 'zod';
import { inches, lengthSchema, mm, stepOf, type Mm } from '../length';
import { changedDesign, inputOf, readDesign, type Design } from '../design';
import { planFor } from '../plan';
import { toEnd } from '../progress';
import { issuesOf, type Issue } from '../text/issues';
import { planSet, readSet, type SetDesign } from '../sets';
import { makesOfSet, type ChainOdds } from './chain';
import { benchFor, makes, type Hands, type Odds } from './odds';

/** What hands usually are off, two standard deviations, mm. Common practice 1/32 in for what is cut and scored. */
export const USUAL_HANDS: Hands = { cut: inches(1 / 32), score: inches(1 / 32), setting: inches(1 / 32) };

/** Most makes counted at once, and those of a question that does not say. */
const MOST_RUNS = 20_000;
const USUAL_RUNS = 4000;

const off = lengthSchema({ least: 0, most: 10 });

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
      cut: off.prefault(USUAL_HANDS.cut),
      score: off.prefault(USUAL_HANDS.score),
      setting: off.prefault(USUAL_HANDS.setting),
    })
    .prefault({})
    .describe('How far off what is cut, scored and set on a board is, two standard deviations.'),
  runs: z
    .int({ error: 'Write how often it is made as a whole number.' })
    .min(1, { error: 'It is made once at least.' })
    .max(MOST_RUNS, { error: `It is made ${MOST_RUNS} times at most.` })
    .default(USUAL_RUNS),
  seed: z.int({ error: 'A seed is a whole number.' }).default(1),
});

interface Counting {
  readonly hands: Hands;
  readonly runs: number;
  readonly seed: number;
}
/** A question that was read: of a design by itself, or of a set. */
export type DesignQuestion = Counting & { readonly design: Design; readonly set: null };
export type SetQuestion = Counting & { readonly design: null; readonly set: SetDesign };
export type HandsQuestion = DesignQuestion | SetQuestion;

type ReadQuestion =
  { readonly ok: true; readonly question: HandsQuestion } | { readonly ok: false; readonly issues: readonly Issue[] };

/** Reads the document; what is wrong with it with its place. */
export function readHands(document: unknown): ReadQuestion {
  const read = handsSchema.safeParse(document);
  if (!read.success) return { ok: false, issues: issuesOf(read.error) };
  const { design, set, hands, runs, seed } = read.data;
  const counting = { hands, runs, seed };
  const within = (place: string, issues: readonly Issue[]): ReadQuestion => ({
    ok: false,
    issues: issues.map(({ path, message }) => ({ path: [place, path].filter(Boolean).join('.'), message })),
  });
  if ((design === undefined) === (set === undefined))
    return { ok: false, issues: [{ path: 'design', message: 'Give a design, or a set: one of the two.' }] };
  if (set) {
    const whole = readSet(set);
    return whole.ok
      ? { ok: true, question: { ...counting, set: whole.set, design: null } }
      : within('set', whole.issues);
  }
  const one = readDesign({ version: 1, ...design });
  return one.ok ? { ok: true, question: { ...counting, design: one.design, set: null } } : within('design', one.issues);
}

/** Marks more than the aim that are asked about besides. */
const MORE = [0, 0.5, 1, 2, 3] as const;

/** The odds at so much room, mm each way. */
export interface AtRoom {
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
  { design, hands, runs, seed }: DesignQuestion,
  atMoreRoom = true,
): Generator<HandsProgress, HandsAnswer> {
  const plan = planFor(design);
  const bench = plan.made && benchFor(plan.made, design, hands);
  const none = { version: 1, share: null, by: [], matters: [], room: [], runs, seed } as const;
  if (!bench) return none;
  const rooms = design.blank || !atMoreRoom ? [] : roomsOf(design);
  const all = 1 + rooms.length;
  const counted = yield* shareDone(makes(bench, hands, runs, seed), runs, 0, all);
  const room: AtRoom[] = [];
  for (const [i, { ease, design: more }] of rooms.entries()) {
    const { made } = planFor(more);
    const again = made && benchFor(made, more, hands);
    if (!again) continue;
    const { share } = yield* shareDone(makes(again, hands, runs, seed), runs, 1 + i, all);
    room.push({ ease, share });
  }
  const { share, by, matters } = counted;
  return { version: 1, share, by, matters, room, runs, seed };
}

/** How likely hands like these make a whole set fit, the same way. */
export function* setOddsAnswer({ set, hands, runs, seed }: SetQuestion): Generator<HandsProgress, SetAnswer> {
  const odds = yield* shareDone(makesOfSet(planSet(set), hands, runs, seed), runs, 0, 1);
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

/** The same design aiming for more and more room. */
function roomsOf(design: Design): readonly { readonly ease: AtRoom['ease']; readonly design: Design }[] {
  const mark = design.graduation === 'exact' ? 1 : stepOf(design.graduation);
  return MORE.flatMap((marks) => {
    const ease = { width: mm(design.aim.width + marks * mark), height: mm(design.aim.height + marks * mark) };
    const read = readDesign(changedDesign(inputOf(design), { ease }));
    return read.ok ? [{ ease, design: read.design }] : [];
  });
}

/** All of it at once. */
export const answerHands = (question: HandsQuestion): HandsAnswer | SetAnswer =>
  question.set ? toEnd(setOddsAnswer(question)) : toEnd(oddsAnswer(question));
