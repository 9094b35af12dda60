import { answerBy, better, prioritiesOf, rating, usedOf, withoutSurplus, type Answer } from './answer';
import { barBound } from './bars';
import { areaBound } from './bounds';
import { everyPattern } from './every-pattern';
import { FREE_MANNERS, largestFirst, MANNERS, type Manner } from './fill';
import { GuillotineTable } from './guillotine';
import { countsOf, type Pattern, type Problem, type Stock } from './problem';
import { seamlessPatterns } from './seamless';
import { lookAhead } from './skyline';
import { Growing, wholeNumbers, type Column, type Row, type Solver } from './solver';

/** What the search is doing. */
export type SearchPhase = 'first answer' | 'lower bound' | 'better patterns' | 'whole numbers' | 'every pattern';

/** Where the search stands: the best answer so far and what is proved. */
export interface SearchState {
  readonly doing: SearchPhase;
  readonly answer: Answer;
  /** No answer that keeps the priorities uses fewer sheets. */
  readonly lowerBound: number;
  readonly proved: boolean;
  /** Patterns the answer is chosen from. */
  readonly patterns: number;
}

/** How far the search goes. */
export interface Patience {
  /** Longest one run of the solver's whole-number part may take, seconds. */
  readonly solverSeconds: number;
  /** Joins tried before listing every pattern is given up. */
  readonly joins: number;
  /** Handfuls of sizes whose parts without waste are gone through, and most parts of each. */
  readonly handfuls: number;
  readonly parts: number;
  /** Steps of looking ahead, over all sheets. */
  readonly steps: number;
  /** Answers built from shuffled orders. */
  readonly shuffles: number;
}
export const USUAL_PATIENCE: Patience = {
  solverSeconds: 6,
  joins: 1.5e6,
  handfuls: 40,
  parts: 6000,
  steps: 400_000,
  shuffles: 600,
};

/** Most sizes whose parts without waste are gone through together. */
const SIZES_TOGETHER = 14;
/** Most patterns kept to choose from. */
const MOST_PATTERNS = 6000;
/** A bound this near below a whole number is that number. */
const HAIR = 1e-6;

/** Numbers from 0 to 1 that look random and are the same every time (Park and Miller 1988). */
function* shuffled(seed: number): Generator<number, never> {
  for (let at = seed; ;) {
    at = (at * 48271) % 2147483647;
    yield at / 2147483647;
  }
}

/** Some of so many sizes, by place; all where they are few. */
function handful(sizes: number, random: Iterator<number, never>): number[] {
  const lots = Array.from({ length: sizes }, (_, i) => [random.next().value, i] as const);
  return lots
    .sort(([a], [b]) => a - b)
    .slice(0, SIZES_TOGETHER)
    .map(([, i]) => i);
}

/** The search as it stands: the best answer, the patterns met so far, and what is proved. */
class Standing {
  readonly pool = new Pool();
  readonly manners: readonly Manner[];
  best: Answer;
  lowerBound = 0;
  proved = false;
  private bestRating: ReturnType<typeof rating>;

  constructor(readonly problem: Problem) {
    this.manners = problem.free ? FREE_MANNERS : MANNERS;
    this.best = { patterns: [], unplaced: problem.items.map(({ demand }) => demand) };
    this.bestRating = rating(this.best, problem);
  }
  /** Everything has a place. */
  get complete(): boolean {
    return this.best.unplaced.every((n) => n === 0);
  }
  isBetter(answer: Answer): boolean {
    return better(rating(answer, this.problem), this.bestRating);
  }
  offer(answer: Answer): void {
    this.pool.addAll(answer.patterns);
    if (!this.isBetter(answer)) return;
    this.best = answer;
    this.bestRating = rating(answer, this.problem);
  }
  now(doing: SearchPhase): SearchState {
    const { best: answer, lowerBound, proved, pool } = this;
    return { doing, answer, lowerBound, proved, patterns: pool.size };
  }
}

