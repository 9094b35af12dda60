import { z } from '../../text/zod';
import type { AssemblyFold, AssemblyRaise } from '../../fold';
import { area, intersection, anticlockwise, type Point, type Polygon, TOLERANCE } from '../../geometry';
import { inches, mm, type Mm } from '../../length';
import {
  drawPiece,
  type FoldLine,
  type Hole,
  type Notch,
  type Panel,
  type Piece,
  type SlitLine,
  isSquare,
  LEAST,
} from '../../pattern';
import { built, EASE, fold, raiseStep, refuse } from '../shared/building';
import { usualCure } from '../shared/cures';
import {
  PLAIN,
  type Brief,
  type BuildResult,
  type Construction,
  type Ease,
  type Refusal,
} from '../shared/construction';
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
import { choiceOption, lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { marksRound } from '../shared/rounding';
import { onMark, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  setting: openLengthOption(
    'First setting',
    'Where the sheet’s edge stands for the first notch.',
    { over: 0 },
    { onPaper: true, open: 'a square floor' },
  ),
  secondSetting: openLengthOption(
    'Second setting',
    'Where it stands for the second notch.',
    { over: 0 },
    { onPaper: true, open: 'from the depth' },
  ),
  depth: depthOption(),
  leastDepth: leastDepthOption(),
  top: choiceOption('Top', 'Rim flaps folded over the opening, or an open tray with a lid.', ['closed', 'lid']),
  lidAllowance: lengthOption(
    'Lid settings apart by',
    'The lid’s first setting opened and its second closed by this. Common practice 1/8 in.',
    inches(1 / 8),
    { least: 0, most: 20 },
  ),
  liner: yesNoOption('Liner', 'A sheet on the floor that covers the tips folded in.', true),
  tieHole: lengthOption(
    'Tie hole',
    'Diameter of the hole where the tips lap; 0 for none.',
    inches(1 / 8),
    { least: 0, most: 20 },
    { madeWith: 'punch' },
  ),
});
type Options = z.output<typeof options>;

/** Paper to leave round a tie hole, mm. Common practice 1/16 in. */
const HOLE_MARGIN = inches(1 / 16);
/** Paper a lid goes over, both sides together, where it is thickest. */
const LID_LAYERS = 10;
/** Rounding to marks may take so much of a lap, mm. */
const LAP_SPARE = 4;
/** A flap that lies inside stops this short of the far wall, mm. Common practice 1/16 in. */
const CLEAR = inches(1 / 16);

/** The square, its two settings and what they make, mm: floor `W × D` (across and up the diagonals), walls `H`. */
interface BoxLayout {
  readonly side: number;
  readonly first: number;
  readonly second: number;
  readonly notch: number;
}

const floorOf = ({ side, first, second, notch }: BoxLayout): { W: number; D: number; H: number } => ({
  W: Math.SQRT2 * (first - notch / 2),
  D: Math.SQRT2 * (side - second - notch / 2),
  H: (second - first) / Math.SQRT2,
});

