import type { Mm } from '../length';
import type { Edge } from '../pattern';

/** A place on the sheet's rim: along an edge from its left end once that edge is near, mm. */
export interface RimMark {
  readonly edge: Edge;
  readonly at: Mm;
}

/** A place on the sheet as it is measured: along an edge, and in from it; 0 deep is on the rim, less is outside. */
export interface Spot extends RimMark {
  readonly deep: Mm;
  /** How a maker finds it without measuring: at a corner, where scores cross, or on one. */
  readonly on: 'corner' | 'crossing' | 'score' | 'open';
  /** Scores it lies on. */
  readonly scores: readonly string[];
}

/** A stretch of a line, measured from an edge, mm. */
export interface Stretch {
  readonly from: Mm;
  readonly to: Mm;
}

/** A move that runs a score; others on the same line are run in one go. */
export interface Scoring {
  readonly score: string;
  readonly also?: readonly string[];
}

/** What is marked for what. */
export type MarkFor = 'notch' | 'score' | 'slant' | 'hole' | 'slit';

/** What is done to the flat sheet with what lies on any table: a ruler, a knife, scissors, punches. */
export type HandMove =
  /** A quarter turn clockwise: the right edge comes near. */
  | { readonly do: 'turn' }
  | ({ readonly do: 'mark'; readonly for: MarkFor; readonly deep?: Mm } & RimMark)
  /** Score along a ruler from one mark to another; between the notches only, where the line is to be notched. */
  | ({
      readonly do: 'join';
      readonly from: RimMark;
      readonly to: RimMark;
      readonly notched: boolean;
      /** Where it starts and stops when not all along the line: from the first mark's edge, mm. */
      readonly only?: Stretch;
    } & Scoring)
  /** Cut out the corner that two scored lines make at an edge, between two marks. */
  | { readonly do: 'snip'; readonly edge: Edge; readonly from: Mm; readonly to: Mm }
  /** Cut straight from spot to spot; what lies on the right falls away. */
  | { readonly do: 'cut'; readonly what: string; readonly kept?: true; readonly path: readonly Spot[] }
  /** Cut straight from spot to spot with paper left on both sides. */
  | { readonly do: 'slit'; readonly slit: string; readonly what: string; readonly from: Spot; readonly to: Spot }
  /** Round the corner of the paper at a spot. */
  | { readonly do: 'round'; readonly what: string; readonly at: Spot; readonly radius: Mm }
  /** Bite into an edge with a round punch, its middle at a spot. */
  | { readonly do: 'bite'; readonly what: string; readonly at: Spot; readonly diameter: Mm }
  | { readonly do: 'hole'; readonly what: string; readonly at: Spot; readonly diameter: Mm };

/** What is done with an envelope board. */
export type EnvelopeBoardMove =
  /** Lay the near edge in the board: by its ruler (`at` the reading), by a mark on the sheet, or pointer to the last score. */
  | {
      readonly do: 'place';
      readonly edge: Edge;
      readonly by: 'ruler' | 'mark' | 'pointer';
      readonly at: Mm;
      /** The score the pointer comes to, where it is not the last one made. */
      readonly to?: string;
    }
  | { readonly do: 'punch' }
  /** Run the groove; `onward` says the groove ends first and a ruler carries the score to the sheet's edge. */
  | ({ readonly do: 'score'; readonly length: Mm; readonly onward: boolean } & Scoring);

/** With the sheet's left edge at the fence, score down the groove `at` from it. */
export type ScoringBoardMove = {
  readonly do: 'groove';
  readonly edge: Edge;
  readonly at: Mm;
  /** Where it starts and stops when not all along the groove: up from the near edge, mm. */
  readonly only?: Stretch;
} & Scoring;

/** What is done with an edge board. */
export type EdgeBoardMove =
  /** One score as far from the near edge as the board makes it. */
  | ({ readonly do: 'edge-score'; readonly edge: Edge } & Scoring)
  /** Its relief notch, punched where the guide meets the score `at`: slants away on the far or the near side of it. */
  | { readonly do: 'relief'; readonly edge: Edge; readonly at: Mm; readonly slants: 'left' | 'right' };

/** What is done with a tool itself, and not with what lies on any table. */
export type ToolMove = EnvelopeBoardMove | ScoringBoardMove | EdgeBoardMove;
/** One thing the maker does to the flat sheet. */
export type Move = HandMove | ToolMove;

/** What the maker sets or measures, in contract terms. */
export interface Mark extends RimMark {
  readonly for: MarkFor;
  readonly reference: 'board' | 'fence' | 'ruler';
  /** How far in from the edge, for what does not lie on the rim. */
  readonly deep?: Mm;
  /** Where a score that stops part-way starts and stops, from the edge. */
  readonly from?: Mm;
  readonly to?: Mm;
}

/** Moves in the order they are made, and what is set or measured in them. */
export interface Programme {
  readonly moves: readonly Move[];
  readonly marks: readonly Mark[];
}

/** All scores a move runs; none for a move that scores nothing. */
export const scoresRun = (move: object): readonly string[] =>
  'score' in move ? [(move as Scoring).score, ...((move as Scoring).also ?? [])] : [];
