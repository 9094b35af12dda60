/** Folding held against three.js (0.187): a fold of 180° is a half turn in space about the line of the fold. */
import fc from 'fast-check';
import { Matrix4, Vector3 } from 'three';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { apply, reflection, type Point, type Segment } from '../geometry';
import { layerOf } from '.';

/** Half a turn about the line through two points of the plane, as three.js makes it. */
function halfTurn({ from, to }: Segment): Matrix4 {
  const axis = new Vector3(to.x - from.x, to.y - from.y, 0).normalize();
  const there = new Matrix4().makeTranslation(from.x, from.y, 0);
  const back = new Matrix4().makeTranslation(-from.x, -from.y, 0);
  return there.multiply(new Matrix4().makeRotationAxis(axis, Math.PI)).multiply(back);
}
const carried = (matrix: Matrix4, { x, y }: Point): Vector3 => new Vector3(x, y, 0).applyMatrix4(matrix);

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

test.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))(
  '%s: every panel lands where half turns about the stated folds, one after the other, carry it',
  (_, construction) => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const { made } = planOf(input);
        if (!made) return;
        held++;
        const { pieces } = made.built;
        const hinges = pieces.flatMap((piece) => piece.hinges);
        const pose = new Map(pieces.flatMap((piece) => piece.panels).map((panel) => [panel.id, new Matrix4()]));
        const carriedLine = (panel: string, { from, to }: Segment): [Vector3, Vector3] => [
          carried(pose.get(panel)!, from),
          carried(pose.get(panel)!, to),
        ];
        for (const { step, moving } of made.folded.stages) {
          if (step.kind === 'fold') {
            const hinge = hinges.find(({ id }) => id === step.hinges[0])!;
            const [from, to] = carriedLine(hinge.between[0], hinge.line);
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
          const { map } = layerOf(made.folded.finished, panel.id);
          for (const corner of panel.polygon) {
            const [ours, theirs] = [apply(map, corner), carried(pose.get(panel.id)!, corner)];
            expect(Math.hypot(ours.x - theirs.x, ours.y - theirs.y)).toBeLessThan(1e-6);
          }
        }
      }),
      { numRuns: 40 },
    );
    expect(held).toBeGreaterThan(8);
  },
);
