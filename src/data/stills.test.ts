import 'fake-indexeddb/auto';
import { keepStill, readStill } from './stills';

test('a card is there as it was drawn; another design has none', async () => {
  await keepStill('a', { pieces: 2 });
  expect(await readStill('a')).toEqual({ pieces: 2 });
  await keepStill('a', { pieces: 3 });
  expect(await readStill('a')).toEqual({ pieces: 3 });
  expect(await readStill('b')).toBeNull();
});

test('only so many are kept: the oldest go', async () => {
  const now = jest.spyOn(Date, 'now');
  for (let i = 0; i < 610; i++) {
    now.mockReturnValue(1e12 + i);
    await keepStill(`k${i}`, i);
  }
  now.mockRestore();
  expect(await readStill('k0')).toBeNull();
  expect(await readStill('k609')).toBe(609);
  expect(await readStill('k100')).toBe(100);
});

test('what cannot be kept, or read, is no trouble', async () => {
  await expect(keepStill('x', () => undefined)).resolves.toBeUndefined();
  expect(await readStill('x')).toBeNull();
});
