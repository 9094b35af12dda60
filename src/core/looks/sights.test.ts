/** Which way up prints stand on pages and on what is opened: worked out from where the folded pages' tops are. */
import { planOf } from '../../../tests/helpers/designs';
import { layerOf } from '../fold';
import { apply, minus } from '../geometry';
import { sayer } from '../length';
import { bookOf, planFor, type Made, type Plan } from '../plan';
import { changedDesign, inputOf, paperOf, readDesign, type DesignInput } from '../design';
import { checksOf, checkSentence } from '../checks';
import { isUpright, openPrintMap, printMap, printOn, turnedUpright } from './print';
import { blanksOf } from '../making';

const printed = (construction: string, options: object = {}, paper: object = {}): Plan =>
  planOf({
    version: 1,
    construction,
    contents: { width: '4 in', height: '4 in' },
    paper: { caliper: 0.2, directional: true, ...paper },
    options,
  } as DesignInput);
const made = ({ made: one, refusal }: Plan): Made => {
  if (!one) throw new Error(`refused: ${refusal.code}`);
  return one;
};
/** The plan with every piece turned as the one button does. */
function turned(plan: Plan): Plan {
  const change = turnedUpright(made(plan), plan.design);
  if (!change) throw new Error('nothing to turn');
  const read = readDesign(changedDesign(inputOf(plan.design), change));
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return planFor(read.design);
}
const seen = (plan: Plan) =>
  openPrintMap(made(plan), plan.design)
    .filter((one) => printOn(made(plan), plan.design, one) !== null)
    .map(({ name, face, turn }) => `${name}, ${face}: ${turn}`);
const found = (plan: Plan) => checksOf(plan).find(({ id }) => id === 'print-seen')!;
const say = sayer('in', '1/8 in');

