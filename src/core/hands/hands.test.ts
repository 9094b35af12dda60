/** Hands: shares counted by folding, held against the normal distribution where a single length decides. */
import { cumulativeStdNormalProbability } from 'simple-statistics';
import { randomLcg, randomNormal } from 'd3-random';
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { planOf } from '../../../tests/helpers/designs';
import { inches, mm, sayer, type Mm } from '../length';
import type { DesignInput } from '../design';
import { stepsOf } from '../making';
import { distance } from '../geometry';
import { planSet, readSet } from '../sets';
import { drawnWith, loosened, type HandError, type Ways } from './lines';
import {
  answerHands,
  benchFor,
  careAt,
  mattersMost,
  oddsOf,
  readHands,
  rulerAt,
  rulerHelps,
  USUAL_HANDS,
  type Hands,
  type HandsAnswer,
  type SetAnswer,
} from '.';

const hands = (one: Partial<Hands>): Hands => ({ cut: mm(0), score: mm(0), setting: mm(0), ...one });
const design = (construction: string, fields: object = {}) =>
  planOf({ version: 1, construction, contents: { width: '3 in', height: '4 in' }, ...fields } as DesignInput);
const bench = (construction: string, who: Hands, fields: object = {}) => {
  const plan = design(construction, fields);
  const found = benchFor(plan.made!, plan.design, who);
  if (!found) throw new Error(`nothing to count of ${construction}`);
  return { ...found, fit: plan.made!.fit! };
};

describe('the share of a single length is the normal distribution’s own (error function of simple-statistics)', () => {
  const RUNS = runs(4000).numRuns;
  // A pocket is as wide as its two side scores lie apart, each measured from one edge by itself: what is left of the room
  // is normal, its deviation √2 of one score's. Into the pocket there is far more room than any error takes.
  const fields = {
    tool: { kind: 'scoring-board' },
    graduation: '1/32 in',
    ease: { width: '1/16 in', height: '2 in' },
  };
  test.each([0.6, 1, 1.6])('with scores off by %d of the room', (part) => {
    const room = bench('library-pocket', hands({}), fields).fit.ease.width;
    const who = hands({ score: mm(part * room) });
    const wanted = cumulativeStdNormalProbability(room / ((who.score / 2) * Math.SQRT2));
    const { share, by } = oddsOf(bench('library-pocket', who, fields), who, RUNS, 7);
    expect(wanted).toBeGreaterThan(0.7);
    expect(Math.abs(share - wanted)).toBeLessThan(3 * Math.sqrt((wanted * (1 - wanted)) / RUNS));
    // Nothing else goes wrong.
    expect(by[0]).toEqual({ check: 'goes-in', share });
  });
});

