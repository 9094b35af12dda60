import { inches } from '../length';
import type { Figures, InKit, ToolType } from './tool';

const figures = {
  radius: { owned: { title: 'Radius', least: 1, most: 60, fresh: inches(1 / 4) } },
} as const satisfies Figures;

/** Rounds the corners of the paper. */
export const cornerRounder: ToolType<'corner-rounder', typeof figures> & InKit<'rounders', 'each'> = {
  kind: 'corner-rounder',
  title: 'Corner rounder',
  plural: 'Corner rounders',
  figures,
  kit: { key: 'rounders', figure: 'radius', how: 'each', describe: 'Radii of the corner rounders at hand.' },
  plan: null,
};
