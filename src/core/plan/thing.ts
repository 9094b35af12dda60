/** The thing a pattern folds to, as its maker speaks of it: its parts by name, its own paper, how it is looked at. */
import type { PanelId, PanelName, Hinge, Panel, Piece } from '../pattern';
import type { Built } from '../constructions';
import { facesView, type Folded, type Stack, type View } from '../fold';
import { fromSegment } from '../geometry';
import { mm, type Mm } from '../length';

/** A panel that crosses the thickness of what lies flat, how broad it is, mm, and the panels on its two sides. */
export interface Spine {
  readonly panel: Panel;
  readonly breadth: Mm;
  readonly between: readonly [string, string];
}

/** Every spine of a pile: a panel between two scores that turn by a right angle. */
export const spinesOf = (built: Built, { standing }: Folded): readonly Spine[] =>
  standing
    ? []
    : built.pieces.flatMap((piece) =>
        piece.panels.flatMap((panel): Spine[] => {
          const square = piece.hinges.filter(({ angle, between }) => angle === 90 && between.includes(panel.id));
          if (square.length !== 2) return [];
          const [a, b] = square.map(({ between: [p, q] }) => (p === panel.id ? q : p)) as [string, string];
          const [first, second] = square as [Hinge, Hinge];
          return [{ panel, breadth: mm(fromSegment(first.line, second.line.from)), between: [a, b] }];
        }),
      );

/** The pieces that were there already, which the thing is only fixed to. */
export const basePieces = (built: Built): ReadonlySet<string> =>
  new Set(built.pieces.filter(({ source }) => source === 'base').map(({ name }) => name));

/** A pile without what was there already. */
export function ownPaper(stack: Stack, built: Built): Stack {
  const base = basePieces(built);
  return base.size === 0 ? stack : { ...stack, layers: stack.layers.filter((layer) => !base.has(layer.piece)) };
}

/** How a pile of this holder is looked at: the first cavity's mouth at the top, where it has one. */
export const viewOf = (built: Built, stack: Stack): View => facesView(stack, built.cavities[0]);

/** What a maker calls a panel. */
export const panelName = (built: Built, id: PanelId): PanelName =>
  built.pieces.flatMap((piece) => piece.panels).find((panel) => panel.id === id)?.name ?? String(id);

/** The piece a panel belongs to. */
export const pieceOf = (built: Built, panel: PanelId): Piece =>
  built.pieces.find((piece) => piece.panels.some(({ id }) => id === panel))!;
