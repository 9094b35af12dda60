/** The making as it is shown in space: nothing jumps, everything ends where the folding says. */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { leafOf, type Leaf } from '../fold';
import { distance3, poseBetween, seenFrom, turnedAbout, LYING, type Vec } from '../geometry';
import { inches, sayer } from '../length';
import { concernedIn, momentsOf, seenAt } from './moments';
import { pictureOf, stepScene } from './picture';
import { stepsOf } from '../making';
import type { Made, Plan } from '../plan';

const planned = (construction: string, more: object = {}): Plan & { made: Made } => {
  const deep = ['tray-box', 'diagonal-box', 'desk-file', 'pad-holder', 'folio'].includes(construction);
  const contents = { width: '4 in', height: '4 1/2 in', thickness: deep ? '1 in' : 0 };
  return planOf({ version: 1, construction, contents, ...more }) as Plan & { made: Made };
};
const momentsFor = (construction: string) => {
  const { made, design } = planned(construction);
  return { made, moments: momentsOf(made, design) };
};
const cornersApart = (a: readonly Leaf[], b: readonly Leaf[]): number =>
  Math.max(
    0,
    ...b.flatMap((l) => {
      const was = a.find((other) => other.panel.id === l.panel.id);
      return was ? l.corners.map((corner, i) => distance3(corner, was.corners[i]!)) : [];
    }),
  );

describe.each(CONSTRUCTIONS.map((c) => [c.name]))('%s', (construction) => {
  const { made, moments } = momentsFor(construction);

  test('starts flat, ends as it was folded, and says every step of the assembly in its order', () => {
    expect(moments[0]!.text).toBe('Flat, inside up');
    const told = made.built.assembly.flatMap((step) => ('bought' in step && step.bought ? [] : [step.id]));
    const shown = moments.map(({ step }) => step).filter((step) => step !== 'flat' && step !== 'contents');
    expect([...shown].sort()).toEqual([...told].sort());
    const last = moments.at(-1)!;
    const { standing } = made.folded;
    const end = standing?.finished ?? last.after;
    for (const l of seenAt(last, 1).paper) {
      const there = leafOf(end, l.panel.id);
      // But for the thickness it is drawn with.
      expect(Math.abs(seenFrom(there.pose, l.corners[0]!).z)).toBeLessThan(
        last.layer * Math.max(24, seenAt(last, 1).paper.length),
      );
    }
  });

  test('nothing jumps while it moves', () => {
    for (const moment of moments)
      for (let i = 0; i < 16; i++) {
        const [a, b] = [seenAt(moment, i / 16), seenAt(moment, (i + 1) / 16)];
        // A sixteenth of half a turn or of a carry, at most across a large sheet.
        expect(cornersApart(a.paper, b.paper)).toBeLessThan(125);
        expect(cornersApart(a.contents, b.contents)).toBeLessThan(125);
      }
  });

  test('one moment begins where the one before it ended, unless another pile is taken up', () => {
    for (let i = 1; i < moments.length; i++) {
      const [before, after] = [seenAt(moments[i - 1]!, 1), seenAt(moments[i]!, 0)];
      const same = after.paper.every((l) => before.paper.some((other) => other.panel.id === l.panel.id));
      const carried = moments[i]!.motions.some(({ kind }) => kind === 'carry') && !moments[i]!.brought;
      if (same && !carried && before.paper.length === after.paper.length)
        expect([moments[i]!.step, cornersApart(before.paper, after.paper)]).toEqual([
          moments[i]!.step,
          expect.closeTo(0, 5),
        ]);
    }
  });

  test('what goes in lies still once it lies, and only then', () => {
    const at = moments.findIndex(({ step }) => step === 'contents');
    if (made.holds.length === 0) return expect(at).toBe(-1);
    expect(moments.slice(0, at).every(({ contents }) => contents.length === 0)).toBe(true);
    const entry = moments[at]!;
    const [out, lain] = [seenAt(entry, 0).contents, seenAt(entry, 1).contents];
    expect(lain.length).toBeGreaterThan(0);
    expect(cornersApart(out, lain)).toBeGreaterThan(20);
    // What is made beside it meanwhile has another pile on the table.
    for (const later of moments.slice(at + 1))
      expect(seenAt(later, 1).contents.length).toBe(
        later.after.leaves.some(({ panel }) => panel.id === later.floor) ? lain.length : 0,
      );
  });

  test('has a picture: a pile, or what stands', () => {
    const picture = pictureOf(made);
    expect(picture.kind).toBe(made.folded.standing ? 'still' : 'pile');
    expect(picture.faces.length).toBeGreaterThan(0);
    for (const { rings } of picture.faces)
      for (const { x, y } of rings.flat()) expect(Number.isFinite(x + y)).toBe(true);
  });
});

