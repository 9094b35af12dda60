import { TOLERANCE } from '../../geometry';
import { z } from 'zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring } from '../../pattern';
import { built, EASE, optionGrip, raiseStep, refuse, segment, setDown, UP, partCure } from '../shared/building';
import { PLAIN, type Brief, type BuildResult, type Construction } from '../shared/construction';
import { lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { onMark, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  turnIn: lengthOption('Turn-in', 'What of the wrap lies on the board’s back.', inches(1 / 2), { over: 0 }),
  board: openLengthOption(
    'Board',
    'Thickness of the board, where it is not the contents’ own.',
    { over: 0, most: 20 },
    { open: 'the contents’ thickness, or 3 mm' },
  ),
  lining: yesNoOption('Lining', 'A sheet that covers the turn-ins, 1/8 in inside the board all round.', true),
});
type Options = z.output<typeof options>;

/** A board when nothing is told, mm. Common practice 3 mm. */
const USUAL_BOARD = mm(3);
/** The lining stays inside the board's rim by this. Common practice 1/8 in. */
const LINING = inches(1 / 8);
/** Corners are cut off so that about this many thicknesses of the board are left beyond its corner. Common practice. */
const CORNER = 2;

/** A wrap round a board: `board + 2 × (turn-in + thickness)` each way, the corners cut off at 45°. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, asked } = brief;
  const { turnIn } = options;
  const thick = asked?.thickness ?? brief.thickness;
  const t = options.board ?? (thick > 0 ? thick : USUAL_BOARD);
  const round = 2 * (turnIn + t);
  if (blank)
    for (const side of ['width', 'height'] as const)
      if (blank[side] <= round + 4 * turnIn)
        return refuse({ code: 'sheet-too-small', value: blank[side], limit: mm(round + 4 * turnIn), about: { side } });
  // The board is as it is: nothing is rounded.
  const W = blank ? blank.width - round : asked!.width;
  const H = blank ? blank.height - round : asked!.height;
  if (2 * turnIn > Math.min(W, H) - TOLERANCE.length)
    return refuse(tooLarge('turnIn', 'turn-in', turnIn, Math.min(W, H) / 2));
  const s = CORNER * Math.SQRT2 * t;
  if (s >= turnIn + t) return refuse(tooLarge('board', 'board', t, turnIn / (CORNER * Math.SQRT2 - 1)));
  const e = t + turnIn;
  const [x1, x2, y1, y2] = [e, e + W, e, e + H];
  /** One side's strip and turn-in, given outward: `out` from the board's edge, `along` from its middle. */
  const places = [
    { id: 'near', half: W / 2, at: (out: number, along: number) => [(x1 + x2) / 2 + along, y1 - out] as const },
    { id: 'far', half: W / 2, at: (out: number, along: number) => [(x1 + x2) / 2 + along, y2 + out] as const },
    { id: 'left', half: H / 2, at: (out: number, along: number) => [x1 - out, (y1 + y2) / 2 + along] as const },
    { id: 'right', half: H / 2, at: (out: number, along: number) => [x2 + out, (y1 + y2) / 2 + along] as const },
  ];
  const strips = places.flatMap(({ id, half, at }) => [
    {
      id: `edge-${id}`,
      name: `${id} edge`,
      polygon: ring(at(0, -half), at(0, half), at(t, half), at(t, -half)),
      bends: 'round-board' as const,
    },
    {
      id: `turn-${id}`,
      name: `${id} turn-in`,
      // Past the corner's cut the turn-in runs in at 45°.
      polygon: ring(
        at(t, -half),
        at(t, half),
        at(s, half),
        at(e, half - (e - s)),
        at(e, -half + (e - s)),
        at(s, -half),
      ),
    },
  ]);
  const corners = [
    { id: 'corner-1', x: x1, y: y1, ox: -1, oy: -1, across: 'near', up: 'left' },
    { id: 'corner-2', x: x2, y: y1, ox: 1, oy: -1, across: 'near', up: 'right' },
    { id: 'corner-3', x: x2, y: y2, ox: 1, oy: 1, across: 'far', up: 'right' },
    { id: 'corner-4', x: x1, y: y2, ox: -1, oy: 1, across: 'far', up: 'left' },
  ];
  const wrap = drawPiece({
    name: 'wrap',
    blank: blank ?? { width: mm(W + round), height: mm(H + round) },
    panels: [
      { id: 'front', name: 'front', polygon: rect(x1, y1, x2, y2) },
      ...strips,
      ...corners.map(({ id, x, y, ox, oy }) => ({
        id,
        name: 'corner',
        bends: 'pinched' as const,
        polygon: ring([x, y], [x + ox * t, y], [x + ox * s, y], [x, y + oy * s], [x, y + oy * t]),
      })),
    ],
    folds: [
      ...places.map(({ id }) => ({ id: `s-edge-${id}`, between: ['front', `edge-${id}`] as const, angle: 90 })),
      ...places.map(({ id }) => ({ id: `s-turn-${id}`, between: [`edge-${id}`, `turn-${id}`] as const, angle: 90 })),
      ...corners.flatMap(({ id, across, up }) => [
        { id: `s-${id}-1`, between: [`edge-${across}`, id] as const, angle: 90 },
        { id: `s-${id}-2`, between: [`turn-${across}`, id] as const, angle: 90 },
        { id: `s-${id}-3`, between: [`edge-${up}`, id] as const, angle: 90 },
        { id: `s-${id}-4`, between: [`turn-${up}`, id] as const, angle: 90 },
      ]),
    ],
  });
  const [lw, lh] = [onMark(W - 2 * LINING, brief, 'down'), onMark(H - 2 * LINING, brief, 'down')];
  const lined = options.lining && Math.min(lw, lh) > 2 * LINING;
  const lining = drawPiece({
    name: 'lining',
    blank: { width: lw, height: lh },
    panels: [{ id: 'lining', name: 'lining', polygon: rect(0, 0, lw, lh) }],
    folds: [],
  });
  // The far turn-in, laid over, runs back towards the middle of the board.
  const middle = y2 + t + H / 2;
  return built({
    ...PLAIN,
    pieces: [wrap, ...(lined ? [lining] : [])],
    assembly: [
      raiseStep('edge-ends', 'Turn the near and the far edge up round the board', [['s-edge-near'], ['s-edge-far']]),
      raiseStep(
        'turn-ends',
        'Turn the wrap in over them and press it down; pinch the corners in',
        [['s-turn-near'], ['s-turn-far']],
        { sticks: ['turn-near', 'turn-far'] },
      ),
      raiseStep('edge-sides', 'Turn the left and the right edge up', [['s-edge-left'], ['s-edge-right']]),
      raiseStep('turn-sides', 'Turn the wrap in over them', [['s-turn-left'], ['s-turn-right']], {
        sticks: ['turn-left', 'turn-right'],
        ...(lined ? {} : { closes: true }),
      }),
      ...(lined
        ? [
            setDown('lay-lining', 'Glue the lining over the turn-ins', {
              panel: 'lining',
              onto: 'turn-far',
              line: segment(0, lh / 2, lw, lh / 2),
              on: segment((x1 + x2 - lw) / 2, middle, (x1 + x2 + lw) / 2, middle),
              over: false,
              above: mm(0),
              closes: true,
              joins: places.map(({ id }) => ({ panel: 'lining', onto: `turn-${id}`, face: 'outside' as const })),
            }),
          ]
        : []),
    ],
    cavities: [
      {
        kind: 'box',
        id: 'board',
        floor: 'front',
        across: segment(x1, (y1 + y2) / 2, x2, (y1 + y2) / 2),
        tall: 'edge-near',
        onEdge: false,
        insertAfter: 'flat',
        put: 'Lay the board on the inside, in the middle of the scores.',
        glued: true,
        // The wrap is drawn tight round the board: what is turned in lies on it.
        outside: [...places.map(({ id }) => `turn-${id}`), 'lining'],
      },
    ],
    claims: [
      {
        kind: 'walls-meet',
        pairs: [
          ['edge-near', 'edge-left'],
          ['edge-near', 'edge-right'],
          ['edge-far', 'edge-left'],
          ['edge-far', 'edge-right'],
        ],
      },
    ],
    grips: blank
      ? []
      : [optionGrip('s-turn-near', UP, 'turnIn', 'depth of the turn-ins', turnIn, [s, Math.min(W, H) / 2 - 2], -1)],
  });
}

export const coverBoard: Construction<Options> = {
  name: 'cover-board',
  does: 'decorates',
  title: 'Covered board',
  purpose: 'Paper wrapped round a board: an album cover, a folder’s back, a stiff base.',
  options,
  ease: EASE.none,
  idle: () => [],
  build,
  schools: [],
  cures: [partCure('turnIn'), partCure('board')],
  advice: [
    {
      mistake: 'Corners cut right at the board’s corner.',
      instead: 'Leave about twice the board’s thickness beyond it, or bare board shows.',
    },
    {
      mistake: 'All four turn-ins folded before the corners are pinched.',
      instead: 'Two opposite sides first, the corners pressed in with a folder, then the other two.',
    },
  ],
  sources: [
    'wrap = board + 2 × (turn-in + thickness), turn-in 1/2 to 3/4, lining 1/8 inside (common practice, no source)',
  ],
};
