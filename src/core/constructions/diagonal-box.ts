import { z } from 'zod';
import type { AssemblyFold, AssemblyRaise } from '../fold';
import { area, intersection, anticlockwise, type Point, type Polygon, TOLERANCE } from '../geometry';
import { inches, mm, type Mm } from '../length';
import {
  drawPiece,
  type FoldLine,
  type Hole,
  type Notch,
  type Panel,
  type Piece,
  type SlitLine,
  isSquare,
} from '../pattern';
import { built, EASE, fold, raise, refuse } from './building';
import { PLAIN, type Brief, type BuildResult, type Construction, type Ease, type Refusal } from './construction';
import { depthFor, depthOption, layLiner, lidCures, LINER, linerPiece, putLidOn } from './lids';
import { choiceOption, lengthOption, openLengthOption, yesNoOption } from './options';
import { marksRound } from './rounding';
import { onMark, tooLarge } from './sizing';

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
  const lined = lidded && options.liner && Math.min(width, height) > 2 * LINER;
  const lining = lined ? [layLiner('floor', across, width - LINER, height - LINER)] : [];
  const raised = [...box.raising, ...lining];
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [box.piece, ...(lined ? [linerPiece(width - LINER, height - LINER)] : []), ...(lid ? [lid.piece] : [])],
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
      { kind: 'box', id: 'box', floor: 'floor', across, tall: 'wall-1', onEdge: false, insertAfter: raised.at(-1)!.id },
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
  });
}

