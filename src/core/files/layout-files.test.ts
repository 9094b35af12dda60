import DxfParser from 'dxf-parser';
import Papa from 'papaparse';
import { parseSync, type INode } from 'svgson';
import { carryOutCuts, readCutList, type CutList, type Layout } from '../cutting';
import { loadSolver, pack } from '../cutting/pack';
import { cutsCsv, layoutCsv, layoutDxf, layoutSvg } from './layout-files';

let list: CutList;
let layout: Layout;
beforeAll(async () => {
  const read = readCutList({
    version: 1,
    sheets: [{ name: 'card & "paper"', width: '12 in', height: '12 in' }],
    pieces: [
      { name: '=mat <1>', width: '5 1/4 in', height: '5 7/8 in', quantity: 5 },
      { name: 'strip', width: '1 1/2 in', height: '11 in', quantity: 3 },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  list = read.list;
  layout = pack(list, await loadSolver());
});

/** Left edges of the sheets in a drawing of all of them: each as wide as its paper, 20 mm between. */
const lefts = (): number[] => layout.sheets.map((_, i) => i * (304.8 + 20));

test('the DXF, read by another reader, has every piece, cut and offcut on its layer within 0.01 mm', () => {
  const read = new DxfParser().parseSync(layoutDxf(list, layout))!;
  expect(Object.keys(read.tables.layer.layers)).toEqual(
    expect.arrayContaining(['SHEET', 'PIECE', 'CUT', 'OFFCUT', 'NAME']),
  );
  type Line = { layer: string; type: string; vertices: { x: number; y: number }[]; text?: string };
  const entities = read.entities as unknown as Line[];
  const on = (layer: string): Line[] => entities.filter((entity) => entity.layer === layer);
  const cuts = layout.sheets.flatMap(({ cuts: all }, i) =>
    all.map(({ from, to }) => [from[0] + lefts()[i]!, from[1], to[0] + lefts()[i]!, to[1]]),
  );
  expect(on('CUT').length).toBe(cuts.length);
  on('CUT').forEach(({ vertices: [a, b] }, i) => {
    [a!.x, a!.y, b!.x, b!.y].forEach((n, k) => expect(Math.abs(n - cuts[i]![k]!)).toBeLessThan(0.01));
  });
  expect(on('PIECE').length).toBe(4 * 8);
  expect(on('OFFCUT').length).toBe(4 * layout.sheets.flatMap(({ offcuts }) => offcuts).length);
  expect(on('SHEET').length).toBe(4 * layout.sheets.length);
  expect(on('NAME').map(({ text }) => text)).toEqual(
    layout.sheets.flatMap(({ placements }) => placements.map(({ piece }) => piece)),
  );
});

test('the SVG, read by another reader, has every piece at true size and place, and hostile names are only text', () => {
  const root = parseSync(layoutSvg(list, layout, '<script>alert(1)</script>'));
  expect(root.attributes.width).toBe(`${304.8 * layout.sheets.length + 20 * (layout.sheets.length - 1)}mm`);
  const all = (node: INode): INode[] => [node, ...node.children.flatMap(all)];
  expect(all(root).some(({ name }) => name === 'script')).toBe(false);
  layout.sheets.forEach(({ placements, cuts }, i) => {
    const group = (name: string): INode => all(root).find(({ attributes }) => attributes.id === `${name}-${i + 1}`)!;
    const drawn = group('piece').children.map(({ attributes: a }) => [a.x, a.y, a.width, a.height].map(Number));
    placements.forEach((p, k) =>
      [p.x, 304.8 - p.y - p.height, p.width, p.height].forEach((n, at) =>
        expect(Math.abs(drawn[k]![at]! - n)).toBeLessThan(0.01),
      ),
    );
    expect(group('cut').children).toHaveLength(cuts.length);
    expect(group('name').children[0]!.children[0]!.value).toContain(placements[0]!.piece === 'strip' ? 'strip' : 'mat');
  });
});

test('the tables: every piece where it lies, every cut at its fence; no cell is a formula', () => {
  const read = (text: string) => Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
  const pieces = read(layoutCsv(layout));
  expect(pieces).toHaveLength(8);
  expect(pieces.filter(({ piece }) => piece === "'=mat <1>")).toHaveLength(5);
  expect(pieces.some(({ piece }) => piece!.startsWith('='))).toBe(false);
  // Sheets are counted from one, as a person counts them.
  expect(pieces.map(({ number }) => Number(number))).toEqual(
    layout.sheets.flatMap(({ placements }, i) => placements.map(() => i + 1)),
  );
  expect(pieces.map(({ sheet, turned }) => [sheet, turned])).toEqual(
    layout.sheets.flatMap(({ sheet, placements }) => placements.map((p) => [sheet, p.turned ? 'yes' : 'no'])),
  );
  const cuts = read(cutsCsv(list, layout));
  const made = layout.sheets.flatMap(({ cuts: all }) => carryOutCuts(list.sheets[0]!, all).made);
  expect(cuts.map(({ fence }) => Number(fence)).sort()).toEqual(
    made.map(({ setting }) => Number(setting.toFixed(2))).sort(),
  );
});