/**
 * A box from a square blank on the envelope board, two settings a side: `L = (W + D)/√2 + √2·H + n`,
 * `p1 = W/√2 + n/2`, `p2 = L − (D/√2 + n/2)`. Corner pieces stay as tabs on the walls that are W long.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, contents } = brief;
  const less = usual(LINER, brief);
  // The floor's longer side is D: the shorter walls carry the tabs.
  const swapped = contents !== null && contents.width > contents.height;
  const layout = brief.blank ? fromPaper(brief) : fromContents(brief, swapped);
  if ('code' in layout) return refuse(layout);
  const { W, D, H } = floorOf(layout);
  // A corner piece is as long as the walls are high, and lies along a wall that is D long.
  if (H > D - CLEAR) return refuse(tooLarge(null, 'corner tab', H, D - CLEAR));
  const lidded = options.top === 'lid';
  const box = drawBox('', 'box', layout, lidded, options.tieHole);
  const across = swapped ? line(layout.side, 0, -D / 2, 0, D / 2) : line(layout.side, -W / 2, 0, W / 2, 0);
  const [width, height] = swapped ? [D, W] : [W, D];
  const more = options.lidAllowance;
  const lidLayout = { ...layout, first: layout.first + more, second: layout.second - more };
  if (lidded && floorOf(lidLayout).H < CLEAR)
    return refuse(tooLarge('lidAllowance', 'lid’s allowance', more, (layout.second - layout.first) / 2 - CLEAR));
  const lid = lidded ? drawBox('lid-', 'lid', lidLayout, true, 0) : null;
  const inner = floorOf(lidLayout);
  const lidAcross = swapped
    ? line(layout.side, 0, -inner.D / 2, 0, inner.D / 2)
    : line(layout.side, -inner.W / 2, 0, inner.W / 2, 0);
  const lined = lidded && options.liner && Math.min(width, height) > 2 * less;
  const lining = lined ? [layLiner('floor', across, width - less, height - less)] : [];
  const raised = [...box.raising, ...lining];
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [box.piece, ...(lined ? [linerPiece(width - less, height - less)] : []), ...(lid ? [lid.piece] : [])],
    assembly: [
      ...box.flat,
      ...(lid?.flat ?? []),
      ...raised,
      ...box.closing,
      ...(lid
        ? [...lid.raising, putLidOn({ floor: 'lid-floor', across: lidAcross }, { floor: 'floor', across }, mm(H))]
        : []),
    ],
    start: { edge: 1, reference: 'board' },
    cavities: [
      {
        kind: 'box',
        id: 'box',
        floor: 'floor',
        across,
        tall: 'wall-1',
        onEdge: false,
        insertAfter: raised.at(-1)!.id,
        food: true,
      },
    ],
    claims: [
      { kind: 'walls-meet', pairs: [...box.meets, ...(lid?.meets ?? [])] },
      ...(lid
        ? [
            {
              kind: 'lid',
              inner: 'floor',
              outer: 'lid-floor',
              across,
              outerAcross: lidAcross,
              wall: 'lid-wall-1',
            } as const,
          ]
        : []),
      ...(lidded
        ? []
        : [
            {
              kind: 'tie',
              flaps: ['flap-2', 'flap-4'],
              needs: mm(options.tieHole > 0 ? options.tieHole + 2 * HOLE_MARGIN : 0),
            } as const,
          ]),
      { kind: 'tips-turned', flaps: [...box.turned, ...(lid?.turned ?? [])] },
    ],
    ties: lidded ? null : 'bow',
  });
}

function fromPaper({ blank, making, options, thickness, ...brief }: Brief<Options>): BoxLayout | Refusal {
  const { width, height } = blank!;
  if (!isSquare({ width, height }))
    return { code: 'blank-not-square', value: mm(Math.max(width, height)), limit: mm(Math.min(width, height)) };
  const { notch, offset } = making;
  const whole = { ...brief, blank, making, options, thickness } as Brief<Options>;
  const apart = onMark(Math.SQRT2 * depthFor(whole, options), whole);
  const { contents, aim } = whole;
  // √2 times a setting is a side of the floor: what it has over the contents is shared between both sides.
  const uneven = contents ? (contents.width + aim.width - contents.height - aim.height) / (2 * Math.SQRT2) : 0;
  const first = (options.setting ?? onMark((width - apart) / 2 + uneven - offset, whole, 'down')) + offset;
  const second = options.secondSetting === undefined ? first + apart : options.secondSetting + offset;
  if (first <= notch / 2 + TOLERANCE.length)
    return options.setting === undefined
      ? { code: 'notch-off-sheet', value: width, limit: mm(apart + notch) }
      : { code: 'setting-off-sheet', value: options.setting, limit: mm(notch / 2 - offset) };
  if (second >= width - notch / 2 - TOLERANCE.length)
    return options.secondSetting === undefined
      ? { code: 'notch-off-sheet', value: width, limit: mm(first + apart + notch / 2) }
      : { code: 'setting-off-sheet', value: options.secondSetting, limit: mm(width - notch / 2 - offset) };
  if (second - first < CLEAR)
    return { code: 'setting-off-sheet', value: mm(second - offset), limit: mm(first + CLEAR - offset) };
  return { side: width, first, second, notch };
}

/** Settings on the board's marks: each of the three lengths comes nearest its aim and keeps the least. */
function fromContents(brief: Brief<Options>, swapped: boolean): BoxLayout | Refusal {
  const { contents, aim, least, making, options } = brief;
  const { notch, offset, graduation } = making;
  const sizes = (['width', 'height'] as const).map((side) => ({
    need: contents![side],
    aim: aim[side],
    least: least[side],
  }));
  const [short, long] = swapped ? [sizes[1]!, sizes[0]!] : [sizes[0]!, sizes[1]!];
  const nearest = (want: typeof short, marks: (ideal: number) => readonly number[], base: number): number => {
    const wanted = want.need + Math.max(want.aim, want.least);
    const ease = (at: number): number => Math.SQRT2 * (at - base) - want.need;
    return marks(wanted / Math.SQRT2 + base)
      .filter((at) => ease(at) >= want.least - TOLERANCE.length)
      .reduce((best, at) =>
        Math.abs(ease(at) - want.aim) < Math.abs(ease(best) - want.aim) - TOLERANCE.length ? at : best,
      );
  };
  const first = nearest(short, (ideal) => marksRound(ideal, graduation, offset), notch / 2);
  const second = first + onMark(Math.SQRT2 * depthFor(brief, options), brief, 'up');
  const side = nearest(long, (ideal) => marksRound(ideal, graduation), second + notch / 2);
  return { side, first, second, notch };
}

