/**
 * A trial holder, for the test that adds it: a strip folded up once, its tabs glued over the front, cut lower in front
 * so that a thumb finds the tickets. Its thumb room is a promise that no other holder makes, so it is measured and
 * worded here. It is not shipped; with one line in `constructions/list.ts` it would be.
 */
import { z } from '../../src/core/text/zod';
import {
  built,
  EASE,
  fold,
  LEFT,
  refuse,
  RIGHT,
  roomGrip,
  segment,
  SLANT,
} from '../../src/core/constructions/shared/building';
import { partCure } from '../../src/core/constructions/shared/cures';
import type { ClaimType } from '../../src/core/constructions';
import {
  PLAIN,
  type Brief,
  type BuildResult,
  type Construction,
} from '../../src/core/constructions/shared/construction';
import { lengthOption } from '../../src/core/constructions/shared/options';
import { OPEN, sizedInside, tooLarge } from '../../src/core/constructions/shared/sizing';
import { layerOf } from '../../src/core/fold';
import { mm } from '../../src/core/length';
import { drawPiece, rect } from '../../src/core/pattern';

const options = z.strictObject({
  tab: lengthOption('Tab', 'On each side of the back, glued over the front.', mm(12), { least: 3 }),
  show: lengthOption('Thumb room', 'How much lower the front is.', mm(12), { least: 1 }),
});
type Options = z.output<typeof options>;

function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, show } = options;
  const sized = sizedInside(brief, OPEN, { width: [2 * g, 1], height: [-show, 2] });
  if (!sized.ok) return refuse(sized.refusal);
  const W = blank ? blank.width - 2 * g : sized.inside.width;
  const H = sized.inside.height;
  const front = blank ? blank.height - H : H - show;
  if (front < 3 * SLANT) return refuse(tooLarge('show', 'thumb room', show, H - 3 * SLANT));
  if (2 * g > W) return refuse(tooLarge('tab', 'tab', g, blank ? blank.width / 4 : W / 2));
  const sheet = blank ?? { width: mm(W + 2 * g), height: mm(front + H) };
  const [x1, x2, top] = [g, g + W, sheet.height];
  return built({
    ...PLAIN,
    pieces: [
      drawPiece({
        name: 'jacket',
        blank: sheet,
        panels: [
          { id: 'back', name: 'back', polygon: rect(x1, front, x2, top) },
          { id: 'front', name: 'front', polygon: rect(x1, 0, x2, front) },
          { id: 'tab-1', name: 'left tab', polygon: rect(0, front + SLANT, x1, 2 * front - SLANT) },
          { id: 'tab-2', name: 'right tab', polygon: rect(x2, front + SLANT, sheet.width, 2 * front - SLANT) },
        ],
        folds: [
          { id: 's-fold', between: ['back', 'front'] },
          { id: 's-tab-1', between: ['back', 'tab-1'] },
          { id: 's-tab-2', between: ['back', 'tab-2'] },
        ],
      }),
    ],
    assembly: [
      fold('fold-up', 'Fold the front up over the back', ['s-fold']),
      fold('fold-tab-1', 'Fold the left tab over the front', ['s-tab-1'], { gluedTo: ['front'] }),
      fold('fold-tab-2', 'Fold the right tab over the front', ['s-tab-2'], { gluedTo: ['front'] }),
    ],
    cavities: [
      {
        id: 'jacket',
        kind: 'pocket',
        floor: 'back',
        roof: ['front'],
        mouth: segment(x1, top, x2, top),
        insertAfter: 'fold-tab-2',
        covered: { floor: 1, roof: 0.9 * (front / H) },
      },
    ],
    claims: [
      {
        kind: 'laps',
        pairs: [
          ['tab-1', 'front'],
          ['tab-2', 'front'],
        ],
      },
      { kind: 'own', holder: 'ticket-jacket', name: 'thumb' },
    ],
    front: 'above',
    grips: blank
      ? []
      : [
          roomGrip('s-tab-1', LEFT, 'width', 'room in the width'),
          roomGrip('s-tab-2', RIGHT, 'width', 'room in the width'),
        ],
  });
}

/** A thumb takes hold of so much, mm. From memory. */
const THUMB = 10;

/** How far the back stands out past the front, as it is folded. */
const thumb: ClaimType<{ readonly kind: 'own' }, { 'thumb-room': object }> = {
  of: 'pile',
  measure: (_, { folded: { finished } }) => {
    const high = (panel: string): number => Math.max(...layerOf(finished, panel).polygon.map(({ y }) => y));
    const value = high('back') - high('front');
    return [
      {
        kind: 'thumb-room',
        level: value < THUMB ? 'note' : 'pass',
        value,
        limit: THUMB,
        about: {},
        cure: mm(THUMB),
      },
    ];
  },
  words: {
    'thumb-room': ({ level, value }, say) =>
      level === 'pass'
        ? `A thumb finds ${say(value)} of the back to hold.`
        : `Only ${say(value)} of the back stands out: a thumb finds no hold. Make the front lower.`,
  },
};

export const ticketJacket: Construction<Options> = {
  name: 'ticket-jacket',
  does: 'opens',
  title: 'Ticket jacket',
  purpose: 'A jacket for tickets that a thumb takes out.',
  options,
  ease: EASE.loose,
  idle: () => [],
  build,
  schools: [],
  claims: { thumb },
  cures: [
    partCure('tab'),
    partCure('show'),
    { for: 'own', id: 'thumb-room', label: 'Make the front lower', options: (limit) => ({ show: limit }) },
  ],
  advice: [{ mistake: 'Gluing the tabs to the tickets.', instead: 'Glue the tabs’ outer half only.' }],
  sources: ['made up for a test'],
};
