import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { checksOf } from '@/core/checks';
import { planSet, readSet, setChecks, setOfOlder } from '@/core/sets';
import { readCutList, sheetsFrom, stashPaperSchema, type StashPaper } from '@/core/cutting';
import { loadSolver, pack } from '@/core/cutting/pack';
import { logEntrySchema } from '@/core/files';
import { mm } from '@/core/length';
import { COMMON_BOARD, COMMON_TOOLBOX, toolboxSchema, type OwnTool } from '@/core/tools';
import { carriedOut, keepCutting, laidOn, markCut, TABLE, undoCut } from './cuttings';
import {
  db,
  openDatabase,
  type CutRecord,
  type LogRecord,
  type MakeRecord,
  type PaperRecord,
  type Project,
} from './db';
import { DEMO_CUTS, DEMO_LOG, DEMO_SHELF, DEMO_STASH } from './demo';
import { isExample } from './examples';
import { allKept, layLeftOver, readAll, writeOlderAnew } from './keep';
import {
  addLog,
  addLogs,
  dropLog,
  endMake,
  writtenOf,
  entryKey,
  fitKey,
  fitKeyParts,
  latestFirst,
  keepLog,
  ownMakes,
  putBackLog,
} from './log';
import {
  beginMake,
  goesOnWith,
  keepMake,
  keepSpoiled,
  openMake,
  openMakesOf,
  setAsideOf,
  settleSheet,
  takeWay,
  takeWayBack,
} from './makes';
import {
  addProject,
  allProjects,
  binProject,
  bringExamplesBack,
  clearExamples,
  duplicateProject,
  gatherOlderCounts,
  keepCopies,
  keepProject,
  putBackProject,
  seedDemoShelf,
} from './projects';
import { readRecord } from './records';
import { MISREADS, remembering, SPOKEN, THEME, TOOLBOX, unitsOfRegion, USUAL_ROOM } from './setting-kinds';
import { boardOut, keepSetting, loadSetting } from './settings';
import { troubleOf } from './trouble';
import { addPaper, addPapers, dropPaper, inStash, keepPaper, leftInStash, stashPaperOf, putBackPaper } from './stash';

const card = { name: 'Star cards', units: 'in' as const, set: DEMO_SHELF[0]!.set };
const allLog = async () => latestFirst((await readAll<LogRecord>('log')).records);
const allPapers = async () => inStash((await readAll<PaperRecord>('papers')).records);
const papersLeft = async () => leftInStash((await readAll<PaperRecord>('papers')).records);
const allCuts = async () => carriedOut((await readAll<CutRecord>('cuts')).records);
const loadCutting = async (id: string) => laidOn(id, (await db.cuttings.get(id)) ?? null);

beforeEach(async () => {
  await Promise.all(db.tables.map((table) => table.clear()));
});

