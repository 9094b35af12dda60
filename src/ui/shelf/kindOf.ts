import { constructionNamed } from '@/core/constructions';
import type { Project } from '@/data/db';

/** What a project is, as far as it is known without planning it. */
export const kindOf = ({ set: { parts } }: Project): string =>
  parts.length === 1 ? (constructionNamed(String(parts[0]!.design?.construction))?.title ?? '') : 'A set';
