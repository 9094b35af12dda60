/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { mm } from '@/core/length';
import { patchBetween, patched } from '@/data/patch';
import { SIZE_CHART, TOOLBOX, type ChartSetting } from '@/data/setting-kinds';
import { useSetting } from './useKept';

/** What the database holds of one setting, and what windows that have not heard of each other write. */
let kept: object | null = null;
/** Tells whoever follows it of a change somewhere. */
let tell = (): void => undefined;
const writes: { readonly before: object; readonly after: object; readonly fresh: object }[] = [];
jest.mock('@/data/keep', () => ({
  followRecord: (_: string, __: string, seen: (record: object | null) => void) => {
    tell = () => seen(kept);
    seen(kept);
    return () => undefined;
  },
  seenNow: () => kept,
  keep: (_: string, __: string, before: object, after: object, fresh: object) => writes.push({ before, after, fresh }),
}));

/** Lays what was written over what is there, each as the difference it made. */
const laid = (): object | null =>
  writes.reduce<object | null>(
    (now, { before, after, fresh }) => patched(now ?? fresh, patchBetween(before, after)),
    kept,
  );

beforeEach(() => {
  kept = null;
  writes.length = 0;
});

const card = (name: string) => ({ name, width: mm(76), height: mm(102), thickness: mm(0) });
const CHART: ChartSetting = { graduation: '1 mm', ease: {}, cards: [card('Usual card')] };
const add = (name: string) => (now: ChartSetting | null) => ({ ...now!, cards: [...now!.cards, card(name)] });

test('two windows that both begin a chart of their own put in a card each, and both are there', () => {
  for (const name of ['Comet card', 'Moon card']) {
    const { result } = renderHook(() => useSetting(SIZE_CHART, CHART));
    expect(result.current[0]).toBeNull();
    act(() => result.current[1](add(name)));
  }
  expect(laid()).toMatchObject({
    key: 'size-chart',
    value: { cards: [{ name: 'Usual card' }, { name: 'Comet card' }, { name: 'Moon card' }] },
  });
});

test('what is kept is what a change is made to, and one that cannot be read is as none', () => {
  kept = { key: 'size-chart', value: { ...CHART, graduation: '1/8 in', cards: [] } };
  const { result, rerender } = renderHook(() => useSetting(SIZE_CHART, CHART));
  act(() => result.current[1](add('Comet card')));
  expect(laid()).toMatchObject({ value: { graduation: '1/8 in', cards: [{ name: 'Comet card' }] } });
  kept = { key: 'size-chart', value: { cards: 3 } };
  writes.length = 0;
  rerender();
  act(() => result.current[1](add('Moon card')));
  expect(writes[0]!.after).toMatchObject({ value: { cards: [{ name: 'Usual card' }, { name: 'Moon card' }] } });
});

test('a setting is the same value while it says the same', () => {
  const { result, rerender } = renderHook(() => useSetting(TOOLBOX));
  const [first] = result.current;
  expect(first!.length).toBeGreaterThan(3);
  rerender();
  expect(result.current[0]).toBe(first);
});

test('a change elsewhere in the data draws nothing anew', () => {
  kept = { key: 'size-chart', value: CHART };
  let drawn = 0;
  renderHook(() => {
    drawn += 1;
    return useSetting(SIZE_CHART, CHART);
  });
  const before = drawn;
  for (let i = 0; i < 5; i++) act(() => tell());
  // React may look once whether anything is new, and then not again.
  expect(drawn).toBeLessThanOrEqual(before + 1);
  const after = drawn;
  kept = { key: 'size-chart', value: { ...CHART, graduation: '1/8 in' } };
  act(() => tell());
  expect(drawn).toBeGreaterThan(after);
});
