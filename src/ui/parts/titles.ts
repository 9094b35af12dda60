import type { Action } from '@/core/making';
import type { LayerPlace } from '@/core/design';
import type { Lie } from '@/core/sets';

/** What a kind of step is called. */
export const ACTION_TITLE: Record<Action, string> = {
  cut: 'Cut',
  mark: 'Mark',
  punch: 'Set and punch',
  score: 'Score',
  turn: 'Turn',
  trim: 'Trim',
  fold: 'Fold',
  glue: 'Glue',
  insert: 'Put in',
  close: 'Close',
};

/** Where a layer lies. */
export const LAYER_TITLE: Record<LayerPlace, string> = {
  front: 'On the front',
  back: 'On the back',
  flap: 'On the flap',
  inside: 'Inside, with what goes in',
  sheet: 'Template for the holes',
};

/** How several things lie in one. */
export const LIE_TITLE: Record<Lie, string> = {
  stacked: 'One on the other',
  beside: 'Side by side',
  'on-edge': 'On edge',
};

/** About how long something takes, as one says it. */
export const timeSaid = (minutes: number): string =>
  minutes < 55
    ? `about ${Math.max(5, Math.round(minutes / 5) * 5)} minutes`
    : `about ${Number((Math.round(minutes / 30) / 2).toFixed(1))} ${minutes < 75 ? 'hour' : 'hours'}`;
