import { isSquare, type PanelId, type PanelName, type Piece } from '../pattern';
import { randomNormal } from 'd3-random';
import { seeded } from '../chance';
import { claimsOf, measured, type Contents, type OwnClaims } from '../constructions';
import {
  aboveSlot,
  assemble,
  lapBetween,
  NO_PAPER,
  offBy,
  refold,
  uncovered,
  type BoxCavity,
  type FlatCavity,
  type Folded,
  type Room,
  type Stack,
} from '../fold';
import { holdOf, roomAt } from '../fit';
import { intersection, leastWidth } from '../geometry';
import { mm, type Mm } from '../length';
import { thingOutline, type Made } from '../plan';
import type { Design } from '../design';
import { toEnd } from '../progress';
import { drawnWith, loosened, type HandError, type Drawn, type ErrorKind, type Loose, type Ways } from './lines';

/** How exact someone is: two standard deviations of what they cut, score, and set a board to, mm. */
export type Hands = Readonly<Record<ErrorKind, Mm>>;

/** What has to come out right. */
export type MakeCheck = 'goes-in' | 'laps' | 'closes' | 'hides';

/** How often a make comes out right. */
export interface Odds {
  /** Share of makes in which everything does, 0 to 1. */
  readonly share: number;
  /** Of what has to come out right, the share of makes in which it does, the least first. */
  readonly by: readonly { readonly check: MakeCheck; readonly share: number }[];
  /** What is done, and how much of what goes wrong goes with its error, 0 to 1; the most first. */
  readonly matters: readonly (HandError & { readonly share: number })[];
  readonly runs: number;
}

/** A gap so narrow is none to the eye, mm. From memory. */
const SEEN = 1;

/** A make that can be done again and again with other errors. */
export interface OddsBench {
  readonly doings: readonly HandError[];
  /** What comes out right when everything is off by so much, mm, and what goes in is larger by so much. */
  readonly tried: (errors: readonly number[], more?: Contents) => MakeOutcome;
}

/** What came out right in one make, and how much larger it is from the outside than planned. */
export interface MakeOutcome {
  readonly right: Readonly<Record<MakeCheck, boolean>>;
  readonly larger: () => Contents;
}

const NO_MORE: Contents = { width: mm(0), height: mm(0), thickness: mm(0) };

/** Errors of so many standard deviations do not happen. */
const NEVER = 6;

/**
 * Lays a plan out for being made many times: its lines loosened, its folds kept. Null where nothing of a size goes in.
 */
export function benchFor(made: Made, design: Design, hands: Hands, ways: Partial<Ways> = {}): OddsBench | null {
  const [cavity] = made.built.cavities;
  const { contents } = design;
  if (!cavity || !contents || !made.fit) return null;
  const worst = Math.max(hands.cut, hands.score, hands.setting);
  return laidOut(
    made,
    ways,
    cavity.kind === 'box'
      ? standingTried(made, cavity, contents, worst, design.construction.claims)
      : flatTried(made, cavity, contents, worst),
  );
}

/** A square is cut at one setting of the fence; an envelope board goes on by its pointer. */
const usualWays = ({ blank }: Piece): Ways => ({ fence: isSquare(blank) ? 'one' : 'two', setBy: 'pointer' });

/** Lays out what nothing of a size goes into: all of it comes out right, of the size that hands give it. Null for what stands. */
export function benchForSize(made: Made, ways: Partial<Ways> = {}): OddsBench | null {
  const { folded, built } = made;
  if (folded.standing) return null;
  const right = { 'goes-in': true, laps: true, closes: true, hides: true };
  return laidOut(made, ways, (drawn) => ({
    right,
    folded: refold(
      folded,
      built.assembly,
      drawn.map(({ piece }) => piece),
      new Set(),
    ),
  }));
}

