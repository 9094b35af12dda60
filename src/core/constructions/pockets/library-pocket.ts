import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import { built, EASE, fold, LEFT, optionGrip, refuse, RIGHT, roomGrip, segment, SLANT, UP } from '../shared/building';
import { partCure } from '../shared/cures';
import { roundedFlap } from '../shared/closing-flap';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, idleNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions } from '../shared/finger-notch';
import { choiceOption, lengthOption, openLengthOption } from '../shared/options';
import { insideFor, leftOver, onMark, OPEN, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  tab: lengthOption('Side tabs', 'Width of the tabs beside the pocket.', inches(1 / 4), { over: 0 }),
  tabs: choiceOption('Tabs', 'Between pocket and back, or round behind the back.', ['inside', 'behind']),
  show: lengthOption('Back shows', 'How much of the back stands above the pocket.', inches(3 / 2), { over: 0 }),
  pocketDepth: openLengthOption(
    'Pocket depth',
    'Instead of how much of the back shows.',
    { over: 0 },
    { open: 'from what shows' },
  ),
  top: choiceOption('Top edge', 'Of the back, where the contents stand out.', ['straight', 'rounded']),
  ...notchOptions(mm(0)),
});
type Options = z.output<typeof options>;

/** A pocket shallower than this holds nothing, mm. Common practice, no source. */
const SHALLOWEST = inches(1 / 4);
/** Radius of a rounded top edge's corners, mm: as common corner punches cut. Common practice, no source. */
const ROUND = inches(1 / 2);

