import { CARRIES, claimsOf, closedThickness } from '../constructions';
import { boxOf, regionArea } from '../geometry';
import { inches, mm, type Mm, type Say, type Units } from '../length';
import { several } from '../text';
import { closurePlan, glueAdvice, glueAreas, type ClosurePlan, type Made } from '../plan';
import type { Piece } from '../pattern';
import { calipersOf, type Adhesive, type Design } from '../design';

/** Something besides paper that a make takes: so many, and how large; mm. */
export interface Material {
  readonly what: string;
  readonly count: number;
  /** Of what is flat. */
  readonly size?: { readonly width: Mm; readonly height: Mm };
  /** Of a ring or a disc: across. */
  readonly across?: Mm;
  /** Of tape: its width; of cord, ribbon and tape: how much. */
  readonly wide?: Mm;
  readonly length?: Mm;
  /** Of what is spread, mm². */
  readonly area?: number;
}

/** What one copy of a design takes besides paper: what is bought, boards, rings, tape, and what its closure needs. */
export function materialsOf(made: Made, design: Design): Material[] {
  return [
    ...made.built.pieces.flatMap((piece): Material[] =>
      piece.source === 'bought' ? [{ what: piece.name, count: piece.quantity, size: faceOf(piece) }] : [],
    ),
    ...rings(made, design),
    ...taped(made),
    ...[...made.folded.stages, ...(made.folded.standing?.stages ?? [])].flatMap(({ step: { takes } }): Material[] =>
      takes === undefined ? [] : [{ what: takes, count: 1 }],
    ),
    ...closureNeeds(closurePlan(made, design)),
    ...adhesives(made, design),
  ];
}

/** What adhesives that are laid in a line are called where they are bought. */
const IN_LINES: Partial<Record<Adhesive, string>> = {
  tape: 'tape',
  'tape-runner': 'tape runner',
};

/**
 * Adhesive of every glued area: wet glue by what it is spread on, tape along the longer side, the rest by its places. Tape that a holder
 * is drawn for has its width, and stands by itself.
 */
function adhesives(made: Made, design: Design): Material[] {
  const long = new Map<Adhesive, number>();
  const drops = new Map<Adhesive, number>();
  let spread = 0;
  const chosen = new Map(glueAdvice(made, design).map(({ step, chosen: by, drawnFor }) => [step, { by, drawnFor }]));
  for (const { step, joint } of glueAreas(made)) {
    const { by, drawnFor } = chosen.get(step)!;
    const times = made.built.pieces.find(({ panels }) => panels.some(({ id }) => id === joint.panel))?.quantity ?? 1;
    if (drawnFor !== null) continue;
    if (by === 'wet-glue') spread += regionArea(joint.polygons) * times;
    else
      for (const ring of joint.polygons) {
        const { minX, maxX, minY, maxY } = boxOf(ring);
        if (IN_LINES[by]) long.set(by, (long.get(by) ?? 0) + Math.max(maxX - minX, maxY - minY) * times);
        else drops.set(by, (drops.get(by) ?? 0) + times);
      }
  }
  return [
    ...(spread > 0 ? [{ what: 'wet glue', count: 1, area: spread }] : []),
    ...[...long].map(([by, length]): Material => ({ what: IN_LINES[by]!, count: 1, length: mm(length) })),
    ...[...drops].map(([by, count]): Material => ({
      what:
        by === 'hot-glue'
          ? 'place held with hot glue'
          : by === 'hook-dot'
            ? 'dot of hook and loop'
            : `place held with ${by}`,
      count,
    })),
  ];
}

/** Some materials, those alike together, of so many copies each. */
export function materialsTogether(
  all: readonly { readonly one: Material; readonly times: number }[],
): readonly Material[] {
  const found = new Map<string, Material>();
  for (const { one, times } of all) {
    const { what, count, size, across, wide, length, area } = one;
    const key = [what, size?.width, size?.height, across, wide].map(String).join(' ');
    const counted = length === undefined && area === undefined;
    const before = found.get(key);
    found.set(key, {
      ...one,
      count: counted ? (before?.count ?? 0) + count * times : 1,
      ...(length !== undefined && { length: mm((before?.length ?? 0) + length * times) }),
      ...(area !== undefined && { area: (before?.area ?? 0) + area * times }),
    });
  }
  return [...found.values()];
}

