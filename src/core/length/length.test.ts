import fc from 'fast-check';
import {
  caliperOf,
  gramsAt,
  gramsOf,
  poundsOf,
  formatLength,
  GRADUATIONS,
  inches,
  lengthParts,
  lengthSchema,
  mm,
  near,
  onGraduation,
  parseLength,
  roundTo,
  stepOf,
  unitsOf,
} from '.';

const value = (text: string, unitless?: 'in' | 'mm'): number => {
  const parsed = parseLength(text, unitless);
  if (!parsed.ok) throw new Error(parsed.message);
  return parsed.value;
};

describe('parseLength', () => {
  // Fraction arithmetic: 1 in is 25.4 mm exactly (ISO 80000-3).
  test.each([
    ['3 3/4 in', 95.25],
    ['3-3/4"', 95.25],
    ['3¾"', 95.25],
    ['3 ¾ in', 95.25],
    ['3.75in', 95.25],
    ['3 3⁄4 in', 95.25],
    ['3–3/4 in', 95.25],
    ['3 3/4 inches', 95.25],
    ['3 3/4 in.', 95.25],
    ['3 3/4”', 95.25],
    ["3 3/4''", 95.25],
    ['¾ in', 19.05],
    ['3/4in', 19.05],
    ['.5 in', 12.7],
    ['95 mm', 95],
    ['9,5 cm', 95],
    ['0.3 m', 300],
    ["1'", 304.8],
    ['-1/16 in', -1.5875],
    ['−0.5 mm', -0.5],
    ['３　in'.replace('　', ' '), 76.2],
    ['3\u00A0¾\u202Fin', 95.25],
    ['⅞ in', 22.225],
    ['0 mm', 0],
  ])('reads %s', (text, expected) => expect(value(text)).toBeCloseTo(expected, 9));

  test('a bare figure takes the unit it is told, and is refused without one', () => {
    expect(value('3 3/4', 'in')).toBeCloseTo(95.25, 9);
    expect(value('95', 'mm')).toBe(95);
    expect(parseLength('95')).toEqual({ ok: false, message: '“95” has no unit. Write 95 in or 95 mm.' });
  });

  test.each([
    '',
    '   ',
    'three inches',
    '3 1/0 in',
    '1/2/3 in',
    '3 parsecs',
    '1e3 mm',
    '1,250.5 mm',
    'NaN mm',
    'Infinity in',
    '3 3/4 in in',
    '--3 in',
    '9'.repeat(60),
    '500 m',
    '3² in',
    '3²in',
    '³⁄₄ in',
    '①② mm',
    '५ mm',
    'constructor',
    '5 constructor',
  ])('refuses %p with a sentence', (text) => {
    const parsed = parseLength(text);
    expect(parsed.ok).toBe(false);
    if (!parsed.ok) expect(parsed.message).toMatch(/^.{20,}\.$/u);
  });
});

describe('graduations', () => {
  test('positions move up, down or to the nearest mark, and stay when they stand on one', () => {
    expect(roundTo(inches(2.6), '1/8 in', 'up')).toBeCloseTo(inches(2.625), 9);
    expect(roundTo(inches(2.6), '1/8 in', 'down')).toBeCloseTo(inches(2.5), 9);
    expect(roundTo(inches(2.6), '1/8 in', 'nearest')).toBeCloseTo(inches(2.625), 9);
    expect(roundTo(inches(2.625), '1/8 in', 'up')).toBeCloseTo(inches(2.625), 9);
    expect(roundTo(mm(10.3), 'exact', 'up')).toBe(10.3);
  });

  test('every rounding lands on a mark within one step, in the direction asked', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1000, noNaN: true }),
        fc.constantFrom(...GRADUATIONS),
        (length, graduation) => {
          const [down, up] = [roundTo(mm(length), graduation, 'down'), roundTo(mm(length), graduation, 'up')];
          expect(onGraduation(down, graduation) && onGraduation(up, graduation)).toBe(true);
          expect(down).toBeLessThanOrEqual(length + 1e-6);
          expect(up).toBeGreaterThanOrEqual(length - 1e-6);
          expect(up - down).toBeLessThanOrEqual(stepOf(graduation) + 1e-6);
        },
      ),
    );
  });

  test('a length between marks is known to be', () => {
    expect(onGraduation(inches(2.6), '1/8 in')).toBe(false);
    expect(onGraduation(mm(2.5), '0.5 mm')).toBe(true);
  });
});

