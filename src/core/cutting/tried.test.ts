/**
 * What the search tries and finds on small lists, step by step, as approved tables: every manner of filling a sheet,
 * bounds, looking ahead, and what was best and proved after each step. Whether it is right is asked beside this: layouts
 * lie on their sheets, bounds hold, proofs agree with trying everything. Here a change of what is tried is seen.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { itemOf, stockOf } from '../../../tests/helpers/cut-lists';
import { mm } from '../length';
import { answerBy, better, rating, withoutSurplus } from './answer';
import { barBound } from './bars';
import { areaBound } from './bounds';
import { readCutList } from './cut-list';
import { everyPattern } from './every-pattern';
import { carve, fill, FREE_MANNERS, largestFirst, MANNERS } from './fill';
import { laidByHand } from './layout';
import { copiesFrom } from './needs';
import { NM, problemOf, type Item, type LaidItem, type Problem, type Stock } from './problem';
import { search, simpleBound, USUAL_PATIENCE, type Patience } from './search';
import { seamlessPatterns } from './seamless';
import { lookAhead } from './skyline';
import { loadSolver, type Solver } from './solver';

let solver: Solver;
beforeAll(async () => {
  solver = await loadSolver();
});

const MIXED = [
  itemOf(60, 40, 3),
  itemOf(50, 50, 2, false),
  itemOf(90, 20, 4),
  itemOf(30, 31, 5),
  itemOf(100, 70, 1),
  itemOf(20, 110, 2, false),
];
const laidText = (laid: readonly LaidItem[]): string =>
  laid.map(({ item, x, y, turned }) => `${item}${turned ? 't' : ''} ${x / NM},${y / NM}`).join('; ');

test('every manner of filling a sheet', () => {
  const stock = stockOf(201, 151, { kerf: NM });
  const left = MIXED.map(({ demand }) => demand);
  const lines = [...MANNERS, ...FREE_MANNERS].map((manner, i) => {
    const free = i >= MANNERS.length;
    const laid = fill(stock, MIXED, left, largestFirst(MIXED, manner.order), manner, free);
    return `${free ? 'free' : manner.split} ${manner.order} ${manner.place}: ${laidText(laid)}`;
  });
  expectApproved('cutting/manners', `${lines.join('\n')}\n`);
});

test('what is left when a rectangle is taken: the largest empty ones, none inside another', () => {
  const space = (x: number, y: number, width: number, height: number) => ({ x, y, width, height });
  const sheet = space(0, 0, 10, 10);
  expect(carve([sheet], space(0, 0, 4, 3))).toEqual([space(4, 0, 6, 10), space(0, 3, 10, 7)]);
  expect(carve([sheet], space(3, 3, 4, 4))).toEqual([
    space(0, 0, 3, 10),
    space(7, 0, 3, 10),
    space(0, 0, 10, 3),
    space(0, 7, 10, 3),
  ]);
  // Beside it nothing changes; exactly covered nothing is left.
  expect(carve([sheet], space(10, 0, 5, 5))).toEqual([sheet]);
  expect(carve([sheet], sheet)).toEqual([]);
  // Of two that overlap, what comes to lie in the other goes, and of two alike one stays.
  expect(carve([sheet, space(0, 5, 10, 5)], space(0, 0, 10, 5))).toEqual([space(0, 5, 10, 5)]);
  expect(carve([space(0, 0, 5, 10), space(0, 0, 10, 10)], space(6, 0, 4, 10))).toEqual([space(0, 0, 6, 10)]);
});

describe('answers', () => {
  const problem: Problem = {
    stocks: [
      stockOf(100, 100, { priority: 1 }),
      stockOf(60, 60, { priority: 0, count: 2 }),
      stockOf(100, 60, { priority: 1 }),
    ],
    items: [itemOf(60, 60, 3), itemOf(40, 40, 2)],
    free: false,
  };
  const pattern = (stock: number, ...counts: number[]) => ({
    stock,
    counts,
    laid: counts.flatMap((n, item) => Array.from({ length: n }, () => ({ item, x: 0, y: 0, turned: false }))),
  });

  test('are rated by what is left over, then by sheets of the last priority, of the first, then by paper', () => {
    const square = NM * NM;
    expect(rating({ patterns: [pattern(0, 1, 1), pattern(1, 1, 0)], unplaced: [1, 2] }, problem)).toEqual([
      (3600 + 2 * 1600) * square,
      1,
      1,
      13600 * square,
    ]);
    expect([better([0, 2, 3], [0, 2, 4]), better([0, 3, 1], [0, 2, 9]), better([1, 2], [1, 2])]).toEqual([
      true,
      false,
      false,
    ]);
  });

  test('take the sheets of the first priority first, then those that take most, the smallest of alike', () => {
    const order = largestFirst(problem.items, 'area');
    const { patterns, unplaced } = answerBy(problem, order, MANNERS[0]!);
    expect(patterns.map(({ stock, counts }) => [stock, ...counts])).toEqual([
      [1, 1, 0],
      [1, 1, 0],
      [0, 1, 2],
    ]);
    expect(unplaced).toEqual([0, 0]);
    const one = { ...problem, items: [itemOf(60, 60, 1)], stocks: problem.stocks.filter((_, i) => i !== 1) };
    // Both take it: the smaller.
    expect(answerBy(one, [0], MANNERS[0]!).patterns.map(({ stock }) => stock)).toEqual([1]);
  });

  test('give back what is too much, from the emptiest sheets first', () => {
    const { patterns, unplaced } = withoutSurplus(
      [pattern(0, 1, 2), pattern(0, 1, 0), pattern(0, 2, 0)],
      problem.items,
    );
    expect(patterns.map(({ counts }) => counts)).toEqual([
      [2, 0],
      [1, 2],
    ]);
    expect(unplaced).toEqual([0, 0]);
    // Large and few weigh more than small and many.
    const few = withoutSurplus([pattern(0, 0, 2), pattern(0, 1, 0)], [itemOf(60, 60, 1), itemOf(40, 40, 0)]);
    expect([few.patterns.map(({ counts }) => counts), few.unplaced]).toEqual([[[1, 0]], [0, 0]]);
    expect(withoutSurplus([pattern(0, 1, 0)], problem.items).unplaced).toEqual([2, 2]);
  });
});

test('bounds, patterns and looking ahead on small sheets', () => {
  const lists: readonly (readonly [string, Stock, readonly Item[]])[] = [
    ['halves and more', stockOf(10, 10), [itemOf(6, 6, 3), itemOf(5, 5, 2), itemOf(4, 9, 2)]],
    ['thirds', stockOf(9, 9), [itemOf(3, 3, 10), itemOf(4, 3, 5), itemOf(7, 2, 3)]],
    ['a pinwheel', stockOf(10, 10), [itemOf(7, 3, 4), itemOf(4, 4, 1)]],
    ['not turned', stockOf(12, 8, { turn: false }), [itemOf(5, 3, 4), itemOf(3, 5, 4), itemOf(8, 2, 2)]],
    ['a blade', stockOf(11, 11, { kerf: NM }), [itemOf(4, 4, 5), itemOf(2, 9, 2)]],
    ['too long', stockOf(6, 6), [itemOf(7, 1, 1), itemOf(6, 2, 4)]],
  ];
  const lines = lists.flatMap(([name, stock, items]) => {
    const demand = items.map((item) => item.demand);
    const round = (n: number): number => Math.round(n * 1e6) / 1e6;
    return [
      `${name}: area ${round(areaBound(stock, items, demand))}, bars ${round(barBound({ stocks: [stock], items, free: true }, solver))}`,
      `  ahead: ${laidText(lookAhead(stock, items, demand, 5000))}`,
      ...(everyPattern(stock, 0, items, 20_000) ?? []).map(
        ({ counts, laid }) => `  ${counts.join(' ')}: ${laidText(laid)}`,
      ),
      ...seamlessPatterns(stock, 0, items, [0, 1], 200).map(({ counts }) => `  without waste ${counts.join(' ')}`),
    ];
  });
  expectApproved('cutting/bounds', `${lines.join('\n')}\n`);
});

/** Enough to come by every step of the search, and quick. */
const LITTLE: Patience = {
  ...USUAL_PATIENCE,
  joins: 20_000,
  handfuls: 12,
  parts: 300,
  steps: 4000,
  shuffles: 60,
};
const many = Array.from({ length: 17 }, (_, i) => itemOf(13 + ((i * 7) % 29), 11 + ((i * 11) % 23), 1 + (i % 3)));
test.each<[string, Problem, Patience]>([
  ['one size', { stocks: [stockOf(100, 70)], items: [itemOf(30, 20, 25)], free: false }, LITTLE],
  ['mixed', { stocks: [stockOf(120, 110)], items: MIXED, free: false }, LITTLE],
  ['mixed-free', { stocks: [stockOf(120, 110)], items: MIXED, free: true }, LITTLE],
  [
    'two-papers',
    { stocks: [stockOf(120, 110), stockOf(80, 110, { sheet: 1 })], items: MIXED.slice(0, 4), free: false },
    LITTLE,
  ],
  [
    'offcuts-first',
    {
      stocks: [
        stockOf(120, 110, { priority: 2 }),
        stockOf(70, 60, { sheet: 1, priority: 0, count: 2 }),
        stockOf(95, 60, { sheet: 2, priority: 1, count: 1 }),
      ],
      items: MIXED,
      free: false,
    },
    LITTLE,
  ],
  ['not-enough', { stocks: [stockOf(120, 110, { count: 1 })], items: MIXED, free: false }, LITTLE],
  ['many-sizes', { stocks: [stockOf(60, 50)], items: many, free: false }, LITTLE],
  ['many-sizes-free', { stocks: [stockOf(60, 50)], items: many, free: true }, { ...LITTLE, shuffles: 120 }],
  [
    'too-little-in-common',
    {
      stocks: [stockOf(305.3, 297.7)],
      items: many.map((item) => ({ ...item, width: item.width * 3.137, height: item.height * 2.911 })),
      free: false,
    },
    { ...LITTLE, joins: 500 },
  ],
])('the search, step by step: %s', (name, problem, patience) => {
  const steps = search(problem, solver, patience);
  const lines = [
    `simple bound ${simpleBound(problem, answerBy(problem, largestFirst(problem.items, 'area'), MANNERS[0]!))}`,
  ];
  for (let step = steps.next(); ; step = steps.next()) {
    const { doing, answer, lowerBound, proved, patterns } = step.value;
    const sheets = problem.stocks.map((_, s) => answer.patterns.filter(({ stock }) => stock === s).length);
    lines.push(
      `${doing}: sheets ${sheets.join(' ')}, left over ${answer.unplaced.join(' ')}, at least ${lowerBound}${proved ? ', proved' : ''}, of ${patterns} patterns`,
    );
    if (step.done) break;
  }
  expectApproved(`cutting/search-${name.replace(' ', '-')}`, `${lines.join('\n')}\n`);
});