describe('one length by each tool is the normal distribution’s own (error function of simple-statistics)', () => {
  const RUNS = runs(2000).numRuns;
  const within = (share: number, wanted: number): void => {
    expect(wanted).toBeGreaterThan(0.6);
    expect(wanted).toBeLessThan(0.995);
    expect(Math.abs(share - wanted)).toBeLessThan(0.005 + 3 * Math.sqrt((wanted * (1 - wanted)) / RUNS));
  };
  /** The chance that two normal values, of these deviations and so correlated, both stay over minus `room`. */
  const bothOver = (room: number, [a, b]: readonly [number, number], r: number): number => {
    const density = (x: number): number => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI);
    const [low, high, steps] = [-room / a, 8, 4000];
    const width = (high - low) / steps;
    return Array.from({ length: steps }, (_, i) => low + (i + 0.5) * width).reduce(
      (sum, x) => sum + width * density(x) * cumulativeStdNormalProbability((room / b + r * x) / Math.sqrt(1 - r * r)),
      0,
    );
  };

  test.each([
    ['ruler', 0.7],
    ['ruler', 1],
    ['edge-board', 0.8],
  ] as const)(
    'by the %s, marks off by %d of the room: the pocket is the narrower of its ends, each score a line through two marks',
    (kind, part) => {
      const fields = { tool: { kind }, graduation: '1/32 in', ease: { width: '1/16 in', height: '2 in' } };
      const { made } = design('library-pocket', fields);
      const room = made!.fit!.ease.width;
      const who = hands({ score: mm(part * room) });
      const deviation = (who.score / 2) * Math.SQRT2;
      // At its mouth, which is the near edge, and as deep as the contents reach: so far along the sheet is a score there.
      const far = inches(4) / made!.pieces[0].piece.blank.height;
      const there = Math.hypot(1 - far, far);
      const wanted = bothOver(room, [deviation, deviation * there], (1 - far) / there);
      within(oddsOf(bench('library-pocket', who, fields), who, RUNS, 7).share, wanted);
    },
  );

  // The body is off by so many settings’ squares across and along: section 8.
  test.each([
    ['pointer', { width: 1, height: 20 }, 3],
    ['pointer', { width: 20, height: 1.4 }, 5],
    ['ruler', { width: 0.8, height: 20 }, 1],
  ] as const)('by the envelope board, set by the %s, with the room %j', (setBy, ease, squares) => {
    const fields = {
      graduation: 'exact',
      ease,
      leastEase: { width: 0, height: 0 },
      tool: { kind: 'envelope-board', rulerEnd: '12 in' },
    };
    const roomy = design('diagonal-envelope', fields);
    const who = hands({ setting: mm(1) });
    const { share } = oddsOf(benchFor(roomy.made!, roomy.design, who, { fence: 'one', setBy })!, who, RUNS, 5);
    within(share, cumulativeStdNormalProbability(Math.min(ease.width, ease.height) / (0.5 * Math.sqrt(squares))));
  });
});

test('a seam envelope by ruler fits as often as a simulation of its own lines, marks and contents says (nothing of ours in it)', () => {
  const [room, exact, RUNS] = [1.3, 1.2, 2000];
  const plan = planOf({
    version: 1,
    construction: 'seam-envelope',
    contents: { width: 76, height: 101 },
    tool: { kind: 'ruler' },
    graduation: 'exact',
    ease: { width: room, height: room },
    leastEase: { width: 0, height: 0 },
  });
  const who = hands({ score: mm(exact) });
  const { share } = oddsOf(benchFor(plan.made!, plan.design, who)!, who, RUNS, 11);
  const { blank, panels } = plan.made!.pieces[0].piece;
  const front = panels.find(({ id }) => id === 'front')!.polygon;
  const [x0, x1] = [Math.min(...front.map(({ x }) => x)), Math.max(...front.map(({ x }) => x))];
  const [y0, y1] = [Math.min(...front.map(({ y }) => y)), Math.max(...front.map(({ y }) => y))];
  // What its own paper takes of the room goes in with the contents.
  const [width, height] = [x1 - x0 - room, y1 - y0 - room];
  const normal = randomNormal.source(randomLcg(0.314))(0, exact / 2);
  type Plane = readonly [a: number, b: number, c: number];
  /** Points on the inner side of a line through two marks: `a·x + b·y ≤ c`. */
  const inside = (
    p: readonly [number, number],
    q: readonly [number, number],
    out: readonly [number, number],
  ): Plane => {
    const [a, b] = [q[1] - p[1], p[0] - q[0]];
    const sign = a * out[0] + b * out[1] > 0 ? 1 : -1;
    return [sign * a, sign * b, sign * (a * p[0] + b * p[1])];
  };
  const fits = (planes: readonly Plane[]): boolean => {
    for (let turn = -0.03; turn <= 0.03; turn += 0.0015) {
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      // Where its middle may lie: every side moved in by how far the turned rectangle reaches towards it.
      const middles = planes.map(([a, b, c]): Plane => {
        const reach = (Math.abs(a * cos + b * sin) * width + Math.abs(b * cos - a * sin) * height) / 2;
        return [a, b, c - reach];
      });
      const corner = ([a, b, c]: Plane, [d, e, f]: Plane): readonly [number, number] => {
        const turned = a * e - b * d;
        return [(c * e - b * f) / turned, (a * f - c * d) / turned];
      };
      const [left, right, near, far] = middles as [Plane, Plane, Plane, Plane];
      const corners = [corner(left, near), corner(left, far), corner(right, near), corner(right, far)];
      if (corners.some(([x, y]) => middles.every(([a, b, c]) => a * x + b * y <= c + 1e-6))) return true;
    }
    return false;
  };
  let right = 0;
  for (let run = 0; run < RUNS; run++) {
    const upright = (x: number, out: number): Plane =>
      inside([x + normal(), 0], [x + normal(), blank.height], [out, 0]);
    const level = (y: number, out: number): Plane => inside([0, y + normal()], [blank.width, y + normal()], [0, out]);
    if (fits([upright(x0, -1), upright(x1, 1), level(y0, -1), level(y1, 1)])) right++;
  }
  expect(right / RUNS).toBeGreaterThan(0.7);
  expect(right / RUNS).toBeLessThan(0.95);
  // Ours are tried straight and as the sides lean, at no angle between.
  expect(Math.abs(share - right / RUNS)).toBeLessThan(0.03);
});