/** A point on the sheet from its place along the diagonals: u across, v up, from the middle. */
const at = (side: number, u: number, v: number): Point<'sheet'> => ({
  x: (u + v) / Math.SQRT2 + side / 2,
  y: (v - u) / Math.SQRT2 + side / 2,
});
const line = (side: number, u0: number, v0: number, u1: number, v1: number) => ({
  from: at(side, u0, v0),
  to: at(side, u1, v1),
});

/** What all parts of one box are drawn from. Wall k stands to the right, far, left, near along the diagonals. */
interface Box extends BoxLayout {
  /** Floor across and up the diagonals, and height of the walls, mm. */
  readonly W: number;
  readonly D: number;
  readonly H: number;
  /** Depth of a notch, mm. */
  readonly n: number;
  /** Of a part: lids are told apart from boxes. */
  readonly id: (part: string) => string;
  readonly of: string;
  readonly lid: boolean;
}

const WALLS = [1, 2, 3, 4] as const;
const PLACES = { 1: 'right', 2: 'far', 3: 'left', 4: 'near' } as const;
type Wall = (typeof WALLS)[number];

/** A polygon given outward from wall k: `out` from the floor's middle, `along` the wall's own length. */
const outward = (side: number, k: Wall, points: readonly (readonly [out: number, along: number])[]): Polygon<'sheet'> =>
  anticlockwise(
    points.map(([out, along]) => {
      const [u, v] = [
        [out, along],
        [-along, out],
        [-out, -along],
        [along, -out],
      ][k - 1] as [number, number];
      return at(side, u, v);
    }),
  );

/** From one distance off the floor's middle to another, and along the wall: neighbours that share one share it to the bit. */
const rectangle = (box: Box, k: Wall, near: number, far: number, from: number, to: number): Polygon<'sheet'> =>
  outward(box.side, k, [
    [near, from],
    [far, from],
    [far, to],
    [near, to],
  ]);

/** Half the length of wall k, and how far it stands from the floor's middle: odd walls are D long, even ones W. */
const wallOf = ({ W, D }: Box, k: Wall): { half: number; reach: number } =>
  k % 2 === 1 ? { half: D / 2, reach: W / 2 } : { half: W / 2, reach: D / 2 };

/** What is drawn of a box, part by part. */
interface Parts {
  readonly panels: readonly Panel[];
  readonly folds: readonly FoldLine[];
  /** Folded flat before any wall stands. */
  readonly flat?: readonly AssemblyFold[];
  readonly holes?: readonly Hole[];
  readonly slits?: readonly SlitLine[];
  /** Names of the flaps whose tips are turned under. */
  readonly turned?: readonly string[];
}