/** Sheets of one priority, made as few as can be; those of priorities settled already may not become more. */
class Round {
  readonly cost: readonly number[];
  readonly rows: readonly Row[];
  /** All stocks are of this priority. */
  readonly isOnly: boolean;
  private least = 0;

  /**
   * @param limits sheets of each priority settled before
   * @param settled their number where it is proved, else null
   */
  constructor(
    readonly standing: Standing,
    readonly priority: number,
    readonly limits: ReadonlyMap<number, number>,
    private readonly settled: number | null,
  ) {
    const { problem } = standing;
    this.cost = problem.stocks.map((stock) => (stock.priority === priority ? 1 : 0));
    this.isOnly = problem.stocks.every((stock) => stock.priority === priority);
    this.rows = rowsOf(problem, limits);
  }
  get used(): number {
    return usedOf(this.standing.best.patterns, this.standing.problem, this.priority);
  }
  get done(): boolean {
    return this.standing.complete && this.used <= this.least;
  }
  /** No answer has fewer sheets of this priority. */
  raise(bound: number): void {
    this.least = Math.max(this.least, Math.ceil(bound - HAIR));
    if (this.settled !== null) this.standing.lowerBound = Math.max(this.standing.lowerBound, this.settled + this.least);
  }
  /** The best choice among patterns, in whole numbers; gives whether it is proved to be. */
  choose(patterns: readonly Pattern[], solver: Solver, seconds: number): boolean {
    const { standing, cost, limits } = this;
    const chosen = wholeAnswer(standing.problem, patterns, cost, limits, standing.best, solver, seconds);
    if (chosen) standing.offer(chosen.answer);
    return chosen?.proved ?? false;
  }
}

/**
 * Searches for the fewest sheets and proves it: a first answer by filling sheets in many manners; a lower bound and
 * good patterns by column generation, the patterns of cuts from edge to edge priced by dynamic programming; whole
 * numbers by the solver; at last, where it is small enough, a choice among every pattern there is. Sheets of the
 * priority used last are made fewest first, then those of the one before.
 *
 * Every step gives the best so far, so the caller may stop at any. Without a solver it ends at the first answer.
 */
export function* search(
  problem: Problem,
  solver: Solver | null,
  patience: Patience,
): Generator<SearchState, SearchState> {
  const { stocks, free } = problem;
  const standing = new Standing(problem);
  yield* firstAnswers(standing);
  const simple = simpleBound(problem, standing.best);
  standing.lowerBound = simple;
  standing.proved =
    standing.complete &&
    stocks.every(({ priority }) => priority === stocks[0]!.priority) &&
    standing.best.patterns.length <= simple;
  yield standing.now('first answer');
  if (standing.proved || !solver) return standing.now('first answer');
  if (free) {
    // What can be cut from edge to edge can be cut freely as well; only its bound does not hold here.
    for (const { answer, doing } of search({ ...problem, free: false }, solver, patience)) {
      standing.offer(answer);
      yield standing.now(doing);
    }
  }

  const limits = new Map<number, number>();
  let settled = 0;
  let allProved = true;
  const table = pricing(problem);
  let shuffledYet = false;
  /** Every pattern there is; null when they are too many; undefined until they are asked for. */
  let every: readonly Pattern[] | null | undefined;
  for (const priority of prioritiesOf(problem).reverse()) {
    const round = new Round(standing, priority, new Map(limits), allProved ? settled : null);
    if (round.isOnly) round.raise(simple);
    if (standing.complete && table && !round.done) yield* columnGeneration(round, solver, table);
    if (standing.complete && free && limits.size === 0 && round.isOnly && !round.done) {
      round.raise(barBound(problem, solver));
      yield standing.now('lower bound');
    }
    if (!round.done) {
      round.choose(standing.pool.all, solver, patience.solverSeconds);
      yield standing.now('whole numbers');
    }
    if (!round.done && !shuffledYet) {
      shuffledYet = true;
      yield* betterPatterns(round, solver, patience);
    }
    if (!round.done && !free && every !== null) {
      yield standing.now('every pattern');
      every ??= allPatterns(problem, patience.joins);
      if (every) {
        standing.pool.addAll(every);
        if (round.choose(every, solver, patience.solverSeconds) && standing.complete) round.raise(round.used);
        yield standing.now('whole numbers');
      }
    }
    limits.set(priority, round.used);
    if (!round.done) allProved = false;
    settled += round.used;
  }
  standing.proved = allProved && standing.complete;
  if (standing.proved) standing.lowerBound = Math.max(standing.lowerBound, standing.best.patterns.length);
  return standing.now('whole numbers');
}

