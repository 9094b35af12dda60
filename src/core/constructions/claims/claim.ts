import type { PanelId, PanelName } from '../../pattern';
import type { Calipers, Cavity, Folded } from '../../fold';
import type { Mm, Say } from '../../length';

export type Level = 'pass' | 'note' | 'warn' | 'fail';

/** What was found of one thing asked, as data: what it is, the figures, and what its sentence needs besides. */
export interface Finding<Kind extends string = string, About = object> {
  readonly kind: Kind;
  /** Which of several: a panel, a step. */
  readonly at?: string;
  readonly level: Level;
  /** What was found and what it is held to: mm, mm² for a hole, a count for folds. */
  readonly value: number;
  readonly limit: number;
  readonly about: About;
  /** What a cure is told, where the holder has one; nothing is offered without. */
  readonly cure?: Mm;
}

/** The findings that a table of facts describes: for each kind what its sentence needs. */
export type FindingOf<Facts> = { [Kind in keyof Facts & string]: Finding<Kind, Facts[Kind]> }[keyof Facts & string];
/** A sentence for every kind of finding, complete or it does not compile. */
export type Words<Facts> = {
  readonly [Kind in keyof Facts & string]: (finding: Finding<Kind, Facts[Kind]>, say: Say) => string;
};

/** What a claim is asked of. */
export interface FoldedThing {
  readonly folded: Folded;
  /** What the contents are sized for. */
  readonly cavity: Cavity | undefined;
  /** How thick the paper of a piece is. */
  readonly caliper: Calipers;
  /** What a maker calls a panel. */
  readonly name: (panel: PanelId) => PanelName;
}

/** One kind of promise: how it is measured on the folded thing, and what is said of it. */
export interface ClaimType<Claim, Facts> {
  /** Asked of the pile that lies flat, or of what stands. */
  readonly of: 'pile' | 'standing';
  readonly measure: (claim: Claim, thing: FoldedThing) => readonly FindingOf<Facts>[];
  readonly words: Words<Facts>;
}

/** All of several tables of facts at once. */
export type Together<Each> = (Each extends unknown ? (each: Each) => void : never) extends (all: infer All) => void
  ? All
  : never;

/** A promise that one holder alone makes: measured and worded in that holder's own file, by its name there. */
export interface OwnClaim {
  readonly kind: 'own';
  readonly holder: string;
  readonly name: string;
}
/** What a holder's own promises are, by name. */
export type OwnClaims = Readonly<
  Record<
    string,
    {
      readonly of: 'pile' | 'standing';
      readonly measure: (claim: OwnClaim, thing: FoldedThing) => readonly Finding[];
      readonly words: Readonly<Record<string, (finding: never, say: Say) => string>>;
    }
  >
>;
export interface OwnFacts {
  own: { readonly holder: string; readonly name: string; readonly found: Finding };
}
