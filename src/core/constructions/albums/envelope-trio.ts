import { z } from '../../text/zod';
import type { AssemblyPlace, AssemblyStep } from '../../fold';
import { direction, TOLERANCE, type Point, type Segment } from '../../geometry';
import { inches, mm, stepOf, type Mm } from '../../length';
import { LEAST, type Hinge, type Piece } from '../../pattern';
import { reversed, albumSheet } from './album';
import { built, EASE, fold, middleOf, place, refuse, segment } from '../shared/building';
import { partCure } from '../shared/cures';
import { cornerOption } from '../shared/closing-flap';
import { PLAIN, type Brief, type BuildResult, type Construction, type Refusal } from '../shared/construction';
import {
  drawSheet,
  gripsFor,
  squareLayout,
  squareOf,
  TRIM_CLEARANCE,
  type FlapStyle,
  type Square,
} from '../envelopes/diagonal';
import { pointedMat } from '../layers/flap-mat';
import { choiceOption, lengthOption, openLengthOption, yesNoOption } from '../shared/options';
import { onMark, tooLarge, usual } from '../shared/sizing';

const options = z.strictObject({
  setting: openLengthOption(
    'Set at',
    'Where the centre’s edge stands on the board, when the paper is given.',
    { over: 0 },
    { onPaper: true, open: 'half the sheet' },
  ),
  wing: openLengthOption(
    'Side of the wings’ squares',
    'The next size down from the centre’s: the wings fold in clear of its top and bottom folds.',
    { over: 0 },
    { open: '1/4 in under the centre’s' },
  ),
  wingSetting: openLengthOption(
    'Set the wings at',
    'As the centre; 1/16 to 1/8 in less makes the wings narrower, and they lie flatter.',
    { over: 0 },
    { open: 'as the centre' },
  ),
  joints: choiceOption('Joints', 'Where the flaps go that join a wing to the centre.', ['hidden', 'inside', 'flaps']),
  mats: yesNoOption('Mats', 'On the inside and outside of centre and wings, and on the closing flaps.', true),
  reveal: lengthOption('Reveal', 'The border that shows all round every mat.', inches(1 / 8), { least: 0 }),
  corner: cornerOption(inches(1 / 4)),
});
type Options = z.output<typeof options>;

/** Sizes on a chart of squares stand so far apart, mm. Common practice 1/4 to 1/2 in. */
const NEXT_SIZE = inches(1 / 4);
/** Corners of a flap’s mat, mm. Common practice 1/4 in. */
const MAT_CORNER = inches(1 / 4);

type Side = 'left' | 'right';
const SIDES: readonly Side[] = ['left', 'right'];
/** The centre’s fold a wing stands at, and the fold of the wing that comes to lie there. */
const AT: Record<Side, { readonly centre: number; readonly wing: number; readonly flap: string }> = {
  left: { centre: 2, wing: 0, flap: 'side-1' },
  right: { centre: 0, wing: 2, flap: 'side-2' },
};
const [BOTTOM, TOP] = [1, 3];

/**
 * Three envelopes from squares in a row, the wings a size smaller than the centre. Set alike they share the dimension
 * across, `√2·(p − n/2)`, and differ up and down by `√2·(L − L')`; each wing is joined at the middle of the centre's
 * side. Wing, other wing, the bottom flap and the top flap fold over what lies in the centre.
 */
