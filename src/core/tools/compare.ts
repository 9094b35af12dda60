import {
  difference,
  direction,
  distance,
  dot,
  minus,
  regionArea,
  sideOf,
  type Point,
  type Polygon,
  type Segment,
  TOLERANCE,
} from '../geometry';
import { notchTriangle, type Piece } from '../pattern';
import type { CommonFaults, Fault } from './fault';
import type { Simulated } from './simulate';

const sameSegment = (a: Segment, b: Segment): boolean =>
  (distance(a.from, b.from) < TOLERANCE.agreed && distance(a.to, b.to) < TOLERANCE.agreed) ||
  (distance(a.from, b.to) < TOLERANCE.agreed && distance(a.to, b.from) < TOLERANCE.agreed);
const sameTriangle = (a: readonly Point[], b: readonly Point[]): boolean =>
  a.length === b.length && a.every((p) => b.some((q) => distance(p, q) < TOLERANCE.agreed));
/**
 * True when two regions cover each other but for a strip along their rims, half as broad as straight cuts may differ; of
 * round cuts, for what the chords leave that they are drawn in.
 */
function sameRegion(a: readonly Polygon<'sheet'>[], b: readonly Polygon<'sheet'>[], isRound: boolean): boolean {
  if (a.length === 0) return b.length === 0;
  const rim = a.flatMap((ring) => ring.map((p, i) => distance(p, ring[(i + 1) % ring.length]!)));
  const [size, strip] = [regionArea(a), (TOLERANCE.agreed / 2) * rim.reduce((sum, length) => sum + length, 0)];
  const apart = regionArea(difference(a, b)) + regionArea(difference(b, a));
  return apart < Math.min(isRound ? Math.max(3 * strip, 0.01 * size) : strip, size / 4);
}

/** Where what the tool made differs from the pattern; empty when scores, notches and slants agree. */
export function differences(made: Simulated, piece: Piece): Fault[] {
  const found = [...made.faults];
  const match = <A, B>(
    what: CommonFaults['not-made']['what'],
    wanted: readonly A[],
    got: readonly B[],
    same: (a: A, b: B) => boolean,
  ): void => {
    wanted.forEach((a, i) => {
      if (!got.some((b) => same(a, b))) found.push({ code: 'not-made', what, count: i + 1 });
    });
    got.forEach((b, i) => {
      if (!wanted.some((a) => same(a, b))) found.push({ code: 'not-wanted', what, count: i + 1 });
    });
  };
  match('score', joined(piece.hinges.map((hinge) => hinge.line)), joined(made.scores), sameSegment);
  match('notch', piece.notches, made.notches, (notch, triangle) =>
    sameTriangle(notchTriangle(piece.blank, notch), triangle),
  );
  const paths = piece.trims.flatMap((trim) => (trim.cut.kind === 'path' ? [trim.cut.path] : []));
  match(
    'cut',
    paths,
    made.cuts,
    (a, b) => a.length === b.length && a.every((p, i) => distance(p, b[i]!) < TOLERANCE.agreed),
  );
  for (const [kind, by] of [
    ['path', 'cut'],
    ['rounded', 'round'],
    ['punched', 'bite'],
  ] as const)
    if (
      !sameRegion(
        piece.trims.flatMap(({ cut, polygon }) => (cut.kind === kind && polygon.length > 2 ? [polygon] : [])),
        made.off.flatMap((off) => (off.by === by ? off.rings : [])),
        kind !== 'path',
      )
    )
      found.push({ code: 'other-waste', by });
  match(
    'slit',
    piece.slits.map((slit) => slit.line),
    made.slits,
    sameSegment,
  );
  match(
    'hole',
    piece.holes,
    made.holes,
    (a, b) => distance(a.centre, b.centre) < TOLERANCE.agreed && a.diameter === b.diameter,
  );
  return found;
}

/** Stretches of one line that meet end to end count as one score. */
function joined(lines: readonly Segment[]): Segment[] {
  const rest = [...lines];
  for (let i = 0; i < rest.length; i++)
    for (let j = i + 1; j < rest.length; j++) {
      const [a, b] = [rest[i]!, rest[j]!];
      if ([b.from, b.to].some((p) => Math.abs(sideOf(a, p)) > TOLERANCE.agreed)) continue;
      const along = direction(a.from, a.to);
      const [s, t] = [dot(minus(b.from, a.from), along), dot(minus(b.to, a.from), along)].sort((x, y) => x - y) as [
        number,
        number,
      ];
      const length = distance(a.from, a.to);
      if (t < -TOLERANCE.agreed || s > length + TOLERANCE.agreed) continue;
      const at = (d: number): Point => ({ x: a.from.x + along.x * d, y: a.from.y + along.y * d });
      rest[i] = { from: at(Math.min(0, s)), to: at(Math.max(length, t)) };
      rest.splice(j, 1);
      j = i;
    }
  return rest;
}
