/** Constructions: `constructionNamed('diagonal-envelope')` draws the pattern for a card, or says what a sheet can be. */
export * from './shared/construction';
export { drawn } from './shared/drawn';
export { withFeatures } from './shared/features';
export { soldAs, soldFor } from './envelopes/sold';
export { CONSTRUCTIONS, GIVEN } from './list';
export { constructionNamed } from './registry';
export { optionFields, type OptionField } from './shared/options';
export * from './claims';
export type { AskedKind, Facts, RefusalCode } from './shared/facts';