function build(brief: Brief<Options>): BuildResult {
  const { options, making } = brief;
  const layout = squareLayout(brief);
  if ('code' in layout) return refuse(layout);
  const centre = squareOf(layout.side, layout.setting, layout.notch);
  const wing = wingFor(brief, layout);
  if ('code' in wing) return refuse(wing);
  const style = flapStyle(options.corner, wing.foldLength(TOP), usual(TRIM_CLEARANCE, brief));
  const body = drawSheet(
    { name: 'centre', body: 'centre', prefix: '', of: '' },
    centre,
    new Map([
      ['side-1', [AT.left.centre, 'left flap']],
      ['side-2', [AT.right.centre, 'right flap']],
      ['bottom', [BOTTOM, 'bottom flap']],
      ['closing', [TOP, 'top flap']],
    ]),
    style,
    making,
  );
  if ('code' in body) return refuse(body);
  const wings: Wing[] = [];
  for (const side of SIDES) {
    const drawn = drawWing(side, wing, brief);
    if ('code' in drawn) return refuse(drawn);
    wings.push(drawn);
  }
  const mats = options.mats ? matsFor(brief, centre, wing) : NO_MATS;
  if ('code' in mats) return refuse(mats);
  return built({
    ...PLAIN,
    pieces: [body.piece, ...wings.map(({ piece }) => piece), ...mats.pieces],
    assembly: [
      ...wings.flatMap(({ folding }) => folding),
      ...mats.wingBacks,
      ...SIDES.map((side) => joined(side, centre, wing, options.joints)),
      ...mats.others,
      ...SIDES.flatMap((side) => turnedIn(side, options.joints)),
      fold('fold-bottom', 'Fold the bottom flap up over the wings', ['s-bottom']),
      fold('close', 'Fold the top flap down', ['s-closing'], { closes: true }),
    ],
    cavities: [
      {
        id: 'centre',
        kind: 'closed',
        floor: 'body',
        roof: [...SIDES.flatMap((side) => [AT[side].flap, ...wingPanels(side)]), ...mats.onWings],
        mouth: centre.fold(TOP),
        insertAfter: mats.others.at(-1)?.id ?? 'join-right',
        covered: { floor: 1, roof: 1 },
        put: 'Lay it on the centre.',
      },
    ],
    claims: [
      {
        kind: 'laps',
        pairs: SIDES.flatMap((side): (readonly [string, string])[] => [
          [`${side}-join`, 'body'],
          ...(options.joints === 'flaps' ? [] : [[AT[side].flap, `${side}-outer`] as const]),
        ]),
      },
      { kind: 'facing', pairs: [['bottom', 'closing']] },
      { kind: 'reveal', pairs: mats.borders },
      { kind: 'creases', folds: ['turn-left', 'turn-right', 'fold-bottom', 'close'], thickness: brief.thickness },
    ],
    opensTo: mats.others.at(-1)?.id ?? 'join-right',
    start: layout.start,
    grips: gripsFor(body.piece.hinges, centre.notches[0]!.at, layout.side, brief),
  });
}

const flapStyle = (corner: Mm, longest: number, stops: Mm): FlapStyle => ({
  opening: 'long',
  tip: 'point',
  tipDepth: mm(0),
  corner,
  longDepth: (shortSide) => Math.min(shortSide, longest) - stops,
  longFlaps: 'trim',
  blunt: null,
});

/** The wings’ square; or why there is none. */
function wingFor(brief: Brief<Options>, centre: { side: Mm; setting: Mm; notch: Mm }): Square | Refusal {
  const { options, making } = brief;
  const { notch } = centre;
  const side = options.wing ?? mm(centre.side - usual(NEXT_SIZE, brief));
  if (side > centre.side) return tooLarge('wing', 'wing', side, centre.side);
  const setting = options.wingSetting === undefined ? centre.setting : mm(options.wingSetting + making.offset);
  if (setting > centre.setting + TOLERANCE.length)
    return tooLarge('wingSetting', 'wing', options.wingSetting ?? setting, centre.setting - making.offset);
  // Set so, its far part must be a fold too, and no higher than the centre’s.
  if (setting <= notch / 2 || side - setting <= notch / 2)
    return { code: 'part-too-small', value: side, limit: mm(setting + notch / 2), about: { part: 'wing' } };
  if (side - setting > centre.side - centre.setting + TOLERANCE.length)
    return tooLarge('wing', 'wing', side, centre.side - centre.setting + setting);
  return squareOf(side, setting, notch);
}

interface Wing {
  readonly piece: Piece;
  readonly folding: readonly AssemblyStep[];
}

const wingPanels = (side: Side): string[] => ['body', 'top', 'bottom', 'outer'].map((panel) => `${side}-${panel}`);

function drawWing(side: Side, square: Square, brief: Brief): Wing | Refusal {
  const { wing: join } = AT[side];
  const sheet = drawSheet(
    { name: `${side} wing`, body: `${side} wing`, prefix: `${side}-`, of: ` of the ${side} wing` },
    square,
    new Map([
      ['top', [TOP, 'top flap']],
      ['bottom', [BOTTOM, 'bottom flap']],
      ['outer', [2 - join, 'outer flap']],
      ['join', [join, 'joining flap']],
    ]),
    flapStyle(mm(0), Infinity, usual(TRIM_CLEARANCE, brief)),
    brief.making,
  );
  if ('code' in sheet) return sheet;
  const glued = ['body', 'top', 'bottom'].map((panel) => `${side}-${panel}`);
  // The joining flap stays where it is glued: at that fold the wing turns.
  const turning = ({ id, between: [a, b], ...hinge }: Hinge): Hinge => ({
    ...hinge,
    id,
    between: id === `s-${side}-join` ? [b, a] : [a, b],
  });
  return {
    piece: { ...sheet.piece, hinges: sheet.piece.hinges.map(turning) },
    folding: ['top', 'bottom', 'outer'].map((flap) =>
      fold(`fold-${side}-${flap}`, `Fold the ${flap} flap of the ${side} wing in`, [`s-${side}-${flap}`], {
        gluedTo: glued,
      }),
    ),
  };
}

