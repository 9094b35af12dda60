/** @jest-environment jsdom */
import { act, configure, renderHook, waitFor } from '@testing-library/react';
import { z } from '@/core/text/zod';
import type { DraftRecord } from '@/data/db';
import { isOpenDraft } from '@/data/drafts';
import { patchBetween, patched } from '@/data/patch';
import { useAsked, useEditing, useUnsent } from './useUnsent';

// What has to come may take its time on a loaded machine.
configure({ asyncUtilTimeout: 20_000 });

/** What is kept of drafts, in place of the database. */
const drafts = new Map<string, DraftRecord>();
const followers = new Set<() => void>();
/** Held back, what had been typed is not read yet. */
let slow = false;
const tell = (): void => followers.forEach((show) => show());
jest.mock('@/data/keep', () => ({
  allKept: async () => undefined,
  reportTrouble: jest.fn(),
  seenNow: (_: string, form: string) => (slow ? null : (drafts.get(form) ?? null)),
  keep: (_: string, form: string, before: object, after: object, fresh: DraftRecord | null) => {
    const base = drafts.get(form) ?? fresh;
    if (base) drafts.set(form, patched(base, patchBetween(before, after)));
    tell();
  },
  followRecord: (_: string, form: string, seen: (record: DraftRecord | null) => void) => {
    const show = (): void => void (slow || seen(drafts.get(form) ?? null));
    followers.add(show);
    queueMicrotask(() => act(show));
    return () => followers.delete(show);
  },
}));
/** Each form has its one draft here: which of several a window takes up is tried where they are kept. */
jest.mock('@/data/drafts', () => ({
  ...jest.requireActual<object>('@/data/drafts'),
  takeUpDraft: async (form: string) => ({ id: form, putDown: () => undefined }),
}));
const kept = (form: string) => (drafts.has(form) && isOpenDraft(drafts.get(form)!) ? drafts.get(form)!.value : null);
const typedBefore = (form: string, value: unknown) => drafts.set(form, { id: form, value, updatedAt: 1 });

beforeEach(() => {
  drafts.clear();
  slow = false;
});

const shape = z.object({ name: z.string(), note: z.string() });
const EMPTY = { name: '', note: '' };
const unsent = (form = 'paper') => renderHook(() => useUnsent(form, EMPTY, shape));
const asked = (screen = 'paper') => renderHook(() => useAsked(screen, EMPTY, shape));

describe('what is typed and not sent off', () => {
  test('is kept with every change, and stands in the form when it is opened again', async () => {
    const first = unsent();
    await waitFor(() => expect(first.result.current.value).toEqual(EMPTY));
    expect(first.result.current.restored).toBe(false);
    act(() => first.result.current.set({ name: 'Comet' }));
    act(() => first.result.current.set(({ name }) => ({ name: `${name} blue` })));
    expect(kept('paper')).toEqual({ name: 'Comet blue', note: '' });
    first.unmount();
    const again = unsent();
    await waitFor(() => expect(again.result.current.value).toEqual({ name: 'Comet blue', note: '' }));
    expect(again.result.current.restored).toBe(true);
  });

  test('sent off it is forgotten, and the form begins anew', async () => {
    const { result } = unsent();
    await waitFor(() => expect(result.current.value).not.toBeNull());
    act(() => result.current.set({ name: 'Comet' }));
    act(() => result.current.forget());
    expect([result.current.value, kept('paper')]).toEqual([EMPTY, null]);
  });

  test('typed before it was known what had been typed, both stand', async () => {
    typedBefore('paper', { name: 'From before', note: 'thin' });
    slow = true;
    const { result } = unsent();
    act(() => result.current.set({ name: 'Typed early' }));
    expect(result.current.value).toEqual({ name: 'Typed early', note: '' });
    slow = false;
    act(tell);
    await waitFor(() => expect(kept('paper')).toEqual({ name: 'Typed early', note: 'thin' }));
    expect(result.current.value).toEqual({ name: 'Typed early', note: 'thin' });
  });

  test('two windows ask on one screen: each sees what the other typed, and it is sent off once', async () => {
    const [here, there] = [asked(), asked()];
    await waitFor(() => expect([here.result.current.value, there.result.current.value]).toEqual([EMPTY, EMPTY]));
    act(() => here.result.current.set({ name: 'Comet' }));
    act(() => there.result.current.set({ note: 'thin' }));
    for (const { result } of [here, there]) expect(result.current.value).toEqual({ name: 'Comet', note: 'thin' });
    act(() => here.result.current.forget());
    for (const { result } of [here, there]) expect(result.current.value).toEqual(EMPTY);
    expect(there.result.current.restored).toBe(false);
    // What is typed after that is a new one.
    act(() => there.result.current.set({ note: 'thick' }));
    expect(here.result.current.value).toEqual({ name: '', note: 'thick' });
  });

  test('a draft that is none of this form is not taken up, and typing makes one of it', async () => {
    typedBefore('paper', { name: 7 });
    const { result } = unsent();
    await waitFor(() => expect(result.current.value).toEqual(EMPTY));
    expect(result.current.restored).toBe(false);
    act(() => result.current.set({ note: 'thin' }));
    expect([result.current.value, kept('paper')]).toEqual([
      { name: '', note: 'thin' },
      { name: '', note: 'thin' },
    ]);
  });
});