describe('an envelope board: settings handed on by the pointer, or every side by the ruler (closed form of geometry.md 8)', () => {
  // A square set anywhere; the first side by the board's ruler.
  const plan = design('diagonal-envelope', { graduation: 'exact', tool: { kind: 'envelope-board', rulerEnd: '8 in' } });
  const [{ piece, programme }] = plan.made!.pieces;
  const sides = (ways: Ways, errors: Readonly<Record<string, number>>): readonly number[] => {
    const doings: HandError[] = [];
    const loose = loosened(piece, programme, doings, false, ways);
    const edges = programme.moves.flatMap((move) => (move.do === 'place' ? [move.edge] : []));
    const off = doings.map(({ kind, mark, what }) =>
      kind === 'setting' ? (errors[`d${edges.indexOf(mark!.edge) + 1}`] ?? 0) : (errors[what] ?? 0),
    );
    // The body's four corners, in turn: how far apart its opposite sides lie.
    const { polygon } = drawnWith(loose, off).piece.panels.find(({ id }) => id === 'body')!;
    const before = piece.panels.find(({ id }) => id === 'body')!.polygon;
    const long = (ring: typeof polygon, i: number): number => distance(ring[i]!, ring[(i + 1) % 4]!);
    return [0, 1].map((i) => (long(polygon, i) - long(before, i) + long(polygon, i + 2) - long(before, i + 2)) / 2);
  };
  const either = ([a, b]: readonly number[]): number[] => [a!, b!].sort((x, y) => x - y);
  const { SQRT2 } = Math;
  test.each([
    ['pointer', [0.3, 0, 0, 0], [(2 * 0.3) / SQRT2, (-2 * 0.3) / SQRT2]],
    ['pointer', [0, 0.3, 0, 0], [-0.3 / SQRT2, (2 * 0.3) / SQRT2]],
    ['pointer', [0, 0, 0.3, 0], [0.3 / SQRT2, -0.3 / SQRT2]],
    ['pointer', [0, 0, 0, 0.3], [0, 0.3 / SQRT2]],
    ['ruler', [0.3, 0, 0, 0], [0.3 / SQRT2, 0]],
    ['ruler', [0, 0.3, 0, 0], [0, 0.3 / SQRT2]],
    ['ruler', [0, 0, 0.3, 0], [0.3 / SQRT2, 0]],
    ['ruler', [0, 0, 0, 0.3], [0, 0.3 / SQRT2]],
  ] as const)('set by the %s, settings off by %j', (setBy, [d1, d2, d3, d4], wanted) => {
    expect(either(sides({ fence: 'two', setBy }, { d1, d2, d3, d4 }))).toEqual(
      either(wanted).map((one) => expect.closeTo(one, 6)),
    );
  });
  test.each([
    ['pointer', 'two', 0.2, 0.5, [SQRT2 * (0.5 - 0.2), SQRT2 * (2 * 0.2 - 0.5)]],
    ['ruler', 'two', 0.2, 0.5, [(0.5 - 0.2) / SQRT2, (0.2 - 0.5) / SQRT2]],
    ['pointer', 'one', 0.4, 0.4, [0, SQRT2 * 0.4]],
    ['ruler', 'one', 0.4, 0.4, [0, 0]],
  ] as const)('set by the %s, cut at %s fence, a blank off by %d and %d', (setBy, fence, width, height, wanted) => {
    const errors = { 'the width': width, 'the size': width, 'the height': height };
    expect(either(sides({ fence, setBy }, errors))).toEqual(either(wanted).map((one) => expect.closeTo(one, 6)));
  });

  // Settings 1.2 mm, room 1.0 mm both ways; blanks cut to 0.8 mm (derived, and simulated outside this project).
  const RUNS = runs(3000).numRuns;
  test.each([
    ['pointer', 'one', 0, 0.6],
    ['ruler', 'one', 0, 0.91],
    ['pointer', 'one', 0.8, 0.58],
    ['ruler', 'one', 0.8, 0.9],
    ['pointer', 'two', 0.8, 0.48],
    ['ruler', 'two', 0.8, 0.83],
  ] as const)('set by the %s, cut at %s fence to %d mm: %d fit', (setBy, fence, cut, wanted) => {
    const who = hands({ setting: mm(1.2), cut: mm(cut) });
    const roomy = design('diagonal-envelope', {
      graduation: 'exact',
      ease: { width: 1, height: 1 },
      leastEase: { width: 0, height: 0 },
      tool: { kind: 'envelope-board', rulerEnd: '8 in' },
    });
    const { share } = oddsOf(benchFor(roomy.made!, roomy.design, who, { fence, setBy })!, who, RUNS, 3);
    expect(Math.abs(share - wanted)).toBeLessThan(0.01 + 3 * Math.sqrt((wanted * (1 - wanted)) / RUNS));
  });
});

