import 'fake-indexeddb/auto';
import { DEMO_SHELF } from './demo';
import { db, type AsideRecord, type JournalEntry, type Project } from './db';
import { forgetDraft, gatherOlderDrafts, isOpenDraft, keepDraft, sweepDrafts, takeUpDraft } from './drafts';
import {
  allKept,
  followAll,
  followRecord,
  keep,
  keepingTrouble,
  layLeftOver,
  onChanges,
  readAll,
  seenNow,
  THIS_PAGE,
  type Damaged,
  type Records,
} from './keep';
import { note } from './notes';
import { patchBetween } from './patch';

const PROJECT: Project = {
  id: 'p1',
  name: 'Star cards',
  units: 'in',
  set: DEMO_SHELF[0]!.set,
  createdAt: 1000,
  updatedAt: 1000,
  deletedAt: 0,
};

beforeEach(async () => {
  await allKept();
  await Promise.all(db.tables.map((table) => table.clear()));
  await db.projects.put(PROJECT);
});

const kept = () => db.projects.get('p1');
/** Waits for what has to come, however slow the machine; what never comes is told by what is missing. */
async function until(holds: () => boolean | Promise<boolean>, what: string): Promise<void> {
  for (const end = Date.now() + 20_000; !(await holds()); await new Promise((wake) => setTimeout(wake, 5)))
    if (Date.now() > end) throw new Error(`never came: ${what}`);
}

/** What another page wrote down before it was killed: changes of a name, one after the other. */
const leftBy = (page: string, names: readonly string[], more: Partial<JournalEntry> = {}): Promise<unknown> =>
  db.journal.bulkPut(
    names.map((name, i): JournalEntry => ({
      page,
      seq: i + 1,
      table: 'projects',
      id: 'p1',
      patch: [{ at: ['name'], set: name }],
      whole: { name },
      fresh: null,
      at: 2000 + i,
      ...more,
    })),
  );

describe('a change', () => {
  test('is seen at once, written into the journal in the same task, and laid over its record', async () => {
    const seen: string[] = [];
    const stop = followRecord<Project>('projects', 'p1', (record) => seen.push(record?.name ?? 'none'), fail);
    await until(() => seen.length > 0, 'the record');
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    expect(seen.at(-1)).toBe('Moon cards');
    expect(seenNow('projects', 'p1')).toMatchObject({ name: 'Moon cards' });
    // The next reading of the journal finds it, though nothing was waited for.
    expect((await db.journal.toArray()).map(({ page, patch }) => [page, patch])).toEqual([
      [THIS_PAGE, [{ at: ['name'], set: 'Moon cards' }]],
    ]);
    await allKept();
    expect(await kept()).toMatchObject({ name: 'Moon cards', units: 'in' });
    expect((await kept())!.updatedAt).toBeGreaterThan(1000);
    await until(async () => (await db.journal.count()) === 0, 'an empty journal');
    stop();
  });

  test('takes nothing of what another window changed meanwhile', async () => {
    await db.projects.update('p1', { units: 'mm' });
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    await allKept();
    expect(await kept()).toMatchObject({ name: 'Moon cards', units: 'mm' });
  });

  test('whose time comes while an earlier one is still being laid is laid after it, and waits for nobody to ask', async () => {
    // Another window is busy with the same records, for longer than changes are gathered.
    let free = (): void => undefined;
    const waiting = new Promise<void>((done) => (free = done));
    let held = false;
    const busy = db.transaction('rw', db.projects, async () => {
      await db.projects.get('p1');
      held = true;
      let over = false;
      void waiting.then(() => (over = true));
      // What reads again and again keeps a transaction open.
      while (!over) await db.projects.get('p1');
    });
    await until(() => held, 'the busy window');
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'First' });
    await new Promise((wake) => setTimeout(wake, 300));
    keep('projects', 'p1', { ...PROJECT, name: 'First' }, { ...PROJECT, name: 'Second' });
    await new Promise((wake) => setTimeout(wake, 400));
    free();
    await busy;
    await until(async () => (await kept())?.name === 'Second', 'the second change');
  });

  test('that changes nothing writes nothing', async () => {
    keep('projects', 'p1', PROJECT, { ...PROJECT });
    expect(await db.journal.count()).toBe(0);
  });

  test('of a record that another window took out makes no new one, and says so until the next is kept', async () => {
    await db.projects.delete('p1');
    const told: (string | undefined)[] = [];
    const stop = onChanges(() => told.push(keepingTrouble()?.kind));
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    await allKept();
    expect(await kept()).toBeUndefined();
    expect(told.at(-1)).toBe('gone');
    await db.projects.put(PROJECT);
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Sun cards' });
    await allKept();
    expect(told.at(-1)).toBeUndefined();
    stop();
  });

  test('that cannot be laid is told, stays seen, and is laid once it can be', async () => {
    const full = Object.assign(new Error('no room'), { name: 'QuotaExceededError' });
    const broken = jest.spyOn(db.projects.constructor.prototype as typeof db.projects, 'put').mockRejectedValue(full);
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    await expect(allKept()).rejects.toMatchObject({ kind: 'full' });
    expect(keepingTrouble()?.message).toMatch(/no room left/);
    expect((await kept())!.name).toBe('Star cards');
    expect(await db.journal.count()).toBe(1);
    broken.mockRestore();
    await allKept();
    expect(keepingTrouble()).toBeNull();
    expect((await kept())!.name).toBe('Moon cards');
  });

  test('that does not go with what came meanwhile is laid whole, so that the record stays sound', async () => {
    const design = { construction: 'coin-envelope', contents: { width: 90, height: 60 }, options: {} };
    const of = (own: object) =>
      ({ ...PROJECT, set: { version: 1, parts: [{ id: 'part-1', design: own }] } }) as Project;
    const envelope = of(design);
    // Another window made a band of it, which has no corners; here the corners get their radius.
    await db.projects.put(of({ ...design, construction: 'belly-band' }));
    const after = of({ ...design, options: { corner: 8 } });
    keep('projects', 'p1', envelope, after);
    await allKept();
    expect((await kept())!.set).toEqual(after.set);
  });
});

