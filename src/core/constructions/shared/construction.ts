import type { PanelId, ScoreId, StepId, Blank, Edge, Piece } from '../../pattern';
import type { z } from '../../text/zod';
import type { AssemblyStep, Cavity } from '../../fold';
import type { Point } from '../../geometry';
import type { Graduation, Mm, Units } from '../../length';
import type { Claim, OwnClaims } from '../claims';
import type { AskedKind, RefusalCode } from './facts';

export interface Contents {
  readonly width: Mm;
  readonly height: Mm;
  readonly thickness: Mm;
}

/** Room either way, both sides together. */
export interface Ease {
  readonly width: Mm;
  readonly height: Mm;
}

/** What a construction must know of the tool: where positions fall, and what notch it cuts. */
export interface Making {
  readonly graduation: Graduation;
  /** Length of the notch along the sheet's edge. */
  readonly notch: Mm;
  /** True position less the reading of the board's ruler; 0 by hand. */
  readonly offset: Mm;
  /** Largest setting the board's ruler shows; null when positions are measured on the sheet. */
  readonly rulerEnd: Mm | null;
  /** A board that scores near an edge: how far from it, and how far in from a score its relief notch slants. */
  readonly relief: { readonly from: Mm; readonly inset: Mm } | null;
}

/** The question a construction answers: contents first, or (with `blank`) paper first. Complete: nothing optional. */
export interface Brief<Options = unknown> {
  /** What room is made for: what goes in, its width and height with what the holder's own paper takes beside it. */
  readonly contents: Contents | null;
  /** What goes in, as it is. */
  readonly asked: Contents | null;
  /** Thickness to make room for even when only the paper is known. */
  readonly thickness: Mm;
  /** How deep a box has to be for that: what its own paper takes of the depth with it. */
  readonly deep: Mm;
  readonly blank: Blank | null;
  readonly aim: Ease;
  readonly least: Ease;
  readonly making: Making;
  /** Units in which usual lengths are said. */
  readonly usual: Units;
  /** Thickness of the paper. */
  readonly caliper: Mm;
  readonly options: Options;
}

/** Where the first setting is read, so that the tool's programme starts there. */
export interface Start {
  readonly edge: Edge;
  /** `board`: on the board's ruler. `ruler`: measured and marked on the sheet. */
  readonly reference: 'board' | 'ruler';
}

/** Something dragged on the sheet: a fold that moves along a direction, and what that decides. */
export interface Grip {
  readonly hinge: ScoreId;
  /** Unit vector on the sheet along which the fold moves. */
  readonly along: Point<'sheet'>;
  /** What moves, in a maker's words: `depth of the pocket`. */
  readonly label: string;
  readonly does:
    /** The room aimed for grows by `rate` mm for every mm along. */
    | { readonly kind: 'room'; readonly side: 'width' | 'height'; readonly rate: number }
    /** An option grows by `rate` mm for every mm along, from what it is now. */
    | {
        readonly kind: 'option';
        readonly option: string;
        readonly from: Mm;
        readonly rate: number;
        readonly least: Mm;
        readonly most: Mm;
      };
}

/** Something cut through panels once it is known where they lie: placed on the folded thing, cut in the flat. */
export type Feature =
  /** A half-round bite at the middle of a cavity's opening, through what covers the contents there. */
  | {
      readonly kind: 'finger-notch';
      readonly cavity: string;
      readonly diameter: Mm;
      /** How deep it goes, as a share of its diameter. */
      readonly bite: number;
      /** Punched while the piece is flat, or once it is glued. */
      readonly when: 'flat' | 'assembled';
    }
  /** A hole through all of the named panels that lie over each other at a place on the sheet of the first. */
  | {
      readonly kind: 'hole';
      readonly id: string;
      readonly panels: readonly [string, ...string[]];
      readonly centre: Point<'sheet'>;
      readonly diameter: Mm;
    };

