/** Dragging as the bench does it; with nothing beside the page, each plan is made here and comes a moment later. */
import type { DesignInput } from '@/core/design';
import { withPaper } from '@/core/sets';
import { partOf, planned, plannedSet } from '../parts/plans';
import { DEMO_SHELF } from '@/data/demo';
import type { Project } from '@/data/db';
import { createBenchStore, type BenchStore } from './store';
import type { ProjectDecisions } from '@/data/projects';
import { Dragger } from './useDrag';

const project = (n: number): Project => ({
  id: 'p',
  name: 'Star cards',
  units: 'in',
  set: DEMO_SHELF[n]!.set,
  createdAt: 1,
  updatedAt: 1,
  deletedAt: 0,
});
/** The design of the part on the table. */
const designNow = (store: BenchStore): DesignInput => {
  const { set, part } = store.getState();
  return partOf(plannedSet(set), part).input;
};
function bench(n: number) {
  const kept: ProjectDecisions[] = [];
  const store = createBenchStore(project(n), (_, after) => kept.push(after));
  const dragger = new Dragger(store);
  const made = () => {
    const answer = planned(designNow(store));
    return 'plan' in answer ? answer.plan.made! : null!;
  };
  const grip = (kind: 'room' | 'option') => made().built.grips.find(({ does }) => does.kind === kind)!;
  return { store, dragger, made, grip, kept };
}
/** Until nothing is planned any more: turns of the page are counted, for a slow machine plans longer than any time told. */
const TURNS = 12;
const still = async (): Promise<void> => {
  for (let turn = 0; turn < TURNS; turn++) await new Promise((wake) => setTimeout(wake, 5));
};
const withGrip = (kind: 'room' | 'option') =>
  DEMO_SHELF.findIndex((_, n) =>
    bench(n)
      .made()
      ?.built.grips.some(({ does }) => does.kind === kind),
  );

test('of moves that come while one is planned only the last is shown, and undone with the rest in one step', async () => {
  const { store, dragger, grip, kept } = bench(withGrip('option'));
  const own = grip('option');
  if (own.does.kind !== 'option') throw new Error('an option is dragged');
  const before = designNow(store);
  dragger.onFold(own, 0, 'start');
  for (let by = 1; by <= 9; by++) dragger.onFold(own, -by * 0.5, 'move');
  await still();
  dragger.onFold(own, 0, 'end');
  await still();
  // The first was begun at once, the rest gave way to the last.
  expect(kept.length).toBeLessThanOrEqual(2);
  const value = (designNow(store).options as Record<string, number>)[own.does.option]!;
  expect(value).not.toBe((before.options as Record<string, number> | undefined)?.[own.does.option]);
  store.getState().undo();
  expect(designNow(store)).toEqual(before);
});

test('when a drag ends, the room that came of it is the room aimed for', async () => {
  const { store, dragger, grip, made } = bench(withGrip('room'));
  const own = grip('room');
  dragger.onFold(own, 0, 'start');
  dragger.onFold(own, 2.9, 'move');
  await still();
  const { width, height } = made().fit!.ease;
  dragger.onFold(own, 0, 'end');
  await still();
  expect(designNow(store).ease).toEqual({ width: Math.max(0, width), height: Math.max(0, height) });
});

test('every key is a step, however fast they come', async () => {
  const { store, dragger, grip } = bench(withGrip('option'));
  const own = grip('option');
  if (own.does.kind !== 'option') throw new Error('an option is stepped');
  const { option, from, rate } = own.does;
  const step = 25.4 / 8;
  for (let i = 0; i < 3; i++) dragger.onFold(own, -step / rate, 'step');
  await still();
  expect((designNow(store).options as Record<string, number>)[option]).toBeCloseTo(from - 3 * step, 6);
});

test('what another window changes in the middle of a drag stays', async () => {
  const { store, dragger, grip } = bench(withGrip('option'));
  const own = grip('option');
  dragger.onFold(own, 0, 'start');
  dragger.onFold(own, -3, 'move');
  const { name, units, set } = store.getState();
  const design = designNow(store);
  store.getState().adopt({ name, units, set: withPaper(set, { ...set.papers![0]!, caliper: 0.31 }) });
  await still();
  expect(designNow(store).paper).toMatchObject({ caliper: 0.31 });
  expect(designNow(store).options).not.toEqual(design.options);
});

test('what another window changes of the paper while the blank is dragged on it stays', async () => {
  const { store, dragger } = bench(0);
  const answer = planned(designNow(store));
  if (!('design' in answer)) throw new Error('the demo is sound');
  const { paper } = answer.design;
  dragger.onPull(answer.design, { paper: { ...paper, at: { x: 6.35, y: 12.7 } } } as never, 'paper-at');
  const { name, units, set } = store.getState();
  store.getState().adopt({ name, units, set: withPaper(set, { ...set.papers![0]!, caliper: 0.31 }) });
  await still();
  expect(designNow(store).paper).toMatchObject({ caliper: 0.31, at: { x: 6.35, y: 12.7 } });
});

test('contents dragged by their corner snap to the marks; a design that cannot be read is not taken', async () => {
  const { store, dragger } = bench(0);
  const before = designNow(store).contents as { width: number; height: number };
  dragger.onContents(0, 0, 'start');
  dragger.onContents(10, 0, 'move');
  await still();
  const after = designNow(store).contents as { width: number; height: number };
  expect((after.width / 25.4) * 8).toBeCloseTo(Math.round((after.width / 25.4) * 8), 6);
  expect(after.width).toBeGreaterThan(before.width as never);
  dragger.onPull({} as never, { paper: { caliper: -1 } as never }, 'wrong');
  await still();
  expect(designNow(store).contents).toEqual(after);
  expect(designNow(store).paper).not.toMatchObject({ caliper: -1 });
});

test('once the bench is left nothing is taken any more', async () => {
  const { store, dragger, grip } = bench(withGrip('option'));
  const before = designNow(store);
  const own = grip('option');
  dragger.onFold(own, 0, 'start');
  dragger.onFold(own, -3, 'move');
  dragger.end();
  await still();
  expect(designNow(store)).toEqual(before);
});
