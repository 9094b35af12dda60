import type { Action } from '@/core/plan';

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
