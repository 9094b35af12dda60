/** @jest-environment jsdom */
import { act, renderHook, waitFor } from '@testing-library/react';
import { USUAL_HANDS } from '@/core/hands';
import { useOdds } from './useOdds';

let tellsHowFar = (_: number): void => undefined;
const ANSWER = { share: 0.9 };
// A helper that answers at once; how far it is can be told at any time.
jest.mock('@/workers/helper', () => ({
  startHelper: () => ({
    ask: async (job: (remote: object) => unknown) =>
      job({
        count: (_: object, tell: (done: number) => void) => {
          tellsHowFar = tell;
          tell(0.5);
          return Promise.resolve({ answer: ANSWER, why: null });
        },
      }),
    end: () => undefined,
  }),
  helperWhy: (error: Error) => error.message,
}));

test('how far a count is, told after its answer, does not take the answer away', async () => {
  const design = { version: 1, construction: 'mat', contents: { width: 90, height: 120 } } as const;
  const { result } = renderHook(() => useOdds(design, USUAL_HANDS));
  await waitFor(() => expect(result.current.running).toBe(false), { timeout: 5000 });
  expect(result.current.answer).toEqual(ANSWER);
  act(() => tellsHowFar(0.9));
  expect(result.current).toMatchObject({ answer: ANSWER, running: false, trouble: null });
});
