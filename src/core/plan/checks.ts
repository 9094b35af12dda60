import {
  aboveSlot,
  hingeLine,
  inView,
  layerOf,
  lapBetween,
  mouthView,
  reachAcross,
  uncovered,
  type Stack,
  type View,
} from '../fold';
import { anticlockwise, boxOf, direction, distance, dot, extent, regionArea, sideOf } from '../geometry';
import { inches, mm, onGraduation, type Mm } from '../length';
import { closurePlan } from './closures';
import { constructionOptions, type Design, type DesignInput } from './design';
import { glueAdvice } from './glue';
import { liesOn, smallestPaperFor } from './papers';
import { ownPaper, panelName, type Made, type Plan } from './plan';
import { printMap, turnFor, windowOnFront } from './print';
import { allNumbers } from './steps';

export type Level = 'pass' | 'note' | 'warn' | 'fail';

/** A change to the design that would cure a problem; one of the construction's own brings its label. */
export type Remedy = { readonly change: DesignChange } & (
  | { readonly code: 'cure'; readonly label: string }
  | { readonly code: 'other_paper'; readonly name: string }
  | { readonly code: 'square_blank'; readonly side: Mm }
  | { readonly code: 'from_contents' }
  | { readonly code: 'turn_blank'; readonly quarters: number }
  | { readonly code: 'back_with_mat' }
  | { readonly code: 'narrower_tape'; readonly width: Mm }
  | { readonly code: 'wet_glue' }
  | { readonly code: 'no_closure' }
);
/** Parts of a design document to lay over it; `options` are laid over one by one, undefined takes a value out, null all. */
export type DesignChange = Partial<Omit<DesignInput, 'options' | 'construction' | 'version'>> & {
  readonly construction?: string;
  readonly options?: Record<string, unknown> | null;
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
/** Plain paper that shows on less than this share of the front is no fault. From memory. */
const SEEN_SHARE = 0.1;
/** A band or a slider with more room than this falls out of itself, mm. Common practice 1/4 in. */
const LOOSE = inches(1 / 4);
/** Least room a slider moves with, mm. Common practice 1/16 in, half of it at least. */
const SLIDE_LEAST = inches(1 / 32);
/** Contents thicker than this make a flat envelope stand open at its corners, mm. Common practice 1/8 in. */
const THICK = inches(1 / 8);

/** Everything asked of a plan, in the order a maker would ask. */
export function checksOf(plan: Plan): Check[] {
  if (!plan.made) return [refused(plan)];
  const { made } = plan;
  return [
    ...fitChecks(plan, made),
    ...foldChecks(plan, made),
    ...glueChecks(plan, made),
    ...closureChecks(plan, made),
    ...paperChecks(plan, made),
    ...printChecks(plan, made),
    ...toolChecks(plan, made),
  ];
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
  const { about = {} } = refusal!;
  return check(code.replaceAll('_', '-'), 'fail', value, limit, about, [...square, ...curesFor(design, code, limit)]);
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
  const [cavity] = made.built.cavities;
  if (!cavity) return [...revealChecks(made), ...finishedCheck(made)];
  const gusset = cavity.gusset;
  const wide =
    gusset === undefined
      ? []
      : [
          check(
            'gusset',
            design.thickness > gusset + HAIR ? 'fail' : 'pass',
            design.thickness,
            gusset,
            {},
            design.thickness > gusset + HAIR ? curesFor(design, 'gusset', design.thickness) : [],
          ),
        ];
  if (!made.fit) {
    const { width, height } = made.largest;
    const nothing = width <= HAIR || (height <= HAIR && !cavity.through);
    return [check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, { width, height }), ...wide];
  }
  const { ease, insert, seat } = made.fit;
  const sides = (['width', 'height'] as const).filter((side) => !cavity.through || side === made.built.acrossMouth);
  const found = sides.map((side) => {
    const [value, limit] = [ease[side], design.least[side]];
    const level: Level = value < -HAIR ? 'fail' : value <= HAIR || value < limit - HAIR ? 'warn' : 'pass';
    // The sheet was given with its contents: only a larger sheet helps, which is the contents-first question.
    const remedies: Remedy[] = level === 'pass' || !design.blank ? [] : [fromContents(design)];
    return check(`room-${side}`, level, value, limit, {}, remedies);
  });
  const stuck = insert ?? seat;
  const slides =
    cavity.through && ease.width >= 0
      ? [check('slides-off', ease.width > LOOSE + HAIR ? 'warn' : 'pass', ease.width, LOOSE)]
      : [];
  return [
    ...found,
    check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, { why: stuck ?? '' }),
    ...wide,
    ...slides,
  ];
}

