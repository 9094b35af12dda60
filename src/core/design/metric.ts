/**
 * Defaults for a thing that is begun in millimetres. Every construction says what is usual in inches; who works in millimetres
 * says other round figures, so these are written into the design when it is begun: changing units later changes no length.
 */
import { inches, mm, type Graduation, type Mm, unitsOf } from '../length';
import { constructionOptions } from './design';

/**
 * What a workshop that works in millimetres says where one that works in inches says a usual fraction: `[inches, mm]`. Common
 * practice, no source.
 */
const SAID: readonly (readonly [number, number])[] = [
  [1 / 16, 1.5],
  [1 / 8, 3],
  [3 / 16, 5],
  [1 / 4, 6],
  [5 / 16, 8],
  [3 / 8, 10],
  [1 / 2, 12],
  [5 / 8, 16],
  [3 / 4, 20],
  [7 / 8, 22],
  [1, 25],
];
/** Beyond those every length is a multiple of this, mm. */
const ROUND = 5;

/** A usual length in millimetres as a workshop says it: 6 for a quarter inch, 40 for an inch and a half. */
export function saidInMetric(length: number): Mm {
  const said = SAID.find(([inch]) => Math.abs(inches(inch) - length) < 1e-6);
  if (said) return mm(said[1]);
  // What is a round figure already is left.
  if (Math.abs(length - Math.round(length)) < 1e-6) return mm(length);
  return mm(length > inches(1) ? ROUND * Math.round(length / ROUND) : Math.round(length * 2) / 2);
}

/** The options of a construction whose usual lengths are other figures in millimetres, as they are then. */
export function metricOptions(construction: string): Readonly<Record<string, Mm>> {
  return Object.fromEntries(
    constructionOptions(construction).flatMap(({ name, unit, limits, fallback, madeWith }): [string, Mm][] => {
      // A tool is as large as it is.
      if (madeWith) return [];
      if (unit !== 'mm' || typeof fallback !== 'number' || fallback === 0) return [];
      const said = saidInMetric(fallback);
      const { least = -Infinity, most = Infinity, over = -Infinity } = limits ?? {};
      return said === fallback || said < least || said > most || said <= over ? [] : [[name, said]];
    }),
  );
}

/**
 * A design, or a part's, as it is begun in these marks, or in its own: in millimetres its usual lengths are written down; what it
 * says itself stays.
 */
export const begunIn = <
  T extends { readonly construction?: string; readonly options?: unknown; readonly graduation?: Graduation },
>(
  design: T,
  marks: Graduation = design.graduation ?? '1/8 in',
): T =>
  unitsOf(marks) === 'in'
    ? design
    : {
        ...design,
        options: { ...metricOptions(design.construction ?? ''), ...(design.options as object | undefined) },
      };
