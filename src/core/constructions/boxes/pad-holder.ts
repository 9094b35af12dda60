import { type ScoreId, drawPiece, rect } from '../../pattern';
import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm, type Mm } from '../../length';
import { built, EASE, fold, optionGrip, raiseStep, refuse, RIGHT, roomGrip, segment, UP } from '../shared/building';
import { partCure } from '../shared/cures';
import { penWall } from '../claims';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { choiceOption, lengthOption, openLengthOption } from '../shared/options';
import { FREE, insideFor, leftOver, onMark, spineFor, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  pen: openLengthOption(
    'Pen',
    'Diameter of the pen the loop is made for.',
    { over: 0, most: 40 },
    { open: '3/8 in, or what the loop takes' },
  ),
  loopWall: openLengthOption(
    'Loop wall',
    'Breadth of each of the loop’s two walls, where it is scored already.',
    { over: 0, most: 80 },
    { open: 'from the pen' },
  ),
  slit: lengthOption('Slit', 'How far in from each end the loop is slit.', inches(1), { over: 0 }),
  loop: choiceOption('Loop', 'The middle glued and two loops at the ends, or one long loop in the middle.', [
    'ends',
    'middle',
  ]),
});
type Options = z.output<typeof options>;

/** Diameter of a pen when none is told, mm. Common practice 3/8 in. */
const USUAL_PEN = inches(3 / 8);

/** Spine when the pad’s thickness is not told. Common practice 1/2 in. */
const USUAL_SPINE = inches(1 / 2);

