import type { NeededPiece } from '@/core/cutting';
import { pieceName, type PaperCuts, type SetPlan } from '@/core/sets';

/** What one set takes of one paper. */
export interface OnPaper {
  readonly pieces: readonly NeededPiece[];
  /** Of the paper it is planned with, mm. */
  readonly caliper: number;
  /** The sheet it is planned for, mm; where nobody chose otherwise it is cut from that. */
  readonly sheet?: { readonly name: string; readonly width: number; readonly height: number };
}

/** What one set takes of one paper, as it lies on a cutting table: pieces by the names they have there. */
export function needOn({ set, parts }: SetPlan, { paper: id, pieces }: PaperCuts): OnPaper {
  const paper = set.papers.find((one) => one.id === id);
  const { width, height, name } = paper ?? {};
  return {
    pieces: pieces.map(({ part, ...piece }) => ({ ...piece, name: pieceName(set, part, piece.name) })),
    caliper: paper?.caliper ?? parts[0]!.plan.design.paper.caliper,
    ...(width !== undefined && height !== undefined && { sheet: { name: name ?? '', width, height } }),
  };
}
