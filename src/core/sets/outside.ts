import type { Contents } from '../constructions';
import { inches, mm, type Mm } from '../length';
import { addedOutside, closurePlan, type Made } from '../plan';
import type { Closure, Design } from '../design';
import type { HeldPart } from './set';

/** How large a thing is from the outside with what it holds, mm: thickness at its thickest place. */
export interface Outside {
  readonly width: Mm;
  readonly height: Mm;
  readonly thickness: Mm;
}

/**
 * What a closure adds to the thickness at its place, mm: a knot, two discs with their washers, a dot of hook and loop.
 * From memory.
 */
const BULGE: Record<Closure, Mm> = {
  none: mm(0),
  tuck: mm(0),
  band: mm(0.5),
  ribbon: mm(1),
  laced: mm(2),
  cord: mm(3),
  bow: mm(3),
  dot: mm(2),
  buttons: inches(1 / 8),
};

/**
 * The outside of what was made with `holds` mm of contents in it: what lies flat is as thick as its paper and they are, what
 * stands as it is. Of what was measured as it came out, as it was measured; of what is given, its own size, what it holds and its layers.
 */
export function outsideOf(made: Made, design: Design, given: Outside | null, holds: number): Outside {
  const { width, height, thickness } = made.finished;
  if (given) {
    const layers = addedOutside(made.layers.map(({ layer }) => layer));
    return { width: given.width, height: given.height, thickness: mm(given.thickness + holds + layers) };
  }
  const shut = closurePlan(made, design);
  const bulge = shut && !shut.trouble ? BULGE[shut.kind] : 0;
  const filled = made.folded.standing ? 0 : holds - design.thickness;
  return { width, height, ...design.measured, thickness: mm(thickness + bulge + filled) };
}

/** How some things lie in what holds them: so many of one outside. */
export type Lying = Pick<HeldPart, 'count' | 'lie' | 'turn'>;

/**
 * The room several like things take together, each as large as it is, along the axes of what holds them: one on the other they
 * are as thick as all, side by side as wide as all. On edge they are a stack that stands: in what holds things on edge by
 * itself its thickness, on a floor (`onFloor`) it is turned up.
 */
export function together(
  { lie, turn }: Pick<HeldPart, 'lie' | 'turn'>,
  all: readonly Outside[],
  onFloor: boolean,
): Contents {
  const own = all.map(({ width, height, thickness }) =>
    turn ? { width: height, height: width, thickness } : { width, height, thickness },
  );
  const most = (side: keyof Outside): Mm => mm(Math.max(...own.map((one) => one[side])));
  const sum = (side: keyof Outside): Mm => mm(own.reduce((so, one) => so + one[side], 0));
  switch (lie) {
    case 'stacked':
      return { width: most('width'), height: most('height'), thickness: sum('thickness') };
    case 'beside':
      return { width: sum('width'), height: most('height'), thickness: most('thickness') };
    case 'on-edge':
      return onFloor
        ? { width: most('width'), height: sum('thickness'), thickness: most('height') }
        : { width: most('width'), height: most('height'), thickness: sum('thickness') };
  }
}

/** So many of one outside. */
export const alike = (count: number, one: Outside): readonly Outside[] => Array.from({ length: count }, () => one);

/** Several kinds of things in one room, each lying on the others. */
export const onEachOther = (all: readonly Contents[]): Contents => ({
  width: mm(Math.max(0, ...all.map(({ width }) => width))),
  height: mm(Math.max(0, ...all.map(({ height }) => height))),
  thickness: mm(all.reduce((sum, { thickness }) => sum + thickness, 0)),
});

/** The most one of several like things may measure for all of them to take a room: the other way round. */
export function eachOf({ count, lie, turn }: Lying, room: Contents): { readonly width: Mm; readonly height: Mm } {
  const width = lie === 'beside' ? mm(room.width / count) : room.width;
  return turn ? { width: room.height, height: width } : { width, height: room.height };
}
