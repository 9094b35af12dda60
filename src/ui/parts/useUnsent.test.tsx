/** @jest-environment jsdom */
import { act, configure, renderHook, waitFor } from '@testing-library/react';
import { z } from '@/core/text/zod';
import { useEditing, useUnsent } from './useUnsent';

// What has to come may take its time on a loaded machine.
configure({ asyncUtilTimeout: 20_000 });

/** What is kept of drafts, in place of the database: a draft each form. */
const drafts = new Map<string, unknown>();
/** Holds back what had been typed until the test lets it come. */
let slow: Promise<void> = Promise.resolve();
jest.mock('@/data/keep', () => ({ allKept: () => slow, reportTrouble: jest.fn() }));
jest.mock('@/data/drafts', () => ({
  takeUpDraft: async (form: string) => ({ id: form, value: drafts.get(form) ?? null, putDown: () => undefined }),
  keepDraft: (id: string, _: unknown, after: unknown) => void drafts.set(id, after),
}));

beforeEach(() => {
  drafts.clear();
  slow = Promise.resolve();
});

const shape = z.object({ name: z.string(), note: z.string() });
const EMPTY = { name: '', note: '' };
const unsent = (form = 'paper') => renderHook(() => useUnsent(form, EMPTY, shape));

describe('what is typed and not sent off', () => {
  test('is kept with every change, and stands in the form when it is opened again', async () => {
    const first = unsent();
    await waitFor(() => expect(first.result.current.value).toEqual(EMPTY));
    expect(first.result.current.restored).toBe(false);
    act(() => first.result.current.set({ name: 'Comet' }));
    act(() => first.result.current.set(({ name }) => ({ name: `${name} blue` })));
    expect(drafts.get('paper')).toEqual({ name: 'Comet blue', note: '' });
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
    expect([result.current.value, drafts.get('paper')]).toEqual([EMPTY, null]);
  });

  test('typed before it was known what had been typed, that stands', async () => {
    drafts.set('paper', { name: 'From before', note: '' });
    let come = (): void => undefined;
    slow = new Promise((done) => (come = done));
    const { result } = unsent();
    act(() => result.current.set({ name: 'Typed early' }));
    await act(async () => come());
    await waitFor(() => expect(drafts.get('paper')).toEqual({ name: 'Typed early', note: '' }));
    expect(result.current.value).toEqual({ name: 'Typed early', note: '' });
  });

  test('a draft that is none of this form is not taken up', async () => {
    drafts.set('paper', { name: 7 });
    const { result } = unsent();
    await waitFor(() => expect(result.current.value).toEqual(EMPTY));
    expect(result.current.restored).toBe(false);
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