/** Fills sheets in every manner there is. */
function* firstAnswers(standing: Standing): Generator<SearchState, void> {
  const { problem, manners } = standing;
  const fillings = [
    ...manners.map((manner) => ({ of: problem, manner })),
    ...(problem.free ? MANNERS.map((manner) => ({ of: { ...problem, free: false }, manner })) : []),
  ];
  for (const { of, manner } of fillings) {
    const before = standing.best;
    standing.offer(answerBy(of, largestFirst(problem.items, manner.order), manner));
    if (standing.lowerBound === 0) standing.lowerBound = simpleBound(problem, standing.best);
    // Of many sizes each manner takes a while: whoever waits has the first answer as soon as there is one.
    if (standing.best !== before) yield standing.now('first answer');
  }
}

/** The linear relaxation over all patterns, new ones where the duals say they are worth it, and its bound. */
function* columnGeneration(round: Round, solver: Solver, table: Pricing): Generator<SearchState, void> {
  const { standing, cost, limits } = round;
  const { problem, pool } = standing;
  const { items, stocks } = problem;
  const master = new Growing(solver, round.rows);
  let inMaster = 0;
  const admit = (): void => {
    for (const pattern of pool.from(inMaster)) master.add(columnOf(pattern, problem, cost[pattern.stock]!, limits));
    inMaster = pool.size;
  };
  items.forEach((item, i) => master.add({ cost: 10 + item.demand, rows: [[i, 1]] }));
  try {
    for (let fresh = true, turn = 0; fresh && !round.done; turn++) {
      admit();
      const { duals } = master.solve();
      const worth = Array.from(items, (_, i) => Math.max(0, duals[i]!));
      fresh = false;
      const values = stocks.map((_, s) => table.solve(s, worth));
      const bounds = values.map(({ bound }) => bound);
      if (bounds.every(Number.isFinite)) round.raise(lagrangian(problem, worth, bounds, cost, limits, round.used));
      stocks.forEach((stock, s) => {
        const limited = [...limits.keys()].indexOf(stock.priority);
        const paid =
          cost[s]! - duals[items.length + s]! - (limited < 0 ? 0 : duals[items.length + stocks.length + limited]!);
        if (values[s]!.value <= paid + 1e-7) return;
        const laid = table.laid(s);
        if (pool.add({ stock: s, counts: countsOf(laid, items), laid })) fresh = true;
      });
      if (turn % 4 === 3) yield standing.now('lower bound');
      if (pool.size > MOST_PATTERNS) break;
    }
  } finally {
    master.dispose();
  }
}

