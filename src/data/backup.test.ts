import 'fake-indexeddb/auto';
import { logEntrySchema } from '@/core/files';
import { readBackup, writeBackup } from '@/core/files/backup';
import { lastRestore, onlyDemo, previewRestore, restore, takeBackRestore, whatIsKept, wholeBackup } from './backup';
import { db, KEPT_TABLES, type PaperRecord, type Project } from './db';
import { DEMO_LOG, DEMO_SHELF, DEMO_STASH } from './demo';
import { allKept } from './keep';
import { addLog, savePhoto } from './log';
import { addProject, keepProject, seedDemoShelf } from './projects';
import { addPaper } from './stash';
import { keepSetting } from './settings';
import { THEME } from './setting-kinds';

beforeEach(async () => {
  await allKept();
  await Promise.all(db.tables.map((table) => table.clear()));
});

/** What a backup file says of everything that is kept here, read back from its bytes. */
async function throughAFile() {
  const written = writeBackup(await wholeBackup());
  const read = readBackup(written);
  if (!read.ok) throw new Error(JSON.stringify(read));
  return read.backup;
}

/** Everything in the database, in an order that says nothing. */
async function everything(): Promise<unknown> {
  const tables = await Promise.all(
    KEPT_TABLES.map(async (table) => {
      const records = (await db.table<Record<string, unknown>>(table).toArray()).filter(
        ({ key }) => key !== 'demo-shelf',
      );
      const whole = await Promise.all(
        records.map(async (record) =>
          record.image instanceof Blob
            ? { ...record, image: [...new Uint8Array(await record.image.arrayBuffer())] }
            : record,
        ),
      );
      return [table, whole];
    }),
  );
  return JSON.parse(JSON.stringify(tables));
}

const project = async (name: string): Promise<Project> =>
  (await db.projects.get(await addProject({ name, units: 'in', set: DEMO_SHELF[0]!.set })))!;
const picture = new Blob([Uint8Array.from([255, 216, 255, 224, 1, 2, 3])], { type: 'image/jpeg' });

async function fill(): Promise<Project> {
  await seedDemoShelf();
  const own = await project('Comet cards');
  await savePhoto(await addLog(logEntrySchema.parse(DEMO_LOG[0]), { units: 'in', projectId: own.id }), picture);
  await addPaper({ ...DEMO_STASH[0]!, name: 'Comet paper' });
  keepSetting(THEME, 'light', 'dark');
  await allKept();
  return own;
}

test('everything comes back from a backup after the data was cleared, byte by byte', async () => {
  await fill();
  const before = await everything();
  const backup = await throughAFile();
  await Promise.all(db.tables.map((table) => table.clear()));
  await seedDemoShelf();
  expect(await onlyDemo()).toBe(true);
  const preview = await previewRestore(backup);
  expect(preview.added.map(({ table }) => table)).toEqual(
    expect.arrayContaining(['projects', 'log', 'papers', 'settings']),
  );
  await restore('all.tuckbackup', preview, 'later');
  expect(await everything()).toEqual(before);
  expect(await onlyDemo()).toBe(false);
});

test('restored where it came from it changes nothing', async () => {
  await fill();
  const before = await everything();
  const preview = await previewRestore(await throughAFile());
  expect([preview.added, preview.differing, preview.unreadable]).toEqual([[], [], []]);
  expect(preview.equal).toBeGreaterThan(20);
  await restore('again', preview, 'backup');
  expect(await everything()).toEqual(before);
});

test('examples that nobody touched are the same, whenever they came', async () => {
  await fill();
  const file = await throughAFile();
  await db.projects.toCollection().modify((project: { id: string; createdAt: number; updatedAt: number }) => {
    if (!project.id.startsWith('demo-')) return;
    project.createdAt += 5000;
    project.updatedAt += 5000;
  });
  expect((await previewRestore(file)).differing).toEqual([]);
});

