import { buf as crc32 } from 'crc-32';
import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { z } from '../text/zod';
import { quoted } from '../text';

/**
 * Everything a person keeps, as one file: a zip with `backup.json` (what it is, when it was written, what is in it), a
 * JSON list for each kind of record under `data/`, and the photos under `photos/`. The same data gives the same bytes,
 * but for `backup.json`, which tells the time.
 */

/** A record as it is kept. */
export type BackupRecord = Readonly<Record<string, unknown>>;

export interface Backup {
  /** Milliseconds since 1970. */
  readonly writtenAt: number;
  /** Version of the data: of the app that wrote it. */
  readonly dataVersion: number;
  /** Records by their table; lists in no order that means anything. */
  readonly tables: Readonly<Record<string, readonly BackupRecord[]>>;
  /** Pictures by the id of what they belong to. */
  readonly photos: ReadonlyMap<string, Uint8Array>;
}

/** Largest backup worth reading, and the most that may come out of it, bytes: some two thousand photos. */
export const LARGEST_BACKUP = 600_000_000;
const LARGEST_TABLE = 200_000_000;
/** What is kept packs to a twentieth or so; what swells more than this, and is not small, was never kept, bytes. */
const SWELLING = 200;
const SMALL = 2_000_000;
/** Most files in one, and most records in all of its tables. */
const MOST_FILES = 20_000;
export const MOST_RECORDS = 50_000;
/** A record holds things in things; none so deep. What reads it goes down with it, and would not come up again. */
const DEEPEST = 60;
const WHAT = 'backup.json';
const TABLE = /^data\/([a-z-]{1,40})\.json$/;
/** An id may be any text: what a path could mistake is written as its number. */
const PHOTO = /^photos\/([\w%.~!*'()-]{1,600})\.jpg$/;

const whatSchema = z.strictObject({
  format: z.literal('tuck-fold-backup', { error: 'It says it is something else.' }),
  version: z.literal(1, { error: 'It was written by another version of Tuck Fold; this one reads version 1.' }),
  dataVersion: z.int().min(1),
  writtenAt: z.number().min(0),
  files: z.array(z.strictObject({ name: z.string().max(260), bytes: z.int().min(0), crc32: z.int() })).max(MOST_FILES),
  /** Check sum of all the above. */
  crc32: z.int(),
});
type What = z.output<typeof whatSchema>;

/** The check sum of what a backup says of itself. */
const sumOf = ({ format, version, dataVersion, writtenAt, files }: Omit<What, 'crc32'>): number =>
  crc32(strToU8(JSON.stringify({ format, version, dataVersion, writtenAt, files })));

/** A value with the fields of its records in the order of their names: the same data is the same text. */
function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, inside]) => [key, ordered(inside)]),
  );
}

/** Zip knows no earlier day than this; every entry has it, so that the same data gives the same bytes. */
const DAY = '1980-01-01T12:00:00';

/** Writes a backup. */
export function writeBackup({ writtenAt, dataVersion, tables, photos }: Backup): Uint8Array {
  const lines = (records: readonly BackupRecord[]): Uint8Array =>
    strToU8(
      `[\n${records
        .map((record) => JSON.stringify(ordered(record)))
        .sort()
        .join(',\n')}\n]\n`,
    );
  const files: [name: string, bytes: Uint8Array, packed: boolean][] = [
    ...Object.entries(tables)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([table, records]): [string, Uint8Array, boolean] => [`data/${table}.json`, lines(records), true]),
    ...[...photos]
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([id, image]): [string, Uint8Array, boolean] => [`photos/${encodeURIComponent(id)}.jpg`, image, false]),
  ];
  const said = {
    format: 'tuck-fold-backup' as const,
    version: 1 as const,
    dataVersion,
    writtenAt,
    files: files.map(([name, bytes]) => ({ name, bytes: bytes.length, crc32: crc32(bytes) })),
  };
  const what: What = { ...said, crc32: sumOf(said) };
  const zip: Zippable = { [WHAT]: [strToU8(`${JSON.stringify(what, null, 1)}\n`), { mtime: DAY }] };
  for (const [name, bytes, packed] of files) zip[name] = [bytes, { mtime: DAY, level: packed ? 6 : 0 }];
  return zipSync(zip);
}

export type ReadBackup =
  | { readonly ok: true; readonly backup: Backup }
  | { readonly ok: false; readonly message: string };

