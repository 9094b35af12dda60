import type { z } from '../text/zod';
import type { Start, Making, FindingOf, Words } from '../constructions';
import { inches, lengthSchema, mm, roundTo, type Graduation, type Mm, type Say, type Units } from '../length';
import type { Point } from '../geometry';
import type { Blank, Edge, Piece } from '../pattern';
import type { FaultWords, ToolFaults, ToolLimitFacts } from './fault';
import type { Kit, Tool, ToolKind } from './kinds';
import type { StraightLine } from './lines';
import type { Mark, Move, Programme, RimMark, Spot, ToolMove } from './move';
import type { Sheet, SheetState } from './sheet';

/** A length with limits, in mm. */
interface Limits {
  readonly least: number;
  readonly most: number;
}

/** One figure of a tool. */
export interface Figure {
  /** As a design's tool has it; left out where only an owner's card does. */
  readonly asked?: z.ZodType;
  /** As the card of one's own tool has it, and what a new one starts with. */
  readonly owned?: Limits & { readonly title: string; readonly hint?: string; readonly fresh: Mm };
  /** As it is set on the bench for one project; `clears` where it may be left out. */
  readonly bench?: Limits & {
    readonly title: string;
    readonly hint?: string;
    readonly clears?: string;
    /** Asked only where sheets are notched. */
    readonly notched?: true;
  };
  /** Cut by hand anyway: no figure of the tool itself. */
  readonly byHand?: true;
}
export type Figures = Readonly<Record<string, Figure>>;

/** The notch that is cut by hand where the tool has none. */
export const handNotch = (words: string) =>
  lengthSchema({ over: 0, most: 100 })
    .prefault(inches(3 / 4))
    .describe(words);

/** A step at the table that a tool's move is told as. */
export interface ToolStep {
  readonly action: 'punch' | 'score' | 'cut' | 'mark' | 'trim';
  readonly edge?: Edge;
  readonly at?: Mm;
  readonly score?: string;
  /** All scores of this step, where it makes several. */
  readonly scores?: readonly string[];
  readonly text: string;
  readonly readings?: readonly RulerReading[];
  readonly caution?: 'punch' | 'blade' | 'press';
  /** The edge its picture brings near, where that is not the one the last turn brought. */
  readonly brings?: Edge;
  /** Moves of the programme that this step carries out, itself and those before it; 1 unless said. */
  readonly takes?: number;
}
/** A length that is read off something during a step. */
export interface RulerReading {
  readonly at: Mm;
  /** What it is read on: the tool's own ruler, or one laid along the sheet. */
  readonly on: 'board' | 'fence' | 'ruler' | 'trimmer';
  /** What the length is: `from the left end`, `wide`. */
  readonly what: string;
}
/** Where a move stands when it is told. */
export interface Telling {
  readonly say: Say;
  /** The number of a score on its piece. */
  readonly number: (score: string) => number;
  /** ` of the cover`, where there are several pieces. */
  readonly of: string;
  /** The moves before this one, and those after it. */
  readonly before: readonly Move[];
  readonly after: readonly Move[];
}

/**
 * One kind of move of a tool: what it does to the sheet, how it is told as a step, and in a few words. Written as methods, so
 * that a tool's own moves, which take that tool alone, stand among those of all tools.
 */
export interface MoveType<M = Move, T = Tool> {
  carryOut(move: M, sheet: Sheet, tool: T): void;
  /** Null where the next move's step tells it. */
  step(move: M, telling: Telling): ToolStep | null;
  short(move: M, say: Say): string;
}
/** A move type for each of these moves, complete or it does not compile. */
export type MovesOf<M extends { readonly do: string }, T> = {
  readonly [Do in M['do']]: MoveType<Extract<M, { readonly do: Do }>, T>;
};

/** What lies in or under the sheet, in the maker's own view: x to the right from where the tool works, y away, mm. */
export interface Under {
  readonly box: { readonly left: number; readonly right: number; readonly bottom: number; readonly top: number };
  /** How far left of the origin the sheet's left end lies. */
  readonly shift: number;
  readonly things: readonly UnderThing[];
}
export type UnderThing =
  /** A groove a score is run in. */
  | { readonly is: 'groove'; readonly from: Point; readonly to: Point }
  /** Grooves all over, square to the fence, with those to use. */
  | { readonly is: 'grooves'; readonly end: number; readonly pitch: number | null; readonly lit: readonly Mm[] }
  /** A ruler along the near edge that runs left from `from`; what it reads is lit. */
  | { readonly is: 'scale'; readonly from: number; readonly end: Mm; readonly lit: Mm | null }
  | { readonly is: 'fence'; readonly along: 'left' | 'near' }
  /** A punch over the sheet, with its pointer. */
  | { readonly is: 'punch'; readonly across: number; readonly pressed: boolean };