function laidOut(made: Made, ways: Partial<Ways>, tried: Tried): OddsBench {
  const { built, pieces } = made;
  const doings: HandError[] = [];
  const several = pieces.length > 1;
  const loose = built.pieces.map((piece): Piece | Loose => {
    const own = pieces.find((one) => one.piece.name === piece.name);
    return own ? loosened(piece, own.programme, doings, several, { ...usualWays(piece), ...ways }) : piece;
  });
  const drawn = (errors: readonly number[]): readonly Drawn[] =>
    loose.map((one) => ('lines' in one ? drawnWith(one, errors) : asBought(one)));
  const planned = thingOutline(built, made.folded);
  return {
    doings,
    tried: (errors, more = NO_MORE) => {
      const { right, folded } = tried(drawn(errors), more);
      return {
        right,
        larger: () => {
          const { width, height, depth } = thingOutline(built, folded);
          return {
            width: mm(width - planned.width),
            height: mm(height - planned.height),
            thickness: mm(depth - planned.depth),
          };
        },
      };
    },
  };
}

type Tried = (
  drawn: readonly Drawn[],
  more: Contents,
) => { readonly right: Readonly<Record<MakeCheck, boolean>>; readonly folded: Folded };

/** The lengths of the contents that a plan limits, with the room it leaves them, mm. */
const limitsOf = ({ holds: [hold] }: Made): readonly ('width' | 'height')[] =>
  (['width', 'height'] as const).filter((side) => hold!.limits.includes(side));

/** What is raised in space is raised anew: its walls may meet, or not. */
function standingTried(
  made: Made,
  cavity: BoxCavity,
  contents: Contents,
  worst: number,
  own: OwnClaims | undefined,
): Tried {
  const { built, folded: whole } = made;
  const slack = offBy(1.5 * worst);
  const thing = (folded: Folded) => ({
    folded,
    cavity,
    caliper: NO_PAPER,
    name: (panel: PanelId): PanelName => String(panel),
  });
  const failing = (folded: Folded): readonly string[] =>
    measured(built.claims, 'standing', thing(folded), own).flatMap(({ level, kind }) =>
      level === 'fail' ? [kind] : [],
    );
  const known = new Set(failing(whole));
  const planned = holdOf(whole, cavity).fit(contents);
  return (drawn, more) => {
    const now = assemble(
      drawn.map(({ piece }) => piece),
      built.assembly,
      slack,
    );
    const { ease, depth } = holdOf(now, cavity).fit(contents);
    const left = (side: 'width' | 'height'): number => made.fit!.ease[side] + ease[side] - planned.ease[side];
    const fails = failing(now).filter((kind) => !known.has(kind));
    const right = {
      'goes-in':
        limitsOf(made).every((side) => left(side) >= more[side]) &&
        made.fit!.depth + depth - planned.depth >= more.thickness,
      laps: !fails.some((kind) => kind === 'flap-overlap'),
      closes: !fails.some((kind) => kind !== 'flap-overlap'),
      hides: true,
    };
    return { right, folded: now };
  };
}

/** What lies flat is folded again as it was folded. */
function flatTried(made: Made, cavity: FlatCavity, contents: Contents, worst: number): Tried {
  const { built, folded } = made;
  // Lines that are off are told from paper that lies elsewhere.
  const slack = offBy(1.5 * worst);
  // Two lines that each move from both ends bring a lap no further than this.
  const pairs = claimsOf(built.claims, 'laps')
    .flatMap((claim) => claim.pairs)
    .filter(([a, b]) => lapBetween(folded.finished, a, b).breadth < 2 * NEVER * worst);
  const shut = closing(folded).filter((flaps) => lapOf(folded.finished, flaps) < 2 * NEVER * worst);
  const asked = new Set([cavity.insertAfter]);
  const insertion = ({ stages, earlier, flat }: Folded): Stack =>
    [...earlier, ...stages].find(({ step }) => step.id === cavity.insertAfter)?.stack ?? flat;
  // What lies on what is the same in every make.
  const above = { insertAfter: aboveSlot(insertion(folded), cavity), finished: aboveSlot(folded.finished, cavity) };
  const covers = [...above.finished, ...closing(folded).flat()];
  const room = (now: Folded, open: FlatCavity): Room =>
    roomAt({ insertAfter: insertion(now), finished: now.finished }, above, open, contents, slack);
  // What its own paper and the contents’ thickness take of the room is what they take of the plan’s.
  const planned = room(folded, cavity);
  // How broad a gap is through which the inside can be seen; one that the plan itself has is meant.
  const gapNow = ({ finished }: Folded): number =>
    cavity.kind === 'closed' ? Math.max(0, ...uncovered(finished, cavity.floor, covers).map(leastWidth)) : 0;
  const gap = gapNow(folded);
  return (drawn, more) => {
    const own = drawn.map(({ piece }) => piece);
    const now = refold(folded, built.assembly, own, asked);
    const floor = drawn.find(({ piece }) => piece.panels.some(({ id }) => id === cavity.floor))!;
    const left = room(now, { ...cavity, mouth: floor.moved(cavity.mouth) });
    const right = {
      'goes-in': limitsOf(made).every((side) => made.fit!.ease[side] + left[side] - planned[side] >= more[side]),
      laps: pairs.every(([a, b]) => lapBetween(now.finished, a, b).breadth > 0),
      closes: shut.every((flaps) => lapOf(now.finished, flaps) > 0),
      hides: gapNow(now) <= gap + SEEN,
    };
    return { right, folded: now };
  };
}

