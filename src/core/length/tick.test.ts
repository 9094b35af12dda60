import fc from 'fast-check';
import { countedLength, GRADUATIONS, INCH, inches, mm, tickOf, tickWords, unitsOf } from '.';

describe('ruler words', () => {
  test.each([
    [3.75, '1/8 in', 'three quarters past 3'],
    [2.625, '1/8 in', 'five eighths past 2'],
    [3.125, '1/8 in', 'one eighth past 3'],
    [6, '1/8 in', 'right on 6'],
    [0.5, '1/8 in', 'half an inch from the end'],
    [0.5, '1/16 in', 'half an inch from the end'],
    [2.6875, '1/16 in', 'eleven sixteenths past 2'],
    [1.90625, '1/32 in', 'twenty-nine thirty-seconds past 1'],
    [0.625, '1/32 in', 'five eighths from the end'],
    [1.65625, '1/32 in', 'twenty-one thirty-seconds past 1'],
    [1.9375, '1/32 in', 'fifteen sixteenths past 1'],
    [1.96875, '1/32 in', 'thirty-one thirty-seconds past 1'],
    [0, '1/8 in', 'right on the end'],
    [0.004, '1/8 in', 'a hair over the end'],
    [2.6875, 'exact', 'eleven sixteenths past 2'],
    // Between eighths it is counted in the next finer marks that have one there.
    [2.6875, '1/8 in', 'eleven sixteenths past 2'],
    [2.71875, '1/8 in', 'twenty-three thirty-seconds past 2'],
    // On no mark at all: the nearest sixteenth, and which way it leans.
    [2.635, '1/8 in', 'a hair over five eighths past 2'],
    [3.995, '1/8 in', 'a hair under 4'],
  ] as const)('%s in on marks of %s: %s', (value, marks, words) => {
    expect(tickWords(inches(value), 'in', marks)).toBe(words);
  });

  test.each([
    [95, '1 mm', 'five small marks past 90'],
    [91, '1 mm', 'one small mark past 90'],
    [90, '1 mm', 'right on 90'],
    [4, '1 mm', 'four small marks from the end'],
    [95.5, '0.5 mm', 'five and a half small marks past 90'],
    [90.5, '0.5 mm', 'half a small mark past 90'],
    [91.5, '1 mm', 'one and a half small marks past 90'],
    [66.7, '1 mm', 'a hair under seven small marks past 60'],
  ] as const)('%s mm on marks of %s: %s', (value, marks, words) => {
    expect(tickWords(mm(value), 'mm', marks)).toBe(words);
  });

  test('a length read in the other units is counted in those', () => {
    expect(tickWords(inches(2.625), 'mm', '1/8 in')).toBe('a hair under seven small marks past 60');
    expect(tickWords(mm(50.8), 'in', '1 mm')).toBe('right on 2');
  });

  test('the length is said before its counting', () => {
    expect(countedLength(inches(3.75), 'in', '1/8 in')).toBe('3 3/4 in: three quarters past 3');
    expect(countedLength(inches(2.635), 'in', '1/8 in')).toBe('about 2 5/8 in: a hair over five eighths past 2');
  });

  test('what is counted, counted back, is the mark; and no mark of that fineness is nearer', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 600, noNaN: true }),
        fc.constantFrom(...GRADUATIONS.filter((g) => g !== 'exact')),
        (size, graduation) => {
          const units = unitsOf(graduation);
          const { whole, marks, per, at, off } = tickOf(mm(size), units, graduation);
          const step = (units === 'in' ? INCH : 10) / per;
          expect(whole * (units === 'in' ? INCH : 1) + marks * step).toBeCloseTo(at, 6);
          expect(at + off).toBeCloseTo(size, 6);
          expect(Math.abs(off)).toBeLessThanOrEqual(step / 2 + 1e-9);
          expect(marks).toBeLessThan(per);
        },
      ),
    );
  });
});
