/** What boxes of all kinds share: how deep they are, what lines them, and how a lid comes to lie on them. */
import type { AssemblySet } from '../../fold';
import { TOLERANCE, type Segment } from '../../geometry';
import { inches, mm, roundTo, stepOf, type Mm } from '../../length';
import { drawPiece, LEAST, rect, type Piece } from '../../pattern';
import { middleOf, segment, setDown } from '../shared/building';
import { onFineMark } from '../shared/cures';
import type { Brief, Cure } from '../shared/construction';
import { lengthOption, openLengthOption } from '../shared/options';
import { onMark, usual } from '../shared/sizing';

/** Depth from a given sheet when neither contents nor maker tell one, mm. Common practice 1 in. */
const USUAL_DEPTH = inches(1);
/** A liner is smaller than its floor by this each way. Common practice 1/16 to 1/8 in. */
export const LINER = inches(1 / 8);

export const depthOption = () =>
  openLengthOption(
    'Depth',
    'How tall the walls stand; from the contents’ thickness when left open.',
    { over: 0, most: 300 },
    { open: 'the contents’ thickness' },
  );
export const leastDepthOption = () =>
  lengthOption(
    'Never shallower than',
    'Lower walls are hardly worth folding, however thin the contents. Common practice 1/2 in.',
    inches(1 / 2),
    { least: 0, most: 300 },
    { limit: true },
  );

/** How deep a box is: as told, or the first mark over what is in it, and never shallower than is worth folding. */
export const depthFor = (
  brief: Brief,
  { depth, leastDepth }: { readonly depth?: Mm | undefined; readonly leastDepth: Mm },
): Mm =>
  depth ??
  (brief.blank && brief.thickness === 0 && !brief.contents
    ? usual(USUAL_DEPTH, brief)
    : mm(Math.max(onMark(Math.max(leastDepth, TOLERANCE.length), brief, 'up'), over(brief))));

/** The first mark over the contents: as deep as they are thick leaves no room. */
export function over(brief: Brief): Mm {
  if (brief.deep === 0) return mm(0);
  const marked = onMark(brief.deep, brief, 'up');
  const spare = marked - brief.deep;
  return spare > TOLERANCE.folded ? marked : mm(marked + (stepOf(brief.making.graduation) || JUST));
}

/** Room over contents where lengths are exact, mm. From memory. */
const JUST = 0.5;

/** A sheet that lies loose on a floor, or is glued there. */
export const linerPiece = (width: number, height: number): Piece =>
  drawPiece({
    name: 'liner',
    blank: { width: mm(width), height: mm(height) },
    panels: [{ id: 'liner', name: 'liner', polygon: rect(0, 0, width, height) }],
    folds: [],
  });

/** Lays the liner on the middle of a floor. */
export const layLiner = (floor: string, across: Segment<'sheet'>, width: number, height: number): AssemblySet =>
  setDown('lay-liner', 'Glue the liner on the floor', {
    panel: 'liner',
    onto: floor,
    line: segment(0, height / 2, width, height / 2),
    on: middleOf(across, width),
    over: false,
    above: mm(0),
    joins: [{ panel: 'liner', onto: floor, face: 'inside' }],
  });

/** Lowers the lid over the box until it rests on the rim. */
export const putLidOn = (
  lid: { readonly floor: string; readonly across: Segment<'sheet'> },
  box: { readonly floor: string; readonly across: Segment<'sheet'> },
  depth: Mm,
): AssemblySet =>
  setDown('lid-on', 'Put the lid on', {
    panel: lid.floor,
    onto: box.floor,
    line: lid.across,
    on: middleOf(box.across, Math.hypot(lid.across.to.x - lid.across.from.x, lid.across.to.y - lid.across.from.y)),
    over: true,
    above: depth,
    closes: true,
  });

/** What mends walls too low to fold or to glue. */
export const SHALLOW_CURES: readonly Cure[] = (['narrow-part', 'glue-strip'] as const).map((problem) => ({
  for: problem,
  label: 'As deep as is worth folding',
  options: () => ({ depth: undefined, leastDepth: undefined }),
}));

/** What mends a lid that does not go on: as much more as it lacks, to the next fine mark. */
export const lidCures = (rate = 1): readonly Cure[] =>
  (['lid-width', 'lid-height'] as const).map((check) => ({
    for: check,
    label: 'Make the lid larger',
    options: (needed, _, { graduation }) => ({
      lidAllowance: onFineMark(needed / rate, graduation),
      ...(rate === 1 ? { lidDirections: 'both' } : {}),
    }),
  }));

/** Walls that still fold by hand, mm. */
const LOWEST = LEAST.folded.warns;

/** What mends a box that is exactly as deep as its contents, or less: as deep as they are, or the next mark above. */
export const deeperCures = (label: string): readonly Cure[] => [
  { for: 'room-depth', label, options: (_, { depth }) => (depth === undefined ? null : { depth: undefined }) },
  {
    for: 'loose',
    id: 'depth',
    label: 'Lower walls',
    options: (over, _, { thickness, graduation }) => {
      const step = stepOf(graduation) || 1;
      const depth = Math.max(roundTo(mm(thickness + step), graduation, 'up'), roundTo(LOWEST, graduation, 'up'));
      return depth < thickness + over - step ? { depth: mm(depth) } : null;
    },
  },
  {
    for: 'room-depth',
    label: 'A mark deeper',
    options: (_, now, { thickness, graduation }) => ({
      depth: roundTo(mm(thickness + (stepOf(graduation) || 1)), graduation, 'up'),
    }),
  },
];
