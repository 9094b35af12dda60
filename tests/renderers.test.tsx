/**
 * One scene, many renderers: for every holder what a picture on the screen and the view in space draw is the scene’s, within
 * 0.01 mm; read back by svgson and three’s own matrices. (Files: src/core/files/scenes.test.ts.)
 */
import { renderToStaticMarkup } from 'react-dom/server';
import { parseSync } from 'svgson';
import { Vector3, type BufferGeometry, type LineSegments } from 'three';
import { CONSTRUCTIONS } from '@/core/constructions';
import { posed } from '@/core/geometry';
import { momentsOf, pictureOf, seenAt, sheetPicture } from '@/core/looks';
import { basePieces } from '@/core/plan';
import { spaceScene, STYLE, type DrawStyle, type Scene } from '@/core/scene';
import { groupOf, matrixOf } from '@/ui/space/SpaceDrawing';
import { SceneDrawn, sightOf } from '@/ui/draw/SceneDrawn';
import { expectSame, nodesOf, paperRings, ringsOfPath, someOf, WITHIN } from './helpers/scenes';

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

  test('in space, at every moment: three’s matrices carry each rim to where the paper is', () => {
    const given = basePieces(made.built);
    for (const moment of momentsOf(made, design)) {
      const { paper, contents } = seenAt(moment, 0.6);
      const leaves = [...paper, ...contents];
      const { faces } = spaceScene({ ...moment.after, leaves }, given);
      expect(faces).toHaveLength(leaves.length);
      faces.forEach((face, i) => {
        const group = groupOf(face, () => '#888888');
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
