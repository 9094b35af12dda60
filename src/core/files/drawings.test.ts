/** Drawings as files: approved as a whole (open tests/approved/drawings in a browser), and what each must hold to. */
import { parseSync, type INode } from 'svgson';
import { expectApproved } from '../../../tests/helpers/approved';
import { flatPiece } from '../../../tests/helpers/scenes';
import { planOf } from '../../../tests/helpers/designs';
import type { CutList, Layout } from '../cutting';
import { mm } from '../length';
import { LAYER_PLACES, type DesignInput } from '../design';
import { sheetPicture } from '../looks';
import type { Made } from '../plan';
import { cutsCsv, layoutCsv, layoutDxf, layoutSvg } from './layout-files';
import { printPicture, type PrintShape } from './print-picture';
import { escaped, figure } from './svg';
import { tilesFor, PAGES, RIM, FOOT, OVERLAP } from './tiles';
import { allSheets, sheetSvg } from '.';

const of = (construction: string, fields: object = {}): { made: Made; drawings: ReturnType<typeof allSheets> } => {
  const { made, design } = planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in', thickness: '1/4 in' },
    ...fields,
  } as DesignInput);
  return { made: made!, drawings: allSheets(made!, design) };
};
const all = (node: INode): INode[] => [node, ...node.children.flatMap(all)];

test.each<[string, object]>([
  ['diagonal-envelope', { contents: { width: '3 in', height: '4 in' } }],
  ['tray-box', {}],
  ['slider-set', { contents: { width: '5 in', height: '3 in' } }],
  ['storage-pocket', { layers: LAYER_PLACES.map((on) => ({ on, pull: true })) }],
  ['patch-pocket', {}],
])('%s as a cutting drawing', (construction, fields) => {
  expectApproved(`drawings/${construction}.svg`, sheetSvg(of(construction, fields).drawings, construction));
});

test('what a file could read as its own marks is written as text, and text is read back as it was', () => {
  expect(escaped(`<b> & "c" 'd'`)).toBe('&#60;b&#62; &#38; &#34;c&#34; &#39;d&#39;');
  const [drawing] = of('tray-box').drawings;
  const svg = parseSync(sheetSvg([drawing!], '<g> & "x"'));
  expect(all(svg).filter(({ name }) => name === 'g')).toHaveLength(6);
  const named = sheetSvg(
    of('tray-box').drawings.map((d, i) => (i === 0 ? { ...d, name: 'a "b" <c>' } : d)),
    'x',
  );
  expect(parseSync(named).children.find(({ attributes }) => attributes.transform)!.attributes.id).toBeDefined();
  expect(named).not.toContain('<c>');
});

test('figures are written to a ten-thousandth', () => {
  expect([figure(1 / 3), figure(2), figure(-0.00001)]).toEqual(['0.3333', '2', '0']);
});

test('pieces stand one above the other, none on another, 10 mm apart, in a picture that holds them all', () => {
  const { drawings } = of('tray-box', { layers: [{ on: 'front' }, { on: 'front' }] });
  const svg = parseSync(sheetSvg(drawings, 'box'));
  const tops = svg.children
    .filter(({ attributes }) => attributes.transform)
    .map(({ attributes }) => Number(/translate\(0 (.*)\)/.exec(attributes.transform!)![1]));
  expect(tops).toHaveLength(4);
  drawings.map(flatPiece).forEach(({ blank }, i) => {
    const bottom = tops[i]! + blank.height;
    expect(tops[i + 1] ?? parseFloat(svg.attributes.height!) + 10).toBeCloseTo(bottom + 10, 3);
  });
  expect(parseFloat(svg.attributes.width!)).toBeCloseTo(
    Math.max(...drawings.map((one) => flatPiece(one).blank.width)),
    3,
  );
});

