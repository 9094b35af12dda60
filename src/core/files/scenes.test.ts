/**
 * One scene, many files: for every holder what an SVG, a DXF and a PDF draw of the folded thing is the scene’s, within
 * 0.01 mm; read back by svgson, dxf-parser and pdf.js. (Flat pieces: files.test.ts; screen and space: tests/renderers.test.tsx.)
 */
import { PDFDocument, popGraphicsState, pushGraphicsState } from '@cantoo/pdf-lib';
import DxfParser from 'dxf-parser';
import { parseSync } from 'svgson';
import { readPdf } from '../../../tests/helpers/printed';
import { expectSame, nodesOf, paperRings, ringsOfPath, someOf, WITHIN } from '../../../tests/helpers/scenes';
import { CONSTRUCTIONS } from '../constructions';
import type { Point } from '../geometry';
import { pictureOf } from '../looks';
import { sheetDxf } from './dxf';
import { POINT, sheetLines } from './pdf';
import { sheetSvg } from './svg';

describe.each(CONSTRUCTIONS.map(({ name }) => [name]))('%s', (construction) => {
  const { made } = someOf(construction);
  const scene = pictureOf(made);

  test('folded as SVG and as DXF: read with svgson and dxf-parser', () => {
    const { minX, minY, maxY } = scene.box;
    const cut = nodesOf(parseSync(sheetSvg([scene], 'x'))).find(({ attributes }) => attributes.id === 'cut')!;
    expectSame(
      cut.children
        .flatMap(({ attributes }) => ringsOfPath(attributes.d!))
        .map((ring) => ring.map(({ x, y }) => ({ x: x + minX, y: maxY - y }))),
      paperRings(scene),
    );
    const { entities } = new DxfParser().parseSync(sheetDxf([scene]))!;
    const rings = (entities as unknown as { layer: string; vertices: Point[] }[]).filter(
      ({ layer }) => layer === 'CUT',
    );
    expectSame(
      rings.map(({ vertices }) => vertices.map(({ x, y }) => ({ x: x + minX, y: y + minY }))),
      paperRings(scene),
    );
  });

  test('folded as PDF: read with pdf.js', async () => {
    const pdf = await PDFDocument.create({ updateMetadata: false });
    const page = pdf.addPage([2000, 2000]);
    const at = (p: Point): readonly [number, number] => [
      (p.x - scene.box.minX) * POINT,
      (p.y - scene.box.minY) * POINT,
    ];
    page.pushOperators(pushGraphicsState(), ...sheetLines(scene, at), popGraphicsState());
    const [read] = await readPdf(await pdf.save());
    const ends = read!.lines.flatMap(([x1, y1, x2, y2]) => [
      { x: x1, y: y1 },
      { x: x2, y: y2 },
    ]);
    for (const ring of paperRings(scene))
      for (const p of ring) {
        const [x, y] = at(p);
        expect(Math.min(...ends.map((end) => Math.hypot(end.x - x, end.y - y)))).toBeLessThan(WITHIN * POINT);
      }
  });
});
