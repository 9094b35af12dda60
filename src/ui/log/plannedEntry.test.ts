import { planOf } from '../../../tests/helpers/designs';
import { logEntrySchema } from '@/core/files';
import type { DesignInput } from '@/core/design';
import { plannedEntry } from './plannedEntry';

const entryOf = (design: Partial<DesignInput>, name = 'Star cards') => {
  const plan = planOf({ version: 1, construction: 'diagonal-envelope', ...design });
  return { plan, entry: plannedEntry(name, plan.made!, plan.design, 'in') };
};
const RIGHT = { how: 'right', by: 0 };
/** What the person adds when a make ends. */
const TOLD = {
  day: '2026-03-21',
  fit: { width: RIGHT, height: RIGHT },
  copies: 1,
  minutes: 9,
  sheets: 1,
  changed: '',
  note: '',
};

test('the room is the folded shape’s, beside the contents it was made for', () => {
  const { plan, entry } = entryOf({ contents: { width: '3 in', height: '4 in', thickness: 1 } });
  expect(entry).toMatchObject({
    construction: 'diagonal-envelope',
    contents: { width: expect.closeTo(76.2, 6), height: expect.closeTo(101.6, 6), thickness: 1 },
    room: plan.made!.fit!.ease,
  });
  expect(logEntrySchema.safeParse({ ...entry, ...TOLD }).success).toBe(true);
});

test('asked from the paper, what went in is not known, and the make says nothing about room', () => {
  const { entry } = entryOf({ blank: { width: '6 in', height: '6 in' } });
  expect(entry.room).toBeNull();
  expect(logEntrySchema.safeParse({ ...entry, ...TOLD }).success).toBe(true);
});

test('a name too long or empty still makes an entry the log takes', () => {
  const contents = { width: '3 in', height: '4 in' } as const;
  for (const name of ['x'.repeat(300), ''])
    expect(logEntrySchema.safeParse({ ...entryOf({ contents }, name).entry, ...TOLD }).success).toBe(true);
});
