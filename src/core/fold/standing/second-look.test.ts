/**
 * What stands, looked at a second time by three.js (0.187): its ray caster finds the walls of every room, what passes
 * through what, and which paper is nearest to the viewer. It knows triangles and rays, and none of our formulas.
 */
import fc from 'fast-check';
import { runs } from '../../../../tests/helpers/runs';
import { DoubleSide, Mesh, MeshBasicMaterial, Raycaster, Shape, ShapeGeometry, Matrix4, Vector3 } from 'three';
import { contentsFirst, planOf } from '../../../../tests/helpers/designs';
import { stillOf } from '../../../../tests/helpers/scenes';
import { CONSTRUCTIONS } from '../../constructions';
import { cross3, LYING, seenFrom, turnedAbout, type Point, type Pose, type Vec } from '../../geometry';
import { rect } from '../../pattern';
import type { BoxCavity } from '..';
import { carriedLeaf, leafOf, passThrough, roomAxes, type Leaf } from '.';

const STANDS = CONSTRUCTIONS.filter(({ name }) =>
  ['tray-box', 'diagonal-box', 'pad-holder', 'folio', 'desk-file', 'cover-board'].includes(name),
);
const vector = ({ x, y, z }: Vec): Vector3 => new Vector3(x, y, z);

/** A panel as three.js has it: triangles where its pose carries them. */
function meshOf({ panel, pose }: Leaf): Mesh {
  const shape = new Shape();
  panel.polygon.forEach(({ x, y }, i) => (i === 0 ? shape.moveTo(x, y) : shape.lineTo(x, y)));
  const mesh = new Mesh(new ShapeGeometry(shape), new MeshBasicMaterial({ side: DoubleSide }));
  mesh.matrixAutoUpdate = false;
  mesh.matrix = new Matrix4()
    .makeBasis(vector(pose.x), vector(pose.y), vector(pose.normal))
    .setPosition(pose.o.x, pose.o.y, pose.o.z);
  mesh.updateMatrixWorld(true);
  mesh.name = panel.id;
  return mesh;
}

describe.each(STANDS.map((c) => [c.name, c] as const))('%s', (_, construction) => {
  test('from the middle of the room the walls are where the inside says', () => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const { made } = planOf(input);
        fc.pre(made !== null && made.inside.depth > 1);
        held++;
        const { finished } = made!.folded.standing!;
        const room = made!.built.cavities[0] as BoxCavity;
        const axes = roomAxes(finished, room);
        // A step to the side, so that no ray runs along a seam where two tabs meet in the middle of a wall.
        const up = room.onEdge ? made!.inside.height : made!.inside.depth;
        const from = vector(axes.o)
          .addScaledVector(vector(axes.normal), Math.min(up, made!.inside.depth, 8) * 0.37)
          .addScaledVector(vector(axes.x), made!.inside.width * 0.031)
          .addScaledVector(vector(axes.y), 0.017);
        const meshes = finished.leaves.map(meshOf);
        const away = (direction: Vec, sign: 1 | -1): number =>
          new Raycaster(from, vector(direction).multiplyScalar(sign)).intersectObjects(meshes)[0]?.distance ?? Infinity;
        const wide = away(axes.x, 1) + away(axes.x, -1);
        // What is open at its sides, as a cover is, has no walls there.
        if (Number.isFinite(wide)) expect(wide).toBeGreaterThan(made!.inside.width - 1e-4);
        const deep = away(axes.y, 1) + away(axes.y, -1);
        const across = room.onEdge ? made!.inside.depth : made!.inside.height;
        if (Number.isFinite(deep)) expect(deep).toBeGreaterThan(across - 1e-4);
        if (['tray-box', 'diagonal-box'].includes(construction.name)) {
          expect(wide).toBeCloseTo(made!.inside.width, 4);
          expect(deep).toBeCloseTo(across, 4);
        }
        // Down to the floor it is as far as it was raised.
        expect(away(axes.normal, -1)).toBeCloseTo(Math.min(up, made!.inside.depth, 8) * 0.37, 6);
      }),
      runs(8),
    );
    expect(held).toBeGreaterThan(0);
  });

  test('a still picture shows, wherever one looks, the paper that a ray from the viewer meets first', () => {
    fc.assert(
      fc.property(contentsFirst(construction), fc.integer({ min: 1, max: 1000 }), (input, seed) => {
        const { made } = planOf(input);
        fc.pre(made !== null);
        const { finished } = made!.folded.standing!;
        const faces = stillOf(finished.leaves, finished.touches);
        const meshes = finished.leaves.map(meshOf);
        const view = viewOf(faces, finished.leaves);
        const drawn = faces.flatMap(({ points }) => points);
        const [x0, x1] = [Math.min(...drawn.map((p) => p.x)), Math.max(...drawn.map((p) => p.x))];
        const [y0, y1] = [Math.min(...drawn.map((p) => p.y)), Math.max(...drawn.map((p) => p.y))];
        let [wrong, looked] = [0, 0];
        for (let i = 0; i < 60; i++) {
          // Spread evenly: multiples of the two plastic ratios, from memory.
          const [u, v] = [(0.7548776662 * i + 0.013 * seed) % 1, (0.569840291 * i + 0.007 * seed) % 1];
          const p = { x: x0 + (x1 - x0) * u, y: y0 + (y1 - y0) * v };
          const shown = [...faces].reverse().find(({ points }) => contains(points, p));
          const hits = new Raycaster(view.from(p), view.towards).intersectObjects(meshes);
          if (!shown || hits.length === 0) continue;
          looked++;
          // Paper that lies on paper is as near as what it lies on.
          const first = hits[0]!.distance;
          const near = hits.filter(({ distance }) => distance < first + 0.05).map(({ object }) => object.name);
          if (!near.includes(shown.panel)) wrong++;
        }
        expect(looked).toBeGreaterThan(10);
        // Panels that hide each other in a ring cannot all be drawn right by any order; there are few.
        expect(wrong / looked).toBeLessThan(0.04);
      }),
      runs(8),
    );
  });
});

