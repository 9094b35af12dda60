import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync, type INode } from 'svgson';
import { carryOutCuts, fenceOrder, partWords, readCutList, type CutList, type Layout } from '@/core/cutting';
import { loadSolver, pack } from '@/core/cutting/pack';
import { InUnits } from '../parts/InUnits';
import { CutOrder } from './CutOrder';
import { LaidSheet } from './LaidSheet';

let list: CutList;
let layout: Layout;
beforeAll(async () => {
  const read = readCutList({
    version: 1,
    sheets: [{ name: 's', width: '12 in', height: '12 in' }],
    pieces: [
      { name: 'Cards: mat', width: '5 1/4 in', height: '5 7/8 in', quantity: 3 },
      { name: 'strip', width: '1 in', height: '11 in', quantity: 1 },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  list = read.list;
  layout = pack(list, await loadSolver());
});
const all = (node: INode): INode[] => [node, ...node.children.flatMap(all)];
const text = (node: INode): string =>
  all(node)
    .map(({ value }) => value)
    .join(' ');

test('the drawing, read by another reader, has every piece and offcut at its place, and the cut at hand', () => {
  const [sheet] = layout.sheets;
  const { made } = carryOutCuts(list.sheets[0]!, sheet!.cuts);
  const cut = { ...made[0]!, sheet: 0 };
  const root = parseSync(
    renderToStaticMarkup(
      <InUnits units="in" graduation="1/16 in">
        <LaidSheet
          sheet={sheet!}
          kind={list.sheets[0]!}
          label="Sheet 1"
          wrong={[1]}
          selected={null}
          cuts={cut ? [cut] : []}
          hands={null}
        />
      </InUnits>,
    ),
  );
  const rects = all(root)
    .filter(({ attributes }) => ['paper', 'offcut'].includes(attributes['data-is'] ?? ''))
    .map(({ attributes }) => {
      const numbers = attributes.d!.match(/-?[\d.]+/g)!.map(Number);
      const [xs, ys] = [0, 1].map((axis) => numbers.filter((_, i) => i % 2 === axis)) as [number[], number[]];
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      return [x, y, Math.max(...xs) - x, Math.max(...ys) - y];
    });
  for (const { x, y, width, height } of [...sheet!.placements, ...sheet!.offcuts])
    expect(rects).toContainEqual([x, 304.8 - y - height, width, height].map((n) => expect.closeTo(n, 1)));
  expect(text(root)).toContain('Cards');
  // The reader of the markup sets the parts of a line apart.
  expect(text(root).replaceAll(/\s+/g, ' ')).toMatch(/5 1\/4 in × 5 7\/8 in|5 7\/8 in × 5 1\/4 in/);
  const [line] = all(root).filter(
    ({ name, attributes }) =>
      name === 'line' &&
      attributes.strokeWidth === undefined &&
      attributes.x1 === String(cut.upright ? cut.setting : 0),
  );
  expect(line).toBeDefined();
});

test('the order of cuts says where the fence stands, what lies at it, and what is longer than the trimmer', () => {
  const groups = fenceOrder(list.sheets, layout.sheets);
  const shown = (longest: number | undefined, step: number): string =>
    renderToStaticMarkup(
      <InUnits units="in" graduation="1/16 in">
        <CutOrder layout={layout} groups={groups} step={step} longest={longest} onStep={() => {}} />
      </InUnits>,
    ).replaceAll(/<[^>]*>/g, ' ');
  expect(shown(undefined, 0)).toContain('Cut 1 of');
  expect(shown(undefined, 0)).toContain('edge at the fence');
  expect(shown(undefined, 0)).not.toContain('longer than your trimmer');
  expect(shown(200, 0)).toMatch(/cuts? (is|are) longer than your trimmer/);
  expect(shown(undefined, 999)).toContain('Every cut is made');
});

test('what a part is called: a piece by its name, an offcut, a strip, waste', () => {
  const piece = { piece: 'mat', x: 0, y: 0, width: 50, height: 50, turned: false };
  const sheet = {
    sheet: 's',
    placements: [piece, { ...piece, x: 50 }],
    cuts: [],
    offcuts: [{ x: 0, y: 50, width: 100, height: 50 }],
  };
  expect(partWords(piece, sheet)).toBe('“mat”, done: write its name on it');
  expect(partWords({ x: 0, y: 50, width: 100, height: 50 }, sheet)).toBe('an offcut to keep');
  expect(partWords({ x: 0, y: 0, width: 100, height: 60 }, sheet)).toBe('a strip with 2 pieces');
  expect(partWords({ x: 0, y: 0, width: 50, height: 60 }, sheet)).toBe('one piece, not yet at size');
  expect(partWords({ x: 100, y: 0, width: 5, height: 60 }, sheet)).toBe('waste');
});
