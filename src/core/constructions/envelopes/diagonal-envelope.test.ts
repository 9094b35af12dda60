import practice from '../../../../tests/common-practice.json';
import { planOf } from '../../../../tests/helpers/designs';
import { INCH, inches, mm } from '../../length';
import { checksOf } from '../../checks';
import type { Made } from '../../plan';
import { lapBetween, layerOf, mouthView, reachAcross, type FlatCavity } from '../../fold';
import { bestCandidate, marksRound } from '../shared/rounding';
import { claimsOf, CONSTRUCTIONS, constructionNamed } from '..';

const envelope = (fields: object) => planOf({ version: 1, construction: 'diagonal-envelope', ...fields });
const made = (fields: object): Made => {
  const plan = envelope(fields);
  if (!plan.made) throw new Error(`refused: ${JSON.stringify(plan.refusal)}`);
  return plan.made;
};
const side = (m: Made): number => m.pieces[0].piece.blank.width / INCH;
const setting = (m: Made): number => m.pieces[0].piece.notches[0]!.at / INCH;
const level = (fields: object, id: string) => checksOf(envelope(fields)).find((check) => check.id === id);

describe('common practice (no published source)', () => {
  test.each(practice.envelopeBoard)(
    'a $card card: a $blank in square set at $setting',
    ({ card, blank, setting: set, notch }) => {
      const m = made({
        contents: { width: inches(card[0]!), height: inches(card[1]!) },
        tool: { kind: 'envelope-board', notch: inches(notch) },
      });
      expect(Math.abs(side(m) - blank)).toBeLessThanOrEqual(practice.tolerance);
      expect(Math.abs(setting(m) - set)).toBeLessThanOrEqual(practice.tolerance);
      // The narrow flaps' tips then just meet.
      const tips = checksOf(envelope({ contents: { width: inches(3), height: inches(4) } })).find(
        (c) => c.id === 'tips-height',
      )!;
      expect([tips.level, Math.abs(tips.value) < 1e-3]).toEqual(['pass', true]);
    },
  );
});

describe('the folded shape agrees with the derivation (geometry of the fold lines, worked by hand)', () => {
  test.each([
    [6, 2.625, 0.75],
    [8.25, 3.5, 0.75],
    [7, 3.5, 1],
    [5.5, 2.5, 0.6],
  ])('a %d in square set at %d with a notch of %d', (L, p, n) => {
    const m = made({
      blank: { width: inches(L), height: inches(L) },
      options: { setting: inches(p), corner: 0 },
      tool: { kind: 'envelope-board', notch: inches(n) },
    });
    const [a, b] = [p - n / 2, L - p - n / 2];
    expect(m.inside.width / INCH).toBeCloseTo(Math.SQRT2 * a, 6);
    expect(m.inside.height / INCH).toBeCloseTo(Math.SQRT2 * b, 6);
    const { finished } = m.folded;
    const view = mouthView(finished, m.built.cavities[0] as FlatCavity);
    // Narrow flaps stand on the shorter side and face each other along the longer one.
    const [short, long] = a <= b ? [a, b] : [b, a];
    expect(reachAcross(finished, 'side-1', 'side-2', view.across) / INCH).toBeCloseTo(
      Math.min(Math.SQRT2 * (short + n - long), Math.SQRT2 * long),
      6,
    );
    // Neighbouring flaps overlap by a band exactly n wide.
    for (const [x, y] of claimsOf(m.built.claims, 'laps')[0]!.pairs)
      expect(lapBetween(finished, x, y).breadth / INCH).toBeCloseTo(n, 5);
  });

  test('p and L − p give the same envelope', () => {
    const [one, other] = [2.5, 3.5].map((p) =>
      made({ blank: { width: inches(6), height: inches(6) }, options: { setting: inches(p) } }),
    );
    expect([one!.inside.width, one!.inside.height]).toEqual([
      expect.closeTo(other!.inside.height, 6),
      expect.closeTo(other!.inside.width, 6),
    ]);
  });
});

describe('openings', () => {
  test.each([
    [3, 4, 'long', 'height'],
    [4, 3, 'long', 'width'],
    [3, 4, 'short', 'width'],
    [4, 3, 'short', 'height'],
  ] as const)(
    '%d × %d opening on the %s side has its mouth along the contents’ %s',
    (width, height, opening, across) => {
      const m = made({ contents: { width: inches(width), height: inches(height) }, options: { opening } });
      expect((m.built.cavities[0] as FlatCavity).acrossMouth).toBe(across);
      expect(m.fit).toMatchObject({ insert: null, seat: null });
      expect(layerOf(m.folded.finished, 'closing').up).toBe('outside');
      // The last fold lies on top of everything.
      expect(m.folded.finished.layers.at(-1)!.panel).toBe('closing');
    },
  );

  test('either order of the contents’ lengths takes the same square', () =>
    expect(side(made({ contents: { width: '3 in', height: '4 in' } }))).toBe(
      side(made({ contents: { width: '4 in', height: '3 in' } })),
    ));
});