test('without a solver it ends at the first answer', () => {
  const standings = [...search({ stocks: [stockOf(120, 110)], items: MIXED, free: false }, null, LITTLE)];
  expect(new Set(standings.map(({ doing }) => doing))).toEqual(new Set(['first answer']));
});

test('copies a stack is enough for: several to a sheet, or several sheets to a copy', () => {
  const card = (width: number, height: number, quantity = 1) => ({
    name: 'card',
    width: mm(width),
    height: mm(height),
    quantity,
    turn: true,
  });
  const read = readCutList({
    version: 1,
    sheets: [{ name: 'sheet', width: 210, height: 297 }],
    pieces: [{ name: 'card', width: 100, height: 140 }],
  });
  const sheet = read.ok ? read.list.sheets[0]! : null;
  expect(copiesFrom([card(100, 140)], sheet!, 3)).toBe(12);
  // The fourth would do on one more sheet of the same stack, but is not counted on.
  expect(copiesFrom([card(100, 100)], sheet!, 2)).toBe(8);
  expect(copiesFrom([card(200, 200, 2)], sheet!, 5)).toBe(2);
  expect(copiesFrom([card(300, 300)], sheet!, 5)).toBe(0);
  // Two pieces that only fit one below the other, told in either order; a hair more, and they take two sheets.
  expect(copiesFrom([card(210, 97), card(200, 210)], sheet!, 1)).toBe(1);
  expect(copiesFrom([card(200, 210), card(210, 97)], sheet!, 1)).toBe(1);
  expect(copiesFrom([card(210, 97), card(205, 205)], sheet!, 1)).toBe(0);
  expect(copiesFrom([card(210, 97), card(205, 205)], sheet!, 5)).toBe(2);
});

