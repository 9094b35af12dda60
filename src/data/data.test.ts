import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { checksOf, planFor, readDesign } from '@/core/plan';
import { logEntrySchema } from '@/core/files';
import { mm } from '@/core/length';
import { COMMON_BOARD, COMMON_TOOLBOX, toolboxSchema, type OwnTool } from '@/core/tools';
import { db, openDatabase, type Project } from './db';
import { DEMO_LOG, DEMO_SHELF } from './demo';
import { addLog, allLog, changeLog, dropLog, fitKey, fitKeyParts, putBackLog, sameEntry } from './log';
import { beginMake, keepSpoiled, notePlace, openMake, saveMake } from './makes';
import {
  addProject,
  allProjects,
  binProject,
  duplicateProject,
  putBackProject,
  saveProject,
  seedDemoShelf,
} from './projects';
import {
  loadBoard,
  loadSpoken,
  loadTheme,
  loadToolbox,
  loadUsualRoom,
  saveSpoken,
  saveTheme,
  saveToolbox,
  saveUsualRoom,
} from './settings';

const card = { name: 'Star cards', units: 'in' as const, design: DEMO_SHELF[0]!.design };

/** The browser's own notes, which Node has not. */
const notes = new Map<string, string>();
Object.defineProperty(globalThis, 'localStorage', {
  value: {
    getItem: (key: string) => notes.get(key) ?? null,
    setItem: (key: string, value: string) => void notes.set(key, value),
    removeItem: (key: string) => void notes.delete(key),
  },
});

