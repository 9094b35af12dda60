import { TOLERANCE } from '../../geometry';
import { z } from '../../text/zod';
import type { AssemblyStep } from '../../fold';
import { inches, mm, type Mm } from '../../length';
import { drawPiece, rect, ring, type Piece } from '../../pattern';
import { built, fold, place, raiseStep, refuse, segment } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Built, type Construction } from '../shared/construction';
import { openLengthOption, yesNoOption } from '../shared/options';
import { leftOver, onMark, roomy, spineFor, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  panelEase: openLengthOption(
    'Panel wider by',
    'Than the notebook.',
    { least: 0, most: 60 },
    { open: 'the room asked for (1/4 in)' },
  ),
  heightEase: openLengthOption(
    'Panel taller by',
    'Than the notebook.',
    { least: 0, most: 100 },
    { open: 'the room asked for (1 in)' },
  ),
  spine: openLengthOption(
    'Spine',
    'As thick as what it holds when full.',
    { over: 0, most: 100 },
    { open: 'the contents’ thickness, or 1/2 in' },
  ),
  wings: yesNoOption('Pockets on the wings', 'A patch pocket on each wing.', true),
  pocketHeight: openLengthOption(
    'Pocket height',
    'Of the wings’ pockets.',
    { over: 0 },
    { open: '3 in, or what the strap leaves' },
  ),
});
type Options = z.output<typeof options>;

/** Spine and pockets when nothing is told, mm. Common practice 1/2 and 3 in. */
const USUAL_SPINE = inches(1 / 2);
const USUAL_POCKET = inches(3);
/** Paper between the spines beside the notebook: the band on its end, the inner wing, and what is on both wings. */
const POCKET = 2;
const LAYERS = 3 + 2 * POCKET;
/** Tabs of pockets and band. Common practice 1/2 in. */
const TAB = inches(1 / 2);
/** Pockets and band are narrower than their panel by this. Common practice 1/8 in. */
const NARROWER = inches(1 / 8);
const BAND = inches(5 / 4);
/** The strap: its glued tab, and the doubled part that sticks out. Common practice 1/2 and 1 1/2 in, 1/2 in broad. */
const STRAP = { tab: inches(1 / 2), out: inches(3 / 2), breadth: inches(1 / 2), holds: inches(7 / 8) };

