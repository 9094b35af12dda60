import { changedDesign, type DesignInput } from '@/core/design';
import { withPart } from '@/core/sets';
import type { Project } from '@/data/db';
import { same } from '@/data/patch';
import { changedSince, createBenchStore } from './store';
import type { ProjectDecisions } from '@/data/projects';

const design = {
  version: 1,
  construction: 'diagonal-envelope',
  contents: { width: 76.2, height: 101.6 },
  options: { tip: 'blunt' },
} as DesignInput;
const set = {
  version: 1,
  parts: [{ id: 'part-1', design: { construction: 'diagonal-envelope', contents: { width: 76.2, height: 101.6 } } }],
} as Project['set'];
const project: Project = {
  id: 'p',
  name: 'Star cards',
  units: 'in',
  set,
  createdAt: 0,
  updatedAt: 0,
  deletedAt: 0,
};
const open = () => {
  const kept: [ProjectDecisions, ProjectDecisions][] = [];
  const store = createBenchStore(project, (before, after) => void kept.push([before, after]));
  return { ...store.getState(), now: () => store.getState(), kept };
};

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

test('changes of one gesture undo together, later ones apart', () => {
  const bench = open();
  bench.change({ name: 'S' }, 'name');
  bench.change({ name: 'St' }, 'name');
  jest.advanceTimersByTime(2000);
  bench.change({ name: 'Sta' }, 'name');
  bench.change({ units: 'mm' }, 'units');
  bench.undo();
  expect(bench.now()).toMatchObject({ name: 'Sta', units: 'in' });
  bench.undo();
  expect(bench.now().name).toBe('St');
  bench.undo();
  expect(bench.now().name).toBe('Star cards');
  bench.undo();
  expect(bench.now().name).toBe('Star cards');
});

test('redo goes forward again until something else is changed', () => {
  const bench = open();
  bench.change({ units: 'mm' }, 'units');
  bench.undo();
  bench.redo();
  expect(bench.now().units).toBe('mm');
  bench.undo();
  bench.change({ name: 'Moon cards' }, 'name');
  expect(bench.now().future).toEqual([]);
  bench.redo();
  expect(bench.now()).toMatchObject({ name: 'Moon cards', units: 'in' });
});

test('a change right after an undo is a step of its own, even within the gesture’s time', () => {
  const bench = open();
  bench.change({ name: 'A' }, 'name');
  bench.undo();
  bench.change({ name: 'B' }, 'name');
  bench.undo();
  expect(bench.now().name).toBe('Star cards');
});

test('what another tab wrote is taken over, and undo brings one’s own back', () => {
  const bench = open();
  bench.change({ name: 'Mine' }, 'name');
  bench.adopt({ ...project, name: 'Theirs' });
  expect(bench.now().name).toBe('Theirs');
  bench.undo();
  expect(bench.now().name).toBe('Mine');
});

test('what another tab changed elsewhere stays when one undoes one’s own', () => {
  const bench = open();
  bench.change({ name: 'Mine' }, 'name');
  bench.change({ units: 'mm' }, 'units');
  const wider = withPart(set, 'part-1', { quantity: 3 });
  bench.adopt({ ...bench.now(), set: wider });
  expect(bench.now()).toMatchObject({ name: 'Mine', units: 'mm', set: wider });
  bench.undo();
  bench.undo();
  expect(bench.now()).toMatchObject({ name: 'Star cards', units: 'in', set: wider });
  bench.redo();
  expect(bench.now()).toMatchObject({ name: 'Mine', units: 'in', set: wider });
  // Nothing but one's own changes was handed on to be kept.
  expect(bench.kept.map(([before, after]) => [before.name, after.name, same(before.set, after.set)])).toEqual([
    ['Star cards', 'Mine', true],
    ['Mine', 'Mine', true],
    ['Mine', 'Mine', true],
    ['Mine', 'Star cards', true],
    ['Star cards', 'Mine', true],
  ]);
});

