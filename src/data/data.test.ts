import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { checksOf, planFor, readDesign } from '@/core/plan';
import { readCutList, sheetsFrom, stashPaperSchema, type StashPaper } from '@/core/cutting';
import { loadSolver, pack } from '@/core/cutting/pack';
import { logEntrySchema } from '@/core/files';
import { mm } from '@/core/length';
import { COMMON_BOARD, COMMON_TOOLBOX, toolboxSchema, type OwnTool } from '@/core/tools';
import { allCuts, loadCutting, markCut, saveCutting, TABLE, undoCut } from './cuttings';
import { db, openDatabase, type Project } from './db';
import { DEMO_CUTS, DEMO_LOG, DEMO_SHELF, DEMO_STASH } from './demo';
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
  changeToolbox,
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
import { addPaper, addPapers, allPapers, changePaper, dropPaper, papersLeft, putBackPaper } from './stash';

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
  await Promise.all([db.papers.clear(), db.cuttings.clear(), db.cuts.clear()]);
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
  // Of two quick changes neither undoes the other.
  await Promise.all([
    changeToolbox((now) => now.filter(({ kind }) => kind !== 'trimmer')),
    changeToolbox((now) => now.filter(({ kind }) => kind !== 'ruler')),
  ]);
  expect((await loadToolbox()).some(({ kind }) => kind === 'trimmer' || kind === 'ruler')).toBe(false);
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

test('makes, log, photos and tools written by version 2 of the database are still read', async () => {
  const old = new Dexie('old-log');
  old.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  old.version(2).stores({ makes: '&id, projectId, updatedAt', log: '&id, day, construction', photos: '&id' });
  const make = { id: 'm', projectId: 'v2', done: 3, spent: 5, copies: 2, endedAt: 0, updatedAt: 9 };
  const entry = { ...DEMO_LOG[0]!, id: 'l', units: 'in', makeId: 'm', projectId: 'v2', addedAt: 1, deletedAt: 0 };
  await old.table('makes').add(make);
  await old.table('log').add(entry);
  await old.table('settings').add({ key: 'toolbox', value: COMMON_TOOLBOX });
  old.close();
  const now = openDatabase('old-log');
  expect(await now.makes.get('m')).toEqual(make);
  expect(await now.log.get('l')).toEqual(entry);
  expect((await now.settings.get('toolbox'))?.value).toEqual(COMMON_TOOLBOX);
  expect([await now.papers.count(), await now.cuttings.count(), await now.cuts.count()]).toEqual([0, 0, 0]);
});

describe('the stash', () => {
  const card: StashPaper = {
    name: 'Night card',
    width: mm(300),
    height: mm(300),
    count: 3,
    caliper: mm(0.25),
    sided: 2,
    directional: false,
    colour: 'blue',
    price: 0.9,
    made: 'plain',
    of: '',
    note: '',
  };
  /** Lays pieces out on what the stash has. */
  async function laidOut(pieces: object[]) {
    const sheets = sheetsFrom(await papersLeft(), true);
    const read = readCutList({ version: 1, sheets: sheets.map(({ sheet }) => sheet), pieces });
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const papers = new Map(sheets.map(({ sheet, paper }) => [sheet.name, paper]));
    return { list: read.list, layout: pack(read.list, await loadSolver()), papers };
  }
  const piece = { name: 'p', width: 200, height: 300 };
  const seen = async () => (await allPapers()).map(({ name, count, offcut }) => [name, count, offcut]);

  test('papers are added, changed, taken out and put back', async () => {
    const id = await addPaper(card);
    await addPapers([{ ...card, name: 'Cream', count: 0 }]);
    expect((await allPapers()).map(({ name }) => name)).toEqual(['Cream', 'Night card']);
    expect((await papersLeft()).map(({ name }) => name)).toEqual(['Night card']);
    await changePaper(id, { ...card, count: 7 });
    await dropPaper(id);
    expect(await papersLeft()).toEqual([]);
    await putBackPaper(id);
    expect(await papersLeft()).toEqual([expect.objectContaining({ count: 7 })]);
  });

  test('what is cut leaves the stash, its offcuts enter, and both can be undone', async () => {
    await addPaper(card);
    const { list, layout, papers } = await laidOut([{ ...piece, quantity: 2 }]);
    const id = await markCut(TABLE, 'Two wraps', list, layout, papers);
    expect(await seen()).toEqual([
      ['Night card', 1, false],
      ['Offcut, Night card', 2, true],
    ]);
    expect((await allPapers())[1]).toMatchObject({ from: id, width: 300, height: 100 });
    expect((await loadCutting(TABLE)).cut).toMatchObject({ id, layout: { sheetsUsed: 2 } });
    expect(await allCuts()).toEqual([expect.objectContaining({ name: 'Two wraps', sheets: 2, kept: 60_000 })]);
    await undoCut(id);
    expect(await seen()).toEqual([['Night card', 3, false]]);
    expect((await loadCutting(TABLE)).cut).toBeNull();
    expect(await allCuts()).toEqual([]);
    // Twice is once.
    await undoCut(id);
    expect(await seen()).toEqual([['Night card', 3, false]]);
  });

  test('a cutting whose offcut was cut since is not taken back before that one is', async () => {
    await addPaper(card);
    const first = await laidOut([piece]);
    const one = await markCut(TABLE, 'Wrap', first.list, first.layout, first.papers);
    const second = await laidOut([{ name: 'tag', width: 90, height: 90 }]);
    const two = await markCut(TABLE, 'Tag', second.list, second.layout, second.papers);
    expect(await seen()).toEqual([
      ['Night card', 2, false],
      // The one from the first cutting is used up; the second left one of its own.
      ['Offcut, Night card', 0, true],
      ['Offcut, Night card', 1, true],
    ]);
    await expect(undoCut(one)).rejects.toThrow('was used or taken out since');
    await undoCut(two);
    await undoCut(one);
    expect(await seen()).toEqual([['Night card', 3, false]]);
  });

  test('sheets that are no longer there are told of, and nothing is changed', async () => {
    const id = await addPaper(card);
    const { list, layout, papers } = await laidOut([{ ...piece, quantity: 2 }]);
    await changePaper(id, { ...card, count: 1 });
    await expect(markCut(TABLE, 'Two wraps', list, layout, papers)).rejects.toThrow(
      'there is only 1 of “Night card” left, and this takes 2',
    );
    expect(await seen()).toEqual([['Night card', 1, false]]);
    expect(await allCuts()).toEqual([]);
  });

  test('a cutting table keeps what is laid on it; a project’s own begins with one copy', async () => {
    expect((await loadCutting('p')).needs).toEqual([{ projectId: 'p', copies: 1 }]);
    await saveCutting('p', { cutter: 'free' });
    await saveCutting('p', { offcutsFirst: false });
    expect(await loadCutting('p')).toMatchObject({ cutter: 'free', offcutsFirst: false });
    expect((await loadCutting(TABLE)).needs).toEqual([]);
  });

  test('every demo paper is one the stash would read, and no more paper was used than there was', () => {
    for (const { id: _, offcut: __, ...paper } of DEMO_STASH)
      expect(stashPaperSchema.safeParse(paper).success).toBe(true);
    for (const { paper, pieces, kept, saved } of DEMO_CUTS) {
      expect(pieces + kept).toBeLessThanOrEqual(paper);
      expect(saved).toBeLessThanOrEqual(pieces);
    }
  });
});