describe('overhang', () => {
  // H > 2W − √2·n overhangs: the ratio is 1.3 for a 1 1/2 in wide envelope, 1.7 for 4 in (n = 3/4 in).
  test.each([
    [1.5, 1.25, 'pass'],
    [1.5, 1.4, 'fail'],
    [4, 1.65, 'pass'],
    [4, 1.8, 'fail'],
  ] as const)('an inside %d in wide and %d times as high: %s', (width, ratio, expected) => {
    const contents = { width: inches(width), height: inches(width * ratio) };
    const paper = { caliper: 0.03 };
    const fields = {
      contents,
      paper,
      ease: { width: 0, height: 0 },
      leastEase: { width: 0, height: 0 },
      graduation: 'exact',
    };
    expect(level({ ...fields, options: { flaps: 'whole' } }, 'overhang')!.level).toBe(expected);
    // Where nobody told, they are trimmed where it comes to that.
    expect(level(fields, 'overhang')!.level).toBe('pass');
  });

  test('says by how much, and trimming cures it and every fold can be made', () => {
    const fields = {
      contents: { width: '2 in', height: '5 in' },
      ease: { width: '1/4 in', height: '1/4 in' },
      options: { flaps: 'whole' },
    };
    const check = level(fields, 'overhang')!;
    // Depth of the wide flap (b + n)/√2 less the width √2·a, with L = 6 1/8, p = 2, n = 3/4.
    expect(check.value / INCH).toBeCloseTo((6.125 - 2 - 0.375 + 0.75) / Math.SQRT2 - Math.SQRT2 * (2 - 0.375), 4);
    const cured = envelope({ ...fields, options: check.remedies[0]!.change.options });
    expect(checksOf(cured).filter((c) => c.level === 'fail')).toEqual([]);
    expect(cured.made!.pieces[0].toolFaults).toEqual([]);
  });
});

describe('rounding', () => {
  test('departs least from the aim, keeps the least ease, and takes the smaller sheet of equals', () => {
    const ease = (width: number, height: number) => ({ width: mm(width), height: mm(height) });
    const aim = ease(6, 6);
    const pick = (list: { e: [number, number]; sheet: number }[], least = ease(1, 1)) =>
      bestCandidate(
        list.map(({ e, sheet }, i) => ({ first: i, second: 0, ease: ease(...e), sheet })),
        aim,
        least,
      )?.first;
    expect(
      pick([
        { e: [5, 9], sheet: 10 },
        { e: [4, 5], sheet: 11 },
      ]),
    ).toBe(1);
    expect(
      pick([
        { e: [8, 8], sheet: 12 },
        { e: [4, 4], sheet: 10 },
      ]),
    ).toBe(1);
    expect(
      pick([
        { e: [0.5, 6], sheet: 10 },
        { e: [12, 6], sheet: 12 },
      ]),
    ).toBe(1);
    expect(pick([{ e: [0, 0], sheet: 1 }])).toBeUndefined();
    expect(marksRound(10.2, '1 mm')).toEqual([7, 8, 9, 10, 11, 12, 13]);
  });

  test('no pair on the marks comes nearer the aim (every pair within an inch tried)', () => {
    for (const [w, h, t] of [
      [3, 4, 0],
      [4.25, 5.5, 0.0625],
      [5, 7, 0.125],
    ] as const) {
      const m = made({ contents: { width: inches(w), height: inches(h), thickness: inches(t) } });
      const off = (L: number, p: number) =>
        Math.max(
          Math.abs(Math.SQRT2 * (p - 0.375) - w - t - 0.25),
          Math.abs(Math.SQRT2 * (L - p - 0.375) - h - t - 0.25),
        );
      const least = (L: number, p: number) =>
        Math.min(Math.SQRT2 * (p - 0.375) - w - t, Math.SQRT2 * (L - p - 0.375) - h - t) >= 0.0625 - 1e-9;
      const chosen = off(side(m), setting(m));
      for (let i = -8; i <= 8; i++)
        for (let j = -8; j <= 8; j++) {
          const [L, p] = [side(m) + i / 8, setting(m) + j / 8];
          if (least(L, p)) expect(off(L, p)).toBeGreaterThanOrEqual(chosen - 1e-9);
        }
    }
  });

  test('by hand a, b and n stand on the marks', () => {
    const m = made({ contents: { width: 74, height: 105 }, tool: { kind: 'ruler' }, graduation: '1 mm' });
    expect(m.pieces[0].piece.notches[0]!.length).toBe(19);
    for (const mark of m.pieces[0].programme.marks) expect(Math.abs(mark.at - Math.round(mark.at))).toBeLessThan(1e-6);
    expect(m.pieces[0].piece.blank.width).toBe(Math.round(m.pieces[0].piece.blank.width));
  });

  test('a board’s own notch and offset go into the setting, which stands on its ruler’s marks', () => {
    const tool = { kind: 'envelope-board', notch: '0.8 in', offset: '-1/16 in' };
    const m = made({ contents: { width: '3 in', height: '4 in' }, tool });
    const mark = m.pieces[0].programme.marks[0]!;
    expect((mark.at / INCH) * 8).toBeCloseTo(Math.round((mark.at / INCH) * 8), 6);
    expect(setting(m)).toBeCloseTo(mark.at / INCH - 1 / 16, 6);
    expect(m.pieces[0].toolFaults).toEqual([]);
  });

  test('past the end of the ruler it starts on the neighbouring edge, or measures', () => {
    const long = { contents: { width: '6 1/2 in', height: '4 in' } };
    expect(made(long).built.start).toEqual({ edge: 2, reference: 'board' });
    const huge = made({ contents: { width: '8 in', height: '9 in' } });
    expect(huge.built.start).toEqual({ edge: 1, reference: 'ruler' });
    expect(level({ contents: { width: '8 in', height: '9 in' } }, 'ruler-end')!.level).toBe('note');
    expect(huge.pieces[0].toolFaults).toEqual([]);
  });
});

