import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, LEAST, rect, ring, type Piece } from '../../pattern';
import { built, EASE, fold, optionGrip, place, refuse, roomGrip, segment, UP } from '../shared/building';
import { partCure, usualCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Built, type Construction } from '../shared/construction';
import { choiceOption, lengthOption, yesNoOption } from '../shared/options';
import { CLOSED, insideFor, leftOver, onMark, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  topFlap: lengthOption('Top flap', 'Folded down over the front.', inches(2), { over: 0 }),
  show: lengthOption('Front stops below the top fold by', 'Room to reach in.', inches(1), { over: 0 }),
  sideFlap: lengthOption('Side flap', 'Width of a side flap once it is folded double.', inches(3 / 2), { over: 0 }),
  sideScore: lengthOption('Leaf of the side flap', 'What of it sandwiches the body’s edges.', inches(1 / 2), {
    over: 0,
  }),
  frontPocket: yesNoOption('Front pocket', 'A patch pocket on the front.', true),
  tie: choiceOption('Side flaps closed', 'By a cord laced through holes, or tied round.', ['laced', 'tied']),
});
type Options = z.output<typeof options>;

/** Side flaps are shorter than the front by this, so that they clear both folds, mm. Common practice 1/2 in. */
const CLEAR = inches(1 / 2);
/** The patch on the front: its tabs and its depth over them, mm. Common practice 1/4 and 1 3/4 in. */
const PATCH = { tab: inches(1 / 4), depth: inches(7 / 4) };
/**
 * Lacing holes: diameter and distance from the flap's outer fold, mm. Common practice 1/8 and 1/4 in; a mark further in, enough
 * paper is left between them and the fold.
 */
const HOLE = { diameter: inches(1 / 8), in: inches(5 / 16) };

/** Where the holes of a side flap stand along it, as shares of it: three, or one in the middle where three leave too little paper. */
const holesAlong = (y: number): readonly number[] =>
  0.2 * y - HOLE.diameter / 2 > LEAST.left.warns ? [0.2, 0.5, 0.8] : [0.5];

