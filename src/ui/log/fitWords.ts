import { constructionNamed } from '@/core/constructions';
import type { Fitted } from '@/core/fit';
import { formatLength, type Units } from '@/core/length';
import type { LogRecord } from '@/data/db';

/** What a holder is called. */
export const titleOf = (construction: string): string => constructionNamed(construction)?.title ?? construction;

/** A fit in words: `tight in the width by 1/8 in`, `loose both ways`. */
export function fitWords({ fit, units }: { readonly fit: LogRecord['fit']; readonly units: Units }): string {
  const { width, height } = fit;
  const said = ({ how, by }: Fitted, way: string): string =>
    `${how} ${way}${by > 0 ? ` by ${formatLength(by, units, units === 'in' ? '1/32 in' : '0.5 mm')}` : ''}`;
  if (width.how === 'right' && height.how === 'right') return 'just right';
  if (width.how === height.how && width.by === height.by) return said(width, 'both ways');
  return [
    ...(width.how === 'right' ? [] : [said(width, 'in the width')]),
    ...(height.how === 'right' ? [] : [said(height, 'in the height')]),
  ].join(', ');
}