/**
 * Cover, two loop walls, spine and back side by side: `2u + 2l + t`, the third score brought to the first so that the
 * walls lie doubled on the cover's outside. A loop of `2l` goes round a pen of `2l/π`, its paper and slack included.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, thickness } = brief;
  const l = options.loopWall ?? onMark(penWall(options.pen ?? usual(USUAL_PEN, brief), brief.caliper), brief, 'up');
  const t = thickness > 0 ? spineFor(brief.deep, brief) : usual(USUAL_SPINE, brief);
  let inside;
  if (blank) {
    const width = leftOver(brief, 'width', blank.width, 2 * l + t, 2);
    if (!width.ok) return refuse(width.refusal);
    inside = { width: mm((blank.width - 2 * l - t) / 2), height: blank.height };
  } else inside = insideFor(brief, FREE);
  const { width: u, height: H } = inside;
  const c = options.slit;
  if (2 * c >= H - 3) return refuse(tooLarge('slit', 'slit', c, (H - 6) / 2));
  if (2 * l > u + TOLERANCE.length)
    return refuse(tooLarge('loopWall', 'loop wall', l, blank ? blank.width / 8 : u / 2));
  const [x1, x2, x3, x4] = [u, u + l, u + 2 * l, u + 2 * l + t];
  const stretches = [
    { k: 1, y0: 0, y1: c, name: 'near end' },
    { k: 2, y0: c, y1: H - c, name: 'middle' },
    { k: 3, y0: H - c, y1: H, name: 'far end' },
  ];
  const piece = drawPiece({
    name: 'holder',
    blank: blank ?? { width: mm(x4 + u), height: H },
    panels: [
      { id: 'back', name: 'back', polygon: rect(x4, 0, x4 + u, H) },
      { id: 'spine', name: 'spine', polygon: rect(x3, 0, x4, H) },
      { id: 'front', name: 'cover', polygon: rect(0, 0, u, H) },
      ...stretches.flatMap(({ k, y0, y1, name }) => [
        { id: `first-${k}`, name: `first wall at the ${name}`, polygon: rect(x1, y0, x2, y1) },
        { id: `second-${k}`, name: `second wall at the ${name}`, polygon: rect(x2, y0, x3, y1) },
      ]),
    ],
    folds: [
      ...stretches.map(({ k }) => ({
        id: `s1-${k}`,
        between: ['front', `first-${k}`] as const,
        fold: 'mountain' as const,
      })),
      ...stretches.map(({ k }) => ({ id: `s2-${k}`, between: [`first-${k}`, `second-${k}`] as const })),
      ...stretches.map(({ k }) => ({ id: `s3-${k}`, between: ['spine', `second-${k}`] as const, angle: 90 })),
      { id: 's4', between: ['back', 'spine'], angle: 90 },
    ],
    slits: [1, 2].map((k) => ({
      id: `slit-${k}`,
      name: `${k === 1 ? 'near' : 'far'} slit`,
      between: [
        [`first-${k}`, `first-${k + 1}`],
        [`second-${k}`, `second-${k + 1}`],
      ] as const,
    })),
  });
  const glued = options.loop === 'ends' ? [2] : [1, 3];
  const loop = ['first', 'second'].flatMap((wall) => [1, 2, 3].map((k) => `${wall}-${k}`));
  const all = (score: ScoreId): [string, ...string[]] => [`${score}-1`, `${score}-2`, `${score}-3`];
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [piece],
    assembly: [
      fold('under', 'Fold all but the cover under it', all('s1'), { moving: [...loop, 'spine', 'back'] }),
      fold(
        'pinch',
        'Fold out again: the third score comes under the first, and the two walls lie on each other',
        all('s2'),
        {
          moving: [...loop.slice(3), 'spine', 'back'],
          gluedTo: glued.map((k) => `first-${k}`),
        },
      ),
      raiseStep('raise-spine', 'Raise the spine, loop and cover with it', [['s4']]),
      raiseStep('close', 'Fold the cover over the pad', [all('s3')], { closes: true }),
    ],
    cavities: [
      {
        kind: 'box',
        id: 'pad',
        floor: 'back',
        across: segment(x4, H / 2, x4 + u, H / 2),
        tall: 'spine',
        onEdge: false,
        insertAfter: 'pinch',
        glued: true,
        put: 'Glue the pad in by its back, its bound edge against the spine.',
        outside: loop,
      },
    ],
    claims: [
      {
        kind: 'walls-meet',
        pairs: [
          ['back', 'spine'],
          ['front', 'spine'],
        ],
      },
      {
        kind: 'pen-loop',
        walls: options.loop === 'ends' ? ['first-1', 'second-1'] : ['first-2', 'second-2'],
        after: 'pinch',
        pen: options.pen ?? null,
      },
    ],
    grips: blank
      ? []
      : [
          roomGrip('s4', RIGHT, 'width', 'room in the width', -1),
          optionGrip('s2-2', RIGHT, 'loopWall', 'breadth of the loop’s walls', l, [6, Math.min(60, u / 2)]),
          ...(H > 60 ? [optionGrip('s1-1', UP, 'slit', 'length of the end loops', c, [10, H / 2 - 10])] : []),
        ],
  });
}

export const padHolder: Construction<Options> = {
  name: 'pad-holder',
  does: 'wraps',
  title: 'Pad holder with a pen loop',
  purpose: 'A cover for a pad of paper, its spine as thick as the pad, with a loop that keeps the pen.',
  options,
  ease: EASE.box,
  idle: () => [],
  build,
  schools: [
    {
      option: 'loop',
      value: 'ends',
      title: 'Middle glued, a loop at each end',
      why: 'The pen is held at both ends and the middle is a firm double strip.',
    },
    {
      option: 'loop',
      value: 'middle',
      title: 'Ends glued, one long loop',
      why: 'The pen lies in one long sleeve: it cannot tip out, but it is harder to thread.',
    },
  ],
  cures: [
    { for: 'pen', label: 'Size the loop from the pen', options: () => ({ loopWall: undefined }) },
    partCure('slit'),
    {
      for: 'part-too-large',
      id: 'loopWall',
      label: 'Make it fit',
      options: (limit: Mm) => ({ loopWall: Math.max(1, Math.floor((limit - 0.05) * 10) / 10) }),
    },
  ],
  advice: [
    {
      mistake: 'Sizing the loop from the pad’s thickness.',
      instead: 'The loop goes round the pen: two walls of 1/2 in take a pen of 5/16 in, whatever the pad.',
    },
    {
      mistake: 'Slits cut past the third score.',
      instead: 'Start and stop on the scores: a slit that runs into the spine tears when the cover is opened.',
    },
  ],
  sources: [
    'a 4 × 6 pad 1/2 thick: 6 1/8 × 9 3/4 scored 4 1/8, 4 5/8, 5 1/8, 5 5/8, slits 1 in (common practice, no source)',
  ],
};
