import type { NeededPiece } from '@/core/cutting';
import { pieceName, type PaperCuts, type SetPlan } from '@/core/sets';

/** What one set takes of one paper, as it lies on a cutting table: pieces by the names they have there, thickness in mm. */
export const needOn = (
  { set, parts }: SetPlan,
  { paper, pieces }: PaperCuts,
): { readonly pieces: readonly NeededPiece[]; readonly caliper: number } => ({
  pieces: pieces.map(({ part, ...piece }) => ({ ...piece, name: pieceName(set, part, piece.name) })),
  caliper: set.papers.find(({ id }) => id === paper)?.caliper ?? parts[0]!.plan.design.paper.caliper,
});
