/**
 * Claims: what a construction promises beyond its pattern. Each kind is one file with how it is measured on the folded
 * thing and what is said of it, and one line here.
 */
import type { ClaimType, FindingOf, Thing, Words } from './claim';
import { facing, type Facing, type FacingFacts } from './facing';
import { laps, type LapFacts, type Laps } from './laps';
import { lid, type Lid, type LidFacts } from './lid';
import { penLoop, type PenFacts, type PenLoop } from './pen-loop';
import { slides, type Slides, type SlidesFacts } from './slides';
import { tie, type Tie, type TieFacts } from './tie';
import { tipsTurned, type TipsTurned, type TipsTurnedFacts } from './tips-turned';
import { wallsMeet, type WallsMeet, type WallsMeetFacts } from './walls-meet';

export { HAIR, type Finding, type FindingOf, type Level, type Words } from './claim';
export { leastOf } from './laps';
export { penTaken } from './pen-loop';

export type Claim = Laps | Facing | Slides | WallsMeet | Lid | PenLoop | Tie | TipsTurned;
export interface ClaimFacts
  extends LapFacts, FacingFacts, SlidesFacts, WallsMeetFacts, LidFacts, PenFacts, TieFacts, TipsTurnedFacts {}

const KINDS = {
  laps,
  facing,
  slides,
  'walls-meet': wallsMeet,
  lid,
  'pen-loop': penLoop,
  tie,
  'tips-turned': tipsTurned,
} satisfies Record<Claim['kind'], unknown>;

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
