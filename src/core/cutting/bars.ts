import { points } from './guillotine';
import { NM, waysOn, type Problem, type Stock } from './problem';
import { Growing, type Solver } from './solver';

/** Most sums of sides along a sheet that are still looked at. */
const MOST_SUMS = 4000;

/**
 * Sheets surely needed, cut any way: every sheet is seen as a stack of bars a hair high, every piece as so many bars as
 * it is tall, and bars are filled without asking whether a piece's bars lie on one another (Belov and others 2009, "One-
 * dimensional relaxations and LP bounds for orthogonal packing"). Along both sides; the better of the two.
 */
export function barBound(problem: Problem, solver: Solver): number {
  const turned: Problem = {
    ...problem,
    stocks: problem.stocks.map((stock) => ({ ...stock, width: stock.height, height: stock.width })),
    items: problem.items.map((item) => ({ ...item, width: item.height, height: item.width })),
  };
  return Math.max(along(problem, solver), along(turned, solver));
}

function along({ stocks, items }: Problem, solver: Solver): number {
  /** Bars of a piece lying one way: those of each stock, the blade included. */
  const ways = items.flatMap((item, i) =>
    [false, true].flatMap((turned) => {
      const on = stocks.map((stock) => waysOn(stock, item).find((way) => way.turned === turned) ?? null);
      return on.some(Boolean) ? [{ item: i, on }] : [];
    }),
  );
  const sums = stocks.map((stock, s) =>
    points(
      stock.width,
      ways.flatMap(({ item, on }) => (on[s] ? [[on[s].width, items[item]!.demand] as const] : [])),
      MOST_SUMS,
    ),
  );
  if (sums.some(({ length }) => length > MOST_SUMS)) return 0;
  // Rows: each way has its bars; each item its ways; each stock no more bars than its sheets are high; sheets at hand.
  const [itemRow, stockRow, countRow] = [
    ways.length,
    ways.length + items.length,
    ways.length + items.length + stocks.length,
  ];
  const master = new Growing(solver, [
    ...ways.map(() => ({ least: 0, most: Infinity })),
    ...items.map(({ demand }) => ({ least: demand, most: Infinity })),
    ...stocks.map(() => ({ least: -Infinity, most: 0 })),
    ...stocks.map(({ count }) => ({ least: -Infinity, most: count })),
  ]);
  try {
    ways.forEach(({ item, on }, w) => {
      // The least height any sheet gives it: the blade may be thinner on one than on another.
      const height = Math.min(...on.flatMap((way) => (way ? [way.height] : [])));
      master.add({
        cost: 0,
        rows: [
          [w, -height / NM],
          [itemRow + item, 1],
        ],
      });
    });
    items.forEach(({ demand }, i) => master.add({ cost: 10 + demand, rows: [[itemRow + i, 1]] }));
    stocks.forEach(({ height }, s) =>
      master.add({
        cost: 1,
        rows: [
          [stockRow + s, -height / NM],
          [countRow + s, 1],
        ],
      }),
    );
    for (;;) {
      const { cost, duals } = master.solve();
      let fresh = false;
      stocks.forEach((stock, s) => {
        const worth = ways.map(({ on }, w) =>
          on[s] ? { width: on[s].width, value: Math.max(0, duals[w]!), way: w } : null,
        );
        const bar = bestBar(
          stock,
          sums[s]!,
          worth.filter((way) => way !== null),
        );
        if (bar.value <= -duals[stockRow + s]! + 1e-9) return;
        fresh = true;
        master.add({ cost: 0, rows: [...[...bar.counts].map(([w, n]) => [w, n] as const), [stockRow + s, 1]] });
      });
      if (!fresh) return cost;
    }
  } finally {
    master.dispose();
  }
}

/** The bar that is worth most. */
function bestBar(
  stock: Stock,
  sums: Float64Array,
  ways: readonly { readonly width: number; readonly value: number; readonly way: number }[],
): { readonly value: number; readonly counts: ReadonlyMap<number, number> } {
  const places = new Map(Array.from(sums, (sum, i) => [sum, i]));
  const value = new Float64Array(sums.length);
  const by = new Int32Array(sums.length).fill(-1);
  let top = 0;
  for (let at = 0; at < sums.length; at++) {
    // Sums beyond which more was asked for than there is are not points; what is worth most may stop short of them.
    if (at > 0 && by[at] === -1) continue;
    if (value[at]! > value[top]!) top = at;
    ways.forEach(({ width, value: more }, w) => {
      const to = places.get(sums[at]! + width);
      if (to !== undefined && sums[to]! <= stock.width && (by[to] === -1 || value[at]! + more > value[to]!)) {
        value[to] = value[at]! + more;
        by[to] = w;
      }
    });
  }
  const counts = new Map<number, number>();
  for (let at = top; at > 0;) {
    const { width, way } = ways[by[at]!]!;
    counts.set(way, (counts.get(way) ?? 0) + 1);
    at = places.get(sums[at]! - width)!;
  }
  return { value: value[top]!, counts };
}
