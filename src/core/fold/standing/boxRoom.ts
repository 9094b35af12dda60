import { area, boxOf3, cross3, dot3, minus3, posed, seenFrom, type Pose, type Vec, TOLERANCE } from '../../geometry';
import { mm, type Mm } from '../../length';
import type { BoxCavity } from '../flat/cavity';
import { reached } from '../flat/hangsOn';
import { rect } from '../../pattern';
import { thickestPile } from '../flat/measure';
import type { Calipers } from '../flat/taken';
import { flushWith, pileOf, type Axis } from './flush';
import { leaf, leafOf, type Leaf, type Standing } from './pose';

/** Three lengths along the contents' own axes, mm. */
export interface Size3 {
  readonly width: Mm;
  readonly height: Mm;
  readonly depth: Mm;
}

/** The room's own axes: x along the contents' width, y across the floor, z up from it; origin at the floor's middle. */
export function roomAxes(standing: Standing, { floor, across }: Pick<BoxCavity, 'floor' | 'across'>): Pose {
  const { pose, corners } = leafOf(standing, floor);
  const along = minus3(posed(pose, across.to), posed(pose, across.from));
  const length = Math.sqrt(dot3(along, along));
  const x = { x: along.x / length, y: along.y / length, z: along.z / length };
  const y = cross3(pose.normal, x);
  const axes = { x, y, normal: pose.normal, o: pose.o };
  const [least, most] = boxOf3(corners.map((p) => seenFrom(axes, p)));
  const middle = { x: (least.x + most.x) / 2, y: (least.y + most.y) / 2 };
  return { ...axes, o: posed(axes, middle) };
}

/** The free room above a floor on its own axes: least and most corner. */
export function roomOver(
  standing: Standing,
  room: Pick<BoxCavity, 'floor' | 'across' | 'tall'>,
  only: (leaf: Leaf) => boolean = () => true,
): { readonly axes: Pose; readonly least: Vec; readonly most: Vec } {
  const axes = roomAxes(standing, room);
  const boxOf = (l: Leaf): readonly [Vec, Vec] => boxOf3(l.corners.map((p) => seenFrom(axes, p)));
  const [floorLow, floorHigh] = boxOf(leafOf(standing, room.floor));
  const low = { x: floorLow.x, y: floorLow.y };
  const high = { x: floorHigh.x, y: floorHigh.y, z: boxOf(leafOf(standing, room.tall))[1].z };
  for (const l of standing.leaves) {
    if (l.panel.id === room.floor || !only(l)) continue;
    const [a, b] = boxOf(l);
    if (b.z < TOLERANCE.standing || a.z > high.z - TOLERANCE.standing) continue;
    // Whichever way keeps clear of this panel with the least loss: beside it, or under it.
    const ways: { lost: number; keep: () => void }[] = [];
    for (const axis of ['x', 'y'] as const) {
      if (a[axis] >= -TOLERANCE.standing)
        ways.push({ lost: high[axis] - a[axis], keep: () => (high[axis] = Math.min(high[axis], a[axis])) });
      if (b[axis] <= TOLERANCE.standing)
        ways.push({ lost: b[axis] - low[axis], keep: () => (low[axis] = Math.max(low[axis], b[axis])) });
    }
    if (a.z > TOLERANCE.standing) ways.push({ lost: high.z - a.z, keep: () => (high.z = Math.min(high.z, a.z)) });
    const [best] = ways.sort((p, q) => p.lost - q.lost);
    if (best) best.keep();
    else high.z = 0;
  }
  return { axes, least: { ...low, z: 0 }, most: high };
}

/** The largest thing that stands in a room, mm along the contents' own axes. */
export function boxInside(standing: Standing, room: BoxCavity): Size3 {
  const { least, most } = roomOver(standing, room);
  const [across, deep, up] = [most.x - least.x, most.y - least.y, most.z].map((v) => mm(Math.max(0, v))) as [
    Mm,
    Mm,
    Mm,
  ];
  return room.onEdge ? { width: across, height: up, depth: deep } : { width: across, height: deep, depth: up };
}

/**
 * What a box's own layers take of its room each way, mm: whatever stands flush with two facing walls, or lies on the
 * floor and under the roof, where contents touch it at once; but for the walls themselves.
 */
