import { seeded } from '../../src/core/chance';
import { readRescue, type Mishap, type WayOut, type WaysOut } from '../../src/core/rescue';

/** Holders as makers cut them, told by what goes in. */
const DESIGNS: readonly object[] = [
  { construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } },
  { construction: 'seam-envelope', contents: { width: '4 in', height: '6 in' } },
  {
    construction: 'tab-envelope',
    contents: { width: '3 in', height: '4 in' },
    tool: { kind: 'scoring-board' },
  },
  { construction: 'card-holder', contents: { width: '2 1/8 in', height: '3 3/8 in' } },
  { construction: 'library-pocket', contents: { width: '3 in', height: '4 in' } },
  { construction: 'folded-card', contents: { width: '4 in', height: '5 in' } },
  { construction: 'tray-box', contents: { width: '3 in', height: '4 in', thickness: '1 in' } },
  { construction: 'patch-pocket', contents: { width: '4 in', height: '4 in' } },
];

/**
 * Mishaps drawn with a seed: a holder, and what went wrong on its first piece: cut too small, a score, notch or hole too many or
 * where none belongs, torn. They do not depend on how many are drawn.
 */
export function seededMishaps(count: number, seed = 28): Mishap[] {
  const random = seeded(seed);
  const between = (least: number, most: number): number => Math.round(8 * (least + random() * (most - least))) / 8;
  const edge = (): number => 1 + Math.floor(random() * 4);
  const wrong = (): object => {
    const at = between(10, 110);
    const kinds = [
      () => ({ kind: 'blank', width: between(90, 190), height: between(90, 230) }),
      () => ({ kind: 'score', edge: edge(), at }),
      () => ({ kind: 'notch', edge: edge(), at }),
      () => ({ kind: 'hole', edge: edge(), at }),
      () => ({ kind: 'slit', edge: edge(), at, deep: between(10, 60) }),
      () => ({
        kind: 'torn',
        polygon: [
          [at, 20],
          [at + 14, 20],
          [at + 6, 36],
        ],
      }),
    ];
    return kinds[Math.floor(random() * kinds.length)]!();
  };
  const mishaps: Mishap[] = [];
  while (mishaps.length < count) {
    const design = { version: 1, ...DESIGNS[mishaps.length % DESIGNS.length] };
    // Some are noticed before anything is done, some later.
    const step = random() < 0.5 ? { step: 1 + Math.floor(random() * 6) } : {};
    const read = readRescue({ version: 1, design: { ...design }, wrong: [wrong()], ...step });
    if (read.ok) mishaps.push(read.mishap);
  }
  return mishaps;
}

/** How many scars are seen, and holes with nothing behind them, which a strip closes and does not hide. */
const seen = ({ scars, mended }: WayOut): number =>
  scars.filter(({ ends }) => ends === 'shows').length +
  scars.filter(({ open, ends }) => open && ends === 'shows' && mended.length === 0).length;

/** What is wrong with the answer to a mishap: each a sentence. */
export function faultsOf({ ways }: WaysOut): string[] {
  const [first] = ways;
  const keeping = ways.filter(({ keeps }) => keeps);
  // Another holder is not plainer than the same one mended, nor is what leaves a scar, or a hole, to be seen.
  const plainest = keeping
    .filter((way) => first && way.design.construction === first.design.construction && seen(way) <= seen(first))
    .toSorted((a, b) => a.cost.steps - b.cost.steps)[0];
  const titles = ways.map(({ title }) => title);
  return [
    ...(first && plainest && first.cost.paper > plainest.cost.paper + 1
      ? [
          `“${first.title}” is first and takes ${first.cost.paper.toFixed(0)} mm² of paper, “${plainest.title}” ${plainest.cost.paper.toFixed(0)}`,
        ]
      : []),
    ...(first && !first.keeps && keeping[0]
      ? [`“${first.title}” is first and does not keep what “${keeping[0].title}” keeps`]
      : []),
    ...titles.flatMap((title, i) => (titles.indexOf(title) < i ? [`two ways are called “${title}”`] : [])),
  ];
}
