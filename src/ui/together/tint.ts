import type { CSSProperties } from 'react';
import type { SetInput } from '@/core/sets';

/** So many papers are told apart by their tint; beyond that tints come again, and names tell. */
const TINTS = 6;

/** The tint a paper of a set is drawn in, for a style sheet; none for what is of no paper of the set. */
export function tintOf({ papers = [] }: SetInput, id: string | null | undefined): CSSProperties {
  const at = papers.findIndex((paper) => paper.id === id);
  return at < 0 ? {} : ({ '--tint': `var(--paper${(at % TINTS) + 1})` } as CSSProperties);
}
