import type { Backup, BackupRecord } from '@/core/files/backup';
import { DATA_VERSION, db, KEPT_TABLES, type AsideRecord, type KeptTable, type RestoreRecord } from './db';
import { isOpenDraft } from './drafts';
import { isExample } from './examples';
import { allKept, keyOf } from './keep';
import { newId } from './newId';
import { same } from './patch';
import { readRecord } from './records';

/** Everything the person keeps, as a backup takes it along; records that cannot be read as they are. */
export async function wholeBackup(): Promise<Backup> {
  await allKept();
  const tables: Record<string, readonly BackupRecord[]> = {};
  const pictures = await db.transaction('r', [...KEPT_TABLES.map((table) => db.table(table)), db.aside], async () => {
    for (const table of KEPT_TABLES)
      if (table !== 'photos') tables[table] = await db.table<BackupRecord, string>(table).toArray();
    // Drafts in which nothing stands any more are no things of the person's.
    tables.drafts = tables.drafts!.filter((draft) => isOpenDraft(draft as { value: unknown; open?: boolean }));
    tables.aside = (await db.aside.toArray()) as unknown as BackupRecord[];
    return db.photos.toArray();
  });
  const photos = new Map<string, Uint8Array>();
  for (const { id, image } of pictures)
    if (image instanceof Blob) photos.set(id, new Uint8Array(await image.arrayBuffer()));
  return { writtenAt: Date.now(), dataVersion: DATA_VERSION, tables, photos };
}

/** Which of two that differ is kept. */
export type Prefer = 'later' | 'here' | 'backup';

/** What a restore would do with one record. */
interface Fate {
  readonly table: KeptTable;
  readonly id: string;
  /** As the backup has it. */
  readonly theirs: object;
  /** As it is here; null where there is none. */
  readonly ours: object | null;
  /** When each was changed last, ms since 1970; 0 for what was never touched. */
  readonly later: 'here' | 'backup';
}

/** What a backup would bring here. */
export interface RestorePreview {
  readonly added: readonly Fate[];
  readonly differing: readonly Fate[];
  readonly equal: number;
  /** Of these, examples that nobody touched, here or there: they come as they are in the backup, and are no news. */
  readonly untouched: readonly Fate[];
  /** Records in it that cannot be read; they are set aside as they are. */
  readonly unreadable: readonly { readonly table: KeptTable; readonly raw: BackupRecord; readonly why: string }[];
  /** Tables this version does not know, and how much is in them: that is left in the file. */
  readonly unknown: readonly { readonly table: string; readonly count: number }[];
  /** What had been set aside when it was written. */
  readonly aside: readonly AsideRecord[];
}

/** When a record was changed by the person; 0 while it is as it was made. */
const touchedAt = (record: object): number => {
  const { updatedAt = 0, createdAt } = record as { updatedAt?: number; createdAt?: number };
  return updatedAt === createdAt ? 0 : Number(updatedAt) || 0;
};

/**
 * Which of two was changed last. What nobody touched here gives way. A photo and a setting have no time: what is here is
 * what was chosen last.
 */
function laterOf(table: KeptTable, ours: object, theirs: object): 'here' | 'backup' {
  if (table === 'settings' || table === 'photos') return 'here';
  const here = touchedAt(ours);
  return here === 0 || touchedAt(theirs) > here ? 'backup' : 'here';
}

const isKept = (table: string): table is KeptTable => (KEPT_TABLES as readonly string[]).includes(table);

const isAside = (raw: object): boolean => {
  const { id, table, why, at } = raw as Partial<AsideRecord>;
  return [id, table, why].every((one) => typeof one === 'string') && typeof at === 'number' && isKept(table!);
};

/** Looks what a backup would bring, and changes nothing. */
export async function previewRestore({ tables, photos }: Backup): Promise<RestorePreview> {
  await allKept();
  const added: Fate[] = [];
  const differing: Fate[] = [];
  const untouched: Fate[] = [];
  const unreadable: RestorePreview['unreadable'][number][] = [];
  let equal = 0;
  const judge = async (table: KeptTable, theirs: object, ours: object | null): Promise<void> => {
    const id = String((theirs as BackupRecord)[keyOf(table)]);
    if (ours && (await alike(ours, theirs))) equal++;
    // An example that nobody touched differs by nothing but when it came.
    else if (ours && [ours, theirs].every((one) => isExample({ ...one, id }))) {
      equal++;
      untouched.push({ table, id, theirs, ours, later: 'backup' });
    } else {
      (ours ? differing : added).push({
        table,
        id,
        theirs,
        ours,
        later: ours ? laterOf(table, ours, theirs) : 'backup',
      });
    }
  };
  /** Some at a time, so that a large backup stands in nobody’s way while it is looked through. */
  const judgeAll = async (table: KeptTable, records: readonly BackupRecord[]): Promise<void> => {
    for (let i = 0; i < records.length; i += SOME) {
      const some = records.slice(i, i + SOME).filter((raw) => {
        const read = readRecord(table, raw);
        const id = raw[keyOf(table)];
        if (!read.ok || typeof id !== 'string')
          unreadable.push({ table, raw, why: read.ok ? 'It has no id.' : read.why });
        // When the demo was laid out says nothing about what is kept.
        return read.ok && typeof id === 'string' && !(table === 'settings' && id === 'demo-shelf');
      });
      const ours = await db.table<object, string>(table).bulkGet(some.map((raw) => String(raw[keyOf(table)])));
      for (const [at, theirs] of some.entries()) await judge(table, theirs, ours[at] ?? null);
      await new Promise((goOn) => setTimeout(goOn));
    }
  };
  for (const [table, records] of Object.entries(tables))
    if (isKept(table) && table !== 'photos') await judgeAll(table, records);
  for (const [id, image] of photos)
    await judge(
      'photos',
      { id, image: new Blob([image as BlobPart], { type: 'image/jpeg' }) },
      (await db.photos.get(id)) ?? null,
    );
  const unknown = Object.entries(tables).flatMap(([table, { length: count }]) =>
    isKept(table) || table === 'aside' ? [] : [{ table, count }],
  );
  return {
    added,
    differing,
    equal,
    untouched,
    unreadable,
    unknown,
    aside: (tables.aside ?? []).filter(isAside) as readonly object[] as readonly AsideRecord[],
  };
}