/**
 * One strip `(W + 2g) × (P + B)`, folded at `P`: the pocket near, the back far. The tabs stay beside the pocket only;
 * what is put in stands above it by design, so the inside is as high as the back.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, tabs, show, pocketDepth } = options;
  let W: number;
  let P: number;
  let B: number;
  if (blank) {
    const width = leftOver(brief, 'width', blank.width, 2 * g);
    if (!width.ok) return refuse(width.refusal);
    W = width.length;
    P = pocketDepth ?? onMark((blank.height - show) / 2, brief);
    if (P < SHALLOWEST)
      return refuse(tooLarge('show', 'show of the back', blank.height - 2 * P, blank.height - 2 * SHALLOWEST));
    B = blank.height - P;
    if (B < P) return refuse(tooLarge('pocketDepth', 'pocket', P, blank.height / 2));
  } else {
    const inside = insideFor(brief, OPEN);
    W = inside.width;
    B = inside.height;
    P = pocketDepth ?? B - show;
    if (P < SHALLOWEST) return refuse(tooLarge('show', 'show of the back', B - P, B - SHALLOWEST));
    if (P > B + TOLERANCE.length) return refuse(tooLarge('pocketDepth', 'pocket', P, B));
  }
  if (2 * g > W + TOLERANCE.length) return refuse(tooLarge('tab', 'side tab', g, blank ? blank.width / 4 : W / 2));
  const sheet = blank ?? { width: mm(W + 2 * g), height: mm(P + B) };
  const [x1, x2, top, right] = [g, g + W, sheet.height, sheet.width];
  const s = Math.min(usual(SLANT, brief), g, P / 4);
  const rounded = roundedFlap(
    rect(x1, P, x2, top),
    segment(x1, P, x2, P),
    options.top === 'rounded' ? mm(Math.min(ROUND, W / 2 - 0.01, B - P > 0 ? B - P : ROUND)) : mm(0),
    'back',
    'back',
  );
  if (!rounded.ok) return refuse(rounded.refusal);
  const piece = drawPiece({
    name: 'pocket',
    blank: sheet,
    panels: [
      { id: 'back', name: 'back', polygon: rounded.polygon },
      { id: 'pocket', name: 'pocket', polygon: rect(x1, 0, x2, P) },
      { id: 'tab-1', name: 'left tab', polygon: ring([0, 0], [x1, 0], [x1, P], [0, P - s]) },
      { id: 'tab-2', name: 'right tab', polygon: ring([x2, 0], [right, 0], [right, P - s], [x2, P]) },
    ],
    folds: [
      { id: 's-tab-1', between: ['pocket', 'tab-1'] },
      { id: 's-tab-2', between: ['pocket', 'tab-2'] },
      { id: 's-fold', between: ['back', 'pocket'] },
    ],
    trims: rounded.trims,
  });
  const inside = tabs === 'inside';
  const up = fold(
    'fold-up',
    'Fold the pocket up over the back',
    ['s-fold'],
    inside ? { gluedTo: ['back'], glueWithin: [rect(0, 0, x1, P), rect(x2, 0, right, P)] } : {},
  );
  return built({
    ...PLAIN,
    pieces: [piece],
    assembly: inside
      ? [
          fold('fold-tab-1', 'Fold the left tab in', ['s-tab-1']),
          fold('fold-tab-2', 'Fold the right tab in', ['s-tab-2']),
          up,
        ]
      : [
          up,
          fold('fold-tab-1', 'Fold the left tab round behind the back', ['s-tab-1'], { gluedTo: ['back'] }),
          fold('fold-tab-2', 'Fold the right tab round behind the back', ['s-tab-2'], { gluedTo: ['back'] }),
        ],
    cavities: [
      {
        id: 'pocket',
        kind: 'pocket',
        floor: 'back',
        roof: ['pocket'],
        mouth: segment(x1, top, x2, top),
        insertAfter: inside ? 'fold-up' : 'fold-tab-2',
        covered: {
          floor: options.fingerNotch > 0 ? 0.4 : options.top === 'rounded' ? 0.9 : 1,
          roof: Math.min(1, P / B) * (options.fingerNotch > 0 ? 0.4 : 0.9),
        },
      },
    ],
    front: 'above',
    claims: [
      {
        kind: 'laps',
        pairs: [
          ['tab-1', 'back'],
          ['tab-2', 'back'],
        ],
      },
    ],
    grips: [
      blank
        ? optionGrip(
            's-fold',
            UP,
            pocketDepth === undefined ? 'show' : 'pocketDepth',
            pocketDepth === undefined ? 'how much of the back shows' : 'depth of the pocket',
            pocketDepth ?? B - P,
            pocketDepth === undefined ? [1, blank.height - 4] : [2, blank.height / 2],
            pocketDepth === undefined ? -2 : 1,
          )
        : optionGrip(
            's-fold',
            UP,
            pocketDepth === undefined ? 'show' : 'pocketDepth',
            pocketDepth === undefined ? 'how much of the back shows' : 'depth of the pocket',
            pocketDepth ?? show,
            pocketDepth === undefined ? [1, B - 2] : [2, B],
            pocketDepth === undefined ? -1 : 1,
          ),
      ...(blank
        ? []
        : [
            roomGrip('s-tab-1', LEFT, 'width', 'room in the width'),
            roomGrip('s-tab-2', RIGHT, 'width', 'room in the width'),
          ]),
    ],
    features: fingerNotch('pocket', options),
  });
}

export const libraryPocket: Construction<Options> = {
  name: 'library-pocket',
  does: 'opens',
  title: 'Library pocket',
  purpose: 'A strip folded up into a pocket with a tall back: tags, tickets, bookmarks; any scrap serves.',
  options,
  ease: EASE.sliding,
  idle: (options) => [...(options.pocketDepth === undefined ? [] : ['show']), ...idleNotch(options)],
  build,
  // So much of the back shows that the pocket still keeps what stands in it.
  suited: (brief) => {
    const most = onMark(0.6 * brief.contents!.height, brief, 'down');
    return most < brief.options.show && brief.options.pocketDepth === undefined ? { show: most } : {};
  },
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'tabs',
      value: 'inside',
      title: 'Tabs inside',
      why: 'Between pocket and back: slides easily and holds more.',
    },
    { option: 'tabs', value: 'behind', title: 'Tabs behind', why: 'Round the back: neater edges, a tighter pocket.' },
    { option: 'top', value: 'straight', title: 'Straight top', why: 'As cut; a torn edge does as well.' },
    { option: 'top', value: 'rounded', title: 'Rounded top', why: 'Does not catch when the contents are pulled.' },
  ],
  cures: [partCure('show', { pocketDepth: undefined }), partCure('pocketDepth'), partCure('tab'), ...NOTCH_CURES],
  advice: [
    {
      mistake: 'Folding just short of half.',
      instead: 'It works, but little of the back shows: 1 to 1 1/2 in or more is usual.',
    },
    {
      mistake: 'Leaving the side strips on above the fold.',
      instead: 'Cut them off just inside the pocket’s end, with a small slant.',
    },
  ],
  sources: [
    '4 in square strip folded at 1 1/4, tabs 1/4: 3 1/2 × 2 3/4 finished (common practice, no source)',
    'strips 8 1/2, 6 1/4 and 6 in tall folded at 3 1/2, 2 1/2 and 2 1/4 (common practice, no source)',
  ],
};
