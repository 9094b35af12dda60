import DxfParser from 'dxf-parser';
import { PageSizes } from '@cantoo/pdf-lib';
import { expectApproved } from '../../../tests/helpers/approved';
import { planOf } from '../../../tests/helpers/designs';
import { readPdf, written, type ReadPage } from '../../../tests/helpers/printed';
import { boxOf, type Point, type Segment } from '../geometry';
import { inches } from '../length';
import { sheetDxf } from './dxf';
import { sheetPdf } from './pdf';
import { OVERLAP, PAGES, RIM, FOOT, tilesFor } from './tiles';
import { parseSync } from 'svgson';
import { CONSTRUCTIONS } from '../constructions';
import { printPicture } from './print-picture';
import { flatPiece } from '../../../tests/helpers/scenes';
import { sheetPicture } from '../looks';
import { allSheets, LONGEST_PROJECT, jsonSchema, readProject, sheetSvg, writeProject } from '.';

const POINT = 72 / 25.4;
const [A4, LETTER] = [PAGES.find((p) => p.id === 'a4')!, PAGES.find((p) => p.id === 'letter')!];
const words = {
  title: 'Star cards ★',
  pieces: { envelope: 'Cut a square.', body: 'Cut a square.' },
  bar: { length: inches(4), label: 'This bar: 4 in' },
};
const drawingOf = (width: string, height: string) => {
  const { made } = planOf({
    version: 1,
    construction: 'diagonal-envelope',
    contents: { width, height },
    options: { corner: 0 },
  });
  return sheetPicture(made!);
};
const length = ([x1, y1, x2, y2]: readonly number[]): number => Math.hypot(x2! - x1!, y2! - y1!) / POINT;
const hasLine = (page: ReadPage, { from, to }: Segment, at: (p: Point) => readonly [number, number]): boolean => {
  const [a, b] = [at(from), at(to)];
  const near = (x: number, y: number, p: readonly [number, number]): boolean =>
    Math.hypot(x - p[0], y - p[1]) < 0.01 * POINT;
  return page.lines.some(
    ([x1, y1, x2, y2]) => (near(x1, y1, a) && near(x2, y2, b)) || (near(x1, y1, b) && near(x2, y2, a)),
  );
};