/** A mat's border on what it lies on: the least of it, all round. */
function revealChecks({ built, folded }: Made): Check[] {
  const given = built.pieces.find((piece) => piece.given);
  if (!given) return [];
  const base = folded.finished.layers.find((layer) => layer.piece === given.name)!;
  const mat = folded.finished.layers.find((layer) => layer.piece !== given.name)!;
  const rim = anticlockwise(base.polygon);
  const reveal = Math.min(
    ...rim.flatMap((from, i) => {
      const to = rim[(i + 1) % rim.length]!;
      return distance(from, to) < HAIR ? [] : mat.polygon.map((p) => sideOf({ from, to }, p));
    }),
  );
  return [check('reveal', reveal < -HAIR ? 'fail' : 'pass', reveal, 0, { on: given.name })];
}

const finishedCheck = ({ finished }: Made): Check[] => [
  check('finished-size', 'pass', finished.width, 0, { width: finished.width, height: finished.height }),
];

function foldChecks({ design }: Plan, made: Made): Check[] {
  const { built, folded } = made;
  const { finished } = folded;
  const [cavity] = built.cavities;
  const name = (id: string): string => panelName(built, id);
  const numbers = allNumbers(made);
  /** What a maker calls whatever holds a fold: a flap, a score by its number, or the glue. */
  const holder = (id: string): string => {
    const joint = finished.joints.find((j) => j.id === id);
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
        furthest.by > HAIR ? 'fail' : 'pass',
        furthest.by,
        0,
        { panel: name(furthest.panel) },
        furthest.by > HAIR ? curesFor(design, 'overhang', mm(0)) : [],
      ),
    );
    if (cavity.kind === 'closed') {
      const hole = regionArea(uncovered(finished, cavity.floor, [...aboveSlot(finished, cavity), ...closing(made)]));
      checks.push(
        check('hole', hole > SPECK ? 'fail' : 'pass', hole, 0, {}, hole > SPECK ? curesFor(design, 'hole', mm(0)) : []),
      );
    }
  }

  const laps = built.holds.map(([a, b]) => ({ a, b, breadth: lapBetween(finished, a, b).breadth }));
  const least = laps.reduce(
    (low, lap) => (lap.breadth < low.breadth ? lap : low),
    laps[0] ?? { a: '', b: '', breadth: Infinity },
  );
  if (laps.length > 0) {
    const level: Level = least.breadth <= HAIR ? 'fail' : least.breadth < LEAST_LAP - HAIR ? 'warn' : 'pass';
    checks.push(
      check(
        'flap-overlap',
        level,
        least.breadth,
        LEAST_LAP,
        { a: name(least.a), b: name(least.b) },
        level === 'pass' ? [] : curesFor(design, 'flap-overlap', LEAST_LAP),
      ),
    );
  }

  if (cavity) {
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
          closed: cavity.kind === 'closed' ? 1 : 0,
        }),
      );
    }
    for (const { panel, between } of built.slides) {
      const [channel, runner] = [between[0], panel].map((id) =>
        boxOf(layerOf(finished, id).polygon.map((p) => inView(view, p))),
      ) as [ReturnType<typeof boxOf>, ReturnType<typeof boxOf>];
      // It runs the way its channel is open: the runner's end reaches the channel's there.
      const value = channel.maxY - channel.minY - (runner.maxY - runner.minY);
      checks.push(
        check(
          `slides-${panel}`,
          value < SLIDE_LEAST - HAIR ? 'fail' : value > LOOSE + HAIR ? 'warn' : 'pass',
          value,
          SLIDE_LEAST,
          {
            panel: name(panel),
          },
        ),
      );
    }
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

  if (cavity && cavity.gusset === undefined && !cavity.through && design.thickness > THICK)
    checks.push(check('thick-contents', design.thickness > 2 * THICK ? 'warn' : 'note', design.thickness, THICK));
  return checks;
}

