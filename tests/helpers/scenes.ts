import type { Leaf, Touch } from '../../src/core/fold';
import type { INode } from 'svgson';
import type { Design } from '../../src/core/design';
import type { Point, Polygon, Segment } from '../../src/core/geometry';
import type { Made } from '../../src/core/plan';
import { planOf } from './designs';
import { stillScene, type Face, type Line, type Scene } from '../../src/core/scene';

const DEEP = ['tray-box', 'diagonal-box', 'pad-holder', 'folio', 'desk-file'];
/** A holder of the plainest kind: round a card, or a pile of them where it stands. */
export function someOf(construction: string, more: object = {}): { readonly made: Made; readonly design: Design } {
  const contents = { width: '4 in', height: '4 1/2 in', thickness: DEEP.includes(construction) ? '1 in' : 0 };
  const { made, design } = planOf({ version: 1, construction, contents, ...more });
  return { made: made!, design };
}

/** How much a reader may be off, mm. */
export const WITHIN = 0.01;

/** A node of a file that was read, and all below it. */
export const nodesOf = (node: INode): INode[] => [node, ...node.children.flatMap(nodesOf)];
/** Rings of an SVG path, in its own units. */
export const ringsOfPath = (path: string): Point[][] =>
  path
    .split('Z')
    .filter(Boolean)
    .map((ring) =>
      ring
        .slice(1)
        .split('L')
        .map((pair) => pair.split(' ').map(Number))
        .map(([x, y]) => ({ x: x!, y: y! })),
    );
/** The scene's own rings of paper, in the order they are drawn. */
export const paperRings = ({ faces }: Scene): readonly Polygon[] =>
  faces.flatMap(({ stuff, rings }) => (stuff === 'paper' ? rings : []));
/** Held against each other corner by corner. */
export function expectSame(found: readonly (readonly Point[])[], wanted: readonly Polygon[]): void {
  expect(found.map(({ length }) => length)).toEqual(wanted.map(({ length }) => length));
  const far = found.flatMap((ring, i) =>
    ring.map((p, k) => Math.hypot(p.x - wanted[i]![k]!.x, p.y - wanted[i]![k]!.y)),
  );
  expect(Math.max(0, ...far)).toBeLessThan(WITHIN);
}

/** A scene of a flat piece, laid out by what a reader of a file finds in it. */
export interface FlatPiece {
  readonly name: string;
  readonly blank: { readonly width: number; readonly height: number };
  readonly outline: readonly Polygon[];
  readonly scores: readonly (Segment & { readonly id: string; readonly number: number })[];
  readonly slits: readonly Segment[];
  readonly holes: readonly { readonly centre: Point; readonly diameter: number }[];
  readonly glue: readonly Polygon[];
  readonly noGlue: readonly Polygon[];
}

const ends = ({ points }: Line): Segment => ({ from: points[0]!, to: points.at(-1)! });

export function flatPiece({ name, box, faces, marks }: Scene): FlatPiece {
  const lines = faces.flatMap((face) => face.lines);
  const areas = (kind: string): readonly Polygon[] =>
    marks.flatMap((mark) => (mark.kind === 'area' && mark.of === kind ? mark.rings : []));
  return {
    name,
    blank: { width: box.maxX - box.minX, height: box.maxY - box.minY },
    outline: faces.flatMap((face) => (face.stuff === 'paper' ? face.rings : [])),
    scores: lines
      .filter(({ kind }) => kind === 'valley' || kind === 'mountain')
      .map((line) => ({ ...ends(line), id: line.id!, number: line.number! })),
    slits: lines.filter(({ kind }) => kind === 'slit').map(ends),
    holes: marks.flatMap((mark) => (mark.kind === 'hole' ? [{ centre: mark.at, diameter: mark.diameter }] : [])),
    glue: areas('glue'),
    noGlue: areas('no-glue'),
  };
}

/** Each panel of what stands as it is drawn, the furthest first, with its corners in the picture. */
export const stillOf = (
  leaves: readonly Leaf[],
  touches: readonly Touch[],
): readonly (Pick<Face, 'side' | 'light'> & { readonly panel: string; readonly points: readonly Point[] })[] =>
  stillScene({ leaves, touches, hinges: [] }).faces.map(({ id, side, light, rings }) => ({
    panel: id,
    side,
    light,
    points: rings[0]!,
  }));
