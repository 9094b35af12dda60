/**
 * What stands: the whole answer (plan, pose, checks), the pose alone with all its watching for paper that passes
 * through paper, and one picture of the moving view, beside three.js working out no more than the matrices of the same
 * panels at the same five-degree looks. three.js neither finds what moves nor sees what meets: it is the floor.
 */
import { ONCE, usually } from './few';
import { Matrix4, Object3D, Vector3 } from 'three';
import { Bench, type BenchOptions } from 'tinybench';
import { CONSTRUCTIONS } from '../src/core/constructions';
import { assemble } from '../src/core/fold';
import { checksOf } from '../src/core/checks';
import { momentsOf, seenAt } from '../src/core/looks';
import { planFor } from '../src/core/plan';
import { readDesign } from '../src/core/design';

/** A picture of a moving view may take so long, ms: 60 a second. */
const FRAME = 1000 / 60;
const LOOK = 5;

const bench = new Bench(usually<BenchOptions>({ time: 1500, warmupTime: 500 }, ONCE));
const names: string[] = [];
for (const { name } of CONSTRUCTIONS) {
  // A pile of cards; a board is thinner.
  const thickness = name === 'cover-board' ? '1/8 in' : '3/4 in';
  const read = readDesign({ version: 1, construction: name, contents: { width: '3 in', height: '4 in', thickness } });
  if (!read.ok) throw new Error(`the design for ${name} must be sound: ${JSON.stringify(read.issues)}`);
  const { made } = planFor(read.design);
  const raised = made?.folded.standing;
  if (!made || !raised) continue;
  names.push(name);
  const moments = momentsOf(made, read.design);
  const turns = raised.stages.flatMap(({ motions }) =>
    motions.flatMap((motion) =>
      motion.kind === 'turn' ? [{ ...motion, looks: Math.ceil(Math.abs((motion.angle * 180) / Math.PI) / LOOK) }] : [],
    ),
  );
  const objects = raised.finished.leaves.map(() => Object.assign(new Object3D(), { matrixAutoUpdate: false }));
  bench.add(`${name} whole`, () => void checksOf(planFor(read.design)));
  bench.add(`${name} pose`, () => void assemble(made.built.pieces, made.built.assembly));
  bench.add(`${name} picture`, () => void seenAt(moments[Math.floor(moments.length / 2)]!, 0.5));
  bench.add(`${name} three`, () => {
    for (const { line, angle, looks } of turns) {
      const [from, to] = [line.from, line.to].map(({ x, y, z }) => new Vector3(x, y, z)) as [Vector3, Vector3];
      const axis = to.sub(from).normalize();
      for (let look = 1; look <= looks; look++) {
        const turn = new Matrix4()
          .makeTranslation(from)
          .multiply(new Matrix4().makeRotationAxis(axis, (angle * look) / looks))
          .multiply(new Matrix4().makeTranslation(from.clone().negate()));
        for (const object of objects) {
          object.matrix.copy(turn);
          object.updateMatrixWorld(true);
        }
      }
    }
  });
}
void bench.run().then(() => {
  const median = (task: string): number => {
    const found = bench.tasks.find((t) => t.name === task)!;
    if (found.result.state !== 'completed') throw new Error(`${task} did not run`);
    return found.result.latency.p50;
  };
  for (const name of names) {
    const [whole, pose, picture, three] = ['whole', 'pose', 'picture', 'three'].map((kind) =>
      median(`${name} ${kind}`),
    ) as [number, number, number, number];
    console.log(
      `${name}: plan, pose and checks ${whole.toFixed(1)} ms; pose ${pose.toFixed(1)} ms, ${(pose / three).toFixed(0)} times three.js’s bare matrices; one picture of the moving view ${picture.toFixed(2)} ms, ${(picture / FRAME).toFixed(2)} of a frame`,
    );
  }
});
