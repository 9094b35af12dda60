import {
  hingeLine,
  inView,
  layerOf,
  lapBetween,
  levelOf,
  mouthView,
  reachAcross,
  uncovered,
  visibleFrom,
  type Stack,
  type View,
} from '../fold';
import { anticlockwise, direction, dot, extent, regionArea } from '../geometry';
import { inches, mm, onGraduation, type Mm } from '../length';
import { panelOf } from '../pattern';
import { constructionOptions, type Design, type DesignInput } from './design';
import { liesOn, smallestPaperFor } from './papers';
import type { Made, Plan } from './plan';
import { scoreNumbers } from './steps';

export type Level = 'pass' | 'note' | 'warn' | 'fail';

/** A change to the design that would cure a problem; one of the construction's own brings its label. */
export type Remedy = { readonly change: DesignChange } & (
  | { readonly code: 'cure'; readonly label: string }
  | { readonly code: 'other_paper'; readonly name: string }
  | { readonly code: 'square_blank'; readonly side: Mm }
  | { readonly code: 'from_contents' }
);
/** Parts of a design document to lay over it; `options` are laid over one by one, undefined takes a value out. */
export type DesignChange = Partial<Omit<DesignInput, 'options' | 'construction' | 'version'>> & {
  readonly options?: Record<string, unknown>;
};

/** One thing asked of the folded shape, as data; its sentence is made in words.ts. */
export interface Check {
  readonly id: string;
  readonly level: Level;
  /** What was found and what it is held to: mm, mm² for a hole, a count for folds. */
  readonly value: number;
  readonly limit: number;
  /** Names the sentence needs: panels, edges, papers. */
  readonly about: Readonly<Record<string, string | number>>;
  readonly remedies: readonly Remedy[];
}

/** Least lap that holds with glue, mm. Common practice 1/4 in. */
const LEAST_LAP = inches(1 / 4);
/** Differences smaller than this are rounding, mm. */
const HAIR = 1e-3;
/** Uncovered specks smaller than this are rounding, mm². */
const SPECK = 0.05;
/** Paper thinner than this lets contents show and creases at a touch, mm (office paper is 0.1). From memory. */
const THIN = 0.12;
/** Paper thicker than this cracks when it is folded fast, mm (about 300 g/m² cover). From memory. */
const STIFF = 0.35;
/** Contents thicker than this make a flat envelope stand open at its corners, mm. Common practice 1/8 in. */
const THICK = inches(1 / 8);

/** Everything asked of a plan, in the order a maker would ask. */
export function checksOf(plan: Plan): Check[] {
  if (!plan.made) return [refused(plan)];
  const { made } = plan;
  return [...fitChecks(plan, made), ...foldChecks(plan, made), ...paperChecks(plan, made), ...toolChecks(plan, made)];
}

const check = (
  id: string,
  level: Level,
  value: number,
  limit: number,
  about: Check['about'] = {},
  remedies: readonly Remedy[] = [],
): Check => ({ id, level, value, limit, about, remedies });

/** What the construction itself offers against a check or a refusal. */
const curesFor = ({ construction }: Design, problem: string, limit: Mm): Remedy[] =>
  construction.cures
    .filter((cure) => cure.for === problem)
    .map(({ label, options }) => ({ code: 'cure', label, change: { options: options(limit) } }));

/** The one check of a design without a pattern: what stands in the way, and what would do. */
function refused({ refusal, design }: Plan): Check {
  const { code, value, limit } = refusal!;
  const { blank } = design;
  const square: Remedy[] =
    code === 'blank_not_square' && blank
      ? [
          {
            code: 'square_blank',
            side: limit,
            change: { blank: { width: limit, height: limit }, paper: { ...design.paper, ...blank } },
          },
        ]
      : [];
  return check(code.replaceAll('_', '-'), 'fail', value, limit, {}, [...square, ...curesFor(design, code, limit)]);
}

/** Asks the contents-first question instead: without the sheet, and without what was fixed on it. */
const fromContents = ({ construction }: Design): Remedy => ({
  code: 'from_contents',
  change: {
    blank: undefined,
    options: Object.fromEntries(
      constructionOptions(construction.name).flatMap(({ name, onPaper }) => (onPaper ? [[name, undefined]] : [])),
    ),
  },
});

