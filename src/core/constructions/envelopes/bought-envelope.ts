import { z } from '../../text/zod';
import type { AssemblyStep } from '../../fold';
import type { Polygon, Segment } from '../../geometry';
import { inches, mm } from '../../length';
import { drawPiece, rect, ring, type Panel, type Piece, type Source } from '../../pattern';
import { built, fold, refuse, segment } from '../shared/building';
import { PLAIN, type Construction } from '../shared/construction';
import { choiceOption, lengthOption } from '../shared/options';
import { tooLarge } from '../shared/sizing';

/** An envelope as it is bought, measured, mm: its body along the mouth and into it, and its flap; 0 where that is cut off. */
export interface BoughtEnvelope {
  readonly across: number;
  readonly deep: number;
  readonly flap: number;
  readonly shape: 'pointed' | 'straight';
}

/** How an envelope of several is called, and what of it is folded before it is bought. */
interface BoughtNames {
  readonly name: string;
  /** The same as its parts are told of; with an article when left out. */
  readonly called?: string;
  /** Before the id of each of its panels. */
  readonly prefix: string;
  readonly source: Source;
  readonly quantity?: number;
  /** Its flap is folded back, away from its mouth, instead of down over it. */
  readonly back?: boolean;
  /** Its far end is cut off: open at both ends. */
  readonly trimmed?: boolean;
}

/** The strips that hold its sides, mm: as broad as on most. From memory 3/8 in. */
const SIDE = inches(3 / 8);

/** A bought envelope drawn flat, the folds made before it was bought, and where its mouth and its flap’s crease lie. */
export interface DrawnEnvelope {
  readonly piece: Piece;
  readonly shut: readonly AssemblyStep[];
  /** The mouth on the sheet of the front, from its left end. */
  readonly mouth: Segment<'sheet'>;
  /** The mouth on the sheet of the back, its paper on the left. */
  readonly backMouth: Segment<'sheet'>;
  /** The strips that hold its sides, between front and back. */
  readonly strips: readonly string[];
}

/**
 * The front with its flap above, side strips beside it and the back below: the strips fold in, the back folds up over
 * them and is glued to them. One that is open at its far end is a tube: the back beside the front, a strip on the other
 * side. Which of many ways it was really cut makes no difference to its pocket, flap and mouth.
 */
export function drawBought(
  { across: w, deep: h, flap, shape }: BoughtEnvelope,
  { name, called = `the ${name}`, prefix, source, quantity, back = false, trimmed = false }: BoughtNames,
): DrawnEnvelope {
  const g = Math.min(SIDE, w / 4);
  const id = (part: string): string => `${prefix}${part}`;
  const panel = (part: string, what: string, polygon: Polygon<'sheet'>): Panel => ({
    id: id(part),
    name: `${what} of ${called}`,
    polygon,
  });
  // The front’s lower left corner.
  const [x1, y1] = trimmed ? [w, 0] : [g, h];
  const [x2, y2] = [x1 + w, y1 + h];
  const slant = Math.min(g, h / 4);
  const strip = ring([x2, y1], [x2 + g, y1 + slant], [x2 + g, y2 - slant], [x2, y2]);
  const flapPanel = panel(
    'flap',
    'flap',
    shape === 'pointed' ? ring([x1, y2], [x2, y2], [(x1 + x2) / 2, y2 + flap]) : rect(x1, y2, x2, y2 + flap),
  );
  const panels = [
    panel('front', 'front', rect(x1, y1, x2, y2)),
    ...(trimmed ? [] : [panel('side-1', 'left side', ring([0, y1 + slant], [x1, y1], [x1, y2], [0, y2 - slant]))]),
    panel('side-2', 'right side', strip),
    panel('back', 'back', trimmed ? rect(0, 0, w, h) : rect(x1, 0, x2, y1)),
    ...(flap > 0 ? [flapPanel] : []),
  ];
  const strips = trimmed ? ['side-2'] : ['side-1', 'side-2'];
  const piece = drawPiece({
    name,
    source,
    ...(quantity !== undefined && { quantity }),
    blank: trimmed
      ? { width: mm(2 * w + g), height: mm(h + flap) }
      : { width: mm(w + 2 * g), height: mm(2 * h + flap) },
    panels,
    folds: [...strips, 'back', ...(flap > 0 ? ['flap'] : [])].map((part) => ({
      id: id(`s-${part}`),
      between: [id('front'), id(part)] as const,
      fold: part === 'flap' && back ? ('mountain' as const) : ('valley' as const),
    })),
  });
  return {
    piece,
    strips: strips.map(id),
    shut: [
      ...strips.map((part) => fold(id(`shut-${part}`), 'Fold the side in', [id(`s-${part}`)], { bought: true })),
      fold(id('shut'), 'Fold the back up', [id('s-back')], { gluedTo: strips.map(id), bought: true }),
    ],
    mouth: segment(x1, y2, x2, y2),
    backMouth: trimmed ? segment(w, h, 0, h) : segment(x1, 0, x2, 0),
  };
}

const options = z.strictObject({
  flap: lengthOption('Flap', 'How deep its flap is, from the fold to its edge or tip.', inches(2), { over: 0 }),
  shape: choiceOption('Shape of the flap', 'Straight across, or pointed.', ['straight', 'pointed']),
  opens: choiceOption('Opens', 'The side that its mouth lies along.', ['width', 'height']),
});
type Options = z.output<typeof options>;

/** An envelope is sold 1/8 to 1/4 in larger than its card, the card's thickness and all. Common practice, no source. */
const EASE = {
  aim: { width: inches(1 / 4), height: inches(1 / 4) },
  least: { width: inches(1 / 16), height: inches(1 / 16) },
};

/** An envelope as it comes from a shop: its body is the blank it is asked with. */
export const boughtEnvelope: Construction<Options> = {
  name: 'bought-envelope',
  does: 'closes',
  title: 'A bought envelope',
  purpose: 'Measured, and never changed: what goes in, and what is made of it.',
  options,
  ease: EASE,
  idle: () => [],
  build: ({ blank, contents, options: { flap, shape, opens } }) => {
    const { width, height } = blank ?? contents!;
    const [across, deep] = opens === 'width' ? [width, height] : [height, width];
    if (flap > deep) return refuse(tooLarge('flap', 'flap', flap, deep));
    const { piece, shut, strips, mouth } = drawBought(
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
          roof: [...strips, 'back'],
          mouth,
          insertAfter: 'shut',
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
