import { z } from '../text/zod';
import { constructionNamed, CONSTRUCTIONS } from '../constructions';
import { lengthSchema, mm } from '../length';
import { lineSchema, linesSchema, nameSchema, quoted } from '../text';

const day = z
  .string()
  .refine(isDay, { error: ({ input }) => `${quoted(input)} is not a day. Write it year first: 2026-03-21.` });

/** True for a day that the calendar has, written `2026-03-21`. */
function isDay(text: string): boolean {
  const [, year, month, date] = /^(\d{4})-(\d\d)-(\d\d)$/.exec(text)?.map(Number) ?? [];
  if (!year || !month || !date || month > 12) return false;
  const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  return date <= [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1]!;
}

const fitted = z.strictObject({
  how: z.enum(['tight', 'right', 'loose'], {
    error: ({ input }) => `${quoted(input)} is no fit. Write tight, right or loose.`,
  }),
  by: lengthSchema({ least: 0, most: 100 }).prefault(mm(0)),
});
const room = lengthSchema({ least: -100, most: 500 });

/** One finished make as it is remembered: what, how it fitted, what to change. Lengths in millimetres. */
export const logEntrySchema = z.strictObject({
  day,
  name: nameSchema(120, 'It needs a name.'),
  construction: z.string().refine((name) => constructionNamed(name) !== null && constructionNamed(name) !== undefined, {
    error: ({ input }) =>
      `${quoted(input)} is not a holder known here. Known are: ${CONSTRUCTIONS.map(({ name }) => name).join(', ')}.`,
  }),
  contents: z.strictObject({
    width: lengthSchema({ over: 0 }),
    height: lengthSchema({ over: 0 }),
    thickness: lengthSchema({ least: 0, most: 200 }),
  }),
  /** Room the plan left, thickness taken off; null where nobody wrote it down: such a make says nothing about room. */
  room: z.strictObject({ width: room, height: room }).nullable(),
  fit: z.strictObject({ width: fitted, height: fitted }),
  copies: z.int('A whole number of copies.').min(1, 'At least 1.').max(9999, 'At most 9999.'),
  minutes: z.number('Minutes are a number.').min(0, 'At least 0 minutes.').max(100_000, 'At most 100000 minutes.'),
  paper: lineSchema(120),
  sheets: z.int('A whole number of sheets.').min(0, 'At least 0 sheets.').max(9999, 'At most 9999 sheets.'),
  changed: lineSchema(500),
  note: linesSchema(2000),
});
export type LogEntry = z.output<typeof logEntrySchema>;