test('every change, undo and redo is kept as it is made', () => {
  const bench = open();
  bench.change({ name: 'Moon' }, 'name');
  bench.undo();
  bench.undo();
  bench.redo();
  expect(bench.kept.map(([before, after]) => [before.name, after.name])).toEqual([
    ['Star cards', 'Moon'],
    ['Moon', 'Star cards'],
    ['Star cards', 'Moon'],
  ]);
});

test('the history keeps the last two hundred steps', () => {
  const bench = open();
  for (let i = 0; i < 250; i++) bench.change({ name: `${i}` }, `key-${i}`);
  expect(bench.now().past).toHaveLength(200);
  for (let i = 0; i < 250; i++) bench.undo();
  expect(bench.now().name).toBe('49');
});

describe('laying a change over a design', () => {
  test('fields are replaced, options one by one, and the original stays as it was', () => {
    const changed = changedDesign(design, { graduation: '1 mm', options: { corner: 0 } });
    expect(changed).toEqual({ ...design, graduation: '1 mm', options: { tip: 'blunt', corner: 0 } });
    expect(design).not.toHaveProperty('graduation');
  });

  test('null takes all options out, as another holder wants: the rest stays', () => {
    const changed = changedDesign(design, { construction: 'library-pocket', options: null, ease: undefined });
    expect(changed).toEqual({ ...design, construction: 'library-pocket', options: {} });
  });

  test('undefined takes a field or an option out', () => {
    const changed = changedDesign(design, { contents: undefined, options: { tip: undefined } });
    expect(Object.keys(changed).sort()).toEqual(['construction', 'options', 'version']);
    expect(changed.options).toEqual({});
  });
});

describe('a form that was drawn before something else changed', () => {
  const paper = { caliper: 0.25, sided: 2, directional: false, turn: 0, at: { x: 0, y: 0 } };
  const seen = { paper, contents: { width: 76.2, height: 101.6, thickness: 0 } } as never;

  test('changes its own field of the paper and leaves what a drag made of another', () => {
    const now = { ...design, paper: { ...paper, at: { x: 12.7, y: 25.4 } } } as DesignInput;
    const next = changedSince(seen, now, { paper: { ...paper, sided: 1 } } as never);
    expect(next.paper).toEqual({ ...paper, sided: 1, at: { x: 12.7, y: 25.4 } });
  });

  test('leaves what another window wrote its own way, and takes a field out', () => {
    const now = { ...design, contents: { width: '3 1/4 in', height: 101.6 }, paper: { ...paper, window: { x: 1 } } };
    const shown = { ...(seen as object), paper: { ...paper, window: { x: 1 } } } as never;
    const next = changedSince(
      shown,
      now as never,
      {
        contents: { width: 76.2, height: 120, thickness: 0 },
        paper: { ...paper, window: undefined },
      } as never,
    );
    expect(next.contents).toEqual({ width: '3 1/4 in', height: 120 });
    expect(next.paper).not.toHaveProperty('window');
  });

  test('gives a part that was not there yet as a whole, and everything else as it is asked', () => {
    const next = changedSince(seen, design, { paper: { ...paper, sided: 1 }, options: { tip: 'point' } } as never);
    expect(next).toEqual({ ...design, paper: { ...paper, sided: 1 }, options: { tip: 'point' } });
    expect(changedSince({}, design, { contents: { width: 50 } } as never).contents).toEqual({ width: 50 });
  });
});

test('the part on the table is one there is, whatever is taken out, undone or changed elsewhere', () => {
  const bench = open();
  const two = { ...set, parts: [...set.parts, { id: 'card', given: { width: 10, height: 10 } }] } as Project['set'];
  expect(bench.now().part).toBe('part-1');
  bench.change({ set: two }, 'add');
  bench.show('card');
  bench.undo();
  expect(bench.now().part).toBe('part-1');
  bench.redo();
  bench.show('card');
  bench.adopt({ ...bench.now(), set });
  expect(bench.now().part).toBe('part-1');
});
