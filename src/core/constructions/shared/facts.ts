/**
 * What can be found of a plan, and what the sentence about it needs besides its figures: one line a kind. A kind without
 * words does not compile, and neither does a cure for what nobody asks.
 */
import type { PanelName } from '../../pattern';
import type { AnyProblem, FitRefusal } from '../../fold';
import type { ClaimFacts, OwnFacts } from '../claims';

type Nothing = Readonly<Record<string, never>>;
interface NamedPart {
  /** What a maker calls it. */
  readonly part: string;
}
/** The least size that would do, where one is known. */
interface Enough {
  readonly of?: 'a sheet' | 'contents';
  readonly side?: string;
  readonly would?: number;
}

/** Why no pattern exists for a valid question. */
export interface RefusalFacts {
  'blank-not-square': Nothing;
  'notch-off-sheet': Nothing;
  'setting-off-sheet': Nothing;
  'corner-too-round': Nothing;
  'tip-too-deep': Nothing;
  'sheet-too-small': { readonly side: string };
  /** A part that a cure of its own is for has an id. */
  'part-too-large': NamedPart & { readonly id?: string };
  'part-too-small': NamedPart & Enough;
  'contents-too-small': { readonly side: string } & Enough;
  'notch-cuts-fold': Nothing;
  'notch-cuts-glue': Nothing;
  'hole-cuts-fold': Nothing;
  'holes-touch': Nothing;
  'strip-too-short': Nothing;
  /** All pieces do not come from the sheets there are. */
  'sheets-too-few': { readonly width: number; readonly height: number };
  /** Its size follows from another part of its set, which tells none. */
  'not-told': NamedPart;
  /** A sheet that went wrong has too little left for what is to be made of it. */
  'sheet-past-mending': NamedPart;
}
export type RefusalCode = keyof RefusalFacts;

/** What is asked of every plan, or of its paper, glue and tools. */
export interface HolderFacts {
  'room-width': Nothing;
  'room-height': Nothing;
  'room-depth': { readonly onEdge: boolean };
  'goes-in': {
    readonly why: FitRefusal;
    /** Into a pocket, or a box from above or from its end. */
    readonly into: 'pocket' | 'above' | 'end';
  };
  'what-fits': { readonly width: number; readonly height: number; readonly depth?: number };
  gusset: Nothing;
  /** A panel that crosses the thickness. */
  spine: { readonly panel: PanelName };
  loose: { readonly side: 'width' | 'height' | 'depth'; readonly why: 'sheet' | 'proportions' | 'walls' };
  /** A part that is shorter than usual, for the contents: on a given sheet, or at their size. */
  'gave-way': NamedPart & { readonly sheet: boolean };
  'closing-lap': { readonly panel: PanelName };
  'shallow-pocket': { readonly tall: number };
  'slides-off': Nothing;
  'finished-size': { readonly width: number; readonly height: number };
  overhang: { readonly panel: PanelName };
  hole: Nothing;
  /** What holds or is met, with its article: `the floor`, `score 3`. */
  folding: { readonly code: AnyProblem['code']; readonly panel: PanelName; readonly by: string } | Nothing;
  'thick-contents': Nothing;
  /** A wrap with a side at each edge of its packet: how broad it is flat, and round the packet. */
  stuffed: { readonly flat: number };
  glue: { readonly trouble: 'too_narrow' | 'creeps' | 'cannot_shift'; readonly chosen: string; readonly tape: number };
  closure: {
    readonly kind: string;
    readonly trouble: 'discs_overlap' | 'disc_off_flap' | 'nothing_to_hold' | 'no_holes' | 'covers_opening' | null;
    /** How far apart the middles of two discs come to lie, mm. */
    readonly apart: number;
  };
  paper: {
    readonly width: number;
    readonly height: number;
    /** A paper that would do. */
    readonly other: string | null;
    readonly blankWidth: number;
    readonly blankHeight: number;
    /** It would do, but for the way the print runs. */
    readonly turned: boolean;
    /** The pieces it is for, where not all are of one paper. */
    readonly of: string | null;
  };
  /** How many of the given sheets all pieces take; several only where there are several pieces. */
  sheets: { readonly width: number; readonly height: number; readonly larger: string | null };
  'thin-paper': Nothing;
  'stiff-paper': { readonly thickness: number };
  window: Nothing;
  'window-avoided': Nothing;
  'print-side': { readonly panels: readonly PanelName[] };
  'print-direction': { readonly panel: PanelName; readonly slanted: boolean };
  'print-upside-down': { readonly panels: readonly PanelName[] };
  /** Opened and page by page: what does not stand upright, how it stands, and where. */
  'print-seen': {
    readonly wrong: readonly { readonly name: string; readonly stands: string; readonly faces: readonly string[] }[];
    /** Pieces whose print runs at a slant there, however they are turned. */
    readonly slanted: readonly string[];
  };
  /** A layer for which there is no room; its border. */
  layer: { readonly on: string };
  'narrow-part': NamedPart;
  'close-scores': NamedPart;
  'paper-left': NamedPart;
  'glue-strip': NamedPart;
  board: Nothing;
  'large-blank': { readonly width: number; readonly height: number };
  'between-marks': Nothing;
  'trimmer-end': Nothing;
  'ruler-short': Nothing;
  'no-punch': Nothing;
  'no-corner-rounder': Nothing;
}

export interface Facts extends RefusalFacts, HolderFacts, ClaimFacts, OwnFacts {}
/** Everything that can be found of a plan. */
export type AskedKind = keyof Facts;
