import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import { built, EASE, fold, LEFT, optionGrip, refuse, RIGHT, roomGrip, segment, SLANT, UP } from '../shared/building';
import { partCure } from '../shared/cures';
import { cornerOption, idleWithFlap, closingFlap } from '../shared/closing-flap';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions } from '../shared/finger-notch';
import { choiceOption, lengthOption } from '../shared/options';
import { CLOSED, OPEN, sizedInside, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  tab: lengthOption('Side tabs', 'Width of the tabs that are glued.', inches(1 / 4), { over: 0 }),
  frontDrop: lengthOption('Front stops below the back by', 'Room to see and grip what is inside.', inches(1 / 2), {
    least: 0,
  }),
  closingFlap: lengthOption('Closing flap', 'Folded down over the front; 0 leaves it open.', inches(1), { least: 0 }),
  tabsOn: choiceOption('Tabs on', 'Which panel carries the side tabs.', ['front', 'back']),
  corner: cornerOption(),
  ...notchOptions(mm(0)),
});
type Options = z.output<typeof options>;

/** Front, back and closing flap one above the other: blank `(W + 2g) × (f + H + ft)`, tabs beside one panel only. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { tab: g, frontDrop, closingFlap: ft, tabsOn } = options;
  const slanted = usual(SLANT, brief);
  const sized = sizedInside(brief, ft > 0 ? CLOSED : OPEN, { width: [2 * g], height: [ft - frontDrop, 2] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  const f = H - frontDrop;
  if (f <= 2 * slanted)
    return refuse(
      tooLarge('frontDrop', 'drop of the front', frontDrop, blank ? blank.height - ft - 4 * slanted : H - 2 * slanted),
    );
  if (ft > H + TOLERANCE.length)
    return refuse(tooLarge('closingFlap', 'closing flap', ft, blank ? (blank.height + frontDrop) / 3 : H));
  if (ft > 0 && ft <= frontDrop + TOLERANCE.length)
    return refuse(tooLarge('frontDrop', 'drop of the front', frontDrop, ft - slanted));
  if (2 * g > W + TOLERANCE.length) return refuse(tooLarge('tab', 'side tab', g, blank ? blank.width / 4 : W / 2));
  // What the marks leave over on a given sheet lengthens the closing flap and widens the tabs.
  const sheet = blank ?? { width: mm(W + 2 * g), height: mm(f + H + ft) };
  const deep = ft > 0 ? sheet.height - f - H : 0;
  const [x1, x2, y1, y2] = [g, g + W, f, f + H];
  const right = sheet.width;
  const tabs: [string, number, number] = tabsOn === 'front' ? ['front', 0, y1] : ['back', y1, y2];
  const [, t0, t1] = tabs;
  const s = Math.min(slanted, g, (t1 - t0) / 4);
  // The flap keeps its full width: narrower, it would leave the drop of the front open at its ends.
  const closing = rect(x1, y2, x2, y2 + deep);
  const flap = closingFlap('back', deep, closing, segment(x1, y2, x2, y2), options.corner);
  if (!flap.ok) return flap.refused;
  const piece = drawPiece({
    name: 'envelope',
    blank: sheet,
    panels: [
      { id: 'back', name: 'back', polygon: rect(x1, y1, x2, y2) },
      { id: 'front', name: 'front', polygon: rect(x1, 0, x2, y1) },
      { id: 'tab-1', name: 'left tab', polygon: ring([0, t0 + s], [x1, t0], [x1, t1], [0, t1 - s]) },
      { id: 'tab-2', name: 'right tab', polygon: ring([x2, t0], [right, t0 + s], [right, t1 - s], [x2, t1]) },
      ...flap.panels,
    ],
    folds: [
      { id: 's-tab-1', between: [tabsOn, 'tab-1'] },
      { id: 's-tab-2', between: [tabsOn, 'tab-2'] },
      { id: 's-front', between: ['back', 'front'] },
      ...flap.folds,
    ],
    trims: flap.trims,
  });
  const onFront = tabsOn === 'front';
  return built({
    ...PLAIN,
    pieces: [piece],
    assembly: [
      fold('fold-tab-1', 'Fold the left tab in', ['s-tab-1']),
      fold('fold-tab-2', 'Fold the right tab in', ['s-tab-2']),
      // The tabs move with the front and are glued to the back, or lie on the back and take the front.
      fold('fold-front', 'Fold the front up over the back', ['s-front'], {
        gluedTo: onFront ? ['back'] : ['tab-1', 'tab-2'],
        ...(onFront ? { glueWithin: [rect(0, 0, x1, y1), rect(x2, 0, right, y1)] } : {}),
      }),
      ...(deep > 0
        ? [
            fold('close', 'Fold the closing flap down over the front', ['s-closing'], {
              gluedTo: ['front'],
              closes: true,
            }),
          ]
        : []),
    ],
    cavities: [
      {
        id: 'envelope',
        kind: ft > 0 ? 'closed' : 'pocket',
        floor: 'back',
        roof: onFront ? ['front'] : ['tab-1', 'tab-2', 'front'],
        mouth: segment(x1, y2, x2, y2),
        insertAfter: 'fold-front',
        covered: { floor: options.fingerNotch > 0 ? 0.5 : 1, roof: ft > 0 ? 1 : ((H - frontDrop) / H) * 0.8 },
      },
    ],
    front: 'above',
    claims: [
      {
        kind: 'laps',
        pairs: onFront
          ? [
              ['tab-1', 'back'],
              ['tab-2', 'back'],
            ]
          : [
              ['front', 'tab-1'],
              ['front', 'tab-2'],
            ],
      },
    ],
    grips: [
      ...(blank
        ? []
        : [
            roomGrip('s-tab-1', LEFT, 'width', 'room in the width'),
            roomGrip('s-tab-2', RIGHT, 'width', 'room in the width'),
          ]),
      optionGrip(
        's-front',
        UP,
        'frontDrop',
        'how far the front stops below the back',
        frontDrop,
        [0, Math.max(0, (ft > 0 ? ft : H / 2) - slanted)],
        blank ? -2 : -1,
      ),
      ...(ft > 0 && !blank
        ? [optionGrip('s-closing', UP, 'closingFlap', 'depth of the closing flap', ft, [frontDrop + slanted, H], -1)]
        : []),
    ],
    features: ft > 0 ? [] : fingerNotch('envelope', options),
  });
}

export const tabEnvelope: Construction<Options> = {
  name: 'tab-envelope',
  does: 'closes',
  title: 'Envelope with side tabs',
  purpose: 'A quick envelope from a strip: fold up, glue two tabs, close the flap.',
  options,
  ease: EASE.envelope,
  idle: idleWithFlap,
  build,
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'tabsOn',
      value: 'front',
      title: 'Tabs on the front',
      why: 'Folded in and glued to the back’s inside: clean edges, the back stays whole.',
    },
    {
      option: 'tabsOn',
      value: 'back',
      title: 'Tabs on the back',
      why: 'The front is laid onto the tabs last, so it can be lined or stamped flat.',
    },
  ],
  cures: [
    partCure('closingFlap'),
    partCure('frontDrop'),
    partCure('tab'),
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    ...NOTCH_CURES,
  ],
  advice: [
    {
      mistake: 'Tabs left on front and back both.',
      instead: 'Keep them on one panel only; two layers make a hard ridge that shows.',
    },
    {
      mistake: 'Glue right up to the fold of the tab.',
      instead: 'Stay 1/16 in away from it: what squeezes out seals the edge of the pocket.',
    },
  ],
  sources: ['3 1/2 × 6, tabs 1/4, scores at 2 1/4 and 5: 3 in wide inside (common practice, no source)'],
};
