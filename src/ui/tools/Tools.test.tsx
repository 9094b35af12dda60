/** @jest-environment jsdom */
import { fireEvent, render, screen, within } from '@testing-library/react';
import { App } from 'antd';
import { inches } from '@/core/length';
import { COMMON_TOOLBOX, withChanged } from '@/core/tools';
import { patchBetween, patched } from '@/data/patch';
import { Tools } from './Tools';

/** The toolbox as the database has it, and what this window makes of it. */
const toolbox = (value: object): object => ({ key: 'toolbox', value });
let kept = toolbox(COMMON_TOOLBOX);
jest.mock('@/data/opened', () => ({ openData: () => Promise.resolve() }));
jest.mock('@/data/keep', () => ({
  followRecord: (_: string, key: string, seen: (record: object | null) => void) => {
    seen(key === 'toolbox' ? kept : null);
    return () => undefined;
  },
  followAll: () => () => undefined,
  seenNow: () => kept,
  keep: (_: string, __: string, before: object, after: object) => {
    kept = patched(kept, patchBetween(before, after));
  },
}));

test('what another window changed of a tool, and this one has not drawn yet, stays', async () => {
  render(<Tools />, { wrapper: App });
  const card = (await screen.findByLabelText('Name of Scoring board')).closest('li')!;
  kept = toolbox(withChanged(COMMON_TOOLBOX, 'scoring-board', { length: inches(14) }));
  fireEvent.change(within(card).getByLabelText('Groove to groove'), { target: { value: '1/4 in' } });
  fireEvent.change(within(card).getByLabelText('Name of Scoring board'), { target: { value: 'Old board' } });
  fireEvent.click(within(card).getByRole('switch'));
  expect((kept as { value: object }).value).toContainEqual(
    expect.objectContaining({ name: 'Old board', out: false, length: inches(14), pitch: inches(1 / 4) }),
  );
});
