import type { Scene, SceneMark, SheetLooks, SpaceScene } from './scene';

/** A scene with all its paper as it looks, by the piece it is of: every face, and what is laid on them. */
export const papered = <S extends Scene | SpaceScene>(scene: S, looksOf: (piece: string) => SheetLooks): S => ({
  ...scene,
  faces: scene.faces.map((face) =>
    face.stuff === 'paper' || face.stuff === 'stock' ? { ...face, paper: looksOf(face.piece) } : face,
  ),
  ...('marks' in scene && {
    marks: scene.marks.map((mark): SceneMark =>
      mark.kind === 'area' && mark.of === 'laid' && mark.id !== undefined ? { ...mark, paper: looksOf(mark.id) } : mark,
    ),
  }),
});