test('every demo project is ready to cut, but for the one that shows what a failing design looks like', () => {
  const failing = DEMO_SHELF.flatMap(({ name, set }) => {
    const read = readSet(set);
    if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.issues)}`);
    const planned = planSet(read.set);
    const levels = [
      ...planned.parts.flatMap(({ part, plan }) => (part.given ? [] : checksOf(plan).map(({ level }) => level))),
      ...setChecks(planned).map(({ level }) => level),
    ];
    return levels.includes('fail') ? [name] : [];
  });
  expect(failing).toEqual(['What the leftover squares hold']);
});

test('the demo shelf appears once, with designs that can be read, and never again after it was emptied', async () => {
  await Promise.all([seedDemoShelf(), seedDemoShelf()]);
  expect(await db.projects.count()).toBe(DEMO_SHELF.length);
  for (const { set } of DEMO_SHELF) expect(readSet(set).ok).toBe(true);
  await db.projects.clear();
  await seedDemoShelf();
  expect(await db.projects.count()).toBe(0);
});

test('examples are told from what is the person’s own, cleared in one go, and brought back', async () => {
  await seedDemoShelf();
  const [first, second] = (await allProjects()).shelf as [Project, Project];
  expect(isExample(first)).toBe(true);
  const own = await addProject({ name: 'Mine', units: 'in', set: first.set });
  keepProject(second.id, second, { ...second, name: 'Made mine' });
  await keepPaperCount();
  await allKept();
  const there = async (): Promise<Record<string, number>> => ({
    projects: await db.projects.count(),
    log: await db.log.count(),
    papers: await db.papers.count(),
    cuts: await db.cuts.count(),
  });
  const before = await there();
  await clearExamples();
  // What was changed of an example is the person's, and so is what they began.
  expect((await allProjects()).shelf.map(({ id }) => id).sort()).toEqual([own, second.id].sort());
  expect((await there()).log).toBe(0);
  expect((await there()).papers).toBe(1);
  expect((await there()).cuts).toBe(0);
  await bringExamplesBack();
  expect(await there()).toEqual(before);
  expect((await db.projects.get(second.id))!.name).toBe('Made mine');
  await bringExamplesBack();
  expect(await there()).toEqual(before);

  /** One sheet of an example paper was used. */
  async function keepPaperCount(): Promise<void> {
    const [paper] = await db.papers.toArray();
    await db.papers.update(paper!.id, { count: paper!.count - 1, updatedAt: Date.now() });
  }
});

test('a make written down counts as evidence, an example never does', () => {
  const entry = {
    ...DEMO_LOG[0]!,
    units: 'in',
    makeId: '',
    projectId: '',
    part: '',
    addedAt: 1,
    deletedAt: 0,
  } as const;
  const all = [
    { ...entry, id: 'demo-log-1' },
    { ...entry, id: 'mine' },
  ];
  expect(ownMakes(all).map(({ id }) => id)).toEqual(['mine']);
});

test('a project is kept, changed, copied, put in the bin and put back', async () => {
  const id = await addProject(card);
  keepProject(id, card, { ...card, name: 'Moon cards' });
  const copy = await duplicateProject(id);
  expect((await db.projects.get(copy!))?.name).toBe('Moon cards (copy)');
  expect(await duplicateProject('nobody')).toBeNull();
  await binProject(id);
  const { shelf, bin } = await allProjects();
  expect([shelf.map((p) => p.id), bin.map((p) => p.id)]).toEqual([[copy], [id]]);
  await putBackProject(id);
  expect((await allProjects()).shelf).toHaveLength(2);
});

test('how many are made is the project’s: what older versions counted on a cutting table is gathered once', async () => {
  const [own, shared, told, one] = await Promise.all(['a', 'b', 'c', 'd'].map((name) => addProject({ ...card, name })));
  const need = (projectId: string, copies: number) => ({ id: projectId, projectId, copies });
  keepCopies((await db.projects.get(told!))!, 2);
  await allKept();
  await db.cuttings.bulkPut([
    { ...laidOn(TABLE, null), needs: [need(own!, 4), need(shared!, 7), need(told!, 9), need(one!, 1)] },
    { ...laidOn(own!, null), needs: [need(own!, 12)] },
  ]);
  const copies = async (): Promise<unknown[]> =>
    (await db.projects.bulkGet([own!, shared!, told!, one!])).map((project) => project?.copies);
  await gatherOlderCounts();
  // A project’s own table before that of several; what is told already stands.
  expect(await copies()).toEqual([12, 7, 2, undefined]);
  keepCopies((await db.projects.get(own!))!, 1);
  await allKept();
  await gatherOlderCounts();
  expect(await copies()).toEqual([1, 7, 2, undefined]);
});

test('units are those of the browser’s region until somebody chooses', () => {
  expect(['en-US', 'en', 'en-GB', 'de', 'fr-CA', 'en-LR', 'not a language', undefined].map(unitsOfRegion)).toEqual([
    'in',
    'in',
    'mm',
    'mm',
    'mm',
    'in',
    'in',
    'in',
  ]);
});

test('what the browser kept is checked before use: damaged tools, rooms or a theme fall back', async () => {
  expect(await loadSetting(TOOLBOX)).toEqual(COMMON_TOOLBOX);
  expect(boardOut(await loadSetting(TOOLBOX))).toMatchObject({ notch: COMMON_BOARD.notch });
  const wider = COMMON_TOOLBOX.map((tool) => (tool.kind === 'envelope-board' ? { ...tool, notch: mm(20) } : tool));
  keepSetting(TOOLBOX, COMMON_TOOLBOX, wider);
  // Of two quick changes neither undoes the other, though both were made of what the screen showed before.
  keepSetting(
    TOOLBOX,
    wider,
    wider.filter(({ kind }) => kind !== 'trimmer'),
  );
  keepSetting(
    TOOLBOX,
    wider,
    wider.filter(({ kind }) => kind !== 'ruler'),
  );
  await allKept();
  const tools = await loadSetting(TOOLBOX);
  expect(boardOut(tools)).toMatchObject({ kind: 'envelope-board', notch: 20 });
  expect(tools.some(({ kind }) => kind === 'trimmer' || kind === 'ruler')).toBe(false);
  // A board that is put away is not the one plans are made for.
  expect(boardOut(wider.map((tool) => ({ ...tool, out: false }) as OwnTool))).toMatchObject({
    notch: COMMON_BOARD.notch,
  });
  await db.settings.put({ key: 'toolbox', value: [{ kind: 'envelope-board', notch: 'wide' }] });
  expect(await loadSetting(TOOLBOX)).toEqual(COMMON_TOOLBOX);
  keepSetting(THEME, 'auto', 'dark');
  keepSetting(USUAL_ROOM, {}, { 'sleeve/flat': { width: mm(3), height: mm(2) } });
  keepSetting(SPOKEN, false, true);
  await allKept();
  expect(await loadSetting(THEME)).toBe('dark');
  expect(await loadSetting(USUAL_ROOM)).toEqual({ 'sleeve/flat': { width: 3, height: 2 } });
  expect(await loadSetting(SPOKEN)).toBe(true);
  await db.settings.put({ key: 'theme', value: 'plaid' });
  await db.settings.put({ key: 'usual-room', value: { 'sleeve/flat': { width: -3 } } });
  expect([await loadSetting(THEME), await loadSetting(USUAL_ROOM)]).toEqual(['auto', {}]);
});

/** A sheet that went wrong in a make. */
const SHEET = {
  part: 'part-1',
  copy: 2,
  step: 5,
  piece: 'envelope',
  blank: { width: 152, height: 152 },
  moves: 4,
  text: 'x',
};

describe('makes', () => {
  const project = { id: 'p', ...card };

  const begun = async (copies: number, way: MakeRecord['way'] = 'together'): Promise<MakeRecord> =>
    (await db.makes.get(await beginMake(project, copies, way, [], 30)))!;

  test('a make keeps what was decided when it began, and where it was left', async () => {
    const make = await begun(6);
    keepMake(make, { done: 7, spent: 90_000 });
    await allKept();
    expect(await openMake('p')).toMatchObject({
      id: make.id,
      copies: 6,
      done: 7,
      spent: 90_000,
      endedAt: 0,
      set: card.set,
    });
    expect(await openMake('other')).toBeNull();
  });

  test('a finished make is not gone on with; of two open ones the last touched is', async () => {
    const first = await begun(1);
    await begun(2, 'one-by-one');
    await db.makes.update(first.id, { updatedAt: Date.now() + 1000 });
    expect((await openMake('p'))?.id).toBe(first.id);
    await endMake(first, null);
    expect((await openMake('p'))?.copies).toBe(2);
  });

  test('makes that go on are those of projects on the shelf, last touched first', async () => {
    const { records } = { records: [await begun(1), await begun(2), await begun(3)] };
    const [one, two, three] = records.map((make, i) => ({ ...make, updatedAt: i })) as [
      MakeRecord,
      MakeRecord,
      MakeRecord,
    ];
    const shelf = [{ id: 'p' }] as Project[];
    expect(openMakesOf([one, { ...two, endedAt: 5 }, three], shelf).map(({ copies }) => copies)).toEqual([3, 1]);
    expect(openMakesOf([one], [])).toEqual([]);
  });

  test('a sheet that went wrong is kept with what was done on it', async () => {
    const make = await begun(2);
    const sheet = SHEET;
    await keepSpoiled(make, sheet);
    await keepSpoiled((await db.makes.get(make.id))!, { ...sheet, copy: 1 });
    expect((await db.makes.get(make.id))?.spoiled).toEqual([
      { ...sheet, at: expect.any(Number) },
      { ...sheet, copy: 1, at: expect.any(Number) },
    ]);
  });

  test('a way out taken goes on from where the make stood; what is put away is set aside no more, and can be again', async () => {
    const make = await begun(2);
    const now = async (): Promise<MakeRecord> => (await db.makes.get(make.id))!;
    const design = { version: 1, construction: 'seam-envelope', contents: { width: 90, height: 60 } } as const;
    const sheet = { ...SHEET, done: 0 };
    const first = await keepSpoiled(make, sheet);
    const second = (await keepSpoiled(await now(), { ...sheet, copy: 1 }), (await now()).spoiled[1]!);
    expect(
      setAsideOf([await now()])
        .map(({ sheet: one }) => one.copy)
        .sort(),
    ).toEqual([1, 2]);
    takeWay(await now(), (await now()).spoiled[0]!, design);
    await allKept();
    expect((await now()).ways).toEqual([{ part: 'part-1', copy: 2, at: 0, design }]);
    expect((await now()).spoiled[0]).toMatchObject({ at: first, settled: true });
    expect(setAsideOf([await now()]).map(({ sheet: one }) => one.copy)).toEqual([1]);
    // Taken back it stands where it stood, though it went on since.
    const before = {
      ...(await now()),
      ways: [],
      spoiled: (await now()).spoiled.map((one) => ({ ...one, settled: false })),
    };
    const taken = takeWay(before, before.spoiled[0]!, design);
    keepMake(taken, { done: 3 });
    await allKept();
    takeWayBack(taken, before);
    await allKept();
    expect(await now()).toMatchObject({ done: 0, ways: [] });
    expect(setAsideOf([await now()])).toHaveLength(2);
    takeWay(await now(), (await now()).spoiled[0]!, design);
    await allKept();
    settleSheet(await now(), second.at);
    await allKept();
    expect(setAsideOf([await now()])).toEqual([]);
    settleSheet(await now(), second.at, false);
    await allKept();
    expect(setAsideOf([await now()])).toHaveLength(1);
    // Once something more was done, or the make is over, the sheet is a thing of its own.
    expect(goesOnWith(await now(), second)).toBe(true);
    expect(goesOnWith({ ...(await now()), done: 1 }, second)).toBe(false);
    expect(goesOnWith({ ...(await now()), endedAt: 5 }, second)).toBe(false);
    const { done: _, ...older } = second;
    expect(goesOnWith(await now(), older)).toBe(false);
    // What is read back is what was kept; what cannot be a way is damage.
    expect(readRecord('makes', await now())).toMatchObject({ ok: true, record: { ways: [{ copy: 2 }] } });
    expect(readRecord('makes', { ...(await now()), ways: [{ part: 1 }] }).ok).toBe(false);
  });

  test('mistaken readings are remembered each once, the latest last, and not without end', () => {
    const one = {
      mistake: 'mirror',
      of: 'notch',
      construction: 'diagonal-envelope',
      piece: 'envelope',
      edge: 1,
    } as const;
    const other = { ...one, edge: 2 } as const;
    expect(remembering([one], [other, other])).toEqual([one, other]);
    expect(remembering([one, other], [one])).toEqual([other, one]);
    const many = Array.from({ length: 90 }, (_, i) => ({ ...one, piece: `piece ${i}` }));
    const kept = remembering([one], many);
    expect(MISREADS.shape.safeParse(kept).success).toBe(true);
    expect(kept.at(-1)).toEqual(many.at(-1));
  });

  test('a make that ends is written into the log once, however often that is pressed', async () => {
    const make = await begun(1);
    const entry = DEMO_LOG[0]!;
    const photo = new Blob(['x'], { type: 'image/jpeg' });
    const ids = await Promise.all([
      endMake(make, { part: 'holder', entry, photo }),
      endMake(make, { part: 'holder', entry, photo }),
      endMake(make, null),
    ]);
    const log = await allLog();
    expect(log).toHaveLength(1);
    expect(ids.slice(0, 2)).toEqual([log[0]!.id, log[0]!.id]);
    expect(log[0]).toMatchObject({ makeId: make.id, projectId: 'p', units: 'in' });
    expect(await db.photos.count()).toBe(1);
    expect((await db.makes.get(make.id))!.endedAt).toBeGreaterThan(0);
  });

  test('two parts of one name are two entries, and one taken out of the log can be written again', async () => {
    const make = await begun(1);
    const entry = DEMO_LOG[0]!;
    const write = (part: string, last: boolean) => endMake(make, { part, entry, photo: null }, last);
    const [first, second] = [await write('lid', false), await write('tray', false)];
    expect(first).not.toBe(second);
    expect(writtenOf(make, await allLog()).map(({ part }) => part)).toEqual(expect.arrayContaining(['lid', 'tray']));
    expect((await db.makes.get(make.id))!.endedAt).toBe(0);
    await dropLog(first);
    expect(await write('lid', true)).not.toBe(first);
    expect((await db.makes.get(make.id))!.endedAt).toBeGreaterThan(0);
  });
});

describe('the log', () => {
  const entry = DEMO_LOG[0]!;

  test('entries are kept latest first, changed, taken out and put back', async () => {
    const id = await addLog({ ...entry, day: '2026-01-02' }, { units: 'in' });
    const later = await addLog({ ...entry, day: '2026-03-02' }, { units: 'in', makeId: 'm', projectId: 'p' });
    expect((await allLog()).map((e) => e.id)).toEqual([later, id]);
    const was = { ...entry, day: '2026-01-02' };
    keepLog(id, was, { ...was, day: '2026-04-01', note: 'again' });
    await allKept();
    expect((await allLog())[0]).toMatchObject({ id, note: 'again', units: 'in' });
    await dropLog(id);
    expect((await allLog()).map((e) => e.id)).toEqual([later]);
    await putBackLog(id);
    expect(await allLog()).toHaveLength(2);
  });

  test('what was exported once is known again', () => {
    expect(entryKey({ ...entry, paper: 'other' })).toBe(entryKey(entry));
    expect(entryKey({ ...entry, day: '1999-01-01' })).not.toBe(entryKey(entry));
  });

  test('many entries are written at once, all of them or none', async () => {
    const many = Array.from({ length: 2500 }, (_, i) => ({ ...entry, day: '2026-01-02', note: `line ${i}` }));
    const told: number[] = [];
    await addLogs(many, { units: 'mm' }, (written) => told.push(written));
    expect(told).toEqual([1000, 2000, 2500]);
    // As they stood in the table, first line first.
    expect((await allLog()).map(({ note }) => note)).toEqual(many.map(({ note }) => note));
    const broken = [entry, { ...entry, note: (() => 'no data') as never }];
    await expect(addLogs(broken, { units: 'mm' })).rejects.toBeDefined();
    expect(await db.log.count()).toBe(2500);
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
  const sample = {
    id: 'v1',
    name: 'Star cards',
    units: 'in',
    design: { version: 1, construction: 'diagonal-envelope', contents: { width: 76.2, height: 101.6 } },
    createdAt: 1,
    updatedAt: 2,
    deletedAt: 0,
  };
  const old = new Dexie('old-shelf');
  old.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  await old.table('projects').add(sample);
  await old.table('settings').add({ key: 'my-board', value: { notch: 20, offset: 1, rulerEnd: 127, grooveEnd: 180 } });
  old.close();
  const now = openDatabase('old-shelf');
  expect(await now.projects.get('v1')).toEqual(sample);
  const { design, ...rest } = sample;
  expect(readRecord('projects', sample)).toEqual({ ok: true, record: { ...rest, set: setOfOlder(design) } });
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

test('papers, cutting tables and cuttings written by version 3 of the database are still read', async () => {
  const old = new Dexie('old-stash');
  old.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  old.version(2).stores({ makes: '&id, projectId, updatedAt', log: '&id, day, construction', photos: '&id' });
  old.version(3).stores({ papers: '&id, from', cuttings: '&id', cuts: '&id, at' });
  const paper = { ...DEMO_STASH[0]!, id: 'paper', from: '', addedAt: 1, deletedAt: 0 };
  const table = {
    id: 'table',
    needs: [{ projectId: 'a', copies: 2 }],
    extra: [
      { name: 'tag', width: 50, height: 90, quantity: 3, turn: true },
      { name: 'tag', width: 50, height: 90, quantity: 3, turn: true },
    ],
    papers: null,
    bought: null,
    cutter: 'guillotine',
    offcutsFirst: true,
    byHand: null,
    cut: null,
    step: 2,
    updatedAt: 9,
  };
  const project = { id: 'v3', ...card, createdAt: 1, updatedAt: 2, deletedAt: 0, writtenBy: 'an old page' };
  await old.table('papers').add(paper);
  await old.table('cuttings').add(table);
  await old.table('cuts').add(DEMO_CUTS[0]!);
  await old.table('projects').add(project);
  old.close();
  const now = openDatabase('old-stash');
  expect(await now.papers.get('paper')).toEqual(paper);
  expect(await now.cuts.toArray()).toEqual([DEMO_CUTS[0]]);
  // Nothing of it is written anew: what older versions had not is added where it is read.
  expect(await now.cuttings.get('table')).toEqual(table);
  expect(readRecord('cuttings', table)).toMatchObject({
    ok: true,
    record: {
      needs: [{ id: 'a', projectId: 'a', copies: 2 }],
      extra: [{ id: 'piece-1' }, { id: 'piece-2' }],
      step: 2,
    },
  });
  expect(readRecord('projects', project)).toMatchObject({ ok: true });
  expect([await now.journal.count(), await now.drafts.count(), await now.aside.count()]).toEqual([0, 0, 0]);
  now.close();
});

describe('projects and makes written by version 4 of the database', () => {
  const older = {
    id: 'v4',
    name: 'Pouch',
    units: 'in',
    design: {
      version: 1,
      construction: 'storage-pocket',
      contents: { width: 76.2, height: 101.6, thickness: 1 },
      paper: { width: 305, height: 305, caliper: 0.3 },
      companions: ['mat', 'tag', 'note', 'hole-template'],
    },
    createdAt: 1,
    updatedAt: 2,
    deletedAt: 0,
  };
  const make = {
    ...older,
    id: 'm4',
    projectId: 'v4',
    copies: 2,
    way: 'together',
    done: 3,
    spent: 5,
    startedAt: 1,
    endedAt: 0,
    spoiled: [{ at: 1, copy: 1, step: 4, piece: 'body', blank: { width: 1, height: 1 }, moves: 2, text: 'x' }],
  };
  const change = (patch: object) => ({
    page: 'dead',
    seq: 1,
    table: 'projects',
    id: 'v4',
    whole: {},
    fresh: null,
    at: 9,
    ...patch,
  });

  test('are sets, with all that went with them, once the data is opened', async () => {
    await db.projects.add(older as never);
    await db.makes.add(make as never);
    await writeOlderAnew();
    const [project, made] = [await db.projects.get('v4'), await db.makes.get('m4')];
    expect(project).toMatchObject({ id: 'v4', name: 'Pouch', createdAt: 1, updatedAt: 2 });
    expect(project).not.toHaveProperty('design');
    expect(project!.set).toEqual(setOfOlder(older.design));
    expect(project!.set.parts.map(({ id }) => id)).toEqual(['part-1', 'tag', 'note']);
    expect(project!.set.parts[0]!.layers!.map(({ on }) => on)).toEqual(['front', 'sheet']);
    expect(made).toMatchObject({ done: 3, copies: 2, set: project!.set });
    expect(readRecord('makes', made)).toMatchObject({ ok: true, record: { spoiled: [{ part: '', step: 4 }] } });
    // Written anew once: what is a set by now is left alone.
    await writeOlderAnew();
    expect(await db.projects.get('v4')).toEqual(project);
  });

  test('what a killed page of that version had changed and not laid is not lost', async () => {
    await db.projects.add(older as never);
    await db.journal.add(change({ patch: [{ at: ['design', 'contents', 'width'], set: 80 }] }) as never);
    await layLeftOver();
    await writeOlderAnew();
    const { set } = (await db.projects.get('v4'))!;
    expect((set.parts[0]!.design as { contents: object }).contents).toEqual({ width: 80, height: 101.6, thickness: 1 });
  });

  test('a change that comes from it later goes into the part it was of, or is set aside', async () => {
    const { companions: _, ...design } = older.design;
    await db.projects.add({ ...older, design } as never);
    await writeOlderAnew();
    await db.journal.add(change({ patch: [{ at: ['design', 'paper', 'caliper'], set: 0.5 }] }) as never);
    await layLeftOver();
    const { set } = (await db.projects.get('v4'))!;
    expect(set.papers![0]!.caliper).toBe(0.5);
    expect(set.parts).toHaveLength(1);
    const two = { ...set, parts: [...set.parts, { id: 'card', given: { width: 10, height: 10 } }] };
    await db.projects.update('v4', { set: two } as never);
    await db.journal.add(
      change({ seq: 2, page: 'late', patch: [{ at: ['design', 'paper', 'caliper'], set: 0.7 }] }) as never,
    );
    await layLeftOver();
    expect((await db.projects.get('v4'))!.set).toEqual(two);
    expect((await db.aside.toArray()).map(({ why }) => why)[0]).toContain('older version');
  });

  test('a damaged design stays as it is, and is told', () => {
    const read = readRecord('projects', { ...older, design: { ...older.design, layers: 7, paper: 'blue' } });
    expect(read.ok).toBe(false);
  });
});

test('a record of this version, version 5, is read as it was written', async () => {
  const now = openDatabase('new-shelf');
  const draft = { id: 'paper#1', value: { name: 'Blue' }, updatedAt: 3 };
  await now.drafts.add(draft);
  await now.restores.add({ id: 'r', at: 1, name: 'b.zip', before: [{ table: 'projects', id: 'x', record: null }] });
  now.close();
  const again = openDatabase('new-shelf');
  expect(await again.drafts.get('paper#1')).toEqual(draft);
  expect(await again.restores.count()).toBe(1);
  again.close();
});

test('what a newer version wrote is not opened, and says so', async () => {
  const newer = new Dexie('newer-shelf');
  newer.version(9).stores({ projects: '&id', hats: '&id' });
  await newer.table('projects').add({ id: 'x', shape: 'unknown here' });
  newer.close();
  const now = openDatabase('newer-shelf');
  const trouble = await now.projects.toArray().then(
    () => null,
    (error: unknown) => troubleOf(error),
  );
  expect(trouble).toMatchObject({ kind: 'newer' });
  expect(trouble!.message).toMatch(/newer version/);
  // Not a letter of it was changed.
  const again = new Dexie('newer-shelf');
  again.version(9).stores({ projects: '&id', hats: '&id' });
  expect(await again.table('projects').toArray()).toEqual([{ id: 'x', shape: 'unknown here' }]);
  expect(again.verno).toBe(9);
  again.close();
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
    keepPaper(id, card, { ...card, count: 7 });
    await allKept();
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

  test('an offcut like one that lies there is one more of it, in whatever order they are taken back', async () => {
    await addPaper(card);
    const [a, b] = [await laidOut([piece]), await laidOut([piece])];
    const one = await markCut(TABLE, 'Wrap', a.list, a.layout, a.papers);
    await keepCutting(await loadCutting(TABLE), { cut: null });
    await allKept();
    const two = await markCut(TABLE, 'Wrap', b.list, b.layout, b.papers);
    expect(two).not.toBe(one);
    expect(await seen()).toEqual([
      ['Night card', 1, false],
      ['Offcut, Night card', 2, true],
    ]);
    await undoCut(one);
    expect(await seen()).toEqual([
      ['Night card', 2, false],
      ['Offcut, Night card', 1, true],
    ]);
    await undoCut(two);
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
    keepPaper(id, card, { ...card, count: 1 });
    await expect(markCut(TABLE, 'Two wraps', list, layout, papers)).rejects.toThrow(
      'there is only 1 of “Night card” left, and this takes 2',
    );
    expect(await seen()).toEqual([['Night card', 1, false]]);
    expect(await allCuts()).toEqual([]);
  });

  test('a cutting table keeps what is laid on it; a project’s own begins with one copy', async () => {
    const now = await loadCutting('p');
    expect(now.needs).toEqual([{ id: 'p', projectId: 'p', copies: 1 }]);
    // Both made of the same view, as two windows do.
    keepCutting(now, { cutter: 'free' });
    keepCutting(now, { offcutsFirst: false });
    await allKept();
    expect(await loadCutting('p')).toMatchObject({ cutter: 'free', offcutsFirst: false });
    expect((await loadCutting(TABLE)).needs).toEqual([]);
  });

  test('marked twice it is cut once, and what was typed right before counts', async () => {
    const id = await addPaper(card);
    const { list, layout, papers } = await laidOut([{ ...piece, quantity: 2 }]);
    keepPaper(id, card, { ...card, count: 8 });
    const [one, two] = await Promise.all([
      markCut(TABLE, 'Two wraps', list, layout, papers),
      markCut(TABLE, 'Two wraps', list, layout, papers),
    ]);
    expect(two).toBe(one);
    expect(await allCuts()).toHaveLength(1);
    expect((await allPapers())[0]).toMatchObject({ name: 'Night card', count: 6 });
  });

  test('a paper is what the person told, without what the database adds', async () => {
    await addPaper(card);
    expect(stashPaperOf((await allPapers())[0]!)).toEqual(card);
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
