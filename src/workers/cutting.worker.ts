import { expose } from 'comlink';
import type { CutList, Layout, PackProgress } from '@/core/cutting';
import { firstLayout } from '@/core/cutting/first';
import { loadSolver, packing } from '@/core/cutting/pack';
import { greets } from './helper';

/** What is said where the solver cannot run: without it there is the first answer, and no proof. */
const WITHOUT =
  'This browser cannot run the solver, so this is the first answer and no better one is looked for: a sheet or two less may do';

const cuttingWorker = {
  ...greets,
  /** A first layout of a list, at once. */
  first: (list: CutList): Layout => firstLayout(list),
  /**
   * Lays a list out, telling of every step that found something. Done when the last was told; gives what the person
   * should know of it, or null.
   */
  async lay(list: CutList, tell: (progress: PackProgress) => void): Promise<string | null> {
    const solver = await loadSolver().catch(() => null);
    let told = '';
    for (const progress of packing(list, solver)) {
      const { layout, doing } = progress;
      const now = `${doing} ${layout.sheetsUsed} ${layout.lowerBound} ${layout.unplaced.length} ${layout.optimal}`;
      if (now !== told) tell(progress);
      told = now;
    }
    return solver ? null : WITHOUT;
  },
};
export type CuttingWorker = typeof cuttingWorker;
expose(cuttingWorker);
