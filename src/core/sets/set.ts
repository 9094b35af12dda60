import { z } from '../text/zod';
import { GRADUATIONS, lengthSchema, mm, type Graduation } from '../length';
import { layerSchema, paperSchema, type Design, type DesignInput } from '../design';
import { lineSchema } from '../text';
import { kitSchema, toolSchema } from '../tools';

/** Most parts of one set, and most papers. */
const MOST_PARTS = 40;
const MOST_PAPERS = 30;
/** Most of one part in a set. */
export const MOST_ALIKE = 500;

/** How several things lie in what holds them: one on the other, side by side, or each on its long edge. */
export const LIES = ['stacked', 'beside', 'on-edge'] as const;
export type Lie = (typeof LIES)[number];

const size = lengthSchema({ over: 0 });
const id = z
  .string({ error: 'Give it an id: a short name of its own.' })
  .min(1, { error: 'Give it an id: a short name of its own.' })
  .max(60, { error: 'An id has at most 60 characters.' });
const name = lineSchema(120);
const whole = (most: number, what: string) => {
  const error = `${what} is a whole number from 1 to ${most}.`;
  return z.number({ error }).int({ error }).min(1, { error }).max(most, { error });
};
const count = whole(MOST_ALIKE, 'How many lie in it').default(1);
const lie = z.enum(LIES, { error: `Things lie ${LIES.join(', ')}.` }).default('stacked');

const setPaperSchema = z.strictObject({
  id,
  name: name.default(''),
  width: size.optional(),
  height: size.optional(),
  count: z
    .int({ error: 'How many sheets there are is a whole number.' })
    .min(0)
    .max(10_000)
    .optional()
    .describe('Sheets at hand; left out, as many as it takes.'),
  caliper: paperSchema.shape.caliper,
  sided: paperSchema.shape.sided,
  directional: paperSchema.shape.directional,
  front: paperSchema.shape.front,
  back: paperSchema.shape.back,
  stash: id.optional().describe('The paper of the stash it is; of no meaning to the plan.'),
});

/** A layer as a design has it, its paper by id. */
const setLayerSchema = layerSchema.extend({
  paper: id.optional().describe('The id of the paper it is cut from; the part’s own when left out.'),
});

const roundSchema = z.strictObject({ part: id, count, lie });
const partSchema = z.strictObject({
  id,
  name: name.optional(),
  quantity: whole(MOST_ALIKE, 'How many there are').default(1),
  paper: id.optional().describe('The id of the paper its pieces are cut from; the set’s first when left out.'),
  papers: z.record(z.string().max(60), id).default({}).describe('Papers of single pieces, by the piece’s name.'),
  laid: z
    .strictObject({ turn: paperSchema.shape.turn, at: paperSchema.shape.at, window: paperSchema.shape.window })
    .optional()
    .describe('How its first blank lies on its paper.'),
  tool: toolSchema.optional().describe('The tool it is made with, where it is another than the set’s.'),
  design: z
    .record(z.string(), z.unknown(), { error: 'A design is an object with its construction.' })
    .optional()
    .describe(
      'A design without version, graduation, tool and paper, which the set gives; contents where nothing tells them.',
    ),
  given: z
    .strictObject({
      width: size,
      height: size,
      thickness: lengthSchema({ least: 0, most: 200 }).prefault(mm(0)),
      envelope: z
        .strictObject({
          flap: size,
          shape: z.enum(['pointed', 'straight']).default('straight'),
          opens: z.enum(['width', 'height']).default('width'),
        })
        .optional(),
    })
    .optional()
    .describe('Bought, or made already: it is checked and never changed.'),
  holds: z
    .array(
      z.strictObject({
        part: id,
        count,
        lie,
        turn: z.boolean().default(false).describe('It lies turned by a quarter.'),
        fills: z
          .boolean()
          .default(false)
          .describe('It is made as large as the room of what holds it allows, and not the other way round.'),
        room: z
          .enum(['least', 'aim'])
          .default('least')
          .describe(
            'The room that what fills keeps: the least, so that it is the largest there can be, or what is aimed for.',
          ),
      }),
    )
    .max(20, { error: 'One thing holds at most 20 kinds of things.' })
    .default([]),
  round: z
    .union([id.transform((part) => ({ part, count: 1, lie: 'stacked' as const })), roundSchema], {
      error: 'Say what it goes round: the id of a part.',
    })
    .optional(),
  from: id.optional().describe('It is cut from what is left of that part’s sheets.'),
  layers: z.array(setLayerSchema).max(12, { error: 'At most 12 layers.' }).default([]),
});