/** Something the hands can do at a tool on the screen, with the length it is set to where there is one. */
export interface ToolGesture {
  readonly title: string;
  readonly length?: { readonly title: string; readonly most: number; readonly fresh: Readonly<Record<Units, Mm>> };
  readonly off?: boolean;
  readonly moves: (length: Mm) => readonly Move[];
}

/** What a tool is asked about a plan. */
export interface ToolWork {
  readonly pieces: readonly { readonly piece: Piece; readonly programme: Programme }[];
  readonly start: Start;
  readonly graduation: Graduation;
  /** Folded from sheets that are notched on every edge. */
  readonly notched: boolean;
}
/** What a tool does not reach, or not without help; `marks` are ones that would suit it. */
export type ToolFinding = FindingOf<ToolLimitFacts> & { readonly marks?: Graduation };

/**
 * One kind of tool: its figures and their limits, what it makes and by which moves, the simulated tool that carries
 * those out, its picture, and everything that is said of it. One file and one line in the list.
 */
export interface ToolType<T = Tool> {
  readonly kind: ToolKind;
  readonly title: string;
  readonly plural: string;
  readonly figures: Figures;
  /** What a plan is made for with it; null where it only helps. */
  readonly plan: PlanTool<T> | null;
  /** What it is on the table besides the tool that scores: the largest there is, or one of many sizes. */
  readonly kit?: {
    readonly key: keyof Kit;
    readonly figure: string;
    readonly how: 'longest' | 'each';
    readonly describe: string;
  };
}

/** What a plan is made for. Written as methods for the same reason as its moves. */
export interface PlanTool<T = Tool> {
  /** As it stands among the tools to plan for. */
  readonly offered: string;
  /** Its figures in a line, where they are not set on the bench. */
  told?(tool: T, say: Say): string;
  /** Always there: nobody lists it among the boards they own. */
  readonly common?: true;
  /** What a construction needs to know of it. */
  making(tool: T, graduation: Graduation): Making;
  /** A piece in one go; null where this tool does not make it so. */
  whole?(piece: Piece, start: Start, tool: T): Programme | null;
  /** The notches and scores of a sheet that is notched on every edge. */
  notched?(piece: Piece, start: Start, tool: T): Programme;
  /** One straight score, and the edge that must be near for it; null where a ruler makes it. */
  score?(
    line: StraightLine,
    blank: Blank,
    tool: T,
  ): { readonly near: Edge | null; readonly move: ToolMove; readonly mark: Mark | null } | null;
  /** What it makes of a cut before the blade does, and what that marks. */
  slants?(path: readonly Spot[], tool: T): readonly { readonly move: ToolMove; readonly marks: RimMark }[];
  readonly moves: Readonly<Record<string, MoveType>>;
  readonly faults: Partial<FaultWords<ToolFaults>>;
  /** What is set or marked with it, and so wants to stand on a mark of the ruler; all scores unless said. */
  settings?(work: ToolWork): readonly Mark[] | null;
  /** Where it ends, and what it does not reach. */
  limits?(tool: T, work: ToolWork): readonly ToolFinding[];
  readonly words: Partial<Words<ToolLimitFacts>>;
  /** Its moves, tried on a simulated one, give the pattern: said so. */
  readonly proof: string;
  /** What lies under the sheet in the last of these moves; null when it lies free. */
  under?(tool: T, moves: readonly Move[], sheet: { readonly wide: number; readonly deep: number }): Under | null;
  /** What the hands can do with it on the screen, on a sheet as it is by now. */
  hands?(tool: T, sheet: SheetState): readonly ToolGesture[];
}

/** What a construction needs to know of a tool that has no notch: it is measured, so it stands on the graduation. */
export function makingByHand({ notch }: { readonly notch: Mm }, graduation: Graduation): Making {
  const measured = roundTo(notch, graduation, 'nearest');
  return { graduation, notch: measured > 0 ? measured : notch, offset: mm(0), rulerEnd: null, relief: null };
}
