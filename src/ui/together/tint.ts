import type { CSSProperties } from 'react';
import { faceSchema, frontOf, groundOf, lineOn } from '@/core/papers';
import type { SetInput } from '@/core/sets';

/** A paper of a set as a ground, and what is read on it, for a style sheet; none for what is of no paper of the set. */
export function tintOf({ papers = [] }: SetInput, id: string | null | undefined): CSSProperties {
  const paper = papers.find((one) => one.id === id);
  if (!paper) return {};
  const front = faceSchema.safeParse(paper.front).data;
  const ground = groundOf(frontOf({ name: paper.name, front }));
  const ink = lineOn(ground);
  const tint = `color-mix(in srgb, ${ground} var(--paper-lit), #141210)`;
  return { '--tint': tint, '--ink': ink, '--fail': ink } as CSSProperties;
}
