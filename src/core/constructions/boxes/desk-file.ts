import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import { built, optionGrip, raiseStep, refuse, RIGHT, roomGrip, segment, SLANT, UP } from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { deeperCures, leastDepthOption, over } from './lids';
import { lengthOption, openLengthOption } from '../shared/options';
import { onMark, roomy, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  depth: openLengthOption(
    'Depth',
    'How thick a stack of pads it takes; from the contents’ thickness when left open.',
    { over: 0, most: 200 },
    { open: 'the stack’s thickness, or 1 1/2 in' },
  ),
  leastDepth: leastDepthOption(),
  frontHeight: lengthOption('Front', 'How high the front and the side walls stand.', inches(3 / 2), { over: 0 }),
  backRise: openLengthOption(
    'Back rises by',
    'How far the back stands above the pads.',
    { least: 0 },
    { open: 'the room asked for over them (1 in)' },
  ),
});
type Options = z.output<typeof options>;

const USUAL_DEPTH = inches(3 / 2);
/** A tuck is this much less than its wall, and so clears the base. Common practice 1/4 in. */
const TUCK_LESS = inches(1 / 4);
/** Wings are this much shorter than the base. Common practice 1/2 in. */
const WING_LESS = inches(1 / 2);
/** What a back wing keeps at the top. Common practice 1/2 in. */
const WING_TOP = inches(1 / 2);
/** A wing that turns about the base's end stays this far off the other end. Common practice 1/16 in. */
const CLEAR = inches(1 / 16);

