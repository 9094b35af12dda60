import type { Say } from '../length';
import type { Edge } from '../pattern';

/** What can go wrong in a move, as data: the codes of a table of faults with what their words need. */
export type FaultIn<Facts> = { [Code in keyof Facts & string]: { readonly code: Code } & Facts[Code] }[keyof Facts &
  string];
export type FaultWords<Facts> = {
  readonly [Code in keyof Facts & string]: (fault: Facts[Code], say: Say) => string;
};

/** A code that says everything. */
export type NoFacts = object;
type Kind = 'score' | 'notch' | 'cut' | 'slit' | 'hole';

/** What can go wrong with any tool, or by hand; and how what was made differs from the pattern. */
export interface CommonFaults {
  /** A move of a tool that does not lie on the table. */
  'no-tool': { readonly tool: string };
  'wrong-edge': { readonly edge: Edge; readonly near: Edge };
  'score-unmarked': { readonly score: string };
  'no-crossing': { readonly edge: Edge };
  unmarked: { readonly what: string; readonly edge: Edge; readonly at: number };
  'no-corner': { readonly what: string };
  'corner-goes-in': { readonly what: string };
  'radius-too-large': { readonly what: string; readonly radius: number; readonly needs: number; readonly has: number };
  'bites-nothing': { readonly what: string };
  'not-made': { readonly what: Kind; readonly count: number };
  'not-wanted': { readonly what: Kind; readonly count: number };
  'other-waste': { readonly by: 'cut' | 'round' | 'bite' };
}
/** What can go wrong with one of the tools. */
export interface ToolFaults {
  'not-laid': NoFacts;
  'ruler-ends': { readonly at: number };
  'no-mark': { readonly edge: Edge; readonly at: number };
  'pointer-meets-nothing': NoFacts;
  'board-ends': { readonly at: number };
  'no-groove': { readonly at: number };
  'guide-meets-nothing': { readonly edge: Edge; readonly at: number };
}
/** What the tools' limits can find of a plan: for each kind what its sentence needs. */
export interface ToolLimitFacts {
  'ruler-end': NoFacts;
  'groove-end': NoFacts;
  'slanted-scores': NoFacts;
  'board-end': NoFacts;
  'between-grooves': { readonly below: number; readonly above: number };
}
/** Anything that can go wrong in the simulated making of a piece. */
export type Fault = FaultIn<CommonFaults> | FaultIn<ToolFaults>;

export const COMMON_FAULT_WORDS: FaultWords<CommonFaults> = {
  'no-tool': ({ tool }) => `there is no ${tool} on the table to lay the sheet in`,
  'wrong-edge': ({ edge, near }) => `edge ${edge} is not near: edge ${near} is`,
  'score-unmarked': ({ score }) => `score ${score} lacks a mark to start or end at`,
  'no-crossing': ({ edge }) => `no two scores meet over edge ${edge} to cut a notch by`,
  unmarked: ({ what, edge, at }, say) => `the ${what} lacks a mark ${say(at)} along edge ${edge}`,
  'no-corner': ({ what }) => `the corner of the ${what}: there is no corner of the paper to round`,
  'corner-goes-in': ({ what }) => `the corner of the ${what}: the paper has no corner that stands out there`,
  'radius-too-large': ({ what, radius, needs, has }, say) =>
    `the corner of the ${what}: a radius of ${say(radius)} needs ${say(needs)} of either edge, and there are ${say(has)}`,
  'bites-nothing': ({ what }) => `the punch for the finger notch in the ${what} meets no paper`,
  'not-made': ({ what, count }) => `${what} ${count} of the pattern was not made`,
  'not-wanted': ({ what, count }) => `${what} ${count} that was made is not in the pattern`,
  'other-waste': ({ by }) =>
    `${{ cut: 'what is cut off', round: 'what comes off at round corners', bite: 'what the punch bites off' }[by]} is not what the pattern leaves out`,
};
