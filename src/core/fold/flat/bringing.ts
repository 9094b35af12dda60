import { apply, compose, direction, type Affine, type Segment } from '../../geometry';

/** The rigid map that brings one line onto another, start to start; `over` turns the paper over on the way. */
export function bringing(line: Segment, on: Segment, over: boolean): Affine {
  const [u, v] = [direction(line.from, line.to), direction(on.from, on.to)];
  // Columns of the turn that takes u to v, as a rotation or as a reflection.
  const [cos, sin] = over
    ? [u.x * v.x - u.y * v.y, u.x * v.y + u.y * v.x]
    : [u.x * v.x + u.y * v.y, u.x * v.y - u.y * v.x];
  const turning: Affine = over ? [cos, sin, sin, -cos, 0, 0] : [cos, sin, -sin, cos, 0, 0];
  const start = apply(turning, line.from);
  return compose([1, 0, 0, 1, on.from.x - start.x, on.from.y - start.y], turning);
}
