import {
  apply,
  nearRim,
  TOLERANCE,
  type Affine,
  type Box,
  type Point,
  type Polygon,
  type Pose,
  type Segment,
} from '../geometry';
import type { Side } from '../fold';
import type { PaperFace } from '../papers';
import type { Edge, Hinge } from '../pattern';

/**
 * What a face is of: paper that is cut, the sheet it is cut from, paper the maker has already, what goes in, what is glued
 * on, the glue itself.
 */
export type Stuff = 'paper' | 'stock' | 'given' | 'contents' | 'laid' | 'glue';

/** How what is drawn stands out: made just now, or not as it should be. */
export type State = 'fresh' | 'wrong';

/** What one side of a sheet looks like, and how a print lies on it: from a place of its tile to one of the sheet, mm. */
export interface SideLooks {
  readonly face: PaperFace;
  readonly lies: Affine;
}

/** What a sheet of paper looks like on either side. */
export type SheetLooks = Readonly<Record<Side, SideLooks>>;

/** One side of one panel, wherever it lies. */
export interface FaceOf {
  /** Its own in the scene. */
  readonly id: string;
  /** The piece it is of: its paper by reference, as a design names papers. */
  readonly piece: string;
  /** Its panel; null for the whole of a sheet. */
  readonly panel: string | null;
  /** The side that is looked at. */
  readonly side: Side;
  readonly stuff: Stuff;
  /** What it is called, where it is something of its own that lies there. */
  readonly title?: string;
  /** What the paper it is of looks like; nothing for what is no paper. */
  readonly paper?: SheetLooks;
  /** Its outline where it lies on its own sheet, mm: there a print is measured. */
  readonly own: readonly Polygon<'sheet'>[];
}

/** A line on a face: what is cut, folded, or runs where it is not seen. A simulated tool knows of no valley: it scores. */
export interface Line {
  readonly kind: 'valley' | 'mountain' | 'score' | 'slit' | 'cut' | 'hidden';
  readonly points: readonly Point<'scene'>[];
  /** The score it is, and its number in the steps. */
  readonly id?: string;
  readonly number?: number;
  readonly state?: State;
}

/** A face that lies in the scene's plane. */
export interface Face extends FaceOf {
  /** How it was carried from its own sheet to where it is seen. */
  readonly map: Affine;
  /** What of it is seen, its rim; nothing where other paper hides it. */
  readonly rings: readonly Polygon<'scene'>[];
  /** How deep it lies in its pile: 0 is nearest to the viewer. */
  readonly depth: number;
  /** How much light falls on it, 0 to 1. */
  readonly light: number;
  readonly lines: readonly Line[];
}

/** Areas that lie on faces or are seen through them. */
export type AreaKind =
  | 'blank'
  | 'glue'
  | 'no-glue'
  | 'contents'
  | 'going-in'
  | 'insert'
  | 'laid'
  | 'window'
  | 'front'
  | 'notch'
  | 'waste'
  | 'gone'
  | 'offcut'
  /** A part that hangs by one fold: it is not drawn, but may be pointed at. */
  | 'flap';

/** An area that lies on faces. */
export interface AreaMark {
  readonly kind: 'area';
  readonly of: AreaKind;
  readonly rings: readonly Polygon<'scene'>[];
  readonly state?: State;
  /** Which of what it was made from it is. */
  readonly id?: string;
  /** What its paper looks like, where it is a piece of paper. */
  readonly paper?: SheetLooks;
}

/** What lies on faces; each kind is drawn as the style says. */
export type SceneMark =
  | AreaMark
  | { readonly kind: 'hole'; readonly at: Point<'scene'>; readonly diameter: number; readonly state?: State }
  /** A disc of card; `cut` is how far below its middle it is cut off. */
  | { readonly kind: 'disc'; readonly at: Point<'scene'>; readonly diameter: number; readonly cut: number | null }
  | { readonly kind: 'cord' | 'ribbon'; readonly from: Point<'scene'>; readonly to: Point<'scene'> }
  /** The number of scores that are run in one go, on the longest of them. */
  | {
      readonly kind: 'number';
      readonly number: number;
      readonly from: Point<'scene'>;
      readonly to: Point<'scene'>;
    }
  /** A panel's or piece's name, and the room there is for it. */
  | {
      readonly kind: 'name';
      readonly text: string;
      /** The panel it names. */
      readonly of: string;
      readonly at: Point<'scene'>;
      readonly room: { readonly width: number; readonly height: number };
    }
  | { readonly kind: 'mark' | 'scar'; readonly at: Point<'scene'>; readonly state?: State }
  /** Which way is up on a print, degrees clockwise from the viewer's up. */
  | { readonly kind: 'upward'; readonly at: Point<'scene'>; readonly turn: number };

/** Where what a view adds is fixed: rulers and numbers along the edges of a sheet, from left to right as each is near. */
export interface Anchor {
  readonly edge: Edge;
  readonly from: Point<'scene'>;
  readonly to: Point<'scene'>;
}

/** Paper as it is seen from one side: millimetres, x to the right, y up. Pure data; every picture and file is one. */
export interface Scene {
  readonly kind: 'sheet' | 'table' | 'pile' | 'still' | 'layout';
  readonly name: string;
  /** The paper it is about; what sticks out of it is not counted. */
  readonly box: Box;
  /** From the furthest to the nearest. */
  readonly faces: readonly Face[];
  /** In drawing order. */
  readonly marks: readonly SceneMark[];
  readonly anchors: readonly Anchor[];
  /** How places of what it was made from lie in it. */
  readonly frame: Affine;
}

/** A face that stands in space. */
export interface SpaceFace extends FaceOf {
  readonly pose: Pose;
  /** The folds along its rim, on its own sheet. */
  readonly folds: readonly (Segment<'sheet'> & Pick<Hinge, 'id' | 'fold'>)[];
  /** Holes through it, on its own sheet. */
  readonly holes: readonly { readonly centre: Point<'sheet'>; readonly diameter: number }[];
}

/** Paper in space: what stands at one moment. */
export interface SpaceScene {
  readonly kind: 'space';
  readonly faces: readonly SpaceFace[];
}

/** The folds along a panel’s rim. What hangs on a strip that goes round an edge has its fold beyond the strip: none of its own. */
export function foldsOf(panel: string, own: Polygon<'sheet'>, hinges: readonly Hinge[]): readonly Hinge[] {
  return hinges.filter(
    ({ between, line }) =>
      between.some((id) => id === panel) && [line.from, line.to].every((p) => nearRim(own, p, TOLERANCE.drawn)),
  );
}
/** The same where a map carries them. */
export const foldLines = (folds: readonly Hinge[], map: Affine): readonly Line[] =>
  folds.map(({ id, fold, line }) => ({ kind: fold, id, points: [apply(map, line.from), apply(map, line.to)] }));

/** What a face is of, by the piece it is of: what is put in and on has names of its own. */
export const stuffOf = (piece: string, given: ReadonlySet<string>): Stuff =>
  piece === 'contents' || piece === 'glue' || piece === 'laid' ? piece : given.has(piece) ? 'given' : 'paper';
