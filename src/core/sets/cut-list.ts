/** One cut list over all parts, by paper, and what of the papers runs out. */
import { piecesOf, sheetsFor, type NeededPiece } from '../cutting';
import { blanksOf } from '../making';
import { paperOf, sheetOf } from '../design';
import type { PlannedPart, SetPlan } from './plan-set';
import type { SetDesign, SetPaper } from './set';

/** A blank that the whole set takes so many of. */
export interface SetPiece extends NeededPiece {
  /** The part it belongs to. */
  readonly part: string;
}

/** What is cut from one paper. */
export interface PaperCuts {
  /** Its id; empty where the set names no paper. */
  readonly paper: string;
  readonly pieces: readonly SetPiece[];
}

/** True for a piece that is cut for a part: any of what is made, only the layers of what is there already. */
export const isCut = ({ part, plan }: PlannedPart, piece: string): boolean =>
  !part.given || (plan.made?.layers.some((layer) => layer.piece.name === piece) ?? false);

/** What a piece is called among all that is cut for a set: with its part where there are several. */
export function pieceName({ parts }: SetDesign, id: string, piece: string): string {
  const part = parts.find((one) => one.id === id)!;
  const made = parts.filter(({ given }) => !given);
  return made.length > 1 || part.given ? `${part.name}: ${piece}` : piece;
}

/** Everything a set takes, paper by paper in the order of its papers; quantities are those of `copies` sets. */
export function cutListOf({ set, parts }: SetPlan, copies = 1): PaperCuts[] {
  const all = parts.flatMap((one): { paper: string; piece: SetPiece }[] => {
    const { part, plan } = one;
    const { made, design } = plan;
    if (!made) return [];
    const rescued = design.rescued?.piece;
    return blanksOf(made, { ...design, rescued: null })
      .filter(({ name }) => isCut(one, name))
      .map((piece) => {
        const all = piece.quantity * part.quantity * copies;
        return {
          paper: paperOf(design, piece.name).id ?? '',
          // One of them is made of a sheet that is there.
          piece: { ...piece, part: part.id, quantity: piece.name === rescued ? all - 1 : all },
        };
      })
      .filter(({ piece }) => piece.quantity > 0);
  });
  const ids = [...set.papers.map(({ id }) => id), ''];
  return ids.flatMap((paper) => {
    const pieces = all.filter((one) => one.paper === paper).map(({ piece }) => piece);
    return pieces.length > 0 ? [{ paper, pieces }] : [];
  });
}

/**
 * The sheets of a paper that some pieces take, as a quick layout finds it; null where its size is not known.
 * @param enough no fewer are looked for than these
 */
export function sheetsTaken(paper: SetPaper | undefined, pieces: readonly SetPiece[], enough = 1): number | null {
  if (!paper || paper.width === undefined || paper.height === undefined) return null;
  const cut = piecesOf([{ name: '', copies: 1, pieces: pieces.map(({ part: _, ...piece }) => piece) }]);
  return sheetsFor(cut, sheetOf({ width: paper.width, height: paper.height }, paper), enough);
}

/** A paper of which there is less than the set takes. */
export interface Shortage {
  readonly paper: string;
  readonly name: string;
  /** Sheets it takes; Infinity where a piece is larger than the sheet. */
  readonly sheets: number;
  readonly has: number;
}

/** The papers that run out, of those whose sheets are counted. */
export function shortagesOf(planned: SetPlan, copies = 1): Shortage[] {
  return cutListOf(planned, copies).flatMap(({ paper: id, pieces }) => {
    const paper = planned.set.papers.find((one) => one.id === id);
    // As soon as a layout does with what there is, nothing is short.
    const sheets = paper?.count === undefined ? null : sheetsTaken(paper, pieces, paper.count);
    return sheets !== null && sheets > paper!.count!
      ? [{ paper: id, name: paper!.name || id, sheets, has: paper!.count! }]
      : [];
  });
}