/** A wing laid to the centre, fold on fold, the middle of one to the middle of the other. */
function joined(side: Side, centre: Square, wing: Square, joints: Options['joints']): AssemblyPlace {
  const { centre: k, wing: own, flap } = AT[side];
  const level = {
    hidden: 'bottom',
    inside: { above: side === 'left' ? 'body' : 'left-outer' },
    flaps: 'top',
  } as const satisfies Record<Options['joints'], AssemblyPlace['level']>;
  const [goes, onIt] = {
    hidden: ['behind the centre', true],
    inside: ['on the centre’s inside', true],
    flaps: ['on the centre’s inside', false],
  }[joints] as [string, boolean];
  return place(
    `join-${side}`,
    `Join the ${side} wing: its flap goes ${goes}${onIt ? `, the centre’s ${side} flap on the wing` : ''}, fold on fold`,
    {
      panel: `${side}-body`,
      onto: 'body',
      line: reversed(wing.fold(own)),
      on: middleOf(centre.fold(k), wing.foldLength(own)),
      over: false,
      level: level[joints],
      gluedTo: ['body', ...(side === 'right' ? ['left-join'] : []), ...(onIt ? [flap] : [])],
    },
  );
}

/** A wing folded in over the centre; a flap of the centre that is left standing folds over it. */
function turnedIn(side: Side, joints: Options['joints']): AssemblyStep[] {
  const { flap } = AT[side];
  const name = `Fold the ${side} wing in`;
  if (joints === 'flaps')
    return [
      fold(`turn-${side}`, name, [`s-${side}-join`]),
      fold(`flap-${side}`, `Fold the centre’s ${side} flap over the ${side} wing`, [`s-${flap}`]),
    ];
  return [fold(`turn-${side}`, name, [`s-${side}-join`, `s-${flap}`])];
}

interface Mats {
  readonly pieces: readonly Piece[];
  /** On the outsides of the wings, before they are joined. */
  readonly wingBacks: readonly AssemblyStep[];
  readonly others: readonly AssemblyStep[];
  /** Panels of mats that turn in with a wing. */
  readonly onWings: readonly string[];
  /** Each with the panel it lies on. */
  readonly borders: readonly (readonly [mat: string, on: string])[];
}
const NO_MATS: Mats = { pieces: [], wingBacks: [], others: [], onWings: [], borders: [] };