/** One box, or its lid: notches, floor, walls, rim flaps and tabs, and how they are folded and raised. */
function drawBox(prefix: string, name: string, layout: BoxLayout, tray: boolean, tieHole: number) {
  const { side, notch } = layout;
  const box: Box = {
    ...layout,
    ...floorOf(layout),
    n: notch / Math.SQRT2,
    id: (part) => `${prefix}${part}`,
    of: prefix ? ' of the lid' : '',
    lid: prefix !== '',
  };
  const { id } = box;
  const tabs = tabsOf(box);
  const parts: Parts[] = [
    { panels: [floorPanel(box)], folds: [] },
    ...WALLS.flatMap((k) => [drawWall(box, k), tray ? drawLining(box, k) : drawRimFlap(box, k, tieHole)]),
    ...tabs.map((tab) => drawTab(box, tab)),
  ];
  const all = <K extends keyof Parts>(kind: K): NonNullable<Parts[K]>[number][] =>
    parts.flatMap((part) => (part[kind] ?? []) as NonNullable<Parts[K]>[number][]);
  const drawn = drawPiece({
    name,
    blank: { width: mm(side), height: mm(side) },
    panels: all('panels'),
    folds: all('folds'),
    slits: all('slits'),
    notches: notchesOf(layout),
  });
  const piece: Piece = { ...drawn, holes: all('holes') };
  return {
    piece,
    flat: all('flat'),
    turned: all('turned'),
    raising: raisingOf(box, piece, tabs),
    closing: tray ? [] : CLOSING_ORDER.map((k, i) => closeRim(box, k, i === CLOSING_ORDER.length - 1)),
    meets: [1, 3].flatMap((k) => [2, 4].map((j) => [id(`wall-${k}`), id(`wall-${j}`)] as const)),
  };
}

const notchesOf = ({ side, first, second, notch }: BoxLayout): readonly Notch[] =>
  WALLS.flatMap((edge) =>
    (edge % 2 === 1 ? [first, second] : [side - second, side - first]).map((setting, i): Notch => ({
      id: `n${edge}-${i + 1}`,
      edge,
      at: mm(setting),
      length: mm(notch),
    })),
  );

const floorPanel = (box: Box): Panel => ({
  id: box.id('floor'),
  name: box.lid ? 'top of the lid' : 'floor',
  polygon: rectangle(box, 1, -box.W / 2, box.W / 2, -box.D / 2, box.D / 2),
});

function drawWall(box: Box, k: Wall): Parts {
  const { half, reach } = wallOf(box, k);
  const wall = box.id(`wall-${k}`);
  return {
    panels: [
      { id: wall, name: `${PLACES[k]} wall${box.of}`, polygon: rectangle(box, k, reach, reach + box.H, -half, half) },
    ],
    folds: [{ id: box.id(`s-wall-${k}`), between: [box.id('floor'), wall], angle: 90 }],
  };
}

/** The rim flap on wall k: a house, square to the rim for n/√2, then to the tip at 45°. */
function rimOf(box: Box, k: Wall) {
  const { side, H, n } = box;
  const { half, reach } = wallOf(box, k);
  const rim = reach + H;
  const deep = half + n;
  const house = outward(side, k, [
    [rim, -half],
    [rim + n, -half],
    [rim + deep, 0],
    [rim + n, half],
    [rim, half],
  ]);
  /** The house between two depths from the rim; null where nothing is. */
  const between = (from: number, to: number): Polygon<'sheet'> | null => {
    // A cut along the house's own rim or tip would only add corners by rounding: there it reaches past.
    const [low, high] = [from === 0 ? rim - side : rim + from, to >= deep ? rim + side : rim + to];
    const [part] = intersection(house, rectangle(box, k, low, high, -side, side))
      .filter((ring) => area(ring) > 0.5)
      .map((ring) => anticlockwise(ring));
    return part ?? null;
  };
  return { rim, deep, reach, house, between, label: `${PLACES[k]} rim flap${box.of}` };
}

/** Of a tray: folded flat inwards the rim flap lines the wall, and the floor where it is deeper. */
function drawLining(box: Box, k: Wall): Parts {
  const { id, H } = box;
  const { deep, reach, between, label } = rimOf(box, k);
  const [wall, flap, lining] = [id(`wall-${k}`), id(`flap-${k}`), id(`lining-${k}`)];
  // Past the far wall it is cut off.
  const rest = deep > H + 0.5 ? between(H, Math.min(deep, H + 2 * reach - CLEAR)) : null;
  return {
    panels: [
      { id: flap, name: label, polygon: between(0, H) ?? [] },
      ...(rest ? [{ id: lining, name: `tip of the ${label}`, polygon: rest }] : []),
    ],
    folds: [
      { id: id(`s-flap-${k}`), between: [wall, flap], angle: 180 },
      ...(rest
        ? [{ id: id(`s-lining-${k}`), between: [lining, flap], fold: 'mountain', angle: 90 } satisfies FoldLine]
        : []),
    ],
    flat: [fold(id(`fold-flap-${k}`), `Fold the ${label} flat inwards`, [id(`s-flap-${k}`)], { gluedTo: [wall] })],
  };
}

