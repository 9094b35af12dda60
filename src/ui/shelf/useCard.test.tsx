/** @jest-environment jsdom */
/** A card is drawn at once as it was last, and put right where that is no longer so. */
import { act, configure, renderHook, waitFor } from '@testing-library/react';
import * as react from 'react';
import type { SetInput } from '@/core/sets';
import { DEMO_SHELF } from '@/data/demo';
import { cardOf, type Card } from './card';
import { exampleCards, type ExampleCards } from './exampleCards';
import { useCard } from './useCard';

// What has to come may take its time on a loaded machine: here whole modules are read anew.
configure({ asyncUtilTimeout: 20_000 });

const kept = new Map<string, { card: unknown; by: string }>();
const written: string[] = [];
jest.mock('@/data/stills', () => {
  // What draws cards has a version in a build: asked when it is read, after this.
  process.env.DRAWN_BY = 'v2';
  return {
    readStill: (key: string) => Promise.resolve(kept.get(key) ?? null),
    keepStill: (key: string, card: unknown, by: string) => {
      written.push(key);
      kept.set(key, { card, by });
      return Promise.resolve();
    },
  };
});

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
const shows = (input: SetInput, inSight = true, came = false) => {
  const seen: (Card | null)[] = [];
  renderHook(() => {
    const card = useCard(input, inSight, came);
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

test('a still of another version is shown before anything is planned, and what has changed since is put right', async () => {
  const key = JSON.stringify(set(1));
  const old = { ...cardOf(set(1)), pieces: 7 };
  kept.set(key, { card: old, by: 'v1' });
  const seen = shows(set(1));
  await waitFor(() => expect(seen).toEqual([null, old]));
  await rest();
  await waitFor(() => expect(seen).toHaveLength(3));
  expect(seen).toEqual([null, old, cardOf(set(1))]);
  expect(kept.get(key)).toEqual({ card: cardOf(set(1)), by: 'v2' });
});

test('a still of this version is the card: nothing is planned', async () => {
  const key = JSON.stringify(set(2));
  const own = { ...cardOf(set(2)), pieces: 9 };
  kept.set(key, { card: own, by: 'v2' });
  const before = written.length;
  const seen = shows(set(2));
  await waitFor(() => expect(seen).toEqual([null, own]));
  await new Promise((wake) => setTimeout(wake, 50));
  expect([idle.length, written.length]).toEqual([0, before]);
});

test('what is not in sight is not planned', async () => {
  const seen = shows(set(3), false);
  await new Promise((wake) => setTimeout(wake, 50));
  expect([idle.length, seen]).toEqual([0, [null]]);
});

test('what was drawn on this page is there in the same moment', () => {
  expect(shows(set(0))).toEqual([cardOf(set(0))]);
});

/** As an answer carries it. */
const sent = <T,>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const answers = (came: ExampleCards): void => {
  window.fetch = (() => Promise.resolve({ json: () => Promise.resolve(came) })) as unknown as typeof fetch;
};

test('an example is drawn as it came, without planning; one that was changed is planned', async () => {
  const { cards: came, by } = sent(exampleCards());
  // Each is there under the set as the shelf reads it, and is the card that would be planned.
  expect([came.length, by]).toEqual([DEMO_SHELF.length, 'v2']);
  for (const [key, card] of came.slice(4, 7)) expect(sent(cardOf(JSON.parse(key) as SetInput))).toEqual(card);
  answers({ by, cards: came });
  const [key, card] = came[4]!;
  const seen = shows(JSON.parse(key) as SetInput, true, true);
  await waitFor(() => expect(seen).toEqual([null, card]));
  expect(idle).toHaveLength(0);
  expect(kept.get(key)).toEqual({ card, by: 'v2' });
  const changed = { ...(JSON.parse(came[5]![0]) as SetInput), graduation: '1/16 in' as const };
  const other = shows(changed, true, true);
  await rest();
  await waitFor(() => expect(other.at(-1)).toEqual(cardOf(changed)));
});

test('examples that another version drew are planned, as they are without a network', async () => {
  const { cards } = sent(exampleCards());
  for (const [n, come] of [
    [6, () => answers({ by: 'v1', cards: cards.map(([set, card]) => [set, { ...card, pieces: 99 }]) })],
    [7, () => void (window.fetch = () => Promise.reject(new TypeError('offline')))],
  ] as const) {
    // What was asked for once is asked for again; React stays the one that renders here.
    jest.resetModules();
    jest.doMock('react', () => react);
    const fresh = await import('./useCard');
    come();
    const input = JSON.parse(cards[n]![0]) as SetInput;
    const { result } = renderHook(() => fresh.useCard(input, true, true));
    await rest();
    await waitFor(() => expect(result.current).toEqual(cardOf(input)));
  }
});