/** The set document (its JSON Schema: /api/v1/schema): papers, and parts that hold each other. */
export const setSchema = z.strictObject({
  version: z.literal(1, { error: 'This reads documents of version 1: write "version": 1.' }),
  set: name.default('').describe('What the set is called.'),
  graduation: z.enum(GRADUATIONS, { error: `Marks come at ${GRADUATIONS.join(', ')}.` }).default('1/8 in'),
  tool: toolSchema.optional(),
  kit: kitSchema.optional(),
  order: z.enum(['by-operation', 'by-piece']).optional(),
  papers: z
    .array(setPaperSchema, { error: 'List the papers.' })
    .max(MOST_PAPERS, { error: `At most ${MOST_PAPERS} papers.` })
    .default([]),
  parts: z
    .array(partSchema, { error: 'List the parts.' })
    .min(1, { error: 'A set has at least one part.' })
    .max(MOST_PARTS, { error: `A set has at most ${MOST_PARTS} parts. Make two sets of it.` }),
});

/** A set as it is written and kept. */
export type SetInput = z.input<typeof setSchema>;
export type PartInput = SetInput['parts'][number];
export type SetPaperInput = NonNullable<SetInput['papers']>[number];
type SetOutput = z.output<typeof setSchema>;
export type SetPaper = SetOutput['papers'][number];
export type PartOutput = SetOutput['parts'][number];
export type HeldPart = PartOutput['holds'][number];

/** A part of a set, its design with nothing left open but what others tell. */
export interface Part extends Omit<PartOutput, 'name' | 'design' | 'given'> {
  readonly name: string;
  /** Of what is given: a plain sheet of its size, which is there already and only takes layers. */
  readonly design: Design;
  readonly given: NonNullable<PartOutput['given']> | null;
  /** Its size stands by itself: told, given, or by its paper. What it holds is checked against it. */
  readonly fixed: boolean;
  /** What makes it as large as it is, from the outside: what it fills. */
  readonly fills: { readonly holder: string; readonly hold: HeldPart } | null;
}

/** A set, read: parts from the innermost outwards, those that fill another after it. */
export interface SetDesign {
  readonly name: string;
  readonly graduation: Graduation;
  readonly papers: readonly SetPaper[];
  readonly parts: readonly Part[];
  readonly order: Design['order'];
}

/** True for a design that says how large it is: what goes in, or what paper there is. */
export const hasSize = (design: Readonly<Record<string, unknown>>): boolean => {
  const { contents, blank } = design as Pick<DesignInput, 'contents' | 'blank'>;
  return blank !== undefined || contents?.width !== undefined || contents?.height !== undefined;
};

/** The paper of a set a part’s first piece is cut from; null in a set without papers. */
export const paperIdOf = (
  papers: readonly { readonly id: string }[],
  parts: readonly Pick<PartOutput, 'id' | 'paper' | 'from'>[],
  part: Pick<PartOutput, 'id' | 'paper' | 'from'>,
): string | null => {
  const seen = new Set<string>();
  let one: Pick<PartOutput, 'id' | 'paper' | 'from'> | undefined = part;
  while (one?.from !== undefined && !seen.has(one.id)) {
    seen.add(one.id);
    const next: string = one.from;
    one = parts.find((other) => other.id === next);
  }
  return one?.paper ?? papers[0]?.id ?? null;
};
