/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useOnce } from './once';

let now = 0;
beforeEach(() => {
  now = 0;
  jest.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => jest.restoreAllMocks());

test('a double press does it once, a later one again', () => {
  const action = jest.fn();
  const { result } = renderHook(() => useOnce(action));
  const press = (at: number): void => {
    now = at;
    act(() => result.current[0]());
  };
  press(0);
  press(120);
  press(449);
  expect(action).toHaveBeenCalledTimes(1);
  press(450);
  expect(action).toHaveBeenCalledTimes(2);
});

test('while it runs it is busy and does not begin anew, however long that takes', async () => {
  let done = (_: unknown): void => undefined;
  const action = jest.fn(() => new Promise((resolve) => (done = resolve)));
  const { result } = renderHook(() => useOnce(action));
  act(() => result.current[0]());
  now = 60_000;
  act(() => result.current[0]());
  expect(action).toHaveBeenCalledTimes(1);
  expect(result.current[1]).toBe(true);
  await act(async () => done(undefined));
  expect(result.current[1]).toBe(false);
  act(() => result.current[0]());
  expect(action).toHaveBeenCalledTimes(2);
});

test('one that did nothing may be tried again at once', async () => {
  const action = jest.fn(() => Promise.resolve(false));
  const { result } = renderHook(() => useOnce(action));
  await act(async () => result.current[0]());
  await act(async () => result.current[0]());
  expect(action).toHaveBeenCalledTimes(2);
});
