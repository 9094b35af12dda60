import type { Action, Step } from '../making';
import { stepsAt, type Stop } from './stop';

/** How long a step takes at the table, minutes. Usual figures, from memory; a person's own pace comes from what they made. */
const MINUTES: Record<Action, number> = {
  cut: 0.5,
  mark: 0.3,
  punch: 0.25,
  score: 0.3,
  turn: 0.05,
  trim: 0.4,
  fold: 0.3,
  glue: 0.6,
  insert: 0.2,
  close: 0.3,
};
/** How much of that is left for each further copy, where nothing is set anew: what is folded by hand hardly gains. From memory. */
const FURTHER: Record<Step['phase'], number> = { cut: 0.5, flat: 0.6, fold: 0.9 };

/** How often the work of a stop is done: a cut each, or a copy each. */
const timesDone = ({ sheets, copies }: Stop): number => sheets?.group?.cuts.length ?? Math.max(1, copies.length);

/** About how long a walk takes, minutes. */
export const minutesOf = (walk: readonly Stop[]): number =>
  walk.reduce(
    (sum, stop) =>
      sum +
      stepsAt(stop).reduce(
        (own, { action, phase }) => own + MINUTES[action] * (1 + FURTHER[phase] * (timesDone(stop) - 1)),
        0,
      ),
    0,
  );

/** A make that was finished: the minutes it took, and those it takes by usual figures. */
export interface Finished {
  readonly took: number;
  readonly usual: number;
}
/** Usual figures count as much as so many minutes at the table: one small make says little. */
const PRIOR = 60;
/** Nobody is so much quicker or slower than usual: whoever seems so was called away, or let the clock run. */
const [QUICKEST, SLOWEST] = [0.3, 4];

/** How a person's pace stands to the usual figures, from what they finished: 1 where nothing is known, 2 takes twice as long. */
export function paceOf(finished: readonly Finished[]): number {
  const sane = finished.filter(({ took, usual }) => {
    const ratio = took / usual;
    return usual > 0 && ratio >= QUICKEST && ratio <= SLOWEST;
  });
  const sum = (of: (one: Finished) => number): number => sane.reduce((all, one) => all + of(one), PRIOR);
  return sum(({ took }) => took) / sum(({ usual }) => usual);
}
