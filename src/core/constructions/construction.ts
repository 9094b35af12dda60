import type { z } from 'zod';
import type { AssemblyFold, Cavity } from '../fold';
import type { Graduation, Mm } from '../length';
import type { Blank, Edge, Piece } from '../pattern';

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
}

/** The question a construction answers: contents first, or (with `blank`) paper first. Complete: nothing optional. */
export interface Brief<Options = unknown> {
  readonly contents: Contents | null;
  /** Thickness to make room for even when only the paper is known. */
  readonly thickness: Mm;
  readonly blank: Blank | null;
  readonly aim: Ease;
  readonly least: Ease;
  readonly making: Making;
  readonly options: Options;
}

/** Where the first setting is read, so that the tool's programme starts there. */
export interface Start {
  readonly edge: Edge;
  /** `board`: on the board's ruler. `ruler`: measured and marked on the sheet. */
  readonly reference: 'board' | 'ruler';
}

/** A pattern and how it goes together; everything else is read off the folded shape. */
export interface Built {
  readonly piece: Piece;
  readonly folds: readonly AssemblyFold[];
  readonly cavities: readonly [Cavity, ...Cavity[]];
  /** Which length of the contents lies along the first cavity's mouth. */
  readonly acrossMouth: 'width' | 'height';
  readonly start: Start;
  /** Pairs of panels whose lap holds the thing together. */
  readonly holds: readonly (readonly [string, string])[];
  /** Pairs of flaps that face each other across the floor. */
  readonly facing: readonly (readonly [string, string])[];
}

/** Why no pattern exists for a valid question. Data; the sentence is made where words are made. */
export interface Refusal {
  readonly code: 'blank_not_square' | 'notch_off_sheet' | 'setting_off_sheet' | 'corner_too_round' | 'tip_too_deep';
  readonly value: Mm;
  readonly limit: Mm;
}

export type BuildResult =
  { readonly ok: true; readonly built: Built } | { readonly ok: false; readonly refusal: Refusal };

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
  /** The check's id, or the refusal's code. */
  readonly for: string;
  /** The words on its button. */
  readonly label: string;
  /** Options to lay over the design's; `limit` is what the check or refusal was held to. Undefined takes one out. */
  readonly options: (limit: Mm) => Readonly<Record<string, unknown>>;
}

/** One design of holder. Its options' schema gives every option a default, a unit and a reason. */
export interface Construction<Options = unknown> {
  readonly name: string;
  readonly title: string;
  /** What it is for, one line. */
  readonly purpose: string;
  readonly options: z.ZodType<Options>;
  /** Ease aimed for and the least that still goes, when the design names none. */
  readonly ease: { readonly aim: Ease; readonly least: Ease };
  /** Options that make no difference while the others stand as they do. */
  readonly idle: (options: Options) => readonly string[];
  readonly build: (brief: Brief<Options>) => BuildResult;
  readonly schools: readonly School[];
  readonly advice: readonly Advice[];
  readonly cures: readonly Cure[];
  /** What a fold dragged on the sheet means for the design. */
  readonly dragFold: (drag: FoldDrag<Options>) => FoldDecision;
}

/** A fold pulled away from the middle of the sheet by `outward` mm (negative: towards it). */
export interface FoldDrag<Options = unknown> {
  readonly hinge: string;
  readonly outward: number;
  readonly built: Built;
  readonly inside: Ease;
  readonly brief: Brief<Options>;
}

/** Contents first, a dragged fold decides the room aimed for; paper first, it decides options. */
export type FoldDecision = { readonly aim: Ease } | { readonly options: Readonly<Record<string, unknown>> };

/** Erases the option type where constructions of all kinds stand in one list. */
export const anyConstruction = <Options>(construction: Construction<Options>): Construction =>
  construction as unknown as Construction;
