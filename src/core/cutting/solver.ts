import type { Highs, Model } from 'highs';
import loadHighs from 'highs';

/** The HiGHS solver, loaded once; used wherever the page, the server or the command line cut. */
let loaded: Promise<Highs> | undefined;
export const loadSolver = (): Promise<Highs> => (loaded ??= loadHighs());

export type Solver = Highs;

/** A row a x within limits, and what the columns say to it comes with them. */
export interface Row {
  readonly least: number;
  readonly most: number;
}

/** A column: what one of it costs and what it counts in each row. */
export interface Column {
  readonly cost: number;
  readonly rows: readonly (readonly [row: number, value: number])[];
}

/** A linear programme that grows by columns, kept in the solver between solutions. */
export class Growing {
  private readonly model: Model;
  constructor(solver: Solver, rows: readonly Row[]) {
    this.model = solver.createModel({
      numCols: 0,
      numRows: rows.length,
      colCost: [],
      colLower: [],
      colUpper: [],
      rowLower: rows.map(({ least }) => least),
      rowUpper: rows.map(({ most }) => most),
      matrix: { format: 'csc', numRows: rows.length, numCols: 0, starts: [0], indices: [], values: [] },
    });
    this.model.options.set('output_flag', false);
  }

  add({ cost, rows }: Column): void {
    this.model.addCol(cost, 0, Infinity, { indices: rows.map(([row]) => row), values: rows.map(([, v]) => v) });
  }

  /** Least cost, and what one more in each row would cost. */
  solve(): { readonly cost: number; readonly duals: Float64Array } {
    this.model.run();
    return { cost: this.model.getObjectiveValue(), duals: this.model.getSolution().rowDual };
  }

  dispose(): void {
    this.model.dispose();
  }
}

/**
 * Least cost in whole numbers. `start` is a solution known already; `seconds` the longest it may take. `proved` says
 * whether the solver was done; null when it found nothing at all.
 */
export function wholeNumbers(
  solver: Solver,
  rows: readonly Row[],
  columns: readonly Column[],
  start: readonly number[] | null,
  seconds: number,
): { readonly values: readonly number[]; readonly cost: number; readonly proved: boolean } | null {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const column of columns) {
    for (const [row, value] of column.rows) {
      indices.push(row);
      values.push(value);
    }
    starts.push(indices.length);
  }
  const model = solver.createModel({
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(() => 0),
    colUpper: columns.map(() => Infinity),
    rowLower: rows.map(({ least }) => least),
    rowUpper: rows.map(({ most }) => most),
    matrix: { format: 'csc', numRows: rows.length, numCols: columns.length, starts, indices, values },
    integrality: columns.map(() => 1 as const),
  });
  try {
    model.options.set({ output_flag: false, mip_rel_gap: 0, time_limit: seconds });
    if (start) model.setSolution({ colValue: [...start] });
    const { modelStatus } = model.run();
    const found = model.getSolution().colValue;
    const status = solver.constants.modelStatus;
    const proved = modelStatus === status.optimal;
    if (!proved && model.info.get('primal_solution_status') !== 2) return null;
    return { values: Array.from(found, Math.round), cost: model.getObjectiveValue(), proved };
  } finally {
    model.dispose();
  }
}
