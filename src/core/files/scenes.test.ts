/**
 * One scene, many files: for every holder what an SVG, a DXF and a PDF draw is the scene’s, within 0.01 mm; read back by
 * svgson, dxf-parser and pdf.js. (The screen and space: tests/renderers.test.tsx.)
 */
import { PDFDocument, popGraphicsState, pushGraphicsState } from '@cantoo/pdf-lib';
import DxfParser from 'dxf-parser';
import { parseSync } from 'svgson';
import { readPdf } from '../../../tests/helpers/printed';
import { expectSame, nodesOf, paperRings, ringsOfPath, someOf, WITHIN } from '../../../tests/helpers/scenes';
import { CONSTRUCTIONS } from '../constructions';
import type { Point } from '../geometry';
import { pictureOf, sheetPicture } from '../looks';
import type { Scene } from '../scene';
import { sheetDxf } from './dxf';
import { POINT, sheetLines } from './pdf';
import { sheetSvg } from './svg';

describe.each(CONSTRUCTIONS.map(({ name }) => [name]))('%s', (construction) => {
  const { made } = someOf(construction);
  const scenes: readonly [string, Scene][] = [
    ['flat', sheetPicture(made)],
    ['folded', pictureOf(made)],
  ];

  test.each(scenes)('%s as SVG and as DXF: read with svgson and dxf-parser', (_, scene) => {
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

  test('flat and folded as PDF: read with pdf.js', async () => {
    const pdf = await PDFDocument.create({ updateMetadata: false });
    for (const [, scene] of scenes) {
      const page = pdf.addPage([2000, 2000]);
      const at = (p: Point): readonly [number, number] => [
        (p.x - scene.box.minX) * POINT,
        (p.y - scene.box.minY) * POINT,
      ];
      page.pushOperators(pushGraphicsState(), ...sheetLines(scene, at), popGraphicsState());
    }
    const pages = await readPdf(await pdf.save());
    scenes.forEach(([, scene], i) => {
      const drawn = new Set(
        pages[i]!.lines.flatMap(([x1, y1, x2, y2]) => [
          `${x1.toFixed(1)} ${y1.toFixed(1)}`,
          `${x2.toFixed(1)} ${y2.toFixed(1)}`,
        ]),
      );
      const ends = pages[i]!.lines.flatMap(([x1, y1, x2, y2]) => [
        { x: x1, y: y1 },
        { x: x2, y: y2 },
      ]);
      for (const ring of paperRings(scene))
        for (const p of ring) {
          const [x, y] = [(p.x - scene.box.minX) * POINT, (p.y - scene.box.minY) * POINT];
          if (drawn.has(`${x.toFixed(1)} ${y.toFixed(1)}`)) continue;
          expect(Math.min(...ends.map((end) => Math.hypot(end.x - x, end.y - y)))).toBeLessThan(WITHIN * POINT);
        }
      expect(pages[i]!.height).toBe(2000);
    });
  });
});
