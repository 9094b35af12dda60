/**
 * One scene, many renderers: for every holder what a picture on the screen and the view in space draw is the scene’s, within
 * 0.01 mm; read back by svgson and three’s own matrices. (Files: src/core/files/scenes.test.ts.)
 */
import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync } from 'svgson';
import { ShapeUtils, Triangle, Vector2, Vector3, type BufferGeometry, type LineSegments, type Mesh } from 'three';
import { CONSTRUCTIONS } from '@/core/constructions';
import { posed, type Point } from '@/core/geometry';
import { momentsOf, pictureOf, seenAt, sheetPicture } from '@/core/looks';
import { basePieces } from '@/core/plan';
import { linesOf, marksOf, spaceScene, STYLE, type DrawStyle, type Scene } from '@/core/scene';
import { groupOf, matrixOf } from '@/ui/space/SpaceDrawing';
import { SceneDrawn, sightOf } from '@/ui/draw/SceneDrawn';
import { expectSame, nodesOf, paperRings, ringsOfPath, someOf, WITHIN } from './helpers/scenes';

/** Area of all triangles of a flat geometry. */
function trianglesOf(geometry: BufferGeometry): number {
  const places = geometry.getAttribute('position');
  const index = geometry.getIndex()!;
  let sum = 0;
  for (let i = 0; i < index.count; i += 3)
    sum += new Triangle()
      .setFromAttributeAndIndices(places, index.getX(i), index.getX(i + 1), index.getX(i + 2))
      .getArea();
  return sum;
}

describe.each(CONSTRUCTIONS.map(({ name }) => [name]))('%s', (construction) => {
  const { made, design } = someOf(construction);
  const scenes: readonly [string, Scene, DrawStyle][] = [
    ['flat', sheetPicture(made), STYLE.sheet],
    ['folded', pictureOf(made), made.folded.standing ? STYLE.still : STYLE.pile],
  ];

  test.each(scenes)('%s on the screen: read with svgson', (_, scene, look) => {
    const scale = 3;
    const markup = renderToStaticMarkup(
      <svg>
        <SceneDrawn scene={scene} sight={sightOf(scene, scale)} look={look} />
      </svg>,
    );
    const paths = nodesOf(parseSync(markup)).filter(({ attributes }) => attributes['data-is'] === 'paper');
    expectSame(
      paths
        .flatMap(({ attributes }) => ringsOfPath(attributes.d!))
        .map((ring) => ring.map(({ x, y }) => ({ x: x / scale + scene.box.minX, y: scene.box.maxY - y / scale }))),
      paperRings(scene),
    );
  });

  test('flat on the screen: scores, slits and holes too', () => {
    const [, scene, look] = scenes[0]!;
    const scale = 3;
    const nodes = nodesOf(
      parseSync(
        renderToStaticMarkup(
          <svg>
            <SceneDrawn scene={scene} sight={sightOf(scene, scale)} look={look} />
          </svg>,
        ),
      ),
    );
    const drawn = (...kinds: string[]) => nodes.filter(({ attributes }) => kinds.includes(attributes['data-is'] ?? ''));
    const back = ({ x, y }: Point): Point => ({ x: x / scale + scene.box.minX, y: scene.box.maxY - y / scale });
    const kinds = ['valley', 'mountain', 'slit'] as const;
    expectSame(
      drawn(...kinds).map(({ attributes }) => ringsOfPath(attributes.d!)[0]!.map(back)),
      linesOf(scene, ...kinds).map(({ points }) => points),
    );
    const holes = marksOf(scene, 'hole');
    const circles = drawn('hole').map(({ attributes: { cx, cy, r } }) => [cx, cy, r].map(Number));
    expect(circles.map(([x, y, r]) => [back({ x: x!, y: y! }), (2 * r!) / scale])).toEqual(
      holes.map(({ at, diameter }) => [
        { x: expect.closeTo(at.x, 2) as number, y: expect.closeTo(at.y, 2) as number },
        expect.closeTo(diameter, 2),
      ]),
    );
  });

  test('in space, at every moment: three’s matrices carry each rim to where the paper is', () => {
    const given = basePieces(made.built);
    for (const moment of momentsOf(made, design)) {
      const { paper, contents } = seenAt(moment, 0.6);
      const leaves = [...paper, ...contents];
      const { faces } = spaceScene({ ...moment.after, leaves }, given);
      expect(faces).toHaveLength(leaves.length);
      faces.forEach((face, i) => {
        const group = groupOf(face, { of: () => '#888888', lit: 1 });
        // What is filled is as large as the paper.
        const [filled] = group.children as Mesh<BufferGeometry>[];
        const ring = face.own[0]!.map(({ x, y }) => new Vector2(x, y));
        const area = Math.abs(ShapeUtils.area(ring));
        expect(Math.abs(trianglesOf(filled!.geometry) - area)).toBeLessThan(1e-5 * area);
        const rim = group.children.at(-1) as LineSegments<BufferGeometry>;
        const places = rim.geometry.getAttribute('position');
        const matrix = matrixOf(face.pose);
        // Lines come in pairs, a hair off the paper: the first of each is a corner.
        face.own[0]!.forEach((p, k) => {
          const seen = new Vector3(places.getX(2 * k), places.getY(2 * k), 0).applyMatrix4(matrix);
          const there = posed(leaves[i]!.pose, p);
          expect(seen.distanceTo(new Vector3(there.x, there.y, there.z))).toBeLessThan(WITHIN);
          expect(seen.distanceTo(new Vector3(...Object.values(leaves[i]!.corners[k]!)))).toBeLessThan(WITHIN);
        });
      });
    }
  });
});
