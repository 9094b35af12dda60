import { inches } from '../length';
import type { Figures, ToolType } from './tool';

const figures = {
  radius: { owned: { title: 'Radius', least: 1, most: 60, fresh: inches(1 / 4) } },
} satisfies Figures;

/** Rounds the corners of the paper. */
export const cornerRounder: ToolType = {
  kind: 'corner-rounder',
  title: 'Corner rounder',
  plural: 'Corner rounders',
  figures,
  kit: { key: 'rounders', figure: 'radius', how: 'each', describe: 'Radii of the corner rounders at hand.' },
  plan: null,
};
