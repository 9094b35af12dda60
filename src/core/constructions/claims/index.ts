/**
 * Claims: what a construction promises beyond its pattern. Each kind is one file with how it is measured on the folded
 * thing and what is said of it, and one line here.
 */
import type { ClaimType, FindingOf, Thing, Words } from './claim';
import { facing } from './facing';
import { laps } from './laps';
import { lid } from './lid';
import { penLoop } from './pen-loop';
import { slides } from './slides';
import { tie } from './tie';
import { tipsTurned } from './tips-turned';
import { wallsMeet } from './walls-meet';

export { HAIR, type Finding, type FindingOf, type Level, type Words } from './claim';
export { leastOf } from './laps';
export { penTaken } from './pen-loop';

const KINDS = {
  laps,
  facing,
  slides,
  'walls-meet': wallsMeet,
  lid,
  'pen-loop': penLoop,
  tie,
  'tips-turned': tipsTurned,
};
type Kinds = typeof KINDS;

export type Claim = {
  [Kind in keyof Kinds]: Kinds[Kind] extends ClaimType<infer Told, infer _> ? Told : never;
}[keyof Kinds];
type FactsOf<Type> = Type extends ClaimType<infer _, infer Found> ? Found : never;
type Together<Each> = (Each extends unknown ? (each: Each) => void : never) extends (all: infer All) => void
  ? All
  : never;
/** What can be found of any claim: of each kind its own. */
export type ClaimFacts = Together<FactsOf<Kinds[keyof Kinds]>>;

/** The sentences of all claims: each file's own are complete. */
export const CLAIM_WORDS = Object.assign({}, ...Object.values(KINDS).map(({ words }) => words)) as Words<ClaimFacts>;

/** What is found of the claims about the pile, or about what stands, in the order they are made. */
export const measured = (
  claims: readonly Claim[],
  of: 'pile' | 'standing',
  thing: Thing,
): readonly FindingOf<ClaimFacts>[] =>
  claims.flatMap((claim) => {
    const type = KINDS[claim.kind] as unknown as ClaimType<Claim, ClaimFacts>;
    return type.of === of ? type.measure(claim, thing) : [];
  });

/** The claims of one kind. */
export const claimsOf = <Kind extends Claim['kind']>(
  claims: readonly Claim[],
  kind: Kind,
): readonly Extract<Claim, { kind: Kind }>[] =>
  claims.filter((claim): claim is Extract<Claim, { kind: Kind }> => claim.kind === kind);
