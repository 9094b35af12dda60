import { z } from 'zod';
import {
  area,
  difference,
  direction,
  distance,
  roundCorner,
  sideOf,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import { inches, mm, roundTo, stepOf, type Mm } from '../length';
import {
  hingeOf,
  notchTriangle,
  onEdge,
  type Edge,
  type Hinge,
  type Notch,
  type Panel,
  type Piece,
  type Trim,
} from '../pattern';
import type { AssemblyFold } from '../fold';
import type { Brief, BuildResult, Construction, Ease, FoldDecision, FoldDrag, Refusal, Start } from './construction';
import { choiceOption, lengthOption, openLengthOption } from './options';
import { bestCandidate, marksRound, wantedEase, type Candidate } from './rounding';

const options = z.strictObject({
  setting: openLengthOption(
    'Set at',
    'Where the sheet’s edge stands on the board, when the paper is given.',
    { over: 0 },
    { onPaper: true, open: 'half the sheet' },
  ),
  opening: choiceOption('Opening', 'Which side the contents go in by. The long side is the usual envelope.', [
    'long',
    'short',
  ]),
  tip: choiceOption('Tip of the closing flap', 'Left as it comes, cut off blunt, or folded back and glued.', [
    'point',
    'blunt',
    'folded',
  ]),
  tipDepth: lengthOption('Depth of the tip', 'How much of the tip is cut off or folded back.', inches(1 / 2), {
    over: 0,
  }),
  corner: lengthOption(
    'Corner radius',
    'A rounded closing flap does not catch or fray; 0 leaves it sharp.',
    inches(1 / 4),
    { least: 0 },
  ),
  flaps: choiceOption('Long flaps', 'Trimmed flaps stop inside the far fold where whole ones would stick out.', [
    'whole',
    'trimmed',
  ]),
});
type Options = z.output<typeof options>;

/** A trimmed flap stops this far inside the fold it reaches for, mm. Common practice 1/16 in. */
const TRIM_CLEARANCE = inches(1 / 16);

/** The four numbers that fix the pattern: side of the blank, true setting, notch; `a` and `b` follow. */
interface Layout {
  readonly side: Mm;
  readonly setting: Mm;
  readonly notch: Mm;
  readonly start: Start;
}

/**
 * Envelope from one square sheet by four diagonal folds and four notches. With setting `p`, notch `n` and side
 * `L`: `a = p − n/2`, `b = L − p − n/2`; the folds `x − y = ±a` and `x + y = L ± b` enclose `√2·a × √2·b` and
 * their corners are the notch tips (derivation: intersect the lines). Checked by folding, never by this.
 */
function build(brief: Brief<Options>): BuildResult {
  const layout = brief.blank ? fromPaper(brief) : fromContents(brief);
  if ('code' in layout) return { ok: false, refusal: layout };
  return draw({ ...layout, side: tidy(layout.side), setting: tidy(layout.setting) }, brief);
}

/** Takes rounding noise off a sum of marks: to a nanometre. */
const tidy = (length: Mm): Mm => mm(Math.round(length * 1e6) / 1e6);

/** Paper first: the sheet as given, set where told or at half its side (as the board's ruler reads it). */
function fromPaper({ blank, making, options }: Brief<Options>): Layout | Refusal {
  const { width, height } = blank!;
  if (Math.abs(width - height) > 1e-6)
    return { code: 'blank_not_square', value: mm(Math.max(width, height)), limit: mm(Math.min(width, height)) };
  const { notch } = making;
  if (width <= 2 * notch) return { code: 'notch_off_sheet', value: width, limit: mm(2 * notch) };
  const setting = mm((options.setting ?? width / 2) + making.offset);
  if (setting <= notch / 2 || setting >= width - notch / 2)
    return {
      code: 'setting_off_sheet',
      value: options.setting ?? setting,
      limit: setting <= notch / 2 ? mm(notch / 2 - making.offset) : mm(width - notch / 2 - making.offset),
    };
  return { side: width, setting, notch, start: reading(making, setting, mm(width - setting)) };
}

/** Which edge's setting the board's ruler can show; measured on the sheet when it shows neither. */
function reading({ rulerEnd, offset }: Brief['making'], p: Mm, q: Mm): Start {
  const shows = (position: number): boolean =>
    rulerEnd !== null && position - offset <= rulerEnd + 1e-6 && position - offset > 0;
  if (shows(p)) return { edge: 1, reference: 'board' };
  if (shows(q)) return { edge: 2, reference: 'board' };
  return { edge: p <= q ? 1 : 2, reference: 'ruler' };
}

/** Contents first: the blank and setting on the graduation that come nearest the ease aimed for. */
function fromContents({ contents, aim, least, making }: Brief<Options>): Layout | Refusal {
  const { graduation, notch, offset } = making;
  const need = { width: contents!.width + contents!.thickness, height: contents!.height + contents!.thickness };
  const easeOf = (a: number, b: number): Ease => ({
    width: mm(Math.SQRT2 * a - need.width),
    height: mm(Math.SQRT2 * b - need.height),
  });
  const wanted = wantedEase(aim, least);
  const [a, b] = [(need.width + wanted.width) / Math.SQRT2, (need.height + wanted.height) / Math.SQRT2];
  const [p, q] = [a + notch / 2, b + notch / 2];

  if (making.rulerEnd === null) {
    const pick = bestCandidate(
      pairs(marksRound(a, graduation), marksRound(b, graduation), (first, second) => ({
        ease: easeOf(first, second),
        sheet: first + second + notch,
      })),
      aim,
      least,
    )!;
    return {
      side: mm(pick.sheet),
      setting: mm(pick.first + notch / 2),
      notch,
      start: { edge: pick.first <= pick.second ? 1 : 2, reference: 'ruler' },
    };
  }
  const onBoard = (edge: 1 | 2, shift: number): Layout => {
    const [ideal, other] = edge === 1 ? [p, q] : [q, p];
    const pick = bestCandidate(
      pairs(marksRound(ideal, graduation, shift), marksRound(ideal + other, graduation), (first, sheet) => {
        const [here, there] = edge === 1 ? [first, sheet - first] : [sheet - first, first];
        return { ease: easeOf(here - notch / 2, there - notch / 2), sheet };
      }),
      aim,
      least,
    )!;
    const setting = edge === 1 ? pick.first : pick.second - pick.first;
    return { side: mm(pick.second), setting: mm(setting), notch, start: { edge, reference: 'board' } };
  };
  for (const edge of [1, 2] as const) {
    const layout = onBoard(edge, offset);
    const start = reading(making, layout.setting, mm(layout.side - layout.setting));
    if (start.edge === edge && start.reference === 'board') return layout;
  }
  const measured = onBoard(p <= q ? 1 : 2, 0);
  return { ...measured, start: { ...measured.start, reference: 'ruler' } };
}

function* pairs(
  firsts: readonly number[],
  seconds: readonly number[],
  of: (first: number, second: number) => Pick<Candidate, 'ease' | 'sheet'>,
): Generator<Candidate> {
  for (const first of firsts) for (const second of seconds) yield { first, second, ...of(first, second) };
}

/** Draws panels, notches and hinges for a layout, and says how it is folded. */
function draw({ side, setting, notch, start }: Layout, { options, making }: Brief<Options>): BuildResult {
  const blank = { width: side, height: side };
  const notches = ([1, 2, 3, 4] as const).map((edge): Notch => ({
    id: `n${edge}`,
    edge,
    at: edge % 2 === 1 ? setting : mm(side - setting),
    length: notch,
  }));
  const cut = notches.map((n) => notchTriangle(blank, n));
  const tips = cut.map(([, tip]) => tip);
  // Flap k stands on the fold between the tips of notches k and k + 1, round the sheet's corner between them.
  const corner = ([1, 2, 3, 4] as Edge[]).map((edge) => onEdge(blank, edge, side));
  const house = (k: number): Polygon<'sheet'> => [
    tips[k]!,
    cut[k]![2],
    corner[k]!,
    cut[(k + 1) % 4]![0],
    tips[(k + 1) % 4]!,
  ];
  const foldLength = (k: number): number => distance(tips[k]!, tips[(k + 1) % 4]!);

  // Flaps 0 and 2 stand on the sides that run along the contents' height, 1 and 3 on those along its width.
  const evenAreLong = foldLength(0) >= foldLength(1) - 1e-9;
  const closesEven = (options.opening === 'long') === evenAreLong;
  const [bottom, closing, side1, side2] = closesEven ? [0, 2, 1, 3] : [1, 3, 0, 2];
  const long = evenAreLong ? [0, 2] : [1, 3];

  const role = new Map([
    [bottom, 'bottom'],
    [closing, 'closing'],
    [side1, 'side-1'],
    [side2, 'side-2'],
  ] as const);
  const title: Record<string, string> = {
    bottom: 'bottom flap',
    closing: 'closing flap',
    'side-1': 'first side flap',
    'side-2': 'second side flap',
    tip: 'tip',
  };

  const flaps: Panel[] = [];
  const trims: Trim[] = [];
  const hinges: Hinge[] = [];
  let tip: Panel | null = null;
  for (const k of [side1, side2, bottom, closing] as const) {
    const id = role.get(k)!;
    const fold = { from: tips[k]!, to: tips[(k + 1) % 4]! };
    const straighten = (shape: Polygon<'sheet'>, line: Segment<'sheet'>, name: string): Polygon<'sheet'> => {
      const left = cutBack(shape, line);
      const off = cutBack(shape, reversed(line));
      if (off.length > 2 && area(off) > 1e-6)
        trims.push({ id: `trim-${id}`, name, polygon: off, cut: { kind: 'straight', line: onRim(off, line) } });
      return left;
    };
    const cornerDepth = -sideOf(fold, corner[k]!);
    let shape = house(k);
    if (options.flaps === 'trimmed' && long.includes(k)) {
      const reach = foldLength((k + 1) % 4) - TRIM_CLEARANCE;
      shape = straighten(
        shape,
        parallel(fold, cornerDepth - measurable(cornerDepth - reach, 'up', making)),
        `end of the ${title[id]}`,
      );
    }
    const pointed = shape.length === 5;
    if (k === closing && options.tip !== 'point' && pointed) {
      const most = foldLength(k) / 2;
      const depth = measurable(options.tipDepth, 'nearest', making);
      if (depth > most - 1e-6 || depth <= 0)
        return { ok: false, refusal: { code: 'tip_too_deep', value: options.tipDepth, limit: mm(most) } };
      const line = parallel(fold, cornerDepth - depth);
      if (options.tip === 'folded') {
        tip = { id: 'tip', name: title.tip!, polygon: cutBack(shape, reversed(line)) };
        shape = cutBack(shape, line);
        hinges.push({
          id: 's-tip',
          between: ['closing', 'tip'],
          line: onRim(shape, line),
          fold: 'valley',
          angle: 180,
          order: 0,
        });
      } else shape = straighten(shape, line, 'tip of the closing flap');
    }
    if (k === closing && options.corner > 0 && !tip) {
      const rounded = roundFree(shape, fold, options.corner);
      if ('limit' in rounded)
        return { ok: false, refusal: { code: 'corner_too_round', value: options.corner, limit: rounded.limit } };
      difference([shape], [rounded.polygon]).forEach((polygon, i) =>
        trims.push({
          id: `round-${i + 1}`,
          name: 'corner of the closing flap',
          polygon,
          cut: { kind: 'rounded', radius: options.corner },
        }),
      );
      shape = rounded.polygon;
    }
    flaps.push({ id, name: title[id]!, polygon: shape });
    hinges.push({ id: `s-${id}`, between: ['body', id], line: fold, fold: 'valley', angle: 180, order: 0 });
  }
  const body: Panel = { id: 'body', name: 'body', polygon: tips };
  const folded = tip !== null;
  const ordered = [...hinges]
    .sort((x, y) => foldOrder(x.id) - foldOrder(y.id))
    .map((hinge, i): Hinge => ({ ...hinge, order: i + 1 }));
  const piece: Piece = {
    name: 'envelope',
    quantity: 1,
    blank,
    panels: [body, ...flaps, ...(tip ? [tip] : [])],
    hinges: ordered,
    notches,
    trims,
  };
  const folds: AssemblyFold[] = [
    ...(folded
      ? [
          {
            id: 'fold-tip',
            name: 'Fold the tip of the closing flap back',
            hinges: ['s-tip'],
            moving: ['tip'],
            gluedTo: ['closing'],
          },
        ]
      : []),
    { id: 'fold-side-1', name: 'Fold the first side flap over', hinges: ['s-side-1'], moving: ['side-1'] },
    { id: 'fold-side-2', name: 'Fold the second side flap over', hinges: ['s-side-2'], moving: ['side-2'] },
    {
      id: 'fold-bottom',
      name: 'Fold the bottom flap up onto the side flaps',
      hinges: ['s-bottom'],
      moving: ['bottom'],
      gluedTo: ['side-1', 'side-2'],
    },
    {
      id: 'close',
      name: 'Fold the closing flap down',
      hinges: ['s-closing'],
      moving: folded ? ['closing', 'tip'] : ['closing'],
      gluedTo: ['side-1', 'side-2', 'bottom'],
      closes: true,
    },
  ];
  return {
    ok: true,
    built: {
      piece,
      folds,
      cavities: [
        {
          id: 'envelope',
          kind: 'closed',
          floor: 'body',
          roof: ['side-1', 'side-2', 'bottom'],
          mouth: { from: tips[closing]!, to: tips[(closing + 1) % 4]! },
          insertAfter: 'fold-bottom',
          share: 1,
        },
      ],
      acrossMouth: closing % 2 === 0 ? 'height' : 'width',
      start,
      holds: [
        ['bottom', 'side-1'],
        ['bottom', 'side-2'],
        ['closing', 'side-1'],
        ['closing', 'side-2'],
      ],
      facing: [
        ['side-1', 'side-2'],
        ['bottom', 'closing'],
      ],
    },
  };
}

const FOLD_ORDER = ['s-tip', 's-side-1', 's-side-2', 's-bottom', 's-closing'];
const foldOrder = (hinge: string): number => FOLD_ORDER.indexOf(hinge);

/** The line `depth` mm outside a fold (on its right), drawn alike. */
function parallel(fold: Segment<'sheet'>, depth: number): Segment<'sheet'> {
  const along = direction(fold.from, fold.to);
  const move = (p: Point<'sheet'>): Point<'sheet'> => ({ x: p.x + along.y * depth, y: p.y - along.x * depth });
  return { from: move(fold.from), to: move(fold.to) };
}

const reversed = (line: Segment<'sheet'>): Segment<'sheet'> => ({ from: line.to, to: line.from });

/** A depth from a sheet's corner towards its middle whose line meets the edges on marks, so that it can be measured. */
const measurable = (depth: number, way: 'up' | 'nearest', { graduation }: Brief['making']): number =>
  roundTo(mm(Math.max(depth, 0) * Math.SQRT2), graduation, way) / Math.SQRT2;

/** The part of a polygon on the left of a line. */
function cutBack(polygon: Polygon<'sheet'>, line: Segment<'sheet'>): Polygon<'sheet'> {
  const kept: Point<'sheet'>[] = [];
  polygon.forEach((p, i) => {
    const q = polygon[(i + 1) % polygon.length]!;
    const [here, there] = [sideOf(line, p), sideOf(line, q)];
    if (here >= -1e-9) kept.push(p);
    if ((here > 1e-9 && there < -1e-9) || (here < -1e-9 && there > 1e-9)) {
      const t = here / (here - there);
      kept.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
    }
  });
  return kept;
}

/** The stretch of a line that runs along a polygon's rim. */
function onRim(polygon: Polygon<'sheet'>, line: Segment<'sheet'>): Segment<'sheet'> {
  const ends = polygon.filter((p) => Math.abs(sideOf(line, p)) < 1e-6);
  return { from: ends[0]!, to: ends.at(-1)! };
}

/** Rounds the corners at the outer end of a flap: those that stand away from the fold's own square ends. */
function roundFree(
  shape: Polygon<'sheet'>,
  fold: Segment<'sheet'>,
  radius: Mm,
): { polygon: Polygon<'sheet'> } | { limit: Mm } {
  const depth = shape.map((p) => -sideOf(fold, p));
  const most = Math.max(...depth);
  const outer = shape.map((_, i) => i).filter((i) => depth[i]! > most - 1e-6);
  // Each corner may use all of the edge it does not share, half of one it does.
  const limit = Math.min(
    ...outer.map((i) => {
      const [before, after] = [(i + shape.length - 1) % shape.length, (i + 1) % shape.length];
      const room = [before, after].map((j) => distance(shape[i]!, shape[j]!) * (outer.includes(j) ? 0.5 : 1));
      const [u, v] = [direction(shape[i]!, shape[before]!), direction(shape[i]!, shape[after]!)];
      return Math.min(...room) * Math.tan(Math.acos(Math.max(-1, Math.min(1, u.x * v.x + u.y * v.y))) / 2);
    }),
  );
  if (radius > limit + 1e-9) return { limit: mm(limit) };
  let polygon = shape;
  for (const i of [...outer].sort((x, y) => y - x)) polygon = roundCorner(polygon, i, radius);
  return { polygon };
}

/**
 * A pair of folds stands `W/2` from the middle, so a fold pulled out by `outward` widens the inside by twice that;
 * on a given sheet it moves the setting by `√2·outward`, towards the far end for the folds that bound the width.
 */
function dragFold({ hinge, outward, built, inside, brief }: FoldDrag<Options>): FoldDecision {
  const line = hingeOf(built.piece, hinge).line;
  const bounds = (line.to.x - line.from.x) * (line.to.y - line.from.y) > 0 ? 'width' : 'height';
  if (brief.contents) {
    const need = {
      width: brief.contents.width + brief.contents.thickness,
      height: brief.contents.height + brief.contents.thickness,
    };
    const room = (side: 'width' | 'height'): Mm =>
      mm(Math.max(0, inside[side] + (side === bounds ? 2 * outward : 0) - need[side]));
    return { aim: { width: room('width'), height: room('height') } };
  }
  const { graduation, offset, notch } = brief.making;
  const now = built.piece.notches[0]!.at;
  const asked = now + (bounds === 'width' ? 1 : -1) * Math.SQRT2 * outward;
  const step = stepOf(graduation) || 1;
  const [least, most] = [notch / 2 + step, built.piece.blank.width - notch / 2 - step];
  return { options: { setting: roundTo(mm(Math.min(Math.max(asked, least), most) - offset), graduation, 'nearest') } };
}

export const diagonalEnvelope: Construction<Options> = {
  name: 'diagonal-envelope',
  title: 'Envelope from a square',
  purpose: 'Any flat card, from one square sheet folded corner to corner on an envelope board or by hand.',
  options,
  ease: {
    aim: { width: inches(1 / 4), height: inches(1 / 4) },
    least: { width: inches(1 / 16), height: inches(1 / 16) },
  },
  idle: ({ tip }) => [...(tip === 'point' ? ['tipDepth'] : []), ...(tip === 'folded' ? ['corner'] : [])],
  build,
  dragFold,
  schools: [
    {
      option: 'opening',
      value: 'long',
      title: 'Opens on the long side',
      why: 'The usual envelope: the card slides in sideways past a wide flap.',
    },
    {
      option: 'opening',
      value: 'short',
      title: 'Opens on the short side',
      why: 'Holds a card that is pulled out often; the deep pocket keeps it.',
    },
    { option: 'tip', value: 'point', title: 'Pointed flap', why: 'Nothing to cut; a rounded tip does not catch.' },
    { option: 'tip', value: 'blunt', title: 'Blunt flap', why: 'Leaves more of the back plain for a seal or a label.' },
    {
      option: 'tip',
      value: 'folded',
      title: 'Tip folded back',
      why: 'A stiff, straight double edge. The outside of the paper shows there only while the flap is open.',
    },
    { option: 'flaps', value: 'whole', title: 'Long flaps whole', why: 'Covers most, and nothing to trim.' },
    {
      option: 'flaps',
      value: 'trimmed',
      title: 'Long flaps trimmed',
      why: 'Stops them just inside the far fold, where whole ones might stick out.',
    },
  ],
  cures: [
    { for: 'overhang', label: 'Trim the flaps', options: () => ({ flaps: 'trimmed' }) },
    { for: 'hole', label: 'Leave the flaps whole', options: () => ({ flaps: 'whole', tip: 'point' }) },
    { for: 'setting_off_sheet', label: 'Set it in the middle', options: () => ({ setting: undefined }) },
    { for: 'corner_too_round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    { for: 'tip_too_deep', label: 'Take less off', options: (limit) => ({ tipDepth: limit / 2 }) },
  ],
  advice: [
    {
      mistake: 'Gluing the bottom flap all over.',
      instead: 'Glue only where it lies on the side flaps, or the pocket is sealed.',
    },
    {
      mistake: 'Turning the sheet the other way half-way round.',
      instead: 'Always a quarter turn clockwise; the score just made meets the pointer.',
    },
    {
      mistake: 'Measuring the card and forgetting what is stuck on it.',
      instead: 'Measure at the thickest place; thickness takes room both ways.',
    },
    {
      mistake: 'A long thin card in a square sheet.',
      instead: 'The long flaps reach past the far fold: trim them there, or use a rectangular blank.',
    },
  ],
};
