import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm, stepOf } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import {
  built,
  DOWN,
  EASE,
  fold,
  LEFT,
  optionGrip,
  refuse,
  RIGHT,
  roomGrip,
  segment,
  SLANT,
  UP,
} from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { cornerOption, idleWithFlap, closingFlap } from '../shared/closing-flap';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions } from '../shared/finger-notch';
import { choiceOption, lengthOption } from '../shared/options';
import { CLOSED, onMark, OPEN, sizedInside, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  seam: choiceOption('Seam', 'Where the side flaps meet on the back.', ['centred', 'even']),
  lap: lengthOption('Lap of the seam', 'What one side flap covers of the other.', inches(1 / 2), { over: 0 }),
  bottomFlap: lengthOption('Bottom flap', 'Folded up and glued on the side flaps.', inches(1 / 2), { over: 0 }),
  closingFlap: lengthOption('Closing flap', 'Folded down over the back; 0 leaves an open pocket.', inches(3 / 2), {
    least: 0,
  }),
  corner: cornerOption(),
  ...notchOptions(mm(0)),
});
type Options = z.output<typeof options>;

/**
 * Side flaps, back and bottom from one rectangle: blank `(s1 + W + s2) × (ft + H + fb)` with `s1 + s2 = W + lap`.
 * Seen inside up, the closing flap is near, the bottom flap far.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, making } = brief;
  const { lap, bottomFlap: fb, closingFlap: ft } = options;
  const centred = options.seam === 'centred';
  const sized = sizedInside(brief, ft > 0 ? CLOSED : OPEN, { width: [lap, 2], height: [ft + fb] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  if (ft > H + TOLERANCE.length)
    return refuse(tooLarge('closingFlap', 'closing flap', ft, blank ? (blank.height - fb) / 2 : H));
  if (fb > H + TOLERANCE.length)
    return refuse(tooLarge('bottomFlap', 'bottom flap', fb, blank ? (blank.height - ft) / 2 : H));
  // On a given sheet whatever the marks leave over goes to the seam's lap and the bottom flap.
  const both = blank ? blank.width - W : W + lap;
  const bottom = blank ? blank.height - ft - H : fb;
  const wide = onMark(centred ? (both + lap) / 2 : both / 2, brief, 'up');
  if (wide > W + TOLERANCE.length) {
    // The marks may take one step more than the sum does.
    const most = blank ? blank.width / (centred ? 5 : 3) : W / (centred ? 2 : 1);
    return refuse(tooLarge('lap', 'lap of the seam', lap, most - stepOf(making.graduation)));
  }
  const sheet = blank ?? { width: mm(both + W), height: mm(ft + H + bottom) };
  const [x1, x2, y1, y2] = [wide, wide + W, ft, ft + H];
  const slant = Math.min(making.relief?.inset ?? usual(SLANT, brief), W / 4, bottom);
  const shoulder = Math.min(usual(SLANT, brief), ft / 2, W / 4);
  const closing = ring(
    [x1, y1],
    [x1 + shoulder, y1 - shoulder],
    [x1 + shoulder, 0],
    [x2 - shoulder, 0],
    [x2 - shoulder, y1 - shoulder],
    [x2, y1],
  );
  const flap = closingFlap('front', ft, closing, segment(x1, y1, x2, y1), options.corner);
  if (!flap.ok) return flap.refused;
  const piece = drawPiece({
    name: 'envelope',
    blank: sheet,
    panels: [
      { id: 'front', name: 'front', polygon: rect(x1, y1, x2, y2) },
      {
        id: 'side-1',
        name: centred ? 'wide side flap' : 'first side flap',
        polygon: rect(0, y1, x1, y2),
      },
      {
        id: 'side-2',
        name: centred ? 'narrow side flap' : 'second side flap',
        polygon: rect(x2, y1, sheet.width, y2),
      },
      {
        id: 'bottom',
        name: 'bottom flap',
        polygon: ring([x1, y2], [x2, y2], [x2 - slant, sheet.height], [x1 + slant, sheet.height]),
      },
      ...flap.panels,
    ],
    folds: [
      { id: 's-side-1', between: ['front', 'side-1'] },
      { id: 's-side-2', between: ['front', 'side-2'] },
      { id: 's-bottom', between: ['front', 'bottom'] },
      ...flap.folds,
    ],
    trims: flap.trims,
  });
  return built({
    ...PLAIN,
    pieces: [piece],
    assembly: [
      fold('fold-side-1', `Fold the ${centred ? 'wide' : 'first'} side flap over`, ['s-side-1']),
      fold('fold-side-2', `Fold the ${centred ? 'narrow' : 'second'} side flap over it`, ['s-side-2'], {
        gluedTo: ['side-1'],
      }),
      fold('fold-bottom', 'Fold the bottom flap up onto the side flaps', ['s-bottom'], {
        gluedTo: ['side-1', 'side-2'],
      }),
      ...(ft > 0
        ? [
            fold('close', 'Fold the closing flap down', ['s-closing'], {
              gluedTo: ['side-1', 'side-2'],
              closes: true,
            }),
          ]
        : []),
    ],
    cavities: [
      {
        id: 'envelope',
        kind: ft > 0 ? 'closed' : 'pocket',
        floor: 'front',
        roof: ['side-1', 'side-2'],
        mouth: segment(x1, y1, x2, y1),
        insertAfter: 'fold-bottom',
        covered: options.fingerNotch > 0 ? { floor: 0.5, roof: 0.5 } : { floor: 1, roof: 1 },
      },
    ],
    claims: [
      {
        kind: 'laps',
        pairs: [
          ['side-2', 'side-1'],
          ['bottom', 'side-1'],
          ['bottom', 'side-2'],
        ],
      },
    ],
    grips: [
      ...(blank
        ? [
            optionGrip('s-side-1', LEFT, 'lap', 'lap of the seam', lap, [3, blank.width / 3], centred ? -4 / 3 : -4),
            optionGrip('s-bottom', DOWN, 'bottomFlap', 'depth of the bottom flap', bottom, [3, (H + bottom) / 2]),
          ]
        : [
            roomGrip('s-side-1', LEFT, 'width', 'room in the width'),
            optionGrip('s-side-2', RIGHT, 'lap', 'lap of the seam', lap, [3, W / 2], centred ? 1 : 2),
            roomGrip('s-bottom', UP, 'height', 'room in the height'),
          ]),
      ...(ft > 0 ? [optionGrip('s-closing', UP, 'closingFlap', 'depth of the closing flap', ft, [3, H])] : []),
    ],
    features: ft > 0 ? [] : fingerNotch('envelope', options),
  });
}

export const seamEnvelope: Construction<Options> = {
  name: 'seam-envelope',
  does: 'closes',
  title: 'Seam envelope or open pocket',
  purpose: 'Letters, vouchers, long cards: one rectangle, a seam down the back, any proportions.',
  options,
  ease: EASE.envelope,
  idle: idleWithFlap,
  build,
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'seam',
      value: 'centred',
      title: 'Seam in the middle',
      why: 'Fold the wide flap first; the narrow one’s edge runs down the middle.',
    },
    {
      option: 'seam',
      value: 'even',
      title: 'Even flaps',
      why: 'Both scores at the same distance; the seam sits half a lap off the middle.',
    },
  ],
  cures: [
    usualCure('flap-overlap', 'Lap 1/2 in', { lap: inches(1 / 2), bottomFlap: inches(1 / 2) }),
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    partCure('closingFlap'),
    partCure('bottomFlap'),
    partCure('lap'),
    ...NOTCH_CURES,
  ],
  advice: [
    {
      mistake: 'Bottom flap as wide as the envelope.',
      instead: 'Slant its ends, so that they stay inside when it is folded up.',
    },
    {
      mistake: 'Glue along the whole bottom flap and past the side flaps.',
      instead: 'The side flaps cover the back wholly: keep the glue on them.',
    },
    {
      mistake: 'Measuring each flap from the last score.',
      instead: 'Measure every score from the same edge, so that errors do not add up.',
    },
  ],
  sources: [
    '8 1/2 × 11 scored 2 1/2, 6 1/2 and 1 1/2, 10 1/2: inside 4 × 9, lap 1/2 (common practice, no source)',
    '6 in wide scored 1 5/8 and 4 3/8: 2 3/4 wide, lap 1/2 (common practice, no source)',
  ],
};