describe('a form over a record', () => {
  const RECORD = { name: 'Comet', note: 'thin' };
  const editing = (told = true) =>
    renderHook(({ kept }) => useEditing('entry', kept, shape, { told }), { initialProps: { kept: RECORD } });

  test('what changed elsewhere lies under what was typed, and is told', async () => {
    const { result, rerender } = editing();
    await waitFor(() => expect(result.current.value).toEqual(RECORD));
    act(() => result.current.set({ name: 'Comet blue' }));
    rerender({ kept: { ...RECORD, note: 'thick' } });
    expect(result.current.value).toEqual({ name: 'Comet blue', note: 'thick' });
    expect(result.current.overtaken).toMatchObject({ fields: ['note'] });
  });

  test('where both changed the same, what was typed stays until the person takes the other', async () => {
    const { result, rerender } = editing();
    await waitFor(() => expect(result.current.value).not.toBeNull());
    act(() => result.current.set({ name: 'Comet blue' }));
    rerender({ kept: { ...RECORD, name: 'Comet red' } });
    expect(result.current.value).toEqual({ name: 'Comet blue', note: 'thin' });
    expect(result.current.overtaken).toEqual({ fields: ['name'], theirs: { name: 'Comet red', note: 'thin' } });
    // What will be sent off is the difference from what stands elsewhere now.
    expect(result.current.base).toEqual({ name: 'Comet red', note: 'thin' });
    act(() => result.current.takeTheirs());
    expect(result.current.value).toEqual({ name: 'Comet red', note: 'thin' });
    expect(result.current.overtaken).toBeNull();
  });

  test('what it sent off itself is no news when it comes back', async () => {
    const { result, rerender } = editing();
    await waitFor(() => expect(result.current.value).not.toBeNull());
    act(() => result.current.set({ name: 'Comet blue' }));
    rerender({ kept: { ...RECORD, name: 'Comet blue' } });
    expect(result.current.overtaken).toBeNull();
    expect(result.current.value).toEqual({ name: 'Comet blue', note: 'thin' });
  });

  test('opened again after the record moved on, the draft lies over what is kept now', async () => {
    const first = editing();
    await waitFor(() => expect(first.result.current.value).not.toBeNull());
    act(() => first.result.current.set({ name: 'Comet blue' }));
    first.unmount();
    const again = renderHook(() => useEditing('entry', { ...RECORD, note: 'thick' }, shape));
    await waitFor(() => expect(again.result.current.value).toEqual({ name: 'Comet blue', note: 'thick' }));
    expect(again.result.current.restored).toBe(true);
  });

  test('over something that moves by itself nothing is told', async () => {
    const { result, rerender } = editing(false);
    await waitFor(() => expect(result.current.value).not.toBeNull());
    rerender({ kept: { ...RECORD, note: 'thick' } });
    expect([result.current.overtaken, result.current.value]).toEqual([null, { ...RECORD, note: 'thick' }]);
  });
});
