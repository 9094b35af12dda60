/** How contents sit, worked out by hand for rooms of known size. */
import { planOf } from '../../../tests/helpers/designs';
import type { BoxCavity, FlatCavity, Slot } from '../fold';
import { mm } from '../length';
import { contentsKind, holdOf } from '.';
import { boxFit, largestInBox, openedBox, thickestInBox, type OpenedBox } from './box';
import { fitOf, insideOf, largestContents, seatIn, slotsOf, thickest, alongContents, type Slots } from './pocket';

const size = (width: number, height: number) => ({ width: mm(width), height: mm(height) });
const contents = (width: number, height: number, thickness = 0) => ({
  ...size(width, height),
  thickness: mm(thickness),
});
const slot = (width: number, height: number): Slot =>
  ({
    largest: size(width, height),
    taken: { layers: 0, width: 0, height: 0, wedge: false },
    roomFor: () => size(width, height),
    test: (want: { width: number; height: number }) =>
      want.width > width ? 'too_wide' : want.height > height ? 'too_high' : null,
  }) as unknown as Slot;
const cavity = (fields: Partial<FlatCavity> = {}): FlatCavity =>
  ({ id: 'pocket', kind: 'pocket', ...fields }) as FlatCavity;
const tall = cavity({ acrossMouth: 'height' });
const slots = (fields: Partial<Slots> = {}): Slots => ({
  cavity: cavity(),
  going: slot(100, 60),
  lying: slot(102, 58),
  opens: null,
  adds: fields.opens ?? 0,
  ...fields,
});

describe('lengths along the contents and along the mouth', () => {
  test('are the same where the width lies across it, and swapped where the height does', () => {
    expect(alongContents(cavity(), size(3, 4))).toEqual(size(3, 4));
    expect(alongContents(tall, size(3, 4))).toEqual(size(4, 3));
    // A box lies along its contents, and so does what holds nothing.
    expect(alongContents({ kind: 'box' } as BoxCavity, size(3, 4))).toEqual(size(3, 4));
    expect(alongContents(undefined, size(3, 4))).toEqual(size(3, 4));
  });
  test('the inside is what both goes in and lies', () => {
    expect(insideOf(slots())).toEqual(size(100, 58));
    expect(insideOf(slots({ cavity: tall }))).toEqual(size(58, 100));
  });
});

describe('what is thick takes of the room', () => {
  test('all its thickness across, half of it into a pocket', () => {
    const fit = fitOf(slots(), contents(90, 50, 4));
    expect(fit).toMatchObject({ ease: size(6, 6), insert: null, seat: null });
  });
  test('all of it both ways where both ends are closed', () => {
    expect(fitOf(slots({ cavity: cavity({ kind: 'closed' }) }), contents(90, 50, 4)).ease).toEqual(size(6, 4));
  });
  test('nothing of it up to what a gusset opens, and only the rest beyond', () => {
    expect(fitOf(slots({ opens: mm(4) }), contents(90, 50, 4)).ease).toEqual(size(10, 8));
    expect(fitOf(slots({ opens: mm(3) }), contents(90, 50, 4)).ease).toEqual(size(9, 7.5));
    // What opens and adds nothing to the mouth takes as if nothing opened.
    expect(fitOf(slots({ opens: mm(4), adds: 0 }), contents(90, 50, 4)).ease).toEqual(size(6, 6));
  });
  test('what goes through asks nothing of the height', () => {
    const through = slots({ cavity: cavity({ through: true }) });
    expect(fitOf(through, contents(90, 500)).ease.height).toBe(0);
  });
  test('too much is told by when it fails', () => {
    expect(fitOf(slots(), contents(101, 50))).toMatchObject({ insert: 'too_wide' });
    expect(fitOf(slots(), contents(90, 59))).toMatchObject({ seat: 'too_high' });
    expect(fitOf(slots(), contents(100, 58))).toMatchObject({ insert: null, seat: null });
  });
  test('the most that keeps the least room, and never less than nothing', () => {
    const least = size(2, 1);
    expect(largestContents(slots(), size(100, 58), least, mm(4))).toEqual(contents(94, 55, 4));
    expect(largestContents(slots({ cavity: tall }), size(58, 100), least, mm(4))).toEqual(contents(54, 95, 4));
    expect(largestContents(slots(), size(1, 1), least, mm(4))).toEqual(contents(0, 0, 4));
  });
  test('the thickest that keeps the least room: what is left across, or twice what is left into it', () => {
    const most = (width: number, height: number, fields: Partial<Slots> = {}): number =>
      thickest(slots(fields), size(100, 58), size(2, 1), contents(width, height));
    expect(most(90, 50)).toBe(8);
    expect(most(90, 55)).toBe(4);
    expect(most(90, 55, { cavity: cavity({ kind: 'closed' }) })).toBe(2);
    expect(most(90, 500, { cavity: cavity({ through: true }) })).toBe(8);
    expect(most(98, 57)).toBe(0);
    expect(most(99, 50)).toBe(0);
    // Walls that stand apart take what stands between them, where the contents fit at all.
    expect(most(98, 50, { opens: mm(12) })).toBe(12);
    expect(most(99, 50, { opens: mm(12) })).toBe(0);
    expect(most(96, 50, { opens: mm(12), adds: 0 })).toBe(2);
  });
});

