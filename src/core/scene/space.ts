import type { Standing } from '../fold';
import { boxOf, IDENTITY } from '../geometry';
import type { Hole } from '../pattern';
import { drawingOrder, inPicture, pictureMap } from './projected';
import { foldLines, foldsOf, stuffOf, type Face, type Scene, type SpaceFace, type SpaceScene } from './scene';

/** What stands at one moment, each panel with its pose, the folds along its rim and the holes through it. */
export const spaceScene = (
  { leaves, hinges }: Pick<Standing, 'leaves' | 'hinges'>,
  given: ReadonlySet<string> = NONE,
  holes: readonly Hole[] = [],
): SpaceScene => ({
  kind: 'space',
  faces: leaves.map(({ piece, panel, pose }): SpaceFace => ({
    id: panel.id,
    piece,
    panel: panel.id,
    side: 'inside',
    stuff: stuffOf(piece, given),
    own: [panel.polygon],
    pose,
    folds: foldsOf(panel.id, panel.polygon, hinges).map(({ id, fold, line }) => ({ id, fold, ...line })),
    holes: holes.filter((hole) => hole.panel === panel.id),
  })),
});

/** What stands, seen from a little to the left and above, without perspective: what is nearer is drawn later. */
export function stillScene(
  { leaves, touches, hinges }: Pick<Standing, 'leaves' | 'touches' | 'hinges'>,
  given: ReadonlySet<string> = NONE,
): Scene {
  const ordered = drawingOrder(leaves, touches);
  const faces = ordered.map(({ leaf: { piece, panel, pose, corners }, side, light }, i): Face => {
    const map = pictureMap(pose);
    return {
      id: panel.id,
      piece,
      panel: panel.id,
      side,
      stuff: stuffOf(piece, given),
      own: [panel.polygon],
      map,
      rings: [corners.map(inPicture)],
      depth: ordered.length - 1 - i,
      light,
      lines: foldLines(foldsOf(panel.id, panel.polygon, hinges), map),
    };
  });
  return {
    kind: 'still',
    name: '',
    box: boxOf(faces.flatMap(({ rings }) => rings.flat())),
    faces,
    marks: [],
    anchors: [],
    frame: IDENTITY,
  };
}

const NONE: ReadonlySet<string> = new Set();
