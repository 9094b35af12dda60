import { inches } from '../length';
import type { Figures, InKit, ToolType } from './tool';

const figures = {
  diameter: { owned: { title: 'Across', least: 1, most: 120, fresh: inches(1) } },
} as const satisfies Figures;

/** A round punch: finger notches and holes. */
export const punch: ToolType<'punch', typeof figures> & InKit<'punches', 'each'> = {
  kind: 'punch',
  title: 'Punch',
  plural: 'Punches',
  figures,
  kit: { key: 'punches', figure: 'diameter', how: 'each', describe: 'Diameters of the punches at hand.' },
  plan: null,
};
