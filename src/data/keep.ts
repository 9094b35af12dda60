import { liveQuery } from 'dexie';
import { db, type JournalEntry, type KeptTable } from './db';
import { dropNotes, note, notesLeft } from './notes';
import { fieldsIn, patchBetween, patched, same } from './patch';
import { isSound, readRecord } from './records';
import { fromOlder, isOlderChange, withOlderChange } from './older';
import { DataTrouble, troubleOf } from './trouble';
import { newId } from './newId';

/**
 * How a change is kept. It is written into a journal in the very task it is made in: one put with its commit, which
 * needs nothing more of the page, so a page that is closed or killed right after has still kept it; and noted beside
 * the database until the journal says it has it. Then it is laid over its record as a patch, so that two windows never
 * overwrite each other. A page that did not come so far is helped by the next one that opens.
 *
 * Screens see a record with this page's own changes on it at once; the database follows.
 */

/** Names this open page among others that may hold the same records. */
export const THIS_PAGE = typeof crypto === 'undefined' ? 'server' : newId();

/** A change that failed is tried again after this long, ms. */
const AGAIN = 2000;
/** Changes that follow each other within this time are laid together, ms: a drag makes many. */
const TOGETHER = 250;
/** Laid changes are remembered this long, ms: a reading that began before them may still come. */
const REMEMBERED = 20_000;

export const keyOf = (table: KeptTable): 'id' | 'key' => (table === 'settings' ? 'key' : 'id');

/** This page's changes, in order: those not laid yet, and the last ones that are. */
let changes: JournalEntry[] = [];
let made = 0;
/** The last change that could not be noted and that the journal has not yet: no later one is noted before it. */
let unnoted = 0;
let laidUpTo = 0;
let laying: Promise<void> | null = null;
let again: ReturnType<typeof setTimeout> | null = null;
let soon: ReturnType<typeof setTimeout> | null = null;
let laidAt = -Infinity;
let trouble: DataTrouble | null = null;
const listeners = new Set<() => void>();
const tell = (): void => listeners.forEach((listener) => listener());