/**
 * Two pieces of panel, spine and panel, one panel of each glued to the other: a gatefold. A band across the middle
 * holds the notebook's back board, pockets lie on the wings, a strap closes it.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, blank, contents, aim, least, making, thickness } = brief;
  const [narrower, tabs, broad] = [usual(NARROWER, brief), usual(TAB, brief), usual(BAND, brief)];
  const [tab, breadth] = [usual(STRAP.tab, brief), usual(STRAP.breadth, brief)];
  const layers = options.wings ? LAYERS : LAYERS - 2 * POCKET;
  const spine =
    options.spine ??
    (thickness > 0 ? spineFor(mm(thickness + layers * brief.caliper), brief) : usual(USUAL_SPINE, brief));
  let [p, H]: [number, number] = [0, 0];
  if (blank) {
    const width = leftOver(brief, 'width', blank.width, spine, 2);
    if (!width.ok) return refuse(width.refusal);
    [p, H] = [(blank.width - spine) / 2, blank.height];
  } else {
    const sized = (side: 'width' | 'height', told: Mm | undefined): number =>
      told === undefined
        ? roomy(contents![side], aim[side], least[side], making.graduation)
        : onMark(contents![side] + told, brief, 'up');
    p = sized('width', options.panelEase);
    H = sized('height', options.heightEase);
  }
  const inner = p - narrower;
  if (inner < 2 * tabs) return refuse(tooLarge(null, 'band’s tab', tabs, inner / 2));
  if (H < 2 * broad) return refuse(tooLarge(null, 'band', broad, H / 2));
  // Pockets stay under the strap, which lies at the middle of the wing.
  const room = H / 2 - breadth / 2 - 1;
  const q = options.pocketHeight ?? Math.min(usual(USUAL_POCKET, brief), onMark(room, brief, 'down'));
  if (options.wings && q > room + TOLERANCE.length) return refuse(tooLarge('pocketHeight', 'pocket', q, room));
  const half = (side: 'left' | 'right', wing: string, middle: string, back: string): Piece => {
    const left = side === 'left';
    return drawPiece({
      name: `${side} half`,
      blank: left && blank ? blank : { width: mm(2 * p + spine), height: mm(H) },
      panels: [
        {
          id: middle,
          name: `middle of the ${side} half`,
          polygon: left ? rect(p + spine, 0, 2 * p + spine, H) : rect(0, 0, p, H),
        },
        { id: back, name: `${side} spine`, polygon: rect(p, 0, p + spine, H) },
        { id: wing, name: `${side} wing`, polygon: left ? rect(0, 0, p, H) : rect(p + spine, 0, 2 * p + spine, H) },
      ],
      folds: [
        { id: `s-${back}`, between: [middle, back], angle: 90 },
        { id: `s-${wing}`, between: [back, wing], angle: 90 },
      ],
    });
  };
  const left = half('left', 'wing-1', 'middle-1', 'spine-1');
  const right = half('right', 'wing-2', 'middle-2', 'spine-2');
  const patches = options.wings ? ([1, 2] as const).map((n) => patch(n, inner, q, tabs, narrower)) : [];
  const band = drawPiece({
    name: 'band',
    blank: { width: mm(inner + 2 * tabs), height: broad },
    panels: [
      { id: 'band', name: 'band', polygon: rect(tabs, 0, tabs + inner, broad) },
      { id: 'band-end-1', name: 'left end of the band', polygon: rect(0, 0, tabs, broad) },
      { id: 'band-end-2', name: 'right end of the band', polygon: rect(tabs + inner, 0, inner + 2 * tabs, broad) },
    ],
    folds: [
      { id: 's-band-1', between: ['band', 'band-end-1'] },
      { id: 's-band-2', between: ['band', 'band-end-2'] },
    ],
  });
  // It goes round the spine, and so far on that it holds.
  const out = Math.max(usual(STRAP.out, brief), onMark(spine + usual(STRAP.holds, brief), brief, 'up'));
  const strap = drawPiece({
    name: 'strap',
    blank: { width: mm(tab + 2 * out), height: breadth },
    panels: [
      { id: 'strap-tab', name: 'tab of the strap', polygon: rect(0, 0, tab, breadth) },
      { id: 'strap', name: 'strap', polygon: rect(tab, 0, tab + out, breadth) },
      { id: 'strap-tail', name: 'tail of the strap', polygon: rect(tab + out, 0, tab + 2 * out, breadth) },
    ],
    folds: [
      { id: 's-strap-tail', between: ['strap', 'strap-tail'] },
      { id: 's-strap-tab', between: ['strap-tab', 'strap'], fold: 'mountain', angle: 90 },
    ],
  });
  const margin = (p - inner) / 2;
  const bandY = (H - broad) / 2;
  const assembly: AssemblyStep[] = [
    place('join-halves', 'Lay the right half’s panel on the left half’s: together they are the middle', {
      panel: 'middle-2',
      onto: 'middle-1',
      line: segment(0, 0, p, 0),
      on: segment(p + spine, 0, 2 * p + spine, 0),
      over: false,
      level: 'top',
      gluedTo: ['middle-1'],
    }),
    fold('fold-band-1', 'Fold the left end of the band under', ['s-band-1']),
    fold('fold-band-2', 'Fold the right end of the band under', ['s-band-2']),
    place('lay-band', 'Lay the band across the middle, its ends down', {
      panel: 'band',
      onto: 'middle-2',
      line: segment(tabs, 0, tabs + inner, 0),
      on: segment(margin + inner, bandY, margin, bandY),
      over: true,
      level: 'top',
      gluedTo: ['middle-2'],
      glueWithin: [rect(0, 0, tabs, broad), rect(tabs + inner, 0, inner + 2 * tabs, broad)],
    }),
    ...patches.flatMap((made, i) => made.steps(i === 0 ? 'wing-1' : 'wing-2', (i === 0 ? 0 : p + spine) + margin)),
    fold('fold-strap', 'Fold the strap’s tail over and glue it down: the strap is double', ['s-strap-tail'], {
      gluedTo: ['strap'],
    }),
    place('lay-strap', 'Glue the strap’s tab on the right wing, the strap past its edge', {
      panel: 'strap-tab',
      onto: 'wing-2',
      line: segment(0, 0, tab, 0),
      on: segment(2 * p + spine - tab, H / 2 - breadth / 2, 2 * p + spine, H / 2 - breadth / 2),
      over: false,
      level: 'top',
      gluedTo: ['wing-2'],
    }),
    raiseStep('raise-spine-1', 'Raise the left spine', [['s-spine-1']]),
    raiseStep('close-wing-1', 'Fold the left wing over the notebook', [['s-wing-1']]),
    raiseStep('raise-spine-2', 'Raise the right spine', [['s-spine-2']]),
    raiseStep('close-wing-2', 'Fold the right wing over the left', [['s-wing-2']]),
    raiseStep(
      'close',
      'With a dot of hook and loop between its end and the left wing, bring the strap round the edge',
      [['s-strap-tab']],
      { closes: true, takes: 'dot of hook and loop', care: 'smallParts' },
    ),
  ];
  return built({
    ...PLAIN,
    front: 'above',
    pieces: [left, right, band, ...patches.map(({ piece }) => piece), strap],
    assembly,
    cavities: [
      {
        kind: 'box',
        id: 'notebook',
        floor: 'middle-2',
        across: segment(0, H / 2, p, H / 2),
        tall: 'spine-1',
        onEdge: false,
        insertAfter: 'lay-strap',
        put: 'Lay the notebook on the middle, its back board under the band.',
        outside: ['middle-1', 'strap-tab', 'strap', 'strap-tail'],
      },
      ...patches.map(({ cavity }) => cavity),
    ],
    claims: [
      {
        kind: 'walls-meet',
        pairs: [
          ['middle-2', 'spine-2'],
          ['spine-1', 'wing-1'],
          ['spine-2', 'wing-2'],
        ],
      },
    ],
    proud: ['strap', 'strap-tail'],
  });
}

/** A pocket for a wing: a panel with tabs folded under on three sides. */
function patch(n: 1 | 2, W: number, H: number, g: number, narrower: number) {
  const m = Math.min(g, H / 2, W / 4);
  const [x1, x2, low, top] = [g, g + W, g, g + H];
  const panel = `pocket-${n}`;
  const piece = drawPiece({
    name: n === 1 ? 'left pocket' : 'right pocket',
    blank: { width: mm(W + 2 * g), height: mm(H + g) },
    panels: [
      { id: panel, name: 'pocket', polygon: rect(x1, low, x2, top) },
      { id: `${panel}-1`, name: 'left tab', polygon: ring([0, low + m], [x1, low], [x1, top], [0, top]) },
      { id: `${panel}-2`, name: 'right tab', polygon: ring([x2, low], [x2 + g, low + m], [x2 + g, top], [x2, top]) },
      { id: `${panel}-3`, name: 'bottom tab', polygon: ring([x1, low], [x1 + m, 0], [x2 - m, 0], [x2, low]) },
    ],
    folds: [1, 2, 3].map((k) => ({ id: `s-${panel}-${k}`, between: [panel, `${panel}-${k}`] as const })),
  });
  const cavity: Built['cavities'][number] = {
    id: panel,
    kind: 'pocket',
    floor: panel,
    roof: [`wing-${n}`, `${panel}-1`, `${panel}-2`, `${panel}-3`],
    mouth: segment(x1, top, x2, top),
    insertAfter: `lay-${panel}`,
    covered: { floor: 1, roof: 1 },
  };
  const steps = (wing: string, x: number): AssemblyStep[] => [
    ...[1, 2, 3].map((k) =>
      fold(`fold-${panel}-${k}`, `Fold the ${['left', 'right', 'bottom'][k - 1]} tab of the ${piece.name} under`, [
        `s-${panel}-${k}`,
      ]),
    ),
    place(`lay-${panel}`, `Lay the ${piece.name} on its wing, tabs down`, {
      panel,
      onto: wing,
      line: segment(x1, low, x2, low),
      on: segment(x + W, narrower / 2, x, narrower / 2),
      over: true,
      level: 'top',
      gluedTo: [wing],
      glueWithin: [rect(0, 0, x1, top), rect(x2, 0, x2 + g, top), rect(0, 0, x2 + g, low)],
    }),
  ];
  return { piece, cavity, steps };
}

export const folio: Construction<Options> = {
  name: 'folio',
  does: 'wraps',
  title: 'Notebook folio',
  purpose: 'A cover that opens like a gate round a notebook, with pockets on both wings and a strap.',
  options,
  ease: {
    aim: { width: inches(1 / 4), height: inches(1) },
    least: { width: inches(1 / 8), height: inches(1 / 8) },
  },
  idle: ({ wings }) => (wings ? [] : ['pocketHeight']),
  build,
  schools: [],
  cures: [
    { for: 'room-depth', label: 'Spine from the contents', options: () => ({ spine: undefined }) },
    partCure('pocketHeight'),
  ],
  advice: [
    {
      mistake: 'A spine as thick as the empty notebook.',
      instead: 'Measure it full: photographs and notes on every page can double it.',
    },
    {
      mistake: 'The band glued all along.',
      instead: 'Only its ends: the notebook’s back board slides under the middle.',
    },
  ],
  sources: [
    'a 4 × 6 notebook: two 9 × 7 pieces scored 4 1/4 and 4 3/4; band 5 1/8 × 1 1/4; pockets 5 1/8 × 3 1/2 with 1/2 tabs; strap 3 1/2 × 1/2 scored 1/2 and 2 (common practice, no source)',
  ],
};