/** Every panel that the closing steps bring over the contents. */
const closing = ({ folded }: Made): readonly string[] =>
  folded.stages.flatMap(({ step, moving }) => (step.closes ? moving : []));

function glueChecks({ design }: Plan, made: Made): Check[] {
  return glueAdvice(made, design)
    .filter(({ trouble }) => trouble !== null)
    .map(({ step, chosen, breadth, tape, margin, trouble }) => {
      const joins = (kind: 'wet-glue' | 'tape'): DesignChange['adhesive'] => ({
        ...design.adhesive,
        joins: { ...design.adhesive.joins, [step]: kind },
      });
      const remedies: Remedy[] =
        trouble === 'too_narrow' && tape !== null && chosen === 'tape'
          ? [{ code: 'narrower_tape', width: tape, change: { adhesive: { ...design.adhesive, tape } } }]
          : trouble === 'creeps'
            ? tape === null
              ? []
              : [{ code: 'narrower_tape', width: tape, change: { adhesive: { ...joins('tape'), tape } } }]
            : [{ code: 'wet_glue', change: { adhesive: joins('wet-glue') } }];
      return check(
        `glue-${step}`,
        trouble === 'creeps' ? 'note' : 'warn',
        breadth,
        margin,
        { trouble: trouble!, chosen, tape: tape ?? 0 },
        remedies,
      );
    });
}