/** Patterns that column generation does not come to: sheets filled wholly by a few sizes, and shuffled orders. */
function* betterPatterns(round: Round, solver: Solver, patience: Patience): Generator<SearchState, void> {
  const { standing } = round;
  const { problem, pool, manners } = standing;
  const { items, stocks, free } = problem;
  const random = shuffled(20261125);
  // Few sizes at a time: all of them together have too many parts to be gone through.
  const whole = new Pool();
  for (let n = 0; n < (items.length > SIZES_TOGETHER ? patience.handfuls : 1); n++) {
    const some = handful(items.length, random);
    for (const [s, stock] of stocks.entries()) whole.addAll(seamlessPatterns(stock, s, items, some, patience.parts));
    if (n % 10 === 9) yield standing.now('better patterns');
  }
  const filled = withWhole(problem, whole.all, manners, solver, patience.solverSeconds);
  if (filled) standing.offer(filled);
  pool.addAll(whole.all);
  yield standing.now('whole numbers');
  if (free && !round.done)
    standing.offer(aheadAnswer(problem, patience.steps / Math.max(1, standing.best.patterns.length)));
  for (let n = 0; n < patience.shuffles && !round.done && pool.size < MOST_PATTERNS; n++) {
    const weight = items.map(({ width, height }) => width * height * (0.5 + random.next().value));
    const order = items.map((_, i) => i).sort((a, b) => weight[b]! - weight[a]!);
    const answer = answerBy(problem, order, manners[n % manners.length]!);
    if (standing.isBetter(answer)) standing.offer(answer);
    else pool.addAll(answer.patterns.filter((pattern) => full(pattern, problem, standing.best.patterns.length)));
    if (n % 50 === 49) yield standing.now('better patterns');
  }
  if (round.done) return;
  round.choose(pool.all, solver, patience.solverSeconds);
  yield standing.now('whole numbers');
}

/** Whether a sheet is about as full as all must be for one sheet less to do. */
function full({ stock, counts }: Pattern, { items, stocks }: Problem, used: number): boolean {
  const area = (of: readonly number[]): number =>
    of.reduce((sum, n, i) => sum + n * items[i]!.width * items[i]!.height, 0);
  const largest = Math.max(...stocks.map(({ width, height }) => width * height));
  const needed = area(items.map(({ demand }) => demand)) / (Math.max(1, used - 1) * largest);
  return area(counts) / (stocks[stock]!.width * stocks[stock]!.height) >= 0.93 * Math.min(1, needed);
}

/** Patterns to choose from, each set of pieces on a sheet once. */
class Pool {
  readonly all: Pattern[] = [];
  private readonly keys = new Set<string>();
  get size(): number {
    return this.all.length;
  }
  add(pattern: Pattern): boolean {
    const key = `${pattern.stock}:${pattern.counts.join()}`;
    if (this.keys.has(key)) return false;
    this.keys.add(key);
    this.all.push(pattern);
    return true;
  }
  addAll(patterns: readonly Pattern[]): void {
    for (const pattern of patterns) this.add(pattern);
  }
  from(start: number): readonly Pattern[] {
    return this.all.slice(start);
  }
}

/** Rows: each item as often as asked for; no more sheets than at hand; no more of a settled priority. */
function rowsOf({ items, stocks }: Problem, limits: ReadonlyMap<number, number>): Row[] {
  return [
    ...items.map(({ demand }) => ({ least: demand, most: Infinity })),
    ...stocks.map(({ count }) => ({ least: -Infinity, most: count })),
    ...[...limits.values()].map((most) => ({ least: -Infinity, most })),
  ];
}

/** A pattern as a column of those rows. */
function columnOf(
  { stock, counts }: Pattern,
  { items, stocks }: Problem,
  cost: number,
  limits: ReadonlyMap<number, number>,
): Column {
  const limit = [...limits.keys()].indexOf(stocks[stock]!.priority);
  return {
    cost,
    rows: [
      ...counts.flatMap((n, i) => (n > 0 ? [[i, n] as const] : [])),
      [items.length + stock, 1],
      ...(limit >= 0 ? [[items.length + stocks.length + limit, 1] as const] : []),
    ],
  };
}

/**
 * The sheets chosen from patterns in whole numbers: as few as can be of what costs, then as little paper. What finds
 * no place costs more than any sheet. `proved` says that these patterns give nothing better.
 */
