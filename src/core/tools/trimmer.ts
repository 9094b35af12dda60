import { inches } from '../length';
import type { Figures, ToolType } from './tool';

const figures = {
  longest: { owned: { title: 'Longest cut', least: 50, most: 3000, fresh: inches(12) } },
} satisfies Figures;

/** Cuts blanks from their sheets along its fence. */
export const trimmer: ToolType = {
  kind: 'trimmer',
  title: 'Trimmer',
  plural: 'Trimmers',
  figures,
  kit: { key: 'trimmer', figure: 'longest', how: 'longest', describe: 'Longest cut the trimmer makes.' },
  plan: null,
};
