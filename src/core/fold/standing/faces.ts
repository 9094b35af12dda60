import { apply, cross3, dot3, seenFrom, type Affine, type Pose, type Vec } from '../../geometry';
import type { Layer, Stack } from '../flat/stack';
import type { Leaf, Standing } from './pose';

/** A direction to look from: the viewer stands at `from` and has `up` above. */
export interface Look {
  readonly name: string;
  readonly from: Vec;
  readonly up: Vec;
}

/** Panels this square to the way one looks are seen as faces; the rest are seen edge on. */
const SQUARE = 0.999;

/**
 * What stands, seen squarely from one side: the panels that face it as a pile, the nearest on top, so that all that is
 * known of piles (what shows, which side, which way up) holds for every side of a box.
 */
export function seenAsPile(standing: Standing, { from, up }: Look): Stack {
  const axes: Pose = { x: cross3(up, from), y: up, normal: from, o: { x: 0, y: 0, z: 0 } };
  const facing = standing.leaves.filter((l) => Math.abs(dot3(l.pose.normal, from)) > SQUARE);
  const near = (l: Leaf): number => seenFrom(axes, l.corners[0]!).z;
  const lies = new Map(standing.touches.flatMap(({ panel, onto, face }) => [[`${panel} ${onto}`, face] as const]));
  const onTop = (a: Leaf, b: Leaf): number => {
    const apart = near(a) - near(b);
    if (Math.abs(apart) > 0.02) return apart;
    const over = lies.get(`${a.panel.id} ${b.panel.id}`);
    if (over) return (over === 'inside') === dot3(b.pose.normal, from) > 0 ? 1 : -1;
    const under = lies.get(`${b.panel.id} ${a.panel.id}`);
    return under ? ((under === 'inside') === dot3(a.pose.normal, from) > 0 ? -1 : 1) : 0;
  };
  const layers: Layer[] = [];
  // Few panels, and "lies on" is no total order: each goes under the first that lies over it.
  for (const l of [...facing].sort((a, b) => near(a) - near(b))) {
    const at = layers.findIndex(
      (layer) =>
        onTop(
          l,
          facing.find((f) => f.panel.id === layer.panel)!,
        ) < 0,
    );
    layers.splice(at < 0 ? layers.length : at, 0, layerOn(l, axes));
  }
  return { layers, hinges: [], joints: [] };
}

function layerOn({ piece, panel, pose }: Leaf, axes: Pose): Layer {
  const at = (p: Vec): readonly [number, number] => [dot3(p, axes.x), dot3(p, axes.y)];
  const [[a, b], [c, d], [e, f]] = [at(pose.x), at(pose.y), at(pose.o)];
  const map: Affine = [a, b, c, d, e, f];
  return {
    piece,
    panel: panel.id,
    map,
    up: dot3(pose.normal, axes.normal) > 0 ? 'inside' : 'outside',
    polygon: panel.polygon.map((p) => apply<'folded'>(map, p)),
  };
}
