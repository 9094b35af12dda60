import { readCutList, type CutList, type Layout, type Placement } from '@/core/cutting';
import { loadSolver, pack } from '@/core/cutting/pack';
import { kindOf, mayTurn, placeFor, redrawn, refusedWords, settled, snapped, turnedPlacement } from './byHand';
import { sheetGroups } from './sheetGroups';

let list: CutList;
let layout: Layout;
beforeAll(async () => {
  const read = readCutList({
    version: 1,
    sheets: [{ name: 's', width: 100, height: 100, kerf: 2 }],
    pieces: [
      { name: 'large', width: 90, height: 60, quantity: 2 },
      { name: 'tag', width: 20, height: 30, quantity: 1 },
      { name: 'upright', width: 10, height: 12, quantity: 1, turn: false },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  list = read.list;
  layout = pack(list, await loadSolver());
});
const at = (x: number, y: number, width = 20, height = 30): Placement => ({
  piece: 'tag',
  x,
  y,
  width,
  height,
  turned: false,
});

test('a dragged piece is drawn to an edge that is near, else to a mark, and never off the sheet', () => {
  const sheet = kindOf(list, 's');
  const other = at(40, 0, 30, 60);
  // The blade stays between two pieces.
  expect(snapped(at(16.5, 1), [other], sheet, '1 mm')).toMatchObject({ x: 18, y: 0 });
  expect(snapped(at(73.4, 30.3), [other], sheet, '1 mm')).toMatchObject({ x: 72, y: 30 });
  expect(snapped(at(8.4, 33.3), [other], sheet, '1 mm')).toMatchObject({ x: 8, y: 33 });
  expect(snapped(at(-30, 200), [], sheet, 'exact')).toMatchObject({ x: 0, y: 70 });
});

test('a sheet laid anew gets its cuts and offcuts, or the reason why it cannot be cut', () => {
  const first = { layout, refused: new Map<number, never>() };
  const placements = layout.sheets[0]!.placements;
  const over = redrawn(list, first, new Map([[0, [...placements, { ...placements[0]!, piece: 'tag' }]]]));
  expect([...over.refused.keys()]).toEqual([0]);
  expect(refusedWords(over.refused.get(0)!, over.layout.sheets[0]!.placements)).toContain('lie over each other');
  const mended = redrawn(list, over, new Map([[0, placements]]));
  expect(mended.refused.size).toBe(0);
  expect(mended.layout.sheets[0]!.cuts.length).toBeGreaterThan(0);
});

test('a sheet that was emptied is no longer used, and fewer than was thought possible is not claimed', () => {
  const all = layout.sheets.flatMap(({ placements }) => placements);
  const emptied = redrawn(list, { layout, refused: new Map() }, new Map([[layout.sheets.length - 1, []]]));
  const kept = settled(emptied, list);
  expect(kept.sheetsUsed).toBe(layout.sheetsUsed - 1);
  expect(kept.sheets.flatMap(({ placements }) => placements).length).toBeLessThan(all.length);
  expect(settled({ layout, refused: new Map() }, list)).toMatchObject({
    sheetsUsed: layout.sheetsUsed,
    optimal: true,
    yield: expect.closeTo(layout.yield),
  });
});

test('a place on another sheet: where it still can be cut, turned if it must be, or none', () => {
  const sheet = kindOf(list, 's');
  const large = { ...at(0, 0, 90, 60), piece: 'large' };
  expect(placeFor(at(5, 5), [large], list, sheet)).toMatchObject({ x: 0, y: 62, turned: false });
  expect(placeFor(at(5, 5, 37, 60), [large], list, sheet)).toMatchObject({ width: 60, height: 37, turned: true });
  expect(placeFor({ ...at(0, 0, 10, 60), piece: 'upright' }, [large], list, sheet)).toBeNull();
  expect([mayTurn(list, sheet, 'tag'), mayTurn(list, sheet, 'upright')]).toEqual([true, false]);
  expect(turnedPlacement(turnedPlacement(large))).toEqual(large);
});

test('neighbouring sheets laid alike stand together', () => {
  const sheet = (x: number) => ({ sheet: 's', placements: [at(x, 0)], cuts: [], offcuts: [] });
  expect(sheetGroups([sheet(0), sheet(0), sheet(5), sheet(0)])).toEqual([
    { first: 0, count: 2 },
    { first: 2, count: 1 },
    { first: 3, count: 1 },
  ]);
});
