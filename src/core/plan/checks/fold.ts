import { aboveSlot, layerOf, uncovered, type Stack } from '../../fold';
import { anticlockwise, direction, dot, extent, regionArea, TOLERANCE } from '../../geometry';
import { inches, mm } from '../../length';
import { allNumbers } from '../work/numbers';
import { ownPaper, panelName, type Made, type Plan } from '../plan';
import { claimChecks } from './claims';
import { check, curesFor, type Check } from './check';

/** Contents thicker than this make a flat envelope stand open at its corners, mm. Common practice 1/8 in. */
const THICK = inches(1 / 8);

/** What the folded shape itself must hold to: nothing sticks out, no hole, laps that hold, folds that can be made. */
export function foldChecks({ design }: Plan, made: Made): Check[] {
  const { built, folded } = made;
  const { finished } = folded;
  // What stands is asked of its walls.
  const [first] = built.cavities;
  const cavity = first?.kind === 'box' ? undefined : first;
  const name = (id: string): string => panelName(built, id);
  const numbers = allNumbers(made);
  /** What a maker calls whatever holds a fold: a flap, a score by its number, or the glue. */
  const holder = (id: string): string => {
    const joint = (folded.standing?.finished ?? finished).joints.find((j) => j.id === id);
    if (joint) return `glue between the ${name(joint.panel)} and the ${name(joint.onto)}`;
    const score = numbers.get(id);
    if (!score) return `the ${name(id)}`;
    return made.pieces.length > 1 ? `score ${score.number} of the ${score.piece}` : `score ${score.number}`;
  };
  const checks: Check[] = [];
  if (cavity) {
    const past = pastFloor(ownPaper(finished, built), cavity.floor, built.proud);
    const furthest = past.reduce((most, p) => (p.by > most.by ? p : most), { panel: '', by: 0 });
    checks.push(
      check(
        'overhang',
        furthest.by > TOLERANCE.folded ? 'fail' : 'pass',
        furthest.by,
        0,
        { panel: name(furthest.panel) },
        furthest.by > TOLERANCE.folded ? curesFor(design, 'overhang', mm(0)) : [],
      ),
    );
    if (cavity.kind === 'closed') {
      const hole = regionArea(uncovered(finished, cavity.floor, [...aboveSlot(finished, cavity), ...closing(made)]));
      checks.push(
        check(
          'hole',
          hole > TOLERANCE.speck ? 'fail' : 'pass',
          hole,
          0,
          {},
          hole > TOLERANCE.speck ? curesFor(design, 'hole', mm(0)) : [],
        ),
      );
    }
  }

  checks.push(...claimChecks('pile', design, made));
  // What holds nothing has its size to show for it.
  const size = made.finished;
  if (built.cavities.length === 0)
    checks.push(check('finished-size', 'pass', size.width, 0, { width: size.width, height: size.height }));

  const problem = folded.problems[0];
  checks.push(
    check(
      'folding',
      problem ? 'fail' : 'pass',
      folded.problems.length,
      0,
      problem ? { code: problem.code, panel: name(problem.panel), by: holder(problem.by) } : {},
    ),
  );

  if (cavity && cavity.gusset === undefined && !cavity.through && design.thickness > THICK)
    checks.push(check('thick-contents', design.thickness > 2 * THICK ? 'warn' : 'note', design.thickness, THICK, {}));
  return checks;
}

/** Every panel that the closing steps bring over the contents. */
const closing = ({ folded }: Made): readonly string[] =>
  folded.stages.flatMap(({ step, moving }) => (step.closes ? moving : []));

/** How far each panel reaches past each straight edge of the floor panel, mm; only those that do. */
function pastFloor(stack: Stack, floor: string, proud: readonly string[]): { panel: string; by: number }[] {
  const base = anticlockwise(layerOf(stack, floor).polygon);
  return base.flatMap((p, i) => {
    const along = direction(p, base[(i + 1) % base.length]!);
    const outward = { x: along.y, y: -along.x };
    const rim = dot(p, outward);
    // Inside a bite or a rounded corner there is no edge to stand past.
    if (extent(base, outward)[1] > rim + TOLERANCE.folded) return [];
    return stack.layers
      .filter((layer) => !proud.includes(layer.panel))
      .map((layer) => ({ panel: layer.panel, by: extent(layer.polygon, outward)[1] - rim }))
      .filter(({ by }) => by > TOLERANCE.folded);
  });
}
