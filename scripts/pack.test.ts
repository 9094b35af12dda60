import type { Layout } from '../src/core/cutting';
import { asked, started } from '../tests/helpers/command-line';
import { pack } from './pack';

const list = {
  version: 1,
  sheets: [
    { name: 'cardstock 12 × 12', width: '12 in', height: '12 in', count: 20, kerf: 0, directional: false, priority: 0 },
  ],
  pieces: [{ name: 'mat', width: '5 1/4 in', height: '5 7/8 in', quantity: 16, turn: true }],
  cutter: 'guillotine',
};

test('the contract’s own example: four mats a sheet, four sheets, proved', () => {
  const { status, out, err } = started('pack', JSON.stringify(list));
  expect([status, err]).toEqual([0, '']);
  const layout = JSON.parse(out) as Layout;
  expect(layout).toMatchObject({ sheetsUsed: 4, lowerBound: 4, optimal: true });
  expect(layout.sheets[0]!.placements[0]).toMatchObject({ piece: 'mat' });
  expect(layout.yield).toBeCloseTo((16 * 5.25 * 5.875) / (4 * 144), 9);
});

test.each([
  ['nothing', '', [], 'The document is empty.'],
  ['half a document', '{"version": 1', [], 'This is not JSON'],
  ['no pieces', JSON.stringify({ ...list, pieces: [] }), [], 'There is no piece to cut'],
  ['an option', JSON.stringify(list), ['--fast'], 'is not an option here'],
])('%s: status 2, nothing on standard output, the reasons on standard error', async (_, input, args, sentence) => {
  const { status, out, err } = await asked(pack, input, ...args);
  expect([status, out]).toEqual([2, '']);
  const document = JSON.parse(err) as { error: string; issues: unknown[] };
  expect(JSON.stringify(document)).toContain(sentence);
  expect(Array.isArray(document.issues)).toBe(true);
});
