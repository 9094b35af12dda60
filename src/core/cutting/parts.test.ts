import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { cutUpSquares, itemOf, stockOf } from '../../../tests/helpers/cut-lists';
import { apart, partings, restsOf } from './apart';
import { barBound } from './bars';
import { areaBound } from './bounds';
import { everyPattern } from './every-pattern';
import { fill, FREE_MANNERS, largestFirst, MANNERS } from './fill';
import { GuillotineTable } from './guillotine';
import { countsOf, NM, waysOn, type Item, type LaidItem, type Stock } from './problem';
import { seamlessPatterns } from './seamless';
import { lookAhead } from './skyline';
import { loadSolver, type Solver } from './solver';
import { bestApart, blocksOf, tidied } from './tidy';

const RUNS = runs(40);
let solver: Solver;
beforeAll(async () => {
  solver = await loadSolver();
});

const side = fc.integer({ min: 1, max: 7 });
const someItems = fc
  .array(fc.tuple(side, side, fc.integer({ min: 1, max: 3 }), fc.boolean()), { minLength: 1, maxLength: 4 })
  .map((all) => all.map(([w, h, demand, turn]) => itemOf(w, h, demand, turn)));

/** Whether laid pieces lie on the sheet and not on one another, and no more of each than there are. */
function lies(laid: readonly LaidItem[], stock: Stock, items: readonly Item[]): boolean {
  const blocks = blocksOf(laid, stock, items);
  return (
    countsOf(laid, items).every((n, i) => n <= items[i]!.demand) &&
    blocks.every((b) => b.x >= 0 && b.y >= 0 && b.x + b.width <= stock.width && b.y + b.height <= stock.height) &&
    blocks.every((a, i) =>
      blocks
        .slice(i + 1)
        .every((b) => a.x + a.width <= b.x || b.x + b.width <= a.x || a.y + a.height <= b.y || b.y + b.height <= a.y),
    )
  );
}

/** The best value by trying every cut at every whole unit: shares nothing with the table. */
function bestByAll(width: number, height: number, items: readonly Item[], worth: readonly number[]): number {
  const known = new Map<number, number>();
  const best = (w: number, h: number): number => {
    const key = w * 100 + h;
    const found = known.get(key);
    if (found !== undefined) return found;
    let value = 0;
    items.forEach((item, i) => {
      if (waysOn(stockOf(w, h), item).length > 0) value = Math.max(value, worth[i]!);
    });
    for (let x = 1; x <= w / 2; x++) value = Math.max(value, best(x, h) + best(w - x, h));
    for (let y = 1; y <= h / 2; y++) value = Math.max(value, best(w, y) + best(w, h - y));
    known.set(key, value);
    return value;
  };
  return best(width, height);
}

describe('pricing', () => {
  const worths = fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 4, maxLength: 4 });
  test('the table gives what trying every cut gives, and its pieces are worth that', () => {
    fc.assert(
      fc.property(someItems, worths, side, side, (some, worth, w, h) => {
        // As many of each as the sheet may hold, as the table allows.
        const items = some.map((item) => ({ ...item, demand: 200 }));
        const table = new GuillotineTable(stockOf(w + 4, h + 4), items, 'exact');
        const value = table.solve(worth);
        expect(value).toBeCloseTo(bestByAll(w + 4, h + 4, items, worth), 9);
        const laid = table.laid();
        expect(laid.reduce((sum, { item }) => sum + worth[item]!, 0)).toBeCloseTo(value, 9);
        expect(lies(laid, stockOf(w + 4, h + 4), items)).toBe(true);
      }),
      RUNS,
    );
  });

  test('rounded up it finds no more, rounded down no less', () => {
    fc.assert(
      fc.property(someItems, worths, (some, worth) => {
        const items = some.map((item) => ({
          ...item,
          demand: 200,
          // Whole nanometres, as every size of a problem is.
          width: Math.round(item.width * 1.0371),
          height: Math.round(item.height * 1.0093),
        }));
        const stock = stockOf(11, 9);
        const [up, exact, down] = (['up', 'exact', 'down'] as const).map((rounding) =>
          new GuillotineTable(stock, items, rounding).solve(worth),
        );
        expect(up).toBeLessThanOrEqual(exact! + 1e-9);
        expect(exact).toBeLessThanOrEqual(down! + 1e-9);
      }),
      RUNS,
    );
  });

  test('a piece that vanishes in the rounding bounds nothing, and says so', () => {
    const roll = stockOf(762, 5000);
    expect(new GuillotineTable(roll, [itemOf(14, 14, 5)], 'down').bounds).toBe(false);
    expect(new GuillotineTable(roll, [itemOf(40, 40, 5)], 'down').bounds).toBe(true);
  });
});

