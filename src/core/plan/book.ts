/** A book to leaf through: its pages in the order they are turned, and the cards that are pulled out of them. */
import { claimsOf } from '../constructions';
import { foldedBox, inView, layerOf, levelOf, outOfView, type Layer, type Stack, type View } from '../fold';
import { apply, boxOf, compose, reflection, type Point } from '../geometry';
import { mm, type Mm } from '../length';
import type { Made } from './made';
import { viewOf } from './thing';

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

/** Leaves that are alike and follow each other: their paper, seen with its free edge at the top of the view. */
export interface BookLeaf {
  readonly stack: Stack;
  readonly cards: readonly BookCard[];
  /** From which page to which, counted from 1. */
  readonly pages: readonly [first: number, last: number];
}

export interface Book {
  readonly view: View;
  /** From the front cover on; each turns over to show its other face. */
  readonly leaves: readonly BookLeaf[];
  /** The side of the view that is the top of a page. */
  readonly top: 'left' | 'right';
}

/** The book that was made; null for what is none. */
export function bookOf(made: Pick<Made, 'built' | 'folded'>): Book | null {
  const { built, folded } = made;
  const [claim] = claimsOf(built.claims, 'leaves');
  if (!claim) return null;
  const { finished } = folded;
  const view = viewOf(built, finished);
  const cards = cardsOf(made, view);
  let page = 0;
  const leaves = claim.leaves.map(({ panels, times }): BookLeaf => {
    const shown = new Set(panels);
    const own = { ...finished, layers: finished.layers.filter(({ panel }) => shown.has(panel)) };
    const pages = [page + 1, page + times] as const;
    page += times;
    return { stack: withMats(own, finished, claim.onEach, view), cards, pages };
  });
  const middle = cards.find(({ face }) => face === null);
  return { view, leaves, top: middle && middle.out.x < 0 ? 'left' : 'right' };
}

/** A leaf with what lies alike on both its faces, in the same place: one of them is laid. */
function withMats(leaf: Stack, finished: Stack, mats: readonly string[], view: View): Stack {
  const above = mats.map((panel) => layerOf(finished, panel));
  const below = above.map((layer): Layer => {
    // Turned over along the spine its print keeps its up; where it lies, it lies on the other face too.
    const { minX, maxX, minY, maxY } = boxOf(layer.polygon.map((p) => inView(view, p)));
    const end = (x: number): Point<'folded'> => outOfView(view, { x, y: (minY + maxY) / 2 });
    const over = reflection({ from: end(minX), to: end(maxX) });
    return {
      ...layer,
      map: compose(over, layer.map),
      up: layer.up === 'inside' ? 'outside' : 'inside',
    };
  });
  const laid = new Set(leaf.layers.map(({ panel }) => panel));
  return { ...leaf, layers: [...below.reverse(), ...leaf.layers, ...above.filter(({ panel }) => !laid.has(panel))] };
}

function cardsOf({ built, folded }: Pick<Made, 'built' | 'folded'>, view: View): BookCard[] {
  const { finished } = folded;
  const highest = Math.max(...built.cavities.map(({ floor }) => levelOf(finished, floor)));
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
          face: levelOf(finished, cavity.floor) === highest ? 'above' : 'below',
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
