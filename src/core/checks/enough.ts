import { isSquare } from '../pattern';
import { drawn, withFeatures } from '../constructions';
import { mm, roundTo, type Mm } from '../length';
import { briefFor, type Design } from '../design';

/** A length that has to grow before there is anything to draw. */
export interface Enough {
  readonly of: 'contents' | 'blank';
  readonly side: 'width' | 'height';
  readonly to: Mm;
}

/** No more than this much larger is worth telling: by then it is another thing. */
const MOST_TIMES = 60;
/** What is smaller than this is taken for this, mm: nothing can be drawn round either. */
const SMALLEST = 1;
/** Tried sizes grow by this share until one can be drawn; then the least one is halved down to. */
const GROWTH = 1.25;

/**
 * The least width, or height, at which a design that cannot be drawn for smallness can be: the contents', or the given
 * sheet's. Of the two the one that has to grow by the smaller share; null when growing one of them does not help.
 */
export function enoughToDraw(design: Design): Enough | null {
  const of = design.blank ? 'blank' : 'contents';
  const now = design[of];
  if (!now) return null;
  const goes = (side: Enough['side'], to: number): boolean => {
    const square = of === 'blank' && isSquare(now);
    const size = square ? { width: mm(to), height: mm(to) } : { ...now, [side]: mm(to) };
    const pattern = drawn(design.construction, briefFor({ ...design, [of]: size }));
    return pattern.ok && withFeatures(pattern.built).ok;
  };
  const least = (side: Enough['side']): Mm | null => {
    const from = Math.max(now[side], SMALLEST);
    let [low, high] = [from, from * GROWTH];
    for (; !goes(side, high); [low, high] = [high, high * GROWTH]) if (high > from * MOST_TIMES) return null;
    for (let i = 0; i < 12; i++) {
      const half = (low + high) / 2;
      if (goes(side, half)) high = half;
      else low = half;
    }
    const marked = roundTo(mm(high), design.graduation, 'up');
    return goes(side, marked) ? marked : mm(high);
  };
  const ways = (['width', 'height'] as const).flatMap((side): (Enough & { share: number })[] => {
    const to = least(side);
    return to === null ? [] : [{ of, side, to, share: to / now[side] }];
  });
  const [best] = ways.sort((a, b) => a.share - b.share);
  return best ? { of: best.of, side: best.side, to: best.to } : null;
}
