/** @jest-environment jsdom */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { useInAddress } from './useInAddress';

/** What the router has come to, which on a slow machine is less than stands in the address. */
let reached = '';
jest.mock('next/navigation', () => ({ useSearchParams: () => new URLSearchParams(reached) }));

function Search() {
  const [words, setWords] = useInAddress('words');
  return <input aria-label="Search" value={words} onChange={({ target }) => setWords(target.value)} />;
}

beforeEach(() => {
  reached = '';
  window.history.replaceState(null, '', '/');
  jest.useFakeTimers();
});
afterEach(() => jest.useRealTimers());

const field = (): HTMLInputElement => screen.getByLabelText('Search');
const type = (text: string): void => {
  fireEvent.change(field(), { target: { value: text } });
  act(() => jest.advanceTimersByTime(400));
};

test('a router that is late puts back what was written before: what is typed stays, and stands in the address at last', () => {
  const { rerender } = render(<Search />);
  for (const text of ['d', 'do', 'doo', 'door']) type(text);
  expect(window.location.search).toBe('?words=door');
  for (const late of ['', '?words=d', '?words=doo']) {
    window.history.replaceState(null, '', late || '/');
    reached = late;
    rerender(<Search />);
    expect(field().value).toBe('door');
  }
  window.history.replaceState(null, '', '?words=door');
  reached = '?words=door';
  rerender(<Search />);
  expect(field().value).toBe('door');
});

test('where somebody went back, or followed a link, the address is what counts', () => {
  const { rerender } = render(<Search />);
  for (const text of ['d', 'door']) type(text);
  reached = '?words=door';
  rerender(<Search />);
  for (const other of ['?words=gate', '?words=d', '']) {
    window.history.replaceState(null, '', other || '/');
    reached = other;
    rerender(<Search />);
    expect(field().value).toBe(new URLSearchParams(other).get('words') ?? '');
  }
});