function fitChecks({ design }: Plan, made: Made): Check[] {
  if (!made.fit) {
    const { width, height } = made.largest;
    const nothing = width <= HAIR || height <= HAIR;
    return [check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, { width, height })];
  }
  const { ease, insert, seat } = made.fit;
  const found = (['width', 'height'] as const).map((side) => {
    const [value, limit] = [ease[side], design.least[side]];
    const level: Level = value < -HAIR ? 'fail' : value <= HAIR || value < limit - HAIR ? 'warn' : 'pass';
    // The sheet was given with its contents: only a larger sheet helps, which is the contents-first question.
    const remedies: Remedy[] = level === 'pass' || !design.blank ? [] : [fromContents(design)];
    return check(`room-${side}`, level, value, limit, {}, remedies);
  });
  const stuck = insert ?? seat;
  return [...found, check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, { why: stuck ?? '' })];
}

function foldChecks({ design }: Plan, { built, folded, programme }: Made): Check[] {
  const { finished } = folded;
  const [cavity] = built.cavities;
  const name = (id: string): string => built.piece.panels.find((panel) => panel.id === id)?.name ?? id;
  const numbers = scoreNumbers(programme);
  /** What a maker calls whatever holds a fold: a flap, a score by its number, or the glue. */
  const holder = (id: string): string => {
    const joint = finished.joints.find((j) => j.id === id);
    if (joint) return `glue between the ${name(joint.panel)} and the ${name(joint.onto)}`;
    const number = numbers.get(id);
    return number === undefined ? `the ${name(id)}` : `score ${number}`;
  };
  const checks: Check[] = [];

  const past = pastFloor(finished, cavity.floor);
  const furthest = past.reduce((most, p) => (p.by > most.by ? p : most), { panel: '', by: 0 });
  checks.push(
    check(
      'overhang',
      furthest.by > HAIR ? 'fail' : 'pass',
      furthest.by,
      0,
      { panel: name(furthest.panel) },
      furthest.by > HAIR ? curesFor(design, 'overhang', mm(0)) : [],
    ),
  );

  if (cavity.kind === 'closed') {
    const over = finished.layers.slice(levelOf(finished, cavity.floor) + 1).map((layer) => layer.panel);
    const hole = regionArea(uncovered(finished, cavity.floor, over));
    checks.push(
      check('hole', hole > SPECK ? 'fail' : 'pass', hole, 0, {}, hole > SPECK ? curesFor(design, 'hole', mm(0)) : []),
    );
  }

  const laps = built.holds.map(([a, b]) => ({ a, b, breadth: lapBetween(finished, a, b).breadth }));
  const least = laps.reduce(
    (low, lap) => (lap.breadth < low.breadth ? lap : low),
    laps[0] ?? { a: '', b: '', breadth: Infinity },
  );
  if (laps.length > 0)
    checks.push(
      check(
        'flap-overlap',
        least.breadth <= HAIR ? 'fail' : least.breadth < LEAST_LAP - HAIR ? 'warn' : 'pass',
        least.breadth,
        LEAST_LAP,
        { a: name(least.a), b: name(least.b) },
      ),
    );

  const view = mouthView(finished, cavity);
  for (const [a, b] of built.facing) {
    const axis = facingAxis(finished, view, a);
    const value = reachAcross(finished, a, b, axis);
    const along = (axis === view.across) === (built.acrossMouth === 'width') ? 'width' : 'height';
    checks.push(
      check(`tips-${along}`, value < -HAIR ? 'note' : 'pass', value, 0, {
        a: name(a),
        b: name(b),
        meet: Math.abs(value) <= HAIR ? 1 : 0,
      }),
    );
  }

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

  if (design.thickness > THICK)
    checks.push(check('thick-contents', design.thickness > 2 * THICK ? 'warn' : 'note', design.thickness, THICK));
  return checks;
}

