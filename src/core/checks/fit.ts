import { TOLERANCE, extent } from '../geometry';
import type { Ease } from '../constructions';
import { alongContents, type OpenCavity } from '../fit';
import { hasPanel, inView, layerOf, levelOf, mouthView, thickestPile, type BoxCavity, type FlatCavity } from '../fold';
import { inches, mm, type Mm } from '../length';
import { calipersOf, constructionOptions, type Design } from '../design';
import { type Made, type Plan, spinesOf } from '../plan';
import { check, curesFor, fromContents, type Check, type Level, type Remedy } from './check';

/** A band with more room than this falls off by itself, mm. Common practice 1/4 in. */
const SLIDES_OFF = inches(1 / 4);
/** So much more room than was aimed for, and contents rattle, mm. From memory. */
const LOOSE = inches(1 / 2);
/** So much room over contents that are thinner than it, and they tumble about in a box, mm. From memory. */
const TUMBLES = inches(1 / 4);
/** A pocket keeps what stands in it when it is at least this share of its height deep. From memory. */
const KEEPS = 1 / 3;

/** What the contents have of room. */
export function fitChecks({ design }: Plan, made: Made): Check[] {
  const [hold] = made.holds;
  if (!hold) return [];
  const { cavity, limits, opens } = hold;
  const gusset = opens === null ? [] : [gussetCheck(design, opens)];
  const inBox = cavity.kind === 'box';
  if (!made.fit) {
    const { width, height } = made.largest;
    const nothing = width <= TOLERANCE.folded || (height <= TOLERANCE.folded && !cavity.through);
    return [
      check('what-fits', nothing ? 'fail' : 'pass', Math.min(width, height), 0, {
        width,
        height,
        ...(inBox && { depth: Math.max(0, hold.inside.depth - hold.taken.depth) }),
      }),
      ...gusset,
      ...spineChecks(design, made),
    ];
  }
  const { ease, depth, insert, seat } = made.fit;
  const stuck = insert ?? seat;
  return [
    ...(['width', 'height'] as const)
      .filter((side) => limits.includes(side))
      .map((side) => roomCheck(design, side, ease)),
    ...(inBox ? [depthCheck(design, depth, cavity)] : []),
    check('goes-in', stuck ? 'fail' : 'pass', stuck ? 1 : 0, 0, {
      why: stuck,
      into: inBox ? (cavity.from ?? 'above') : 'pocket',
    }),
    ...gusset,
    ...spineChecks(design, made),
    // What is bought is as large as it is.
    ...(made.built.pieces.some(({ source }) => source === 'bought') ? [] : looseChecks(design, hold, ease)),
    ...(inBox && !cavity.onEdge ? deepChecks(design, depth) : []),
    ...gaveWay(design),
    ...(cavity.kind === 'pocket' ? shallowPocket(design, made, cavity) : []),
    ...(cavity.through && ease.width >= 0
      ? [
          check(
            'slides-off',
            ease.width > SLIDES_OFF + TOLERANCE.folded ? 'warn' : 'pass',
            ease.width,
            SLIDES_OFF,
            {},
            ease.width > SLIDES_OFF + TOLERANCE.folded && design.blank ? [fromContents(design)] : [],
          ),
        ]
      : []),
  ];
}

/** What nobody told and is shorter than usual, so that the contents go in on a given sheet. */
function gaveWay({ construction, options, told, blank }: Design): Check[] {
  return constructionOptions(construction.name).flatMap(({ name, title, fallback }) => {
    const now = (options as Record<string, unknown>)[name];
    const shorter = typeof now === 'number' && typeof fallback === 'number' && now < fallback && !told.includes(name);
    return shorter ? [check('gave-way', 'note', now, fallback, { part: title, sheet: blank !== null }, [], name)] : [];
  });
}

/** Far more room than was aimed for: of a sheet that is too large, or of a shape that the other way decides. */
function looseChecks(design: Design, { limits, cavity }: OpenCavity, ease: Ease): Check[] {
  if (cavity.through) return [];
  return (['width', 'height'] as const)
    .filter((side) => limits.includes(side) && ease[side] > design.aim[side] + LOOSE + TOLERANCE.folded)
    .map((side) => {
      const why = design.blank ? 'sheet' : 'proportions';
      const remedies =
        why === 'sheet' ? [fromContents(design)] : curesFor(design, 'loose', mm(ease[side] - design.aim[side]), side);
      return check('loose', 'warn', ease[side], design.aim[side], { side, why }, remedies, side);
    });
}

