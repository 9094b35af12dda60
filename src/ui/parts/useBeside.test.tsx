/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import type { Greets } from '@/workers/helper';
import { useBeside } from './useBeside';

// A helper that is there at once, and does what it is asked on the page.
jest.mock('@/workers/helper', () => ({
  startHelper: () => ({ ask: async (job: (remote: object) => unknown) => job({}), end: () => undefined }),
  helperWhy: (error: Error) => error.message,
}));

test('what is told on the way and comes after the answer does not take it away', async () => {
  let onTheWay = (_: string): void => undefined;
  const { result } = renderHook(() =>
    useBeside<Greets, string>({
      key: 'a design',
      pause: 0,
      make: () => {
        throw new Error('nobody makes one here');
      },
      job: (_, tell) => {
        onTheWay = tell;
        tell('half of it');
        tell('the answer');
        return Promise.resolve(null);
      },
    }),
  );
  await waitFor(() => expect(result.current.running).toBe(false));
  act(() => onTheWay('nearly all of it'));
  expect(result.current).toMatchObject({ told: 'the answer', running: false, trouble: null });
});
