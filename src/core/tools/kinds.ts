/** The kinds of tool there are, as data: a design's tool, one that is owned, what of them lies on the table. */
import type { Mm } from '../length';

/** Punches notches and scores from them at half a right angle. */
export interface EnvelopeBoard {
  readonly kind: 'envelope-board';
  /** Length of the notch, along the sheet's edge. */
  readonly notch: Mm;
  /** True setting less the reading of the board's ruler. */
  readonly offset: Mm;
  readonly rulerEnd: Mm;
  readonly grooveEnd: Mm;
}
/** Has grooves square to its fence. */
export interface ScoringBoard {
  readonly kind: 'scoring-board';
  readonly length: Mm;
  /** From one groove to the next; left out where there is one for every mark. */
  readonly pitch?: Mm | undefined;
  /** Cut by hand. */
  readonly notch: Mm;
}
/** Makes one score near an edge, and a relief notch. */
export interface EdgeBoard {
  readonly kind: 'edge-board';
  readonly scoreFrom: Mm;
  readonly relief: Mm;
  readonly offset: Mm;
  readonly notch: Mm;
}
/** Marks and lines by hand. */
export interface HandRuler {
  readonly kind: 'ruler';
  readonly notch: Mm;
}

/** What the maker works with, as a design has it. */
export type Tool = EnvelopeBoard | ScoringBoard | EdgeBoard | HandRuler;

/** A design's tool as it is written: lengths in any way a length is written, what is left out as usual. */
export type ToolInput = InputOf<Tool>;
type InputOf<T> = T extends Tool
  ? { kind: T['kind'] } & { [Name in Exclude<keyof T, 'kind'>]?: string | number | undefined }
  : never;

interface Owned<Kind extends string> {
  readonly id: string;
  readonly name: string;
  /** Lies on the table today. */
  readonly out: boolean;
  readonly kind: Kind;
}
type Figured<Names extends string> = { readonly [Name in Names]: Mm };

/** One tool a maker owns: its figures, its name, and whether it is out today. */
export type OwnTool =
  | (Owned<'envelope-board'> & Figured<'notch' | 'offset' | 'rulerEnd' | 'grooveEnd'>)
  | (Owned<'scoring-board'> & Figured<'length' | 'pitch'>)
  | (Owned<'edge-board'> & Figured<'scoreFrom' | 'relief' | 'offset'>)
  | (Owned<'ruler'> & Figured<'length'>)
  | (Owned<'trimmer'> & Figured<'longest'>)
  | (Owned<'punch'> & Figured<'diameter'>)
  | (Owned<'corner-rounder'> & Figured<'radius'>);
export type ToolKind = OwnTool['kind'];

/** What else lies on the table besides the tool that scores. What is left out is not asked about. */
export interface Kit {
  readonly trimmer?: Mm | undefined;
  readonly ruler?: Mm | undefined;
  readonly punches?: readonly Mm[] | undefined;
  readonly rounders?: readonly Mm[] | undefined;
}
/** That as it is written. */
export interface KitInput {
  readonly trimmer?: string | number | undefined;
  readonly ruler?: string | number | undefined;
  readonly punches?: readonly (string | number)[] | undefined;
  readonly rounders?: readonly (string | number)[] | undefined;
}
