import { waysOn, type Item, type LaidItem, type Stock } from './problem';

/** A level stretch of the pieces' upper outline. */
interface Level {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}

/**
 * Fills a sheet without edge-to-edge cuts by looking ahead: at the lowest place of the outline every piece that fits
 * is tried, then none; the fullest sheet found within so many steps is given. Finds what no rule of thumb does, such as
 * four pieces round a fifth.
 */
export function lookAhead(stock: Stock, items: readonly Item[], left: readonly number[], steps: number): LaidItem[] {
  const ways = items.map((item) => waysOn(stock, item));
  const areas = ways.map((way) => (way[0] ? way[0].width * way[0].height : 0));
  const order = items.map((_, i) => i).sort((a, b) => areas[b]! - areas[a]!);
  const rest = [...left];
  const whole = stock.width * stock.height;
  let bestArea = 0;
  let best: LaidItem[] = [];
  let tried = 0;
  const laid: LaidItem[] = [];
  /** `lost` is what can no longer be covered. */
  const go = (outline: readonly Level[], area: number, lost: number): boolean => {
    if (area > bestArea) [bestArea, best] = [area, [...laid]];
    if (bestArea >= whole * (1 - 1e-12) || rest.every((n) => n === 0)) return true;
    if (++tried > steps) return true;
    if (whole - lost <= bestArea) return false;
    let low = 0;
    outline.forEach((level, i) => {
      if (level.y < outline[low]!.y) low = i;
    });
    const { x, y, width } = outline[low]!;
    if (y >= stock.height) return false;
    for (const i of order) {
      if (rest[i] === 0) continue;
      for (const way of ways[i]!) {
        if (way.width > width || y + way.height > stock.height) continue;
        rest[i]!--;
        laid.push({ item: i, x, y, turned: way.turned });
        const done = go(
          joined([
            ...outline.slice(0, low),
            { x, y: y + way.height, width: way.width },
            ...(way.width < width ? [{ x: x + way.width, y, width: width - way.width }] : []),
            ...outline.slice(low + 1),
          ]),
          area + areas[i]!,
          lost,
        );
        if (done) return true;
        rest[i]!++;
        laid.pop();
      }
    }
    // Nothing more here: the place is filled up to the lower of its neighbours.
    const up = Math.min(outline[low - 1]?.y ?? stock.height, outline[low + 1]?.y ?? stock.height);
    return go(
      joined([...outline.slice(0, low), { x, y: up, width }, ...outline.slice(low + 1)]),
      area,
      lost + width * (up - y),
    );
  };
  go([{ x: 0, y: 0, width: stock.width }], 0, 0);
  return best;
}

/** Neighbours of one height as one. */
function joined(levels: readonly Level[]): Level[] {
  const out: Level[] = [];
  for (const level of levels) {
    const last = out.at(-1);
    if (last && last.y === level.y) out[out.length - 1] = { ...last, width: last.width + level.width };
    else out.push(level);
  }
  return out;
}