export function boxTaken(standing: Standing, room: BoxCavity, caliper: Calipers): Size3 {
  const { axes, least, most } = roomOver(standing, room);
  const outside = new Set(room.outside);
  const inner = standing.leaves.filter(({ panel }) => !outside.has(panel.id) && panel.id !== room.floor);
  const own = reached(standing, [room.floor]);
  const walls = inner.filter(({ panel }) => own.has(panel.id));
  const between = (axis: Axis): Mm => {
    const ends = axis === 'z' ? [0, most.z] : [least[axis], most[axis]];
    const sides = ends.map((at) => flushWith(axis === 'z' && at > 0 ? inner : walls, axes, axis, at));
    // The floor is no layer of its own; of the other sides the largest leaf is the wall.
    const faces = sides.map((flush, i) =>
      flush.length === 0 || (axis === 'z' && i === 0)
        ? 0
        : caliper(flush.reduce((a, b) => (area(b.polygon) > area(a.polygon) ? b : a)).leaf.piece),
    );
    const layers = sides.flat();
    if (layers.length === 0) return mm(0);
    return mm(Math.max(0, thickestPile(pileOf(layers), caliper) - faces[0]! - faces[1]!));
  };
  const [width, deep, up] = [between('x'), between('y'), between('z')];
  return room.onEdge ? { width, height: up, depth: deep } : { width, height: deep, depth: up };
}

/**
 * True when a thing of that size can stand there, in the middle of the room: nothing of the paper passes through it.
 * `open` asks for the way in as well: nothing over it up to any height, or beyond its open end.
 */
export function standsFree(
  standing: Standing,
  finished: Standing,
  room: BoxCavity,
  size: Size3,
  open: boolean,
): boolean {
  const { least, most } = roomOver(finished, room);
  const axes = roomAxes(standing, room);
  const [x, y] = [(least.x + most.x) / 2, (least.y + most.y) / 2];
  const [deep, up] = room.onEdge ? [size.depth, size.height] : [size.height, size.depth];
  const above = room.from !== 'end';
  const from = { x: x - size.width / 2, y: y - deep / 2, z: 0 };
  const to = {
    x: x + size.width / 2,
    y: open && !above ? Infinity : y + deep / 2,
    z: open && above ? Infinity : up,
  };
  // What is not hinged or glued to the holder stands aside still.
  const own = reached(standing, [room.floor]);
  return standing.leaves.every((l) => {
    if (l.panel.id === room.floor || (open && !own.has(l.panel.id))) return true;
    const [a, b] = boxOf3(l.corners.map((p) => seenFrom(axes, p)));
    return (['x', 'y', 'z'] as const).some(
      (axis) => a[axis] > to[axis] - TOLERANCE.standing || b[axis] < from[axis] + TOLERANCE.standing,
    );
  });
}

/** A thing of that size as it lies in the room, in the middle and on the floor: six faces, to be drawn. */
export function contentsIn(finished: Standing, room: BoxCavity, size: Size3): readonly Leaf[] {
  const { axes, least, most } = roomOver(finished, room);
  const [deep, up] = room.onEdge ? [size.depth, size.height] : [size.height, size.depth];
  const [cx, cy] = [(least.x + most.x) / 2, (least.y + most.y) / 2];
  const at = (x: number, y: number, z: number): Vec => posed(axes, { x: cx + x, y: cy + y }, z);
  const [w, d] = [size.width / 2, deep / 2];
  const turned = (x: Vec, y: Vec, o: Vec): Pose => ({ x, y, normal: cross3(x, y), o });
  const back = (v: Vec): Vec => ({ x: -v.x, y: -v.y, z: -v.z });
  const { x, y, normal: z } = axes;
  const faces: readonly (readonly [string, Pose, number, number])[] = [
    ['bottom', turned(y, x, at(-w, -d, 0)), deep, size.width],
    ['top', turned(x, y, at(-w, -d, up)), size.width, deep],
    ['near', turned(x, z, at(-w, -d, 0)), size.width, up],
    ['far', turned(back(x), z, at(w, d, 0)), size.width, up],
    ['left', turned(back(y), z, at(-w, d, 0)), deep, up],
    ['right', turned(y, z, at(w, -d, 0)), deep, up],
  ];
  return faces
    .filter(([, , long, high]) => long > 0 && high > 0)
    .map(([name, pose, long, high]) =>
      leaf('contents', { id: `contents-${name}`, name: 'contents', polygon: rect(0, 0, long, high) }, pose),
    );
}
