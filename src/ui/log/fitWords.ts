import { constructionNamed } from '@/core/constructions';
import type { Fitted } from '@/core/fit';
import { formatLength, type Units } from '@/core/length';
import type { LogRecord } from '@/data/db';

/** What a holder is called. */
export const titleOf = (construction: string): string => constructionNamed(construction)?.title ?? construction;

/** A fit in words: `tight by 1/8 in in the width`. */
export function fitWords({ fit, units }: { readonly fit: LogRecord['fit']; readonly units: Units }): string {
  const said = ({ how, by }: Fitted): string =>
    how === 'right'
      ? 'just right'
      : by > 0
        ? `${how} by ${formatLength(by, units, units === 'in' ? '1/32 in' : '0.5 mm')}`
        : how;
  const [width, height] = [said(fit.width), said(fit.height)];
  if (width === height) return fit.width.how === 'right' ? width : `${width}, both ways`;
  return [
    fit.width.how !== 'right' ? `${width} in the width` : '',
    fit.height.how !== 'right' ? `${height} in the height` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
