import { constructionNamed } from '@/core/constructions';
import type { Project } from '@/data/db';

type Part = Project['set']['parts'][number];

/** What one part is called: what the person called it, or what it is. */
const titleOf = ({ name, design, quantity }: Part): string => {
  const title = [name, constructionNamed(String(design?.construction))?.title].filter(Boolean).join(', ');
  return (quantity ?? 1) > 1 ? `${quantity} × ${title}` : title;
};

/** What a project is, as far as it is known without planning it: all things of a set. */
export const kindOf = ({ set: { parts } }: Project): string =>
  parts.length === 1
    ? (constructionNamed(String(parts[0]!.design?.construction))?.title ?? '')
    : `A set: ${parts.map(titleOf).join(', ')}`;