test('a lid is brought over the box before it is set down, and then hides the rim', () => {
  const { made, moments } = momentsFor('tray-box');
  const last = moments.at(-1)!;
  expect(last.brought).not.toBeNull();
  const top = (share: number): Vec => seenAt(last, share).paper.find((l) => l.panel.id === 'lid-floor')!.corners[0]!;
  const [aside, over, on] = [top(0), top(0.5), top(1)];
  expect(Math.abs(aside.x - on.x)).toBeGreaterThan(inches(3));
  expect(Math.hypot(over.x - on.x, over.y - on.y)).toBeLessThan(0.01);
  expect(over.z).toBeGreaterThan(on.z + 5);
  expect(on.z).toBeCloseTo(made.inside.depth + last.layer, 6);
});

test.each([0, 19.05])('contents %d mm thick are drawn clear of the floor and of the lid', (thickness) => {
  const { made, design } = planned('tray-box', {
    contents: { width: '3 in', height: '4 in', thickness },
    options: { depth: 19.05 },
  });
  const { contents } = seenAt(momentsOf(made, design).at(-1)!, 1);
  const heights = contents.flatMap(({ corners }) => corners.map(({ z }) => z));
  expect(Math.min(...heights)).toBeGreaterThan(0.3);
  expect(Math.max(...heights)).toBeLessThan(19.05 - 0.3);
});

test('the steps of what stands have pictures of just the paper they are about, glue on its faces, contents above', () => {
  const plan = planned('tray-box');
  const { made, design } = plan;
  const pictures = stepsOf(plan, sayer('in', '1/8 in')).flatMap(({ picture }) =>
    picture.kind === 'standing' ? [{ picture, faces: stepScene(made, design, picture).faces }] : [],
  );
  expect(pictures.length).toBeGreaterThan(6);
  for (const { picture, faces } of pictures) {
    const pieces = new Set(faces.map(({ piece }) => piece));
    // The box or the lid, never both, until the lid goes on.
    if (picture.stage < made.folded.standing!.stages.length - 1)
      expect(pieces.has('box') && pieces.has('lid')).toBe(false);
    expect(pieces.has('glue')).toBe(picture.glue !== undefined);
    // Over the box as they go in; lying in it when the lid comes; not in pictures of the lid alone.
    expect(pieces.has('contents')).toBe(picture.inserting === true || (pieces.has('box') && pieces.has('lid')));
  }
});

test('a pose goes to another by one turn, and arrives', () => {
  const line = (x: number, y: number, z: number) => ({ from: { x: 0, y: 0, z: 0 }, to: { x, y, z } });
  for (const angle of [0.4, 1.9, Math.PI, -2.5])
    for (const axis of [line(1, 0, 0), line(0, 1, 0), line(1, 2, -0.5), line(0, 0, -1)]) {
      const to = turnedAbout(axis, angle)({ ...LYING, o: { x: 3, y: 4, z: 5 } });
      const end = poseBetween(LYING, to, 1);
      for (const key of ['x', 'y', 'normal', 'o'] as const) expect(distance3(end[key], to[key])).toBeLessThan(1e-6);
      // Half way and half way again is the whole way: it is one steady turn.
      const half = poseBetween(LYING, to, 0.5);
      const again = poseBetween(half, to, 1);
      expect(distance3(again.normal, to.normal)).toBeLessThan(1e-6);
      const spread = [0.25, 0.5, 0.75, 1].map((share) => poseBetween(LYING, to, share).x);
      const steps = spread.map((v, i) => distance3(v, i === 0 ? LYING.x : spread[i - 1]!));
      for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 6);
    }
});

describe('what a moment is about', () => {
  test('a wall of the box: the box, not its lid beside it', () => {
    const { made, moments } = momentsFor('tray-box');
    const panelsOf = (name: string) =>
      made.built.pieces.find((piece) => piece.name === name)!.panels.map(({ id }) => id);
    const raising = moments.find(({ motions }) => motions.some((m) => m.moving.has(panelsOf('box')[1]!)))!;
    const about = concernedIn(raising);
    expect(panelsOf('box').every((id) => about.has(id))).toBe(true);
    expect(panelsOf('lid').some((id) => about.has(id))).toBe(false);
  });
  test('where nothing moves it is about everything', () => {
    const { moments } = momentsFor('tray-box');
    expect(concernedIn(moments[0]!).size).toBe(moments[0]!.after.leaves.length);
  });
});