describe('what differs', () => {
  const merged = async (prefer: 'later' | 'here' | 'backup', laterHere: boolean): Promise<string> => {
    const own = await fill();
    const change = async (name: string): Promise<void> => {
      const now = (await db.projects.get(own.id))!;
      keepProject(own.id, now, { ...now, name });
      await allKept();
      await new Promise((wake) => setTimeout(wake, 3));
    };
    await change('Comet cards, old');
    const old = await throughAFile();
    await change('Comet cards, new');
    const fresh = await throughAFile();
    // Here stands the one, and the other comes from the file.
    if (!laterHere)
      await db.projects.put((old.tables.projects as unknown as Project[]).find(({ id }) => id === own.id)!);
    const preview = await previewRestore(laterHere ? old : fresh);
    expect(preview.differing.map(({ id, later }) => [id, later])).toEqual([[own.id, laterHere ? 'here' : 'backup']]);
    const done = await restore('x', preview, prefer);
    const { name } = (await db.projects.get(own.id))!;
    expect(await lastRestore()).toMatchObject({ id: done.id, name: 'x' });
    expect(await takeBackRestore(done)).toBe(0);
    expect((await db.projects.get(own.id))!.name).toBe(laterHere ? 'Comet cards, new' : 'Comet cards, old');
    expect(await lastRestore()).toBeNull();
    return name;
  };
  test('is taken from where it was changed last, unless the person prefers a side', async () => {
    expect(await merged('later', true)).toBe('Comet cards, new');
    expect(await merged('later', false)).toBe('Comet cards, new');
    expect(await merged('here', false)).toBe('Comet cards, old');
    expect(await merged('backup', true)).toBe('Comet cards, old');
  });
});

test('taken back, what it brought goes, and what was changed since stays and is counted', async () => {
  await fill();
  const backup = await throughAFile();
  await Promise.all(db.tables.map((table) => table.clear()));
  const done = await restore('all', await previewRestore(backup), 'later');
  const restored = (await db.projects.toArray()).find(({ name }) => name === 'Comet cards')!;
  await new Promise((wake) => setTimeout(wake, 3));
  keepProject(restored.id, restored, { ...restored, name: 'Comet cards in blue' });
  expect(await takeBackRestore(done)).toBe(1);
  expect((await db.projects.toArray()).map(({ name }) => name)).toEqual(['Comet cards in blue']);
  expect(await db.papers.count()).toBe(0);
});

test('tables this version does not know are named, and nothing comes of them', async () => {
  await fill();
  const backup = await throughAFile();
  const more = { ...backup, tables: { ...backup.tables, recipes: [{ id: 'a' }, { id: 'b' }], aside: [] } } as never;
  const preview = await previewRestore(more);
  expect(preview.unknown).toEqual([{ table: 'recipes', count: 2 }]);
  expect((await previewRestore(backup)).unknown).toEqual([]);
});

test('a record in it that cannot be read is set aside, named; the others come', async () => {
  await fill();
  const backup = await throughAFile();
  const [paper] = backup.tables.papers as unknown as [PaperRecord];
  const aside = [
    { id: 'x', table: 'nowhere', why: 'w', at: 1 },
    { id: 'y' },
    { id: 'z', table: 'log', why: 'w', at: 1 },
  ];
  const damaged = {
    ...backup,
    tables: { ...backup.tables, aside, papers: [{ ...paper, width: 'wide' }, { id: 7 }] },
  } as never;
  await db.papers.clear();
  const preview = await previewRestore(damaged);
  expect(preview.unreadable.map(({ table, why }) => [table, why.length > 3])).toEqual([
    ['papers', true],
    ['papers', true],
  ]);
  await restore('damaged', preview, 'later');
  expect(await db.papers.count()).toBe(0);
  expect(
    (await db.aside.toArray()).map(({ table, record }) => [table, (record as { width?: unknown } | undefined)?.width]),
  ).toEqual(
    expect.arrayContaining([
      ['papers', 'wide'],
      ['log', undefined],
    ]),
  );
  // What had been set aside before is taken over where it is what it says.
  expect(await db.aside.count()).toBe(3);
});

test('it is restored whole or not at all', async () => {
  await fill();
  const preview = await previewRestore(await throughAFile());
  await Promise.all(db.tables.map((table) => table.clear()));
  const added = await previewRestore({ ...(await wholeBackup()), tables: {}, photos: new Map() });
  const last = { table: 'papers', id: 'x', theirs: { noId: true }, ours: null, later: 'backup' } as const;
  await expect(
    restore('broken', { ...added, added: [...preview.added, ...preview.differing, last] }, 'later'),
  ).rejects.toThrow();
  expect(await Promise.all(KEPT_TABLES.map((table) => db.table(table).count()))).toEqual(KEPT_TABLES.map(() => 0));
  expect(await lastRestore()).toBeNull();
});

test('how much is kept is counted by kind; where the browser does not tell more, nothing is made up', async () => {
  await fill();
  const { counts, bytes, persisted } = await whatIsKept();
  expect(counts).toMatchObject({ projects: DEMO_SHELF.length + 1, photos: 1 });
  expect([bytes, persisted]).toEqual([null, null]);
});
