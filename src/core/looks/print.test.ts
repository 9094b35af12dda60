/** What of the print shows on each holder and which way up: worked out by folding printed paper, no other source. */
import { planOf } from '../../../tests/helpers/designs';
import { inches, sayer } from '../length';
import { cutOutOf, printMap, toCentreFront, windowInside, windowOnFront, type Showing } from './print';
import { stepsOf } from '../making';
import type { DesignInput } from '../design';
import type { Plan } from '../plan';

const shows = (
  construction: string,
  options: object = {},
  contents: object = { width: '4 in', height: '4 1/2 in' },
): readonly Showing[] => {
  const plan = planOf({ version: 1, construction, contents, options });
  return printMap(plan.made!, plan.design);
};
/** The panels of one face with the side and the turn of each, the largest first. */
const face = (all: readonly Showing[], which: 'front' | 'back'): string[] =>
  all.filter((s) => s.face === which).map((s) => `${s.panel} ${s.side} ${s.turn}`);

test('a seam envelope: the sheet lies with its closing flap near, so its front hangs; the flaps run as their folds turned them', () => {
  const all = shows('seam-envelope');
  expect(face(all, 'front')).toEqual(['front outside 180']);
  // Sides folded over keep the sheet's up; bottom and closing flap, folded along it, are turned round.
  expect(face(all, 'back').sort()).toEqual([
    'bottom outside 0',
    'closing outside 0',
    'side-1 outside 180',
    'side-2 outside 180',
  ]);
});

test('an envelope with side tabs: the front is folded up from below, so its print hangs', () => {
  const all = shows('tab-envelope');
  expect(face(all, 'front').sort()).toEqual(['closing outside 180', 'front outside 180']);
  expect(face(all, 'back')).toEqual(['back outside 0']);
});

test('a card holder stands upright on both sides; only its notch shows the inside', () => {
  const all = shows('card-holder');
  expect(face(all, 'front')).toEqual(['front outside 0', 'back inside 0']);
  expect(face(all, 'back')).toEqual(['back outside 0']);
  expect(all.filter((s) => s.side === 'inside').reduce((sum, s) => sum + s.area, 0)).toBeLessThan(400);
  expect(face(shows('card-holder', { fingerNotch: 0 }), 'front')).toEqual(['front outside 0']);
});

test('a library pocket with its tabs behind shows them on the back, hanging as the pocket does', () => {
  const all = shows('library-pocket', { tabs: 'behind' });
  expect(face(all, 'front')).toEqual(['pocket outside 180', 'back inside 0']);
  expect(face(all, 'back').sort()).toEqual(['back outside 0', 'tab-1 outside 180', 'tab-2 outside 180']);
});

test('a patch pocket shows the outside, and the page it lies on is not its own', () => {
  expect(face(shows('patch-pocket'), 'front')).toEqual(['pocket outside 0']);
});

test('a sleeve folded at the end hangs on the front, folded at the side it stands', () => {
  expect(face(shows('sleeve'), 'front')).toEqual(['front outside 180']);
  expect(face(shows('sleeve', { fold: 'side' }), 'front')).toEqual(['front outside 0']);
});

test('a slider set shows three sheets: cover, doors and what they leave of the channel', () => {
  const all = shows(
    'slider-set',
    { door: '1 in', clasp: '1/2 in', foot: '1/2 in' },
    { width: '5 1/2 in', height: '2 3/4 in' },
  );
  const front = face(all, 'front').map((text) => text.split(' ')[0]);
  expect(front).toEqual(expect.arrayContaining(['foot', 'clasp', 'slider-door', 'fixed-door', 'channel-over']));
  // The doors fold over on upright lines: what stood on the sheet's right side lies on its left.
  const doors = all.filter((s) => s.panel.endsWith('door') && s.face === 'front');
  expect(doors.map((s) => s.side)).toEqual(['outside', 'outside']);
});

test('what shows covers each face once: the areas add up to the finished outline', () => {
  for (const construction of ['seam-envelope', 'card-holder', 'tab-envelope', 'sleeve', 'folded-card']) {
    const plan = planOf({ version: 1, construction, contents: { width: '4 in', height: '4 1/2 in' } });
    const { finished } = plan.made!;
    for (const which of ['front', 'back'] as const) {
      const total = printMap(plan.made!, plan.design)
        .filter((s) => s.face === which)
        .reduce((sum, s) => sum + s.area, 0);
      expect(Math.abs(total - finished.width * finished.height)).toBeLessThan(8);
    }
  }
});

describe('where on the paper it is cut', () => {
  const placed = (paper: object): Plan =>
    planOf({
      version: 1,
      construction: 'card-holder',
      contents: { width: 53.98, height: 85.6, thickness: 0.76 },
      tool: { kind: 'scoring-board' },
      paper: { width: '12 in', height: '12 in', sided: 1, directional: true, ...paper },
    } as DesignInput);
  const say = sayer('in', '1/8 in');
  const cut = (plan: Plan) => stepsOf(plan, say)[0]!;

  test('two distances from two edges, a cut after the other, and what they are read as', () => {
    const plan = placed({ at: { x: '2 in', y: '3 in' } });
    const { width, height } = plan.made!.pieces[0].piece.blank;
    expect(cutOutOf(plan.made!, plan.design)).toEqual({ x: inches(2), y: inches(3), width, height });
    const step = cut(plan);
    expect(step.text).toContain('2 in from its left edge, 3 in from its near edge');
    expect(step.text).toContain('cut off the left 2 in, then cut at 5 1/4 in from that edge');
    expect(step.readings.map(({ at }) => at)).toEqual([inches(2), width, inches(3), height]);
    // In the corner nothing comes off before; nowhere told, it is a plain piece.
    expect(cut(placed({ at: { x: 0, y: 0 } })).text).not.toContain('cut off');
    expect(cut(placed({})).text).toBe('Cut a piece 5 1/4 in wide and 4 in high.');
  });

  test('a blank that lies turned on its print is cut out turned', () => {
    const plan = placed({ at: { x: '1 in', y: '1 in' }, turn: 1 });
    const { width, height } = plan.made!.pieces[0].piece.blank;
    expect(cutOutOf(plan.made!, plan.design)).toEqual({ x: inches(1), y: inches(1), width: height, height: width });
    expect(cut(plan).text).toContain('4 in wide and 5 1/4 in high');
  });

  test('the front is centred on a place, and what is to show ends so far inside its nearest fold', () => {
    const window = { x: '6 in', y: '6 in', width: '1 in', height: '1 in' };
    const plan = placed({ at: { x: 0, y: 0 }, window });
    expect(windowInside(plan.made!, plan.design)).toBeNull();
    const by = toCentreFront(plan.made!, plan.design, { x: inches(6.5), y: inches(6.5) })!;
    const centred = placed({ at: by, window });
    const there = toCentreFront(centred.made!, centred.design, { x: inches(6.5), y: inches(6.5) })!;
    expect(Math.hypot(there.x, there.y)).toBeLessThan(1e-6);
    // The front is 2 3/8 in wide: an inch in its middle ends 11/16 in inside either side.
    expect(windowInside(centred.made!, centred.design)).toBeCloseTo(inches(11 / 16), 6);
    expect(windowOnFront(centred.made!, centred.design)!.share).toBeGreaterThan(0.9);
    expect(cut(centred).text).toContain('What is to show then ends 11/16 in inside the nearest edge of the front.');
    const avoided = placed({ at: by, window: { ...window, keep: 'avoid' } });
    expect(windowInside(avoided.made!, avoided.design)).toBeNull();
  });
});
