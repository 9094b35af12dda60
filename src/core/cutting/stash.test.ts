import { mm } from '../length';
import { blanksOf } from '../making';
import { planFor } from '../plan';
import { readDesign, type DesignInput } from '../design';
import { copiesFrom, paperSpent, piecesOf, readCutList, sheetsFrom, whenCut, type CutList, type KeptPaper } from '.';
import { loadSolver } from './solver';
import { pack } from './pack';

const paper = (id: string, more: Partial<KeptPaper> = {}): KeptPaper => ({
  id,
  name: 'Night card',
  width: mm(300),
  height: mm(300),
  count: 5,
  caliper: mm(0.25),
  sided: 2,
  directional: false,
  colour: 'blue',
  price: 0.9,
  made: 'plain',
  of: '',
  note: '',
  offcut: false,
  ...more,
});

async function cutFrom(papers: readonly KeptPaper[], pieces: object[], offcutsFirst = true) {
  const sheets = sheetsFrom(papers, offcutsFirst);
  const read = readCutList({ version: 1, sheets: sheets.map(({ sheet }) => sheet), pieces });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const paperOf = (name: string): KeptPaper | undefined =>
    papers.find(({ id }) => id === sheets.find(({ sheet }) => sheet.name === name)?.paper);
  return { list: read.list as CutList, layout: pack(read.list, await loadSolver()), paperOf };
}

test('papers of one name are told apart, and offcuts come first only where that is asked for', () => {
  const papers = [paper('a'), paper('b', { offcut: true }), paper('c', { name: 'Night card (2)' })];
  expect(sheetsFrom(papers, true).map(({ sheet: { name, priority } }) => [name, priority])).toEqual([
    ['Night card', 1],
    ['Night card (2)', 0],
    ['Night card (2) (2)', 1],
  ]);
  expect(sheetsFrom(papers, false).every(({ sheet }) => sheet.priority === 0)).toBe(true);
});

test('a cutting takes its sheets out, puts its offcuts in, and shares out what it cost', async () => {
  const { list, layout, paperOf } = await cutFrom([paper('a')], [{ name: 'p', width: 200, height: 300, quantity: 2 }]);
  const change = whenCut(list, layout, paperOf);
  expect(change.taken).toEqual([{ paper: 'a', count: 2 }]);
  expect(change.added).toEqual([
    expect.objectContaining({
      name: 'Offcut, Night card',
      width: 300,
      height: 100,
      count: 2,
      price: expect.closeTo(0.3),
    }),
  ]);
  const spent = paperSpent(list, layout, paperOf);
  // By hand: two sheets at 0.90, a third of each kept, so 0.60 for each piece.
  expect(spent).toMatchObject({ paper: 180_000, pieces: 120_000, kept: 60_000, saved: 0, cost: expect.closeTo(1.2) });
  expect(spent.each.get('p')).toBeCloseTo(0.6);
});

test('a sheet bought for the cutting takes nothing out, and leaves its offcuts', async () => {
  const { list, layout } = await cutFrom([paper('a')], [{ name: 'p', width: 200, height: 300 }]);
  expect(whenCut(list, layout, () => undefined)).toEqual({
    taken: [],
    added: [expect.objectContaining({ name: 'Offcut, Night card', width: 300, height: 100, count: 1, price: 0 })],
  });
});

test('pieces cut from an offcut are paper saved, and an offcut of an offcut keeps its name', async () => {
  const left = paper('b', {
    name: 'Offcut, Night card',
    width: mm(300),
    height: mm(100),
    count: 1,
    price: 0.3,
    offcut: true,
  });
  const { list, layout, paperOf } = await cutFrom(
    [paper('a'), left],
    [{ name: 'p', width: 100, height: 100, quantity: 1 }],
  );
  expect(layout.sheets.map(({ sheet }) => sheet)).toEqual(['Offcut, Night card']);
  const change = whenCut(list, layout, paperOf);
  expect(change.added).toEqual([expect.objectContaining({ name: 'Offcut, Night card', width: 200, height: 100 })]);
  expect(paperSpent(list, layout, paperOf)).toMatchObject({ saved: 10_000, savedCost: expect.closeTo(0.1) });
});

test('how many copies a stack of sheets is enough for', () => {
  const { sheet } = sheetsFrom([paper('a')], false)[0]!;
  const piece = (width: number, height: number) => ({
    name: 'p',
    width: mm(width),
    height: mm(height),
    quantity: 1,
    turn: true,
  });
  // Four to a sheet of 300; two pieces of a copy on two sheets; and one that fits none.
  expect(copiesFrom([piece(150, 150)], sheet, 5)).toBe(20);
  expect(copiesFrom([piece(290, 200), piece(290, 200)], sheet, 5)).toBe(2);
  expect(copiesFrom([piece(310, 10)], sheet, 5)).toBe(0);
});

describe('what a design takes', () => {
  const made = (more: object) => {
    const read = readDesign({
      version: 1,
      construction: 'tray-box',
      contents: { width: '4 in', height: '3 in', thickness: '1 in' },
      ...more,
    } as DesignInput);
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    return blanksOf(planFor(read.design).made!, read.design);
  };

  test('each of its pieces, so often as copies are made, named by what it is for', () => {
    const pieces = made({ options: { lid: true } });
    expect(pieces.map(({ turn }) => turn)).toEqual([true, true]);
    const all = piecesOf([
      { name: 'Boxes', copies: 6, pieces },
      { name: 'More', copies: 1, pieces: pieces.slice(0, 1) },
    ]);
    expect(all.map(({ name, quantity }) => [name.split(':')[0], quantity])).toEqual([
      ['Boxes', 6],
      ['Boxes', 6],
      ['More', 1],
    ]);
    expect(piecesOf([{ name: 'Boxes', copies: 2, pieces }])[0]!.name).toBe(pieces[0]!.name);
  });

  test('on paper with a right way up it lies as the design turns it, and stays so', () => {
    const [plain] = made({});
    const [turned] = made({ paper: { directional: true, turn: 1 } });
    expect([turned!.width, turned!.height, turned!.turn]).toEqual([plain!.height, plain!.width, false]);
  });
});
