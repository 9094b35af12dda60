import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { contains, distance, signedArea } from '../geometry';
import { glueAreas } from '../plan';
import { momentsOf, seenAt } from './moments';
import { stepsOf, whenDone } from '../making';
import { stepScene } from './picture';
import { sayer } from '../length';
import type { DesignInput } from '../design';
import { dressing, finishedFront, laidOnFaces } from './dressing';

const planned = (construction: string, fields: object = {}) => {
  const { made, design } = planOf({
    version: 1,
    construction,
    contents: { width: '4 in', height: '5 1/2 in', thickness: '3/4 in' },
    layers: [{ on: 'front' }, { on: 'inside', pull: true }],
    ...fields,
  } as DesignInput);
  return { made: made!, design };
};

test('a mat lies on one panel of the front, whole, at its own size, clear of its holes; in space it is there in the end', () => {
  const [on, off]: [string[], string[]] = [[], []];
  for (const { name } of CONSTRUCTIONS) {
    const { made, design } = planned(name);
    // What the thickness is too much for.
    if (!made) continue;
    const laid = laidOnFaces(made);
    (laid.length > 0 ? on : off).push(name);
    for (const { panel, polygon } of laid) {
      const [piece] = made.built.pieces.filter(({ panels }) => panels.some(({ id }) => id === panel));
      const paper = piece!.panels.find(({ id }) => id === panel)!.polygon;
      for (const corner of polygon) expect([name, contains(paper, corner)]).toEqual([name, true]);
      for (const hole of piece!.holes.filter((one) => one.panel === panel))
        expect([name, contains(polygon, hole.centre)]).toEqual([name, false]);
      const mat = made.layers.find(({ layer }) => layer.on === 'front')!.piece.blank;
      const sides = [distance(polygon[0]!, polygon[1]!), distance(polygon[1]!, polygon[2]!)];
      expect(sides.sort((a, b) => a - b)).toEqual(
        [mat.width, mat.height].sort((a, b) => a - b).map((side) => expect.closeTo(side, 6)),
      );
      const last = momentsOf(made, design).at(-1)!;
      expect(seenAt(last, 1).contents.map(({ piece: own }) => own)).toContain('laid');
    }
  }
  expect(on.length).toBeGreaterThan(15);
  // A mat itself, and what shows no plain front, has none.
  expect(off.length).toBeLessThan(CONSTRUCTIONS.length / 3);
});

test('a ribbon lies under the mat, a cord comes over it: each picture has what is there by then', () => {
  const seen = (kind: string, done: 'layer' | 'closure' | 'whole') => {
    const { made, design } = planned('diagonal-envelope', { closure: { kind } });
    const { laid, closure } = dressing(made, design, done);
    return [laid.length, closure?.kind ?? null];
  };
  expect(['layer', 'closure', 'whole'].map((done) => seen('ribbon', done as 'layer'))).toEqual([
    [1, 'ribbon'],
    [0, 'ribbon'],
    [1, 'ribbon'],
  ]);
  expect(['layer', 'closure', 'whole'].map((done) => seen('bow', done as 'layer'))).toEqual([
    [1, null],
    [1, 'bow'],
    [1, 'bow'],
  ]);
});

test('the step that glues it shows it: on what lies flat and on what stands', () => {
  for (const [name, shown] of [
    ['library-pocket', { kind: 'flat', glued: { side: 'outside', laying: 'mat' } }],
    ['pad-holder', { kind: 'standing', done: 'layer' }],
  ] as const) {
    const { made, design } = planned(name);
    const step = stepsOf({ made, design, refusal: null }, sayer('in', '1/8 in')).find(
      ({ action, piece }) => action === 'glue' && piece === 'mat',
    )!;
    expect(step.picture).toMatchObject(shown);
    if (step.picture.kind !== 'standing') continue;
    expect(stepScene(made, design, step.picture).faces.map(({ piece }) => piece)).toContain('laid');
  }
  const { made } = planned('library-pocket');
  expect(whenDone(made, 'whole')).toEqual({ kind: 'folded', stage: made.folded.stages.length - 1, done: 'whole' });
});

test('glue that lies over glue takes none of it away: all of it runs the same way round, on panels turned over too', () => {
  for (const construction of ['packet', 'diagonal-envelope', 'coin-envelope']) {
    const { made, design } = planned(construction, { contents: { width: '4 in', height: '5 1/2 in' }, layers: [] });
    const { glue = [] } = finishedFront(made, design, 'whole').on;
    const way = (ring: (typeof glue)[number]): number => Math.sign(signedArea(ring));
    expect(glue.length).toBeGreaterThan(1);
    expect([construction, new Set(glue.map(way)).size]).toEqual([construction, 1]);
  }
});

test('the finished front has the contents in the middle of their room, the insert round them, and all of its glue', () => {
  const { made, design } = planned('library-pocket', { contents: { width: '4 in', height: '5 1/2 in' } });
  const { on: front } = finishedFront(made, design, 'whole');
  const { contents, insert } = front;
  expect(insert!.width).toBeLessThan(made.inside.width);
  expect(contents!.x + contents!.width / 2).toBeCloseTo(insert!.x + insert!.width / 2, 6);
  expect([front.laid!.length, front.closure]).toEqual([1, null]);
  expect(front.glue!.length).toBe(glueAreas(made).flatMap(({ joint }) => joint.polygons).length);
  expect(finishedFront({ ...made, layers: [] }, design, 'whole')).toMatchObject({ on: { insert: null, laid: [] } });
});
