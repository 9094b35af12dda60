/** Scenes are what was folded: every face lies where the folding carried it, and what is seen of it is not hidden. */
import fc from 'fast-check';
import { expectApproved } from '../../../tests/helpers/approved';
import { runs } from '../../../tests/helpers/runs';
import { someOf } from '../../../tests/helpers/scenes';
import { CONSTRUCTIONS } from '../constructions';
import { layersAt, outOfView, foldedOutline } from '../fold';
import { apply, applyAll, fromSegment, regionArea, type Point, type Polygon, type Segment } from '../geometry';
import { contentsOnSheet, pictureOf, sheetPicture, stepScene } from '../looks';
import { stepsOf } from '../making';
import { inches, sayer } from '../length';
import { planFor, viewOf } from '../plan';
import {
  areaAt,
  areaOf,
  carried,
  drawnBox,
  facesAt,
  heightOf,
  layoutScene,
  pileScene,
  placeOf,
  sceneText,
  seenOnly,
  spaceScene,
  widthOf,
} from '.';

const fromRim = (ring: Polygon, p: Point): number =>
  Math.min(...ring.map((from, i) => fromSegment({ from, to: ring[(i + 1) % ring.length]! }, p)));

describe.each(CONSTRUCTIONS.map(({ name }) => [name]))('%s', (construction) => {
  const { made } = someOf(construction);
  const stack = made.folded.finished;
  const view = viewOf(made.built, stack);

  test('as a still each face lies where its map carries it; as a pile what is seen covers the folded outline', () => {
    const picture = pictureOf(made);
    if (picture.kind === 'still') {
      for (const { own, map, rings } of picture.faces)
        rings.flat().forEach((p, i) => {
          const { x, y } = apply(map, own.flat()[i]!);
          expect(Math.hypot(x - p.x, y - p.y)).toBeLessThan(1e-6);
        });
      return;
    }
    for (const from of ['above', 'below'] as const) {
      const scene = pileScene({ stack, view, from });
      const seen = scene.faces.reduce((sum, { rings }) => sum + Math.abs(regionArea(rings)), 0);
      expect(seen).toBeCloseTo(regionArea(foldedOutline(stack)), 1);
      for (const { own, map, rings } of scene.faces)
        expect(Math.abs(regionArea(rings))).toBeLessThan(
          Math.abs(regionArea(own.map((ring) => applyAll(map, ring)))) + 0.01,
        );
      // Nothing of it lies outside its box.
      const box = drawnBox(scene);
      expect([box.minX, box.minY, box.maxX - widthOf(scene), box.maxY - heightOf(scene)]).toEqual(
        [0, 0, 0, 0].map((v) => expect.closeTo(v, 6)),
      );
    }
  });

  test('the folds of a face run along its own rim, wherever it lies; of what is hidden only the rim is told', () => {
    const standing = made.folded.standing?.finished;
    const space = standing
      ? spaceScene(standing).faces.flatMap(({ own, folds }) => folds.map((f) => [own[0]!, f]))
      : [];
    for (const [ring, { from, to }] of space as [Polygon, Segment][])
      for (const p of [from, to]) expect(fromRim(ring, p)).toBeLessThan(1e-6);
    const scene = pictureOf(made);
    for (const { rings, own, map, lines } of scene.faces) {
      const whole = applyAll<'scene'>(map, own[0]!);
      for (const { kind, points } of lines) {
        expect(kind === 'hidden').toBe(rings.length === 0);
        for (const p of points) expect(fromRim(whole, p)).toBeLessThan(1e-6);
      }
    }
    // What is folded shows where.
    if (made.pieces[0].piece.hinges.length > 0)
      expect(scene.faces.some(({ lines }) => lines.some(({ id }) => id !== undefined))).toBe(true);
  });

  test('whatever place of a pile is pointed at, its layers are those of the pile, the nearest first', () => {
    const scene = pileScene({ stack, view, from: 'above' });
    const below = pileScene({ stack, view, from: 'below' });
    fc.assert(
      // On no edge: there either answer is right.
      fc.property(fc.integer({ min: 1, max: 996 }), fc.integer({ min: 1, max: 996 }), (i, k) => {
        const [u, v] = [i / 997.3, k / 997.7];
        const p = { x: u * widthOf(scene), y: v * heightOf(scene) };
        const there = layersAt(stack, outOfView(view, placeOf(scene, p)));
        expect(
          facesAt(scene, p)
            .map(({ panel }) => panel)
            .reverse(),
        ).toEqual(there.map(({ panel }) => panel));
        const under = facesAt(below, {
          x: widthOf(scene) - p.x,
          y: p.y,
        });
        expect(under.map(({ panel }) => panel)).toEqual(there.map(({ panel }) => panel));
      }),
      runs(20),
    );
  });
});

