import type { SheetKind, SheetLayout } from '../cutting';
import { applyAll, centreOf, IDENTITY, translation, type Affine } from '../geometry';
import { rect } from '../pattern';
import type { Face, SceneMark, Scene } from './scene';
import { areaOf, sheetFace } from './sheet';
import { stockFace } from './stock';

/** A sheet with the pieces that are cut from it, each a face by its place in the list, the cuts, and what is kept of it. */
export function layoutScene(
  { width, height, name }: Pick<SheetKind, 'width' | 'height' | 'name'>,
  { placements, offcuts, cuts }: Pick<SheetLayout, 'placements' | 'offcuts' | 'cuts'>,
): Scene {
  const pieces = placements.map((one, i): Face => {
    const [wide, high] = one.turned ? [one.height, one.width] : [one.width, one.height];
    const corners = rect(0, 0, wide, high);
    // However it lies, its first corner is the one that is lower left.
    const own = one.turned ? [corners[3]!, ...corners.slice(0, 3)] : corners;
    // Turned a quarter anticlockwise about its corner, and back onto the sheet.
    const map: Affine = one.turned ? [0, 1, -1, 0, one.x + one.width, one.y] : translation(one.x, one.y);
    return { ...sheetFace(one.piece, [own], []), id: String(i), map, rings: [applyAll<'scene'>(map, own)] };
  });
  const stock = stockFace(
    name,
    { width, height },
    cuts.map(({ from, to }) => ({
      kind: 'cut',
      points: [
        { x: from[0], y: from[1] },
        { x: to[0], y: to[1] },
      ],
    })),
  );
  return {
    kind: 'layout',
    name,
    box: { minX: 0, maxX: width, minY: 0, maxY: height },
    faces: [stock, ...pieces],
    marks: [
      ...offcuts.map(({ x, y, width: wide, height: high }, i): SceneMark => ({
        ...areaOf('offcut', rect(x, y, x + wide, y + high)),
        id: String(i),
      })),
      ...pieces.map(({ piece, rings: [ring] }, i): SceneMark => {
        const { width: wide, height: high } = placements[i]!;
        return { kind: 'name', text: piece, of: String(i), at: centreOf(ring!), room: { width: wide, height: high } };
      }),
    ],
    anchors: [],
    frame: IDENTITY,
  };
}
