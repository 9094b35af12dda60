/** Things begun in millimetres: their usual lengths are figures a workshop says, and nothing is wrong that is right in inches. */
import { CONSTRUCTIONS } from '../constructions';
import { begunIn, changedDesign, constructionOptions, metricOptions, readDesign, type DesignInput } from '../design';
import { inches, mm, onGraduation, saidInMetric, usualOn, usualWords } from '../length';
import { planFor } from '../plan';
import { checksOf } from '../checks';
import { suggest } from '.';

test('a length as it is said in millimetres', () => {
  // Common practice, no source: a quarter inch is told as 6 mm, half an inch as 12, an inch as 25.
  for (const [inch, said] of [
    [1 / 8, 3],
    [1 / 4, 6],
    [1 / 2, 12],
    [1, 25],
    [1.5, 40],
    [2, 50],
    [4, 100],
  ] as const)
    expect(saidInMetric(inches(inch))).toBe(said);
  expect(saidInMetric(7)).toBe(7);
  // Only where the marks are millimetres: where there are none, a usual length stays as it was found.
  const quarter = inches(1 / 4);
  expect([usualOn('0.5 mm', quarter), usualOn('1/16 in', quarter), usualOn('exact', quarter)]).toEqual([
    6,
    quarter,
    quarter,
  ]);
});

test('a sentence tells what is usual in the units that are worked in', () => {
  for (const [told, said] of [
    ['Cut it 1/8 in narrower, or it buckles.', 'Cut it 3 mm narrower, or it buckles.'],
    ['1 to 1 1/2 in or more is usual.', '25 to 40 mm or more is usual.'],
    [
      'two walls of 1/2 in take a pen of 5/16 in, whatever the pad',
      'two walls of 12 mm take a pen of 8 mm, whatever the pad',
    ],
    ['the room asked for (1/4 in)', 'the room asked for (6 mm)'],
    ['edge 1 in the board, 3 of them', 'edge 1 in the board, 3 of them'],
  ] as const) {
    expect(usualWords(told, 'mm')).toBe(said);
    expect(usualWords(told, 'in')).toBe(told);
  }
});

const level = (input: DesignInput): ReadonlyMap<string, string> => {
  const read = readDesign(input);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return new Map(checksOf(planFor(read.design)).map((check) => [check.id, check.level]));
};

test.each(CONSTRUCTIONS.map(({ name }) => [name] as const))(
  '%s: every default in both systems, and as good in both',
  (construction) => {
    for (const { name, unit, fallback, madeWith } of constructionOptions(construction)) {
      if (unit !== 'mm' || typeof fallback !== 'number' || madeWith) continue;
      const said = metricOptions(construction)[name] ?? fallback;
      // Whole millimetres, or halves of what is thinner than three.
      expect([name, said, Number.isInteger(said < 3 ? 2 * said : said)]).toEqual([name, said, true]);
      expect(Math.abs(said - fallback)).toBeLessThanOrEqual(Math.max(1, 0.08 * fallback));
    }
    for (const contents of [
      { width: '90 mm', height: '130 mm', thickness: '1 mm' },
      { width: '148 mm', height: '105 mm', thickness: '2 mm' },
    ]) {
      const design: DesignInput = { version: 1, construction, contents, graduation: '1 mm', tool: { kind: 'ruler' } };
      const [before, after] = [level(design), level(begunIn(design))];
      const worse = [...after].filter(([id, now]) => (now === 'fail' || now === 'warn') && before.get(id) !== now);
      expect(worse).toEqual([]);
    }
  },
);

/** The floor of a box from a square is √2 of what is set on the board: its liner is on no mark in any system. */
const BETWEEN_MARKS = ['diagonal-box liner'];

test.each(CONSTRUCTIONS.map(({ name }) => [name] as const))(
  '%s: begun in whole millimetres, every sheet is cut on whole or half ones',
  (construction) => {
    for (const contents of [
      { width: '90 mm', height: '130 mm', thickness: '1 mm' },
      { width: '75 mm', height: '100 mm', thickness: '25 mm' },
    ]) {
      const read = readDesign(
        begunIn({ version: 1, construction, contents, graduation: '1 mm', tool: { kind: 'ruler' } }),
      );
      if (!read.ok) throw new Error(JSON.stringify(read.issues));
      const cut = (planFor(read.design).made?.pieces ?? [])
        .map(({ piece: { name, blank } }) => ({ name: `${construction} ${name}`, sides: [blank.width, blank.height] }))
        .filter(({ name }) => !BETWEEN_MARKS.includes(name));
      expect(cut.filter(({ sides }) => !sides.every((side) => onGraduation(mm(side), '0.5 mm')))).toEqual([]);
    }
  },
);

test('what a design says itself stays, and in inches nothing is written', () => {
  const design: DesignInput = {
    version: 1,
    construction: 'tab-envelope',
    contents: { width: '90 mm', height: '130 mm' },
    options: { tab: '9 mm' },
  };
  expect(begunIn(design)).toBe(design);
  expect(begunIn(design, '1 mm').options).toMatchObject({ tab: '9 mm', frontDrop: 12, closingFlap: 25 });
});

test('whatever begins a holder begins it so: another one on the bench, one more in a set; a change of marks begins none', () => {
  const tabs: DesignInput = {
    version: 1,
    construction: 'tab-envelope',
    contents: { width: '90 mm', height: '130 mm' },
    graduation: '1 mm',
  };
  expect(changedDesign(tabs, { construction: 'packet', options: null }).options).toMatchObject({ hem: 6 });
  expect(changedDesign(tabs, { graduation: '0.5 mm' }).options).toEqual({});
  const inches = changedDesign(tabs, { graduation: '1/8 in' });
  expect(changedDesign(inches, { construction: 'packet', options: null }).options).toEqual({});
  for (const construction of CONSTRUCTIONS) {
    const [found] = suggest({ contents: tabs.contents, graduation: '1 mm' }, [construction]);
    expect(found?.design.options ?? metricOptions(construction.name)).toMatchObject(metricOptions(construction.name));
  }
});
