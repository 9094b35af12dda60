import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm, type Mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { built, EASE, fold, LEFT, place, refuse, RIGHT, roomGrip, segment } from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { lengthOption, openLengthOption } from '../shared/options';
import { sideFor, drawWrap } from './round-packet';
import { FREE, insideFor, leftOver, onMark, OPEN, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  breadth: lengthOption('Breadth', 'Of the band.', inches(3 / 2), { over: 0 }),
  lap: lengthOption('Lap', 'What one end covers of the other.', inches(1 / 2), { over: 0 }),
  sheetLength: openLengthOption(
    'Longest strip',
    'What the paper gives; a longer band is joined from two.',
    { over: 0 },
    { open: 'as long as needed' },
  ),
});
type Options = z.output<typeof options>;

/**
 * A strip once round a packet, flat width `W = w + t + ease`: length `2W + lap`, its ends meeting on the back. Longer
 * than the sheet, it is joined from two strips with a lap of its own under the second fold.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { lap, sheetLength } = options;
  const b = blank ? blank.height : options.breadth;
  const side = sideFor(brief);
  let W: number;
  if (blank) {
    const width = leftOver(brief, 'width', blank.width, lap + 2 * side, 2);
    if (!width.ok) return refuse(width.refusal);
    W = width.length;
  } else W = insideFor(brief, side > 0 ? FREE : OPEN).width;
  if (side > 0) return standing(brief, W, side, b);
  if (lap > W + TOLERANCE.length) return refuse(tooLarge('lap', 'lap', lap, blank ? blank.width / 3 : W));
  // The strip is cut to the nearest mark; what the marks give the inside comes off the lap, and is said.
  const wanted = blank
    ? blank.width
    : onMark(
        2 * (brief.contents!.width + brief.contents!.thickness + Math.max(brief.aim.width, brief.least.width)) + lap,
        brief,
      );
  const total = wanted - 2 * W >= lap / 2 ? wanted : 2 * W + lap;
  const joined = !blank && sheetLength !== undefined && total > sheetLength + TOLERANCE.length;
  if (joined && sheetLength < W + lap)
    return refuse({ code: 'strip-too-short', value: sheetLength, limit: mm(W + lap) });
  const first = joined ? Math.min(W, onMark(sheetLength - W, brief, 'down')) : onMark((total - W) / 2, brief, 'up');
  const second = total - W - first;
  const [x1, x2] = [first, first + W];
  const ends = [
    fold('fold-end-1', 'Fold the first end over', ['s-end-1']),
    fold('fold-end-2', 'Fold the second end over it', ['s-end-2'], { gluedTo: ['end-1'] }),
  ];
  const front = { id: 'front', name: 'front', polygon: rect(x1, 0, x2, b) };
  const end1 = { id: 'end-1', name: 'first end', polygon: rect(0, 0, x1, b) };
  const pieces = joined
    ? ([
        drawPiece({
          name: 'band',
          blank: { width: mm(x2), height: b },
          panels: [front, end1],
          folds: [{ id: 's-end-1', between: ['front', 'end-1'] }],
        }),
        drawPiece({
          name: 'second strip',
          blank: { width: mm(lap + second), height: b },
          panels: [
            { id: 'join', name: 'lap of the join', polygon: rect(0, 0, lap, b) },
            { id: 'end-2', name: 'second end', polygon: rect(lap, 0, lap + second, b) },
          ],
          folds: [{ id: 's-end-2', between: ['join', 'end-2'] }],
        }),
      ] as const)
    : ([
        drawPiece({
          name: 'band',
          blank: blank ?? { width: mm(total), height: b },
          panels: [front, end1, { id: 'end-2', name: 'second end', polygon: rect(x2, 0, total, b) }],
          folds: [
            { id: 's-end-1', between: ['front', 'end-1'] },
            { id: 's-end-2', between: ['front', 'end-2'] },
          ],
        }),
      ] as const);
  return built({
    ...PLAIN,
    pieces,
    assembly: joined
      ? [
          place('join-strips', 'Lay the second strip’s lap on the front, its score along the front’s edge', {
            panel: 'join',
            onto: 'front',
            line: segment(lap, 0, lap, b),
            on: segment(x2, 0, x2, b),
            over: false,
            level: 'top',
            gluedTo: ['front'],
          }),
          ...ends,
        ]
      : ends,
    cavities: [
      {
        id: 'band',
        kind: 'tube',
        floor: 'front',
        roof: ['end-1', 'end-2'],
        mouth: segment(x1, b, x2, b),
        insertAfter: 'fold-end-2',
        covered: { floor: 0, roof: 0 },
        through: true,
      },
    ],
    claims: [
      { kind: 'laps', asked: lap, pairs: [['end-2', 'end-1'], ...(joined ? [['join', 'front'] as const] : [])] },
    ],
    grips: blank
      ? []
      : [
          roomGrip('s-end-1', LEFT, 'width', 'room it slides with'),
          roomGrip('s-end-2', RIGHT, 'width', 'room it slides with'),
        ],
  });
}

/** A band round a packet, creased at its four edges; from one strip, or two joined on its front. */
function standing(brief: Brief<Options>, width: number, side: Mm, tall: Mm): BuildResult {
  const { options, blank } = brief;
  const { lap, sheetLength } = options;
  if (lap > width + TOLERANCE.length)
    return refuse(tooLarge('lap', 'lap', lap, blank ? (blank.width - 2 * side) / 3 : width));
  const both = blank ? blank.width - width - 2 * side : width + lap;
  const total = both + width + 2 * side;
  const joined = !blank && sheetLength !== undefined && total > sheetLength + TOLERANCE.length;
  const least = width + side + lap;
  if (joined && sheetLength < least) return refuse({ code: 'strip-too-short', value: sheetLength, limit: mm(least) });
  const first = joined
    ? Math.min(width, onMark(sheetLength - width - side, brief, 'down'))
    : onMark(both / 2, brief, 'up');
  const second = both - first;
  const wrap = drawWrap({ first, side, width, second, tall, id: 'band', through: true });
  const end = first + side + width;
  const rest = wrap.rest(joined ? lap : end);
  return built({
    ...PLAIN,
    pieces: joined
      ? [
          drawPiece({
            name: 'band',
            blank: { width: mm(end), height: tall },
            panels: wrap.front,
            folds: wrap.frontFolds,
          }),
          drawPiece({
            name: 'second strip',
            blank: { width: mm(lap + side + second), height: tall },
            panels: [{ id: 'join', name: 'lap of the join', polygon: rect(0, 0, lap, tall) }, ...rest],
            folds: wrap.restFolds('join'),
          }),
        ]
      : [
          drawPiece({
            name: 'band',
            blank: blank ?? { width: mm(wrap.length), height: tall },
            panels: [...wrap.front, ...rest],
            folds: [...wrap.frontFolds, ...wrap.restFolds('front')],
          }),
        ],
    assembly: [
      ...(joined
        ? [
            place('join-strips', 'Lay the second strip’s lap on the front, its score along the front’s edge', {
              panel: 'join',
              onto: 'front',
              line: segment(lap, 0, lap, tall),
              on: segment(end, 0, end, tall),
              over: false,
              level: 'top',
              gluedTo: ['front'],
            }),
          ]
        : []),
      ...wrap.steps,
    ],
    cavities: [wrap.cavity],
    claims: [
      { kind: 'laps', asked: lap, pairs: [['end-2', 'end-1'], ...(joined ? [['join', 'front'] as const] : [])] },
    ],
    grips: blank ? [] : [roomGrip('s-side-2', RIGHT, 'width', 'room it slides with')],
  });
}

export const bellyBand: Construction<Options> = {
  name: 'belly-band',
  does: 'wraps',
  title: 'Belly band',
  purpose: 'A strip round a packet, a sleeve or a stack of cards that slides on and stays.',
  options,
  ease: EASE.wrap,
  idle: () => [],
  build,
  schools: [],
  cures: [
    { for: 'strip-too-short', label: 'Use a longer strip', options: (limit) => ({ sheetLength: limit }) },
    usualCure('flap-overlap', 'Lap 1/2 in', { lap: inches(1 / 2) }),
    partCure('lap'),
  ],
  advice: [
    {
      mistake: 'Gluing the band while it is round the packet.',
      instead: 'Slip a strip of waxed paper under the lap, or the band is glued on for good.',
    },
    { mistake: 'A band made to measure with no ease.', instead: '1/16 to 1/8 in lets it slide without falling off.' },
  ],
  sources: ['band 10 1/2 × 1 1/2 round a sleeve 5 in deep (common practice, no source)'],
};
