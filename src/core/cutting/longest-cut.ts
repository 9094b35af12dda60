import { TOLERANCE } from '../geometry';
import { mm, type Mm } from '../length';
import type { Blank } from '../pattern';

/**
 * The longest cut a blank takes, mm: from its sheet, the better of cutting the width or the height first; with no
 * sheet given, its own longest edge.
 */
export function longestCut({ width, height }: Blank, paper: { readonly width?: Mm; readonly height?: Mm } = {}): Mm {
  if (paper.width === undefined || paper.height === undefined) return mm(Math.max(width, height));
  const ways = [
    [paper.width, paper.height],
    [paper.height, paper.width],
  ].flatMap(([w, h]) => {
    if (width > w! + TOLERANCE.length || height > h! + TOLERANCE.length) return [];
    const [cutWidth, cutHeight] = [width < w! - TOLERANCE.length, height < h! - TOLERANCE.length];
    // Across the whole sheet first, then across what is left.
    return [Math.max(cutWidth ? h! : 0, cutHeight ? width : 0), Math.max(cutHeight ? w! : 0, cutWidth ? height : 0)];
  });
  return mm(ways.length > 0 ? Math.min(...ways) : Math.max(width, height));
}