test('pieces none are asked of do not count against a sheet’s size', () => {
  const list = (quantity: number) =>
    readCutList({
      version: 1,
      sheets: [{ name: 'roll', width: 760, height: 5000 }],
      pieces: [
        { name: 'tag', width: 0.5, height: 0.5, quantity },
        { name: 'card', width: 100, height: 140 },
      ],
    }).ok;
  expect([list(0), list(1)]).toEqual([true, false]);
});

test('by hand: the outlines to cut, each side once, none along the sheet’s own edge', () => {
  const read = readCutList({
    version: 1,
    cutter: 'free',
    sheets: [{ name: 'sheet', width: 100, height: 80, trim: 5 }],
    pieces: [{ name: 'card', width: 30, height: 20, quantity: 2 }],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const [sheet] = read.list.sheets;
  const at = (x: number, y: number) => ({
    piece: 'card',
    x: mm(x),
    y: mm(y),
    width: mm(30),
    height: mm(20),
    turned: false,
  });
  const byHand = laidByHand([at(5, 5), at(35, 5)], sheet!, 'free', mm(10));
  expectApproved('cutting/by-hand', `${JSON.stringify(byHand, null, 1)}\n`);
  expect(laidByHand([at(4.9, 5)], sheet!, 'free', mm(10)).ok).toBe(false);
  expect(laidByHand([at(65, 55)], sheet!, 'free', mm(10)).ok).toBe(true);
  expect(laidByHand([at(65.1, 55)], sheet!, 'free', mm(10)).ok).toBe(false);
  expect(laidByHand([at(65, 55.1)], sheet!, 'free', mm(10)).ok).toBe(false);
  expect(problemOf(read.list).stocks[0]).toMatchObject({ width: 90 * NM, height: 70 * NM });
});
