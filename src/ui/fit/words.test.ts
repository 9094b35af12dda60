import { outOf } from './words';

test('a share as so many of a hundred: all only where every one is right, none only where none is', () => {
  expect([1, 1497 / 1500, 0.5, 3 / 1500, 0].map(outOf)).toEqual([100, 99, 50, 1, 0]);
});