describe('what a killed page left', () => {
  test('is laid in its order when the data is opened, once', async () => {
    await leftBy('dead', ['M', 'Mo', 'Moon']);
    await layLeftOver();
    expect((await kept())!.name).toBe('Moon');
    expect(await db.journal.count()).toBe(0);
    await db.projects.update('p1', { name: 'Sun' });
    // It comes back, as when two windows opened at once: it is known to be laid.
    await leftBy('dead', ['M', 'Mo', 'Moon']);
    await layLeftOver();
    expect((await kept())!.name).toBe('Sun');
  });

  test('is laid from where it stopped being laid', async () => {
    await leftBy('dead', ['M', 'Mo']);
    await layLeftOver();
    await leftBy('dead', ['M', 'Mo', 'Moon']);
    await layLeftOver();
    expect((await kept())!.name).toBe('Moon');
  });

  test('makes a record where there was none yet, and only where that was meant', async () => {
    const fresh = { key: 'theme', value: 'light' };
    await leftBy('dead', ['x'], { id: 'nowhere' });
    await leftBy('dead-too', ['dark'], {
      table: 'settings',
      id: 'theme',
      fresh,
      patch: patchBetween(fresh, { ...fresh, value: 'dark' }),
      whole: { value: 'dark' },
    });
    await layLeftOver();
    expect(await db.projects.get('nowhere')).toBeUndefined();
    expect(await db.settings.get('theme')).toEqual({ key: 'theme', value: 'dark' });
  });

  test('for a record that cannot be read does not write over it: it is set aside as it was', async () => {
    const damaged = { ...PROJECT, name: 7 };
    await db.projects.put(damaged as unknown as Project);
    await leftBy('dead', ['Moon']);
    await layLeftOver();
    expect(await kept()).toEqual(damaged);
    const [aside] = (await db.aside.toArray()) as [AsideRecord];
    expect(aside).toMatchObject({ table: 'projects', record: damaged });
    expect(aside.why).toMatch(/name/);
  });

  test('long ago is forgotten, but not while it still waits', async () => {
    const long = Date.now() - 48 * 3600_000;
    await db.applied.bulkPut([
      { page: 'old', seq: 3, at: long },
      { page: 'new', seq: 3, at: Date.now() },
    ]);
    await layLeftOver();
    expect((await db.applied.toArray()).map(({ page }) => page)).toEqual(['new']);
  });
});

