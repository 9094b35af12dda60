import type { Action } from '../making';
import type { Stop } from './order';

/** How long a step takes at the table, minutes. Usual figures, from memory; a person's own come from the log. */
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

/** About how long a walk takes, minutes: what is cut for several copies takes as long for each. */
export const minutesOf = (walk: readonly Stop[]): number =>
  walk.reduce((sum, { step, copies }) => sum + MINUTES[step.action] * copies.length, 0);
