import { z } from '@/core/text/zod';
import type { JournalEntry } from './db';
import { same } from './patch';

/**
 * A change is noted beside the database until its journal has it. A database on a busy machine may take a while to
 * take in even what was committed to it, and a page that goes before that takes its last changes with it; this store
 * has them when the call returns. It holds text alone and little of it, so what is large or no plain data (a photo) is
 * left to the journal.
 */

const PREFIX = 'tuck-fold-change-';
/** A longer note is left to the journal, characters. */
const LONGEST = 50_000;

const nameOf = (page: string, seq: number): string => `${PREFIX}${page}-${seq}`;

/** The store, where the browser lets the page have one. */
function storeHere(): Storage | null {
  try {
    return typeof window === 'undefined' ? null : window.localStorage;
  } catch {
    return null;
  }
}

const entryShape = z.object({
  page: z.string(),
  seq: z.number(),
  table: z.string(),
  id: z.string(),
  patch: z.array(z.object({ at: z.array(z.unknown()) }).loose()),
  whole: z.record(z.string(), z.unknown()),
  fresh: z.record(z.string(), z.unknown()).nullable(),
  at: z.number(),
});

function read(text: string | null): JournalEntry | null {
  try {
    const entry = entryShape.safeParse(JSON.parse(text ?? ''));
    return entry.success ? (entry.data as unknown as JournalEntry) : null;
  } catch {
    return null;
  }
}

/** Notes a change; whether it could: nothing is noted that would not read the same again. */
export function note(entry: JournalEntry): boolean {
  const store = storeHere();
  try {
    const text = JSON.stringify(entry);
    if (!store || text.length > LONGEST || !same(read(text), entry)) return false;
    store.setItem(nameOf(entry.page, entry.seq), text);
    return true;
  } catch {
    // A store that is full or forbidden: the journal has the change alone.
    return false;
  }
}

/** What pages other than this one noted and did not come to take off; a note that cannot be read is dropped. */
export function notesLeft(thisPage: string): readonly JournalEntry[] {
  const store = storeHere();
  return Object.keys(store ?? {})
    .filter((name) => name.startsWith(PREFIX))
    .flatMap((name) => {
      const entry = read(store!.getItem(name));
      if (!entry) store!.removeItem(name);
      return entry && entry.page !== thisPage ? [entry] : [];
    });
}

/** Takes off the notes of changes that are laid. */
export function dropNotes(entries: readonly JournalEntry[]): void {
  const store = storeHere();
  for (const { page, seq } of entries) store?.removeItem(nameOf(page, seq));
}
