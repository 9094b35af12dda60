import { expose } from 'comlink';
import type { CutList, Progress } from '@/core/cutting';
import { loadSolver, packing } from '@/core/cutting/pack';

const cuttingWorker = {
  /** Lays a list out, telling of every step that found something; done when the last was told. */
  async lay(list: CutList, tell: (progress: Progress) => void): Promise<void> {
    const solver = await loadSolver();
    let told = '';
    for (const progress of packing(list, solver)) {
      const { layout, doing } = progress;
      const now = `${doing} ${layout.sheetsUsed} ${layout.lowerBound} ${layout.unplaced.length} ${layout.optimal}`;
      if (now !== told) tell(progress);
      told = now;
    }
  },
};
export type CuttingWorker = typeof cuttingWorker;
expose(cuttingWorker);