describe('the PDF, read back with pdf.js', () => {
  test('a sheet on four pages and a box’s piece with holes and slits, as they were looked at', async () => {
    const large = await sheetPdf([[drawingOf('7 in', '9 in')]], A4, words);
    expectApproved('prints/tiled', written(await readPdf(large.bytes)));
    const { made } = planOf({
      version: 1,
      construction: 'storage-pocket',
      contents: { width: '3 in', height: '4 in', thickness: '1/4 in' },
    });
    const pocket = await sheetPdf([[sheetPicture(made!)]], LETTER, words, printPicture(made!));
    expectApproved('prints/storage-pocket', written(await readPdf(pocket.bytes)));
  });

  test.each([A4, LETTER])('a small sheet is one $title page at true size, with a check bar', async (page) => {
    const drawing = drawingOf('3 in', '4 in');
    const pages = await readPdf((await sheetPdf([[drawing]], page, words)).bytes);
    expect(pages).toHaveLength(1);
    // Page sizes by another library's table (pdf-lib: ISO 216 A4 and ANSI letter, in points).
    const [width, height] = page.id === 'a4' ? PageSizes.A4 : PageSizes.Letter;
    expect([pages[0]!.width, pages[0]!.height]).toEqual([expect.closeTo(width, 1), expect.closeTo(height, 1)]);
    const [tile] = tilesFor(flatPiece(drawing).blank, page).tiles;
    const at = (p: Point): readonly [number, number] => [
      (p.x - tile!.x + RIM) * POINT,
      (p.y - tile!.y + RIM + FOOT) * POINT,
    ];
    const {
      outline: [outline],
      scores,
    } = flatPiece(drawing);
    const sides = outline!.map((from, i): Segment => ({ from, to: outline![(i + 1) % outline!.length]! }));
    for (const line of [...sides, ...scores]) expect(hasLine(pages[0]!, line, at)).toBe(true);
    expect(pages[0]!.lines.some((line) => Math.abs(length(line) - 101.6) < 0.01)).toBe(true);
    expect(pages[0]!.text).toContain('Star cards · : Cut a square.'.replace(' :', ':'));
    expect(pages[0]!.text).toContain('This bar: 4 in');
  });

  test.each(['tray-box', 'tab-envelope'])(
    'a %s carries a small picture of itself at the foot, and no line more',
    async (construction) => {
      const { made } = planOf({
        version: 1,
        construction,
        contents: { width: '3 in', height: '4 in', thickness: construction === 'tray-box' ? '3/4 in' : 0 },
      });
      const drawing = sheetPicture(made!);
      const shapes = printPicture(made!);
      const [[bare], [drawn]] = [
        await readPdf((await sheetPdf([[drawing]], A4, words)).bytes),
        await readPdf((await sheetPdf([[drawing]], A4, words, shapes)).bytes),
      ] as [[ReadPage], [ReadPage]];
      const corners = shapes.flatMap(({ rings }) => rings).reduce((sum, ring) => sum + ring.length, 0);
      const more = drawn.lines.slice(0);
      for (const line of bare.lines) {
        const at = more.findIndex((other) => other.every((v, i) => Math.abs(v - line[i]!) < 0.01));
        expect(at).toBeGreaterThanOrEqual(0);
        more.splice(at, 1);
      }
      // What is more is the picture: its corners, all in the foot's right end, in proportion.
      expect(more.length).toBeGreaterThanOrEqual(corners - shapes.length);
      const { width } = bare;
      for (const [x1, y1, x2, y2] of more) {
        for (const x of [x1, x2]) expect(x).toBeGreaterThan(width - (RIM + 25) * POINT);
        for (const y of [y1, y2]) expect(y).toBeLessThan((RIM + FOOT) * POINT + 0.01);
      }
    },
  );

  test('a sheet larger than the page is tiled; pages overlap and share lettered join marks', async () => {
    const drawing = drawingOf('5 in', '7 in');
    const { tiles } = tilesFor(flatPiece(drawing).blank, A4);
    const pages = await readPdf((await sheetPdf([[drawing]], A4, words)).bytes);
    expect(pages).toHaveLength(tiles.length);
    expect(pages.length).toBeGreaterThan(1);
    // Where each cross stands on the sheet, page by page: the two pages that share a letter must agree.
    const crosses = pages.map((page, i) =>
      page.lines
        .filter((line) => Math.abs(length(line) - 6) < 0.01 && line[1] === line[3])
        .map(([x1, y, x2]) => [(x1 + x2) / 2 / POINT - RIM + tiles[i]!.x, y / POINT - RIM - FOOT + tiles[i]!.y]),
    );
    expect(crosses[0]!.length).toBeGreaterThanOrEqual(2);
    crosses.forEach((own, i) =>
      own.forEach(([x, y]) =>
        expect(crosses.some((other, j) => j !== i && other.some(([u, v]) => Math.hypot(u! - x!, v! - y!) < 0.01))).toBe(
          true,
        ),
      ),
    );
    expect(pages[0]!.text).toContain('1.1-1.2');
    expect(pages[0]!.text).toContain(`page 1 of ${pages.length}`);
  });
});

describe('tiles', () => {
  test.each([
    [100, 100, 1],
    [190, 259, 1],
    [191, 259, 2],
    [420, 297, 4],
  ])('a %d × %d mm sheet takes %d A4 pages, which cover it and repeat 10 mm', (width, height, count) => {
    const { tiles } = tilesFor({ width, height }, A4);
    expect(tiles).toHaveLength(count);
    const reach = (axis: 'x' | 'y', side: 'width' | 'height') => Math.max(...tiles.map((t) => t[axis] + t[side]));
    expect(reach('x', 'width')).toBeGreaterThanOrEqual(width - 1e-6);
    expect(Math.min(...tiles.map((t) => t.y))).toBeLessThanOrEqual(1e-6);
    for (const a of tiles)
      for (const b of tiles)
        if (a.row === b.row && b.column === a.column + 1) expect(a.x + a.width - b.x).toBeCloseTo(OVERLAP, 6);
  });
});

