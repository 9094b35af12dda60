import { z } from '../../text/zod';
import { TOLERANCE, type Polygon, type Segment } from '../../geometry';
import { inches, mm, stepOf } from '../../length';
import { drawPiece, isSquare, ring, type Piece, type Trim } from '../../pattern';
import { built, EASE, basePiece, place, refuse, segment } from '../shared/building';
import { partCure } from '../shared/cures';
import { PLAIN, type Brief, type BuildResult, type Construction, type Refusal } from '../shared/construction';
import { otherHalf, rounded } from '../shared/corners';
import { lengthOption } from '../shared/options';
import { onMark, tooLarge } from '../shared/sizing';

const options = z.strictObject({
  reveal: lengthOption('Reveal', 'The border of the flap that shows all round.', inches(1 / 8), { least: 0 }),
  cornerRadius: lengthOption(
    'Corner radius',
    'Rounded corners keep the mat inside the flap’s blunt ones.',
    inches(1 / 4),
    { least: 0 },
    { madeWith: 'corner rounder' },
  ),
});
type Options = z.output<typeof options>;

/** A pointed flap and its mat: half of a square cut corner to corner, and the other half kept for a second flap. */
export interface PointedMat {
  readonly mat: Piece;
  /** The flap, its fold along the near edge from 0 to its base. */
  readonly flap: Polygon<'sheet'>;
  /** The mat’s long edge on its own sheet, and where it lies on the flap. */
  readonly line: Segment<'sheet'>;
  readonly on: Segment<'sheet'>;
}

/** The flap a mat is for, mm: its fold and its depth; or (`square`) the square that the mat is cut from. */
export interface MatFor {
  readonly base: number;
  readonly depth: number;
  readonly square: number | null;
}

const shorteningOf = (reveal: number): number => reveal * (2 + Math.SQRT2);

/**
 * A mat for a house-shaped or triangular flap that closes at 45°. A reveal `r` takes `r(2 + √2)` off the legs, since the
 * inset triangle's incircle is `r` smaller.
 * @param kept whether the other half is for this thing too, or to spare
 */
export function pointedMat(
  { base, depth, square }: MatFor,
  { reveal: r, cornerRadius }: Options,
  brief: Brief,
  [name, second]: readonly [mat: string, second: string],
  kept: NonNullable<Trim['kept']> = 'spare',
): PointedMat | Refusal {
  const s = square ?? onMark(base / Math.SQRT2 - shorteningOf(r), brief, 'down');
  if (s <= 0)
    return tooLarge('reveal', 'reveal', r, (base / Math.SQRT2 - stepOf(brief.making.graduation)) / (2 + Math.SQRT2));
  // A house rises square before it closes; a flap cut blunt stops short of its tip.
  const shoulder = Math.max(0, depth - base / 2);
  const flap = ring(
    [0, 0],
    [base, 0],
    ...(shoulder > 0 ? [[base, shoulder] as const] : []),
    ...(depth < base / 2
      ? ([
          [base - depth, depth],
          [depth, depth],
        ] as const)
      : ([[base / 2, depth]] as const)),
    ...(shoulder > 0 ? [[0, shoulder] as const] : []),
  );
  const rise = s / Math.SQRT2;
  const allowed = depth - shoulder - 2 * r;
  // A rounded tip stops short by itself; only what stands out past that is cut off blunt.
  const past = rise - allowed;
  const blunt = past > cornerRadius * (Math.SQRT2 - 1) + TOLERANCE.length && depth < base / 2 ? Math.SQRT2 * past : 0;
  if (blunt >= s) return tooLarge('reveal', 'reveal', r, depth / 3);
  const straight: Polygon<'sheet'> =
    blunt > 0 ? ring([blunt, 0], [s, 0], [0, s], [0, blunt]) : ring([0, 0], [s, 0], [0, s]);
  const corners = straight.map((_, i) => i);
  const id = name.replaceAll(' ', '-');
  const round = rounded(straight, corners, cornerRadius, `round-${id}`, name);
  if ('limit' in round) return { code: 'corner-too-round', value: cornerRadius, limit: round.limit };
  const trims: Trim[] = [
    otherHalf(id, second, s, kept),
    ...(blunt > 0
      ? [
          {
            id: `tip-${id}`,
            name: `tip of the ${name}`,
            polygon: ring([0, 0], [blunt, 0], [0, blunt]),
            cut: {
              kind: 'path' as const,
              path: [
                { x: 0, y: blunt },
                { x: blunt, y: 0 },
              ],
            },
          },
        ]
      : []),
    ...round.trims,
  ];
  const h0 = shoulder + r;
  return {
    mat: drawPiece({
      name,
      blank: { width: mm(s), height: mm(s) },
      panels: [{ id, name, polygon: round.polygon }],
      folds: [],
      trims,
    }),
    flap,
    line: segment(s, 0, 0, s),
    on: segment(base / 2 - rise, h0, base / 2 + rise, h0),
  };
}

/** Contents: the flap’s fold and its depth. */
function build(brief: Brief<Options>): BuildResult {
  const { contents, blank } = brief;
  if (blank && !isSquare(blank))
    return refuse({
      code: 'blank-not-square',
      value: mm(Math.max(blank.width, blank.height)),
      limit: mm(Math.min(blank.width, blank.height)),
    });
  const base = blank ? (blank.width + shorteningOf(brief.options.reveal)) * Math.SQRT2 : contents!.width;
  const depth = contents ? contents.height : base / 2;
  const drawn = pointedMat({ base, depth, square: blank?.width ?? null }, brief.options, brief, ['mat', 'second mat']);
  if ('code' in drawn) return refuse(drawn);
  return built({
    ...PLAIN,
    pieces: [
      { ...drawn.mat, blank: blank ?? drawn.mat.blank },
      basePiece('flap', 'flap', { width: mm(base), height: mm(Math.max(depth, 1)) }, drawn.flap),
    ],
    assembly: [
      place('lay-mat', 'Lay the mat on the flap, the same border all round', {
        panel: 'mat',
        onto: 'flap',
        line: drawn.line,
        on: drawn.on,
        over: false,
        level: 'top',
        gluedTo: ['flap'],
      }),
    ],
    claims: [{ kind: 'reveal', pairs: [['mat', 'flap']] }],
    front: 'above',
  });
}

export const flapMat: Construction<Options> = {
  name: 'flap-mat',
  does: 'decorates',
  title: 'Mat for a pointed flap',
  purpose: 'Lines an envelope’s flap; a square cut corner to corner gives two.',
  options,
  ease: EASE.none,
  idle: () => [],
  build,
  schools: [],
  cures: [
    partCure('reveal'),
    { for: 'corner-too-round', label: 'Make it fit', options: (limit) => ({ cornerRadius: Math.floor(limit) }) },
  ],
  advice: [
    {
      mistake: 'Taking the reveal off the legs once.',
      instead: 'An even border r shortens the legs by r(2 + √2), about three and a half times as much.',
    },
  ],
  sources: ['inset of a right isosceles triangle by its incircle (derivation)'],
};
