import { anyConstruction, type Construction } from './construction';
import { diagonalEnvelope } from './diagonal-envelope';

/** Every construction there is. A new one is one file and one line here; the laws hold it from then on. */
export const CONSTRUCTIONS: readonly Construction[] = [anyConstruction(diagonalEnvelope)];

/** The construction of that name, or null. */
export const constructionNamed = (name: string): Construction | null =>
  CONSTRUCTIONS.find((c) => c.name === name) ?? null;