test('pieces of one paper share a page at true size, each named with what is done to it; those of another begin a new one', async () => {
  const { made } = planOf({ version: 1, construction: 'packet', contents: { width: 80, height: 60, thickness: 1 } });
  const drawings = made!.pieces.map((part) => sheetPicture(made!, part));
  expect(drawings).toHaveLength(2);
  const said = { ...words, pieces: { front: 'Cut the front.', back: 'Cut the back.' } };
  const [page, ...more] = await readPdf((await sheetPdf([drawings], A4, said)).bytes);
  expect(more).toEqual([]);
  const text = [page!.text].flat().join(' ');
  expect(text).toContain('front: Cut the front.');
  expect(text).toContain('back: Cut the back.');
  // Every side of both lies on the page, as long as it is.
  const long = page!.lines.map(([x1, y1, x2, y2]) => Math.hypot(x2 - x1, y2 - y1) / POINT);
  for (const drawing of drawings)
    for (const ring of flatPiece(drawing).outline)
      ring.forEach((from, i) => {
        const to = ring[(i + 1) % ring.length]!;
        const side = Math.hypot(to.x - from.x, to.y - from.y);
        expect([drawing.name, side, long.some((one) => Math.abs(one - side) < 0.02)]).toEqual([
          drawing.name,
          side,
          true,
        ]);
      });
  expect(
    await readPdf(
      (
        await sheetPdf(
          drawings.map((drawing) => [drawing]),
          A4,
          said,
        )
      ).bytes,
    ),
  ).toHaveLength(2);
});

describe.each(CONSTRUCTIONS.map((c) => [c.name]))('%s in files', (construction) => {
  const { made, design } = planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in' },
    layers: [{ on: 'inside' }],
  });
  const drawings = allSheets(made!, design);

  test('the PDF gives every score and straight cut of every piece back, read with pdf.js', async () => {
    const pages = await readPdf(
      (
        await sheetPdf(
          drawings.map((drawing) => [drawing]),
          A4,
          words,
        )
      ).bytes,
    );
    const tiles = drawings.flatMap((drawing) => {
      const flat = flatPiece(drawing);
      return tilesFor(flat.blank, A4).tiles.map((tile) => ({ drawing: flat, tile }));
    });
    expect(pages).toHaveLength(tiles.length);
    tiles.forEach(({ drawing, tile }, i) => {
      const at = (p: Point): readonly [number, number] => [
        (p.x - tile.x + RIM) * POINT,
        (p.y - tile.y + RIM + FOOT) * POINT,
      ];
      const sides = drawing.outline.flatMap((ring) =>
        ring.map((from, j): Segment => ({ from, to: ring[(j + 1) % ring.length]! })),
      );
      for (const line of [...sides, ...drawing.scores])
        expect([drawing.name, hasLine(pages[i]!, line, at)]).toEqual([drawing.name, true]);
    });
  });

  test('the SVG holds every piece in a group of its own, scores and holes in place, read with svgson', () => {
    const svg = parseSync(sheetSvg(drawings, construction));
    const groups = drawings.length === 1 ? [svg] : svg.children.filter((child) => child.attributes.transform);
    expect(groups).toHaveLength(drawings.length);
    groups.forEach((group, i) => {
      const drawing = flatPiece(drawings[i]!);
      const layer = (id: string) => group.children.find((child) => child.attributes.id?.endsWith(id))!.children;
      expect(layer('score')).toHaveLength(drawing.scores.length);
      layer('score').forEach((line, j) => {
        expect(Number(line.attributes.x1)).toBeCloseTo(drawing.scores[j]!.from.x, 3);
        expect(drawing.blank.height - Number(line.attributes.y2)).toBeCloseTo(drawing.scores[j]!.to.y, 3);
      });
      expect(layer('hole').map((hole) => Number(hole.attributes.cx))).toEqual(
        drawing.holes.map((hole) => expect.closeTo(hole.centre.x, 3)),
      );
    });
  });
});