/** Front, back and top flap in one strip `W × (F + B + T)`; double side flaps sandwich the body's open edges. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank } = brief;
  const { topFlap: T, show, sideFlap: x, sideScore: ss, frontPocket, tie } = options;
  const [clear, inset] = [usual(CLEAR, brief), usual(HOLE.in, brief)];
  const laced = tie === 'laced' && x - ss > 2 * inset;
  let W: number;
  let B: number;
  if (blank) {
    const height = leftOver(brief, 'height', blank.height, T - show, 2);
    if (!height.ok) return refuse(height.refusal);
    W = blank.width;
    B = height.length;
  } else ({ width: W, height: B } = insideFor(brief, CLOSED));
  const F = B - show;
  const y = F - clear;
  // The flap must reach the front, and the side flaps must clear both folds.
  const mostShow = Math.min(T, blank ? blank.height - T - 4 * clear : B - 2 * clear);
  if (y <= clear || T <= show) return refuse(tooLarge('show', 'show above the front', show, mostShow));
  if (T > B + TOLERANCE.length)
    return refuse(tooLarge('topFlap', 'top flap', T, blank ? (blank.height + show) / 3 : B));
  if (ss >= x - 3) return refuse(tooLarge('sideScore', 'leaf of the side flap', ss, x - 3));
  if (2 * ss > W + TOLERANCE.length) return refuse(tooLarge('sideScore', 'leaf of the side flap', ss, W / 2));
  if (x - ss > W + TOLERANCE.length) return refuse(tooLarge('sideFlap', 'side flap', x, W + ss));
  const sheet = blank ?? { width: mm(W), height: mm(F + B + T) };
  const body = drawPiece({
    name: 'body',
    blank: sheet,
    panels: [
      { id: 'back', name: 'back', polygon: rect(0, F, W, F + B) },
      { id: 'front', name: 'front', polygon: rect(0, 0, W, F) },
      { id: 'top', name: 'top flap', polygon: rect(0, F + B, W, sheet.height) },
    ],
    folds: [
      { id: 's-front', between: ['back', 'front'] },
      { id: 's-top', between: ['back', 'top'] },
    ],
  });
  const gap = clear / 2;
  const flap = (side: 'left' | 'right'): Piece => {
    // From the leaf that lies behind the back to the one on the front; the right flap is the left one's mirror image.
    const cuts = [0, ss, x, 2 * x - ss, 2 * x];
    const at = (i: number): [number, number] =>
      side === 'right' ? [cuts[i]!, cuts[i + 1]!] : [2 * x - cuts[i + 1]!, 2 * x - cuts[i]!];
    const names = ['back-leaf', 'back-face', 'front-face', 'front-leaf'];
    return drawPiece({
      name: `${side} side flap`,
      blank: { width: mm(2 * x), height: mm(y) },
      panels: names.map((name, i) => ({
        id: `${side}-${name}`,
        name: `${side} ${name.replace('-', ' ')}`,
        polygon: rect(at(i)[0], 0, at(i)[1], y),
      })),
      folds: [
        { id: `s-${side}-middle`, between: [`${side}-back-face`, `${side}-front-face`] },
        { id: `s-${side}-back`, between: [`${side}-back-leaf`, `${side}-back-face`] },
        { id: `s-${side}-front`, between: [`${side}-front-leaf`, `${side}-front-face`], fold: 'mountain' },
      ],
    });
  };
  const patchDepth = onMark(Math.min(usual(PATCH.depth, brief), F / 2), brief, 'down');
  const g = usual(PATCH.tab, brief);
  const wp = W - 2 * g;
  const patch: Piece[] = frontPocket
    ? [
        drawPiece({
          name: 'front pocket',
          blank: { width: mm(W), height: mm(patchDepth + g) },
          panels: [
            { id: 'patch', name: 'front pocket', polygon: rect(g, g, W - g, g + patchDepth) },
            {
              id: 'patch-tab-1',
              name: 'left tab of the front pocket',
              polygon: ring([0, 2 * g], [g, g], [g, g + patchDepth], [0, g + patchDepth]),
            },
            {
              id: 'patch-tab-2',
              name: 'right tab of the front pocket',
              polygon: ring([W - g, g], [W, 2 * g], [W, g + patchDepth], [W - g, g + patchDepth]),
            },
            {
              id: 'patch-tab-3',
              name: 'bottom tab of the front pocket',
              polygon: ring([g, g], [2 * g, 0], [W - 2 * g, 0], [W - g, g]),
            },
          ],
          folds: [1, 2, 3].map((i) => ({ id: `s-patch-${i}`, between: ['patch', `patch-tab-${i}`] as const })),
        }),
      ]
    : [];
  const addSide = (side: 'left' | 'right'): Built['assembly'] => {
    const leaf = side === 'left' ? rect(2 * x - ss, 0, 2 * x, y) : rect(0, 0, ss, y);
    const frontLeaf = side === 'left' ? rect(0, 0, ss, y) : rect(2 * x - ss, 0, 2 * x, y);
    const faces = side === 'left' ? rect(ss, 0, x, y) : rect(x, 0, 2 * x - ss, y);
    const [scoreAt, edge] = side === 'left' ? [2 * x - ss, 0] : [ss, W];
    return [
      place(`lay-${side}`, `Lay the ${side} side flap under the back, its score along the body’s edge`, {
        panel: `${side}-back-leaf`,
        onto: 'back',
        line: segment(scoreAt, 0, scoreAt, y),
        on: segment(edge, F + gap, edge, F + gap + y),
        over: false,
        level: 'bottom',
        gluedTo: ['back'],
        glueWithin: [leaf],
      }),
      fold(`double-${side}`, `Fold the ${side} side flap double, its leaf onto the front`, [`s-${side}-middle`], {
        gluedTo: ['front', 'patch', `${side}-back-face`],
        glueWithin: [frontLeaf, faces],
      }),
    ];
  };
  const closeSide = (side: 'left' | 'right') =>
    fold(`close-${side}`, `Fold the ${side} side flap over`, [`s-${side}-back`, `s-${side}-front`], { closes: true });
  const holes = (['left', 'right'] as const).flatMap((side) =>
    holesAlong(y).map((share, i): Built['features'][number] => ({
      kind: 'hole',
      id: `hole-${side}-${i + 1}`,
      panels: [`${side}-back-face`, `${side}-front-face`],
      centre: { x: side === 'left' ? x + inset : x - inset, y: onMark(share * y, brief) },
      diameter: HOLE.diameter,
    })),
  );
  return built({
    ...PLAIN,
    pieces: [body, flap('left'), flap('right'), ...patch],
    assembly: [
      fold('fold-front', 'Fold the front up over the back', ['s-front']),
      ...(frontPocket
        ? [
            ...['left', 'right', 'bottom'].map((name, i) =>
              fold(`fold-patch-${i + 1}`, `Fold the ${name} tab of the front pocket under`, [`s-patch-${i + 1}`]),
            ),
            place('lay-patch', 'Lay the front pocket on the front, tabs down', {
              panel: 'patch',
              onto: 'front',
              line: segment(g, g, W - g, g),
              // The front is turned up, so its sheet runs the other way: its fold is at F.
              on: segment((W + wp) / 2, F - gap, (W - wp) / 2, F - gap),
              over: true,
              level: 'top',
              gluedTo: ['front'],
              glueWithin: [rect(0, 0, g, g + patchDepth), rect(W - g, 0, W, g + patchDepth), rect(0, 0, W, g)],
            }),
          ]
        : []),
      ...addSide('left'),
      ...addSide('right'),
      fold('close', 'Fold the top flap down over the front', ['s-top'], { closes: true }),
      closeSide('left'),
      closeSide('right'),
    ],
    cavities: [
      {
        id: 'pocket',
        kind: 'closed',
        floor: 'back',
        roof: ['front'],
        mouth: segment(0, F + B, W, F + B),
        insertAfter: 'double-right',
        covered: { floor: 1, roof: 1 },
      },
    ],
    front: 'above',
    claims: [
      {
        kind: 'laps',
        pairs: (['left', 'right'] as const).flatMap((side) => [
          [`${side}-back-leaf`, 'back'] as const,
          [`${side}-front-leaf`, 'front'] as const,
        ]),
      },
    ],
    grips: [
      ...(blank ? [] : [roomGrip('s-top', UP, 'height', 'room in the height', 0.5)]),
      optionGrip(
        's-front',
        UP,
        'show',
        'how far the front stops below the top fold',
        show,
        [3, Math.min(T - 2, B - 2 * clear)],
        blank ? -2 : -1,
      ),
    ],
    features: laced ? holes : [],
    ties: laced ? 'laced' : 'bow',
  });
}

export const storagePocket: Construction<Options> = {
  name: 'storage-pocket',
  does: 'closes',
  title: 'Storage pocket with side flaps',
  purpose: 'Loads from the top, closes on three sides: letters, paper samples, a set of cards.',
  options,
  ease: EASE.loose,
  idle: () => [],
  build,
  schools: [
    {
      option: 'tie',
      value: 'laced',
      title: 'Laced',
      why: 'Three holes in each side flap, marked through one template used on both sides.',
    },
    { option: 'tie', value: 'tied', title: 'Tied round', why: 'No holes: a cord or ribbon goes once round.' },
  ],
  cures: [
    partCure('show'),
    partCure('topFlap'),
    partCure('sideScore'),
    partCure('sideFlap'),
    usualCure('flap-overlap', 'Leaves of 1/2 in', { sideScore: inches(1 / 2) }),
  ],
  advice: [
    {
      mistake: 'Gluing the side flap’s leaves together.',
      instead: 'Glue the faces beyond the score; the leaves take the body’s edges between them.',
    },
    { mistake: 'Side flaps as tall as the front.', instead: 'Half an inch less clears both folds.' },
  ],
  sources: [
    'body 4 × 12 scored 4 1/2 and 10; side flaps 3 × 4 folded to 1 1/2; front patch 4 × 2 with 1/4 tabs (common practice, no source)',
  ],
};
