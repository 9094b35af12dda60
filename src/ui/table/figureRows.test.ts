import { figureRows, roomForRows, ROW } from './figureRows';

test('figures far apart stand in one row, near ones under each other, in whatever order they come', () => {
  expect(figureRows([0, 100, 200])).toEqual([0, 0, 0]);
  expect(figureRows([0, 30, 60, 90])).toEqual([0, 1, 0, 1]);
  expect(figureRows([20, 0, 10])).toEqual([2, 0, 1]);
  expect(figureRows([])).toEqual([]);
});

test('the room under them grows by a row at a time', () => {
  expect([roomForRows([], 40), roomForRows([0, 100], 40), roomForRows([0, 30], 40)]).toEqual([0, 40, 40 + ROW]);
});
