import { z } from '../../text/zod';
import { inches } from '../../length';
import { cornerOption } from '../shared/closing-flap';
import type { Construction } from '../shared/construction';
import { squareEnvelope, TRIM_CLEARANCE } from './diagonal';
import { usual } from '../shared/sizing';
import { choiceOption, lengthOption, openLengthOption } from '../shared/options';

const options = z.strictObject({
  setting: openLengthOption(
    'Set at',
    'Where the sheet’s edge stands on the board, when the paper is given.',
    { over: 0 },
    { onPaper: true, open: 'half the sheet' },
  ),
  opening: choiceOption('Opening', 'Which side the contents go in by. The long side is the usual envelope.', [
    'long',
    'short',
  ]),
  tip: choiceOption('Tip of the closing flap', 'Left as it comes, cut off blunt, or folded back and glued.', [
    'point',
    'blunt',
    'folded',
  ]),
  tipDepth: lengthOption('Depth of the tip', 'How much of the tip is cut off or folded back.', inches(1 / 2), {
    over: 0,
  }),
  corner: cornerOption(inches(1 / 4)),
  flaps: choiceOption('Long flaps', 'Trimmed flaps stop inside the far fold where whole ones would stick out.', [
    'whole',
    'trimmed',
  ]),
});
type Options = z.output<typeof options>;

export const diagonalEnvelope: Construction<Options> = {
  name: 'diagonal-envelope',
  does: 'closes',
  title: 'Envelope from a square',
  purpose: 'Any flat card, from one square sheet folded corner to corner on an envelope board or by hand.',
  options,
  ease: {
    // Beside the envelope's own paper: common practice 1/8 to 1/4 in, and a 3 × 4 card from a 6 in square.
    aim: { width: inches(3 / 16), height: inches(3 / 16) },
    least: { width: inches(1 / 16), height: inches(1 / 16) },
  },
  idle: ({ tip }) => [...(tip === 'point' ? ['tipDepth'] : []), ...(tip === 'folded' ? ['corner'] : [])],
  build: (brief) =>
    squareEnvelope(brief, {
      ...brief.options,
      longFlaps: 'trim',
      blunt: null,
      longDepth: brief.options.flaps === 'trimmed' ? (shortSide) => shortSide - usual(TRIM_CLEARANCE, brief) : null,
    }),
  // Whole flaps on the long sides stick out past the far fold of what is long and thin: these are trimmed, where it comes to that.
  suited: ({ contents, aim, making }) => {
    const [short, long] = [contents!.width + aim.width, contents!.height + aim.height]
      .map((side) => (side + contents!.thickness) / Math.SQRT2)
      .sort((a, b) => a - b) as [number, number];
    return long + making.notch > 2 * short - inches(1 / 2) ? { flaps: 'trimmed' } : {};
  },
  schools: [
    {
      option: 'opening',
      value: 'long',
      title: 'Opens on the long side',
      why: 'The usual envelope: the card slides in sideways past a wide flap.',
    },
    {
      option: 'opening',
      value: 'short',
      title: 'Opens on the short side',
      why: 'Holds a card that is pulled out often; the deep pocket keeps it.',
    },
    { option: 'tip', value: 'point', title: 'Pointed flap', why: 'Nothing to cut; a rounded tip does not catch.' },
    { option: 'tip', value: 'blunt', title: 'Blunt flap', why: 'Leaves more of the back plain for a seal or a label.' },
    {
      option: 'tip',
      value: 'folded',
      title: 'Tip folded back',
      why: 'A stiff, straight double edge. The outside of the paper shows there only while the flap is open.',
    },
    { option: 'flaps', value: 'whole', title: 'Long flaps whole', why: 'Covers most, and nothing to trim.' },
    {
      option: 'flaps',
      value: 'trimmed',
      title: 'Long flaps trimmed',
      why: 'Stops them just inside the far fold, where whole ones might stick out.',
    },
  ],
  cures: [
    { for: 'overhang', label: 'Trim the flaps', options: () => ({ flaps: 'trimmed' }) },
    { for: 'hole', label: 'Leave the flaps whole', options: () => ({ flaps: 'whole', tip: 'point' }) },
    { for: 'setting-off-sheet', label: 'Set it in the middle', options: () => ({ setting: undefined }) },
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    { for: 'tip-too-deep', label: 'Take less off', options: (limit) => ({ tipDepth: limit / 2 }) },
  ],
  advice: [
    {
      mistake: 'Gluing the bottom flap all over.',
      instead: 'Glue only where it lies on the side flaps, or the pocket is sealed.',
    },
    {
      mistake: 'Turning the sheet the other way half-way round.',
      instead: 'Always a quarter turn clockwise; the score just made meets the pointer.',
    },
    {
      mistake: 'Measuring the card and forgetting what is stuck on it.',
      instead: 'Measure at the thickest place; thickness takes room both ways.',
    },
    {
      mistake: 'A long thin card in a square sheet.',
      instead: 'The long flaps reach past the far fold: trim them there, or use a rectangular blank.',
    },
  ],
  sources: [
    'a 3 × 4 card: a 6 in square set at 2 5/8 (common practice, no source)',
    'sizes by intersecting the fold lines (derivation in the doc comment)',
  ],
};
