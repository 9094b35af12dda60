import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring, type Drawing, type Panel, type Piece } from '../../pattern';
import { built, EASE, optionGrip, raiseStep, refuse, segment, setDown, UP } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction, type Refusal } from '../shared/construction';
import { lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { onMark, tooLarge, usual } from '../shared/sizing';

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
/** A wrap may go round its board so loosely, mm. From memory. */
const HAIR = 0.25;
/** Corners are cut off so that about this many thicknesses of the board are left beyond its corner. Common practice. */
const CORNER = 2;
/** And no less than so many: 1/4 in for a board of 3 mm. Common practice. */
const NEAREST = inches(1 / 4) / (3 * Math.SQRT2);

/** The sides of a wrap, in the order they are turned in. */
export const SIDES = ['near', 'far', 'left', 'right'] as const;

/** What is pinched in at its corners, by id. */
export const CORNERS = ['corner-1', 'corner-2', 'corner-3', 'corner-4'] as const;

/** A board and how it is wrapped. */
export interface Wrapping {
  readonly width: number;
  readonly height: number;
  /** Thickness of the board. */
  readonly board: number;
  readonly turnIn: number;
}

/** The strip that goes round the board's edge: on the next mark where that is a hair more than the board is thick. */
function strip(board: number, brief: Brief): number {
  const marked = onMark(board, brief, 'up');
  return marked - board <= HAIR ? marked : board;
}

/**
 * Where the cut across a corner meets the board's edges drawn on: as far out that it passes `CORNER` thicknesses from the
 * board, or a mark nearer.
 */
function clear({ board, turnIn }: Wrapping, brief: Brief): number {
  const far = CORNER * Math.SQRT2 * board;
  const both = 2 * (turnIn + strip(board, brief));
  const marked = both - onMark(both - far, brief, 'up');
  return marked >= NEAREST * Math.SQRT2 * board - TOLERANCE.length ? marked : far;
}

/** What of a wrap cannot be made. */
export function wrapTrouble(wrapping: Wrapping, brief: Brief): Refusal | null {
  const { width, height, board, turnIn } = wrapping;
  const shorter = Math.min(width, height);
  if (2 * turnIn > shorter - TOLERANCE.length) return tooLarge('turnIn', 'turn-in', turnIn, shorter / 2);
  // The turn-in is left a whole edge between the cuts.
  const most = turnIn + strip(board, brief);
  return clear(wrapping, brief) >= most ? tooLarge('board', 'board', board, turnIn / (CORNER * Math.SQRT2 - 1)) : null;
}

/** A wrap on its sheet, and where the board lies on it. */
export interface Wrap {
  readonly piece: Piece;
  readonly board: { readonly x1: number; readonly x2: number; readonly y1: number; readonly y2: number };
  /** How broad the strips are that go round the board's edges. */
  readonly strip: number;
}

/**
 * A wrap round a board: `board + 2 × (turn-in + thickness)` each way, a strip round each edge, the corners cut off at 45°.
 * @param id panels and scores by their names here, where a thing has several wraps
 */
export function drawWrap(
  wrapping: Wrapping,
  brief: Brief,
  how: {
    readonly name: string;
    readonly front: Pick<Panel, 'id' | 'name'>;
    readonly of?: string;
    readonly id?: (own: string) => string;
  } & Partial<Pick<Drawing, 'quantity' | 'blank'>>,
): Wrap {
  const { width: W, height: H, turnIn } = wrapping;
  const { of = '', id: named = (own) => own } = how;
  const t = strip(wrapping.board, brief);
  const s = clear(wrapping, brief);
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
      id: named(`edge-${id}`),
      name: `strip round the ${id} edge${of}`,
      polygon: ring(at(0, -half), at(0, half), at(t, half), at(t, -half)),
      bends: 'round-board' as const,
    },
    {
      id: named(`turn-${id}`),
      name: `${id} turn-in${of}`,
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
    { id: CORNERS[0], x: x1, y: y1, ox: -1, oy: -1, across: 'near', up: 'left' },
    { id: CORNERS[1], x: x2, y: y1, ox: 1, oy: -1, across: 'near', up: 'right' },
    { id: CORNERS[2], x: x2, y: y2, ox: 1, oy: 1, across: 'far', up: 'right' },
    { id: CORNERS[3], x: x1, y: y2, ox: -1, oy: 1, across: 'far', up: 'left' },
  ];
  const between = (a: string, b: string) => [named(a), named(b)] as const;
  const piece = drawPiece({
    name: how.name,
    blank: how.blank ?? { width: mm(W + 2 * e), height: mm(H + 2 * e) },
    ...(how.quantity && { quantity: how.quantity }),
    panels: [
      { ...how.front, polygon: rect(x1, y1, x2, y2) },
      ...strips,
      ...corners.map(({ id, x, y, ox, oy }) => ({
        id: named(id),
        name: `pinched corner${of}`,
        bends: 'pinched' as const,
        polygon: ring([x, y], [x + ox * t, y], [x + ox * s, y], [x, y + oy * s], [x, y + oy * t]),
      })),
    ],
    folds: [
      ...SIDES.map((side) => ({
        id: named(`s-edge-${side}`),
        between: [how.front.id, named(`edge-${side}`)] as const,
        angle: 90,
      })),
      ...SIDES.map((side) => ({
        id: named(`s-turn-${side}`),
        between: between(`edge-${side}`, `turn-${side}`),
        angle: 90,
      })),
      ...corners.flatMap(({ id, across, up }) =>
        [`edge-${across}`, `turn-${across}`, `edge-${up}`, `turn-${up}`].map((own, i) => ({
          id: named(`s-${id}-${i + 1}`),
          between: between(own, id),
          angle: 90,
        })),
      ),
    ],
  });
  return { piece, board: { x1, x2, y1, y2 }, strip: t };
}

