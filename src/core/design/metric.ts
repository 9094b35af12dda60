/**
 * Defaults for a thing that is begun in millimetres. Every construction says what is usual in inches; who works in millimetres
 * says other round figures, so these are written into the design when it is begun: changing units later changes no length.
 */
import { saidInMetric, unitsOf, type Graduation, type Mm, type Units } from '../length';
import { constructionOptions } from './design';

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
 * A design, or a part's, as it is begun in these marks, or in its own: in millimetres its usual lengths are round figures there,
 * those of its options written down; what it says itself stays.
 */
export function begunIn<
  T extends {
    readonly construction?: string;
    readonly options?: unknown;
    readonly graduation?: Graduation;
    readonly usual?: Units;
  },
>(design: T, marks: Graduation = design.graduation ?? '1/8 in'): T {
  if (unitsOf(marks) === 'mm')
    return {
      ...design,
      usual: 'mm',
      options: { ...metricOptions(design.construction ?? ''), ...(design.options as object | undefined) },
    };
  const { usual, ...inInches } = design;
  return usual === undefined ? design : (inInches as T);
}
