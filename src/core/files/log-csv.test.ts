import fc from 'fast-check';
import Papa from 'papaparse';
import { CONSTRUCTIONS } from '../constructions';
import { mm } from '../length';
import { LONGEST_TABLE } from './csv';
import { readLogCsv, writeLogCsv } from './log-csv';
import { logEntrySchema, type LogEntry } from './log';

const entry = (fields: object = {}): LogEntry =>
  logEntrySchema.parse({
    day: '2026-03-21',
    name: 'Star cards',
    construction: 'diagonal-envelope',
    contents: { width: 76.2, height: 101.6, thickness: 0 },
    room: { width: 4.6, height: -1.2 },
    fit: { width: { how: 'tight', by: 3.18 }, height: { how: 'right' } },
    copies: 6,
    minutes: 35.5,
    paper: 'midnight cardstock',
    sheets: 2,
    changed: '',
    note: '',
    ...fields,
  });
const lines = (text: string) => {
  const read = readLogCsv(text);
  if (!read.ok) throw new Error(read.message);
  return [...read.parts()].flat();
};

test('what is written is read back, to the hundredth of a millimetre', () => {
  const text = writeLogCsv([entry(), entry({ name: 'Moon, "and" stars', note: 'two\nlines' })]);
  const back = lines(text).map((line) => ('entry' in line ? line.entry : null));
  expect(back[0]).toEqual(entry());
  expect(back[1]).toMatchObject({ name: 'Moon, "and" stars', note: 'two\nlines' });
});

test('any entry survives the journey, whatever its words', () => {
  const words = fc
    .string({ maxLength: 60, unit: 'binary' })
    .map((s) => s.replaceAll(/[\u0000-\u001f\ufeff]/g, '').trim());
  const length = fc.integer({ min: 1, max: 50_000 }).map((n) => mm(n / 100));
  const any = fc
    .record({
      name: words.filter((s) => s.length > 0),
      note: words,
      paper: words,
      changed: words,
      construction: fc.constantFrom(...CONSTRUCTIONS.map(({ name }) => name)),
      width: length,
      copies: fc.integer({ min: 1, max: 99 }),
      how: fc.constantFrom('tight' as const, 'right' as const, 'loose' as const),
      by: fc.integer({ min: 0, max: 900 }).map((n) => mm(n / 100)),
    })
    .map(({ width, how, by, ...rest }) =>
      entry({
        ...rest,
        contents: { width, height: width, thickness: 0 },
        fit: { width: { how, by }, height: { how, by } },
      }),
    );
  fc.assert(
    fc.property(fc.array(any, { minLength: 1, maxLength: 5 }), (entries) => {
      expect(lines(writeLogCsv(entries)).map((line) => ('entry' in line ? line.entry : line))).toEqual(entries);
    }),
  );
});

test('no cell that was written begins a formula', () => {
  const text = writeLogCsv([entry({ name: '=HYPERLINK("x")', note: '@cmd', paper: '+1', changed: "'-1" })]);
  const [row] = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
  for (const column of ['name', 'note', 'paper', 'changed']) expect(row![column]).toMatch(/^'+[=@+-]/);
  expect(lines(text)[0]).toMatchObject({ entry: { name: '=HYPERLINK("x")', note: '@cmd', changed: "'-1" } });
});

test('a table typed by hand is understood: units, fractions, a holder’s title, columns in any order and left out', () => {
  const [line] = lines(
    'Holder,Day,Name,Width,Height,Room width,Fit width,Off width\nSleeve,2026-01-09,Bookmark,"2 1/2 in",15 cm,1/8 in,loose,1/16 in\n',
  );
  expect(line).toMatchObject({
    line: 2,
    entry: {
      construction: 'sleeve',
      contents: { width: 63.5, height: 150, thickness: 0 },
      room: { width: expect.closeTo(3.175, 6) },
      fit: { width: { how: 'loose', by: expect.closeTo(1.5875, 6) }, height: { how: 'right' } },
      copies: 1,
    },
  });
});

test('a make whose room nobody wrote down is read, and says so instead of counting as no room at all', () => {
  const [line] = lines('day,name,holder,width,height,fit width\n2026-02-28,Good one,sleeve,3 in,4 in,tight\n');
  expect(line).toMatchObject({ entry: { room: null } });
  if (!('entry' in line!)) throw new Error('not read');
  expect(lines(writeLogCsv([line.entry]))[0]).toMatchObject({ entry: { room: null } });
});

test('what cannot be read is told line by line, every problem of a line, and the others are read', () => {
  const found = lines(
    'day,name,holder,width,height,fit width,copies\n2026-02-30,,kite,wide,4 in,snug,half\n2026-02-28,Good one,sleeve,3 in,4 in,right,2\n',
  );
  expect(found[0]).toMatchObject({ line: 2, text: '2026-02-30, kite' });
  const problems = 'problems' in found[0]! ? found[0].problems.join(' ') : '';
  for (const words of [
    '“2026-02-30” is not a day',
    'needs a name',
    '“kite” is not a holder',
    '“wide” does not read',
    '“snug” is no fit',
    '“half” is not a number',
  ])
    expect(problems).toContain(words);
  expect(found[1]).toMatchObject({ line: 3, entry: { name: 'Good one', copies: 2 } });
});

test.each([
  ['2024-02-29', true],
  ['2023-02-29', false],
  ['2026-13-01', false],
  ['2026-00-10', false],
  ['21.3.2026', false],
])('%s is a day: %s', (day, is) => {
  expect(logEntrySchema.safeParse({ ...entry(), day }).success).toBe(is);
});

test('a table without its columns, too long or with too many lines is refused with a sentence', () => {
  expect(readLogCsv('a,b\n1,2')).toMatchObject({ ok: false, message: expect.stringContaining('“day”, “name”') });
  expect(readLogCsv('x'.repeat(LONGEST_TABLE + 1))).toMatchObject({
    ok: false,
    message: expect.stringContaining('characters'),
  });
  expect(readLogCsv(`day,name,holder,width,height\n${'a,b,c,1,1\n'.repeat(20_001)}`)).toMatchObject({
    ok: false,
    message: expect.stringContaining('20001 lines'),
  });
  expect(readLogCsv('')).toMatchObject({ ok: false });
});

test('more cells than columns is said, not dropped', () => {
  expect(lines('day,name,holder,width,height\n2026-02-28,Good,sleeve,70,90,surplus\n')[0]).toMatchObject({
    problems: ['There are more cells than columns.'],
  });
});