/** What nobody makes is as it is. */
const asBought = (piece: Piece): Drawn => ({ piece, moved: (line) => line });

/** The panels of every flap that shuts it. */
const closing = ({ stages }: Folded): readonly (readonly string[])[] =>
  stages.flatMap(({ step, moving }) => (step.closes && step.kind === 'fold' ? [moving] : []));

/** How far flaps lie on other paper, mm. */
const lapOf = ({ layers }: Stack, flaps: readonly string[]): number =>
  Math.max(
    0,
    ...layers
      .filter(({ panel }) => flaps.includes(panel))
      .flatMap((flap) =>
        layers
          .filter(({ panel }) => !flaps.includes(panel))
          .flatMap((other) => intersection(flap.polygon, other.polygon).map(leastWidth)),
      ),
  );

/** Draws from the normal distribution, mean 0 and deviation 1; one seed draws the same ones. */
export const normalFrom = (seed: number): (() => number) => randomNormal.source(seeded(seed))(0, 1);

/**
 * Makes a plan so many times with errors drawn from normal distributions, two standard deviations as told, and counts.
 * The same seed draws the same errors. Goes on where it was left each time it is asked, for whoever shows how far it is.
 */
export function* makes(bench: OddsBench, hands: Hands, runs: number, seed: number): Generator<number, Odds> {
  const normal = normalFrom(seed);
  const deviation = bench.doings.map(({ kind }) => hands[kind] / 2);
  const right: Record<MakeCheck, number> = { 'goes-in': 0, laps: 0, closes: 0, hides: 0 };
  let all = 0;
  const sums = bench.doings.map(() => ({ x: 0, xx: 0, xy: 0 }));
  for (let run = 0; run < runs; run++) {
    const errors = deviation.map((one) => one * normal());
    const tried = bench.tried(errors).right;
    let whole = true;
    for (const asked of Object.keys(right) as MakeCheck[]) {
      if (tried[asked]) right[asked]++;
      else whole = false;
    }
    if (whole) all++;
    errors.forEach((x, i) => {
      const sum = sums[i]!;
      sum.x += x;
      sum.xx += x * x;
      if (!whole) sum.xy += x;
    });
    if (run % 5 === 4) yield run + 1;
  }
  const bad = runs - all;
  /** How closely failing goes with an error: the square of their correlation. */
  const withError = sums.map(({ x, xx, xy }) => {
    const cov = xy / runs - (x / runs) * (bad / runs);
    const spread = (xx / runs - (x / runs) ** 2) * (bad / runs) * (1 - bad / runs);
    return spread > 0 ? cov ** 2 / spread : 0;
  });
  const explained = withError.reduce((sum, one) => sum + one, 0);
  return {
    share: all / runs,
    by: (Object.keys(right) as MakeCheck[])
      .map((check) => ({ check, share: right[check] / runs }))
      .sort((a, b) => a.share - b.share),
    matters: bench.doings
      .map((doing, i) => ({ ...doing, share: explained > 0 ? withError[i]! / explained : 0 }))
      .sort((a, b) => b.share - a.share),
    runs,
  };
}

/** All makes at once. */
export const oddsOf = (bench: OddsBench, hands: Hands, runs: number, seed: number): Odds =>
  toEnd(makes(bench, hands, runs, seed));