function fromPaper({ blank, making, options, thickness, ...brief }: Brief<Options>): BoxLayout | Refusal {
  const { width, height } = blank!;
  if (!isSquare({ width, height }))
    return { code: 'blank-not-square', value: mm(Math.max(width, height)), limit: mm(Math.min(width, height)) };
  const { notch, offset } = making;
  const whole = { ...brief, blank, making, options, thickness } as Brief<Options>;
  const apart = onMark(Math.SQRT2 * depthFor(whole, options.depth), whole);
  const first = (options.setting ?? onMark((width - apart) / 2 - offset, whole, 'down')) + offset;
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
  const second = first + onMark(Math.SQRT2 * depthFor(brief, options.depth), brief, 'up');
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

/** One box: wall k stands to the right, far, left, near along the diagonals; odd walls are D long, even ones W. */
function drawBox(prefix: string, name: string, layout: BoxLayout, tray: boolean, tieHole: number) {
  const { side, first, second, notch } = layout;
  const { W, D, H } = floorOf(layout);
  const [w, d, n] = [W / 2, D / 2, notch / Math.SQRT2];
  const id = (part: string): string => `${prefix}${part}`;
  const of = prefix ? ' of the lid' : '';
  /** A polygon given outward from wall k: `out` from the floor's middle, `along` its own length. */
  const turned = (k: number, points: readonly (readonly [out: number, along: number])[]): Polygon<'sheet'> =>
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
  const blank = { width: mm(side), height: mm(side) };
  const notches = ([1, 2, 3, 4] as const).flatMap((edge) =>
    (edge % 2 === 1 ? [first, second] : [side - second, side - first]).map((setting, i): Notch => ({
      id: `n${edge}-${i + 1}`,
      edge,
      at: mm(setting),
      length: mm(notch),
    })),
  );
  const panels: Panel[] = [
    {
      id: id('floor'),
      name: prefix ? 'top of the lid' : 'floor',
      polygon: turned(1, [
        [-w, -d],
        [w, -d],
        [w, d],
        [-w, d],
      ]),
    },
  ];
  const folds: FoldLine[] = [];
  const slits: SlitLine[] = [];
  const flat: AssemblyFold[] = [];
  const turnedUnder: string[] = [];
  const holes: Hole[] = [];
  const places = ['right', 'far', 'left', 'near'];
  for (const k of [1, 2, 3, 4]) {
    const odd = k % 2 === 1;
    const [half, reach] = odd ? [d, w] : [w, d];
    const [wall, flap] = [id(`wall-${k}`), id(`flap-${k}`)];
    const what = `${places[k - 1]} wall${of}`;
    panels.push({
      id: wall,
      name: what,
      polygon: turned(k, [
        [reach, -half],
        [reach + H, -half],
        [reach + H, half],
        [reach, half],
      ]),
    });
    folds.push({ id: id(`s-wall-${k}`), between: [id('floor'), wall], angle: 90 });
    // The rim flap is a house: square to the rim for n/√2, then to the tip at 45°.
    const rim = reach + H;
    const deep = half + n;
    const house = turned(k, [
      [rim, -half],
      [rim + n, -half],
      [rim + deep, 0],
      [rim + n, half],
      [rim, half],
    ]);
    const cutAt = (from: number, to: number): Polygon<'sheet'> | null => {
      // A cut along the house's own rim or tip would only add corners by rounding: there it reaches past.
      const [low, high] = [from === 0 ? rim - side : rim + from, to >= deep ? rim + side : rim + to];
      const [part] = intersection(
        house,
        turned(k, [
          [low, -side],
          [high, -side],
          [high, side],
          [low, side],
        ]),
      )
        .filter((ring) => area(ring) > 0.5)
        .map((ring) => anticlockwise(ring));
      return part ?? null;
    };
    const label = `${places[k - 1]} rim flap${of}`;
    if (tray) {
      // Folded flat inwards it lines the wall, and the floor where it is deeper; past the far wall it is cut off.
      const lining = cutAt(0, H) ?? [];
      const rest = deep > H + 0.5 ? cutAt(H, Math.min(deep, H + 2 * reach - CLEAR)) : null;
      panels.push({ id: flap, name: label, polygon: lining });
      folds.push({ id: id(`s-flap-${k}`), between: [wall, flap], angle: 180 });
      if (rest) {
        panels.push({ id: id(`lining-${k}`), name: `tip of the ${label}`, polygon: rest });
        folds.push({ id: id(`s-lining-${k}`), between: [id(`lining-${k}`), flap], fold: 'mountain', angle: 90 });
      }
      flat.push(fold(id(`fold-flap-${k}`), `Fold the ${label} flat inwards`, [id(`s-flap-${k}`)], { gluedTo: [wall] }));
    } else {
      const over = deep > 2 * reach + TOLERANCE.length;
      // Short of the far wall, and with so much of a tip left that fingers can fold it.
      const stops = Math.min(2 * reach - CLEAR, deep - CLEAR);
      panels.push({ id: flap, name: label, polygon: over ? (cutAt(0, stops) ?? []) : house });
      folds.push({ id: id(`s-flap-${k}`), between: [wall, flap], angle: 90 });
      // What would come back out past its own wall is cut off; of a shallow flap that may be all of the tip.
      const turnedTip = over ? cutAt(stops, Math.min(deep, 2 * stops - CLEAR)) : null;
      if (turnedTip) {
        const tip = id(`tip-${k}`);
        panels.push({ id: tip, name: `tip of the ${label}`, polygon: turnedTip });
        folds.push({ id: id(`s-tip-${k}`), between: [flap, tip], angle: 180 });
        flat.push(fold(id(`fold-tip-${k}`), `Fold the tip of the ${label} under`, [id(`s-tip-${k}`)]));
        turnedUnder.push(label);
      }
      // Where the tips of the last two flaps lap, in the middle of the top.
      if (
        !odd &&
        tieHole > 0 &&
        deep - reach > tieHole / 2 + HOLE_MARGIN &&
        2 * deep - 2 * reach > tieHole + 2 * HOLE_MARGIN
      )
        holes.push({ id: `tie-${k}`, panel: flap, centre: turned(k, [[rim + reach, 0]])[0]!, diameter: mm(tieHole) });
    }
  }
  // Tabs on the even walls, glued inside the odd ones: the corner between two walls, cut off by the sheet's edge.
  const tabs: { tab: string; onto: string; keeper: number }[] = [];
  for (const k of [2, 4])
    for (const end of [-1, 1]) {
      const tab = id(`tab-${k}-${end < 0 ? 1 : 2}`);
      // Seen outward from wall k: at its `along = end·w` end.
      const square = turned(k, [
        [d, end * w],
        [d + H, end * w],
        [d + H, end * (w + H)],
        [d, end * (w + H)],
      ]);
      const edge = turned(k, [
        [d - side, end * (w - side)],
        [d + H + n + side, end * (w - side)],
        [d - side, end * (w + H + n + side)],
      ]);
      const [polygon] = H <= n ? [square] : intersection(square, edge).map((ring) => anticlockwise(ring));
      const onto = id(`wall-${k === 2 ? (end < 0 ? 1 : 3) : end < 0 ? 3 : 1}`);
      panels.push({ id: tab, name: `tab of the ${places[k - 1]} wall${of}`, polygon: polygon! });
      folds.push({ id: `s-${tab}`, between: [id(`wall-${k}`), tab], angle: 90 });
      slits.push({
        id: `slit-${tab}`,
        name: `slit beside the ${places[(k === 2 ? (end < 0 ? 1 : 3) : end < 0 ? 3 : 1) - 1]} wall${of}`,
        between: [[tab, onto]],
      });
      tabs.push({ tab, onto, keeper: k });
    }
  const drawn = drawPiece({ name, blank, panels, folds, slits, notches });
  const piece: Piece = { ...drawn, holes };
  const wallTurn = (k: number): readonly [string, ...string[]] =>
    drawn.hinges.some(({ id: hinge }) => hinge === id(`s-lining-${k}`))
      ? [id(`s-wall-${k}`), id(`s-lining-${k}`)]
      : [id(`s-wall-${k}`)];
  const closing: AssemblyRaise[] = tray
    ? []
    : [1, 3, 2, 4].map((k, i) =>
        raise(
          id(`close-${k}`),
          `Fold the ${places[k - 1]} rim flap over the opening`,
          [[id(`s-flap-${k}`)]],
          i === 3 ? { closes: true } : {},
        ),
      );
  return {
    piece,
    flat,
    turned: turnedUnder,
    raising: [
      raise(id('raise-tabbed'), `Raise the far and the near wall${of}, tabs and all`, [wallTurn(2), wallTurn(4)]),
      // One wall's tabs after the other's: where they are long they would meet on the way.
      ...[2, 4].map((k) =>
        raise(
          id(`turn-tabs-${k}`),
          `Turn the tabs of the ${places[k - 1]} wall${of} in`,
          tabs.filter(({ keeper }) => keeper === k).map(({ tab }) => [`s-${tab}`] as const),
        ),
      ),
      raise(id('raise-others'), `Raise the right and the left wall${of} against the tabs`, [wallTurn(1), wallTurn(3)], {
        joins: tabs.map(({ tab, onto }) => ({ panel: tab, onto, face: 'inside' })),
      }),
    ],
    closing,
    meets: [1, 3].flatMap((k) => [2, 4].map((j) => [id(`wall-${k}`), id(`wall-${j}`)] as const)),
  };
}

export const diagonalBox: Construction<Options> = {
  name: 'diagonal-box',
  title: 'Diagonal box',
  purpose: 'A small box from one square on the envelope board, closed by its own flaps or with a lid.',
  options,
  ease: EASE.box as { aim: Ease; least: Ease },
  idle: ({ top }) => (top === 'lid' ? ['tieHole'] : ['lidAllowance', 'liner']),
  build,
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
    { for: 'room-depth', label: 'Make it as deep as the contents', options: () => ({ depth: undefined }) },
    { for: 'tie', label: 'Leave the tie hole out', options: () => ({ tieHole: 0 }) },
    {
      for: 'part-too-large',
      id: 'lidAllowance',
      label: 'Make it fit',
      options: (limit: Mm) => ({ lidAllowance: Math.max(0, Math.floor(limit * 10) / 10) }),
    },
    { for: 'notch-off-sheet', label: 'Depth 1/2 in', options: () => ({ depth: inches(1 / 2) }) },
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
