import { distance, type Point, type Segment } from '../geometry';
import { notchTriangle, type Piece } from '../pattern';
import type { Made } from './simulate';

/** How close the simulated tool must come to the pattern, mm. */
const CLOSE = 0.01;

const sameSegment = (a: Segment, b: Segment): boolean =>
  (distance(a.from, b.from) < CLOSE && distance(a.to, b.to) < CLOSE) ||
  (distance(a.from, b.to) < CLOSE && distance(a.to, b.from) < CLOSE);
const sameTriangle = (a: readonly Point[], b: readonly Point[]): boolean =>
  a.length === b.length && a.every((p) => b.some((q) => distance(p, q) < CLOSE));

/** Where what the tool made differs from the pattern, as plain sentences; empty when scores, notches and slants agree. */
export function differences(made: Made, piece: Piece): string[] {
  const found = [...made.faults];
  const match = <A, B>(what: string, wanted: readonly A[], got: readonly B[], same: (a: A, b: B) => boolean): void => {
    wanted.forEach((a, i) => {
      if (!got.some((b) => same(a, b))) found.push(`${what} ${i + 1} of the pattern was not made`);
    });
    got.forEach((b, i) => {
      if (!wanted.some((a) => same(a, b))) found.push(`${what} ${i + 1} that was made is not in the pattern`);
    });
  };
  match('score', piece.hinges, made.scores, (hinge, run) => sameSegment(hinge.line, run));
  match('notch', piece.notches, made.notches, (notch, triangle) =>
    sameTriangle(notchTriangle(piece.blank, notch), triangle),
  );
  const straight = piece.trims.flatMap((trim) => (trim.cut.kind === 'straight' ? [trim.cut.line] : []));
  match('cut', straight, made.slants, sameSegment);
  return found;
}
