import { inches } from '../length';
import type { HandRuler } from './kinds';
import { handNotch, makingByHand, type Figures, type ToolType } from './tool';

const figures = {
  notch: {
    asked: handNotch(
      'Notch to cut by hand, along the sheet’s edge. 3/4 in matches a common board; 1 in is easier to mark.',
    ),
    bench: {
      title: 'Notch to cut',
      hint: 'Any size works; a round one is easy to mark.',
      least: 5,
      most: 60,
      notched: true,
    },
  },
  length: { owned: { title: 'Length', least: 50, most: 3000, fresh: inches(18) } },
} satisfies Figures;

/** A ruler and what lies beside it on any table: marks, lines from mark to mark, notches cut with scissors. */
export const ruler: ToolType<HandRuler> = {
  kind: 'ruler',
  title: 'Ruler',
  plural: 'Rulers',
  figures,
  kit: { key: 'ruler', figure: 'length', how: 'longest', describe: 'Length of the longest ruler.' },
  plan: {
    offered: 'By hand, with a ruler',
    common: true,
    making: makingByHand,
    moves: {},
    faults: {},
    words: {},
    proof: 'The marks, tried with a simulated ruler, give these very scores and cuts.',
  },
};
