/** A project's card: what it says, and that it can be kept as it was drawn. */
import 'fake-indexeddb/auto';
import { DEMO_SHELF } from '@/data/demo';
import type { SetInput } from '@/core/sets';
import { keepStill, readStill } from '@/data/stills';
import { cardOf } from './card';

const set = (n: number): SetInput => DEMO_SHELF[n]!.set;

test('the first demo project: its picture, what it holds, what it is cut from', () => {
  const card = cardOf(set(0));
  expect(card).toMatchObject({ holds: 'Holds', usual: '3 × 4 in card', pieces: 1, failing: false, unread: null });
  expect(card.blank!.width / 25.4).toBeCloseTo(6, 9);
  expect(card.picture!.kind).toBe('pile');
});

test('what cannot be read says why, and shows nothing else', () => {
  const card = cardOf({ ...set(0), parts: [{ id: 'part-1', design: { construction: 'loom' } }] });
  expect(card).toMatchObject({ picture: null, holds: null, blank: null, failing: true });
  expect(card.unread).toContain('loom');
});

test('a card is data: it is the same once it was kept', async () => {
  for (let n = 0; n < DEMO_SHELF.length; n++) {
    const card = cardOf(set(n));
    await keepStill(`card ${n}`, card, 'v1');
    expect((await readStill(`card ${n}`))?.card).toEqual(card);
  }
});