/** Mats on every face: panel less twice the reveal; and one for the top flap, whose square gives the bottom one’s too. */
function matsFor(brief: Brief<Options>, centre: Square, wing: Square): Mats | Refusal {
  const { reveal } = brief.options;
  const sizeOn = (square: Square): Size => ({
    width: onMark(square.foldLength(TOP) - 2 * reveal, brief, 'down'),
    height: onMark(square.foldLength(0) - 2 * reveal, brief, 'down'),
  });
  const [onCentre, onWing] = [sizeOn(centre), sizeOn(wing)];
  // The least that any of them leaves room for: faces, and the flaps' mats, which a border shortens most.
  const sides = [centre, wing].flatMap((square) => [square.foldLength(0), square.foldLength(TOP)]);
  const step = stepOf(brief.making.graduation);
  const most = Math.min(
    (Math.min(...sides) - step - LEAST.folded.fails) / 2,
    (centre.foldLength(TOP) / Math.SQRT2 - step - LEAST.folded.fails) / (2 + Math.SQRT2),
    depthOf(centre) / 4,
  );
  if (reveal > most) return tooLarge('reveal', 'reveal', reveal, most);
  const pieces: Piece[] = [];
  const borders: (readonly [string, string])[] = [];
  const laid = (id: string, name: string, size: Size, square: Square, on: string, inside: boolean, glued: string[]) => {
    pieces.push(albumSheet(id, name, size.width, size.height));
    borders.push([id, on]);
    return place(`lay-${id}`, `Glue the ${name} on, the same border all round`, {
      panel: id,
      onto: on,
      line: segment(0, 0, size.width, 0),
      on: bottomOf(square, size, inside),
      over: inside,
      level: inside ? 'top' : 'bottom',
      gluedTo: glued,
    });
  };
  const wingBacks = SIDES.map((side) =>
    laid(`${side}-back-mat`, `${side} wing’s outside mat`, onWing, wing, `${side}-body`, false, [`${side}-body`]),
  );
  const joins = SIDES.map((side) => `${side}-join`);
  const others: AssemblyStep[] = [
    laid('centre-mat', 'centre’s inside mat', onCentre, centre, 'body', true, ['body', ...joins]),
    ...SIDES.map((side) =>
      laid(`${side}-mat`, `${side} wing’s inside mat`, onWing, wing, `${side}-body`, true, [
        ...wingPanels(side),
        AT[side].flap,
      ]),
    ),
    laid('centre-back-mat', 'centre’s outside mat', onCentre, centre, 'body', false, ['body', ...joins]),
  ];
  const { foldLength, fold: foldOf } = centre;
  const line = reversed(foldOf(TOP));
  const depth = depthOf(centre);
  const flap = pointedMat(
    { base: foldLength(TOP), depth, square: null },
    { reveal, cornerRadius: mm(Math.min(MAT_CORNER, foldLength(TOP) / 16)) },
    brief,
    ['top flap’s mat', 'bottom flap’s mat'],
    'used',
  );
  if ('code' in flap) return flap;
  const along = direction(line.from, line.to);
  const at = ({ x, y }: Point<'sheet'>): Point<'sheet'> => ({
    x: line.from.x + along.x * x - along.y * y,
    y: line.from.y + along.y * x + along.x * y,
  });
  const [panel] = flap.mat.panels;
  others.push(
    place('lay-flap-mat', 'Glue the flaps’ mats on the outside of the top flap, and of the bottom flap', {
      panel: panel!.id,
      onto: 'closing',
      line: flap.line,
      on: { from: at(flap.on.from), to: at(flap.on.to) },
      over: false,
      level: 'bottom',
      gluedTo: ['closing'],
    }),
  );
  return {
    pieces: [...pieces, flap.mat],
    wingBacks,
    others,
    onWings: SIDES.map((side) => `${side}-mat`),
    borders: [...borders, [panel!.id, 'closing']],
  };
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** How deep the top flap is, from its fold to the sheet’s corner. */
const depthOf = ({ fold: foldOf, corner }: Square): number => distanceFrom(foldOf(TOP), corner[TOP]!);

/** How far a point lies off a line, mm. */
function distanceFrom({ from, to }: Segment<'sheet'>, p: Point<'sheet'>): number {
  const along = direction(from, to);
  return Math.abs((p.x - from.x) * along.y - (p.y - from.y) * along.x);
}

/** Where the near edge of a mat in the middle of a body lies; it is turned over to lie on the inside. */
function bottomOf(square: Square, { width, height }: Size, over: boolean): Segment<'sheet'> {
  const near = middleOf(square.fold(BOTTOM), width);
  const along = direction(near.from, near.to);
  const up = (square.foldLength(0) - height) / 2;
  const move = ({ x, y }: Point<'sheet'>): Point<'sheet'> => ({ x: x - along.y * up, y: y + along.x * up });
  const line = { from: move(near.from), to: move(near.to) };
  return over ? reversed(line) : line;
}

export const envelopeTrio: Construction<Options> = {
  name: 'envelope-trio',
  does: 'closes',
  title: 'Fold-out of three envelopes',
  purpose: 'A small album that folds out: a centre and two wings from three squares, each a page for photos.',
  options,
  ease: EASE.envelope,
  idle: ({ mats }) => (mats ? [] : ['reveal']),
  build,
  schools: [
    {
      option: 'joints',
      value: 'hidden',
      title: 'Flaps behind and before',
      why: 'The wing’s flap goes behind the centre, the centre’s on the wing: a mat covers either, and the joint holds on both sides.',
    },
    {
      option: 'joints',
      value: 'inside',
      title: 'Both flaps inside',
      why: 'The outside stays whole, with no paper edge on it; inside, the mats cover two edges more.',
    },
    {
      option: 'joints',
      value: 'flaps',
      title: 'Centre’s flaps left standing',
      why: 'They fold over the wings as flaps to open: one thing more to play with, and only one flap holds each wing.',
    },
  ],
  advice: [
    {
      mistake: 'A wing joined inside out.',
      instead: 'Lay all three inside up before any glue: all folded flaps look at you.',
    },
    {
      mistake: 'Three squares of one size.',
      instead: 'Wings from the next size down fold in clear of the centre’s top and bottom folds.',
    },
    {
      mistake: 'Creasing the second wing as sharply as the first.',
      instead:
        'It goes round the first one’s layers: crease it twice, a paper’s pile apart, or set the wings 1/16 in less.',
    },
  ],
  cures: [
    { for: 'setting-off-sheet', label: 'Set it in the middle', options: () => ({ setting: undefined }) },
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ corner: Math.floor(limit) }) },
    { for: 'part-too-large', id: 'wing', label: 'The next size down', options: () => ({ wing: undefined }) },
    {
      for: 'part-too-large',
      id: 'wingSetting',
      label: 'Set it as the centre',
      options: () => ({ wingSetting: undefined }),
    },
    partCure('reveal'),
    {
      for: 'part-too-small',
      label: 'The next size down',
      options: () => ({ wing: undefined, wingSetting: undefined }),
    },
  ],
  sources: [
    'squares of neighbouring sizes on a chart, 1/4 to 1/2 in apart, set alike (common practice, no source)',
    'sizes as the envelope from a square',
  ],
};
