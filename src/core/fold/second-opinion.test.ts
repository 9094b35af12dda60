/** Folding held against three.js (0.187): every fold is a turn in space about the line of the fold, by its angle. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { Matrix4, Vector3 } from 'three';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { apply, posed, reflection, turnedAbout, type Point, type Pose, type Segment, type Vec } from '../geometry';
import { leafOf, midway } from './standing';
import { hasPanel, layerOf } from '.';

/** Half a turn about the line through two points of the plane, as three.js makes it. */
function halfTurn({ from, to }: Segment): Matrix4 {
  const axis = new Vector3(to.x - from.x, to.y - from.y, 0).normalize();
  const there = new Matrix4().makeTranslation(from.x, from.y, 0);
  const back = new Matrix4().makeTranslation(-from.x, -from.y, 0);
  return there.multiply(new Matrix4().makeRotationAxis(axis, Math.PI)).multiply(back);
}
const carried = (matrix: Matrix4, { x, y }: Point): Vector3 => new Vector3(x, y, 0).applyMatrix4(matrix);

/** A pose as a matrix: its axes as columns, its origin as the move. */
function matrixOf({ x, y, normal, o }: Pose): Matrix4 {
  const axes = [x, y, normal].map((v) => new Vector3(v.x, v.y, v.z)) as [Vector3, Vector3, Vector3];
  return new Matrix4().makeBasis(...axes).setPosition(o.x, o.y, o.z);
}
/** A turn by so many radians about the line from one point to another. */
function turnAbout(from: Vector3, to: Vector3, angle: number): Matrix4 {
  const axis = to.clone().sub(from).normalize();
  return new Matrix4()
    .makeTranslation(from)
    .multiply(new Matrix4().makeRotationAxis(axis, angle))
    .multiply(new Matrix4().makeTranslation(from.clone().negate()));
}
const vector = ({ x, y, z }: Vec): Vector3 => new Vector3(x, y, z);
const away = (p: Vec, q: Vector3): number => vector(p).distanceTo(q);

const length = fc.double({ min: -300, max: 300, noNaN: true });
const point = fc.record({ x: length, y: length });

test('a reflection in the plane is three.js’s half turn about the line', () =>
  fc.assert(
    fc.property(point, point, point, (from, to, p) => {
      fc.pre(Math.hypot(to.x - from.x, to.y - from.y) > 1);
      const ours = apply(reflection({ from, to }), p);
      const theirs = carried(halfTurn({ from, to }), p);
      expect(ours.x).toBeCloseTo(theirs.x, 6);
      expect(ours.y).toBeCloseTo(theirs.y, 6);
      expect(theirs.z).toBeCloseTo(0, 6);
    }),
  ));

test('a pose turned about a line in space is three.js’s matrix of that turn', () => {
  const v = fc.record({ x: length, y: length, z: length });
  const angle = fc.double({ min: -Math.PI, max: Math.PI, noNaN: true });
  fc.assert(
    fc.property(v, v, angle, v, v, angle, point, (from, to, by, from2, to2, by2, p) => {
      fc.pre(vector(from).distanceTo(vector(to)) > 1 && vector(from2).distanceTo(vector(to2)) > 1);
      const lying = { x: { x: 1, y: 0, z: 0 }, y: { x: 0, y: 1, z: 0 }, normal: { x: 0, y: 0, z: 1 } };
      const once = turnedAbout({ from, to }, by)({ ...lying, o: { x: 0, y: 0, z: 0 } });
      const twice = turnedAbout({ from: from2, to: to2 }, by2)(once);
      const theirs = carried(
        turnAbout(vector(from2), vector(to2), by2).multiply(turnAbout(vector(from), vector(to), by)),
        p,
      );
      expect(away(posed(twice, p), theirs)).toBeLessThan(1e-6);
      expect(vector(twice.normal).dot(vector(twice.x))).toBeCloseTo(0, 9);
    }),
  );
});

const STANDS = CONSTRUCTIONS.filter(({ name }) =>
  ['tray-box', 'diagonal-box', 'pad-holder', 'folio', 'desk-file', 'cover-board'].includes(name),
);