describe.each(CONSTRUCTIONS.map((c) => [c.name]))('%s as DXF', (construction) => {
  const { made, design } = planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in' },
    closure: { kind: 'buttons' },
    layers: [{ on: 'front' }],
  });
  const scenes = allSheets(made!, design);
  const drawings = scenes.map(flatPiece);

  test('gives every outline, slit, hole and score of every piece back within 0.01 mm, read with dxf-parser', () => {
    const { entities } = new DxfParser().parseSync(sheetDxf(scenes))!;
    type Entity = { layer: string; vertices: Point[]; center: Point; radius: number; text: string };
    const on = (...layers: string[]): Entity[] =>
      (entities as unknown as Entity[]).filter(({ layer }) => layers.includes(layer));
    const height = drawings.reduce((sum, { blank }) => sum + blank.height, 10 * (drawings.length - 1));
    const lows = drawings.map((_, i) =>
      drawings.slice(0, i + 1).reduce((left, { blank }) => left - blank.height - 10, height + 10),
    );
    const points = (all: readonly (readonly Point[])[], low: number): Point[] =>
      all.flat().map(({ x, y }) => ({ x, y: y + low }));
    const near = (found: readonly Point[], wanted: readonly Point[]): void => {
      expect(found).toHaveLength(wanted.length);
      found.forEach(({ x, y }, i) => expect(Math.hypot(x - wanted[i]!.x, y - wanted[i]!.y)).toBeLessThan(0.01));
    };
    const ends = (lines: readonly Segment[]): Point[][] => lines.map(({ from, to }) => [from, to]);
    near(
      on('CUT').flatMap(({ vertices }) => vertices),
      drawings.flatMap(({ outline }, i) => points(outline, lows[i]!)),
    );
    near(
      on('SLIT').flatMap(({ vertices }) => vertices),
      drawings.flatMap(({ slits }, i) => points(ends(slits), lows[i]!)),
    );
    near(
      on('VALLEY', 'MOUNTAIN').flatMap(({ vertices }) => vertices),
      drawings.flatMap(({ scores }, i) => points(ends(scores), lows[i]!)),
    );
    near(
      on('HOLE').map(({ center }) => center),
      drawings.flatMap(({ holes }, i) => points([holes.map((h) => h.centre)], lows[i]!)),
    );
    expect(on('HOLE').map(({ radius }) => 2 * radius)).toEqual(
      drawings.flatMap(({ holes }) => holes.map(({ diameter }) => expect.closeTo(diameter, 3))),
    );
    expect(on('NAME').map(({ text }) => text)).toEqual(drawings.map(({ name }) => name));
    expect(on('PAPER')).toEqual([]);
  });
});

test('a piece that has a place on its paper is drawn there, in the SVG and the DXF', () => {
  const { made, design } = planOf({
    version: 1,
    construction: 'diagonal-envelope',
    contents: { width: '3 in', height: '4 in' },
    paper: { width: '12 in', height: '8 in', turn: 1, at: { x: '1 in', y: '1/2 in' } },
  });
  const side = made!.pieces[0].piece.blank.width;
  const [plain] = allSheets(made!, design);
  const [placed] = allSheets(made!, design, true);
  expect(flatPiece(plain!).blank.width).toBe(side);
  expect(flatPiece(placed!).blank).toEqual({ width: inches(12), height: inches(8) });
  const blank = placed!.marks.find((mark) => mark.kind === 'area' && mark.of === 'blank');
  const { minX, minY, maxX } = boxOf(blank?.kind === 'area' ? blank.rings[0]! : []);
  expect([minX, minY, maxX - minX]).toEqual([25.4, 12.7, side].map((v) => expect.closeTo(v, 6)));
  const svg = parseSync(sheetSvg([placed!], 'x'));
  expect(svg.attributes).toMatchObject({ width: '304.8mm', height: '203.2mm' });
  expect(svg.children.map(({ attributes }) => attributes.id)).toEqual(expect.arrayContaining(['paper', 'blank']));
  // Turned a quarter clockwise, what was at the left end of the bottom edge is at the top of the left one.
  const [first] = flatPiece(plain!).scores;
  const [moved] = flatPiece(placed!).scores;
  const turned = { x: 25.4 + first!.from.y, y: 12.7 + side - first!.from.x };
  expect(moved!.from.x).toBeCloseTo(turned.x, 6);
  expect(moved!.from.y).toBeCloseTo(turned.y, 6);
  const { entities } = new DxfParser().parseSync(sheetDxf([placed!]))!;
  const paper = (entities as unknown as { layer: string; vertices: Point[] }[]).find(({ layer }) => layer === 'PAPER')!;
  expect(paper.vertices.map(({ x, y }) => [x, y])).toEqual([
    [0, 0],
    [expect.closeTo(304.8, 6), 0],
    [expect.closeTo(304.8, 6), expect.closeTo(203.2, 6)],
    [0, expect.closeTo(203.2, 6)],
  ]);
});