describe('laws', () => {
  // What takes something of a size: a mat or a tag takes nothing.
  const HOLDERS = CONSTRUCTIONS.filter(({ does }) => does !== 'decorates');
  test.each(HOLDERS.map(({ name, does }) => [name, does] as const))(
    '%s made without any error comes out right every time, a mat on it or none',
    (construction, does) => {
      const contents = { width: '3 in', height: '4 in', thickness: does === 'stands' ? '1/2 in' : 0 };
      for (const layers of [[], [{ on: 'front' }]]) {
        const { share, by } = oddsOf(bench(construction, hands({}), { contents, layers }), hands({}), 2, 1);
        expect([share, by.map((one) => one.share)]).toEqual([1, by.map(() => 1)]);
      }
    },
  );

  test('one seed draws one share, another one another', () => {
    const who = hands({ cut: mm(2), score: mm(2), setting: mm(4) });
    const counted = (seed: number) => oddsOf(bench('diagonal-envelope', who), who, 300, seed).share;
    expect(counted(3)).toBe(counted(3));
    const few = new Set([1, 2, 3, 4, 5].map(counted));
    expect(few.size).toBeGreaterThan(1);
    for (const share of few) expect(share).toBeLessThan(1);
  });

  test('more room never fits less often, within the error of the runs', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('diagonal-envelope', 'library-pocket', 'seam-envelope'),
        fc.integer({ min: 1, max: 1000 }),
        (construction, seed) => {
          const read = readHands({
            version: 1,
            design: {
              construction,
              contents: { width: '3 in', height: '4 in' },
              graduation: '1/16 in',
              ease: { width: 0, height: 0 },
            },
            hands: { cut: '1/16 in', score: '1/16 in', setting: '1/16 in' },
            runs: 200,
            seed,
          });
          if (!read.ok) throw new Error(read.issues[0]!.message);
          const { room } = answerHands(read.question) as HandsAnswer;
          expect(room.length).toBe(5);
          room.forEach(({ share, ease }, i) => {
            const before = room[i - 1];
            if (!before) return;
            expect(ease.width).toBeGreaterThan(before.ease.width);
            expect(share).toBeGreaterThanOrEqual(before.share - 3 * Math.sqrt(0.25 / 200));
          });
          expect(room.at(-1)!.share).toBeGreaterThan(room[0]!.share - 0.05);
        },
      ),
      runs(2),
    );
  });

  test('hands less exact fit less often', () => {
    const shares = [0.2, 1, 2, 4, 8].map((off) => {
      const who = hands({ setting: mm(off), cut: mm(off), score: mm(off) });
      return oddsOf(bench('diagonal-envelope', who), who, 400, 11).share;
    });
    expect(shares[0]).toBe(1);
    shares.slice(1).forEach((share, i) => expect(share).toBeLessThanOrEqual(shares[i]! + 0.03));
    expect(shares.at(-1)).toBeLessThan(0.6);
  });
});