test('contents lie in the middle of the mouth, and on the bottom; what goes through in the middle both ways', () => {
  expect(seatIn(cavity(), size(100, 58), size(90, 50))).toEqual({ ...size(90, 50), x: 5, y: 8 });
  expect(seatIn(tall, size(58, 100), size(50, 90))).toEqual({ ...size(90, 50), x: 5, y: 8 });
  expect(seatIn(cavity({ through: true }), size(100, 58), size(90, 50)).y).toBe(4);
  // What stands out of its pocket stands on the bottom still.
  expect(seatIn(cavity(), size(100, 58), size(90, 70)).y).toBe(0);
});

describe('a box', () => {
  const { made } = planOf({
    version: 1,
    construction: 'tray-box',
    contents: { width: 80, height: 60, thickness: 20 },
    graduation: '1 mm',
    tool: { kind: 'scoring-board' },
    options: { lid: false },
  } as never);
  const room = made!.built.cavities[0] as BoxCavity;
  const box = openedBox(made!.folded, room);
  const inside = box.inside;

  test('room is left on every side, and too much is told by its first side', () => {
    const fit = (w: number, h: number, d: number) =>
      boxFit(box, contents(inside.width - w, inside.height - h, inside.depth - d));
    expect(fit(2, 3, 1)).toEqual({ ease: size(2, 3), depth: 1, insert: null, seat: null });
    expect(fit(-1, 3, 1)).toMatchObject({ insert: 'too_wide', seat: 'too_wide' });
    expect(fit(2, -1, 1)).toMatchObject({ insert: 'too_high' });
    expect(fit(2, 3, -1)).toMatchObject({ insert: 'too_deep', depth: -1 });
    // Exactly as large still goes in.
    expect(fit(0, 0, 0)).toMatchObject({ insert: null, seat: null });
  });
  test('the most it holds keeps the least room; deeper than the box is nothing', () => {
    expect(largestInBox(box, size(2, 1), mm(5))).toEqual(contents(inside.width - 2, inside.height - 1, 5));
    expect(largestInBox(box, size(2, 1), mm(inside.depth + 1))).toMatchObject(size(0, 0));
    expect(
      largestInBox({ ...box, inside: { width: mm(1), height: mm(1), depth: mm(9) } } as OpenedBox, size(2, 1), mm(5)),
    ).toEqual(contents(0, 0, 5));
  });
  test('the thickest contents are as thick as the box is deep, where they fit with the least room', () => {
    const least = size(2, 1);
    const most = (w: number, h: number): number =>
      thickestInBox(box, least, contents(inside.width - w, inside.height - h));
    expect(most(2, 1)).toBe(inside.depth);
    expect(most(1.9, 1)).toBe(0);
    expect(most(2, 0.9)).toBe(0);
  });
  test('a box that does not stand, or opens at a step nobody knows, is a bug', () => {
    expect(() => openedBox({ ...made!.folded, standing: null }, room)).toThrow('has no walls that stand');
    expect(() => openedBox(made!.folded, { ...room, insertAfter: 'never' })).toThrow('no step is called never');
    const flat = openedBox(made!.folded, { ...room, insertAfter: 'flat' });
    expect(flat.going).toBe(made!.folded.standing!.start);
  });
  test('opened as any cavity it limits all three lengths', () => {
    const hold = holdOf(made!.folded, room);
    expect([hold.inside, hold.limits, hold.opens]).toEqual([inside, ['width', 'height', 'depth'], null]);
    expect(hold.fit(contents(inside.width - 2, inside.height - 3, inside.depth - 1)).ease).toEqual(size(2, 3));
    expect(hold.largest(size(2, 1), mm(5))).toEqual(contents(inside.width - 2, inside.height - 1, 5));
    expect(hold.thickest(size(2, 1), contents(inside.width - 2, inside.height - 1))).toBe(inside.depth);
  });
});

test('a holder is opened as it is when the contents go in, and as it is at the end', () => {
  const { made } = planOf({
    version: 1,
    construction: 'seam-envelope',
    contents: { width: 90, height: 60 },
    graduation: '1 mm',
  });
  const [pocket] = made!.built.cavities as [FlatCavity];
  const opened = slotsOf(made!.folded, pocket);
  const hold = holdOf(made!.folded, pocket);
  expect([hold.cavity, hold.opens, hold.limits]).toEqual([pocket, null, ['width', 'height']]);
  expect(hold.inside).toEqual({ ...insideOf(opened), depth: 0 });
  expect(hold.fit(contents(90, 60))).toEqual(fitOf(opened, contents(90, 60)));
  const through = { ...pocket, through: true };
  expect(holdOf(made!.folded, through).limits).toEqual(['width']);
  expect(holdOf(made!.folded, { ...through, acrossMouth: 'height' }).limits).toEqual(['height']);
});

test('contents count as flat up to a millimetre', () => {
  expect([0, 1, 1.001].map((thickness) => contentsKind({ thickness }))).toEqual(['flat', 'flat', 'thick']);
});
