import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import {
  built,
  DOWN,
  EASE,
  fold,
  basePiece,
  LEFT,
  optionGrip,
  place,
  refuse,
  RIGHT,
  roomGrip,
  segment,
} from '../shared/building';
import { onFineMark, partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, idleNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions } from '../shared/finger-notch';
import { choiceOption, lengthOption } from '../shared/options';
import { OPEN, sizedInside, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  tab: lengthOption('Tabs', 'Width of the tabs on three sides.', inches(1 / 4), { over: 0 }),
  corners: choiceOption('Lower corners', 'How the corners between the tabs are cut away.', ['mitred', 'square']),
  seat: choiceOption('Seat', 'Tabs glued flat, or standing as a gusset.', ['flat', 'gusset']),
  ...notchOptions(mm(0)),
});
type Options = z.output<typeof options>;

/** How far the page that takes the pocket is drawn round it, mm. */
const PAGE = 20;

/**
 * A panel with tabs folded under on three sides and glued onto a page: blank `(W + 2g) × (H + g)`. As a gusset, the
 * outer half of each tab is glued and the inner half unfolds: the front stands off the page by `g / 2` at most, and as it does
 * its sides come in: the mouth’s perimeter stays `2W`.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, corners, seat } = options;
  const opens = seat === 'gusset' ? g / 2 : 0;
  const sized = sizedInside(brief, OPEN, { width: [2 * g], height: [g] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  if (2 * g > Math.min(W, H) + TOLERANCE.length)
    return refuse(tooLarge('tab', 'tab', g, blank ? Math.min(blank.width / 4, blank.height / 3) : Math.min(W, H) / 2));
  const sheet = blank ?? { width: mm(W + 2 * g), height: mm(H + g) };
  const low = sheet.height - H;
  const [x1, x2, top] = [g, g + W, sheet.height];
  const right = sheet.width;
  // Square corners: the whole corner comes off; mitred: the tabs run out at 45°.
  const m = corners === 'mitred' ? Math.min(g, low) : 0;
  const piece = drawPiece({
    name: 'pocket',
    blank: sheet,
    panels: [
      { id: 'pocket', name: 'pocket', polygon: rect(x1, low, x2, top) },
      { id: 'tab-1', name: 'left tab', polygon: ring([0, low + m], [x1, low], [x1, top], [0, top]) },
      { id: 'tab-2', name: 'right tab', polygon: ring([x2, low], [right, low + m], [right, top], [x2, top]) },
      { id: 'tab-3', name: 'bottom tab', polygon: ring([x1, low], [x1 + m, 0], [x2 - m, 0], [x2, low]) },
    ],
    folds: [
      { id: 's-tab-1', between: ['pocket', 'tab-1'] },
      { id: 's-tab-2', between: ['pocket', 'tab-2'] },
      { id: 's-tab-3', between: ['pocket', 'tab-3'] },
    ],
  });
  const page = basePiece('page', 'page', { width: mm(W + 2 * PAGE), height: mm(H + 2 * PAGE) });
  return built({
    ...PLAIN,
    pieces: [piece, page],
    assembly: [
      fold('fold-tab-1', 'Fold the left tab under', ['s-tab-1']),
      fold('fold-tab-2', 'Fold the right tab under', ['s-tab-2']),
      fold('fold-tab-3', 'Fold the bottom tab under', ['s-tab-3']),
      place('lay-on-page', 'Lay the pocket on the page, tabs down', {
        panel: 'pocket',
        onto: 'page',
        line: segment(x1, low, x2, low),
        on: segment(PAGE + W, PAGE, PAGE, PAGE),
        over: true,
        level: 'top',
        gluedTo: ['page'],
        glueWithin:
          opens > 0
            ? [rect(0, 0, g / 2, top), rect(right - g / 2, 0, right, top), rect(0, 0, right, low / 2)]
            : [rect(0, 0, x1, top), rect(x2, 0, right, top), rect(0, 0, right, low)],
      }),
    ],
    cavities: [
      {
        id: 'pocket',
        kind: 'pocket',
        floor: 'pocket',
        roof: ['page', 'tab-1', 'tab-2', 'tab-3'],
        mouth: segment(x1, top, x2, top),
        insertAfter: 'lay-on-page',
        covered: { floor: options.fingerNotch > 0 ? 0.5 : 1, roof: 1 },
        ...(opens > 0 ? { gusset: [['tab-1'], ['tab-2'], ['tab-3']] } : {}),
      },
    ],
    front: 'above',
    grips: blank
      ? [optionGrip('s-tab-1', RIGHT, 'tab', 'width of the tabs', g, [3, Math.min(W, H) / 2])]
      : [
          roomGrip('s-tab-1', LEFT, 'width', 'room in the width'),
          roomGrip('s-tab-2', RIGHT, 'width', 'room in the width'),
          roomGrip('s-tab-3', DOWN, 'height', 'room in the height'),
        ],
    features: fingerNotch('pocket', options),
  });
}

export const patchPocket: Construction<Options> = {
  name: 'patch-pocket',
  does: 'opens',
  title: 'Patch pocket',
  purpose: 'A pocket glued onto a page, a folder or a box lid, closed on three sides.',
  options,
  ease: EASE.sliding,
  idle: idleNotch,
  build,
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'corners',
      value: 'mitred',
      title: 'Mitred corners',
      why: 'The tabs meet at 45° and nothing lies double.',
    },
    {
      option: 'corners',
      value: 'square',
      title: 'Square corners',
      why: 'Two straight cuts a corner: quicker, the tabs stop short of each other.',
    },
    { option: 'seat', value: 'flat', title: 'Tabs glued flat', why: 'A tight pocket for a card or two.' },
    {
      option: 'seat',
      value: 'gusset',
      title: 'Tabs as a gusset',
      why: 'Only their outer half is glued, so the front can stand off the page by half a tab: for what has body.',
    },
  ],
  cures: [
    partCure('tab'),
    {
      for: 'gusset',
      label: 'Wider tabs',
      options: (limit, _, { graduation }) => ({ tab: onFineMark(2 * limit + inches(1 / 8), graduation) }),
    },
    ...NOTCH_CURES,
  ],
  advice: [
    {
      mistake: 'Wet glue up to the fold of the tabs.',
      instead: 'Tape or a thin line of glue near the tab’s edge; slide a folder through while it sets.',
    },
    {
      mistake: 'Gluing the pocket to a page that is already bound.',
      instead: 'Check that what stands in it clears the page’s edge first.',
    },
  ],
  sources: ['4 × 2 with 1/4 tabs and 5 1/8 × 3 1/2 with 1/2 tabs (common practice, no source)'],
};
