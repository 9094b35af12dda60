import 'fake-indexeddb/auto';
import { keepStill, readStill } from './stills';

test('a card is there as it was drawn; another design has none', async () => {
  await keepStill('a', { pieces: 2 }, 'v1');
  expect(await readStill('a')).toMatchObject({ card: { pieces: 2 }, by: 'v1' });
  await keepStill('a', { pieces: 3 }, 'v2');
  expect(await readStill('a')).toMatchObject({ card: { pieces: 3 }, by: 'v2' });
  expect(await readStill('b')).toBeNull();
});

test('only so many are kept: the oldest go', async () => {
  const now = jest.spyOn(Date, 'now');
  for (let i = 0; i < 610; i++) {
    now.mockReturnValue(1e12 + i);
    await keepStill(`k${i}`, i, 'v1');
  }
  now.mockRestore();
  expect(await readStill('k0')).toBeNull();
  expect(await readStill('k609')).toMatchObject({ card: 609 });
  expect(await readStill('k100')).toMatchObject({ card: 100 });
});

test('what cannot be kept, or read, is no trouble', async () => {
  await expect(keepStill('x', () => undefined, 'v1')).resolves.toBeUndefined();
  expect(await readStill('x')).toBeNull();
});
