import 'fake-indexeddb/auto';
import { checksOf, planFor, readDesign } from '@/core/plan';
import { COMMON_BOARD } from '@/core/tools';
import { db, openDatabase, type Project } from './db';
import { DEMO_SHELF } from './demo';
import {
  addProject,
  allProjects,
  binProject,
  duplicateProject,
  putBackProject,
  saveProject,
  seedDemoShelf,
} from './projects';
import { loadMyBoard, loadTheme, saveMyBoard, saveTheme } from './settings';

const card = { name: 'Star cards', units: 'in' as const, design: DEMO_SHELF[0]!.design };

beforeEach(async () => {
  await db.projects.clear();
  await db.settings.clear();
});

test('every demo project is ready to cut, but for the one that shows what a failing design looks like', () => {
  const failing = DEMO_SHELF.flatMap(({ name, design }) => {
    const read = readDesign(design);
    if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.issues)}`);
    return checksOf(planFor(read.design)).some((check) => check.level === 'fail') ? [name] : [];
  });
  expect(failing).toEqual(['What the leftover squares hold']);
});

test('the demo shelf appears once, with designs that can be read, and never again after it was emptied', async () => {
  await Promise.all([seedDemoShelf(), seedDemoShelf()]);
  expect(await db.projects.count()).toBe(DEMO_SHELF.length);
  for (const { design } of DEMO_SHELF) expect(readDesign(design).ok).toBe(true);
  await db.projects.clear();
  await seedDemoShelf();
  expect(await db.projects.count()).toBe(0);
});

test('a project is kept, changed, copied, put in the bin and put back', async () => {
  const id = await addProject(card);
  await saveProject(id, { name: 'Moon cards' });
  const copy = await duplicateProject(id);
  expect((await db.projects.get(copy!))?.name).toBe('Moon cards (copy)');
  expect(await duplicateProject('nobody')).toBeNull();
  await binProject(id);
  const { shelf, bin } = await allProjects();
  expect([shelf.map((p) => p.id), bin.map((p) => p.id)]).toEqual([[copy], [id]]);
  await putBackProject(id);
  expect((await allProjects()).shelf).toHaveLength(2);
});

test('saving into a project that is gone fails loudly', async () => {
  await expect(saveProject('gone', { name: 'x' })).rejects.toThrow('no longer in the browser');
});

test('what the browser kept is checked before use: a damaged board or theme falls back', async () => {
  expect(await loadMyBoard()).toMatchObject({ notch: COMMON_BOARD.notch });
  await saveMyBoard({ ...(await loadMyBoard()), notch: 20 as never });
  expect((await loadMyBoard()).notch).toBe(20);
  await db.settings.put({ key: 'my-board', value: { notch: 'wide' } });
  expect((await loadMyBoard()).notch).toBe(COMMON_BOARD.notch);
  await saveTheme('dark');
  expect(await loadTheme()).toBe('dark');
  await db.settings.put({ key: 'theme', value: 'plaid' });
  expect(await loadTheme()).toBe('auto');
});

test('a project written by version 1 of the database is still read', async () => {
  // A sample as version 1 stored it; later versions migrate it step by step.
  const sample: Project = {
    id: 'v1',
    ...card,
    createdAt: 1,
    updatedAt: 2,
    deletedAt: 0,
    writtenBy: 'sample',
  };
  const old = openDatabase('old-shelf');
  await old.projects.add(sample);
  old.close();
  const again = openDatabase('old-shelf');
  expect(await again.projects.get('v1')).toEqual(sample);
});