function closureChecks({ design }: Plan, made: Made): Check[] {
  const plan = closurePlan(made, design);
  if (!plan) return [];
  return [
    check(
      'closure',
      plan.trouble ? 'warn' : 'pass',
      plan.length,
      plan.least,
      { kind: plan.kind, trouble: plan.trouble ?? '' },
      plan.trouble ? [{ code: 'no_closure', change: { closure: { kind: 'none' } } }] : [],
    ),
  ];
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
function pastFloor(stack: Stack, floor: string, proud: readonly string[]): { panel: string; by: number }[] {
  const base = anticlockwise(layerOf(stack, floor).polygon);
  return base.flatMap((p, i) => {
    const along = direction(p, base[(i + 1) % base.length]!);
    const outward = { x: along.y, y: -along.x };
    const rim = dot(p, outward);
    // Inside a bite or a rounded corner there is no edge to stand past.
    if (extent(base, outward)[1] > rim + HAIR) return [];
    return stack.layers
      .filter((layer) => !proud.includes(layer.panel))
      .map((layer) => ({ panel: layer.panel, by: extent(layer.polygon, outward)[1] - rim }))
      .filter(({ by }) => by > HAIR);
  });
}

function paperChecks({ design }: Plan, { pieces, finished }: Made): Check[] {
  const { paper } = design;
  const checks: Check[] = [];
  if (paper.width !== undefined && paper.height !== undefined) {
    const sheet = { width: paper.width, height: paper.height };
    // Paper with a right way up is not turned to make room.
    const lies = (blank: { width: Mm; height: Mm }): boolean => {
      if (!paper.directional) return liesOn(blank, sheet);
      const [w, h] = paper.turn % 2 === 0 ? [blank.width, blank.height] : [blank.height, blank.width];
      return w <= sheet.width + HAIR && h <= sheet.height + HAIR;
    };
    const blanks = pieces.map(({ piece }) => piece.blank);
    const over = blanks.find((blank) => !lies(blank));
    const worst = over ?? blanks.reduce((a, b) => (a.width * a.height > b.width * b.height ? a : b));
    const other = over ? smallestPaperFor(over) : null;
    checks.push(
      check(
        'paper',
        over ? 'fail' : 'pass',
        Math.max(worst.width, worst.height),
        Math.min(sheet.width, sheet.height),
        {
          width: sheet.width,
          height: sheet.height,
          other: other?.title ?? '',
          blankWidth: worst.width,
          blankHeight: worst.height,
          turned: over && liesOn(over, sheet) ? 1 : 0,
        },
        other && !(over && liesOn(over, sheet))
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
  return checks;
}

/** What of the print shows, and which way up, with what would mend it. */
function printChecks({ design }: Plan, made: Made): Check[] {
  const { paper } = design;
  const checks: Check[] = [];
  const window = windowOnFront(made, design);
  if (window)
    checks.push(
      paper.window?.keep === 'avoid'
        ? check('window-avoided', window.onBlank > 0.001 ? 'warn' : 'pass', window.onBlank, 0)
        : check('window', window.share < 0.999 ? 'note' : 'pass', window.share, 1),
    );
  if (paper.sided === 2 && !paper.directional) return checks;
  const shows = printMap(made, design);
  const listed = (names: readonly string[]): string => [...new Set(names)].join(' and the ');
  if (paper.sided === 1) {
    const plain = shows.filter((s) => s.side === 'A');
    // A notch lets a little of the inside be seen, and is meant to.
    const whole = shows.reduce((sum, s) => sum + (s.face === 'front' ? s.area : 0), 0);
    const onFront = plain.filter((s) => s.face === 'front' && s.area > SEEN_SHARE * whole);
    const remedies: Remedy[] =
      onFront.length > 0 && !design.companions.includes('mat')
        ? [{ code: 'back_with_mat', change: { companions: [...design.companions, 'mat'] } }]
        : [];
    checks.push(
      check(
        'print-side',
        onFront.length > 0 ? 'warn' : 'note',
        plain.length,
        0,
        { panels: listed(plain.map((s) => s.name)) },
        remedies,
      ),
    );
  }
  const [front] = shows;
  if (paper.directional && front) {
    const turn = turnFor(front, paper.turn);
    const right = turn !== null && turn === paper.turn;
    const remedies: Remedy[] =
      turn === null || right
        ? []
        : [{ code: 'turn_blank', quarters: (turn - paper.turn + 4) % 4, change: { paper: { ...paper, turn } } }];
    checks.push(
      check(
        'print-direction',
        right ? 'pass' : 'warn',
        front.turn,
        0,
        { panel: front.name, slanted: turn === null ? 1 : 0 },
        remedies,
      ),
    );
    const wrong = shows.filter(
      (s) =>
        s.panel !== front.panel &&
        Math.abs(s.turn - front.turn) > 0.5 &&
        Math.abs(Math.abs(s.turn - front.turn) - 180) < 0.5,
    );
    if (right && wrong.length > 0)
      checks.push(check('print-upside-down', 'note', wrong.length, 0, { panels: listed(wrong.map((s) => s.name)) }));
  }
  return checks;
}

function toolChecks({ design }: Plan, { built, pieces }: Made): Check[] {
  const { tool, graduation } = design;
  const faults = pieces.flatMap(({ piece, toolFaults }) =>
    toolFaults.map((fault) => (pieces.length > 1 ? `${piece.name}: ${fault}` : fault)),
  );
  const notched = pieces.some(({ piece }) => piece.notches.length > 0);
  const checks: Check[] = [
    check('tool-proof', faults.length > 0 ? 'fail' : 'pass', faults.length, 0, {
      fault: faults[0] ?? '',
      tool: notched || tool.kind !== 'envelope-board' ? tool.kind : 'ruler',
    }),
  ];
  const [{ programme }] = pieces;
  const first = programme.marks.find((mark) => mark.edge === built.start.edge);
  if (tool.kind === 'envelope-board' && notched) {
    if (built.start.reference === 'ruler') checks.push(check('ruler-end', 'note', first?.at ?? 0, tool.rulerEnd));
    const longest = Math.max(0, ...programme.moves.map((move) => (move.do === 'score' ? move.length : 0)));
    if (longest > tool.grooveEnd + HAIR) checks.push(check('groove-end', 'note', longest, tool.grooveEnd));
  }
  if (tool.kind === 'scoring-board' && notched) checks.push(check('slanted-scores', 'note', 0, 0));
  if (tool.kind === 'scoring-board') {
    const past = pieces.flatMap((part) =>
      part.programme.marks.filter((mark) => mark.for === 'score' && mark.reference === 'ruler'),
    );
    if (!notched && past.length > 0) checks.push(check('board-end', 'note', past[0]!.at, tool.length));
  }
  const set = pieces.flatMap((part) =>
    tool.kind === 'envelope-board' && notched ? [first] : part.programme.marks.filter((mark) => mark.for === 'score'),
  );
  const off = [
    ...set.map((mark) => mark?.at),
    ...pieces.flatMap(({ piece }) => [piece.blank.width, piece.blank.height]),
  ].find((at) => at !== undefined && !onGraduation(at, graduation));
  if (off !== undefined) checks.push(check('between-marks', 'note', off, 0));
  return checks;
}