/**
 * One sheet for pads that stand on edge: front `f`, base `w + ease`, back `h + rise` along it; the strip `D`, walls
 * `s = f` and tucks `k` across it. The tucks fold in over the front's wings, which hold them; the back's wings, taller
 * than the walls, stand inside the tucks (a tuck folded over them would have to pass through).
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, contents, blank, aim, least, making, thickness } = brief;
  const [tuckLess, wingLess, wingTop] = [usual(TUCK_LESS, brief), usual(WING_LESS, brief), usual(WING_TOP, brief)];
  const [clear, slanted] = [usual(CLEAR, brief), usual(SLANT, brief)];
  const f = options.frontHeight;
  const s = f;
  const tucked = s - tuckLess;
  if (tucked < 3) return refuse(tooLarge('tuckGap', 'gap under the tuck', tuckLess, s - 3));
  const rise = options.backRise ?? aim.height;
  const depthTold =
    options.depth ??
    (thickness > 0 ? mm(Math.max(onMark(options.leastDepth, brief, 'up'), over(brief))) : usual(USUAL_DEPTH, brief));
  // On a given sheet the pads are square: what is left along it is shared between base and back.
  const w = blank ? (blank.width - f - aim.width - rise) / 2 : 0;
  if (blank && w <= 3)
    return refuse({
      code: 'sheet-too-small',
      value: blank.width,
      limit: mm(f + aim.width + rise),
      about: { side: 'width' },
    });
  const b = contents && !blank ? roomy(contents.width, aim.width, least.width, making.graduation) : mm(w + aim.width);
  const B =
    contents && !blank
      ? options.backRise === undefined
        ? roomy(contents.height, aim.height, least.height, making.graduation)
        : onMark(contents.height + rise, brief, 'up')
      : mm(blank!.width - f - b);
  const long = b - wingLess;
  if (long < 2 * wingTop) return refuse(tooLarge(null, 'wing', wingLess, b - 2 * wingTop));
  // A front no higher than the back; and a back wing turns down about the base's end, so that its far upper corner must
  // clear the front. The limit told answers both.
  const turns = b - clear;
  const backLong = Math.min(long, Math.sqrt(Math.max(0, turns * turns - f * f)));
  if (f > B + TOLERANCE.length || backLong <= wingTop)
    return refuse(tooLarge('frontHeight', 'front', f, Math.min(B, Math.sqrt(turns * turns - 4 * wingTop * wingTop))));
  // A tuck swings in between the walls, so it is no longer than they stand apart.
  const k = blank ? tucked : Math.min(tucked, depthTold - clear);
  const m = Math.max(s + k, long);
  const D = blank ? mm(blank.height - 2 * m) : depthTold;
  if (blank && k > D - clear)
    return refuse({
      code: 'sheet-too-small',
      value: blank.height,
      limit: mm(2 * m + k + clear),
      about: { side: 'height' },
    });
  if (k < 3) return refuse(tooLarge(null, 'gap beside the tuck', clear, D - 3));
  const [x1, x2, x3] = [f, f + b, f + b + B];
  const [y1, y2] = [m, m + D];
  /** Both sides are alike: `side` −1 is nearer the maker. */
  const sides = ([-1, 1] as const).map((side) => {
    const y = (out: number): number => (side < 0 ? y1 - out : y2 + out);
    const n = side < 0 ? 1 : 2;
    const slant = Math.min(slanted, k / 4);
    return {
      n,
      panels: [
        {
          id: `wall-${n}`,
          name: n === 1 ? 'near wall' : 'far wall',
          polygon: ring([x1, y(0)], [x2, y(0)], [x2, y(s)], [x1, y(s)]),
        },
        {
          id: `tuck-${n}`,
          name: n === 1 ? 'near tuck' : 'far tuck',
          polygon: ring([x1, y(s)], [x2, y(s)], [x2 - slant, y(s + k)], [x1 + slant, y(s + k)]),
        },
        {
          id: `front-wing-${n}`,
          name: `wing of the front`,
          polygon: ring([0, y(0)], [x1, y(0)], [x1, y(long)], [0, y(long)]),
        },
        {
          id: `back-wing-${n}`,
          name: `wing of the back`,
          polygon: ring([x2, y(0)], [x2, y(backLong)], [x2 + f, y(backLong)], [x3, y(wingTop)], [x3, y(0)]),
        },
      ],
    };
  });
  const piece = drawPiece({
    name: 'desk file',
    blank: blank ?? { width: mm(x3), height: mm(y2 + m) },
    panels: [
      { id: 'base', name: 'base', polygon: rect(x1, y1, x2, y2) },
      { id: 'front', name: 'front', polygon: rect(0, y1, x1, y2) },
      { id: 'back', name: 'back', polygon: rect(x2, y1, x3, y2) },
      ...sides.flatMap(({ panels }) => panels),
    ],
    folds: [
      { id: 's-front', between: ['base', 'front'], angle: 90 },
      ...[1, 2].map((n) => ({ id: `s-front-wing-${n}`, between: ['front', `front-wing-${n}`] as const, angle: 90 })),
      ...[1, 2].map((n) => ({ id: `s-wall-${n}`, between: ['base', `wall-${n}`] as const, angle: 90 })),
      ...[1, 2].map((n) => ({ id: `s-tuck-${n}`, between: [`wall-${n}`, `tuck-${n}`] as const })),
      ...[1, 2].map((n) => ({ id: `s-back-wing-${n}`, between: ['back', `back-wing-${n}`] as const, angle: 90 })),
      { id: 's-back', between: ['base', 'back'], angle: 90 },
    ],
    slits: [1, 2].flatMap((n) => [
      {
        id: `slit-front-${n}`,
        name: `slit between base and front, ${n === 1 ? 'near' : 'far'} side`,
        between: [[`front-wing-${n}`, `wall-${n}`]] as const,
      },
      {
        id: `slit-back-${n}`,
        name: `slit between base and back, ${n === 1 ? 'near' : 'far'} side`,
        between: [[`back-wing-${n}`, `wall-${n}`]] as const,
      },
    ]),
  });
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [piece],
    assembly: [
      raiseStep('raise-front', 'Raise the front, wings and all', [['s-front']]),
      raiseStep('turn-front-wings', 'Turn the front’s wings in along the base', [
        ['s-front-wing-1'],
        ['s-front-wing-2'],
      ]),
      raiseStep('raise-walls', 'Raise the walls outside the wings', [['s-wall-1'], ['s-wall-2']], {
        joins: [1, 2].map((n) => ({ panel: `front-wing-${n}`, onto: `wall-${n}`, face: 'inside' as const })),
      }),
      ...[1, 2].map((n) =>
        raiseStep(`fold-tuck-${n}`, `Fold the ${n === 1 ? 'near' : 'far'} tuck in over the wing`, [[`s-tuck-${n}`]], {
          angle: 180,
          joins: [{ panel: `tuck-${n}`, onto: `front-wing-${n}`, face: 'inside' }],
        }),
      ),
      raiseStep('turn-back-wings', 'Turn the back’s wings up', [['s-back-wing-1'], ['s-back-wing-2']]),
      raiseStep('raise-back', 'Raise the back, its wings inside the tucks', [['s-back']], {
        joins: [1, 2].map((n) => ({ panel: `back-wing-${n}`, onto: `tuck-${n}`, face: 'outside' as const })),
      }),
    ],
    cavities: [
      {
        kind: 'box',
        id: 'file',
        floor: 'base',
        across: segment(x1, (y1 + y2) / 2, x2, (y1 + y2) / 2),
        tall: 'back',
        onEdge: true,
        insertAfter: 'raise-back',
      },
    ],
    claims: [
      {
        kind: 'walls-meet',
        pairs: [
          ['base', 'front'],
          ['base', 'back'],
          ['wall-1', 'front'],
          ['wall-2', 'front'],
        ],
      },
    ],
    grips: blank
      ? []
      : [
          roomGrip('s-back', RIGHT, 'width', 'room for the pads’ width'),
          optionGrip('s-front', RIGHT, 'frontHeight', 'height of front and walls', f, [
            inches(1 / 2),
            Math.min(B, turns - inches(1)),
          ]),
          optionGrip('s-wall-2', UP, 'depth', 'thickness of the stack', D, [6, 150]),
        ],
  });
}

export const deskFile: Construction<Options> = {
  name: 'desk-file',
  does: 'stands',
  title: 'Desk file for note pads',
  purpose: 'A little file that stands on the desk and keeps note pads or cards on edge.',
  options,
  ease: {
    aim: { width: inches(1 / 4), height: inches(1) },
    least: { width: inches(1 / 8), height: mm(0) },
  },
  idle: ({ depth }) => (depth === undefined ? [] : ['leastDepth']),
  build,
  schools: [],
  cures: [
    ...deeperCures('Make it as deep as the stack'),
    partCure('frontHeight'),
    { ...usualCure('part-too-large', 'Front 1 1/2 in', { frontHeight: inches(3 / 2) }), id: 'tuckGap' },
  ],
  advice: [
    {
      mistake: 'Scoring the outer lines all the way across.',
      instead: 'The lines between walls and tucks run on the base only: past the slits they would crease the wings.',
    },
    {
      mistake: 'Folding the tucks last.',
      instead: 'Over the front’s wings first: the back’s wings are taller than the walls, and stand inside the tucks.',
    },
  ],
  sources: [
    '3 in pads: 8 3/4 × 7; along 1 1/2 and 4 3/4, across 2 3/4 and 4 1/4, and 1 1/4 and 5 3/4 on the base only (common practice, no source)',
  ],
};
