/**
 * Cutting beside two rectangle packers of the registry and beside the area bound: sheets used and time on the same
 * lists, from edge to edge and free. Each packer is tried in all its ways and with its pieces in several orders; its
 * best counts, and the time of all of them. Then how time grows with the list.
 */
import { usually } from './few';
import { packer } from 'guillotine-packer';
import { MaxRectsPacker } from 'maxrects-packer';
import { readCutList, type CutList, type CutListInput } from '../src/core/cutting';
import { loadSolver, packing, type Solver } from '../src/core/cutting/pack';
import { album, cards, cutUp, random } from './lists';

const BIG = 1e6;
/** Lengths as whole micrometres, as the packers like them. */
const um = (mm: number): number => Math.round(mm * 1000);

interface Rect {
  width: number;
  height: number;
}
const rects = ({ pieces }: CutList): Rect[] =>
  pieces.flatMap(({ width, height, quantity }) =>
    Array.from({ length: quantity }, () => ({ width: um(width), height: um(height) })),
  );
const ORDERS: readonly ((a: Rect, b: Rect) => number)[] = [
  (a, b) => b.width * b.height - a.width * a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  (a, b) => b.height - a.height,
  (a, b) => b.width + b.height - a.width - a.height,
];

/** Sheets the free packer uses at its best. */
function freePacker(list: CutList): number {
  const [{ width, height }] = list.sheets as [CutList['sheets'][number]];
  let best = BIG;
  // Its two ways of choosing a place: by area, by edge.
  for (const logic of [0, 1])
    for (const order of ORDERS) {
      const bins = new MaxRectsPacker(um(width), um(height), 0, {
        smart: false,
        pot: false,
        square: false,
        allowRotation: true,
        logic,
      });
      for (const { width: w, height: h } of rects(list).sort(order)) bins.add(w, h, null);
      best = Math.min(best, bins.bins.length);
    }
  return best;
}

/** Sheets the packer from edge to edge uses at its best: it tries its own orders and ways to split. */
function edgePacker(list: CutList): number {
  const [{ width, height }] = list.sheets as [CutList['sheets'][number]];
  const items = rects(list).map((rect, i) => ({ ...rect, name: String(i) }));
  const bins = packer({ binWidth: um(width), binHeight: um(height), items }, { allowRotation: true, kerfSize: 0 });
  return bins ? bins.length : BIG;
}

const timed = <T>(job: () => T): [T, number] => {
  const from = performance.now();
  const result = job();
  return [result, performance.now() - from];
};
const ms = (time: number): string => (time < 1000 ? `${time.toFixed(0)} ms` : `${(time / 1000).toFixed(1)} s`);

function ours(list: CutList, solver: Solver) {
  const from = performance.now();
  let first = 0;
  let found = 0;
  let last = null;
  let used = BIG;
  for (const { layout } of packing(list, solver)) {
    const now = performance.now() - from;
    if (first === 0) first = now;
    if (layout.sheetsUsed < used) [used, found] = [layout.sheetsUsed, now];
    last = layout;
  }
  return { layout: last!, first, found, all: performance.now() - from };
}

const read = (written: Omit<CutListInput, 'cutter'>, cutter: CutList['cutter']): CutList => {
  const found = readCutList({ ...written, cutter });
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.list;
};
const areaBound = ({ sheets: [sheet], pieces }: CutList): number =>
  Math.ceil(
    pieces.reduce((sum, { width, height, quantity }) => sum + width * height * quantity, 0) /
      (sheet!.width * sheet!.height) -
      1e-9,
  );

async function run(): Promise<void> {
  const solver = await loadSolver();
  const lists: [string, Omit<CutListInput, 'cutter'>][] = [
    ['album, 160 pieces of 10 sizes', album],
    ['four cards, box and envelopes', cards],
    ...[1, 2, 3, 4].map((seed): [string, Omit<CutListInput, 'cutter'>] => [
      `random ${seed}, 200 pieces of 15 sizes`,
      random(15, 200, seed * 1000 + 7),
    ]),
    ['random 5, 60 pieces of 60 sizes', random(60, 60, 77)],
    ['cut up, 4 sheets in 8', cutUp(4, 8, 4, 7)],
    ['cut up, 10 sheets in 8', cutUp(10, 8, 4, 11)],
    ['cut up, 3 sheets in 12', cutUp(3, 12, 4, 13)],
    ['cut up, 20 sheets in 6, fine', cutUp(20, 6, 1, 17)],
  ];
  let worse = 0;
  for (const cutter of ['guillotine', 'free'] as const) {
    const name = cutter === 'free' ? 'free' : 'edge to edge';
    const [, other] = cutter === 'free' ? ['free', freePacker] : ['edge', edgePacker];
    console.log(`\n${name}: sheets (bound by area / proved bound)`);
    for (const [title, written] of usually(lists, lists.slice(0, 1))) {
      const list = read(written, cutter);
      const { layout, first, found, all } = ours(list, solver);
      const [theirs, time] = timed(() => other(list));
      if (layout.sheetsUsed > theirs) worse++;
      console.log(
        `${title}: ${layout.sheetsUsed} (${areaBound(list)} / ${layout.lowerBound}${layout.optimal ? ', proved' : ''}), ` +
          `first ${ms(first)}, found ${ms(found)}, done ${ms(all)}; packer ${theirs} in ${ms(time)}, ` +
          `ratio ${(layout.sheetsUsed / theirs).toFixed(3)}`,
      );
    }
  }
  console.log(`\nmore sheets than the packer: ${worse} times`);
  console.log('\ngrowth, edge to edge, 15 sizes');
  for (const pieces of usually([25, 50, 100, 200, 400, 800], [25])) {
    const { layout, first, all } = ours(read(random(15, pieces, 4242), 'guillotine'), solver);
    console.log(
      `${pieces} pieces: ${layout.sheetsUsed} sheets, bound ${layout.lowerBound}, first ${ms(first)}, done ${ms(all)}`,
    );
  }
}
void run();
