/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useHeld } from './useHeld';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const field = (first: string) => {
  const hook = renderHook(({ kept }) => useHeld(kept), { initialProps: { kept: first } });
  const { result, rerender } = hook;
  return {
    shown: () => result.current.shown,
    type: (text: string) => act(() => result.current.hold(text)),
    kept: (text: string) => rerender({ kept: text }),
    leave: () => act(() => result.current.leave()),
    blur: () => act(() => result.current.release()),
    wait: (ms: number) => act(() => void jest.advanceTimersByTime(ms)),
  };
};

test('what is typed stands, whatever comes back and however late', () => {
  const width = field('3 in');
  width.type('3');
  width.kept('3');
  width.type('3 7');
  width.wait(400);
  width.kept('3 in again');
  width.kept('37 in');
  width.wait(9000);
  expect(width.shown()).toBe('3 7');
  width.type('3 7/16 in');
  expect(width.shown()).toBe('3 7/16 in');
});

test('once the field is left it shows what is kept', () => {
  const width = field('3 in');
  width.type('3.5');
  width.kept('3 1/2 in');
  expect(width.shown()).toBe('3.5');
  width.blur();
  expect(width.shown()).toBe('3 1/2 in');
});

test('a field that only still has the focus follows another window', () => {
  const width = field('3 in');
  width.type('4 in');
  width.kept('4 in');
  width.kept('5 in');
  // Somebody may still be typing.
  expect(width.shown()).toBe('4 in');
  width.wait(1600);
  expect(width.shown()).toBe('5 in');
  width.type('6 in');
  width.kept('6 in');
  width.wait(60_000);
  expect(width.shown()).toBe('6 in');
  width.kept('7 in');
  width.wait(1);
  expect(width.shown()).toBe('7 in');
});

test('a key pressed meanwhile keeps the field to the one who types', () => {
  const name = field('a');
  name.type('ab');
  name.kept('ab');
  name.kept('their name');
  name.wait(1000);
  name.type('abc');
  name.wait(1000);
  expect(name.shown()).toBe('abc');
});

test('what cannot be taken stands after the field is left, until what is kept changes', () => {
  const width = field('3 in');
  width.type('wide');
  width.leave();
  width.wait(9000);
  expect(width.shown()).toBe('wide');
  width.kept('4 in');
  expect(width.shown()).toBe('4 in');
});
