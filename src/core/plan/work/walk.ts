import type { Step } from '../steps';
import type { Phase } from './work';

/** How several copies are made: each kind of work on all of them before the next, or one finished after the other. */
export type WayOfWork = 'together' | 'one-by-one';

/** One stop on the way through a make: a step, and the copies it is done for now. */
export interface Stop {
  readonly step: Step;
  /** Numbered from 1; more than one where the work goes on without resetting anything: cutting. */
  readonly copies: readonly number[];
}

const PHASES: readonly Phase[] = ['cut', 'flat', 'fold'];

/**
 * The way through a make of several copies. Together: all blanks are cut, then each sheet is marked, punched and scored
 * in one go, then each is folded and glued; a sheet is never left half turned in the board for another.
 */
export function walkOf(steps: readonly Step[], copies: number, way: WayOfWork): Stop[] {
  const all = Array.from({ length: Math.max(1, Math.floor(copies)) }, (_, i) => i + 1);
  if (all.length === 1 || way === 'one-by-one')
    return all.flatMap((copy) => steps.map((step) => ({ step, copies: [copy] })));
  return PHASES.flatMap((phase) => {
    const own = steps.filter((step) => step.phase === phase);
    return phase === 'cut'
      ? own.map((step): Stop => ({ step, copies: all }))
      : all.flatMap((copy) => own.map((step): Stop => ({ step, copies: [copy] })));
  });
}

/** How many copies are finished when the first `done` stops are behind. */
export function copiesDone(walk: readonly Stop[], done: number): number {
  const left = new Set(walk.slice(done).flatMap((stop) => stop.copies));
  const all = new Set(walk.flatMap((stop) => stop.copies));
  return all.size - left.size;
}