function wholeAnswer(
  problem: Problem,
  patterns: readonly Pattern[],
  cost: readonly number[],
  limits: ReadonlyMap<number, number>,
  best: Answer,
  solver: Solver,
  seconds: number,
): { readonly answer: Answer; readonly proved: boolean } | null {
  const { items, stocks } = problem;
  const paper = stocks.map(({ width, height }) => width * height);
  const most = Math.max(...paper);
  const many = paper.some((area) => area !== most);
  // All paper together costs less than one sheet.
  const share = many || stocks.length > 1 ? 0.5 / (best.patterns.length + 1) / most : 0;
  const columns = [
    ...patterns.map((pattern) =>
      columnOf(pattern, problem, cost[pattern.stock]! + share * paper[pattern.stock]!, limits),
    ),
    ...items.map(({ width, height }, i) => ({ cost: 1000 * (1 + (width * height) / most), rows: [[i, 1] as const] })),
  ];
  const start = columns.map(() => 0);
  const places = new Map(patterns.map(({ stock, counts }, i) => [`${stock}:${counts.join()}`, i]));
  for (const { stock, counts } of best.patterns) {
    const place = places.get(`${stock}:${counts.join()}`);
    if (place !== undefined) start[place]!++;
  }
  best.unplaced.forEach((n, i) => (start[patterns.length + i] = n));
  const found = wholeNumbers(solver, rowsOf(problem, limits), columns, start, seconds);
  if (!found) return null;
  const chosen = patterns.flatMap((pattern, i) => Array.from({ length: found.values[i]! }, () => pattern));
  return { answer: withoutSurplus(chosen, items), proved: found.proved };
}

/** As many sheets filled wholly as can be, the rest of the pieces on others; null when no sheet is. */
function withWhole(
  problem: Problem,
  whole: readonly Pattern[],
  manners: readonly Manner[],
  solver: Solver,
  seconds: number,
): Answer | null {
  const { items, stocks } = problem;
  if (whole.length === 0) return null;
  const rows = [
    ...items.map(({ demand }) => ({ least: -Infinity, most: demand })),
    ...stocks.map(({ count }) => ({ least: -Infinity, most: count })),
  ];
  const columns = whole.map((pattern) => columnOf(pattern, problem, -1, new Map()));
  const found = wholeNumbers(solver, rows, columns, null, seconds);
  if (!found) return null;
  const chosen = whole.flatMap((pattern, i) => Array.from({ length: found.values[i]! }, () => pattern));
  const left = (counts: (pattern: Pattern) => number): number => chosen.reduce((sum, one) => sum + counts(one), 0);
  const rest: Problem = {
    ...problem,
    items: items.map((item, i) => ({ ...item, demand: item.demand - left(({ counts }) => counts[i]!) })),
    stocks: stocks.map((stock, s) => ({ ...stock, count: stock.count - left((one) => (one.stock === s ? 1 : 0)) })),
  };
  return manners
    .map((manner): Answer => {
      const { patterns, unplaced } = answerBy(rest, largestFirst(items, manner.order), manner);
      return { patterns: [...chosen, ...patterns], unplaced };
    })
    .reduce((a, b) => (better(rating(b, problem), rating(a, problem)) ? b : a));
}

/** An answer by looking ahead, sheet after sheet, on the first sheets there are. */
function aheadAnswer(problem: Problem, steps: number): Answer {
  const { items, stocks } = problem;
  const left = items.map(({ demand }) => demand);
  const sheets = stocks.map(({ count }) => count);
  const patterns: Pattern[] = [];
  for (const [s, stock] of [...stocks.entries()].sort(([, a], [, b]) => a.priority - b.priority))
    while (sheets[s]! > 0) {
      const laid = lookAhead(stock, items, left, steps);
      if (laid.length === 0) break;
      const counts = countsOf(laid, items);
      counts.forEach((n, i) => (left[i]! -= n));
      sheets[s]!--;
      patterns.push({ stock: s, counts, laid });
    }
  return { patterns, unplaced: left };
}

/** Every pattern of every stock, or null when there are too many. A join takes longer the more sizes there are. */
function allPatterns({ stocks, items }: Problem, joins: number): Pattern[] | null {
  const all: Pattern[] = [];
  for (const [s, stock] of stocks.entries()) {
    const patterns = everyPattern(stock, s, items, joins / stocks.length / Math.max(1, items.length / 15));
    if (!patterns) return null;
    all.push(...patterns);
  }
  return all;
}