/** Records that are looked at in one go. */
const SOME = 200;

/** True when two records say the same, pictures compared by their bytes. */
async function alike(a: object, b: object): Promise<boolean> {
  const [one, other] = [a as { image?: Blob }, b as { image?: Blob }];
  if (!one.image || !other.image) return same(JSON.parse(JSON.stringify(a)), JSON.parse(JSON.stringify(b)));
  if (one.image.size !== other.image.size) return false;
  const [x, y] = await Promise.all([one.image.arrayBuffer(), other.image.arrayBuffer()]);
  const [p, q] = [new Uint8Array(x), new Uint8Array(y)];
  return p.every((byte, i) => byte === q[i]);
}

/**
 * Lays a backup over what is here: what is not here is added, what differs is taken from the side preferred, nothing
 * else is touched. All or nothing; gives what takes it back.
 */
export async function restore(name: string, preview: RestorePreview, prefer: Prefer): Promise<RestoreRecord> {
  const { added, differing, untouched, unreadable, aside } = preview;
  const taken = [
    ...added,
    ...untouched,
    ...differing.filter(({ later }) => (prefer === 'later' ? later === 'backup' : prefer === 'backup')),
  ];
  const at = Date.now();
  const record: RestoreRecord = {
    id: newId(),
    at,
    name,
    before: taken.map(({ table, id, ours }) => ({ table, id, record: ours })),
  };
  await db.transaction('rw', [...KEPT_TABLES.map((table) => db.table(table)), db.aside, db.restores], async () => {
    for (const { table, theirs } of taken) await db.table<object, string>(table).put(theirs);
    for (const { table, raw, why } of unreadable)
      await db.aside.put({ id: `${table}/backup/${newId()}`, table, record: raw, why, at });
    await db.aside.bulkPut([...aside]);
    // Only the last restore can be taken back: what older ones replaced is not kept for ever.
    await db.restores.clear();
    await db.restores.put(record);
  });
  return record;
}

/** The last restore that can be taken back; null when there is none. */
export const lastRestore = async (): Promise<RestoreRecord | null> =>
  (await db.restores.toArray()).sort((a, b) => b.at - a.at)[0] ?? null;

/** Takes a restore back: what it added goes, what it replaced is as it was. Gives how many were changed since and stay. */
export async function takeBackRestore({ id, at, before }: RestoreRecord): Promise<number> {
  await allKept();
  return db.transaction('rw', [...KEPT_TABLES.map((table) => db.table(table)), db.restores], async () => {
    let stayed = 0;
    for (const { table, id: key, record } of before) {
      const store = db.table<object, string>(table);
      const now = await store.get(key);
      if (now && touchedAt(now) > at) stayed++;
      else if (record) await store.put(record);
      else await store.delete(key);
    }
    await db.restores.delete(id);
    return stayed;
  });
}

/** True while nothing but the demo is kept: a first visit, or the browser's data was cleared. */
export async function onlyDemo(): Promise<boolean> {
  const [projects, makes, log, papers, tools] = await Promise.all([
    db.projects.toArray(),
    db.makes.count(),
    db.log.toArray(),
    db.papers.toArray(),
    db.settings.get('toolbox'),
  ]);
  return makes === 0 && !tools && [...projects, ...log, ...papers].every((record) => isExample(record));
}

/** How much is kept, and whether the browser promises to keep it. */
export interface Kept {
  readonly counts: Readonly<Partial<Record<KeptTable, number>>>;
  /** Bytes used, and those there are; null where the browser does not tell. */
  readonly bytes: { readonly used: number; readonly most: number } | null;
  /** True when it is only taken away by hand; null where the browser does not tell. */
  readonly persisted: boolean | null;
}

export async function whatIsKept(): Promise<Kept> {
  const counts = Object.fromEntries(
    await Promise.all(KEPT_TABLES.map(async (table) => [table, await db.table(table).count()] as const)),
  );
  const storage = typeof navigator === 'undefined' ? undefined : navigator.storage;
  const [estimate, persisted] = await Promise.all([
    storage?.estimate?.().catch(() => null) ?? null,
    storage?.persisted?.().catch(() => null) ?? null,
  ]);
  return {
    counts,
    bytes: estimate?.usage === undefined || !estimate.quota ? null : { used: estimate.usage, most: estimate.quota },
    persisted,
  };
}

/** Asks the browser to take what is kept away only by hand; whether it does. */
export const askToPersist = async (): Promise<boolean> =>
  (await navigator.storage?.persist?.().catch(() => false)) ?? false;
