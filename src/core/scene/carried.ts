import { apply, applyAll, boxOf, compose, type Affine, type Point, type Polygon } from '../geometry';
import { rect } from '../pattern';
import type { Scene, SceneMark } from './scene';

/** A scene carried by a map: turned, turned over, or laid elsewhere. */
export function carried(scene: Scene, map: Affine): Scene {
  const at = (p: Point<'scene'>): Point<'scene'> => apply(map, p);
  const all = (rings: readonly Polygon<'scene'>[]): Polygon<'scene'>[] =>
    rings.map((ring) => applyAll<'scene'>(map, ring));
  const { minX, maxX, minY, maxY } = scene.box;
  return {
    ...scene,
    box: boxOf(rect(minX, minY, maxX, maxY).map((p) => apply(map, p))),
    faces: scene.faces.map((face) => ({
      ...face,
      map: compose(map, face.map),
      rings: all(face.rings),
      lines: face.lines.map((line) => ({ ...line, points: line.points.map(at) })),
    })),
    marks: scene.marks.map((mark): SceneMark => {
      if ('rings' in mark) return { ...mark, rings: all(mark.rings) };
      return 'from' in mark ? { ...mark, from: at(mark.from), to: at(mark.to) } : { ...mark, at: at(mark.at) };
    }),
    anchors: scene.anchors.map((anchor) => ({ ...anchor, from: at(anchor.from), to: at(anchor.to) })),
    frame: compose(map, scene.frame),
  };
}
