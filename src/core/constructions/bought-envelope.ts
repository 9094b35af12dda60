import { z } from 'zod';
import type { AssemblyStep } from '../fold';
import type { Segment } from '../geometry';
import { inches, mm } from '../length';
import { drawPiece, rect, ring, type Piece, type Source } from '../pattern';
import { built, EASE, fold, refuse, segment } from './building';
import { PLAIN, type Construction } from './construction';
import { choiceOption, lengthOption } from './options';
import { tooLarge } from './sizing';

/** An envelope as it is bought, measured, mm: its body along the mouth and into it, and its flap. */
export interface BoughtEnvelope {
  readonly across: number;
  readonly deep: number;
  readonly flap: number;
  readonly shape: 'pointed' | 'straight';
}

/** How an envelope of several is called, and what of it is folded before it is bought. */
interface BoughtNames {
  readonly name: string;
  /** Before the id of each of its panels. */
  readonly prefix: string;
  readonly source: Source;
  readonly quantity?: number;
}

/** The strips that hold its sides, mm: as broad as on most. From memory 3/8 in. */
const SIDE = inches(3 / 8);

/** A bought envelope drawn flat, the folds made before it was bought, and where its mouth and its flap’s crease lie. */
export interface DrawnEnvelope {
  readonly piece: Piece;
  readonly shut: readonly AssemblyStep[];
  /** The mouth on the sheet of the front, from its left end. */
  readonly mouth: Segment<'sheet'>;
  /** The body on its sheet: lower left corner, and the strips beside it. */
  readonly at: { readonly x: number; readonly y: number };
}

/**
 * The front with its flap above, side strips beside it and the back below: the strips fold in, the back folds up over
 * them and is glued to them. Which of many ways it was really cut makes no difference to its pocket, flap and mouth.
 */
export function drawBought(
  { across: w, deep: h, flap, shape }: BoughtEnvelope,
  { name, prefix, source, quantity }: BoughtNames,
): DrawnEnvelope {
  const g = Math.min(SIDE, w / 4);
  const id = (part: string): string => `${prefix}${part}`;
  const [x1, x2, y1, y2] = [g, g + w, h, 2 * h];
  const closing =
    shape === 'pointed' ? ring([x1, y2], [x2, y2], [(x1 + x2) / 2, y2 + flap]) : rect(x1, y2, x2, y2 + flap);
  const slant = Math.min(g, h / 4);
  const piece = drawPiece({
    name,
    source,
    ...(quantity !== undefined && { quantity }),
    blank: { width: mm(w + 2 * g), height: mm(2 * h + flap) },
    panels: [
      { id: id('front'), name: `front of the ${name}`, polygon: rect(x1, y1, x2, y2) },
      {
        id: id('side-1'),
        name: `left side of the ${name}`,
        polygon: ring([0, y1 + slant], [x1, y1], [x1, y2], [0, y2 - slant]),
      },
      {
        id: id('side-2'),
        name: `right side of the ${name}`,
        polygon: ring([x2, y1], [x2 + g, y1 + slant], [x2 + g, y2 - slant], [x2, y2]),
      },
      { id: id('back'), name: `back of the ${name}`, polygon: rect(x1, 0, x2, y1) },
      { id: id('flap'), name: `flap of the ${name}`, polygon: closing },
    ],
    folds: ['side-1', 'side-2', 'back', 'flap'].map((part) => ({
      id: id(`s-${part}`),
      between: [id('front'), id(part)] as const,
    })),
  });
  return {
    piece,
    shut: [
      fold(id('shut-1'), 'Fold the left side in', [id('s-side-1')], { bought: true }),
      fold(id('shut-2'), 'Fold the right side in', [id('s-side-2')], { bought: true }),
      fold(id('shut-3'), 'Fold the back up', [id('s-back')], {
        gluedTo: [id('side-1'), id('side-2')],
        bought: true,
      }),
    ],
    mouth: segment(x1, y2, x2, y2),
    at: { x: x1, y: y1 },
  };
}

const options = z.strictObject({
  flap: lengthOption('Flap', 'How deep its flap is, from the fold to its edge or tip.', inches(2), { over: 0 }),
  shape: choiceOption('Shape of the flap', 'Straight across, or pointed.', ['straight', 'pointed']),
  opens: choiceOption('Opens', 'The side that its mouth lies along.', ['width', 'height']),
});
type Options = z.output<typeof options>;

/** An envelope as it comes from a shop: its body is the blank it is asked with. */
export const boughtEnvelope: Construction<Options> = {
  name: 'bought-envelope',
  does: 'closes',
  title: 'A bought envelope',
  purpose: 'Measured, and never changed: what goes in, and what is made of it.',
  options,
  ease: EASE.envelope,
  idle: () => [],
  build: ({ blank, contents, options: { flap, shape, opens } }) => {
    const { width, height } = blank ?? contents!;
    const [across, deep] = opens === 'width' ? [width, height] : [height, width];
    if (flap > deep) return refuse(tooLarge('flap', 'flap', flap, deep));
    const { piece, shut, mouth } = drawBought(
      { across, deep, flap, shape },
      { name: 'envelope', prefix: '', source: 'made' },
    );
    return built({
      ...PLAIN,
      pieces: [piece],
      assembly: [
        ...shut,
        fold('close', 'Fold the flap down over the back', ['s-flap'], { gluedTo: ['back'], closes: true }),
      ],
      cavities: [
        {
          id: 'envelope',
          kind: 'closed',
          floor: 'front',
          roof: ['side-1', 'side-2', 'back'],
          mouth,
          insertAfter: 'shut-3',
          acrossMouth: opens,
          covered: { floor: 1, roof: 1 },
        },
      ],
    });
  },
  schools: [],
  advice: [
    {
      mistake: 'Trusting the size it is sold by.',
      instead: 'Measure its body: sold sizes run up to 1/8 in over their name.',
    },
  ],
  cures: [],
  sources: ['as measured'],
};