/** A pattern and how it goes together; everything else is read off the folded shape. */
export interface Built {
  /** The first is the one whose blank a paper-first design gives. Panels are named apart across all pieces. */
  readonly pieces: readonly [Piece, ...Piece[]];
  readonly assembly: readonly AssemblyStep[];
  /** The first is the one the contents are sized for; none for what holds nothing: a mat. */
  readonly cavities: readonly Cavity[];
  /** What it promises beyond its pattern. */
  readonly claims: readonly Claim[];
  readonly start: Start;
  /** What shuts it where its own options say so, unless its maker chooses something else; null for nothing. */
  readonly ties: 'laced' | 'bow' | null;
  /** Panels meant to stand out past the floor. */
  readonly proud: readonly PanelId[];
  /** The side of the finished pile that is looked at: what lay on the table, or the top. */
  readonly front: 'below' | 'above';
  /** The step after which it lies as it is when its owner opens it; null for what is not opened to be looked at. */
  readonly opensTo: StepId | null;
  readonly grips: readonly Grip[];
  readonly features: readonly Feature[];
}

/** What most constructions have none of; a construction writes only what it has. */
export const PLAIN = {
  cavities: [],
  claims: [],
  start: { edge: 1, reference: 'ruler' },
  ties: null,
  proud: [],
  front: 'below',
  opensTo: null,
  grips: [],
  features: [],
} as const satisfies Partial<Built>;

/** Why no pattern exists for a valid question. Data; the sentence is made where words are made. */
export interface Refusal {
  readonly code: RefusalCode;
  readonly value: Mm;
  readonly limit: Mm;
  /** What its sentence needs besides: which side of the sheet, which part. */
  readonly about?: {
    readonly part?: string;
    readonly id?: string;
    readonly side?: string;
    readonly width?: number;
    readonly height?: number;
  };
}

export type BuildResult =
  | { readonly ok: true; readonly built: Built }
  | { readonly ok: false; readonly refusal: Refusal };

/** A choice makers disagree on. */
export interface School {
  readonly option: string;
  readonly value: string;
  readonly title: string;
  readonly why: string;
}

/** A usual mistake and what avoids it. */
export interface Advice {
  readonly mistake: string;
  readonly instead: string;
}

/** A change of a construction's own options that cures a failed check, or a refusal. */
export interface Cure {
  /** The finding, or the refusal, that it cures. */
  readonly for: AskedKind;
  /** The id of the part a refusal must be about, where there are several. */
  readonly id?: string;
  /** The words on its button. */
  readonly label: string;
  /**
   * Options to lay over the design's; `limit` is what the check or refusal was held to, `now` the options as they are.
   * Undefined takes one out; null where it cannot help as things are.
   */
  readonly options: (
    limit: Mm,
    now: Readonly<Record<string, unknown>>,
    design: { readonly thickness: Mm; readonly graduation: Graduation },
  ) => Readonly<Record<string, unknown>> | null;
}

/**
 * What a holder does with what it holds: closes over it, stays open, goes round it, stands about it, gathers many in a
 * book; or decorates.
 */
export const DOES = ['closes', 'opens', 'wraps', 'stands', 'gathers', 'decorates'] as const;
export type Does = (typeof DOES)[number];

/** One design of holder. Its options' schema gives every option a default, a unit and a reason. */
export interface Construction<Options = unknown> {
  readonly name: string;
  readonly does: Does;
  readonly title: string;
  /** What it is for, one line. */
  readonly purpose: string;
  readonly options: z.ZodType<Options>;
  /** Ease aimed for and the least that still goes, when the design names none. */
  readonly ease: { readonly aim: Ease; readonly least: Ease };
  /** Options that make no difference while the others stand as they do. */
  readonly idle: (options: Options) => readonly string[];
  readonly build: (brief: Brief<Options>) => BuildResult;
  /** What its usual options become for contents they do not suit; only those that nobody told are taken. */
  readonly suited?: (brief: Brief<Options>) => Partial<Options>;
  readonly schools: readonly School[];
  readonly advice: readonly Advice[];
  readonly cures: readonly Cure[];
  /** Promises that this holder alone makes. */
  readonly claims?: OwnClaims;
  /** Figures it is held to, and where they come from. */
  readonly sources: readonly string[];
}

/** Erases the option type where constructions of all kinds stand in one list. */
export const anyConstruction = <Options>(construction: Construction<Options>): Construction =>
  construction as unknown as Construction;