describe('what a page noted beside the database', () => {
  /** The browser's other store, as far as it is used. */
  const store: Record<string, unknown> = {};
  const inStore = { setItem: put, getItem: (name: string) => store[name] ?? null, removeItem: take };
  function put(name: string, text: string): void {
    Object.assign(here, { [name]: text });
    store[name] = text;
  }
  function take(name: string): void {
    delete store[name];
    delete (here as Record<string, unknown>)[name];
  }
  const here: object = Object.create(inStore) as object;
  beforeEach(() => {
    for (const name of Object.keys(store)) take(name);
    (globalThis as { window?: unknown }).window = { localStorage: here };
  });
  afterEach(() => void delete (globalThis as { window?: unknown }).window);
  const entry = (seq: number, name: string): JournalEntry => ({
    page: 'gone',
    seq,
    table: 'projects',
    id: 'p1',
    patch: [{ at: ['name'], set: name }],
    whole: { name },
    fresh: null,
    at: 2000 + seq,
  });

  test('and the journal never had is laid after what it had, once, and taken off', async () => {
    await db.journal.bulkPut([entry(1, 'one'), entry(2, 'two')]);
    // The second stands in both: the note was not taken off in time.
    note(entry(2, 'two'));
    note(entry(3, 'three'));
    await layLeftOver();
    expect(await kept()).toMatchObject({ name: 'three' });
    expect(Object.keys(store)).toEqual([]);
    await db.projects.update('p1', { name: 'changed since' });
    note(entry(3, 'three'));
    await layLeftOver();
    expect(await kept()).toMatchObject({ name: 'changed since' });
  });

  test('is taken off as soon as the journal has it', async () => {
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    expect(Object.keys(store)).toHaveLength(1);
    await until(() => Object.keys(store).length === 0, 'an empty store');
    await allKept();
  });

  test('comes never before a change that could not be noted', async () => {
    const large = { ...PROJECT, name: 'x'.repeat(60_000) };
    keep('projects', 'p1', PROJECT, large);
    keep('projects', 'p1', large, { ...large, units: 'mm' });
    // Laid by another page, the second would count the first as laid.
    expect(Object.keys(store)).toEqual([]);
    await allKept();
    expect(await kept()).toMatchObject({ units: 'mm', name: large.name });
    await until(async () => (await db.journal.count()) === 0, 'an empty journal');
    keep('projects', 'p1', large, { ...large, name: 'short' });
    expect(Object.keys(store)).toHaveLength(1);
    await allKept();
  });
});

describe('what is followed', () => {
  test('a record that cannot be read is told as damaged, and the others go on', async () => {
    await db.projects.put({ ...PROJECT, id: 'p2', name: 7 } as unknown as Project);
    const all = await readAll<Project>('projects');
    expect(all.records.map(({ id }) => id)).toEqual(['p1']);
    expect(all.damaged).toMatchObject([{ table: 'projects', id: 'p2', raw: { name: 7 } }]);
    const found: (Damaged | null)[] = [];
    const stop = followRecord<Project>('projects', 'p2', (_, damaged) => found.push(damaged), fail);
    await until(() => found.length > 0, 'the damaged record');
    stop();
    expect(found.at(-1)).toMatchObject({ id: 'p2', raw: { name: 7 } });
  });

  test('a list shows this page’s change before the database does, and another window’s when it comes', async () => {
    const names: string[] = [];
    const stop = followAll<Project>('projects', ({ records }) => names.push(records[0]?.name ?? 'none'), fail);
    await until(() => names.length > 0, 'the list');
    keep('projects', 'p1', PROJECT, { ...PROJECT, name: 'Moon cards' });
    expect(names.at(-1)).toBe('Moon cards');
    await allKept();
    await db.projects.update('p1', { name: 'Sun cards' });
    await until(() => names.at(-1) === 'Sun cards', 'the other window’s change');
    stop();
    // Whoever looks on is told of the next change; by then the one that stopped would have been.
    const others: string[] = [];
    const stopOther = followAll<Project>('projects', ({ records }) => others.push(records[0]?.name ?? 'none'), fail);
    await db.projects.update('p1', { name: 'Nobody looks' });
    await until(() => others.at(-1) === 'Nobody looks', 'the change for who looks on');
    stopOther();
    expect(names.at(-1)).toBe('Sun cards');
  });
});

test('of a long table the ones changed last are there at once, where that is asked, and all of them a moment later', async () => {
  const [one] = await db.projects.toArray();
  const many = Array.from({ length: 130 }, (_, i) => ({ ...one!, id: `many-${i}`, updatedAt: 1000 + i }));
  await db.projects.clear();
  await db.projects.bulkAdd(many);
  const heard: [count: number, more: boolean, first: string][] = [];
  const hear = ({ records, more = false }: Records<Project>): void =>
    void heard.push([records.length, more, records[0]!.id]);
  const stop = followAll<Project>('projects', hear, fail, true);
  await until(() => heard.some(([count]) => count === 130), 'all of them');
  expect(heard[0]).toEqual([48, true, 'many-129']);
  expect(heard.at(-1)!.slice(0, 2)).toEqual([130, false]);
  stop();
  // Whoever did not ask for it never takes some for all.
  const whole: number[] = [];
  const stopWhole = followAll<Project>('projects', ({ records }) => void whole.push(records.length), fail);
  await until(() => whole.length > 0, 'the table');
  expect(whole[0]).toBe(130);
  stopWhole();
  // What is as it was is the same thing when it is read again.
  const read: (readonly Project[])[] = [];
  const stopAgain = followAll<Project>('projects', ({ records }) => void read.push(records), fail);
  await until(() => read.length > 0, 'the table');
  await db.projects.update('many-3', { name: 'Changed' });
  await until(() => read.at(-1)!.some(({ name }) => name === 'Changed'), 'the change');
  const [before, after] = [read[0]!, read.at(-1)!];
  expect(after.filter((record) => !before.includes(record)).map(({ id }) => id)).toEqual(['many-3']);
  stopAgain();
});

