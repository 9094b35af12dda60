import type { Construction } from './construction';
import { CONSTRUCTIONS } from './list';

/** The construction of that name, or null. */
export const constructionNamed = (name: string): Construction | null =>
  CONSTRUCTIONS.find((c) => c.name === name) ?? null;
