/**
 * Claims: what a construction promises beyond its pattern. Each kind is one file with how it is measured on the folded
 * thing and what is said of it, and one line here.
 */
import type { ClaimType, FindingOf, OwnClaim, OwnClaims, OwnFacts, FoldedThing, Together, Words } from './claim';
import { creases } from './creases';
import { facing } from './facing';
import { laps } from './laps';
import { leaves } from './leaves';
import { lid } from './lid';
import { penLoop } from './pen-loop';
import { pullOuts } from './pull-outs';
import { reveal } from './reveal';
import { slides } from './slides';
import { tie } from './tie';
import { tipsTurned } from './tips-turned';
import { wallsMeet } from './walls-meet';

export {
  type ClaimType,
  type Finding,
  type FindingOf,
  type Level,
  type OwnClaim,
  type OwnClaims,
  type OwnFacts,
  type Together,
  type Words,
} from './claim';
export { leastOf } from './laps';
export { CARRIES, closedThickness } from './leaves';
export { penTaken, penWall } from './pen-loop';

const KINDS = {
  reveal,
  laps,
  facing,
  slides,
  'walls-meet': wallsMeet,
  lid,
  'pen-loop': penLoop,
  tie,
  'tips-turned': tipsTurned,
  creases,
  leaves,
  'pull-outs': pullOuts,
};
type Kinds = typeof KINDS;

export type Claim =
  | { [Kind in keyof Kinds]: Kinds[Kind] extends ClaimType<infer Told, infer _> ? Told : never }[keyof Kinds]
  | OwnClaim;
type FactsOf<Type> = Type extends ClaimType<infer _, infer Found> ? Found : never;
/** What can be found of any claim: of each kind its own. */
export type ClaimFacts = Together<FactsOf<Kinds[keyof Kinds]>>;

/** The sentences of all claims: each file's own are complete. */
export const CLAIM_WORDS = Object.assign({}, ...Object.values(KINDS).map(({ words }) => words)) as Words<ClaimFacts>;

/**
 * What is found of the claims about the pile, or about what stands, in the order they are made.
 * @param own the promises that the holder alone makes
 */
export const measured = (
  claims: readonly Claim[],
  of: 'pile' | 'standing',
  thing: FoldedThing,
  own: OwnClaims = {},
): readonly FindingOf<ClaimFacts & OwnFacts>[] =>
  claims.flatMap((claim): readonly FindingOf<ClaimFacts & OwnFacts>[] => {
    if (claim.kind === 'own') {
      const { holder, name } = claim;
      const type = own[name];
      if (!type) throw new Error(`${holder} makes a promise ${name} that it does not measure`);
      if (type.of !== of) return [];
      return type
        .measure(claim, thing)
        .map((found) => ({ ...found, kind: 'own', at: found.kind, about: { holder, name, found } }));
    }
    const type = KINDS[claim.kind] as unknown as ClaimType<Claim, ClaimFacts>;
    return type.of === of ? type.measure(claim, thing) : [];
  });

/** The claims of one kind. */
export const claimsOf = <Kind extends Claim['kind']>(
  claims: readonly Claim[],
  kind: Kind,
): readonly Extract<Claim, { kind: Kind }>[] =>
  claims.filter((claim): claim is Extract<Claim, { kind: Kind }> => claim.kind === kind);