/** Of a box that closes itself: the rim flap folded over the opening, its tip under where it is too deep. */
function drawRimFlap(box: Box, k: Wall, tieHole: number): Parts {
  const { id, side } = box;
  const { rim, deep, reach, house, between, label } = rimOf(box, k);
  const [wall, flap, tip] = [id(`wall-${k}`), id(`flap-${k}`), id(`tip-${k}`)];
  const over = deep > 2 * reach + TOLERANCE.length;
  // Short of the far wall, and with so much of a tip left that fingers can fold it.
  const stops = Math.min(2 * reach - CLEAR, deep - LEAST.folded.warns);
  // What would come back out past its own wall is cut off; of a shallow flap that may be all of the tip.
  const under = over ? between(stops, Math.min(deep, 2 * stops - CLEAR)) : null;
  // Where the tips of the last two flaps lap, in the middle of the top.
  const tied =
    k % 2 === 0 &&
    tieHole > 0 &&
    deep - reach > tieHole / 2 + HOLE_MARGIN &&
    2 * deep - 2 * reach > tieHole + 2 * HOLE_MARGIN;
  return {
    panels: [
      { id: flap, name: label, polygon: over ? (between(0, stops) ?? []) : house },
      ...(under ? [{ id: tip, name: `tip of the ${label}`, polygon: under }] : []),
    ],
    folds: [
      { id: id(`s-flap-${k}`), between: [wall, flap], angle: 90 },
      ...(under ? [{ id: id(`s-tip-${k}`), between: [flap, tip], angle: 180 } satisfies FoldLine] : []),
    ],
    flat: under ? [fold(id(`fold-tip-${k}`), `Fold the tip of the ${label} under`, [id(`s-tip-${k}`)])] : [],
    turned: under ? [label] : [],
    holes: tied
      ? [{ id: `tie-${k}`, panel: flap, centre: outward(side, k, [[rim + reach, 0]])[0]!, diameter: mm(tieHole) }]
      : [],
  };
}

/** A tab on an even wall, at one end of it, glued inside an odd wall. */
interface Tab {
  readonly id: string;
  readonly on: 2 | 4;
  readonly end: -1 | 1;
  readonly onto: 1 | 3;
}

const tabsOf = ({ id }: Box): readonly Tab[] =>
  ([2, 4] as const).flatMap((on) =>
    ([-1, 1] as const).map((end): Tab => ({
      id: id(`tab-${on}-${end < 0 ? 1 : 2}`),
      on,
      end,
      onto: (on === 2) === end < 0 ? 1 : 3,
    })),
  );

/** The corner between two walls, cut off by the sheet's edge, slit off the wall it is glued to. */
function drawTab(box: Box, { id: tab, on, end, onto }: Tab): Parts {
  const { side, H, n } = box;
  const { half: w, reach: d } = wallOf(box, on);
  const square = rectangle(box, on, d, d + H, end * w, end * (w + H));
  const edge = outward(side, on, [
    [d - side, end * (w - side)],
    [d + H + n + side, end * (w - side)],
    [d - side, end * (w + H + n + side)],
  ]);
  const [polygon] = H <= n ? [square] : intersection(square, edge).map((ring) => anticlockwise(ring));
  return {
    panels: [{ id: tab, name: `tab of the ${PLACES[on]} wall${box.of}`, polygon: polygon! }],
    folds: [{ id: `s-${tab}`, between: [box.id(`wall-${on}`), tab], angle: 90 }],
    slits: [
      {
        id: `slit-${tab}`,
        name: `slit beside the ${PLACES[onto]} wall${box.of}`,
        between: [[tab, box.id(`wall-${onto}`)]],
      },
    ],
  };
}

