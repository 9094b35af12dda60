import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import { built, DOWN, EASE, fold, optionGrip, refuse, RIGHT, roomGrip, segment } from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, idleNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions, suitedNotch } from '../shared/finger-notch';
import { choiceOption, lengthOption } from '../shared/options';
import { OPEN, sizedInside, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  tab: lengthOption('Tabs', 'Width of the side tab and of the bottom tab.', inches(1 / 2), { over: 0 }),
  ...notchOptions(inches(1)),
  bottomTab: choiceOption('Bottom tab', 'Folded in before the holder is closed, or tucked in afterwards.', [
    'folded',
    'tucked',
  ]),
});
type Options = z.output<typeof options>;

/** How far from the bottom fold the side tab stays dry until the bottom tab is tucked, mm. Common practice 1 in. */
const DRY = inches(1);

/**
 * Two panels and a glue tab side by side, a tab below the panel that carries the side tab: blank
 * `(2W + g) × (H + g)`. A bottom tab under the other panel would seal the pocket.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, bottomTab } = options;
  const dry = usual(DRY, brief);
  const sized = sizedInside(brief, OPEN, { width: [g, 2], height: [g] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  if (2 * g > Math.min(W, H) + TOLERANCE.length)
    return refuse(tooLarge('tab', 'tab', g, blank ? Math.min(blank.width / 5, blank.height / 3) : Math.min(W, H) / 2));
  const sheet = { width: mm(2 * W + g), height: mm(H + g) };
  // The marks of a given sheet may leave a strip over: it widens the tabs.
  const side = blank ? blank.width - 2 * W : g;
  const low = blank ? blank.height - H : g;
  const real = blank ?? sheet;
  const [x1, x2] = [side, side + W];
  const mitre = Math.min(side, low, H / 4, W / 4) / 2;
  const piece = drawPiece({
    name: 'holder',
    blank: real,
    panels: [
      { id: 'back', name: 'back', polygon: rect(x1, low, x2, real.height) },
      { id: 'front', name: 'front', polygon: rect(x2, low, real.width, real.height) },
      {
        id: 'side-tab',
        name: 'side tab',
        polygon: ring([0, low + mitre], [x1, low], [x1, real.height], [0, real.height - mitre]),
      },
      { id: 'bottom-tab', name: 'bottom tab', polygon: ring([x1, low], [x1 + mitre, 0], [x2 - mitre, 0], [x2, low]) },
    ],
    folds: [
      { id: 's-side-tab', between: ['back', 'side-tab'] },
      { id: 's-bottom-tab', between: ['back', 'bottom-tab'] },
      { id: 's-front', between: ['back', 'front'] },
    ],
  });
  const sideTab = fold('fold-side-tab', 'Fold the side tab in', ['s-side-tab']);
  const tucked = bottomTab === 'tucked' && H > dry + 2 * low;
  return built({
    ...PLAIN,
    pieces: [piece],
    assembly: tucked
      ? [
          sideTab,
          fold('fold-front', 'Lay the front over the side tab, its lower inch left dry', ['s-front'], {
            gluedTo: ['side-tab'],
            glueWithin: [rect(x2, low + dry, real.width, real.height)],
          }),
          fold('tuck-bottom', 'Tuck the bottom tab in under the front', ['s-bottom-tab'], {
            under: 'front',
            gluedTo: ['front'],
          }),
        ]
      : [
          sideTab,
          fold('fold-bottom-tab', 'Fold the bottom tab in', ['s-bottom-tab']),
          fold('fold-front', 'Lay the front over both tabs', ['s-front'], { gluedTo: ['side-tab', 'bottom-tab'] }),
        ],
    cavities: [
      {
        id: 'holder',
        kind: 'pocket',
        floor: 'back',
        roof: ['front', 'side-tab', 'bottom-tab'],
        mouth: segment(x1, real.height, x2, real.height),
        insertAfter: tucked ? 'tuck-bottom' : 'fold-front',
        covered: options.fingerNotch > 0 ? { floor: 0.5, roof: 0.5 } : { floor: 1, roof: 1 },
      },
    ],
    front: 'above',
    claims: [
      {
        kind: 'laps',
        pairs: [
          ['front', 'side-tab'],
          ['front', 'bottom-tab'],
        ],
      },
    ],
    grips: blank
      ? [optionGrip('s-side-tab', RIGHT, 'tab', 'width of the tabs', g, [3, Math.min(W, H) / 2])]
      : [
          roomGrip('s-front', RIGHT, 'width', 'room in the width'),
          roomGrip('s-bottom-tab', DOWN, 'height', 'room in the height'),
        ],
    features: fingerNotch('holder', options),
  });
}

export const cardHolder: Construction<Options> = {
  name: 'card-holder',
  does: 'opens',
  title: 'Card holder',
  purpose: 'Gift cards, tickets, photos: two panels, two tabs, open at the top with a finger notch.',
  options,
  ease: EASE.sliding,
  idle: idleNotch,
  build,
  suited: (brief) => suitedNotch(brief, brief.contents!.width + brief.aim.width),
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'bottomTab',
      value: 'folded',
      title: 'Both tabs first',
      why: 'Fold both tabs in, glue, lay the front over: quick, nothing to tuck.',
    },
    {
      option: 'bottomTab',
      value: 'tucked',
      title: 'Bottom tab tucked',
      why: 'Glue the side first, leave the lower inch dry, then tuck: the side can be squared before the bottom closes.',
    },
  ],
  cures: [partCure('tab'), ...NOTCH_CURES, usualCure('flap-overlap', 'Tabs 1/2 in', { tab: inches(1 / 2) })],
  advice: [
    {
      mistake: 'A bottom tab under both panels.',
      instead: 'Leave it only under the panel that carries the side tab; the other would seal the pocket.',
    },
    {
      mistake: 'Punching the notch through all layers at once.',
      instead: 'Punch one layer at a time, or the bite comes out ragged.',
    },
  ],
  sources: [
    '5 1/4 × 4 scored at 1/2, 2 7/8 and, turned, 1/2 (common practice, no source)',
    'ID-1 card 85.60 × 53.98 mm (ISO/IEC 7810)',
  ],
};