describe('formatLength', () => {
  test.each([
    [95.25, 'in', '1/8 in', '3 3/4 in'],
    [19.05, 'in', '1/8 in', '3/4 in'],
    [152.4, 'in', '1/8 in', '6 in'],
    [0, 'in', '1/8 in', '0 in'],
    [-1.5875, 'in', '1/16 in', '−1/16 in'],
    [80.822, 'in', '1/8 in', 'about 3 3/16 in'],
    [95.25, 'mm', '1 mm', 'about 95.3 mm'],
    [95, 'mm', '1 mm', '95 mm'],
    [95.256, 'mm', 'exact', '95.26 mm'],
    [95.25, 'in', 'exact', '3.75 in'],
  ] as const)('prints %d as %s at %s: %s', (length, units, graduation, text) =>
    expect(formatLength(mm(length), units, graduation, true)).toBe(text),
  );

  test('whatever stands on a mark reads back as itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2000 }),
        fc.constantFrom(...GRADUATIONS.filter((g) => g !== 'exact')),
        (steps, graduation) => {
          const length = mm(steps * stepOf(graduation));
          expect(value(formatLength(length, unitsOf(graduation), graduation))).toBeCloseTo(length, 9);
        },
      ),
    );
  });

  test('parts carry the fraction for setting in type', () =>
    expect(lengthParts(inches(2.625), 'in', '1/8 in')).toEqual({
      negative: false,
      whole: '2',
      fraction: [5, 8],
      unit: 'in',
      about: false,
    }));
});

test('NaN is near nothing, and is not a length', () => {
  expect(near(NaN, NaN, 1)).toBe(false);
  expect(near(1, 1.05, 0.1)).toBe(true);
  expect(() => mm(NaN)).toThrow('NaN is not a length');
});

test('a length in a document says what is wrong with it', () => {
  const schema = lengthSchema({ over: 0 });
  expect(schema.parse('3 3/4 in')).toBeCloseTo(95.25, 9);
  expect(schema.parse(95)).toBe(95);
  const message = (input: unknown) => schema.safeParse(input).error?.issues[0]?.message;
  expect(message('0 in')).toBe('0 in is too small: it must be more than 0 mm.');
  expect(message(20_000)).toBe('20000 mm is too large: at most 10000 mm.');
  expect(message(true)).toContain('Write a length');
});

describe('weights of paper (basis weight to g/m² by the published definition: 500 sheets of the basic size)', () => {
  test.each([
    // Figures printed on papers the world over, to the gram; from memory.
    [65, 'cover', 176],
    [80, 'cover', 216],
    [100, 'cover', 270],
    [110, 'cover', 298],
    [60, 'text', 89],
    [80, 'text', 118],
  ] as const)('%d lb %s is %d g/m²', (pounds, grade, grams) => {
    expect(Math.abs(gramsOf(pounds, grade) - grams)).toBeLessThan(1);
    expect(poundsOf(gramsOf(pounds, grade), grade)).toBeCloseTo(pounds, 9);
  });

  test('a sheet of the basic size weighs its share of the ream', () => {
    // 20 × 26 in in m², times g/m², times 500 sheets, in pounds of 453.59237 g.
    const ream = (20 * 0.0254 * 26 * 0.0254 * gramsOf(100, 'cover') * 500) / 453.59237;
    expect(ream).toBeCloseTo(100, 9);
  });

  test('thickness follows weight by the bulk, and back', () => {
    expect(caliperOf(200)).toBeCloseTo(0.26, 9);
    expect(caliperOf(200, 1.5)).toBeCloseTo(0.3, 9);
    expect(gramsAt(caliperOf(176))).toBeCloseTo(176, 9);
  });
});