describe('an answer', () => {
  const asked = (fields: object) => {
    const read = readHands({
      version: 1,
      design: {
        construction: 'diagonal-envelope',
        contents: { width: '3 in', height: '4 in' },
        ease: { width: '1/32 in', height: '1/32 in' },
        leastEase: { width: 0, height: 0 },
        graduation: '1/32 in',
      },
      runs: 300,
      ...fields,
    });
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    return answerHands(read.question) as HandsAnswer;
  };
  test('names the room that 95 of 100 fit with, in marks, and what measuring all four sides is worth', () => {
    const answer = asked({ hands: { cut: 0, score: 0, setting: '1/16 in' } });
    expect(answer.share).toBeLessThan(0.95);
    expect(answer.enough!.share).toBeGreaterThanOrEqual(0.95);
    expect(answer.enough!.marks).toBeGreaterThan(0);
    expect(answer.room.filter(({ marks }) => marks < answer.enough!.marks).every(({ share }) => share < 0.95)).toBe(
      true,
    );
    const helps = rulerHelps(answer)!;
    expect(helps.ruler).toBeGreaterThan(helps.pointer + 0.05);
    // It is said where the pointer would be brought to a score, and nowhere else.
    const plan = design('diagonal-envelope');
    const told = stepsOf(plan, sayer('in', '1/8 in')).flatMap((step) => rulerAt(step, helps, String) ?? []);
    expect(told).toHaveLength(3);
    expect(told[0]).toMatch(
      /^Surer than the pointer: set this side by the ruler too, at .* come out right instead of \d+\.$/,
    );
    // Set so already there is nothing to gain; in `hands` or beside them it is told.
    for (const fields of [{ setBy: 'ruler' }, { hands: { cut: 0, score: 0, setting: '1/16 in', setBy: 'ruler' } }]) {
      const ruled = asked({ hands: { cut: 0, score: 0, setting: '1/16 in' }, ...fields });
      expect([ruled.byRuler, ruled.share]).toEqual([null, answer.byRuler]);
    }
    expect(rulerHelps({ share: 0.98, byRuler: 0.99 })).toBeNull();
  });
  test('where what is at hand is told and no trimmer is there, scissors cut: within 1/16 in (common practice)', () => {
    const cut = (kit: object, hands: object = {}) => {
      const read = readHands({
        version: 1,
        design: { construction: 'tag', contents: { width: 50, height: 80 }, kit },
        hands,
      });
      return read.ok && read.question.hands.cut;
    };
    expect(cut({})).toBe(inches(1 / 32));
    expect(cut({ ruler: '12 in' })).toBe(inches(1 / 16));
    expect(cut({ ruler: '12 in', trimmer: '12 in' })).toBe(inches(1 / 32));
    expect(cut({ ruler: '12 in' }, { cut: 0.5 })).toBe(0.5);
  });
});

