/** A book to leaf through: its pages in the order they are turned, and the cards that are pulled out of them. */
import { claimsOf } from '../../constructions';
import { foldedBox, inView, layerOf, type Layer, type Stack, type View } from '../../fold';
import { apply, boxOf } from '../../geometry';
import { mm, type Mm } from '../../length';
import type { Made } from '../plan';
import { ownPaper, viewOf } from '../thing';

/** A card in a pocket of a page, in the page’s view: where it lies, and which way it comes out. */
export interface BookCard {
  readonly name: string;
  /** The face of the page that its pocket belongs to; null for one between both. */
  readonly face: 'above' | 'below' | null;
  readonly x: number;
  readonly y: number;
  readonly width: Mm;
  readonly height: Mm;
  /** Out of the pocket by its whole length, mm in the view. */
  readonly out: { readonly x: number; readonly y: number };
}

/** One leaf: its paper, seen with its free edge at the top of the view. */
export interface BookLeaf {
  readonly stack: Stack;
  readonly cards: readonly BookCard[];
}

export interface Book {
  readonly view: View;
  /** From the front cover on; each turns over to show its other face. */
  readonly leaves: readonly BookLeaf[];
  /** The side of the view that is the top of a page. */
  readonly top: 'left' | 'right';
}

/** The book that was made; null for what is none. */
export function bookOf(made: Made): Book | null {
  const { built, folded } = made;
  const [claim] = claimsOf(built.claims, 'leaves');
  if (!claim) return null;
  const finished = ownPaper(folded.finished, built);
  const bare = { ...finished, layers: finished.layers.filter(({ panel }) => !built.proud.includes(panel)) };
  const view = viewOf(built, finished);
  const cards = cardsOf(made, view);
  const [first] = built.pieces.filter(({ source, hinges }) => source === 'bought' && hinges.length > 0);
  const alike = first ? (claim.alike[first.name] ?? 1) : 1;
  const leaves =
    alike > 1 || cards.length > 0
      ? Array.from({ length: alike }, (): BookLeaf => ({ stack: bare, cards }))
      : // A chain of single envelopes: each by itself, from the top of the pile down.
        [...new Set(bare.layers.flatMap(({ piece }) => (sourceOf(made, piece) === 'bought' ? [piece] : [])))]
          .map((piece) => bare.layers.filter((layer) => layer.piece === piece))
          .map((layers): BookLeaf => ({ stack: { ...bare, layers: withoutFlap(made, layers) }, cards: [] }))
          .reverse();
  const middle = cards.find(({ face }) => face === null);
  return { view, leaves, top: middle && middle.out.x < 0 ? 'left' : 'right' };
}

const sourceOf = ({ built }: Made, name: string) => built.pieces.find((piece) => piece.name === name)?.source;

/** A flap that lies in the next mouth is not seen on its own page. */
const withoutFlap = ({ folded }: Made, layers: readonly Layer[]): Layer[] => {
  const held = new Set(folded.finished.joints.flatMap(({ onto }) => onto));
  return layers.filter(({ panel }) => !(held.has(panel) && panel.endsWith('flap')));
};

function cardsOf({ built, folded }: Made, view: View): BookCard[] {
  const { finished } = folded;
  const middle = (panel: string): number => finished.layers.findIndex((layer) => layer.panel === panel);
  const highest = Math.max(...built.cavities.map((cavity) => middle(cavity.floor)));
  return claimsOf(built.claims, 'pull-outs').flatMap(({ cards }) =>
    cards.map(({ name, cavity, across, into }): BookCard => {
      const { map } = layerOf(finished, cavity.floor);
      const [from, to] = [cavity.mouth.from, cavity.mouth.to].map((p) => inView(view, apply<'folded'>(map, p))) as [
        { x: number; y: number },
        { x: number; y: number },
      ];
      const box = boxOf(layerOf(finished, cavity.floor).polygon.map((p) => inView(view, p)));
      // A mouth along the view’s top lets cards out upwards; one at its side lets them out sideways.
      const upwards = Math.abs(to.x - from.x) > Math.abs(to.y - from.y);
      const centre = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
      if (upwards)
        return {
          name,
          face: middle(cavity.floor) === highest ? 'above' : 'below',
          x: centre.x - across / 2,
          y: centre.y,
          width: across,
          height: into,
          out: { x: 0, y: -into },
        };
      const right = centre.x > (box.minX + box.maxX) / 2;
      return {
        name,
        face: null,
        x: right ? centre.x - into : centre.x,
        y: centre.y - across / 2,
        width: mm(into),
        height: mm(across),
        out: { x: right ? into : -into, y: 0 },
      };
    }),
  );
}

/** How large a leaf is in the view, mm. */
export const leafBox = ({ stack }: BookLeaf, view: View) => foldedBox(stack, view);
