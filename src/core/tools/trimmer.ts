import { inches } from '../length';
import type { Figures, InKit, ToolType } from './tool';

const figures = {
  longest: { owned: { title: 'Longest cut', least: 50, most: 3000, fresh: inches(12) } },
} as const satisfies Figures;

/** Cuts blanks from their sheets along its fence. */
export const trimmer: ToolType<'trimmer', typeof figures> & InKit<'trimmer', 'longest'> = {
  kind: 'trimmer',
  title: 'Trimmer',
  plural: 'Trimmers',
  figures,
  kit: { key: 'trimmer', figure: 'longest', how: 'longest', describe: 'Longest cut the trimmer makes.' },
  plan: null,
};
