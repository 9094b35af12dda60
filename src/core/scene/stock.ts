import type { Affine } from '../geometry';
import { rect, type Blank } from '../pattern';
import { carried } from './carried';
import type { Face, Line, Scene } from './scene';
import { anchorsOf, sheetFace } from './sheet';

/** A face of the whole sheet that pieces are cut from. */
export const stockFace = (piece: string, { width, height }: Blank, lines: readonly Line[] = []): Face => ({
  ...sheetFace(piece, [rect(0, 0, width, height)], lines),
  id: 'stock',
  stuff: 'stock',
  depth: 1,
});

/** A piece drawn where it lies on the whole of the sheet it is cut from. */
export function onStock(scene: Scene, map: Affine, stock: Blank): Scene {
  const laid = carried(scene, map);
  return {
    ...laid,
    box: { minX: 0, maxX: stock.width, minY: 0, maxY: stock.height },
    faces: [stockFace(scene.name, stock), ...laid.faces],
    anchors: anchorsOf(stock),
  };
}
