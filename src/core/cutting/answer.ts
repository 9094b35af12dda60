import { fill, type Manner } from './fill';
import { countsOf, type Item, type Pattern, type Problem } from './problem';

/** Sheets with what lies on them, and how many of each item found no place. */
export interface Answer {
  readonly patterns: readonly Pattern[];
  readonly unplaced: readonly number[];
}

/** The priorities of a list, the one used first first. */
export const prioritiesOf = ({ stocks }: Problem): number[] =>
  [...new Set(stocks.map(({ priority }) => priority))].sort((a, b) => a - b);

/** How many sheets of a priority are used. */
export const usedOf = (patterns: readonly Pattern[], { stocks }: Problem, priority: number): number =>
  patterns.filter(({ stock }) => stocks[stock]!.priority === priority).length;

/**
 * How good an answer is, least first: what is left over, then sheets of the priority used last, and so on to the one
 * used first, then paper taken. Compared number by number.
 */
export function rating({ patterns, unplaced }: Answer, problem: Problem): number[] {
  const { items, stocks } = problem;
  return [
    unplaced.reduce((sum, n, i) => sum + n * items[i]!.width * items[i]!.height, 0),
    ...prioritiesOf(problem)
      .reverse()
      .map((priority) => usedOf(patterns, problem, priority)),
    patterns.reduce((sum, { stock }) => sum + stocks[stock]!.width * stocks[stock]!.height, 0),
  ];
}

/** Whether one rating is better than another. */
export function better(a: readonly number[], b: readonly number[]): boolean {
  const i = a.findIndex((n, k) => n !== b[k]);
  return i >= 0 && a[i]! < b[i]!;
}

/**
 * An answer at once: sheet after sheet filled in one manner, each time on the sheet of the first priority that takes
 * most; the last one on the smallest that takes all there is left.
 */
export function answerBy(problem: Problem, order: readonly number[], manner: Manner): Answer {
  const { items, stocks, free } = problem;
  const left = items.map(({ demand }) => demand);
  const sheets = stocks.map(({ count }) => count);
  const patterns: Pattern[] = [];
  const priorities = prioritiesOf(problem);
  const areaOf = (pattern: Pattern): number =>
    pattern.counts.reduce((sum, n, i) => sum + n * items[i]!.width * items[i]!.height, 0);
  const sizeOf = ({ stock }: Pattern): number => stocks[stock]!.width * stocks[stock]!.height;
  while (left.some((n) => n > 0)) {
    let best: Pattern | null = null;
    for (const priority of priorities) {
      for (const [s, stock] of stocks.entries()) {
        if (stock.priority !== priority || sheets[s]! === 0) continue;
        const laid = fill(stock, items, left, order, manner, free);
        if (laid.length === 0) continue;
        const now = { stock: s, counts: countsOf(laid, items), laid };
        const [more, less] = best ? [areaOf(now), areaOf(best)] : [1, 0];
        if (more > less || (more === less && sizeOf(now) < sizeOf(best!))) best = now;
      }
      if (best) break;
    }
    if (!best) break;
    // The same sheet again, as often as there are pieces and sheets for it.
    do {
      patterns.push(best);
      best.counts.forEach((n, i) => (left[i]! -= n));
      sheets[best.stock]!--;
    } while (sheets[best.stock]! > 0 && best.counts.every((n, i) => n <= left[i]!) && left.some((n) => n > 0));
  }
  return { patterns, unplaced: left };
}

/**
 * Takes what lies on the sheets beyond what is asked for off again, from the emptiest sheets first; a sheet left empty
 * is not used.
 */
export function withoutSurplus(patterns: readonly Pattern[], items: readonly Item[]): Answer {
  const surplus = items.map(({ demand }, i) => patterns.reduce((sum, { counts }) => sum + counts[i]!, 0) - demand);
  const area = ({ counts }: Pattern): number =>
    counts.reduce((sum, n, i) => sum + n * items[i]!.width * items[i]!.height, 0);
  const kept = [...patterns]
    .sort((a, b) => area(a) - area(b))
    .map((pattern) => {
      const laid = pattern.laid.filter(({ item }) => {
        if (surplus[item]! <= 0) return true;
        surplus[item]!--;
        return false;
      });
      return { ...pattern, laid, counts: countsOf(laid, items) };
    })
    .filter(({ laid }) => laid.length > 0)
    .reverse();
  return { patterns: kept, unplaced: surplus.map((n) => Math.max(0, -n)) };
}
