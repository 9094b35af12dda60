import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { cornerOption } from '../shared/closing-flap';
import { usualCure } from '../shared/cures';
import type { Construction } from '../shared/construction';
import { squareEnvelope } from './diagonal';
import { usual } from '../shared/sizing';
import { choiceOption, lengthOption, openLengthOption } from '../shared/options';

const options = z.strictObject({
  setting: openLengthOption(
    'Set at',
    'Where the sheet’s edge stands on the board, when the paper is given.',
    { over: 0 },
    { onPaper: true, open: 'half the sheet' },
  ),
  lap: lengthOption(
    'Lap of the side flaps',
    'What the trimmed long flaps keep to glue one on the other.',
    inches(1 / 2),
    {
      over: 0,
    },
  ),
  ends: choiceOption('End flaps', 'Cut off blunt past where the side flaps cross, or left whole.', ['blunt', 'whole']),
  corner: cornerOption(inches(1 / 4)),
});
type Options = z.output<typeof options>;

/** A blunt end flap reaches this far past where the side flaps cross, mm. From memory 1/2 in. */
const PAST_CROSSING = inches(1 / 2);

/** Coins and seeds from a square: opens on the short side, the long flaps trimmed to half the width and a lap. */
export const coinEnvelope: Construction<Options> = {
  name: 'coin-envelope',
  does: 'closes',
  title: 'Coin envelope',
  purpose: 'Coins, seeds, small keys: a narrow pouch from one square, open at the short end.',
  options,
  ease: {
    // Beside the envelope's own paper: common practice 1/8 to 1/4 in, and a 3 × 4 card from a 6 in square.
    aim: { width: inches(3 / 16), height: inches(3 / 16) },
    least: { width: inches(1 / 16), height: inches(1 / 16) },
  },
  idle: () => [],
  build: (brief) =>
    squareEnvelope(brief, {
      opening: 'short',
      tip: 'point',
      tipDepth: mm(0),
      corner: brief.options.corner,
      longDepth: (shortSide) => (shortSide + brief.options.lap) / 2,
      longFlaps: 'lap',
      blunt: brief.options.ends === 'blunt' ? usual(PAST_CROSSING, brief) : null,
    }),
  schools: [
    {
      option: 'ends',
      value: 'blunt',
      title: 'End flaps cut blunt',
      why: 'A short flap that still covers where the side flaps cross: it closes neatly and nothing catches.',
    },
    {
      option: 'ends',
      value: 'whole',
      title: 'End flaps left whole',
      why: 'Two cuts fewer, and the points hold like those of any envelope from a square.',
    },
  ],
  cures: [
    { for: 'setting-off-sheet', label: 'Set it in the middle', options: () => ({ setting: undefined }) },
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    usualCure('flap-overlap', 'Lap 1/2 in', { lap: inches(1 / 2) }),
  ],
  advice: [
    {
      mistake: 'Trimming the long flaps before the folds are made.',
      instead: 'Punch and score the whole square first; the trimmed edges run parallel to the folds.',
    },
    {
      mistake: 'Gluing the bottom flap to the front through the gap between the side flaps.',
      instead: 'Glue it on the side flaps only, or the bottom of the pouch is stuck shut.',
    },
  ],
  sources: ['sizes as the envelope from a square; lap of the side flaps by construction'],
};