/** A board in its wrap, the turn-ins covered by a lining. */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, asked } = brief;
  const { turnIn } = options;
  const thick = asked?.thickness ?? brief.thickness;
  const board = options.board ?? (thick > 0 ? thick : USUAL_BOARD);
  const round = 2 * (turnIn + strip(board, brief));
  if (blank)
    for (const side of ['width', 'height'] as const)
      if (blank[side] <= round + 4 * turnIn)
        return refuse({ code: 'sheet-too-small', value: blank[side], limit: mm(round + 4 * turnIn), about: { side } });
  // The board is as it is: nothing is rounded.
  const W = blank ? blank.width - round : asked!.width;
  const H = blank ? blank.height - round : asked!.height;
  const wrapping: Wrapping = { width: W, height: H, board, turnIn };
  const trouble = wrapTrouble(wrapping, brief);
  if (trouble) return refuse(trouble);
  const {
    piece: wrap,
    board: { x1, x2, y1, y2 },
    strip: t,
  } = drawWrap(wrapping, brief, { name: 'wrap', front: { id: 'front', name: 'front' }, ...(blank && { blank }) });
  const inset = usual(LINING, brief);
  const [lw, lh] = [onMark(W - 2 * inset, brief, 'down'), onMark(H - 2 * inset, brief, 'down')];
  const lined = options.lining && Math.min(lw, lh) > 2 * inset;
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
              joins: SIDES.map((side) => ({ panel: 'lining', onto: `turn-${side}`, face: 'outside' as const })),
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
        put: 'Lay the board on the inside, between the inner scores.',
        glued: true,
        // The wrap is drawn tight round the board: what is turned in lies on it.
        outside: [...SIDES.map((side) => `turn-${side}`), 'lining'],
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
      : [
          optionGrip(
            's-turn-near',
            UP,
            'turnIn',
            'depth of the turn-ins',
            turnIn,
            [clear(wrapping, brief), Math.min(W, H) / 2 - 2],
            -1,
          ),
        ],
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
