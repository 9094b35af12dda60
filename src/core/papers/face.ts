import { z } from '../text/zod';
import { COLOUR, colourNamed, mixed } from './colour';
import { printNamed, PRINTS, type Ink, type Print } from './prints';

const colour = z.string().regex(COLOUR, { error: 'A colour is told as "#rrggbb", in small letters.' });
const quarters = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)], {
  error: 'A print lies turned by 0, 1, 2 or 3 quarters clockwise.',
});
/** Most colours of one print. */
const MOST_COLOURS = 6;
const names = PRINTS.map(({ name }) => name) as [string, ...string[]];

/** What one side of a paper looks like: a colour, or a print in colours of the person’s own. */
export const faceSchema = z.union(
  [
    z.strictObject({ colour }),
    z.strictObject({
      print: z.enum(names, { error: `A print is one of ${names.join(', ')}.` }),
      colours: z
        .array(colour)
        .max(MOST_COLOURS)
        .default([])
        .describe('Instead of those it comes in, the ground first.'),
      turn: quarters.default(0).describe('Quarter turns clockwise that the print lies with on its sheet.'),
    }),
  ],
  { error: `A side of a paper is a colour ({"colour": "#f3e9cf"}) or a print ({"print": "${names[0]}"}).` },
);
export type PaperFace = z.output<typeof faceSchema>;
export type PaperFaceInput = z.input<typeof faceSchema>;

/** What is told of a paper that its looks follow from. */
export interface Looks {
  readonly name?: string | undefined;
  /** Sides that are printed, or coloured. */
  readonly sided: 1 | 2;
  readonly front?: PaperFace | undefined;
  readonly back?: PaperFace | undefined;
}

/** The plain side of paper that is coloured or printed on one. */
const PLAIN = '#fdf9ef';
/** How much paler the inside of paper of one colour is drawn: so that its two sides are told apart. */
const PALER = 0.35;

/** What a paper looks like in front: as told, or the colour it is called by. */
export const frontOf = ({ front, name = '' }: Pick<Looks, 'front' | 'name'>): PaperFace =>
  front ?? { colour: colourNamed(name) };

/** And behind: as told, the plain back of a print or of paper coloured on one side, or the same, a little paler. */
export function backOf(paper: Looks): PaperFace {
  if (paper.back) return paper.back;
  const front = frontOf(paper);
  if ('colour' in front) return { colour: paper.sided === 1 ? PLAIN : mixed(front.colour, PLAIN, PALER) };
  return { colour: printNamed(front.print)?.back ?? PLAIN };
}

/** The colours of a print as a paper has it: its own, where the person told no other. */
export const coloursOf = (print: Print, told: readonly string[]): readonly string[] =>
  print.colours.map((own, i) => told[i] ?? own);

/** An ink as a colour. */
export const inked = (ink: Ink, colours: readonly string[]): string =>
  typeof ink === 'number' ? colours[ink]! : mixed(colours[ink[0]]!, colours[ink[1]]!, ink[2]);

/** The one colour that tells most of a face: its own, or the ground of its print. */
export function groundOf(face: PaperFace): string {
  if ('colour' in face) return face.colour;
  const print = printNamed(face.print);
  return print ? coloursOf(print, face.colours)[0]! : PLAIN;
}
