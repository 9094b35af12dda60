import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm, type Mm } from '../../length';
import { built, EASE, optionGrip, refuse, RIGHT, roomGrip, SLANT, UP } from '../shared/building';
import { usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import {
  deeperCures,
  depthFor,
  depthOption,
  layLiner,
  leastDepthOption,
  lidCures,
  LINER,
  linerPiece,
  putLidOn,
  SHALLOW_CURES,
} from './lids';
import { choiceOption, lengthOption, yesNoOption } from '../shared/options';
import { FREE, insideFor, onMark, tooLarge, usual } from '../shared/sizing';
import { drawTray } from './tray';

const options = z.strictObject({
  depth: depthOption(),
  leastDepth: leastDepthOption(),
  lid: yesNoOption('Lid', 'A second tray that goes over the first.', true),
  lidAllowance: lengthOption(
    'Lid larger by',
    'On the lid’s blank, both sides together: its layers need room. Common practice 1/8 in.',
    inches(1 / 8),
    { least: 0, most: 30 },
  ),
  lidDirections: choiceOption('Lid larger', 'Both ways, or across only: then it grips at the ends.', [
    'both',
    'across',
  ]),
  tabsOn: choiceOption('Tabs on', 'Which walls keep the corners as tabs.', ['long', 'short']),
  liner: yesNoOption('Liner', 'A sheet on the floor that covers the edges of the folds.', false),
});
type Options = z.output<typeof options>;

/** How deep a box is: on a given sheet as deep as leaves a floor on which its contents sit best. */
function depthOn(brief: Brief<Options>, options: Options): Mm {
  const needed = depthFor(brief, options);
  const { blank, contents, aim } = brief;
  if (!blank || !contents || options.depth !== undefined) return needed;
  const snug = (side: 'width' | 'height'): number => (blank[side] - contents[side] - aim[side]) / 2;
  return mm(Math.max(needed, onMark(Math.max(0, Math.min(snug('width'), snug('height'))), brief, 'down')));
}

/** A floor and four walls from `(W + 2d) × (L + 2d)`, the corners glued inside as tabs; the lid is the same, a little larger. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const [less, slant] = [usual(LINER, brief), usual(SLANT, brief)];
  const d = depthOn(brief, options);
  if (blank)
    for (const side of ['width', 'height'] as const)
      if (blank[side] <= 2 * d + TOLERANCE.length)
        return refuse({ code: 'sheet-too-small', value: blank[side], limit: mm(2 * d), about: { side } });
  const inside = blank ? { width: mm(blank.width - 2 * d), height: mm(blank.height - 2 * d) } : insideFor(brief, FREE);
  const { width, height } = inside;
  const keepers = width >= height === (options.tabsOn === 'long') ? 'width' : 'height';
  if (options.liner && Math.min(width, height) <= 2 * less)
    return refuse(tooLarge('liner', 'liner', less, Math.min(width, height) / 2));
  const box = drawTray({ prefix: '', name: 'box', width, height, depth: d, keepers, slant });
  const more = options.lidAllowance;
  const lid = options.lid
    ? drawTray({
        prefix: 'lid-',
        name: 'lid',
        width: mm(width + more),
        height: mm(height + (options.lidDirections === 'both' ? more : 0)),
        depth: d,
        keepers,
        slant,
      })
    : null;
  const liner = options.liner ? [linerPiece(width - less, height - less)] : [];
  const lining = options.liner ? [layLiner(box.floor, box.across, width - less, height - less)] : [];
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [box.piece, ...liner, ...(lid ? [lid.piece] : [])],
    assembly: [...box.steps, ...lining, ...(lid ? [...lid.steps, putLidOn(lid, box, d)] : [])],
    cavities: [
      {
        kind: 'box',
        id: 'box',
        floor: box.floor,
        across: box.across,
        tall: box.wall,
        onEdge: false,
        insertAfter: (lining[0] ?? box.steps.at(-1)!).id,
        food: true,
      },
    ],
    claims: [
      { kind: 'walls-meet', pairs: [...box.meets, ...(lid?.meets ?? [])] },
      ...(lid
        ? [
            {
              kind: 'lid',
              inner: box.floor,
              outer: lid.floor,
              across: box.across,
              outerAcross: lid.across,
              wall: lid.wall,
            } as const,
          ]
        : []),
    ],
    grips: blank
      ? [optionGrip('s-near', UP, 'depth', 'depth of the box', d, [3, Math.min(blank.width, blank.height) / 2 - 3])]
      : [
          roomGrip('s-right', RIGHT, 'width', 'room in the width'),
          roomGrip('s-far', UP, 'height', 'room in the height'),
          optionGrip('s-near', UP, 'depth', 'depth of the box', d, [3, 200]),
        ],
  });
}

export const trayBox: Construction<Options> = {
  name: 'tray-box',
  does: 'stands',
  title: 'Tray box with a lid',
  purpose: 'A shallow box for cards, photographs or a small gift, with a lid that slides over it.',
  options,
  ease: EASE.box,
  idle: ({ lid, depth }) => [
    ...(lid ? [] : ['lidAllowance', 'lidDirections']),
    ...(depth === undefined ? [] : ['leastDepth']),
  ],
  build,
  schools: [
    {
      option: 'tabsOn',
      value: 'long',
      title: 'Tabs on the long walls',
      why: 'Two long walls stay whole and carry the tabs; the short ends are doubled and stiff.',
    },
    {
      option: 'tabsOn',
      value: 'short',
      title: 'Tabs on the short walls',
      why: 'The ends stand first, and the long walls close over the tabs: easier on a narrow box.',
    },
    {
      option: 'lidDirections',
      value: 'both',
      title: 'Lid larger both ways',
      why: 'Slides on and off freely at sides and ends.',
    },
    {
      option: 'lidDirections',
      value: 'across',
      title: 'Lid larger across only',
      why: 'Both sheets are cut to one length; the lid grips at the ends and stays on when the box is turned over.',
    },
  ],
  cures: [
    ...lidCures(),
    { for: 'part-too-large', id: 'liner', label: 'Make it fit', options: () => ({ liner: false, depth: undefined }) },
    ...SHALLOW_CURES,
    ...deeperCures('Make it as deep as the contents'),
    usualCure('sheet-too-small', 'Depth 1/2 in', { depth: inches(1 / 2) }),
  ],
  advice: [
    {
      mistake: 'Box and lid cut to one size.',
      instead: 'The lid goes round the box’s paper: cut its sheet 1/8 in larger, more for thick card.',
    },
    {
      mistake: 'Tabs glued while the wall leans.',
      instead: 'Stand the corner against something square and hold it until the glue grips.',
    },
    {
      mistake: 'Cutting past the crossing of the scores.',
      instead: 'Stop at the crossing: a cut that runs on into the floor opens the corner.',
    },
  ],
  sources: ['tray 6 1/2 × 11 and lid 6 5/8 × 11, scored at 1: the lid larger across only (common practice, no source)'],
};