describe('bounds', () => {
  /** A square of 10 in four pieces round a fifth: no cut from edge to edge, but freely it is one sheet. */
  const pinwheel = (a: number, b: number): Item[] => [
    itemOf(a, b),
    itemOf(10 - a, a),
    itemOf(a, 10 - a),
    itemOf(10 - b, 10 - a, 1, false),
  ];
  test('sheets cut up any way are never thought to be more', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 3 }),
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 20, maxLength: 20 }),
        (squares, shares) => {
          const items = cutUpSquares(squares, 6, 24, 2, (n) => shares[n % shares.length]!)
            .flat()
            .map(({ width, height }) => itemOf(width, height));
          const stock = stockOf(24, 24);
          const demand = items.map(() => 1);
          expect(areaBound(stock, items, demand)).toBeLessThanOrEqual(squares + 1e-6);
          expect(barBound({ stocks: [stock], items, free: true }, solver)).toBeLessThanOrEqual(squares + 1e-6);
          // All of it is paper, so neither is less than that either.
          expect(areaBound(stock, items, demand)).toBeGreaterThan(squares - 1e-6);
        },
      ),
      RUNS,
    );
  });

  test('pieces more than half a sheet both ways need a sheet each', () => {
    const items = [itemOf(6, 6, 5)];
    expect(areaBound(stockOf(10, 10), items, [5])).toBeCloseTo(5);
    // By hand: one piece to a bar, so five times six bars of the ten a sheet has.
    expect(barBound({ stocks: [stockOf(10, 10)], items, free: true }, solver)).toBeCloseTo(3);
  });

  test('four round a fifth is one sheet to every bound', () => {
    const items = pinwheel(6, 4);
    expect(
      areaBound(
        stockOf(10, 10),
        items,
        items.map(() => 1),
      ),
    ).toBeLessThanOrEqual(1 + 1e-6);
    expect(barBound({ stocks: [stockOf(10, 10)], items, free: true }, solver)).toBeLessThanOrEqual(1 + 1e-6);
  });
});