test('scenes in words are as they were looked at: a sheet, a pile, steps, a layout', () => {
  const plan = planFor(someOf('library-pocket', { layers: [{ on: 'front' }] }).design);
  const { design } = plan;
  const made = plan.made!;
  const seat = contentsOnSheet(made, made.pieces[0], design);
  const steps = stepsOf(plan, sayer('in', '1/8 in'));
  const pictures = steps.map(({ picture }) => stepScene(made, design, picture));
  const layout = layoutScene(
    { name: 'letter', width: inches(8.5), height: inches(11) },
    {
      placements: [{ piece: 'mat', x: 0, y: 0, width: 40, height: 90, turned: true }],
      offcuts: [{ x: 40, y: 0, width: 100, height: 90 }],
      cuts: [{ from: [40, 0], to: [40, 90] }],
    },
  );
  const scenes = [
    sheetPicture(made, made.pieces[0], { contents: seat?.card ?? null }),
    pictureOf(made),
    ...pictures,
    layout,
  ];
  expectApproved('scenes/library-pocket.txt', scenes.map(sceneText).join('\n'));
});

test('a scene that is carried stays what it is: turned by a quarter, it comes back after four', () => {
  const scene = sheetPicture(someOf('tab-envelope').made);
  const quarter = [0, 1, -1, 0, 0, 0] as const;
  const once = carried(scene, quarter);
  expect([widthOf(once), heightOf(once)]).toEqual([heightOf(scene), widthOf(scene)].map((v) => expect.closeTo(v, 6)));
  const back = carried(carried(carried(once, quarter), quarter), quarter);
  expect(sceneText(back)).toBe(sceneText(scene));
  expect(once.anchors.map(({ edge }) => edge)).toEqual([1, 2, 3, 4]);
});

test('what is kept of a scene is what is seen of it', () => {
  const whole = pictureOf(someOf('diagonal-envelope').made);
  const kept = seenOnly(whole);
  expect(whole.faces.length).toBeGreaterThan(kept.faces.length);
  const shown = whole.faces.filter(({ rings }) => rings.length > 0);
  expect(kept.faces.map(({ id }) => id)).toEqual(shown.map(({ id }) => id));
  kept.faces.forEach(({ rings, own, map }, i) => {
    rings.flat().forEach((p, k) => {
      const q = shown[i]!.rings.flat()[k]!;
      expect(Math.hypot(p.x - q.x, p.y - q.y)).toBeLessThan(1e-4);
    });
    // Also a print, which is measured on its own sheet, stays where it is seen.
    own.flat().forEach((p, k) => {
      const [now, then] = [apply(map, p), apply(shown[i]!.map, shown[i]!.own.flat()[k]!)];
      expect(Math.hypot(now.x - then.x, now.y - then.y)).toBeLessThan(0.01);
    });
  });
});

test('what hangs by a fold is found where it is pointed at, the last that was drawn', () => {
  const square = (x: number): Polygon<'sheet'> => [
    { x, y: 0 },
    { x: x + 10, y: 0 },
    { x: x + 10, y: 10 },
    { x, y: 10 },
  ];
  const marks = [
    { ...areaOf('flap', square(0)), id: 'a' },
    { ...areaOf('flap', square(5)), id: 'b' },
  ];
  const at = (x: number): string | undefined => areaAt({ marks }, 'flap', { x, y: 5 })?.id;
  expect([at(2), at(7), at(14), at(20)]).toEqual(['a', 'b', 'b', undefined]);
  expect(areaAt({ marks }, 'glue', { x: 2, y: 5 })).toBeNull();
});