/** The walls with the tabs first, then the others against them; a wall takes what lines the floor along. */
function raisingOf({ id, of }: Box, { hinges }: Piece, tabs: readonly Tab[]): readonly AssemblyRaise[] {
  const wall = (k: Wall): readonly [string, ...string[]] =>
    hinges.some((hinge) => hinge.id === id(`s-lining-${k}`))
      ? [id(`s-wall-${k}`), id(`s-lining-${k}`)]
      : [id(`s-wall-${k}`)];
  return [
    raiseStep(id('raise-tabbed'), `Raise the far and the near wall${of}, tabs and all`, [wall(2), wall(4)]),
    // One wall's tabs after the other's: where they are long they would meet on the way.
    ...([2, 4] as const).map((k) =>
      raiseStep(
        id(`turn-tabs-${k}`),
        `Turn the tabs of the ${PLACES[k]} wall${of} in`,
        tabs.filter(({ on }) => on === k).map((tab) => [`s-${tab.id}`] as const),
      ),
    ),
    raiseStep(id('raise-others'), `Raise the right and the left wall${of} against the tabs`, [wall(1), wall(3)], {
      joins: tabs.map((tab) => ({ panel: tab.id, onto: id(`wall-${tab.onto}`), face: 'inside' })),
    }),
  ];
}

const CLOSING_ORDER = [1, 3, 2, 4] as const satisfies readonly Wall[];
const closeRim = ({ id }: Box, k: Wall, last: boolean): AssemblyRaise =>
  raiseStep(
    id(`close-${k}`),
    `Fold the ${PLACES[k]} rim flap over the opening`,
    [[id(`s-flap-${k}`)]],
    last ? { closes: true } : {},
  );

export const diagonalBox: Construction<Options> = {
  name: 'diagonal-box',
  does: 'stands',
  title: 'Diagonal box',
  purpose: 'A small box from one square on the envelope board, closed by its own flaps or with a lid.',
  options,
  ease: EASE.box as { aim: Ease; least: Ease },
  idle: ({ top, depth }) => [
    ...(top === 'lid' ? ['tieHole'] : ['lidAllowance', 'liner']),
    ...(depth === undefined ? [] : ['leastDepth']),
  ],
  build,
  // Tips that lap too little for a tie hole are tied round; tips that do not lap shut nothing: a lid does.
  suited: (brief) => {
    const { contents, aim, making, options } = brief;
    const [short, long] = [contents!.width + aim.width, contents!.height + aim.height].sort((a, b) => a - b) as [
      number,
      number,
    ];
    const lap = short + Math.SQRT2 * making.notch - long - LAP_SPARE;
    if (lap >= 0 && options.top !== 'lid')
      return lap < options.tieHole + 2 * LEAST.left.warns ? { tieHole: mm(0) } : {};
    const over = onMark((LID_LAYERS * brief.caliper + 1) / Math.SQRT2, brief, 'up');
    return { top: 'lid', lidAllowance: mm(Math.max(options.lidAllowance, over)) };
  },
  schools: [
    {
      option: 'top',
      value: 'closed',
      title: 'Closed by its own flaps',
      why: 'A treat box from one sheet: the rim flaps fold over, and a tie through the lapping tips holds them.',
    },
    {
      option: 'top',
      value: 'lid',
      title: 'Tray with a lid',
      why: 'The rim flaps are folded inwards first and line walls and floor stiffly; the lid is the same sheet with its settings moved.',
    },
  ],
  cures: [
    ...lidCures(Math.SQRT2),
    ...SHALLOW_CURES,
    ...deeperCures('Make it as deep as the contents'),
    { for: 'tie', label: 'Leave the tie hole out', options: () => ({ tieHole: 0 }) },
    {
      for: 'part-too-large',
      id: 'lidAllowance',
      label: 'Make it fit',
      options: (limit: Mm) => ({ lidAllowance: Math.max(0, Math.floor(limit * 10) / 10) }),
    },
    usualCure('notch-off-sheet', 'Depth 1/2 in', { depth: inches(1 / 2) }),
  ],
  advice: [
    {
      mistake: 'Cutting at all four corners of every wall.',
      instead: 'Cut only at the ends of the longer walls: the corner pieces are the tabs of the shorter ones.',
    },
    {
      mistake: 'Scoring both settings on one edge and none on the next.',
      instead: 'Two notches an edge, the sheet turned after every second one.',
    },
  ],
  sources: ['a 4 1/2 in square set at 1 and 3, closed top, for two small wrapped sweets (common practice, no source)'],
};
