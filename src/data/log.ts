import type { LogEntry } from '@/core/files';
import { contentsKind, type ContentsKind } from '@/core/fit';
import type { Graduation, Units } from '@/core/length';
import { db, type LogRecord, type MakeRecord } from './db';
import { isExample } from './examples';
import { keep } from './keep';
import { newId } from './newId';

interface From {
  readonly units: Units;
  readonly makeId?: string;
  readonly projectId?: string;
  readonly part?: string;
}

const recordOf = (entry: LogEntry, from: From, at: number): LogRecord => ({
  ...entry,
  id: newId(),
  units: from.units,
  makeId: from.makeId ?? '',
  projectId: from.projectId ?? '',
  part: from.part ?? '',
  addedAt: at,
  deletedAt: 0,
});

/** What is remembered of a part of a make. */
export interface Remembered {
  /** The id of the part. */
  readonly part: string;
  readonly entry: LogEntry;
  readonly photo: Blob | null | undefined;
}

/**
 * Ends a make and, where a part of it is to be remembered, writes its entry and photo into the log: all of it or nothing.
 * What was written of that part already gives the entry there is: pressed twice is written once. Gives the entry’s id,
 * empty for none. `last` false leaves the make on the table: another of its parts is to be written down as well.
 */
export const endMake = (make: MakeRecord, remembered: Remembered | null, last = true): Promise<string> =>
  db.transaction('rw', [db.makes, db.log, db.photos], async () => {
    const now = Date.now();
    if (last) await db.makes.update(make.id, { endedAt: now, updatedAt: now, finished: true });
    if (!remembered) return '';
    const { part, entry, photo } = remembered;
    const written = writtenOf(make, await db.log.toArray()).find((one) => one.part === part);
    if (written) return written.id;
    const record = recordOf(entry, { units: make.units, makeId: make.id, projectId: make.projectId, part }, now);
    await db.log.add(record);
    if (photo) await db.photos.put({ id: record.id, image: photo });
    return record.id;
  });

/** What is in the log of a make. */
export const writtenOf = (make: Pick<MakeRecord, 'id'>, log: readonly LogRecord[]): LogRecord[] =>
  log.filter(({ makeId, deletedAt }) => makeId === make.id && deletedAt === 0);

/** Writes an entry into the log and gives back its id. */
export const addLog = (entry: LogEntry, from: From): Promise<string> => db.log.add(recordOf(entry, from, Date.now()));

/** Entries written at once, so that what has come so far can be told. */
const AT_ONCE = 1000;

/** Writes many entries, all of them or none; `told` hears how many are in so far. */
export const addLogs = (
  entries: readonly LogEntry[],
  from: From,
  told: (written: number) => void = () => undefined,
): Promise<void> =>
  db.transaction('rw', db.log, async () => {
    const now = Date.now();
    for (let i = 0; i < entries.length; i += AT_ONCE) {
      // Later lines of a table are older: they stand below, as they did in it.
      await db.log.bulkAdd(entries.slice(i, i + AT_ONCE).map((entry, j) => recordOf(entry, from, now - i - j)));
      told(Math.min(entries.length, i + AT_ONCE));
    }
  });

/** What is in the log, latest day first. */
export const latestFirst = (all: readonly LogRecord[]): LogRecord[] =>
  all.filter(({ deletedAt }) => deletedAt === 0).sort((a, b) => b.day.localeCompare(a.day) || b.addedAt - a.addedAt);

/** Keeps what became of an entry; what changed in it elsewhere meanwhile stays. */
export const keepLog = (id: string, before: LogEntry, after: LogEntry): void => keep('log', id, before, after);
/** Takes an entry out; it can be put back. */
export const dropLog = (id: string): Promise<number> =>
  db.log.update(id, { deletedAt: Date.now(), updatedAt: Date.now() });
export const putBackLog = (id: string): Promise<number> => db.log.update(id, { deletedAt: 0, updatedAt: Date.now() });

/** What fits are told apart by: the kind of holder and of contents. */
export const fitKey = (construction: string, contents: { readonly thickness: number }): string =>
  `${construction}/${contentsKind(contents)}`;
export const fitKeyParts = (key: string): { construction: string; contents: ContentsKind } => {
  const [construction = '', contents] = key.split('/');
  return { construction, contents: contents === 'thick' ? 'thick' : 'flat' };
};

/** Marks that advised room is told on: those of the bench and of the log are one. */
export const FIT_MARKS = { in: '1/16 in', mm: '1 mm' } as const satisfies Record<Units, Graduation>;

/** What tells an entry from another: what was exported once is not read in twice. */
export const entryKey = ({ day, name, construction, note, copies }: LogEntry): string =>
  JSON.stringify([day, name, construction, note, copies]);

export const savePhoto = (id: string, image: Blob): Promise<string> => db.photos.put({ id, image });
export const dropPhoto = (id: string): Promise<void> => db.photos.delete(id);

/** A make that tells how much room was right: one whose room is known. */
export type Evidence = LogRecord & { readonly room: NonNullable<LogEntry['room']> };
export const evidenceIn = (entries: readonly LogRecord[]): Evidence[] =>
  entries.filter((entry): entry is Evidence => entry.room !== null);
/** The person's own makes: examples are never counted among them. */
export const ownMakes = (entries: readonly LogRecord[]): LogRecord[] => entries.filter((entry) => !isExample(entry));