describe('what cannot be made', () => {
  test.each([
    [{ blank: { width: '8 1/2 in', height: '11 in' } }, 'blank-not-square'],
    [{ blank: { width: '1 1/4 in', height: '1 1/4 in' } }, 'notch-off-sheet'],
    [{ blank: { width: '6 in', height: '6 in' }, options: { setting: '1/4 in' } }, 'setting-off-sheet'],
    [{ blank: { width: '6 in', height: '6 in' }, options: { setting: '7 in' } }, 'setting-off-sheet'],
    // Just where the notch would reach the corner.
    [{ blank: { width: '1 7/8 in', height: '1 7/8 in' }, options: { setting: '1 1/2 in' } }, 'setting-off-sheet'],
    [{ contents: { width: '2 in', height: '2 in' }, options: { corner: '3 in' } }, 'corner-too-round'],
    [{ contents: { width: '2 in', height: '2 in' }, options: { tip: 'blunt', tipDepth: '3 in' } }, 'tip-too-deep'],
  ])('%j is refused as %s', (fields, id) => {
    const plan = envelope(fields);
    expect(plan.made).toBeNull();
    expect(checksOf(plan).map((c) => [c.id, c.level])).toEqual([[id, 'fail']]);
  });

  test('the offered remedies cure', () => {
    for (const fields of [
      { blank: { width: '8 1/2 in', height: '11 in' } },
      { blank: { width: '6 in', height: '6 in' }, options: { setting: '7 in' } },
    ]) {
      const remedy = checksOf(envelope(fields))[0]!.remedies[0]!.change;
      expect(
        envelope({
          ...fields,
          ...remedy,
          options: Object.fromEntries(
            Object.entries({ ...(fields as { options?: object }).options, ...remedy.options }).filter(
              ([, v]) => v !== undefined,
            ),
          ),
        }).made,
      ).not.toBeNull();
    }
  });
});

test('a dragged fold decides the room aimed for, or the setting on a given sheet', () => {
  const contents = { width: mm(80), height: mm(100), thickness: mm(2) };
  const grip = (m: Made, hinge: string) => m.built.grips.find((g) => g.hinge === hinge)!;
  const first = made({ contents, graduation: 'exact' });
  expect(first.built.grips.map((g) => g.hinge).sort()).toEqual(['s-bottom', 's-closing', 's-side-1', 's-side-2']);
  expect(grip(first, 's-bottom').does).toEqual({ kind: 'room', side: 'width', rate: 2 });
  expect(grip(first, 's-side-1').does).toEqual({ kind: 'room', side: 'height', rate: 2 });
  // Pulled out square to itself, a fold leaves the middle of the sheet.
  const { along } = grip(first, 's-bottom');
  const { line } = first.pieces[0].piece.hinges.find((h) => h.id === 's-bottom')!;
  const centre = first.pieces[0].piece.blank.width / 2;
  expect(along.x * (line.from.x - centre) + along.y * (line.from.y - centre)).toBeGreaterThan(0);
  // On a given sheet the setting moves by √2 for every mm; the fold moved so lands where it was pulled to.
  const given = {
    blank: { width: inches(6), height: inches(6) },
    options: { setting: inches(2.5), corner: 0 },
    graduation: 'exact',
  };
  const sheet = made(given);
  const { does, along: way } = grip(sheet, 's-bottom');
  if (does.kind !== 'option') throw new Error('a given sheet has a setting to decide');
  expect(does.from).toBeCloseTo(inches(2.5), 9);
  const pulled = made({ ...given, options: { setting: does.from + 3 * does.rate, corner: 0 } });
  const at = (m: Made) => m.pieces[0].piece.hinges.find((h) => h.id === 's-bottom')!.line.from;
  expect((at(pulled).x - at(sheet).x) * way.x + (at(pulled).y - at(sheet).y) * way.y).toBeCloseTo(3, 6);
});

test('the registry names each construction once, with schools that are real options', () => {
  expect(new Set(CONSTRUCTIONS.map((c) => c.name)).size).toBe(CONSTRUCTIONS.length);
  for (const construction of CONSTRUCTIONS)
    for (const school of construction.schools)
      expect(construction.options.safeParse({ [school.option]: school.value }).success).toBe(true);
  expect(constructionNamed('hat')).toBeNull();
});
