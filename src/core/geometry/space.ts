import type { Affine } from './affine';
import type { Point } from './point';

/** A point or a direction in space, mm: x and y along the table, z up. */
export interface Vec {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** A line in space from one point to another. */
export interface Line3 {
  readonly from: Vec;
  readonly to: Vec;
}

export const plus3 = (a: Vec, b: Vec, times = 1): Vec => ({
  x: a.x + b.x * times,
  y: a.y + b.y * times,
  z: a.z + b.z * times,
});
/** The mean of points in space. */
export const centre3 = (points: readonly Vec[]): Vec =>
  points.reduce((sum, p) => plus3(sum, p, 1 / points.length), { x: 0, y: 0, z: 0 });
export const minus3 = (a: Vec, b: Vec): Vec => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
export const dot3 = (a: Vec, b: Vec): number => a.x * b.x + a.y * b.y + a.z * b.z;
export const cross3 = (a: Vec, b: Vec): Vec => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
export const length3 = (a: Vec): number => Math.sqrt(dot3(a, a));
export const distance3 = (a: Vec, b: Vec): number => length3(minus3(a, b));

/** The direction from one point to another. Throws when they coincide. */
export function direction3({ from, to }: Line3): Vec {
  const along = minus3(to, from);
  const length = length3(along);
  if (!(length > 0)) throw new Error('a line in space needs two different points');
  return { x: along.x / length, y: along.y / length, z: along.z / length };
}

/**
 * A flat thing lying rigidly in space: its own x and y axes (unit vectors, square to each other), the side it shows
 * (`normal`, x × y) and where its origin lies. Carries points of a sheet: `o + x·px + y·py`.
 */
export interface Pose {
  readonly x: Vec;
  readonly y: Vec;
  readonly normal: Vec;
  readonly o: Vec;
}

/** Lying on the table as drawn, the inside face up. */
export const LYING: Pose = {
  x: { x: 1, y: 0, z: 0 },
  y: { x: 0, y: 1, z: 0 },
  normal: { x: 0, y: 0, z: 1 },
  o: { x: 0, y: 0, z: 0 },
};

/** A point of the flat thing in space; `above` mm off its face. */
export const posed = (pose: Pose, p: Point, above = 0): Vec => ({
  x: pose.o.x + pose.x.x * p.x + pose.y.x * p.y + pose.normal.x * above,
  y: pose.o.y + pose.x.y * p.x + pose.y.y * p.y + pose.normal.y * above,
  z: pose.o.z + pose.x.z * p.x + pose.y.z * p.y + pose.normal.z * above,
});

/** A point in space on a pose's own axes: z is its distance off the face. */
export function seenFrom(pose: Pose, p: Vec): Vec {
  const from = minus3(p, pose.o);
  return { x: dot3(from, pose.x), y: dot3(from, pose.y), z: dot3(from, pose.normal) };
}

/** A plane map as a pose: a reflection lies with its other face up. */
export function poseOf([a, b, c, d, e, f]: Affine, z = 0): Pose {
  const x = { x: a, y: b, z: 0 };
  const y = { x: c, y: d, z: 0 };
  return { x, y, normal: cross3(x, y), o: { x: e, y: f, z } };
}

/** What lies at `inner` on the axes of `outer`, in space. */
export function poseWithin(outer: Pose, inner: Pose): Pose {
  const turn = (v: Vec): Vec =>
    plus3(plus3({ x: outer.x.x * v.x, y: outer.x.y * v.x, z: outer.x.z * v.x }, outer.y, v.y), outer.normal, v.z);
  const x = turn(inner.x);
  const y = turn(inner.y);
  return { x, y, normal: cross3(x, y), o: plus3(turn(inner.o), outer.o) };
}

/** A pose on the axes of another: what `poseWithin` undoes. */
export function seenPose(from: Pose, pose: Pose): Pose {
  const along = (v: Vec): Vec => ({ x: dot3(v, from.x), y: dot3(v, from.y), z: dot3(v, from.normal) });
  return { x: along(pose.x), y: along(pose.y), normal: along(pose.normal), o: seenFrom(from, pose.o) };
}

/**
 * A share of the way from one pose to another, 0 to 1: one turn about one axis, the origin straight along. What is
 * carried rigidly with it keeps its place on the pose's axes.
 */
export function poseBetween(from: Pose, to: Pose, share: number): Pose {
  const [froms, tos] = [[from.x, from.y, from.normal] as const, [to.x, to.y, to.normal] as const];
  const cos = (froms.reduce((sum, v, i) => sum + dot3(v, tos[i]!), 0) - 1) / 2;
  const angle = Math.acos(Math.max(-1, Math.min(1, cos)));
  const o = plus3(from.o, minus3(to.o, from.o), share);
  if (angle < 1e-6) return { ...to, o };
  // Twice the sine times the axis; after half a turn it is nought, and what a vector and its image share is the axis.
  const spin = froms.reduce((sum, v, i) => plus3(sum, cross3(v, tos[i]!)), { x: 0, y: 0, z: 0 });
  const sums = froms.map((v, i) => plus3(v, tos[i]!));
  const axis = length3(spin) > 1e-6 ? spin : sums.reduce((a, b) => (length3(b) > length3(a) ? b : a));
  const here = { x: 0, y: 0, z: 0 };
  return { ...turnedAbout({ from: here, to: axis }, angle * share)({ ...from, o: here }), o };
}

/** A pose turned about a line by an angle in radians, right-handed round the line's direction. */
export function turnedAbout(line: Line3, angle: number): (pose: Pose) => Pose {
  const k = direction3(line);
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  // Rodrigues' formula.
  const turn = (v: Vec): Vec =>
    plus3(plus3({ x: v.x * cos, y: v.y * cos, z: v.z * cos }, cross3(k, v), sin), k, dot3(k, v) * (1 - cos));
  return (pose) => ({
    x: turn(pose.x),
    y: turn(pose.y),
    normal: turn(pose.normal),
    o: plus3(line.from, turn(minus3(pose.o, line.from))),
  });
}

/** The map from the flat thing of `a` to that of `b` where both lie in one plane: what meets what, sheet to sheet. */
export function betweenSheets(a: Pose, b: Pose): Affine {
  const o = seenFrom(b, a.o);
  return [dot3(a.x, b.x), dot3(a.x, b.y), dot3(a.y, b.x), dot3(a.y, b.y), o.x, o.y];
}

/** Corners of the least upright box round some points: [least, most]. */
export function boxOf3(points: readonly Vec[]): readonly [Vec, Vec] {
  let [lx, ly, lz, hx, hy, hz] = [Infinity, Infinity, Infinity, -Infinity, -Infinity, -Infinity];
  for (const { x, y, z } of points) {
    lx = Math.min(lx, x);
    ly = Math.min(ly, y);
    lz = Math.min(lz, z);
    hx = Math.max(hx, x);
    hy = Math.max(hy, y);
    hz = Math.max(hz, z);
  }
  return [
    { x: lx, y: ly, z: lz },
    { x: hx, y: hy, z: hz },
  ];
}
