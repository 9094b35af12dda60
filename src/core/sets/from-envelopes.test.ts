/** What bought envelopes can become, and what goes into one: begun from any that are measured, planned and checked. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { inches, mm, sayer } from '../length';
import { calipersOf, type DesignInput } from '../design';
import { checksOf } from '../checks';
import { momentsOf, stepScene, seenAt } from '../looks';
import { stepsOf } from '../making';
import {
  planAnswerTo,
  cutListOf,
  ENVELOPE_WAYS,
  planSet,
  readSet,
  setChecks,
  walkOf,
  type Envelopes,
  type SetInput,
  type SetPlan,
} from '.';

const say = sayer('in', '1/8 in');
const planned = (input: SetInput): SetPlan => {
  const read = readSet(input);
  if (!read.ok) throw new Error(read.issues.map(({ path, message }) => `${path}: ${message}`).join('; '));
  return planSet(read.set);
};
const way = (id: string) => ENVELOPE_WAYS.find((one) => one.id === id)!;
const HAVE: Envelopes = {
  across: inches(6.125),
  deep: inches(6.125),
  flap: inches(3),
  shape: 'pointed',
  count: 12,
  photo: { width: inches(4), height: inches(4) },
};

test('whatever envelopes there are, what they are said to become can be made of them', () => {
  fc.assert(
    fc.property(
      fc.record({
        across: fc.double({ min: 110, max: 240, noNaN: true }),
        deep: fc.double({ min: 110, max: 240, noNaN: true }),
        square: fc.boolean(),
        share: fc.double({ min: 0.2, max: 0.6, noNaN: true }),
        shape: fc.constantFrom('pointed' as const, 'straight' as const),
        count: fc.integer({ min: 1, max: 40 }),
      }),
      ({ across, deep: told, square, share, shape, count }) => {
        const deep = square ? across : told;
        const have: Envelopes = {
          across,
          deep,
          flap: share * deep,
          shape,
          count,
          photo: { width: 60, height: 50 },
        };
        for (const one of ENVELOPE_WAYS) {
          if (one.wont(have) !== null) continue;
          const plan = planned(one.set(have));
          for (const { part, plan: own } of plan.parts) {
            if (part.given) continue;
            expect([one.id, own.refusal]).toEqual([one.id, null]);
            // A card for a large envelope may be larger than the sheet it is begun with.
            const failed = checksOf(own).filter(({ level, kind }) => level === 'fail' && kind !== 'paper');
            expect([one.id, failed]).toEqual([one.id, []]);
          }
          // Nor is a paper told for a piece that nobody asked for.
          expect(setChecks(plan).filter(({ level, kind }) => level === 'fail' || kind === 'no-piece')).toEqual([]);
        }
      },
    ),
    runs(12),
  );
});

test('what they will not become says why', () => {
  expect(way('rings').wont({ ...HAVE, deep: inches(4) })).toBe('Its pages need square envelopes.');
  expect(way('rings').wont({ ...HAVE, count: 1 })).toBe('A page takes two envelopes.');
  expect(way('rings').wont(HAVE)).toBeNull();
  expect(way('flaps').wont({ ...HAVE, count: 2 })).toBe('It takes three envelopes at least.');
  const longest = mm(HAVE.deep - inches(1 / 4));
  expect(way('flaps').wont({ ...HAVE, flap: longest })).toBeNull();
  expect(way('flaps').wont({ ...HAVE, count: 3, flap: mm(longest + 0.01) })).toBe(
    'Its flaps must be shorter than the envelopes are deep.',
  );
  expect(way('flaps').wont({ ...HAVE, count: 3 })).toBeNull();
});

test('many envelopes make as long an album as there may be, two to a page on rings', () => {
  const of = (id: string, count: number) =>
    planned(way(id).set({ ...HAVE, count })).parts[0]!.plan.made!.built.pieces.reduce(
      (sum, { source, hinges, quantity }) => sum + (source === 'bought' && hinges.length > 0 ? quantity : 0),
      0,
    );
  expect([of('rings', 7), of('rings', 40)]).toEqual([6, 40]);
  expect([of('flaps', 7), of('flaps', 40)]).toEqual([7, 16]);
});

test('a card fills a bought envelope by its folded pocket, turned or not, and follows it', () => {
  const card = (have: Envelopes, opens: 'width' | 'height' = 'width') => {
    const set = way('card').set(have);
    const parts = set.parts.map((part) =>
      part.given ? { ...part, given: { ...part.given, envelope: { ...part.given.envelope!, opens } } } : part,
    );
    return planned({ ...set, parts }).parts.find(({ part }) => part.id === 'card')!.outside!;
  };
  const oblong = { ...HAVE, across: inches(7.5), deep: inches(5.625), flap: inches(2) };
  for (const opens of ['width', 'height'] as const) {
    const { width, height, thickness } = card(oblong, opens);
    // What is left beside it is the least room of a bought envelope, and its own thickness.
    expect(width).toBeLessThanOrEqual(inches(7.5 - 1 / 16) - thickness);
    expect(width).toBeGreaterThan(inches(7.5 - 1 / 2) - thickness);
    expect(height).toBeLessThanOrEqual(inches(5.625 - 1 / 16) - thickness);
  }
  expect(card({ ...oblong, across: inches(6.5) }).width).toBeCloseTo(card(oblong).width - inches(1), 6);
});

test.each([
  [[5.75, 4.375], [5.5, 4.25], 'in'],
  [[5.25, 7.25], [5, 7], 'in'],
  [[8.125, 5.5], [7.875, 5.25], 'in'],
  [[162, 114], [148, 105], 'mm'],
  [[110, 220], [99, 210], 'mm'],
] as const)(
  'an envelope sold as %j is known by the card it is made for, %j %s, measured up to 1/8 in over (common practice; ISO 269 and 216)',
  (sides, [width, height], units) => {
    const long = (v: number): number => (units === 'in' ? inches(v) : v);
    for (const over of [0, 1 / 16, 1 / 8]) {
      const [across, deep] = sides.map((side) => mm(long(side) + inches(over)));
      const plan = planned({
        ...way('card').set({ ...HAVE, across: across!, deep: deep!, flap: inches(1.5) }),
        graduation: units === 'in' ? '1/8 in' : '1 mm',
      });
      const card = plan.parts.find(({ part }) => part.id === 'card')!;
      expect(card.outside).toMatchObject({
        width: expect.closeTo(long(width), 6),
        height: expect.closeTo(long(height), 6),
      });
      expect(setChecks(plan).filter(({ level }) => level === 'fail' || level === 'warn')).toEqual([]);
    }
    // A quarter of an inch over is another envelope: its card fills it.
    const other = way('card').set({
      ...HAVE,
      across: mm(long(sides[0]) + inches(1 / 4)),
      deep: mm(long(sides[1]) + inches(3 / 16)),
    });
    expect(other.parts.find(({ id }) => id === 'envelope')!.holds).toEqual([{ part: 'card', fills: true }]);
  },
);

test('a bought envelope is not cut or scored; what goes in is put in and it is shut, after the card is made', () => {
  const plan = planned(way('card').set({ ...HAVE, count: 1 }));
  const walk = walkOf(plan, say, 1, 'together');
  const own = walk.filter(({ part }) => part === 'envelope').map(({ step: { action } }) => action);
  expect(own.filter((action) => action !== 'glue')).toEqual(['insert', 'close']);
  const last = walk.findLastIndex(({ part }) => part === 'card');
  expect(walk.findIndex(({ part, step }) => part === 'envelope' && step.action === 'insert')).toBeGreaterThan(last);
  // Empty, nothing is done with it.
  const empty = planned({ ...way('box').set(HAVE) });
  expect(walkOf(empty, say, 1, 'together').every(({ part }) => part === 'box')).toBe(true);
});

test('its pocket is as it was measured, its flap folds, and every picture of it shows paper and what goes in', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 60, max: 250, noNaN: true }),
      fc.double({ min: 60, max: 250, noNaN: true }),
      fc.double({ min: 0.1, max: 1, noNaN: true }),
      fc.constantFrom('pointed' as const, 'straight' as const),
      fc.constantFrom('width' as const, 'height' as const),
      (width, height, share, shape, opens) => {
        const flap = share * (opens === 'width' ? height : width);
        const { parts } = planned({
          version: 1,
          parts: [
            { id: 'card', given: { width: width - 8, height: height - 8, thickness: 0.4 } },
            {
              id: 'envelope',
              given: { width, height, envelope: { flap, shape, opens } },
              holds: [{ part: 'card' }],
            },
          ],
        });
        const { plan } = parts.find(({ part }) => part.id === 'envelope')!;
        const made = plan.made!;
        expect(made.folded.problems).toEqual([]);
        expect(made.inside).toMatchObject({ width: expect.closeTo(width, 6), height: expect.closeTo(height, 6) });
        expect(made.finished).toMatchObject({ width: expect.closeTo(width, 6), height: expect.closeTo(height, 6) });
        for (const { picture } of stepsOf(plan, say)) {
          if (picture.kind !== 'folded') continue;
          expect(stepScene(made, plan.design, picture).faces.length).toBeGreaterThan(0);
        }
        expect(stepsOf(plan, say).every(({ picture }) => picture.kind !== 'standing')).toBe(true);
        const moments = momentsOf(made, plan.design);
        expect(moments[0]!.text).toBe('As it is bought');
        expect(moments.map(({ step }) => step)).toEqual(['flat', 'contents', 'close']);
        expect(seenAt(moments[2]!, 1).contents).toHaveLength(1);
      },
    ),
    runs(20),
  );
});

test('it is two papers thick, as it was measured; a layer on it is of the set’s paper and cut with the rest', () => {
  const of = (thickness: number) =>
    planned({
      version: 1,
      papers: [{ id: 'blue', name: 'Blue', width: 300, height: 300, caliper: 0.3 }],
      parts: [
        {
          id: 'envelope',
          given: { width: 150, height: 100, thickness, envelope: { flap: 40 } },
          layers: [{ id: 'label', on: 'back' }],
        },
      ],
    });
  const caliper = (thickness: number) => calipersOf(of(thickness).parts[0]!.plan.design)('envelope');
  expect([caliper(0.4), caliper(0)]).toEqual([0.2, 0.12]);
  expect(cutListOf(of(0.4))).toMatchObject([{ paper: 'blue', pieces: [{ part: 'envelope', quantity: 1 }] }]);
});

test('nobody makes what is given: a document that asks for it is told how to write it', () => {
  const design = { version: 1, construction: 'bought-envelope', blank: { width: 100, height: 100 } } as unknown;
  expect(planAnswerTo(design)).toMatchObject({
    ok: false,
    issues: [{ path: 'construction', message: expect.stringContaining('“given”') }],
  });
  const read = readSet({
    version: 1,
    parts: [
      { id: 'a', design: { construction: 'plain-sheet', blank: { width: 10, height: 10 } } as unknown as DesignInput },
    ],
  });
  expect(read).toMatchObject({
    ok: false,
    issues: [{ path: 'parts.0.design.construction', message: expect.stringContaining('“given”') }],
  });
});

test('a flap deeper than its envelope is refused, and what it holds says where to look', () => {
  const set = way('card').set({ ...HAVE, flap: inches(9) });
  const checks = planned(set).parts.map(({ part, plan }) => [part.id, plan.refusal?.code ?? null]);
  expect(checks).toEqual(
    expect.arrayContaining([
      ['envelope', 'part-too-large'],
      ['card', 'not-told'],
    ]),
  );
});
