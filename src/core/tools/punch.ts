import { inches } from '../length';
import type { Figures, ToolType } from './tool';

const figures = {
  diameter: { owned: { title: 'Across', least: 1, most: 120, fresh: inches(1) } },
} satisfies Figures;

/** A round punch: finger notches and holes. */
export const punch: ToolType = {
  kind: 'punch',
  title: 'Punch',
  plural: 'Punches',
  figures,
  kit: { key: 'punches', figure: 'diameter', how: 'each', describe: 'Diameters of the punches at hand.' },
  plan: null,
};
