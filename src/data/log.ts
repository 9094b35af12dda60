import type { LogEntry } from '@/core/files';
import { contentsKind, type ContentsKind } from '@/core/fit';
import type { Units } from '@/core/length';
import { db, type LogRecord } from './db';

/** Writes an entry into the log and gives back its id. */
export const addLog = (
  entry: LogEntry,
  from: { readonly units: Units; readonly makeId?: string; readonly projectId?: string },
): Promise<string> =>
  db.log.add({
    ...entry,
    id: crypto.randomUUID(),
    units: from.units,
    makeId: from.makeId ?? '',
    projectId: from.projectId ?? '',
    addedAt: Date.now(),
    deletedAt: 0,
  });

/** Everything in the log, latest day first. */
export async function allLog(): Promise<LogRecord[]> {
  const all = await db.log.toArray();
  return all
    .filter(({ deletedAt }) => deletedAt === 0)
    .sort((a, b) => b.day.localeCompare(a.day) || b.addedAt - a.addedAt);
}

export const changeLog = (id: string, entry: LogEntry): Promise<number> => db.log.update(id, { ...entry });
/** Takes an entry out; it can be put back. */
export const dropLog = (id: string): Promise<number> => db.log.update(id, { deletedAt: Date.now() });
export const putBackLog = (id: string): Promise<number> => db.log.update(id, { deletedAt: 0 });

/** What fits are told apart by: the kind of holder and of contents. */
export const fitKey = (construction: string, contents: { readonly thickness: number }): string =>
  `${construction}/${contentsKind(contents)}`;
export const fitKeyParts = (key: string): { construction: string; contents: ContentsKind } => {
  const [construction = '', contents] = key.split('/');
  return { construction, contents: contents === 'thick' ? 'thick' : 'flat' };
};

/** True when the log has such an entry already: what was exported once is not read in twice. */
export const sameEntry = (a: LogEntry, b: LogEntry): boolean =>
  a.day === b.day &&
  a.name === b.name &&
  a.construction === b.construction &&
  a.note === b.note &&
  a.copies === b.copies;

export const savePhoto = (id: string, image: Blob): Promise<string> => db.photos.put({ id, image });
export const dropPhoto = (id: string): Promise<void> => db.photos.delete(id);
export const loadPhoto = async (id: string): Promise<Blob | null> => (await db.photos.get(id))?.image ?? null;

/** A make that tells how much room was right: one whose room is known. */
export type Evidence = LogRecord & { readonly room: NonNullable<LogEntry['room']> };
export const evidenceIn = (entries: readonly LogRecord[]): Evidence[] =>
  entries.filter((entry): entry is Evidence => entry.room !== null);
