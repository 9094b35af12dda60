import { sheetWords } from './sheetWords';

const INCH2 = 25.4 * 25.4;

test.each([
  [4, 'in', 'a corner of a 12 in sheet'],
  [12, 'in', 'about a twelfth of a 12 in sheet'],
  [17, 'in', 'about an eighth of a 12 in sheet'],
  [36, 'in', 'about a quarter of a 12 in sheet'],
  [46, 'in', 'about a third of a 12 in sheet'],
  [72, 'in', 'about half of a 12 in sheet'],
  [100, 'in', 'about two thirds of a 12 in sheet'],
  [140, 'in', 'about the whole of a 12 in sheet'],
  [216, 'in', 'about 1 1/2 sheets of 12 in'],
  [290, 'in', 'about 2 sheets of 12 in'],
  [24, 'mm', 'about a quarter of an A4 sheet'],
] as const)('%d square inches, read in %s: %s', (area, units, words) => {
  expect(sheetWords(area * INCH2, units)).toBe(words);
});