/** What is sold by the length is bought in such steps: from memory. */
const SOLD_BY: Readonly<Record<Units, Mm>> = { mm: mm(100), in: inches(6) };

/** A material as it is bought: lengths up to what is sold. */
export const asSold = (material: Material, units: Units): Material =>
  material.length === undefined
    ? material
    : { ...material, length: mm(Math.ceil(material.length / SOLD_BY[units] - 1e-9) * SOLD_BY[units]) };

/** As large as it is sold: folded before it was bought, by its face. */
function faceOf({ panels: [face], hinges, blank }: Piece): { readonly width: Mm; readonly height: Mm } {
  if (hinges.length === 0) return blank;
  const { minX, maxX, minY, maxY } = boxOf(face!.polygon);
  return { width: mm(maxX - minX), height: mm(maxY - minY) };
}

/** What a closure takes: discs with a washer behind each, and a cord, ribbon or band. */
function closureNeeds(plan: ClosurePlan | null): Material[] {
  if (!plan || plan.trouble) return [];
  const { kind, discs, length } = plan;
  const buttons = kind === 'buttons' && discs.length > 0;
  const cord = kind === 'band' ? 'strip for the band' : kind === 'ribbon' || kind === 'bow' ? 'ribbon' : 'cord';
  return [
    ...(buttons ? [{ what: 'disc', count: discs.length, across: discs[0]!.diameter }] : []),
    ...(buttons ? [{ what: 'washer', count: discs.length }] : []),
    ...(kind === 'dot' ? [{ what: 'dot of hook and loop', count: discs.length, across: discs[0]!.diameter }] : []),
    ...(length > 0 ? [{ what: cord, count: 1, length }] : []),
  ];
}

/** Rings a book is held by: one in each hole of its guide, as large as it closes. */
function rings({ built, folded, pieces }: Made, design: Design): Material[] {
  const [book] = claimsOf(built.claims, 'leaves').filter(({ by }) => by === 'rings');
  if (!book) return [];
  const holes = pieces.flatMap(({ piece }) => piece.holes.filter(({ id }) => id.startsWith('ring')));
  const across = closedThickness(folded.finished, calipersOf(design), book) / CARRIES;
  return [{ what: 'ring', count: holes.length, across: mm(across) }];
}

/** Tape that a holder is drawn for, by its width: what of it lies on every copy of a part. */
function taped({ built, folded }: Made): Material[] {
  const long = new Map<Mm, number>();
  for (const { step, joints } of folded.stages) {
    if (step.tape === undefined) continue;
    for (const { panel, polygons } of joints) {
      const times = built.pieces.find(({ panels }) => panels.some(({ id }) => id === panel))?.quantity ?? 1;
      long.set(step.tape, (long.get(step.tape) ?? 0) + (regionArea(polygons) / step.tape) * times);
    }
  }
  return [...long].map(([wide, length]) => ({ what: 'tape', count: 1, wide, length: mm(length) }));
}

/** About how large an area is: in square centimetres, or square inches. */
const areaSaid = (area: number, units: Units): string =>
  units === 'mm' ? `about ${Math.ceil(area / 100)} cm²` : `about ${Math.ceil(area / inches(1) ** 2)} in²`;

/** So much of a material for so many copies, in words: `2 boards, 6 3/4 in × 6 3/4 in`. */
export function materialWords(material: Material, copies: number, say: Say, units: Units): string {
  const { what, count, size, across, wide, length, area } = material;
  if (area !== undefined) return `${what}, on ${areaSaid(area * copies, units)}`;
  if (length !== undefined)
    return `${say(length * copies, 'up')} of ${what}${wide === undefined ? '' : `, ${say(wide)} wide`}`;
  const measures = size
    ? `, ${say(size.width)} × ${say(size.height)}`
    : across === undefined
      ? ''
      : `, ${say(across, 'up')} ${what === 'ring' ? 'inside' : 'across'}`;
  return `${several(count * copies, what)}${measures}`;
}