/** Where a point of the picture lies in space, far out towards the viewer: worked out from three corners of two faces. */
function viewOf(faces: ReturnType<typeof stillOf>, leaves: readonly Leaf[]) {
  // right·p = x and up·p = y for every corner: a small least-squares fit finds both directions.
  const rows = faces.flatMap(({ panel, points }) => {
    const { corners } = leafOf({ leaves }, panel);
    return corners.map((corner, i) => ({ corner, point: points[i]! }));
  });
  const solve = (of: 'x' | 'y'): Vector3 => {
    const m = new Matrix4().set(0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 1);
    const b = new Vector3();
    const e = m.elements;
    for (const { corner: c, point } of rows) {
      const v = [c.x, c.y, c.z];
      for (let i = 0; i < 3; i++) for (let k = 0; k < 3; k++) e[i * 4 + k]! += v[i]! * v[k]!;
      b.addScaledVector(vector(c), point[of]);
    }
    return b.applyMatrix4(m.clone().invert());
  };
  const [right, up] = [solve('x'), solve('y')];
  const out = right.clone().cross(up).normalize();
  return {
    towards: out.clone().negate(),
    from: (p: { x: number; y: number }): Vector3 =>
      right.clone().multiplyScalar(p.x).addScaledVector(up, p.y).addScaledVector(out, 5000),
  };
}

function contains(ring: readonly Point[], p: { readonly x: number; readonly y: number }): boolean {
  return ring.reduce((inside, a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    return a.y > p.y !== b.y > p.y && p.x < a.x + ((p.y - a.y) / (b.y - a.y)) * (b.x - a.x) ? !inside : inside;
  }, false);
}

test('two sheets pass through each other just when an edge of one pierces the other', () => {
  const length = fc.double({ min: -18, max: 18, noNaN: true });
  const spot = fc.record({ x: length, y: length, z: length });
  const sheet = fc
    .record({
      axis: spot,
      angle: fc.double({ min: 0.1, max: 3, noNaN: true }),
      o: spot,
      long: fc.integer({ min: 10, max: 60 }),
    })
    .filter(({ axis }) => Math.hypot(axis.x, axis.y, axis.z) > 1)
    .map(({ axis, angle, o, long }): Leaf => {
      const turned: Pose = turnedAbout({ from: { x: 0, y: 0, z: 0 }, to: axis }, angle)(LYING);
      const panel = { id: `${long}`, name: 'sheet', polygon: rect(0, 0, long, 30) };
      const flat: Leaf = { piece: 'p', panel, pose: LYING, corners: [], box: [o, o] };
      return carriedLeaf(flat, () => ({ ...turned, o }));
    });
  /** How far some edge of `a` runs through `b`, well clear of its own ends and of the rim of the other. */
  const pierces = (a: Leaf, b: Leaf): 'yes' | 'no' | 'close' => {
    const mesh = meshOf(b);
    let close = false;
    for (const [i, corner] of a.corners.entries()) {
      const [from, to] = [vector(corner), vector(a.corners[(i + 1) % a.corners.length]!)];
      const along = to.clone().sub(from);
      const reach = along.length();
      const [hit] = new Raycaster(from, along.normalize(), 0, reach).intersectObject(mesh);
      if (!hit) {
        // Right on the rim the other library may just miss: where the edge meets the plane that near, nothing is said.
        const [before, after] = [from, to].map((end) => seenFrom(b.pose, end)) as [Vec, Vec];
        const share = before.z / (before.z - after.z);
        const at = { x: before.x + share * (after.x - before.x), y: before.y + share * (after.y - before.y) };
        if (share > -0.1 && share < 1.1 && contains(grown(b.panel.polygon), at)) close = true;
        continue;
      }
      const off = [from, to].map((end) => Math.abs(seenFrom(b.pose, end).z));
      const { x, y } = seenFrom(b.pose, hit.point);
      const [, , { x: long, y: high }] = b.panel.polygon as unknown as [Point, Point, Point];
      // A rim that stands off the other sheet by a hair, because they lie nearly in one plane, only touches it.
      const rims = b.corners.map((end) => seenFrom(a.pose, end).z);
      if (Math.min(...off, x, y, long - x, high - y, Math.max(...rims), -Math.min(...rims)) > 0.1) return 'yes';
      close = true;
    }
    return close ? 'close' : 'no';
  };
  /** A sheet a tenth of a millimetre larger all round. */
  const grown = (polygon: Leaf['panel']['polygon']): Point[] => {
    const { x, y } = polygon[2]!;
    return [
      { x: -0.1, y: -0.1 },
      { x: x + 0.1, y: -0.1 },
      { x: x + 0.1, y: y + 0.1 },
      { x: -0.1, y: y + 0.1 },
    ];
  };
  let [through, beside] = [0, 0];
  fc.assert(
    fc.property(sheet, sheet, (a, b) => {
      const flat = cross3(a.pose.normal, b.pose.normal);
      fc.pre(Math.hypot(flat.x, flat.y, flat.z) > 0.05);
      const found = [pierces(a, b), pierces(b, a)];
      if (found.includes('yes')) {
        through++;
        expect(passThrough(a, b)).toBe(true);
      } else if (!found.includes('close')) {
        beside++;
        expect(passThrough(a, b)).toBe(false);
      }
    }),
    runs(1500),
  );
  expect(Math.min(through, beside)).toBeGreaterThan(runs(50).numRuns);
});