describe('a ring album', () => {
  const plan = printed('ring-album', { envelope: '6 1/8 in', pages: 5 });

  test('is looked at page by page: mats and strips of both faces, and never the bought envelopes', () => {
    expect(seen(plan)).toEqual([
      'first outer mat, every page: 0',
      'corner tuck’s layer, every page: 0',
      'first ring strip, every page: 0',
      'corner tuck, every page: 0',
      'second outer mat, back of every page: 180',
      'second ring strip, back of every page: 180',
    ]);
    // The covers are alike and lie outside; what shows round a page when it is closed is not looked at.
    expect(new Set(printMap(made(plan), plan.design).map(({ name, face }) => `${name}, ${face}`))).toEqual(
      new Set(['cover, outside']),
    );
  });

  test('one button turns every mat towards the side that the middle pull-out comes out at', () => {
    expect(found(plan)).toMatchObject({ level: 'warn', remedies: [{ code: 'turn_all' }] });
    const upright = turned(plan);
    expect(found(upright).level).toBe('pass');
    expect(turnedUpright(made(upright), upright.design)).toBeNull();
    const middle = made(upright).built.cavities.find(({ id }) => id === 'middle pocket')!;
    if (middle.kind === 'box') throw new Error('lies flat');
    const { finished } = made(upright).folded;
    const floor = layerOf(finished, middle.floor);
    const [from, to] = [middle.mouth.from, middle.mouth.to].map((p) => apply<'folded'>(floor.map, p));
    const side = minus(to!, from!);
    for (const panel of ['first-mat', 'second-mat', 'first-strip', 'second-strip']) {
      const { map, piece } = layerOf(finished, panel);
      const { turn } = paperOf(upright.design, piece);
      // Up on the print, as the blank lies turned on it: clockwise quarters of the blank against the print.
      const up = [
        { x: 0, y: 1 },
        { x: -1, y: 0 },
        { x: 0, y: -1 },
        { x: 1, y: 0 },
      ][turn]!;
      const lies = minus(apply<'folded'>(map, up), apply<'folded'>(map, { x: 0, y: 0 }));
      // Square to the mouth, and out of it: away from the page's middle.
      expect(Math.abs(lies.x * side.x + lies.y * side.y)).toBeLessThan(1e-6);
      const centre = floor.polygon.reduce((sum, p) => ({ x: sum.x + p.x / 4, y: sum.y + p.y / 4 }), { x: 0, y: 0 });
      expect((from!.x - centre.x) * lies.x + (from!.y - centre.y) * lies.y).toBeGreaterThan(0);
    }
  });

  test('a cover that is turned a quarter is cut from the other way of the sheet, a mat turned round from the same', () => {
    const size = (of: Plan, piece: string) => blanksOf(made(of), of.design).find(({ name }) => name === piece)!;
    const tall = printed('flap-album', { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in' });
    const [before, after] = [size(tall, 'front cover wrap'), size(turned(tall), 'front cover wrap')];
    expect(before.width).not.toBeCloseTo(before.height, 0);
    expect([after.width, after.height]).toEqual([before.height, before.width]);
    expect(after.turn).toBe(false);
    expect(size(turned(plan), 'second outer mat')).toEqual(size(plan, 'second outer mat'));
  });

  test('what is wrong is said with how it stands and where, and a plain paper is not asked', () => {
    expect(checkSentence(found(plan), say)).toBe(
      'The print does not read upright everywhere: the cover on its right side (outside), the second outer mat upside down (back of every page) and the second ring strip upside down (back of every page). Turn the blanks on the sheet before you cut them.',
    );
    expect(found(printed('ring-album', {}, { directional: false }))).toBeUndefined();
  });
});

describe('an album flap to flap', () => {
  const plan = printed('flap-album', { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in', envelopes: 4 });

  test('has a mat on both faces of every page, where the one that is laid lies', () => {
    const { leaves } = bookOf(made(plan))!;
    expect(leaves.map(({ pages }) => pages)).toEqual([
      [1, 1],
      [2, 2],
      [3, 3],
      [4, 4],
    ]);
    for (const { stack } of leaves) {
      const [below, above] = [stack.layers[0]!, stack.layers.at(-1)!];
      expect([below.panel, above.panel]).toEqual(['page-mat', 'page-mat']);
      expect([below.up, above.up].sort()).toEqual(['inside', 'outside']);
      const box = (polygon: readonly { x: number; y: number }[]) =>
        [Math.min(...polygon.map(({ x }) => x)), Math.max(...polygon.map(({ y }) => y))].map((v) => v.toFixed(6));
      expect(box(below.polygon)).toEqual(box(above.polygon));
    }
    expect(seen(plan).filter((one) => one.startsWith('page mat'))).toHaveLength(8);
  });

  test('one turn stands the mats upright on all pages and backs of pages alike', () => {
    const upright = turned(plan);
    const mats = openPrintMap(made(upright), upright.design).filter(({ panel }) => panel === 'page-mat');
    expect(mats.map(({ turn }) => turn)).toEqual(Array(8).fill(0));
    expect(mats.map(({ face }) => face)).toContain('back of page 4');
  });
});

describe('a fold-out of three', () => {
  const plan = printed('envelope-trio');

  test('is looked at closed, and lying open from both sides; the print of its squares runs at a slant there', () => {
    const faces = new Set(openPrintMap(made(plan), plan.design).map(({ face }) => face));
    expect([...faces]).toEqual(['inside, lying open', 'outside, lying open']);
    expect(seen(plan).some((one) => one.startsWith('centre’s inside mat, inside'))).toBe(true);
    // Mats are cut along the sheet and lie upright; squares are folded corner to corner.
    expect(seen(plan).filter((one) => one.includes('side mat') && !one.endsWith(': 0'))).toEqual([]);
    expect(seen(plan)).toContain('top flap, inside, lying open: 135');
  });

  test('what runs at a slant is told once, and nothing is offered to be turned', () => {
    expect(found(plan)).toMatchObject({ level: 'note', value: 0, remedies: [] });
    expect(checkSentence(found(plan), say)).toBe(
      'The print of the centre, the right wing, the left wing and the top flap’s mat will run at a slant, because the folds cross the sheet corner to corner.',
    );
    expect(turnedUpright(made(plan), plan.design)).toBeNull();
  });

  test('mats laid on their heads by the paper are turned back by one button', () => {
    const headlong = printed('envelope-trio', {}, { turn: 2 });
    expect(found(headlong)).toMatchObject({ level: 'warn', remedies: [{ code: 'turn_all' }] });
    const upright = turned(headlong);
    const mats = openPrintMap(made(upright), upright.design).filter(({ name }) => name.endsWith('side mat'));
    expect(mats).toHaveLength(6);
    expect(mats.every(isUpright)).toBe(true);
  });
});

test('a holder that is not opened to be looked at keeps its two checks of the front', () => {
  const plan = printed('seam-envelope');
  expect(openPrintMap(made(plan), plan.design)).toEqual([]);
  expect(found(plan)).toBeUndefined();
  expect(checksOf(plan).map(({ id }) => id)).toContain('print-direction');
});

test('turns of single pieces are kept in the document, and reach no other piece', () => {
  const read = readDesign({
    version: 1,
    construction: 'tray-box',
    contents: { width: '3 in', height: '3 in', thickness: '1 in' },
    paper: { directional: true, turn: 1 },
    turns: { lid: 2 },
  });
  if (!read.ok) throw new Error(read.issues[0]!.message);
  expect(paperOf(read.design, 'lid').turn).toBe(2);
  expect(paperOf(read.design, 'base').turn).toBe(1);
  expect(inputOf(read.design)).toMatchObject({ turns: { lid: 2 } });
  const wrong = readDesign({
    version: 1,
    construction: 'tray-box',
    contents: { width: '3 in', height: '3 in' },
    turns: { lid: 5 },
  });
  expect(wrong.ok).toBe(false);
  expect(printMap(made(planFor(read.design)), read.design).length).toBeGreaterThan(0);
});