/** Calls back whenever this page makes a change, or its trouble with keeping changes. Gives what ends that. */
export function onChanges(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Why the last changes are not kept; null while they are. */
export const keepingTrouble = (): DataTrouble | null => trouble;

function setTrouble(next: DataTrouble | null): void {
  if (trouble?.kind === next?.kind) return;
  trouble = next;
  tell();
}

/** One put or removal of journal entries, and its commit, in one task. */
function journalNow(work: (store: IDBObjectStore) => void): Promise<void> {
  return new Promise((done, failed) => {
    const write = db.backendDB().transaction('journal', 'readwrite');
    write.oncomplete = () => done();
    write.onabort = () => failed(write.error ?? new DataTrouble('full'));
    work(write.objectStore('journal'));
    write.commit();
  });
}

async function writeDown(entry: JournalEntry): Promise<void> {
  if (!db.isOpen()) await db.journal.put(entry);
  else await journalNow((store) => store.put(entry));
}

/**
 * Keeps what became of a record. `before` is what the person saw, `after` what they made of it; only the difference is
 * kept. `fresh` is the record to begin with where there may be none yet.
 */
export function keep(table: KeptTable, id: string, before: object, after: object, fresh: object | null = null): void {
  const patch = patchBetween(before, after);
  if (patch.length === 0) return;
  const now = Date.now();
  const whole = Object.fromEntries(
    [...fieldsIn(patch)].map((field) => [field, (after as Record<string, unknown>)[field]]),
  );
  const entry: JournalEntry = { page: THIS_PAGE, seq: ++made, table, id, patch, whole, fresh, at: now };
  changes = [...changes.filter(({ seq, at }) => seq > laidUpTo || at > now - REMEMBERED), entry];
  tell();
  // What cannot be written down may still be laid: that says itself when it fails as well.
  // What is noted may be laid by another page, and what came before it then counts as laid.
  if (unnoted > 0 || !note(entry)) unnoted = entry.seq;
  writeDown(entry).then(
    () => {
      if (unnoted <= entry.seq) unnoted = 0;
      dropNotes([entry]);
    },
    () => undefined,
  );
  laySoon();
}

/** Lays at once what comes after a pause; what follows close on it together, a little later. It is in the journal. */
function laySoon(): void {
  soon ??= setTimeout(
    () => {
      // Spent: where a laying is under way its end asks for the next one, and must be able to.
      soon = null;
      void layAll();
    },
    Math.max(0, laidAt + TOGETHER - performance.now()),
  );
}

/** Lays this page's changes until none waits. */
function layAll(): Promise<void> {
  laying ??= layWaiting().finally(() => {
    laying = null;
    if (changes.some(({ seq }) => seq > laidUpTo) && !again) laySoon();
  });
  return laying;
}

async function layWaiting(): Promise<void> {
  if (again) clearTimeout(again);
  if (soon) clearTimeout(soon);
  again = soon = null;
  laidAt = performance.now();
  const waiting = changes.filter(({ seq }) => seq > laidUpTo);
  const last = waiting.at(-1);
  if (!last) return;
  try {
    const gone = await lay(THIS_PAGE, waiting);
    laidUpTo = last.seq;
    dropNotes(waiting);
    setTrouble(gone ? new DataTrouble('gone') : null);
    // What stays in the journal is passed over and swept when the data is opened again.
    journalNow((store) => store.delete(IDBKeyRange.bound([THIS_PAGE, 0], [THIS_PAGE, last.seq]))).catch(
      () => undefined,
    );
  } catch (error) {
    setTrouble(troubleOf(error));
    again ??= setTimeout(() => void layAll(), AGAIN);
  }
}

/** Everything this page changed is in its records. Fails with the trouble when it cannot be. */
export async function allKept(): Promise<void> {
  while (changes.some(({ seq }) => seq > laidUpTo)) {
    await layAll();
    if (trouble && trouble.kind !== 'gone') throw trouble;
  }
}

/**
 * Lays a page's changes over their records, each once, whoever does it. Gives whether a record of them is not there
 * any more.
 */
async function lay(page: string, entries: readonly JournalEntry[]): Promise<boolean> {
  const tables = [...new Set(entries.map(({ table }) => table))];
  return db.transaction('rw', [...tables.map((table) => db.table(table)), db.applied, db.aside], async () => {
    const upTo = (await db.applied.get(page))?.seq ?? 0;
    const open = entries.filter(({ seq }) => seq > upTo);
    let gone = false;
    for (const entry of open) if (!(await layOne(entry))) gone = true;
    if (open.length > 0) await db.applied.put({ page, seq: open.at(-1)!.seq, at: Date.now() });
    return gone;
  });
}

async function layOne({ table, id, patch, whole, fresh, at }: JournalEntry): Promise<boolean> {
  const store = db.table<object, string>(table);
  const kept = await store.get(id);
  if (kept && isOlderChange({ table, patch })) {
    const laid = withOlderChange(kept, patch);
    if (laid)
      await store.put({ ...laid, updatedAt: Math.max(at, Number((laid as { updatedAt?: number }).updatedAt ?? 0)) });
    else
      await db.aside.put({
        id: `${table}/${id}/${at}`,
        table,
        record: { ...kept, ...whole },
        why: 'It was changed in a window of an older version of the app, and is another thing by now.',
        at,
      });
    return true;
  }
  if (kept === undefined && !fresh) return false;
  const read = kept === undefined ? null : readRecord(table, kept);
  if (read && !read.ok) {
    // It is not written over: whoever wants it finds it as it was.
    await db.aside.put({ id: `${table}/${id}/${at}`, table, record: kept, why: read.why, at });
    if (!fresh) return false;
  }
  const base = read?.ok ? read.record : { ...fresh };
  const stamped = (record: object): object => ({
    ...record,
    [keyOf(table)]: id,
    ...(table === 'settings'
      ? {}
      : { updatedAt: Math.max(at, Number((base as { updatedAt?: number }).updatedAt ?? 0)) }),
  });
  const merged = patched(base, patch);
  await store.put(
    stamped(isSound(table, stamped(merged)) || !isSound(table, stamped(base)) ? merged : { ...base, ...whole }),
  );
  return true;
}

/**
 * Lays what pages before this one wrote down and did not come to lay. Called when the data is opened, before anything
 * is read.
 */
export async function layLeftOver(): Promise<void> {
  const written = (await db.journal.toArray()).filter(({ page }) => page !== THIS_PAGE);
  const noted = notesLeft(THIS_PAGE).filter((one) => !written.some((w) => w.page === one.page && w.seq === one.seq));
  const left = [...written, ...noted];
  for (const page of new Set(left.map((entry) => entry.page))) {
    const entries = left.filter((entry) => entry.page === page).sort((a, b) => a.seq - b.seq);
    await lay(page, entries);
    await db.journal
      .where(':id')
      .between([page, 0], [page, entries.at(-1)!.seq], true, true)
      .delete();
    dropNotes(entries);
  }
  const old = Date.now() - 24 * 3600_000;
  const writing = new Set(left.map(({ page }) => page));
  await db.applied.filter(({ page, at }) => at < old && !writing.has(page)).delete();
}

/** Writes records of an older version as this one has them: once what older pages left behind is laid over them. */
export async function writeOlderAnew(): Promise<void> {
  for (const table of ['projects', 'makes'] as const)
    await db.transaction('rw', db.table(table), async () => {
      const store = db.table<object, string>(table);
      const older = (await store.toArray()).filter((record) => !('set' in record) && readRecord(table, record).ok);
      await store.bulkPut(older.map((record) => fromOlder(table, record) as object));
    });
}

/** What a page sees of a record: as it is kept, with the page's own changes on it; null where there is none. */
type Seen<T> = T | null;

/** A record that could not be read, as it is. */
export interface Damaged {
  readonly table: KeptTable;
  readonly id: string;
  readonly raw: unknown;
  readonly why: string;
}

const ownChanges = (table: KeptTable, id: string, upTo: number): readonly JournalEntry[] =>
  changes.filter((entry) => entry.table === table && entry.id === id && entry.seq > upTo);

/** What is changed is the last that was, at once: in a list it moves with the change and not a moment later, from under a finger. */
const changedAt = (record: object, at: number): object =>
  'updatedAt' in record ? { ...record, updatedAt: Math.max(at, Number(record.updatedAt)) } : record;

const withChanges = (record: object | null, own: readonly JournalEntry[]): object | null =>
  own.reduce<object | null>((now, { patch, fresh, at }) => {
    const base = now ?? fresh;
    return base && changedAt(patched(base, patch), at);
  }, record);

/** Records that are followed, as the page sees them now. */
const followed = new Map<string, Set<() => object | null>>();

/** A record that a screen follows, as it is seen this moment: what a change is made of. Null where there is none. */
export function seenNow(table: KeptTable, id: string): object | null {
  for (const now of followed.get(`${table}/${id}`) ?? []) {
    const record = now();
    if (record) return record;
  }
  return null;
}

/** Ends a following. */
export type Unfollow = () => void;

/**
 * Follows one record: calls back with it as it stands now, and whenever it changes, here or in another window.
 * `damaged` is called where it is there and cannot be read.
 */
export function followRecord<T extends object>(
  table: KeptTable,
  id: string,
  seen: (record: Seen<T>, damaged: Damaged | null) => void,
  failed: (trouble: DataTrouble) => void,
): Unfollow {
  let kept: { record: object | null; damaged: Damaged | null; upTo: number } | null = null;
  const now = (): object | null => kept && withChanges(kept.record, ownChanges(table, id, kept.upTo));
  const show = (): void => {
    if (kept) seen(now() as Seen<T>, kept.damaged);
  };
  const here = followed.get(`${table}/${id}`) ?? new Set();
  followed.set(`${table}/${id}`, here.add(now));
  const live = liveQuery(async () => {
    const upTo = laidUpTo;
    return { raw: (await db.table<object, string>(table).get(id)) as unknown, upTo };
  }).subscribe({
    next: ({ raw, upTo }) => {
      const read = raw === undefined ? null : readRecord(table, raw);
      kept = {
        record: read?.ok ? read.record : null,
        damaged: read && !read.ok ? { table, id, raw, why: read.why } : null,
        upTo,
      };
      show();
    },
    error: (error: unknown) => failed(troubleOf(error)),
  });
  const stop = onChanges(show);
  return () => {
    live.unsubscribe();
    stop();
    here.delete(now);
  };
}

/** Records of a table that can be read, and those that cannot. */
export interface Records<T> {
  readonly records: readonly T[];
  readonly damaged: readonly Damaged[];
  /** There are more, not read yet: these are the ones changed last. */
  readonly more?: boolean;
}

/** Reading holds up nobody longer than this, ms. */
const AT_ONCE = 10;
const pause = (): Promise<void> => new Promise((goOn) => setTimeout(goOn));

type Raw = Readonly<Record<string, unknown>>;
type ReadRecord<T> = { readonly raw: Raw; readonly record: T } | Damaged;
/** Reads the records of a table; one that is as it was is not read again, and stays the same thing. */
class Reader<T extends object> {
  private readonly known = new Map<string, ReadRecord<T>>();
  constructor(private readonly table: KeptTable) {}

  /** Null where reading was given up on the way: `goesOn` is asked whenever others had their turn. */
  async read(raws: readonly Raw[], goesOn: () => boolean = () => true): Promise<Records<T> | null> {
    const { table, known } = this;
    // What was read is known from then on, also where reading is given up on the way.
    const now = new Map<string, ReadRecord<T>>();
    let begun = performance.now();
    for (const raw of raws) {
      const id = String(raw[keyOf(table)]);
      const before = known.get(id);
      const one = before && same(before.raw, raw) ? before : this.one(id, raw);
      known.set(id, one);
      now.set(id, one);
      if (performance.now() - begun < AT_ONCE) continue;
      await pause();
      if (!goesOn()) return null;
      begun = performance.now();
    }
    return {
      records: [...now.values()].flatMap((one) => ('record' in one ? [one.record] : [])),
      damaged: [...now.values()].flatMap((one) => ('record' in one ? [] : [one])),
    };
  }

  private one(id: string, raw: Raw): ReadRecord<T> {
    const read = readRecord(this.table, raw);
    return read.ok ? { raw, record: read.record as T } : { table: this.table, id, raw, why: read.why };
  }
}

/** All records of a table as they stand in the database; damaged ones apart. */
export const readAll = async <T extends object>(table: KeptTable): Promise<Records<T>> =>
  (await new Reader<T>(table).read(await db.table<Raw, string>(table).toArray()))!;

/** Of a table with more than these the ones changed last are shown before the others are read. */
const FIRST = 48;
/** The others are asked for this much later, ms: by then the first are painted. */
const LATER = 300;
/** Tables that know the order in which they were changed. */
export type OrderedTable = 'projects';

/**
 * Follows all records of a table, with the page's own changes on them. Where that is asked (`lastFirst`), of a long table the
 * ones changed last come first, and the rest a moment later: only for who can do with some, and is told that there are more.
 */
export function followAll<T extends object>(
  table: KeptTable,
  seen: (all: Records<T>) => void,
  failed: (trouble: DataTrouble) => void,
  lastFirst = false,
): Unfollow {
  const reader = new Reader<T>(table);
  const key = keyOf(table);
  let kept: (Records<T> & { readonly upTo: number }) | null = null;
  let turn = 0;
  let gone = false;
  let stopLive = (): void => undefined;
  const show = (): void => {
    if (!kept) return;
    const { records, damaged, more, upTo } = kept;
    const own = changes.filter((entry) => entry.table === table && entry.seq > upTo);
    const whole = (all: readonly T[]): Records<T> => ({ records: all, damaged, ...(more && { more }) });
    if (own.length === 0) return seen(whole(records));
    seen(
      whole(
        records.map((record) => {
          const id = String((record as Record<string, unknown>)[key]);
          const mine = own.filter((entry) => entry.id === id);
          return mine.length > 0 ? (withChanges(record, mine) as T) : record;
        }),
      ),
    );
  };
  const take = async (raws: readonly Raw[], upTo: number, more: boolean): Promise<void> => {
    const mine = ++turn;
    const all = await reader.read(raws, () => mine === turn && !gone);
    if (!all || mine !== turn || gone) return;
    kept = { ...all, more, upTo };
    show();
  };
  const follow = (): void => {
    const live = liveQuery(async () => {
      const upTo = laidUpTo;
      return { raws: await db.table<Raw, string>(table).toArray(), upTo };
    }).subscribe({
      next: ({ raws, upTo }) => void take(raws, upTo, false).catch((error: unknown) => failed(troubleOf(error))),
      error: (error: unknown) => failed(troubleOf(error)),
    });
    stopLive = () => live.unsubscribe();
  };
  const begin = async (): Promise<void> => {
    const upTo = laidUpTo;
    const last = lastFirst
      ? await db.table<Raw, string>(table).orderBy('updatedAt').reverse().limit(FIRST).toArray()
      : [];
    if (gone) return;
    if (last.length < FIRST) return follow();
    await take(last, upTo, true);
    if (gone) return;
    const wait = setTimeout(follow, LATER);
    stopLive = () => clearTimeout(wait);
  };
  begin().catch((error: unknown) => failed(troubleOf(error)));
  const stop = onChanges(() => changes.some((entry) => entry.table === table) && show());
  return () => {
    gone = true;
    stopLive();
    stop();
  };
}

/** Tells of trouble that a screen met while it read. */
export const reportTrouble = (met: DataTrouble): void => setTrouble(met);