describe('the small picture on paper', () => {
  const span = (shapes: readonly PrintShape[]) => {
    const points = shapes.flatMap(({ rings }) => rings.flat());
    const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
    return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
  };
  test('a library pocket stands upright: the pocket’s outside below, the back’s inside above it', () => {
    const shapes = printPicture(of('library-pocket', { contents: { width: '3 in', height: '4 in' } }).made);
    const [outside, inside] = [0.87, 1].map((shade) => span(shapes.filter((shape) => shape.shade === shade)));
    expect(outside!.low).toBeLessThan(inside!.low);
    expect(inside!.high).toBeGreaterThan(outside!.high);
  });
  test('it is as wide and high as the thing, whichever face is its front', () => {
    for (const construction of ['library-pocket', 'seam-envelope', 'diagonal-envelope', 'card-holder']) {
      const { made } = of(construction, { contents: { width: '3 in', height: '4 in' } });
      const { left, right, low, high } = span(printPicture(made));
      // With its opening up: what is as wide as the contents may be as high as they are.
      const [less, more] = [made.finished.width, made.finished.height].sort((a, b) => a - b);
      expect(Math.min(right - left, high - low)).toBeGreaterThan(less! - 0.5);
      expect(Math.max(right - left, high - low)).toBeGreaterThan(more! - 0.5);
    }
  });
  test('a box is lit: its sides are darker than its lid, and no side is black', () => {
    const shades = printPicture(of('tray-box').made).map(({ shade }) => shade);
    expect(new Set(shades.map((shade) => shade.toFixed(3))).size).toBeGreaterThan(2);
    expect(Math.min(...shades)).toBeGreaterThan(0.5);
    expect(Math.max(...shades)).toBeLessThanOrEqual(1);
  });
  test('the same pictures as were looked at', () => {
    for (const construction of ['library-pocket', 'seam-envelope', 'tray-box', 'cover-board']) {
      const shapes = printPicture(of(construction).made);
      const { left, right, low, high } = span(shapes);
      // A picture a browser shows: y down, 1 mm a unit.
      const svg = shapes.map(
        ({ rings, shade }) =>
          `<path fill="rgb(${Array(3)
            .fill(Math.round(shade * 255))
            .join(' ')})" stroke="black" stroke-width="0.3" d="${rings
            .map((ring) => `M${ring.map(({ x, y }) => `${figure(x - left)} ${figure(high - y)}`).join('L')}Z`)
            .join('')}"/>`,
      );
      expectApproved(
        `pictures/${construction}.svg`,
        `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${figure(right - left)} ${figure(high - low)}">\n${svg.join('\n')}\n</svg>\n`,
      );
    }
  });
});

describe('several sheets in one file', () => {
  // Laid out by hand: two sheets of two kinds, a piece turned, an offcut.
  const list: CutList = {
    sheets: [
      { name: 'card', width: mm(300), height: mm(200), count: 4, kerf: 0 },
      { name: 'scrap & "more"', width: mm(100), height: mm(120), count: 1, kerf: 0 },
    ],
    pieces: [],
    tool: { kind: 'ruler' },
  } as unknown as CutList;
  const layout = {
    sheets: [
      {
        sheet: 'card',
        placements: [
          { piece: 'front', x: 0, y: 0, width: 120, height: 200, turned: false },
          { piece: '=lid <1>', x: 120, y: 0, width: 80, height: 50, turned: true },
        ],
        cuts: [
          { from: [120, 0], to: [120, 200] },
          { from: [120, 50], to: [300, 50] },
        ],
        offcuts: [{ x: 120, y: 50, width: 180, height: 150 }],
      },
      {
        sheet: 'scrap & "more"',
        placements: [{ piece: 'tag', x: 0, y: 0, width: 100, height: 60, turned: false }],
        cuts: [{ from: [0, 60], to: [100, 60] }],
        offcuts: [],
      },
    ],
  } as unknown as Layout;

  test('as SVG: side by side from the left, 20 mm apart, y turned down', () => {
    const svg = parseSync(layoutSvg(list, layout, 'Two & more'));
    expect([svg.attributes.width, svg.attributes.height]).toEqual(['420mm', '200mm']);
    expect(svg.children.filter(({ name }) => name === 'g').map(({ attributes }) => attributes.transform)).toEqual([
      'translate(0 0)',
      'translate(320 0)',
    ]);
    const rect = (id: string) =>
      all(svg)
        .find(({ attributes }) => attributes.id === id)!
        .children.map(({ attributes: { x, y, width, height } }) => [x, y, width, height].map(Number));
    expect(rect('edge-2')).toEqual([[0, 0, 100, 120]]);
    expect(rect('piece-1')).toEqual([
      [0, 0, 120, 200],
      [120, 150, 80, 50],
    ]);
    expect(rect('piece-2')).toEqual([[0, 60, 100, 60]]);
    expect(rect('offcut-1')).toEqual([[120, 0, 180, 150]]);
    const cuts = all(svg).find(({ attributes }) => attributes.id === 'cut-2')!.children;
    expect(cuts.map(({ attributes: { x1, y1, x2, y2 } }) => [x1, y1, x2, y2].map(Number))).toEqual([[0, 60, 100, 60]]);
    expectApproved('drawings/layout.svg', layoutSvg(list, layout, 'Two & more'));
  });

  test('as DXF: the second sheet begins where the first ends and 20 mm', () => {
    expectApproved('drawings/layout.dxf', layoutDxf(list, layout));
  });

  test('as tables: a row a piece, and none of its cells is a formula', () => {
    expect(layoutCsv(layout).trim().split(/\r?\n/)).toEqual([
      '"number","sheet","piece","x","y","width","height","turned"',
      '"1","card","front","0","0","120","200","no"',
      `"1","card","'=lid <1>","120","0","80","50","yes"`,
      '"2","scrap & ""more""","tag","0","0","100","60","no"',
    ]);
    const [head, ...rows] = cutsCsv(list, layout).trim().split(/\r?\n/);
    expect(head).toBe('"cut","fence","sheet number","length","kept width","kept height"');
    // Whatever is ready goes in the order of its length; what waits for a cut comes after it.
    expect(rows).toEqual([
      '"1","120","1","200","120","200"',
      '"2","50","1","180","180","50"',
      '"3","60","2","100","100","60"',
    ]);
  });

  test('a drawing of nothing is still a drawing', () => {
    expect(layoutSvg(list, { ...layout, sheets: [] }, 'none')).toContain('viewBox="0 0 1 1"');
  });
});