test.each(STANDS.map((c) => [c.name, c] as const))(
  '%s: across every score the finished thing stands at the score’s own angle, and every step turns by what it says',
  (_, construction) => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const { made } = planOf(input);
        fc.pre(made !== null);
        const raised = made!.folded.standing!;
        expect(raised).not.toBeNull();
        held++;
        for (const { between, line, fold, angle } of raised.finished.hinges) {
          const [still, turned] = between.map((panel) => leafOf(raised.finished, panel)) as [
            ReturnType<typeof leafOf>,
            ReturnType<typeof leafOf>,
          ];
          // A valley brings the second panel towards the face of the first: which way round depends on its side.
          const [from, to] = [new Vector3(line.from.x, line.from.y), new Vector3(line.to.x, line.to.y)];
          const furthest = turned.panel.polygon
            .map((p) => new Vector3(p.x, p.y).sub(from))
            .map((p) => (to.x - from.x) * p.y - (to.y - from.y) * p.x)
            .reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a));
          const sign = furthest > 0 === (fold === 'valley') ? 1 : -1;
          const theirs = matrixOf(still.pose).multiply(turnAbout(from, to, (sign * angle * Math.PI) / 180));
          turned.panel.polygon.forEach((p, i) =>
            expect(away(turned.corners[i]!, carried(theirs, p))).toBeLessThan(1e-6),
          );
        }
        for (const { before, motions } of raised.stages)
          for (const share of [0.3, 1]) {
            const there = midway(before, motions, share);
            before.leaves.forEach((lay, i) => {
              const motion = motions.find(({ moving }) => moving.has(lay.panel.id));
              const matrix = !motion
                ? new Matrix4()
                : motion.kind === 'turn'
                  ? turnAbout(vector(motion.line.from), vector(motion.line.to), motion.angle * share)
                  : new Matrix4().makeTranslation(vector(motion.from).multiplyScalar(1 - share));
              lay.corners.forEach((p, k) =>
                expect(away(there[i]!.corners[k]!, vector(p).applyMatrix4(matrix))).toBeLessThan(1e-6),
              );
            });
          }
      }),
      runs(8),
    );
    expect(held).toBeGreaterThanOrEqual(runs(8).numRuns);
  },
);

test.each(CONSTRUCTIONS.filter((c) => !STANDS.includes(c)).map((c) => [c.name, c] as const))(
  '%s: every panel lands where half turns about the stated folds, one after the other, carry it',
  (_, construction) => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const { made } = planOf(input);
        fc.pre(made !== null);
        held++;
        const { pieces, folded } = { ...made!.built, folded: made!.folded };
        const hinges = pieces.flatMap((piece) => piece.hinges);
        const upright = new Set<string>();
        const pose = new Map(pieces.flatMap((piece) => piece.panels).map((panel) => [panel.id, new Matrix4()]));
        const carriedLine = (panel: string, { from, to }: Segment): [Vector3, Vector3] => [
          carried(pose.get(panel)!, from),
          carried(pose.get(panel)!, to),
        ];
        // What was folded before it was bought lies as that left it.
        for (const { step, moving } of [...folded.earlier, ...folded.stages]) {
          if (step.kind === 'fold') {
            const hinge = hinges.find(({ id }) => id === step.hinges[0])!;
            const [from, to] = carriedLine(hinge.between[0], hinge.line);
            const next = hinges.find(({ id, between }) => step.hinges.includes(id) && between[0] === hinge.between[1]);
            if (next) {
              // Round an edge: a quarter turn at either score of the strip, which then stands.
              for (const panel of moving) pose.set(panel, turnAbout(from, to, Math.PI / 2).multiply(pose.get(panel)!));
              const [a, b] = carriedLine(next.between[0], next.line);
              const same = to.clone().sub(from).dot(b.clone().sub(a)) > 0;
              const second = turnAbout(a, b, same ? Math.PI / 2 : -Math.PI / 2);
              for (const panel of moving)
                if (panel !== next.between[0]) pose.set(panel, second.clone().multiply(pose.get(panel)!));
              upright.add(next.between[0]);
              continue;
            }
            const turn = halfTurn({ from, to });
            for (const panel of moving) pose.set(panel, turn.clone().multiply(pose.get(panel)!));
            continue;
          }
          // Laid down: turned over about its own line where told, then moved so that the line lies on the other.
          const [from, to] = carriedLine(step.panel, step.line);
          const [onFrom, onTo] = carriedLine(step.onto, step.on);
          const flip = step.over ? halfTurn({ from, to }) : new Matrix4();
          const angle = Math.atan2(onTo.y - onFrom.y, onTo.x - onFrom.x) - Math.atan2(to.y - from.y, to.x - from.x);
          const laid = new Matrix4()
            .makeTranslation(onFrom.x, onFrom.y, 0)
            .multiply(new Matrix4().makeRotationZ(angle))
            .multiply(new Matrix4().makeTranslation(-from.x, -from.y, 0))
            .multiply(flip);
          for (const panel of moving) pose.set(panel, laid.clone().multiply(pose.get(panel)!));
        }
        for (const panel of pieces.flatMap((piece) => piece.panels)) {
          // Cards that go in, and guides, lie beside it.
          if (!hasPanel(folded.finished, panel.id) || upright.has(panel.id)) continue;
          const { map } = layerOf(folded.finished, panel.id);
          for (const corner of panel.polygon) {
            const [ours, theirs] = [apply(map, corner), carried(pose.get(panel.id)!, corner)];
            expect(Math.hypot(ours.x - theirs.x, ours.y - theirs.y)).toBeLessThan(1e-6);
          }
        }
      }),
      runs(10),
    );
    expect(held).toBeGreaterThanOrEqual(runs(10).numRuns);
  },
);