/** Over contents that are thinner than the room left over them: a note, since a box is hardly ever so deep without being told so. */
function deepChecks(design: Design, over: Mm): Check[] {
  const { thickness, blank } = design;
  if (thickness === 0 || over <= Math.max(TUMBLES, thickness) + TOLERANCE.folded) return [];
  const cures = curesFor(design, 'loose', over, 'depth');
  const remedies = blank ? [...cures, fromContents(design)] : cures;
  return [check('loose', 'note', over, thickness, { side: 'depth', why: 'walls' }, remedies, 'depth')];
}

/** What stands in a pocket that is too shallow tips out. */
function shallowPocket(design: Design, { folded, inside }: Made, cavity: FlatCavity): Check[] {
  const { finished } = folded;
  const view = mouthView(finished, cavity);
  const depths = [[cavity.floor], cavity.roof].map((panels) => {
    const [top] = extent(
      panels
        .filter((panel) => hasPanel(finished, panel))
        .flatMap((panel) => layerOf(finished, panel).polygon.map((p) => inView(view, p))),
      { x: 0, y: 1 },
    );
    return Math.max(0, top);
  });
  const contents = design.contents!;
  const tall = alongContents(cavity, contents).height;
  const deep = alongContents(cavity, inside).height - Math.max(...depths);
  return deep < KEEPS * tall - TOLERANCE.folded
    ? [
        check(
          'shallow-pocket',
          'warn',
          deep,
          KEEPS * tall,
          { tall },
          curesFor(design, 'shallow-pocket', mm(KEEPS * tall)),
        ),
      ]
    : [];
}

/** Panels of what lies flat that cross its thickness: contents, and the paper they close over. */
function spineChecks(design: Design, { built, folded }: Made): Check[] {
  return spinesOf(built, folded).flatMap(({ panel, breadth, between }) => {
    const { finished } = folded;
    const [low, high] = between.map((side) => levelOf(finished, side)).sort((a, b) => a - b) as [number, number];
    const unfolding = new Set(built.cavities.flatMap((c) => (c.kind === 'box' ? [] : (c.gusset?.flat() ?? []))));
    const crossed = finished.layers.filter(
      (layer, level) => level > low && level < high && layer.panel !== panel.id && !unfolding.has(layer.panel),
    );
    const paper = crossed.length === 0 ? 0 : thickestPile({ ...finished, layers: crossed }, calipersOf(design));
    const needs = design.thickness + paper;
    if (breadth > needs + TOLERANCE.folded) return [];
    const fail = breadth < needs - TOLERANCE.folded;
    return [
      check(
        'spine',
        fail ? 'fail' : 'warn',
        breadth,
        needs,
        { panel: panel.name },
        curesFor(design, 'spine', mm(needs)),
        panel.id,
      ),
    ];
  });
}

/** The room left one way; none at all is little where some was aimed for. */
function roomCheck(design: Design, side: 'width' | 'height', ease: Ease): Check {
  const [value, limit] = [ease[side], design.least[side]];
  const none = value <= TOLERANCE.folded && design.construction.ease.aim[side] > 0;
  const level: Level = value < -TOLERANCE.folded ? 'fail' : none || value < limit - TOLERANCE.folded ? 'warn' : 'pass';
  // The sheet was given with its contents: only a larger sheet helps, which is the contents-first question.
  const remedies: Remedy[] = level === 'pass' || !design.blank ? [] : [fromContents(design)];
  return check(`room-${side}`, level, value, limit, {}, remedies);
}

/** A box is deeper than its contents, its own layers counted; a board is wrapped tight. */
function depthCheck(design: Design, depth: Mm, { onEdge, glued }: BoxCavity): Check {
  const shallow = depth < -TOLERANCE.folded;
  // A pad that is glued in is as thick as its spine: the cover lies over it.
  const none = !shallow && depth <= TOLERANCE.folded && !glued && design.construction.ease.aim.width > 0;
  return check(
    'room-depth',
    shallow ? 'fail' : none ? 'warn' : 'pass',
    depth,
    0,
    { onEdge },
    shallow || none ? curesFor(design, 'room-depth', mm(-depth)) : [],
  );
}

/** A gusset opens as far as the contents are thick. */
function gussetCheck(design: Design, opens: Mm): Check {
  const narrow = design.thickness > opens + TOLERANCE.folded;
  return check(
    'gusset',
    narrow ? 'fail' : 'pass',
    design.thickness,
    opens,
    {},
    narrow ? curesFor(design, 'gusset', design.thickness) : [],
  );
}