/** What the best sheet is worth, what no sheet is worth more than (infinite where that is not known), its pieces. */
interface Pricing {
  solve(stock: number, worth: readonly number[]): { readonly value: number; readonly bound: number };
  laid(stock: number): ReturnType<GuillotineTable['laid']>;
}

/** Prices patterns by dynamic programming; rounded to a grid where the sizes have too little in common. */
function pricing({ stocks, items, free }: Problem): Pricing | null {
  if (free) return null;
  const tables = stocks.map((stock) => {
    if (GuillotineTable.fits(stock, items)) return { real: new GuillotineTable(stock, items, 'exact'), over: null };
    return { real: new GuillotineTable(stock, items, 'up'), over: new GuillotineTable(stock, items, 'down') };
  });
  return {
    solve: (stock, worth) => {
      const { real, over } = tables[stock]!;
      const value = real.solve(worth);
      return { value, bound: over ? (over.bounds ? over.solve(worth) : Infinity) : value };
    },
    laid: (stock) => tables[stock]!.real.laid(),
  };
}

/**
 * A bound from what pieces are worth (Lagrange, with the covering left out): the worth of all pieces less what sheets
 * give beyond their cost, taken as often as may be. Scaled so that no sheet gives too much it is Farley's bound (1990);
 * the better of both. True for any worth, so nothing depends on the solver's last digits.
 */
function lagrangian(
  { items, stocks }: Problem,
  worth: readonly number[],
  best: readonly number[],
  cost: readonly number[],
  limits: ReadonlyMap<number, number>,
  used: number,
): number {
  const all = items.reduce((sum, { demand }, i) => sum + demand * worth[i]!, 0);
  const pieces = items.reduce((sum, { demand }) => sum + demand, 0);
  const bound = (scale: number): number => {
    let sum = scale * all;
    for (const priority of new Set(stocks.map((stock) => stock.priority))) {
      const own = stocks.flatMap((stock, s) => (stock.priority === priority ? [s] : []));
      // Of what is being made fewer no better answer takes more than there are now; of the rest a sheet a piece at most.
      let room = limits.get(priority) ?? (own.some((s) => cost[s]! > 0) ? used : pieces);
      for (const s of own.sort((a, b) => cost[a]! - scale * best[a]! - (cost[b]! - scale * best[b]!))) {
        const gain = cost[s]! - scale * best[s]!;
        const taken = Math.min(room, stocks[s]!.count);
        if (gain >= 0 || taken <= 0) break;
        sum += gain * taken;
        room -= taken;
      }
    }
    return sum;
  };
  const most = Math.max(...best.map((value, s) => (cost[s]! > 0 ? value / cost[s]! : 0)));
  return Math.max(bound(1), most > 1 ? bound(1 / most) : 0);
}

/** Sheets surely needed for what an answer places: by area, largest sheets first, and on a sheet as large as all. */
export function simpleBound({ items, stocks }: Problem, { patterns, unplaced }: Answer): number {
  const demand = items.map((item, i) => item.demand - unplaced[i]!);
  if (patterns.length === 0) return 0;
  const around: Stock = {
    ...stocks[0]!,
    width: Math.max(...stocks.map(({ width }) => width)),
    height: Math.max(...stocks.map(({ height }) => height)),
    kerf: Math.min(...stocks.map(({ kerf }) => kerf)),
    turn: stocks.some(({ turn }) => turn),
  };
  const { kerf } = around;
  let area = items.reduce((sum, { width, height }, i) => sum + demand[i]! * (width + kerf) * (height + kerf), 0);
  let sheets = 0;
  for (const { width, height, count } of [...stocks].sort((a, b) => b.width * b.height - a.width * a.height)) {
    const taken = Math.min(count, Math.ceil(area / (width * height) - HAIR));
    sheets += taken;
    area -= taken * width * height;
    if (area <= HAIR * width * height) break;
  }
  return Math.max(sheets, Math.ceil(areaBound(around, items, demand) - HAIR));
}
