import fc from 'fast-check';
import type { StashPaper } from '../cutting';
import { mm } from '../length';
import { oneLine } from '../text';
import { readStashCsv, writeStashCsv, type StashLine } from './stash-csv';

const word = fc.string({ minLength: 1, maxLength: 30 }).map(oneLine).filter(Boolean);
const size = fc.integer({ min: 1, max: 200_000 }).map((n) => mm(n / 100));
const paper: fc.Arbitrary<StashPaper> = fc.record({
  name: word,
  width: size,
  height: size,
  count: fc.integer({ min: 0, max: 9999 }),
  caliper: fc.integer({ min: 20, max: 5000 }).map((n) => mm(n / 1000)),
  sided: fc.constantFrom(1 as const, 2 as const),
  directional: fc.boolean(),
  colour: word,
  price: fc.integer({ min: 0, max: 99_999 }).map((n) => n / 100),
  made: fc.constantFrom('plain' as const, 'laminated' as const, 'joined' as const),
  of: word,
  note: word,
});

const linesOf = (text: string): StashLine[] => {
  const read = readStashCsv(text, 'in');
  if (!read.ok) throw new Error(read.message);
  const all = [...read.parts()].flat();
  expect(all).toHaveLength(read.count);
  return all;
};

test('what is exported is read again as it was', () => {
  fc.assert(
    fc.property(fc.array(paper, { minLength: 1, maxLength: 8 }), (papers) => {
      expect(linesOf(writeStashCsv(papers)).map((line) => ('paper' in line ? line.paper : line))).toEqual(papers);
    }),
  );
});

test('a table pasted from a spreadsheet, by tabs, in inches, with a weight', () => {
  const read = linesOf('Name\tWidth\tHeight\tCount\tWeight\nNight card\t12\t12 in\t20\t200\n');
  expect(read).toMatchObject([
    {
      line: 2,
      paper: {
        name: 'Night card',
        width: expect.closeTo(304.8),
        height: expect.closeTo(304.8),
        count: 20,
        made: 'plain',
      },
    },
  ]);
  // 200 g/m² card is about 0.25 mm thick; common practice, no source.
  const [line] = read;
  expect(line && 'paper' in line && line.paper.caliper).toBeCloseTo(0.25, 1);
});

test.each([
  ['a bad length', 'name,width,height\nA,wide,3', 'does not read as a length'],
  ['half a sheet', 'name,width,height,count\nA,3,3,0.5', 'A whole number of sheets'],
  ['no name', 'name,width,height\n,3,3', 'It needs a name'],
  ['a strange way up', 'name,width,height,right way up\nA,3,3,perhaps', 'write yes or no'],
  ['a third side', 'name,width,height,sides\nA,3,3,3', 'printed on 1 or 2 sides'],
  ['words for a price', 'name,width,height,price\nA,3,3,cheap', 'is not a number'],
  ['a cell too many', 'name,width,height\nA,3,3,4', 'more cells than columns'],
])('%s stays out, with the reason', (_, text, sentence) => {
  const [line] = linesOf(text);
  expect(line && 'problems' in line ? line.problems.join(' ') : '').toContain(sentence);
});

test('a table without its columns is refused', () => {
  expect(readStashCsv('colour\nred', 'in')).toMatchObject({ ok: false, message: expect.stringContaining('“name”') });
});
