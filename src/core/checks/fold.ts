import { LEAST, type PanelId, type PanelName } from '../pattern';
import { aboveSlot, layerOf, uncovered, type Stack } from '../fold';
import { anticlockwise, direction, dot, extent, intersection, leastWidth, regionArea, TOLERANCE } from '../geometry';
import { inches, mm } from '../length';
import type { Design, Closure } from '../design';
import { allNumbers, type Made, type Plan, ownPaper, panelName } from '../plan';
import { claimChecks } from './claims';
import { check, curesFor, type Check } from './check';

/** Contents thicker than this make a flat envelope stand open at its corners, mm. Common practice 1/8 in. */
const THICK = inches(1 / 8);
/** Thicker than this nothing flat closes round it, mm; nor round what is thicker than half as wide. Common practice 1/2 in. */
const LUMP = inches(1 / 2);
/** Closures that a flap must carry. */
const HELD: ReadonlySet<Closure> = new Set(['buttons', 'dot']);

/** What the folded shape itself must hold to: nothing sticks out, no hole, laps that hold, folds that can be made. */
export function foldChecks({ design }: Plan, made: Made): Check[] {
  const { built, folded } = made;
  const { finished } = folded;
  // What stands is asked of its walls.
  const [first] = built.cavities;
  const cavity = first?.kind === 'box' ? undefined : first;
  const name = (id: PanelId): PanelName => panelName(built, id);
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

  if (cavity && cavity.gusset === undefined && cavity.kind !== 'tube') checks.push(...thickChecks(design, made));
  const [around] = built.cavities;
  if (around?.kind === 'box' && around.from === 'end') {
    const { width, depth } = made.inside;
    checks.push(check('stuffed', 'note', width, depth, { flat: width + depth }));
  }
  checks.push(...closingLaps(design, made));
  return checks;
}

/** What a flat holder makes of thickness: little is told, much is too much. */
function thickChecks({ thickness, contents }: Design, { largest }: Made): Check[] {
  if (thickness <= THICK) return [];
  const { width, height } = contents ?? largest;
  const most = Math.min(LUMP, width > 0 && height > 0 ? Math.min(width, height) / 2 : LUMP);
  if (thickness > most + TOLERANCE.folded) return [check('thick-contents', 'fail', thickness, most, {})];
  return [check('thick-contents', thickness > 2 * THICK ? 'warn' : 'note', thickness, THICK, {})];
}

/** How far each flap that shuts it laps what it comes down on. */
function closingLaps(design: Design, { built, folded }: Made): Check[] {
  if (folded.standing) return [];
  const { fails, warns, held } = LEAST.closing;
  const wanted = HELD.has(design.closure.kind) ? held : warns;
  const floors = new Set(built.cavities.flatMap((c) => (c.kind === 'box' ? [] : [c.floor])));
  return folded.stages.flatMap(({ step, moving, stack }) => {
    if (!step.closes || step.kind !== 'fold') return [];
    const flaps = stack.layers.filter(({ panel }) => moving.includes(panel) && !built.proud.includes(panel));
    const under = stack.layers.filter(({ panel }) => !moving.includes(panel) && !floors.has(panel));
    if (flaps.length === 0) return [];
    const laps = flaps.flatMap((flap) =>
      under.flatMap((other) => intersection(flap.polygon, other.polygon).map((shared) => leastWidth(shared))),
    );
    const value = Math.max(0, ...laps);
    if (value >= wanted - TOLERANCE.folded) return [];
    const fail = value < fails - TOLERANCE.folded;
    const about = { panel: panelName(built, flaps[0]!.panel) };
    const limit = fail ? fails : wanted;
    return [
      check(
        'closing-lap',
        fail ? 'fail' : 'warn',
        value,
        limit,
        about,
        curesFor(design, 'closing-lap', mm(wanted - value)),
        step.id,
      ),
    ];
  });
}

/** Every panel that the closing steps bring over the contents. */
const closing = ({ folded }: Made): readonly string[] =>
  folded.stages.flatMap(({ step, moving }) => (step.closes ? moving : []));

/** How far each panel reaches past each straight edge of the floor panel, mm; only those that do. */
function pastFloor(stack: Stack, floor: string, proud: readonly PanelId[]): { panel: PanelId; by: number }[] {
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
