/** From where a thing is looked at: its sides when it is finished, what shows when it is opened, each page of a book. */
import { roomAxes, seenAsPile, type Stack, type View } from '../fold';
import type { Vec } from '../geometry';
import type { Made } from './made';
import { basePieces, ownPaper, viewOf } from './thing';
import { bookOf, type Book } from './book';

/** What the looks of a thing are read off. */
export type Shape = Pick<Made, 'built' | 'folded'>;

/** One look at a thing: which side or page it is, as a pile, how it is looked at, and from where. */
export interface Sight {
  readonly face: string;
  readonly stack: Stack;
  readonly view: View;
  readonly from: 'above' | 'below';
  /** How far it is turned to be looked at, clockwise, degrees: a page of a book lies with its spine at its side. */
  readonly turned: number;
}

/** How the sides of what stands are looked at: as they are drawn, up is up. */
const UPRIGHT: View = { origin: { x: 0, y: 0 }, across: { x: -1, y: 0 }, up: { x: 0, y: -1 } };

/** The sides of the finished thing that can be seen, the one that matters first: two of what lies flat, six of what stands. */
export function closedSights(shape: Shape): readonly Sight[] {
  const { built, folded } = shape;
  const [cavity] = built.cavities;
  if (folded.standing && cavity?.kind === 'box') {
    const { finished } = folded.standing;
    const { x, y, normal: z } = roomAxes(finished, cavity);
    const back = (v: Vec): Vec => ({ x: -v.x, y: -v.y, z: -v.z });
    const top = { name: 'top', from: z, up: y } as const;
    const bottom = { name: 'bottom', from: back(z), up: y } as const;
    const looks = [
      ...(built.front === 'above' ? [top] : [bottom]),
      { name: 'front', from: back(y), up: z },
      { name: 'right', from: x, up: z },
      { name: 'back', from: y, up: z },
      { name: 'left', from: back(x), up: z },
      ...(built.front === 'above' ? [bottom] : [top]),
    ] as const;
    const base = basePieces(built);
    const own = { ...finished, leaves: finished.leaves.filter((l) => !base.has(l.piece)) };
    return looks.map((look) => ({
      face: look.name,
      stack: seenAsPile(own, look),
      view: UPRIGHT,
      from: 'above',
      turned: 0,
    }));
  }
  const stack = ownPaper(folded.finished, built);
  const view = viewOf(built, stack);
  const sides = (['front', 'back'] as const).map((face): Sight => {
    const from = (face === 'front') === (built.front === 'below') ? 'below' : 'above';
    return { face, stack, view, from, turned: 0 };
  });
  const book = bookOf(shape);
  return book ? coversOf(book, sides) : sides;
}

/** The outside of a closed book: of two covers that are alike one is laid, and there is no page to be seen from there. */
function coversOf(book: Book, sides: readonly Sight[]): readonly Sight[] {
  const pages = new Set(book.leaves.flatMap(({ stack }) => stack.layers.map(({ panel }) => panel)));
  const outside = sides.filter(({ stack, from }) => !pages.has(stack.layers.at(from === 'above' ? -1 : 0)!.panel));
  const covers = outside.length > 0 ? outside : sides;
  return covers.map((sight) => ({
    ...sight,
    ...(covers.length === 1 && { face: 'outside' }),
    turned: turnedOf(book, sight.from),
  }));
}

/** Where what is opened is looked at besides: lying open from both sides, or leaf by leaf. */
export function openSights(shape: Shape): readonly Sight[] {
  const { built, folded } = shape;
  const book = bookOf(shape);
  if (book)
    return book.leaves.flatMap(({ stack, pages }) =>
      (['above', 'below'] as const).map((from): Sight => ({
        face: pageName(pages, book.leaves, from),
        stack,
        view: book.view,
        from,
        turned: turnedOf(book, from),
      })),
    );
  const stage = folded.stages.find(({ step }) => step.id === built.opensTo);
  if (!stage) return [];
  const stack = ownPaper(stage.stack, built);
  const view = viewOf(built, stack);
  return [
    { face: 'inside, lying open', stack, view, from: 'above', turned: 0 },
    { face: 'outside, lying open', stack, view, from: 'below', turned: 0 },
  ];
}

/** A page lies with its free edge to the right, its back with it to the left; the drawing has that edge up. */
const turnedOf = ({ top }: Book, from: 'above' | 'below'): number =>
  (from === 'above' ? 90 : -90) + (top === 'right' ? 0 : 180);

/** `page 2`, `backs of pages 1 to 8`. */
function pageName([first, last]: readonly [number, number], leaves: Book['leaves'], from: 'above' | 'below'): string {
  const pages = first === last ? `page ${first}` : leaves.length === 1 ? 'every page' : `pages ${first} to ${last}`;
  if (from === 'above') return pages;
  return first === last || leaves.length === 1 ? `back of ${pages}` : `backs of ${pages}`;
}
