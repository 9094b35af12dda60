import { planOf } from '../../../../tests/helpers/designs';
import { mm } from '../../length';
import { type Piece, drawPiece, rect, ring } from '../../pattern';
import { aboveSlot, assemble, facesView, flatStack, mouthView, slotOf, type AssemblyStep, type Cavity } from '..';

/** A pocket: back 100 × 120, front 100 × 80 folded up over it, tabs of 10 folded in and glued to the back. */
const sheet: Piece = drawPiece({
  name: 'pocket',
  blank: { width: mm(120), height: mm(200) },
  panels: [
    { id: 'back', name: 'back', polygon: rect(10, 80, 110, 200) },
    { id: 'front', name: 'front', polygon: rect(10, 0, 110, 80) },
    { id: 'left', name: 'left tab', polygon: ring([0, 0], [10, 0], [10, 80], [0, 70]) },
    { id: 'right', name: 'right tab', polygon: ring([110, 0], [120, 0], [120, 70], [110, 80]) },
  ],
  folds: [
    { id: 'h-left', between: ['front', 'left'] },
    { id: 'h-right', between: ['front', 'right'] },
    { id: 'h-front', between: ['back', 'front'] },
  ],
});
const steps = (gluedTo: readonly string[]): AssemblyStep[] => [
  { kind: 'fold', id: 'left', name: 'left', hinges: ['h-left'] },
  { kind: 'fold', id: 'right', name: 'right', hinges: ['h-right'] },
  {
    kind: 'fold',
    id: 'up',
    name: 'up',
    hinges: ['h-front'],
    gluedTo,
    glueWithin: [rect(0, 0, 10, 80), rect(110, 0, 120, 80)],
  },
];
const pocket: Cavity = {
  id: 'pocket',
  kind: 'pocket',
  floor: 'back',
  roof: ['front'],
  mouth: { from: { x: 10, y: 200 }, to: { x: 110, y: 200 } },
  insertAfter: 'up',
  covered: { floor: 1, roof: 0.6 },
};
const { finished } = assemble([sheet], steps(['back']));

test('the slot parts front from back, tabs with the back they are glued to: the whole width is free', () => {
  expect([...aboveSlot(finished, pocket)]).toEqual(['front']);
  const slot = slotOf(finished, pocket, false);
  expect(slot.largest).toEqual({ width: expect.closeTo(100, 6), height: expect.closeTo(120, 6) });
  expect(slot.test({ width: 100, height: 120 })).toBeNull();
  expect(slot.test({ width: 100, height: 120.1 })).toBe('too_high');
});

test('tabs glued on the front’s side of the slot take their width from it', () => {
  const inner = { ...pocket, roof: ['front', 'left', 'right'] };
  expect(slotOf(finished, inner, false).roomFor({ width: 0, height: 60 }).width).toBeCloseTo(80, 6);
  // A thing that ends above the tabs goes in as wide as the back.
  expect(slotOf(finished, inner, false).test({ width: 100, height: 39 })).toBeNull();
});

test('contents rest on the bottom: short ones are covered though the back stands high', () => {
  const closed = slotOf(finished, pocket, true);
  expect(closed.test({ width: 90, height: 40 })).toBeNull();
  expect(closed.test({ width: 90, height: 80 })).toBeNull();
  // Two thirds of the longest are covered, which is declared enough; of a share of three quarters it is not.
  expect(closed.test({ width: 90, height: 120 })).toBeNull();
  expect(
    slotOf(finished, { ...pocket, covered: { floor: 1, roof: 0.75 } }, true).test({ width: 90, height: 120 }),
  ).toBe('uncovered');
});

test('nothing holds it shut but a fold: without glue the sides stay open and the bottom does not', () => {
  const loose = assemble([sheet], steps([])).finished;
  const slot = slotOf(loose, pocket, false);
  expect(slot.test({ width: 100, height: 120 })).toBeNull();
  expect(slot.test({ width: 100, height: 121 })).toBe('too_high');
});

test('a pile is looked at with its mouth at the top, and as it lies where it has none', () => {
  expect(facesView(finished, pocket)).toEqual(mouthView(finished, pocket));
  expect(facesView(finished, undefined).up).toEqual({ x: 0, y: -1 });
  const other = flatStack(
    drawPiece({
      name: 'tag',
      blank: { width: mm(9), height: mm(9) },
      panels: [{ id: 'tag', name: 'tag', polygon: rect(0, 0, 9, 9) }],
      folds: [],
    }),
  );
  expect(facesView(other, pocket).up).toEqual({ x: 0, y: -1 });
});

describe('what runs through, and what opens at the sides', () => {
  const plan = (construction: string, contents: object, options = {}) =>
    planOf({ version: 1, construction, contents, options, graduation: 'exact' }).made!;

  test('a band asks nothing of the height; its room is the same for a short packet and a long one', () => {
    const [short, long] = [20, 300].map((height) => plan('belly-band', { width: 90, height, thickness: 6 }));
    expect(short!.fit!.ease.width).toBeCloseTo(long!.fit!.ease.width, 6);
    expect([short!.fit!.insert, long!.fit!.insert, long!.fit!.seat]).toEqual([null, null, null]);
  });

  test('in a gusset, thickness takes nothing up to what the sides open', () => {
    const thin = plan('accordion-pocket', { width: 100, height: 70 });
    const thick = plan('accordion-pocket', { width: 100, height: 70, thickness: 30 }, { pleats: 4 });
    expect(thick.fit!.ease.width - thick.inside.width).toBeCloseTo(thin.fit!.ease.width - thin.inside.width, 6);
    // Its bottom is a plain fold: what stands there takes half its thickness of the height.
    expect(thick.fit!.ease.height).toBeLessThan(thick.inside.height - 70 - 15 + 1e-6);
    expect(thick.thickest).toBeLessThanOrEqual(6 * 6.35);
    // 3 × 4 × 1/4 in with 3/4 tabs (perimeter 2W however wide the tab): not in less than 3 1/4.
    const [width, height, thickness] = [76.2, 101.6, 6.35];
    const patch = plan('patch-pocket', { width, height, thickness }, { seat: 'gusset', tab: 19.05 });
    expect(patch.inside.width).toBeGreaterThanOrEqual(width + thickness);
    expect(patch.thickest).toBeCloseTo(Math.min(19.05 / 2, thickness + patch.fit!.ease.width - 1.5875), 6);
  });

  test('a second cavity has room of its own: behind the lid’s tail, as deep as its glue lets it be', () => {
    const room = (backPocket: string) =>
      plan('accordion-pocket', { width: 100, height: 75 }, { backPocket }).holds[1]?.inside;
    expect(room('none')).toBeUndefined();
    expect(room('full')!.height).toBeGreaterThan(room('shallow')!.height + 20);
    expect(room('shallow')!.height).toBeGreaterThan(20);
  });
});
