import { direction, distance, dot, sideOf, type Segment, middle } from '../geometry';
import { mm, type Mm } from '../length';

/** Scores this close to one direction run the same way, as the sine of the angle between them. */
const PARALLEL = 0.02;
/** Lines closer than this are one, mm. */
const SAME = 0.5;

/**
 * The rectangle that two pairs of parallel scores enclose, square to each other, read off the scores themselves: the
 * inside of what they would fold to. Width lies along the first score's neighbours, mm; null while there is none.
 */
export function enclosedBy(scores: readonly Segment[]): { readonly width: Mm; readonly height: Mm } | null {
  const ways: Segment[][] = [];
  for (const score of scores) {
    const way = ways.find(([first]) => Math.abs(turn(first!, score)) < PARALLEL);
    if (!way) ways.push([score]);
    else if (way.every((other) => Math.abs(apartOf(other, score)) > SAME)) way.push(score);
  }
  const [a, b] = ways;
  if (ways.length !== 2 || a!.length !== 2 || b!.length !== 2) return null;
  const [u, v] = [a![0]!, b![0]!].map(({ from, to }) => direction(from, to)) as [
    { x: number; y: number },
    { x: number; y: number },
  ];
  if (Math.abs(dot(u, v)) > PARALLEL) return null;
  return { width: mm(Math.abs(apartOf(a![0]!, a![1]!))), height: mm(Math.abs(apartOf(b![0]!, b![1]!))) };
}

/** How far two scores turn against each other, as a sine. */
function turn(a: Segment, b: Segment): number {
  const [u, v] = [direction(a.from, a.to), direction(b.from, b.to)];
  return u.x * v.y - u.y * v.x;
}

/** How far apart two parallel scores lie, mm. */
const apartOf = (a: Segment, b: Segment): number =>
  distance(b.from, b.to) > distance(a.from, a.to) ? sideOf(b, middle(a.from, a.to)) : sideOf(a, middle(b.from, b.to));
