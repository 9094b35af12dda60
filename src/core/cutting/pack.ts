import type { CutList, Layout } from './cut-list';
import { layoutOf } from './layout';
import { placedFirst } from './placed';
import { problemOf, waysOn, type Problem } from './problem';
import { search, USUAL_PATIENCE, type SearchPhase, type Patience } from './search';
import type { Solver } from './solver';

export { loadSolver, type Solver } from './solver';
export { USUAL_PATIENCE, type Patience } from './search';

/** Where the packing stands: the best layout so far, and what is being done. */
export interface PackProgress {
  readonly doing: SearchPhase | 'done';
  readonly layout: Layout;
  readonly patterns: number;
}

/** Pieces no sheet takes, named, and the problem without them. */
function withoutMisfits(list: CutList): { problem: Problem; misfits: Layout['unplaced'] } {
  const problem = problemOf(list);
  const fits = problem.items.map((item) => problem.stocks.some((stock) => waysOn(stock, item).length > 0));
  const misfits = problem.items.flatMap((item, i) =>
    fits[i]
      ? []
      : item.pieces.map(({ piece, quantity }) => ({
          piece: list.pieces[piece]!.name,
          quantity,
          why: problem.stocks.length === 0 ? 'There is no sheet at all.' : 'It is larger than every sheet.',
        })),
  );
  return { problem: { ...problem, items: problem.items.filter((_, i) => fits[i]) }, misfits };
}

/**
 * Lays a cut list out on the fewest sheets. Gives the best layout so far after every part of the search; the last one
 * is tidied: what is left of each sheet lies together. The caller may stop at any. Without a solver the first answer is the
 * last, and nothing but it is proved.
 */
export function* packing(
  list: CutList,
  solver: Solver | null,
  patience: Patience = USUAL_PATIENCE,
): Generator<PackProgress, Layout> {
  const { rest, whole } = placedFirst(list);
  const { problem, misfits } = withoutMisfits(rest);
  const running = search(problem, solver, patience);
  for (;;) {
    const { done, value } = running.next();
    if (done) {
      const layout = whole(layoutOf(rest, problem, value.answer, value, misfits, true));
      yield { doing: 'done', layout, patterns: value.patterns };
      return layout;
    }
    yield {
      doing: value.doing,
      layout: whole(layoutOf(rest, problem, value.answer, value, misfits, false)),
      patterns: value.patterns,
    };
  }
}

/** The whole packing at once. `goOn` is asked after every part; when it says no, the best so far is the answer. */
export function pack(list: CutList, solver: Solver, patience?: Patience, goOn: () => boolean = () => true): Layout {
  let last: Layout | null = null;
  for (const { layout } of packing(list, solver, patience)) {
    last = layout;
    if (!goOn()) break;
  }
  return last!;
}