/** Which of the view's axes a flap reaches along: the one its shape spans from a far edge of the floor. */
function facingAxis(stack: Stack, view: View, panel: string): View['across'] {
  const line = hingeLine(
    stack,
    stack.hinges.find((h) => h.between[1] === panel)!,
  );
  const [from, to] = [inView(view, line.from), inView(view, line.to)];
  return Math.abs(to.x - from.x) > Math.abs(to.y - from.y) ? view.up : view.across;
}

/** How far each panel reaches past each straight edge of the floor panel, mm; only those that do. */
function pastFloor(stack: Stack, floor: string): { panel: string; by: number }[] {
  const base = anticlockwise(layerOf(stack, floor).polygon);
  return base.flatMap((p, i) => {
    const along = direction(p, base[(i + 1) % base.length]!);
    const outward = { x: along.y, y: -along.x };
    const rim = dot(p, outward);
    return stack.layers
      .map((layer) => ({ panel: layer.panel, by: extent(layer.polygon, outward)[1] - rim }))
      .filter(({ by }) => by > HAIR);
  });
}

function paperChecks({ design }: Plan, { built, folded, finished }: Made): Check[] {
  const { blank } = built.piece;
  const { paper } = design;
  const checks: Check[] = [];
  if (paper.width !== undefined && paper.height !== undefined) {
    const sheet = { width: paper.width, height: paper.height };
    const fits = liesOn(blank, sheet);
    const other = fits ? null : smallestPaperFor(blank);
    checks.push(
      check(
        'paper',
        fits ? 'pass' : 'fail',
        Math.max(blank.width, blank.height),
        Math.min(sheet.width, sheet.height),
        { width: sheet.width, height: sheet.height, other: other?.title ?? '' },
        other
          ? [
              {
                code: 'other_paper',
                name: other.title,
                change: { paper: { ...paper, width: other.width, height: other.height } },
              },
            ]
          : [],
      ),
    );
  }
  if (paper.caliper < THIN) checks.push(check('thin-paper', 'note', paper.caliper, THIN));
  if (paper.caliper > STIFF)
    checks.push(check('stiff-paper', 'note', paper.caliper, STIFF, { thickness: finished.thickness }));
  const view = mouthView(folded.finished, built.cavities[0]);
  if (paper.sided === 1 || paper.directional) {
    const seen = (['below', 'above'] as const).flatMap((from) => visibleFrom(folded.finished, from, view));
    const plain = seen.filter((v) => v.side === 'A');
    if (paper.sided === 1)
      checks.push(
        check('print-side', 'note', plain.length, 0, {
          panels: [...new Set(plain.map((v) => panelOf(built.piece, v.panel).name))].join(' and the '),
        }),
      );
    const front = seen[0];
    if (paper.directional && front)
      checks.push(check('print-direction', Math.abs(front.turn % 90) > 0.01 ? 'warn' : 'note', front.turn, 0));
  }
  return checks;
}

function toolChecks({ design }: Plan, { built, programme, toolFaults }: Made): Check[] {
  const { tool, graduation } = design;
  const checks: Check[] = [
    check('tool-proof', toolFaults.length > 0 ? 'fail' : 'pass', toolFaults.length, 0, {
      fault: toolFaults[0] ?? '',
      tool: tool.kind,
    }),
  ];
  const first = programme.marks.find((mark) => mark.edge === built.start.edge);
  if (tool.kind === 'envelope-board') {
    if (built.start.reference === 'ruler') checks.push(check('ruler-end', 'note', first?.at ?? 0, tool.rulerEnd));
    const longest = Math.max(0, ...programme.moves.map((move) => (move.do === 'score' ? move.length : 0)));
    if (longest > tool.grooveEnd + HAIR) checks.push(check('groove-end', 'note', longest, tool.grooveEnd));
  }
  if (tool.kind === 'scoring-board') checks.push(check('slanted-scores', 'note', 0, 0));
  const set = tool.kind === 'envelope-board' ? [first] : programme.marks;
  const off = [...set.map((mark) => mark?.at), built.piece.blank.width, built.piece.blank.height].find(
    (at) => at !== undefined && !onGraduation(at, graduation),
  );
  if (off !== undefined) checks.push(check('between-marks', 'note', off, 0));
  return checks;
}
