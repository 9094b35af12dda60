import fc from 'fast-check';
import { z } from './zod';
import { runs } from '../../../tests/helpers/runs';
import {
  article,
  capitalised,
  isPrintable,
  lineSchema,
  linesSchema,
  listed,
  manyLines,
  nameSchema,
  oneLine,
  quoted,
  shortened,
  uncapitalised,
} from '.';
import { issuesOf } from './issues';

test.each([
  [' Star\tcards ', 'Star cards'],
  ['two\r\nlines', 'two lines'],
  ['bell\u0007, escape\u001b[31m', 'bell, escape[31m'],
  ['turned \u202Eround', 'turned round'],
  ['half a pair \uD83D', 'half a pair'],
  ['e\u0301', '\u00e9'],
  // Found by trying new seeds: what goes may bring together what then is one.
  ['!\t\u0000\t!', '! !'],
  ['e\u0000\u0301', '\u00e9'],
  ['Ζωή, Жук, 日本, 🌛', 'Ζωή, Жук, 日本, 🌛'],
])('%j on one line is %j', (text, line) => expect(oneLine(text)).toBe(line));

test('lines stay lines, whatever ends them', () => {
  expect(manyLines('a\r\nb\rc\u0000\td  \n')).toBe('a\nb\nc d\n');
});

test('whatever is made printable is printable, and stays as it is', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary', maxLength: 60 }), (text) => {
      const line = oneLine(text);
      expect(isPrintable(line)).toBe(true);
      expect(oneLine(line)).toBe(line);
      const lines = manyLines(text);
      expect(lines.split('\n').every(isPrintable)).toBe(true);
      expect(manyLines(lines)).toBe(lines);
    }),
    runs(500),
  );
});

test('schemas make text printable before they count it', () => {
  expect(lineSchema(4).parse(' a\n\n\nb ')).toBe('a b');
  expect(lineSchema(4).safeParse('abcde').error?.issues[0]?.message).toBe('At most 4 characters.');
  expect(nameSchema(9, 'It needs a name.').safeParse(' \u0000 ').error?.issues[0]?.message).toBe('It needs a name.');
  expect(linesSchema(9).parse('a\r\nb')).toBe('a\nb');
});

test('what was written is repeated short, on one line and without what turns the sentence round', () => {
  expect(quoted('wide')).toBe('“wide”');
  expect(quoted('a\nb\u202Ec\u0007')).toBe('“a bc”');
  expect(quoted('x'.repeat(1_000_000), 10)).toBe(`“${'x'.repeat(9)}…”`);
  expect([7, null, undefined, { a: 1 }].map((value) => quoted(value))).toEqual([
    '“7”',
    '“null”',
    '“nothing”',
    '“{"a":1}”',
  ]);
  // An object that cannot be made text by itself.
  expect(quoted({ toString: 1 })).toBe('“{"toString":1}”');
});

test('a text is not cut through a pair that makes one sign', () => {
  expect(shortened('moon🌛🌛', 6)).toBe('moon…');
  expect(shortened('moon🌛', 6)).toBe('moon🌛');
  expect(shortened('🌛 moonlight', 8)).toBe('🌛 moon…');
});

test.each([
  ['a', ['card', '6', '1', '10', '100', '180', 'Scoring board', 'Trimmer', 'US Letter', 'Roll', 'big Envelope', '']],
  ['an', ['envelope', '8', '80', '800', '11', '18', 'A6', 'ID-1 card', 'Edge board', 'Envelope board', 'inch']],
] as const)('before these one says “%s”', (said, words) =>
  expect(words.map((word) => [word, article(word)])).toEqual(words.map((word) => [word, said])),
);

test('names in a row, each but the first with its word', () => {
  expect([listed([]), listed(['a']), listed(['a', 'b']), listed(['a', 'b', 'c'])]).toEqual([
    '',
    'a',
    'a and b',
    'a, b and c',
  ]);
  expect(`the ${listed(['lid', 'wall', 'tab'], 'the ')}`).toBe('the lid, the wall and the tab');
});

test('a line can be printed as it stands when nothing in it breaks it or turns it about', () => {
  for (const text of ['Star cards', '', 'Zoë’s 3 × 4 🌛', '汉字'])
    expect([text, isPrintable(text)]).toEqual([text, true]);
  for (const text of ['two\nlines', 'a\ttab', 'a\rreturn', '\u202Eturned', 'end\u0000', '\uD83C'])
    expect([text, isPrintable(text)]).toEqual([text, false]);
});

test('a name within a sentence: a plain word loses its capital, a format or an acronym keeps it', () => {
  expect(['Star card', 'A6 card', 'DVD sleeve', 'Éclair box', 'mat', ''].map(uncapitalised)).toEqual([
    'star card',
    'A6 card',
    'DVD sleeve',
    'éclair box',
    'mat',
    '',
  ]);
  expect(['second mat', 'A6', ''].map(capitalised)).toEqual(['Second mat', 'A6', '']);
});

test('a text too long or too short is said in a sentence, also where its schema has none of its own', () => {
  const said = (schema: z.ZodType, input: unknown): string[] => {
    const read = schema.safeParse(input, { reportInput: true });
    return read.success ? [] : issuesOf(read.error).map(({ message }) => message);
  };
  expect(said(z.string().max(3), 'abcd')).toEqual(['This has at most 3 characters. Shorten it.']);
  expect(said(z.string().min(3), 'ab')).toEqual(['This has at least 3 characters.']);
  expect(said(z.string().max(3, { error: 'Three at most.' }), 'abcd')).toEqual(['Three at most.']);
  expect(said(z.number().max(3, { error: 'Three at most' }), 4)).toEqual(['Three at most']);
});