test('names with marks of their own do no harm in the cutting drawing', () => {
  const svg = sheetSvg([drawingOf('3 in', '4 in')], '</title><script>alert(1)</script>\u0000');
  expect(svg).not.toContain('<script');
  expect(svg).not.toContain('\u0000');
});

describe('project files', () => {
  const good = {
    format: 'tuck-fold-project' as const,
    version: 2 as const,
    name: 'Star cards',
    units: 'in' as const,
    set: {
      version: 1 as const,
      parts: [
        { id: 'envelope', design: { construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } } },
      ],
    },
  };
  const older = {
    ...good,
    version: 1,
    set: undefined,
    design: {
      version: 1,
      construction: 'card-holder',
      contents: { width: '3 in', height: '4 in' },
      companions: ['mat', 'tag'],
    },
  };
  const read = (value: unknown) => {
    const result = readProject(typeof value === 'string' ? value : JSON.stringify(value));
    return result.ok ? 'ok' : result.issues.map(({ path, message }) => `${path}: ${message}`).join('\n');
  };

  test('what is written is read back unchanged', () =>
    expect(readProject(writeProject(good))).toEqual({ ok: true, project: good }));

  test('a project of version 1 is read as the set it is', () => {
    const result = readProject(JSON.stringify(older));
    expect(result).toMatchObject({ ok: true, project: { version: 2, name: 'Star cards' } });
    const { set } = (result as { project: { set: { parts: { id: string; layers?: object[] }[] } } }).project;
    expect(set.parts.map(({ id }) => id)).toEqual(['part-1', 'tag']);
    expect(set.parts[0]!.layers).toHaveLength(1);
  });

  test.each<[what: string, value: unknown, sentence: string]>([
    ['text that is not JSON', 'not json', 'This file is not JSON'],
    ['a list', '[]', 'one JSON object in braces, not a list'],
    ['a foreign format', { ...good, format: 'recipe' }, 'This is not a Tuck Fold project'],
    ['another version', { ...good, version: 3 }, 'written by another version'],
    ['an empty name', { ...good, name: ' ' }, 'name: The project needs a name'],
    ['unknown units', { ...good, units: 'ell' }, 'units: The units are "in" or "mm"'],
    ['an unknown part', { ...good, extra: 1 }, 'extra: “extra” is not known here'],
    [
      'an unreadable length',
      { ...older, design: { ...older.design, contents: { width: 'wide' } } },
      'set.parts.0.design.contents.width',
    ],
    ['a prototype key', `{"__proto__": {"x": 1}, ${JSON.stringify(good).slice(1)}`, '__proto__'],
    ['a huge file', ' '.repeat(LONGEST_PROJECT + 1), `a project has under ${LONGEST_PROJECT}`],
  ])('%s is refused with a sentence', (_, value, sentence) => expect(read(value)).toContain(sentence));

  test('a hostile key changes nothing outside the file', () => {
    read('{"__proto__": {"polluted": true}}');
    expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
  });
});

test('the JSON Schema names every document and every option with its reason', () => {
  const schema = jsonSchema() as { $defs: Record<string, object> };
  expect(Object.keys(schema.$defs).sort()).toEqual([
    'cutList',
    'design',
    'hands',
    'layout',
    'plan',
    'project',
    'rescue',
    'set',
    'setPlan',
  ]);
  const text = JSON.stringify(schema);
  for (const name of ['setting', 'opening', 'tip', 'corner']) expect(text).toContain(`"${name}":`);
  expect(text).toContain('A rounded closing flap does not catch');
});
