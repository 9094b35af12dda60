import type { NeededPiece } from '@/core/cutting';
import { cutListOf, pieceName, type PaperCuts, type SetPlan } from '@/core/sets';

/** What one set takes of one paper. */
export interface OnPaper {
  readonly pieces: readonly NeededPiece[];
  /** Of the paper it is planned with, mm. */
  readonly caliper: number;
  /** The sheet it is planned for, mm; where nobody chose otherwise it is cut from that. */
  readonly sheet?: { readonly name: string; readonly width: number; readonly height: number };
}

/** What a project takes of one paper: by its own name, and the paper’s where there are several. */
export interface TakenOfPaper extends OnPaper {
  readonly paper: string;
  readonly name: string;
  /** The cutting table it is laid on: the project’s own, or one beside it for each further paper. */
  readonly table: string;
}

/** What one set of a project takes, paper by paper. */
export function takenOf(plan: SetPlan, project: { readonly id: string; readonly name: string }): TakenOfPaper[] {
  const cuts = cutListOf(plan);
  return cuts.map((own, i) => ({
    paper: own.paper,
    name: cuts.length > 1 ? `${project.name}, ${paperName(plan, own.paper)}` : project.name,
    table: i === 0 ? project.id : `${project.id}/${own.paper}`,
    ...needOn(plan, own),
  }));
}

/** What a paper of a set is called. */
export const paperName = ({ set }: SetPlan, id: string): string =>
  set.papers.find((one) => one.id === id)?.name || id || 'any paper';

/** What one set takes of one paper, as it lies on a cutting table: pieces by the names they have there. */
function needOn({ set, parts }: SetPlan, { paper: id, pieces }: PaperCuts): OnPaper {
  const paper = set.papers.find((one) => one.id === id);
  const { width, height, name } = paper ?? {};
  return {
    pieces: pieces.map(({ part, ...piece }) => ({ ...piece, name: pieceName(set, part, piece.name) })),
    caliper: paper?.caliper ?? parts[0]!.plan.design.paper.caliper,
    ...(width !== undefined && height !== undefined && { sheet: { name: name ?? '', width, height } }),
  };
}
