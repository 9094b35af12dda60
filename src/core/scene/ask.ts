import {
  apply,
  applyAll,
  boxOf,
  contains,
  invert,
  type Box,
  type Frame,
  type Point,
  type Polygon,
  type Segment,
} from '../geometry';
import type { AreaKind, AreaMark, Face, Line, Scene, SceneMark, Stuff } from './scene';

/** Width and height of what a scene is about, mm. */
export const widthOf = ({ box }: Pick<Scene, 'box'>): number => box.maxX - box.minX;
export const heightOf = ({ box }: Pick<Scene, 'box'>): number => box.maxY - box.minY;

/** Everything that is drawn of it, also what sticks out. */
export const drawnBox = ({ box, faces }: Pick<Scene, 'box' | 'faces'>): Box => {
  const { minX, minY, maxX, maxY } = box;
  return boxOf([{ x: minX, y: minY }, { x: maxX, y: maxY }, ...faces.flatMap(({ rings }) => rings.flat())]);
};

/** Every layer of paper at a place, the nearest to the viewer first: also what others hide. */
export const facesAt = ({ faces }: Pick<Scene, 'faces'>, p: Point<'scene'>): readonly Face[] =>
  [...faces].reverse().filter(({ own, map }) => own.some((ring) => contains(applyAll<'scene'>(map, ring), p)));

/** The area of a kind that lies there, the last drawn. */
export const areaAt = ({ marks }: Pick<Scene, 'marks'>, of: AreaKind, p: Point<'scene'>): AreaMark | null =>
  marks.findLast(
    (mark): mark is AreaMark => mark.kind === 'area' && mark.of === of && mark.rings.some((ring) => contains(ring, p)),
  ) ?? null;

/** The place of what the scene was made from that is seen there. */
export const placeOf = <F extends Frame>({ frame }: Pick<Scene, 'frame'>, p: Point<'scene'>): Point<F> =>
  apply<F>(invert(frame), p);

/** A scene to be kept or sent: what is seen of it, as exactly as eyes and maps need it. */
export function seenOnly(scene: Scene): Scene {
  const faces = scene.faces.filter(({ rings }) => rings.length > 0);
  const rounded = (_: string, value: unknown): unknown =>
    typeof value === 'number' ? Math.round(value * 1e5) / 1e5 : value;
  return JSON.parse(JSON.stringify({ ...scene, faces }, rounded)) as Scene;
}

/** Marks of one kind, in drawing order. */
export const marksOf = <K extends SceneMark['kind']>(
  { marks }: Pick<Scene, 'marks'>,
  ...kinds: readonly K[]
): readonly Extract<SceneMark, { kind: K }>[] =>
  marks.filter((mark): mark is Extract<SceneMark, { kind: K }> => kinds.some((kind) => kind === mark.kind));

/** The rings of all areas of a kind. */
export const ringsOf = ({ marks }: Pick<Scene, 'marks'>, of: AreaKind): readonly Polygon<'scene'>[] =>
  marks.flatMap((mark) => (mark.kind === 'area' && mark.of === of ? mark.rings : []));

/** What is seen of the faces of one stuff. */
export const ringsSeen = ({ faces }: Pick<Scene, 'faces'>, stuff: Stuff): readonly Polygon<'scene'>[] =>
  faces.flatMap((face) => (face.stuff === stuff ? face.rings : []));

/** A numbered score of a flat piece. */
export interface ScoreLine extends Segment<'scene'> {
  readonly id: string;
  readonly number: number;
  readonly fold: 'valley' | 'mountain';
}

/** The scores of a flat piece, in the order of their numbers. */
export const scoresOf = ({ faces }: Pick<Scene, 'faces'>): readonly ScoreLine[] =>
  faces
    .flatMap(({ lines }) => lines)
    .flatMap(({ kind, points: [from, to], id = '', number = 0 }) =>
      (kind === 'valley' || kind === 'mountain') && from && to ? [{ id, number, fold: kind, from, to }] : [],
    );

/** Lines of one kind, on all faces. */
export const linesOf = ({ faces }: Pick<Scene, 'faces'>, ...kinds: readonly Line['kind'][]): readonly Line[] =>
  faces.flatMap(({ lines }) => lines).filter(({ kind }) => kinds.includes(kind));
