/**
 * Remedies: `remediesTried(plan)` offers against each thing that is not as it should be only what was tried in the plan
 * and helps, in the order in which a maker would rather have it.
 */
import { checksOf } from './checks';
import type { Check, Remedy } from './check';
import { changedDesign, inputOf, readDesign } from '../design';
import { planFor, type Plan } from '../plan';
import { generalOffers, largerSheets, otherHolders, type OwnPaper } from './offers';

export type { OwnPaper } from './offers';

/** Most plans that are worked out to find what helps one, and most remedies offered against one thing. */
const MOST_TRIALS = 40;
/** Where each of them has all pieces laid out on sheets first, fewer. */
const MOST_LAID_OUT = 8;
const MOST_OFFERED = 3;

/** Finer marks, less room, the other way round, the holder's own flaps, own paper, another holder, paper to be bought. */
const RANK: Record<Remedy['code'], number> = {
  groove_marks: 0,
  finer_marks: 0,
  less_room: 1,
  turned: 2,
  turn_blank: 2,
  turn_all: 2,
  cure: 3,
  own_size: 3,
  square_blank: 3,
  narrower_tape: 3,
  wet_glue: 3,
  move_disc: 3,
  cut_discs: 3,
  smaller_discs: 4,
  no_closure: 5,
  back_with_mat: 3,
  smaller_part: 3,
  usual_option: 4,
  usual_options: 4,
  all_from_one: 4,
  more_sheets: 5,
  own_paper: 5,
  from_contents: 6,
  other_holder: 7,
  larger: 8,
  other_sheet: 9,
  other_paper: 9,
};

/** What was found of a plan, in short: how bad it is. */
interface Found {
  readonly refused: boolean;
  readonly checks: readonly Check[];
  /** How far each failed thing is from what it is held to, mm. */
  readonly fails: ReadonlyMap<string, number>;
  readonly warns: number;
}

const foundOf = (plan: Plan, checks = checksOf(plan)): Found => ({
  refused: plan.made === null,
  checks,
  fails: new Map(
    checks.flatMap(({ id, level, value, limit }) => (level === 'fail' ? [[id, Math.abs(value - limit)] as const] : [])),
  ),
  warns: checks.filter(({ level }) => level === 'warn').length,
});

/** A failure this much nearer to what would do counts as lessened: a share of what it was. */
const LESSENED = 0.9;
const LEVELS = ['pass', 'note', 'warn', 'fail'];

/** True when what is wrong is gone, or less, and nothing is worse than it was. */
function helps(check: Check, before: Found, after: Found): boolean {
  if (after.refused) return false;
  const worse = [...after.fails].some(
    ([id, by]) => by > (before.fails.get(id) ?? 0) * LESSENED ** (id === check.id ? 1 : 0),
  );
  if (check.level === 'fail') {
    // What could not even be drawn is helped by whatever can be folded, and judged.
    if (before.refused) return after.fails.size === 0;
    return !worse;
  }
  const left = after.checks.find(({ id }) => id === check.id);
  const less = !left || LEVELS.indexOf(left.level) < LEVELS.indexOf(check.level);
  return less && !worse && after.warns <= before.warns;
}

/**
 * What was found of a plan, each thing with the remedies that were tried and help: removed or lessened, and nothing else
 * made worse. At most `MOST_TRIALS` plans are worked out; a plan without a fault costs none.
 * @param owned papers the person has, which come before any that would have to be bought
 */
export function remediesTried(plan: Plan, owned: readonly OwnPaper[] = [], checks = checksOf(plan)): readonly Check[] {
  const { design } = plan;
  const input = inputOf(design);
  const before = foundOf(plan, checks);
  const most = design.sheets === null ? MOST_TRIALS : MOST_LAID_OUT;
  const known = new Map<string, Found | null>();
  /** What comes of a change; null where the design cannot be read with it, or no more is tried. */
  const tried = ({ change }: Remedy): Found | null => {
    const key = JSON.stringify(change, (_, value: unknown) => (value === undefined ? 'taken out' : value));
    const seen = known.get(key);
    if (seen !== undefined || known.size >= most) return seen ?? null;
    const read = readDesign(changedDesign(input, change));
    const found = read.ok ? foundOf(planFor(read.design)) : null;
    known.set(key, found);
    return found;
  };
  const helping = (check: Check, offers: readonly Remedy[], most: number): Remedy[] => {
    const good: { remedy: Remedy; after: Found }[] = [];
    for (const remedy of offers) {
      // Where one measure does, not all of them are changed.
      if (remedy.code === 'usual_options' && good.some((one) => one.remedy.code === 'usual_option')) continue;
      const after = tried(remedy);
      if (after && helps(check, before, after)) good.push({ remedy, after });
      if (good.length >= most) break;
    }
    // Where something leaves no fault at all, what leaves one is not offered.
    const whole = good.filter(({ after }) => after.fails.size === 0);
    return (whole.length > 0 ? whole : good).map(({ remedy }) => remedy);
  };
  const general = before.fails.size > 0 ? generalOffers(design, owned) : [];
  const offered = new Set<string>();
  return checks.map((check) => {
    if (check.level === 'pass') return check;
    const own = check.remedies;
    const offers = [...own, ...(check.level === 'fail' ? general : [])].sort((a, b) => RANK[a.code] - RANK[b.code]);
    let remedies = helping(check, offers, MOST_OFFERED);
    if (check.level === 'fail' && remedies.length < MOST_OFFERED && offered.size === 0) {
      remedies = [...remedies, ...helping(check, otherHolders(design), 1)];
      if (remedies.length === 0) remedies = helping(check, largerSheets(design), 1);
    }
    const fresh = remedies.filter((remedy) => {
      const key = JSON.stringify(remedy.change);
      return check.level !== 'fail' || !offered.has(key);
    });
    for (const remedy of fresh) offered.add(JSON.stringify(remedy.change));
    return { ...check, remedies: fresh.sort((a, b) => RANK[a.code] - RANK[b.code]).slice(0, MOST_OFFERED) } as Check;
  });
}

/** Remedies by the id of what they are for; those that help nothing are left out. */
export type Remedies = Readonly<Record<string, readonly Remedy[]>>;
export const remediesOf = (tried: readonly Check[]): Remedies =>
  Object.fromEntries(tried.filter(({ remedies }) => remedies.length > 0).map(({ id, remedies }) => [id, remedies]));
