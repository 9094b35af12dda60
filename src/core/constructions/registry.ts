import type { Construction } from './shared/construction';
import { CONSTRUCTIONS, GIVEN } from './list';

const BY_NAME = new Map([...CONSTRUCTIONS, ...GIVEN].map((one) => [one.name, one]));

/** The construction of that name, what is there already included; or null. */
export const constructionNamed = (name: string): Construction | null => BY_NAME.get(name) ?? null;
