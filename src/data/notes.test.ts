import type { JournalEntry } from './db';
import { dropNotes, note, notesLeft } from './notes';

/** A store of text as a browser has it. */
class TextStore {
  setItem(name: string, text: string): void {
    Object.assign(this, { [name]: text });
  }
  getItem(name: string): string | null {
    return (this as unknown as Record<string, string>)[name] ?? null;
  }
  removeItem(name: string): void {
    delete (this as unknown as Record<string, string>)[name];
  }
}

const ENTRY: JournalEntry = {
  page: 'gone',
  seq: 3,
  table: 'makes',
  id: 'm1',
  patch: [{ at: ['done'], set: 20 }],
  whole: { done: 20 },
  fresh: null,
  at: 2000,
};

const here = globalThis as { window?: unknown };
let store: TextStore;
beforeEach(() => {
  store = new TextStore();
  here.window = { localStorage: store };
});
afterEach(() => void delete here.window);

test('a change that is noted is left for the next page as it was, until its note is taken off', () => {
  expect(note(ENTRY)).toBe(true);
  expect(notesLeft('this')).toEqual([ENTRY]);
  expect(notesLeft('gone')).toEqual([]);
  dropNotes([ENTRY]);
  expect(notesLeft('this')).toEqual([]);
});

test('what would not read the same again, or is large, is left to the journal', () => {
  const photo = { ...ENTRY, whole: { image: new Blob(['x']) } };
  expect(note(photo)).toBe(false);
  expect(note({ ...ENTRY, whole: { done: Number.POSITIVE_INFINITY } })).toBe(false);
  expect(note({ ...ENTRY, whole: { name: 'x'.repeat(60_000) } })).toBe(false);
  expect(notesLeft('this')).toEqual([]);
});

test('a note that cannot be read is dropped, what else is in the store is left alone', () => {
  note(ENTRY);
  store.setItem('tuck-fold-change-gone-4', '{"page":"gone"');
  store.setItem('tuck-fold-change-gone-5', '{"page":"gone"}');
  store.setItem('other', 'kept');
  expect(notesLeft('this')).toEqual([ENTRY]);
  expect(Object.keys(store)).toEqual(['tuck-fold-change-gone-3', 'other']);
});

test('without a store, or with one that is full, nothing is noted and nothing fails', () => {
  store.setItem = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
  expect(note(ENTRY)).toBe(false);
  here.window = {
    get localStorage() {
      throw new DOMException('forbidden', 'SecurityError');
    },
  };
  expect(note(ENTRY)).toBe(false);
  expect(notesLeft('this')).toEqual([]);
});