beforeEach(async () => {
  notes.clear();
  await db.projects.clear();
  await db.settings.clear();
  await db.makes.clear();
  await db.log.clear();
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

test('what the browser kept is checked before use: damaged tools, rooms or a theme fall back', async () => {
  expect(await loadToolbox()).toEqual(COMMON_TOOLBOX);
  expect(await loadBoard()).toMatchObject({ notch: COMMON_BOARD.notch });
  await saveToolbox(COMMON_TOOLBOX.map((tool) => (tool.kind === 'envelope-board' ? { ...tool, notch: mm(20) } : tool)));
  expect(await loadBoard()).toMatchObject({ kind: 'envelope-board', notch: 20 });
  // A board that is put away is not the one plans are made for.
  await saveToolbox(COMMON_TOOLBOX.map((tool) => ({ ...tool, notch: mm(20), out: false }) as OwnTool));
  expect(await loadBoard()).toMatchObject({ notch: COMMON_BOARD.notch });
  await db.settings.put({ key: 'toolbox', value: [{ kind: 'envelope-board', notch: 'wide' }] });
  expect(await loadToolbox()).toEqual(COMMON_TOOLBOX);
  await saveTheme('dark');
  expect(await loadTheme()).toBe('dark');
  await db.settings.put({ key: 'theme', value: 'plaid' });
  expect(await loadTheme()).toBe('auto');
  await saveUsualRoom({ 'sleeve/flat': { width: mm(3), height: mm(2) } });
  expect(await loadUsualRoom()).toEqual({ 'sleeve/flat': { width: 3, height: 2 } });
  await db.settings.put({ key: 'usual-room', value: { 'sleeve/flat': { width: -3 } } });
  expect(await loadUsualRoom()).toEqual({});
  expect(await loadSpoken()).toBe(false);
  await saveSpoken(true);
  expect(await loadSpoken()).toBe(true);
});

describe('makes', () => {
  const project = { id: 'p', ...card };

  test('a make keeps what was decided when it began, and where it was left', async () => {
    const id = await beginMake(project, 6, 'together');
    await saveMake(id, { done: 7, spent: 90_000 });
    expect(await openMake('p')).toMatchObject({
      id,
      copies: 6,
      done: 7,
      spent: 90_000,
      endedAt: 0,
      design: card.design,
    });
    expect(await openMake('other')).toBeNull();
  });

  test('a place the database was not told in time is not lost', async () => {
    const id = await beginMake(project, 1, 'together');
    await saveMake(id, { done: 14, spent: 1000 });
    notePlace(id, 20, 1500);
    expect(await openMake('p')).toMatchObject({ done: 20, spent: 1500 });
    // Once the database has the same place, the note is taken off and cannot speak against a later one.
    await saveMake(id, { done: 20, spent: 1500 });
    await db.makes.update(id, { done: 3 });
    expect(await openMake('p')).toMatchObject({ done: 3 });
    expect(notes.size).toBe(0);
  });

  test.each(['{"done":"7"}', 'no JSON', '{"done":-1,"spent":0}', 'null', '[]'])(
    'a note that is no place is passed over: %s',
    async (note) => {
      const id = await beginMake(project, 1, 'together');
      localStorage.setItem(`tuck-fold-place-${id}`, note);
      expect(await openMake('p')).toMatchObject({ done: 0, spent: 0 });
    },
  );

  test('a finished make is not gone on with; of two open ones the last touched is', async () => {
    const first = await beginMake(project, 1, 'together');
    const second = await beginMake(project, 2, 'one-by-one');
    await db.makes.update(first, { updatedAt: Date.now() + 1000 });
    expect((await openMake('p'))?.id).toBe(first);
    await saveMake(first, { endedAt: 5 });
    expect((await openMake('p'))?.id).toBe(second);
  });

  test('a sheet that went wrong is kept with what was done on it', async () => {
    const id = await beginMake(project, 2, 'together');
    const sheet = {
      copy: 2,
      step: 5,
      piece: 'envelope',
      blank: { width: 152, height: 152 },
      moves: 4,
      text: 'x',
    };
    await keepSpoiled(id, sheet);
    await keepSpoiled(id, { ...sheet, copy: 1 });
    expect((await db.makes.get(id))?.spoiled).toEqual([
      { ...sheet, at: expect.any(Number) },
      { ...sheet, copy: 1, at: expect.any(Number) },
    ]);
  });
});

describe('the log', () => {
  const entry = DEMO_LOG[0]!;

  test('entries are kept latest first, changed, taken out and put back', async () => {
    const id = await addLog({ ...entry, day: '2026-01-02' }, { units: 'in' });
    const later = await addLog({ ...entry, day: '2026-03-02' }, { units: 'in', makeId: 'm', projectId: 'p' });
    expect((await allLog()).map((e) => e.id)).toEqual([later, id]);
    await changeLog(id, { ...entry, day: '2026-04-01', note: 'again' });
    expect((await allLog())[0]).toMatchObject({ id, note: 'again', units: 'in' });
    await dropLog(id);
    expect((await allLog()).map((e) => e.id)).toEqual([later]);
    await putBackLog(id);
    expect(await allLog()).toHaveLength(2);
  });

  test('what was exported once is known again', () => {
    expect(sameEntry(entry, { ...entry })).toBe(true);
    expect(sameEntry(entry, { ...entry, day: '1999-01-01' })).toBe(false);
  });

  test('fits are told apart by holder and by flat or thick contents', () => {
    const key = fitKey('sleeve', { thickness: 12 });
    expect([key, fitKeyParts(key)]).toEqual(['sleeve/thick', { construction: 'sleeve', contents: 'thick' }]);
    expect(fitKeyParts(fitKey('sleeve', { thickness: 0.3 })).contents).toBe('flat');
  });

  test('every demo entry is one the log would read', () => {
    for (const demo of DEMO_LOG) expect(logEntrySchema.safeParse(demo).success).toBe(true);
  });
});

test('a project and a board written by version 1 of the database are still read', async () => {
  // A sample as version 1 stored it; later versions migrate it step by step.
  const sample: Project = {
    id: 'v1',
    ...card,
    createdAt: 1,
    updatedAt: 2,
    deletedAt: 0,
    writtenBy: 'sample',
  };
  const old = new Dexie('old-shelf');
  old.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  await old.table('projects').add(sample);
  await old.table('settings').add({ key: 'my-board', value: { notch: 20, offset: 1, rulerEnd: 127, grooveEnd: 180 } });
  old.close();
  const now = openDatabase('old-shelf');
  expect(await now.projects.get('v1')).toEqual(sample);
  const tools = toolboxSchema.parse((await now.settings.get('toolbox'))?.value);
  expect(tools[0]).toMatchObject({ kind: 'envelope-board', name: 'My board', notch: 20, offset: 1, out: true });
  expect(tools).toHaveLength(COMMON_TOOLBOX.length);
  expect(await now.settings.get('my-board' as never)).toBeUndefined();
  expect(await now.log.count()).toBe(0);
});
