/** Constructions: `constructionNamed('diagonal-envelope')` draws the pattern for a card, or says what a sheet can be. */
export * from './construction';
export { drawn } from './drawn';
export { withFeatures } from './features';
export { soldAs } from './envelopes/bought-envelope';
export { CONSTRUCTIONS, GIVEN } from './list';
export { constructionNamed } from './registry';
export { optionFields, type OptionField } from './options';
export * from './claims';
export type { AskedKind, Facts, RefusalCode } from './facts';
