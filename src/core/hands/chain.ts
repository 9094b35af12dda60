/** Hands over a whole set: what is made with errors goes into what is made with errors. */
import type { Contents } from '../constructions';
import { mm } from '../length';
import type { Design } from '../design';
import type { Made } from '../plan';
import { alike, heldBy, onEachOther, together, type Outside, type PlannedPart, type SetPlan } from '../sets';
import type { Ways } from './lines';
import { benchFor, benchForSize, normalFrom, type MakeCheck, type OddsBench, type Hands } from './odds';

/** How often one part of a set comes out right, its contents being what they became. */
export interface PartOdds {
  readonly part: string;
  readonly share: number;
  readonly by: readonly { readonly check: MakeCheck; readonly share: number }[];
}
export interface ChainOdds {
  /** Share of sets in which every part does. */
  readonly share: number;
  /** The part that fails most often first. */
  readonly parts: readonly PartOdds[];
  readonly runs: number;
}

const ASKED: readonly MakeCheck[] = ['goes-in', 'laps', 'closes', 'hides'];
/** Of like things in one room so many are made with errors of their own at most: the largest of more is hardly larger. */
const MOST_DRAWN = 12;

const grown = (one: Outside, by: Contents): Outside => ({
  width: mm(one.width + by.width),
  height: mm(one.height + by.height),
  thickness: mm(one.thickness + by.thickness),
});

/** A part on its bench; without one it is as it was planned: it stands, and nothing goes in. */
interface AtWork {
  readonly planned: PlannedPart;
  readonly bench: OddsBench | null;
  /** How far off each thing is that is done to it, a standard deviation, mm: nothing of what is bought. */
  readonly deviations: readonly number[];
  readonly onFloor: boolean;
}

const AS_PLANNED: Contents = { width: mm(0), height: mm(0), thickness: mm(0) };

/** A part laid out with what goes in; what is there already is not sized for its contents, and is asked for them all the same. */
function benchIn(
  { holds }: PlannedPart,
  made: Made,
  design: Design,
  hands: Hands,
  ways: Partial<Ways>,
): OddsBench | null {
  const [hold] = made.holds;
  return made.fit || !hold || !holds
    ? benchFor(made, design, hands, ways)
    : benchFor({ ...made, fit: hold.fit(holds) }, { ...design, contents: holds }, hands, ways);
}

/**
 * Makes a set so many times, from the inside out: each copy that goes into something has errors of its own, and what it goes
 * into must take it as it became. Goes on where it was left each time it is asked.
 */
export function* makesOfSet(
  { set, parts }: SetPlan,
  hands: Hands,
  runs: number,
  seed: number,
  ways: Partial<Ways> = {},
): Generator<number, ChainOdds> {
  const normal = normalFrom(seed);
  const atWork = new Map<string, AtWork>();
  for (const planned of parts) {
    const { made, design } = planned.plan;
    const cavity = made?.built.cavities[0];
    const bench = made && (benchIn(planned, made, design, hands, ways) ?? benchForSize(made, ways));
    atWork.set(planned.part.id, {
      planned,
      bench,
      deviations: bench?.doings.map(({ kind }) => (planned.part.given ? 0 : hands[kind] / 2)) ?? [],
      onFloor: cavity?.kind === 'box' && !cavity.onEdge,
    });
  }
  const counts = new Map(
    parts.map(({ part }) => [
      part.id,
      { all: 0, right: Object.fromEntries(ASKED.map((asked) => [asked, 0])) as Record<MakeCheck, number>, tried: 0 },
    ]),
  );
  /** One copy of a part with all that goes into it: how much larger it became, and whether all of it came out right. */
  const make = (id: string): { readonly larger: Contents; readonly right: boolean } => {
    const { planned, bench, deviations, onFloor } = atWork.get(id)!;
    let right = true;
    const [became, planning]: [Contents[], Contents[]] = [[], []];
    for (const hold of heldBy(planned.part)) {
      const outside = atWork.get(hold.part)?.planned.outside;
      if (!outside) continue;
      const copies = Array.from({ length: Math.min(hold.count, MOST_DRAWN) }, () => make(hold.part));
      right &&= copies.every((one) => one.right);
      const asMade = copies.map(({ larger }) => grown(outside, larger));
      became.push(together(hold, asMade, onFloor));
      planning.push(together(hold, alike(copies.length, outside), onFloor));
    }
    const [now, then] = [onEachOther(became), onEachOther(planning)];
    const more: Contents = {
      width: mm(now.width - then.width),
      height: mm(now.height - then.height),
      thickness: mm(now.thickness - then.thickness),
    };
    if (!bench) return { larger: AS_PLANNED, right };
    const outcome = bench.tried(
      deviations.map((one) => one * normal()),
      more,
    );
    const count = counts.get(id)!;
    count.tried++;
    const whole = ASKED.every((asked) => outcome.right[asked]);
    if (whole) count.all++;
    for (const asked of ASKED) if (outcome.right[asked]) count.right[asked]++;
    return { larger: outcome.larger(), right: right && whole };
  };
  // What nothing holds is made for itself, with all that is in it.
  const held = new Set(set.parts.flatMap((part) => heldBy(part).map((hold) => hold.part)));
  const outer = parts.filter(({ part }) => !held.has(part.id)).map(({ part }) => part.id);
  let all = 0;
  for (let run = 0; run < runs; run++) {
    if (outer.map(make).every(({ right }) => right)) all++;
    if (run % 5 === 4) yield run + 1;
  }
  return {
    share: all / runs,
    parts: parts
      .flatMap(({ part: { id } }): PartOdds[] => {
        const { all: whole, right, tried } = counts.get(id)!;
        if (tried === 0) return [];
        const by = ASKED.map((check) => ({ check, share: right[check] / tried })).sort((a, b) => a.share - b.share);
        return [{ part: id, share: whole / tried, by }];
      })
      .sort((a, b) => a.share - b.share),
    runs,
  };
}
