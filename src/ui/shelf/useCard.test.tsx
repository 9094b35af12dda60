/** @jest-environment jsdom */
/** A card is drawn at once as it was last, and put right where that is no longer so. */
import { act, renderHook, waitFor } from '@testing-library/react';
import type { SetInput } from '@/core/sets';
import { DEMO_SHELF } from '@/data/demo';
import { cardOf, useCard, type Card } from './card';

const kept = new Map<string, unknown>();
const written: string[] = [];
jest.mock('@/data/stills', () => ({
  readStill: (key: string) => Promise.resolve(kept.get(key) ?? null),
  keepStill: (key: string, card: unknown) => {
    written.push(key);
    kept.set(key, card);
    return Promise.resolve();
  },
}));

/** The browser is idle when it is said so. */
const idle: (() => void)[] = [];
beforeAll(() => {
  window.requestIdleCallback = (wake) => idle.push(wake as unknown as () => void);
});
const rest = async (): Promise<void> => {
  await waitFor(() => expect(idle.length).toBeGreaterThan(0));
  act(() => idle.splice(0).forEach((wake) => wake()));
};

const set = (n: number): SetInput => DEMO_SHELF[n]!.set;
const shows = (input: SetInput) => {
  const seen: (Card | null)[] = [];
  renderHook(() => {
    const card = useCard(input);
    if (seen.at(-1) !== card) seen.push(card);
  });
  return seen;
};

test('the first time it is planned, shown and kept', async () => {
  const seen = shows(set(0));
  await rest();
  await waitFor(() => expect(seen.at(-1)).toEqual(cardOf(set(0))));
  expect(written).toEqual([JSON.stringify(set(0))]);
});

test('a still is shown before anything is planned, and what has changed since is put right', async () => {
  const key = JSON.stringify(set(1));
  const old = { ...cardOf(set(1)), pieces: 7 };
  kept.set(key, old);
  const seen = shows(set(1));
  await waitFor(() => expect(seen).toEqual([null, old]));
  await rest();
  await waitFor(() => expect(seen).toHaveLength(3));
  expect(seen).toEqual([null, old, cardOf(set(1))]);
  expect(kept.get(key)).toEqual(cardOf(set(1)));
});

test('a still that is right is not written again', async () => {
  const key = JSON.stringify(set(2));
  kept.set(key, cardOf(set(2)));
  const before = written.length;
  const seen = shows(set(2));
  await waitFor(() => expect(seen).toHaveLength(2));
  await rest();
  await new Promise((wake) => setTimeout(wake, 50));
  expect(written.length).toBe(before);
});

test('what was drawn on this page is there in the same moment', () => {
  expect(shows(set(2))).toEqual([cardOf(set(2))]);
});