describe('patterns', () => {
  test('filled in any manner, pieces lie on the sheet; from edge to edge they can be parted', () => {
    fc.assert(
      fc.property(someItems, fc.nat(), fc.boolean(), (items, n, free) => {
        const stock = stockOf(9, 11);
        const manners = free ? FREE_MANNERS : MANNERS;
        const manner = manners[n % manners.length]!;
        const left = items.map(({ demand }) => demand);
        const laid = fill(stock, items, left, largestFirst(items, manner.order), manner, free);
        expect(lies(laid, stock, items)).toBe(true);
        if (!free) expect(bestApart(laid, stock, items, 1)).not.toBeNull();
      }),
      RUNS,
    );
  });

  test('every pattern there is: each can be cut, none could take one more', () => {
    fc.assert(
      fc.property(someItems, (items) => {
        const stock = stockOf(8, 8);
        const patterns = everyPattern(stock, 0, items, 1e6)!;
        const sets = new Set(patterns.map(({ counts }) => counts.join()));
        expect(sets.size).toBe(patterns.length);
        for (const { laid, counts } of patterns) {
          expect(lies(laid, stock, items)).toBe(true);
          expect(countsOf(laid, items)).toEqual([...counts]);
          expect(bestApart(laid, stock, items, 1)).not.toBeNull();
          // A larger set among them would have this one in it.
          expect(
            patterns.some((other) => other.counts !== counts && other.counts.every((more, i) => more >= counts[i]!)),
          ).toBe(false);
        }
        // What any manner lays is within one of them.
        for (const manner of MANNERS.filter((_, i) => i % 11 === 0)) {
          const order = largestFirst(items, manner.order);
          const got = countsOf(
            fill(
              stock,
              items,
              items.map(({ demand }) => demand),
              order,
              manner,
              false,
            ),
            items,
          );
          if (got.some((n) => n > 0))
            expect(patterns.some(({ counts }) => counts.every((n, i) => n >= got[i]!))).toBe(true);
        }
      }),
      RUNS,
    );
  });

  test('too many joins are given up, not gone through', () => {
    expect(everyPattern(stockOf(100, 100), 0, [itemOf(3, 5, 50), itemOf(4, 7, 50)], 1000)).toBeNull();
  });

  test('a cut-up square is filled wholly again, and nothing is left on the sheet', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 6, maxLength: 6 }), (shares) => {
        const items = cutUpSquares(1, 5, 20, 2, (n) => shares[n % shares.length]!)[0]!.map(({ width, height }) =>
          itemOf(width, height),
        );
        const stock = stockOf(20, 20);
        const patterns = seamlessPatterns(
          stock,
          0,
          items,
          items.map((_, i) => i),
          6000,
        );
        expect(patterns.length).toBeGreaterThan(0);
        for (const { laid } of patterns) {
          expect(lies(laid, stock, items)).toBe(true);
          const area = laid.reduce((sum, { item }) => sum + items[item]!.width * items[item]!.height, 0);
          expect(area / (stock.width * stock.height)).toBeCloseTo(1, 9);
        }
      }),
      RUNS,
    );
  });

  test('looking ahead lays no piece on another and is never worse than the first piece', () => {
    fc.assert(
      fc.property(someItems, (items) => {
        const stock = stockOf(8, 9);
        const laid = lookAhead(
          stock,
          items,
          items.map(({ demand }) => demand),
          3000,
        );
        expect(lies(laid, stock, items)).toBe(true);
        const area = (some: readonly LaidItem[]): number =>
          some.reduce((sum, { item }) => sum + items[item]!.width * items[item]!.height, 0);
        const largest = Math.max(
          0,
          ...items.filter((item) => waysOn(stock, item).length > 0).map(({ width, height }) => width * height),
        );
        expect(area(laid)).toBeGreaterThanOrEqual(largest);
      }),
      RUNS,
    );
  });
});

describe('parting', () => {
  test('whatever was cut from edge to edge is parted again, every piece and nothing else', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 9, maxLength: 9 }), (shares) => {
        const blocks = cutUpSquares(1, 7, 30, 2, (n) => shares[n % shares.length]!)[0]!.map((part, id) => ({
          id,
          x: part.x * NM,
          y: part.y * NM,
          width: part.width * NM,
          height: part.height * NM,
        }));
        const part = { x: 0, y: 0, width: 30 * NM, height: 30 * NM };
        for (const axis of ['x', 'y'] as const) {
          const found = apart(blocks, part, axis);
          expect(found.ok).toBe(true);
          if (!found.ok) return;
          // One cut makes one part more; nothing is left over.
          expect(partings(found.pieces)).toHaveLength(blocks.length - 1);
          expect(restsOf(found.pieces)).toEqual([]);
        }
      }),
      RUNS,
    );
  });

  test('laid anew, a sheet keeps its pieces and its largest offcut never shrinks', () => {
    const rest = (laid: readonly LaidItem[], stock: Stock, items: readonly Item[]): number =>
      Math.max(
        0,
        ...restsOf(bestApart(laid, stock, items, NM)!)
          .filter((r) => Math.min(r.width, r.height) >= NM)
          .map((r) => r.width * r.height),
      );
    fc.assert(
      fc.property(someItems, fc.nat(), (items, n) => {
        const stock = stockOf(12, 10);
        const manner = MANNERS[n % MANNERS.length]!;
        const left = items.map(({ demand }) => demand);
        const laid = fill(stock, items, left, largestFirst(items, manner.order), manner, false);
        fc.pre(laid.length > 0);
        const anew = tidied(laid, stock, items, NM, false, laid.length);
        expect(countsOf(anew, items)).toEqual(countsOf(laid, items));
        expect(lies(anew, stock, items)).toBe(true);
        expect(rest(anew, stock, items)).toBeGreaterThanOrEqual(rest(laid, stock, items));
      }),
      RUNS,
    );
  });
});