test('what matters most is what the room hangs on: the settings of the two notches between them', () => {
  const who = hands({ setting: mm(3), cut: mm(0.1), score: mm(0.1) });
  const { matters, by } = oddsOf(
    bench('diagonal-envelope', who, { ease: { width: '1/8 in', height: '2 in' } }),
    who,
    1500,
    2,
  );
  expect(matters[0]).toMatchObject({ kind: 'setting' });
  expect(matters.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
  expect(by[0]!.share).toBeLessThanOrEqual(by.at(-1)!.share);
});

test('at the step where it is done, and at no other, it is said what matters most', () => {
  const plan = design('diagonal-envelope', { ease: { width: '1/8 in', height: '2 in' } });
  const steps = stepsOf(plan, sayer('in', '1/8 in'));
  const who = hands({ setting: mm(6), cut: mm(0.1), score: mm(0.1) });
  const most = mattersMost(oddsOf(benchFor(plan.made!, plan.design, who)!, who, 800, 2))!;
  const told = steps.filter((step) => careAt(step, most) !== null);
  expect(told.length).toBeGreaterThan(0);
  for (const step of told) {
    expect([step.edge, step.phase]).toEqual([most.mark!.edge, 'flat']);
    expect(careAt(step, most)).toBe('Of all that is done this edge matters most: set it with care.');
    expect(careAt({ ...step, phase: 'fold' }, most)).toBeNull();
  }
  // What is cut wrong is told where it is cut; hands that never fail are told nothing.
  const wide = { ...most, kind: 'cut', mark: null, side: true, what: 'the width' } as const;
  expect(steps.filter((step) => careAt(step, wide)).map(({ phase }) => phase)).toEqual(['cut']);
  expect(careAt(steps[0]!, { ...wide, piece: 'lid' })).toBeNull();
  expect(mattersMost(oddsOf(benchFor(plan.made!, plan.design, hands({}))!, hands({}), 20, 2))).toBeNull();
});

describe('over the chain of a set', () => {
  const chain = (inner: object = {}) => ({
    version: 1,
    set: 'Letters in a folder',
    graduation: '1/16 in',
    tool: { kind: 'scoring-board' },
    parts: [
      {
        id: 'envelope',
        quantity: 1,
        design: { construction: 'seam-envelope', contents: { width: '3 in', height: '4 in' }, ...inner },
      },
      {
        id: 'pocket',
        quantity: 1,
        design: {
          construction: 'library-pocket',
          ease: { width: '1/16 in', height: '1 in' },
          leastEase: { width: 0, height: 0 },
        },
        holds: [{ part: 'envelope', count: 1 }],
      },
    ],
  });
  const ask = (who: Partial<Hands>, set: object = chain(), runs = 400): SetAnswer => {
    const read = readHands({ version: 1, set, hands: hands(who), runs, seed: 5 });
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    return answerHands(read.question) as SetAnswer;
  };

  test('without errors all of it comes out right; what is made worse fits less often, all of it no oftener than its worst part', () => {
    expect(ask({}, chain(), 5)).toMatchObject({ share: 1, parts: [{ share: 1 }, { share: 1 }] });
    const off = ask({ score: mm(1) });
    expect(off.share).toBeLessThan(1);
    expect(off.share).toBeLessThanOrEqual(off.parts[0]!.share + 1e-9);
    expect(off.parts[0]!.part).toBe('pocket');
    expect(ask({ score: mm(1) })).toEqual(off);
    expect(ask({ score: mm(2) }).share).toBeLessThan(off.share);
  });

  test('what goes in wider than planned takes of the room: the pocket’s share is the normal distribution’s own (simple-statistics)', () => {
    const RUNS = runs(2000).numRuns;
    const who = { cut: mm(2.4), score: mm(2) };
    // A card is as wide as it is cut; the pocket as its two side scores lie apart. Lengthwise there is room enough.
    const set = chain({ construction: 'folded-card', options: { fold: 'top' } });
    const { parts } = ask(who, set, RUNS);
    const pocket = parts.find(({ part }) => part === 'pocket')!;
    const read = readSet(set);
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const planned = planSet(read.set).parts.find(({ part }) => part.id === 'pocket')!;
    const room = planned.plan.made!.fit!.ease.width;
    const normal = (deviation: number) => cumulativeStdNormalProbability(room / deviation);
    const wanted = normal(Math.hypot(who.cut, who.score, who.score) / 2);
    expect(Math.abs(pocket.share - wanted)).toBeLessThan(3 * Math.sqrt((wanted * (1 - wanted)) / RUNS));
    // By itself, for contents of the planned size, it would fit oftener than that.
    expect(normal((who.score * Math.SQRT2) / 2)).toBeGreaterThan(wanted + 0.01);
  });

  test('what is bought is as it is, and must take what became of its contents; what goes side by side adds up', () => {
    const bought = (count: number, lie: string) => ({
      version: 1,
      set: 'Cards in a bought envelope',
      graduation: '1/16 in',
      tool: { kind: 'scoring-board' },
      parts: [
        {
          id: 'card',
          quantity: 1,
          design: {
            construction: 'folded-card',
            options: { fold: 'top' },
            contents: { width: '3 in', height: '4 in' },
          },
        },
        {
          id: 'envelope',
          quantity: 1,
          given: {
            width: count * 76.2 + 2,
            height: 130,
            thickness: 0.3,
            envelope: { flap: '1 in', shape: 'straight', opens: 'width' },
          },
          holds: [{ part: 'card', count, lie }],
        },
      ],
    });
    const share = (set: object) => ask({ cut: mm(3) }, set, 300).parts.find(({ part }) => part === 'envelope')!.share;
    expect(ask({}, bought(1, 'stacked'), 4).share).toBe(1);
    const one = share(bought(1, 'stacked'));
    expect(one).toBeLessThan(1);
    expect(share(bought(2, 'beside'))).toBeLessThan(one);
  });

  test('one of the two is asked about, not both and not none; what is wrong with a set is told with its place', () => {
    for (const both of [{}, { design: {}, set: {} }]) {
      const read = readHands({ version: 1, ...both });
      expect(read.ok ? '' : read.issues[0]!.message).toBe('Give a design, or a set: one of the two.');
    }
    const bad = readHands({ version: 1, set: chain({ construction: 'nothing' }) });
    expect(bad.ok ? '' : bad.issues[0]!.path).toMatch(/^set\.parts/);
  });
});

test('a question that cannot be read says where and what would do; one that holds nothing has no share', () => {
  const read = readHands({ version: 1, design: { construction: 'mat' }, hands: { cut: 'wide' }, runs: 0 });
  expect(read.ok ? [] : read.issues.map(({ path }) => path)).toEqual(['hands.cut', 'runs']);
  const bad = readHands({ version: 1, design: { construction: 'nothing', contents: { width: 1, height: 1 } } });
  expect(bad.ok ? '' : bad.issues[0]!.path).toBe('design.construction');
  const mat = readHands({ version: 1, design: { construction: 'mat', contents: { width: '3 in', height: '4 in' } } });
  if (!mat.ok) throw new Error(mat.issues[0]!.message);
  expect(answerHands(mat.question)).toMatchObject({ share: null, room: [] });
  expect(mat.question.hands).toEqual(USUAL_HANDS);
  const _: Mm = mat.question.hands.cut;
  expect(_).toBeCloseTo(inches(1 / 32), 9);
});
