import { z } from '../../text/zod';
import { inches, mm, type Mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE, fold, LEFT, refuse, RIGHT, roomGrip, segment, UP } from '../shared/building';
import { usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { fingerNotch, idleNotch, NOTCH_CURES, NOTCH_SCHOOLS, notchOptions } from '../shared/finger-notch';
import { choiceOption, lengthOption } from '../shared/options';
import { sideFor, drawWrap } from './round-packet';
import { FREE, onMark, OPEN, sizedInside } from '../shared/sizing';

const options = z.strictObject({
  fold: choiceOption('Folded', 'Once at the end, once along the side, or round into a tube.', ['end', 'side', 'tube']),
  lap: lengthOption('Lap of the tube', 'What one end covers of the other.', inches(1 / 2), { over: 0 }),
  ...notchOptions(mm(0)),
});
type Options = z.output<typeof options>;

/** A wrap folded once round a packet, or a tube glued along its back. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { lap } = options;
  const parts = { end: [1, 2], side: [2, 1], tube: [2, 1] }[options.fold] as [number, number];
  const sized = sizedInside(brief, OPEN, {
    width: [options.fold === 'tube' ? lap : 0, parts[0]],
    height: [0, parts[1]],
  });
  if (!sized.ok) return refuse(sized.refusal);
  const { width: W, height: H } = sized.inside;
  const cavity = {
    id: 'sleeve',
    floor: 'back',
    covered: options.fingerNotch > 0 ? { floor: 0.5, roof: 0.5 } : { floor: 1, roof: 1 },
  } as const;
  const features = fingerNotch('sleeve', options);
  const side = sideFor(brief);
  if (options.fold === 'tube' && side > 0 && options.fingerNotch === 0) return standing(brief, side);
  if (options.fold === 'tube') {
    const sheet = blank ?? { width: mm(2 * W + lap), height: mm(H) };
    const both = sheet.width - W;
    const first = onMark(both / 2, brief, 'up');
    const [x1, x2, h] = [first, first + W, sheet.height];
    return built({
      ...PLAIN,
      pieces: [
        drawPiece({
          name: 'sleeve',
          blank: sheet,
          panels: [
            { id: 'front', name: 'front', polygon: rect(x1, 0, x2, h) },
            { id: 'end-1', name: 'first end', polygon: rect(0, 0, x1, h) },
            { id: 'end-2', name: 'second end', polygon: rect(x2, 0, sheet.width, h) },
          ],
          folds: [
            { id: 's-end-1', between: ['front', 'end-1'] },
            { id: 's-end-2', between: ['front', 'end-2'] },
          ],
        }),
      ],
      assembly: [
        fold('fold-end-1', 'Fold the first end over', ['s-end-1']),
        fold('fold-end-2', 'Fold the second end over it', ['s-end-2'], { gluedTo: ['end-1'] }),
      ],
      cavities: [
        {
          ...cavity,
          kind: 'tube',
          floor: 'front',
          roof: ['end-1', 'end-2'],
          mouth: segment(x1, h, x2, h),
          insertAfter: 'fold-end-2',
        },
      ],
      claims: [{ kind: 'laps', pairs: [['end-2', 'end-1']] }],
      grips: blank
        ? []
        : [
            roomGrip('s-end-1', LEFT, 'width', 'room in the width'),
            roomGrip('s-end-2', RIGHT, 'width', 'room in the width'),
          ],
      features,
    });
  }
  const end = options.fold === 'end';
  const sheet = blank ?? { width: mm(parts[0] * W), height: mm(parts[1] * H) };
  const [front, back, mouth] = end
    ? [
        rect(0, 0, sheet.width, sheet.height - H),
        rect(0, sheet.height - H, sheet.width, sheet.height),
        segment(0, sheet.height, sheet.width, sheet.height),
      ]
    : [rect(W, 0, sheet.width, sheet.height), rect(0, 0, W, sheet.height), segment(0, sheet.height, W, sheet.height)];
  return built({
    ...PLAIN,
    pieces: [
      drawPiece({
        name: 'sleeve',
        blank: sheet,
        panels: [
          { id: 'back', name: 'back', polygon: back },
          { id: 'front', name: 'front', polygon: front },
        ],
        folds: [{ id: 's-fold', between: ['back', 'front'] }],
      }),
    ],
    assembly: [fold('fold-over', end ? 'Fold the front up over the back' : 'Fold the front over the back', ['s-fold'])],
    cavities: [{ ...cavity, kind: 'wrap', roof: ['front'], mouth, insertAfter: 'fold-over' }],
    front: 'above',
    // A given sheet that is odd by a mark leaves the front that much longer.
    proud: ['front'],
    grips: blank
      ? []
      : [
          end
            ? roomGrip('s-fold', UP, 'height', 'room in the height')
            : roomGrip('s-fold', RIGHT, 'width', 'room in the width'),
        ],
    features,
  });
}

/** A tube round a packet, creased at its four edges. */
function standing(brief: Brief<Options>, side: Mm): BuildResult {
  const { options, blank } = brief;
  const { lap } = options;
  const sized = sizedInside(brief, FREE, { width: [lap + 2 * side, 2], height: [0] });
  if (!sized.ok) return refuse(sized.refusal);
  const { width, height } = sized.inside;
  const both = blank ? blank.width - width - 2 * side : width + lap;
  const first = onMark(both / 2, brief, 'up');
  const wrap = drawWrap({
    first,
    side,
    width,
    second: both - first,
    tall: blank?.height ?? height,
    id: 'sleeve',
    through: false,
  });
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [
      drawPiece({
        name: 'sleeve',
        blank: blank ?? { width: mm(wrap.length), height },
        panels: [...wrap.front, ...wrap.rest(first + side + width)],
        folds: [...wrap.frontFolds, ...wrap.restFolds('front')],
      }),
    ],
    assembly: wrap.steps,
    cavities: [wrap.cavity],
    claims: [{ kind: 'laps', pairs: [['end-2', 'end-1']] }],
    grips: blank ? [] : [roomGrip('s-side-2', RIGHT, 'width', 'room in the width')],
  });
}

export const sleeve: Construction<Options> = {
  name: 'sleeve',
  does: 'wraps',
  title: 'Sleeve',
  purpose: 'A wrap folded once round a card or a stack, or a tube it slides out of.',
  options,
  ease: EASE.wrap,
  idle: (options) => [...(options.fold === 'tube' ? [] : ['lap']), ...idleNotch(options)],
  build,
  schools: [
    ...NOTCH_SCHOOLS,
    {
      option: 'fold',
      value: 'end',
      title: 'Folded at the end',
      why: 'One fold, open at both sides and the top: a band holds it.',
    },
    {
      option: 'fold',
      value: 'side',
      title: 'Folded at the side',
      why: 'Opens like a book: what is inside can be read without taking it out.',
    },
    { option: 'fold', value: 'tube', title: 'Tube', why: 'Glued along the back: holds by itself, open at both ends.' },
  ],
  cures: [usualCure('flap-overlap', 'Lap 1/2 in', { lap: inches(1 / 2) }), ...NOTCH_CURES],
  advice: [
    {
      mistake: 'Measuring the packet and not what wraps it.',
      instead: 'Every layer that is wrapped counts twice its thickness.',
    },
    {
      mistake: 'Creasing the fold sharp over a thick stack.',
      instead: 'Score twice, a stack’s thickness apart, and leave the fold soft.',
    },
  ],
  sources: ['wrap 3 5/8 × 10 scored at 5 (common practice, no source)'],
};
