import type { DesignInput } from '@/core/design';
import { startHelper, type Helper } from '@/workers/helper';
import type { PlanWorker } from '@/workers/plan.worker';
import { planned, takePlanned } from '../parts/plans';

/** Later, in a task of its own. */
const nextTask = (): Promise<void> => new Promise((wake) => setTimeout(wake));

/** Something to plan: the design as it is when its turn comes, and what is done once its plan is at hand. */
interface Job {
  readonly design: () => DesignInput | null;
  readonly then: (planned: DesignInput) => void;
  /** A later job of that kind takes its place; jobs without one each have their turn. */
  readonly instead: string | null;
}

/**
 * Plans beside the page while something is dragged or stepped, one design after the other; of a drag's moves that come
 * meanwhile only the last. Where nothing runs beside the page, or not yet, it is planned here.
 */
export class PlanAside {
  private helper: Helper<PlanWorker> | null = null;
  private jobs: Job[] = [];
  private busy = false;
  private ended = false;
  /** The helper has planned something: it is loaded and warm. */
  private warm = false;

  /** Starts the helper and has it plan once, so that it is there and warm when the first drag begins. */
  start(input: DesignInput): void {
    this.ended = false;
    const helper = startHelper<PlanWorker>(
      () => new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' }),
    );
    this.helper = helper;
    this.warm = false;
    helper
      .ask((worker) => worker.plan(input))
      .then(
        () => (this.warm = this.helper === helper),
        // It is not there: everything is planned here.
        () => undefined,
      );
  }

  end(): void {
    this.ended = true;
    this.jobs = [];
    this.helper?.end();
    this.helper = null;
  }

  ask(job: Job): void {
    const last = this.jobs.at(-1);
    if (last && job.instead !== null && last.instead === job.instead) this.jobs.pop();
    this.jobs.push(job);
    if (!this.busy) void this.work();
  }

  private async work(): Promise<void> {
    this.busy = true;
    for (let job = this.jobs.shift(); job && !this.ended; job = this.jobs.shift()) {
      const input = job.design();
      if (!input) continue;
      await this.plan(input);
      // Reading a plan and drawing it are two tasks: between them the page takes a move of the pointer in.
      await nextTask();
      if (!this.ended) job.then(input);
    }
    this.busy = false;
  }

  private async plan(input: DesignInput): Promise<void> {
    const { helper } = this;
    if (helper && this.warm)
      try {
        const posted = await helper.ask((worker) => worker.plan(input));
        if (posted) return takePlanned(input, posted);
      } catch {
        // It broke: the drag goes on here, if less smoothly.
        this.warm = false;
      }
    planned(input);
  }
}