describe('pages for a sheet', () => {
  const [a4] = PAGES;
  test('what fits one page takes one, upright or across', () => {
    expect(tilesFor({ width: 190, height: 259 }, a4!)).toMatchObject({ across: false, tiles: [{ x: 0 }] });
    // 259 mm are what is left of a page's height, between the rims and above the foot.
    expect([297 - 2 * RIM - FOOT, 210 - 2 * RIM]).toEqual([259, 190]);
    const wide = tilesFor({ width: 277, height: 150 }, a4!);
    expect([wide.across, wide.tiles.length]).toEqual([true, 1]);
  });
  test('what is a hair larger takes two, which repeat 10 mm of each other; rows run from the top', () => {
    const { across, tiles } = tilesFor({ width: 190, height: 300 }, a4!);
    expect(across).toBe(false);
    expect(tiles.map(({ row, column, y }) => [row, column, y])).toEqual([
      [0, 0, 300 - 259],
      [1, 0, 300 - 259 - (259 - OVERLAP)],
    ]);
    expect(tilesFor({ width: 190 + 1e-7, height: 259 }, a4!).tiles).toHaveLength(1);
    expect(tilesFor({ width: 190.1, height: 259.1 }, a4!).tiles).toHaveLength(2);
  });
});

test('one piece of several is drawn with its own scores, glue and areas to keep dry', () => {
  const { made } = of('tray-box');
  const [box, lid] = made.pieces.map((part) => flatPiece(sheetPicture(made, part)));
  expect([box!.name, lid!.name]).toEqual(['box', 'lid']);
  for (const drawing of [box!, lid!]) {
    // In the order of scoring; parts of one line share its number.
    const order = drawing.scores.map(({ number }) => number);
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect([...new Set(order)]).toEqual([1, 2, 3, 4]);
    for (const polygon of [...drawing.glue, ...drawing.noGlue])
      for (const { x, y } of polygon) {
        expect(x).toBeGreaterThan(-0.01);
        expect(x).toBeLessThan(drawing.blank.width + 0.01);
        expect(y).toBeGreaterThan(-0.01);
        expect(y).toBeLessThan(drawing.blank.height + 0.01);
      }
  }
  expect(box!.glue.length).toBeGreaterThan(0);
});
