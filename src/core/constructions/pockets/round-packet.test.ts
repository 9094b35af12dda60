/** Bands and tubes round a packet: four creases, raised to the packet's own section, lapped on its back. */
import { planOf } from '../../../../tests/helpers/designs';
import { INCH, sayer } from '../../length';
import { checksOf, checkSentence } from '../../checks';
import { stepsOf } from '../../making';

const say = sayer('in', '1/8 in');
const plan = (construction: string, thickness: number | string, options: object = {}) =>
  planOf({ version: 1, construction, contents: { width: '3 in', height: '4 in', thickness }, options });

test.each([
  ['belly-band', {}],
  ['sleeve', { fold: 'tube' }],
])('%s: flat round what is thin, with four creases from 3 mm on', (construction, options) => {
  const folds = (thickness: number) => plan(construction, thickness, options).made!.pieces[0].piece.hinges.length;
  expect([folds(0), folds(3), folds(3.01), folds(19)]).toEqual([2, 2, 4, 4]);
});

test('a band is as long as twice round its packet, paper counted, and its lap', () => {
  const { made } = plan('belly-band', '1/2 in');
  const { width, depth } = made!.inside;
  expect(made!.pieces[0].piece.blank.width).toBeCloseTo(2 * (width + depth) + INCH / 2, 6);
  expect(width).toBeGreaterThan(3 * INCH);
  // The ends lap on the packet's back: their paper is counted.
  expect(depth).toBeGreaterThanOrEqual(INCH / 2 + 0.25);
  expect(made!.finished).toMatchObject({ width: expect.closeTo(width, 6), thickness: expect.closeTo(depth, 6) });
});

test('breadth and stuffed size are said apart, and nothing fails', () => {
  const band = plan('belly-band', '1/2 in');
  expect(checksOf(band).filter(({ level }) => level === 'fail' || level === 'warn')).toEqual([]);
  const stuffed = checksOf(band).find(({ id }) => id === 'stuffed')!;
  expect(checkSentence(stuffed, say)).toMatch(
    /^Flat it is 3 3\/4 in broad; round its packet 3 1\/8 in, and 5\/8 in thick/,
  );
  expect(stepsOf(band, say).at(-1)!.text).toContain('Slide it over what it holds.');
});

test('joined from two strips the lap of the join lies on the front, clear of the creases', () => {
  const { made } = plan('belly-band', '1/2 in', { sheetLength: '6 in' });
  expect(made!.pieces.map(({ piece }) => piece.name)).toEqual(['band', 'second strip']);
  expect(made!.pieces.every(({ piece }) => piece.blank.width <= 6 * INCH + 1e-6)).toBe(true);
  expect(made!.folded.problems).toEqual([]);
  const short = plan('belly-band', '1/2 in', { sheetLength: '3 in' });
  expect(checksOf(short).map(({ id }) => id)).toEqual(['strip-too-short']);
});

test('what is asked of the height differs: a tube is as long as what it holds, a band is not', () => {
  const tall = { version: 1, contents: { width: 80, height: 400, thickness: 20 } };
  expect(planOf({ ...tall, construction: 'belly-band' }).made!.fit).toMatchObject({ insert: null, seat: null });
  const tube = planOf({ ...tall, construction: 'sleeve', options: { fold: 'tube' } }).made!;
  expect(tube.inside.height).toBeGreaterThan(400);
  expect(tube.fit).toMatchObject({ insert: null, seat: null });
});

test('a tube that has a finger notch stays flat, where it can be bitten', () => {
  const { made } = plan('sleeve', 6, { fold: 'tube', fingerNotch: '3/4 in' });
  expect(made!.pieces[0].piece.hinges).toHaveLength(2);
  expect(made!.pieces[0].piece.trims.length).toBeGreaterThan(0);
});