describe('what is typed and not sent off', () => {
  const EMPTY = { text: '', width: 3 };
  const draft = async (form: string) => (await db.drafts.get(form)) ?? null;
  beforeEach(() => db.drafts.clear());
  /** Locks as a browser lends them, between all its pages. */
  const lent = new Set<string>();
  const request = (
    name: string,
    _: object,
    held: (lock: object | null) => Promise<void> | undefined,
  ): Promise<void> => {
    if (lent.has(name)) return Promise.resolve(held(null));
    lent.add(name);
    return Promise.resolve(held({ name })).finally(() => lent.delete(name));
  };
  beforeAll(() =>
    Object.defineProperty(globalThis, 'navigator', { value: { locks: { request } }, configurable: true }),
  );

  test('of a form is taken up by the next that opens it, the last typed first; what is in hand is left alone', async () => {
    const first = await takeUpDraft('note');
    keepDraft(first.id, EMPTY, null, { ...EMPTY, text: 'tight at the top' });
    await allKept();
    const second = await takeUpDraft('note');
    expect(second.id).not.toBe(first.id);
    first.putDown();
    await until(() => lent.size === 1, 'the draft put down');
    expect((await takeUpDraft('note')).id).toBe(first.id);
    expect((await takeUpDraft('other')).id).toMatch(/^other#/);
  });

  test('is one draft of its form, whoever types into it, until it is sent off', async () => {
    keepDraft('note', EMPTY, null, { ...EMPTY, text: 'tight at the top' });
    // Another window that has not heard of it: only what was typed there is changed.
    keepDraft('note', EMPTY, null, { ...EMPTY, width: 4 });
    await allKept();
    expect(await draft('note')).toMatchObject({ open: true, value: { text: 'tight at the top', width: 4 } });
    const stop = followRecord('drafts', 'note', () => undefined, fail);
    await until(() => seenNow('drafts', 'note') !== null, 'the draft');
    forgetDraft('note', EMPTY);
    await allKept();
    expect(isOpenDraft((await draft('note'))!)).toBe(false);
    stop();
    // Typed before it was heard that it was sent off: that stands.
    keepDraft('note', EMPTY, null, { ...EMPTY, width: 5 });
    await allKept();
    // … and nothing of what was sent off comes back with it.
    expect(await draft('note')).toMatchObject({ open: true, value: { ...EMPTY, width: 5 } });
    expect(await sweepDrafts()).toBe(0);
  });

  test('drafts in which nothing stands any more are swept, those of older versions too', async () => {
    await db.drafts.bulkPut([
      { id: 'note', value: EMPTY, open: false, updatedAt: 1 },
      { id: 'other#1', value: null, updatedAt: 1 },
    ]);
    expect(await sweepDrafts()).toBe(2);
  });

  test('of what older versions kept of a screen for each window the last typed is the screen’s; the others are set aside', async () => {
    await db.aside.clear();
    await db.drafts.bulkPut([
      { id: 'choose/76/102#a', value: { text: 'first' }, updatedAt: 1 },
      { id: 'choose/76/102#b', value: { text: 'last' }, updatedAt: 2 },
      { id: 'choose/76/102#c', value: null, updatedAt: 3 },
      { id: 'paper#d', value: { text: 'blue' }, updatedAt: 4 },
    ]);
    await gatherOlderDrafts();
    expect((await db.drafts.toArray()).map(({ id, value }) => [id, value])).toEqual([
      ['choose/76/102', { text: 'last' }],
      ['paper#d', { text: 'blue' }],
    ]);
    expect((await db.aside.toArray()).map(({ record }) => record)).toMatchObject([{ value: { text: 'first' } }]);
  });
});

function fail(trouble: Error): never {
  throw trouble;
}