const refuse = (message: string): ReadBackup => ({ ok: false, message });
const DAMAGED = 'The file is damaged, so nothing was taken from it. Take another copy of the backup, or an older one.';
const FOREIGN = 'This is not a backup of Tuck Fold. Choose a file that “Save a backup” wrote.';

/** Reads a backup: all of it or nothing, with a sentence. */
export function readBackup(bytes: Uint8Array): ReadBackup {
  if (bytes.length > LARGEST_BACKUP)
    return refuse(`The file has ${bytes.length} bytes; a backup has at most ${LARGEST_BACKUP}.`);
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) return refuse(FOREIGN);
  let files: Record<string, Uint8Array>;
  try {
    files = unpacked(bytes);
  } catch (error) {
    return refuse(error instanceof TooLarge ? error.message : DAMAGED);
  }
  const own = files[WHAT];
  if (!own) return refuse(FOREIGN);
  const what = whatSchema.safeParse(parsed(own));
  if (!what.success) {
    const [{ path, message }] = what.error.issues as [z.core.$ZodIssue];
    return refuse(path[0] === 'format' || path[0] === 'version' ? `${FOREIGN} ${message}` : DAMAGED);
  }
  if (sumOf(what.data) !== what.data.crc32) return refuse(DAMAGED);
  const { writtenAt, dataVersion, files: listed } = what.data;
  const names = Object.keys(files).filter((name) => name !== WHAT);
  if (names.length !== listed.length) return refuse(DAMAGED);
  const tables: Record<string, readonly BackupRecord[]> = {};
  const photos = new Map<string, Uint8Array>();
  let all = 0;
  for (const { name, bytes: length, crc32: sum } of listed) {
    const file = Object.hasOwn(files, name) ? files[name] : undefined;
    if (!file || file.length !== length || crc32(file) !== sum) return refuse(DAMAGED);
    const photo = PHOTO.exec(name);
    const table = TABLE.exec(name);
    if (photo) photos.set(idIn(photo[1]!), file);
    else if (table) {
      if (!isShallow(file))
        return refuse(`What is in ${quoted(name)} lies deeper in itself than anything that was ever kept.`);
      const records = parsed(file);
      if (!Array.isArray(records) || !records.every(isRecord)) return refuse(DAMAGED);
      all += records.length;
      if (all > MOST_RECORDS)
        return refuse(`There are more than ${MOST_RECORDS} things in it, and nobody keeps so many.`);
      tables[table[1]!] = records;
    } else return refuse(`There is something in it that no backup has: ${quoted(name)}.`);
  }
  return { ok: true, backup: { writtenAt, dataVersion, tables, photos } };
}

/** The id a photo's name stands for; the name itself where it stands for none. */
function idIn(name: string): string {
  try {
    return decodeURIComponent(name);
  } catch {
    return name;
  }
}

const isRecord = (value: unknown): value is BackupRecord =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

class TooLarge extends Error {}

/** The files of a zip. What they say of their size is held to before any is unpacked, and while it is. */
function unpacked(bytes: Uint8Array): Record<string, Uint8Array> {
  let all = 0;
  let count = 0;
  return unzipSync(bytes, {
    filter: ({ name, size, originalSize }) => {
      all += originalSize;
      count += 1;
      if (count > MOST_FILES + 1) throw new TooLarge(`There are more than ${MOST_FILES} files in it.`);
      const swells = originalSize > SMALL && originalSize > SWELLING * size;
      if (swells || all > LARGEST_BACKUP || (!PHOTO.test(name) && originalSize > LARGEST_TABLE))
        throw new TooLarge('More would come out of it than any backup holds, so it was not unpacked.');
      return true;
    },
  });
}

/** True when nothing in a JSON text lies deeper than a record may, looked at before it is read. */
function isShallow(bytes: Uint8Array): boolean {
  const [QUOTE, ESCAPE, OPEN, CLOSE, BEGIN, END] = [...'"\\[]{}'].map((letter) => letter.charCodeAt(0));
  let depth = 0;
  let inText = false;
  for (let i = 0; i < bytes.length; i++) {
    const byte = bytes[i];
    if (inText) {
      if (byte === ESCAPE) i++;
      else if (byte === QUOTE) inText = false;
    } else if (byte === QUOTE) inText = true;
    else if ((byte === OPEN || byte === BEGIN) && ++depth > DEEPEST) return false;
    else if (byte === CLOSE || byte === END) depth--;
  }
  return true;
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(bytes));
  } catch {
    return undefined;
  }
}
