import type { Calipers } from '../fold';
import { z } from '../text/zod';
import {
  CONSTRUCTIONS,
  GIVEN,
  constructionNamed,
  optionFields,
  type Brief,
  type Construction,
  type Contents,
  type Ease,
  type OptionField,
} from '../constructions';
import {
  GRADUATIONS,
  inches,
  lengthSchema,
  mm,
  USUAL_CALIPER,
  usualIn,
  type Graduation,
  type Mm,
  type Units,
} from '../length';
import { faceSchema, type PaperFace } from '../papers';
import { issuesOf, type Issue } from '../text/issues';
import type { Blank } from '../pattern';
import {
  ADHESIVES,
  CLOSURES,
  DECORATIONS,
  LAYER_PLACES,
  type Adhesive,
  type Closure,
  type Decoration,
  type LayerPlace,
} from './extras';
import { rescuedSchema, type Rescued } from '../mending';
import { COMMON_BOARD, kitSchema, planTool, toolSchema, type Kit, type Tool } from '../tools';

/** Most pieces with papers of their own: no holder has as many. */
const MOST_PAPERS = 20;
/** Most joins whose glue a design chooses one by one: no holder has nearly as many. */
const MOST_JOINS = 60;

const adhesive = z.enum(ADHESIVES, { error: `An adhesive is one of ${ADHESIVES.join(', ')}.` });
const size = lengthSchema({ over: 0 });
const room = lengthSchema({ least: 0, most: 200 });
const both = <T extends z.ZodType>(of: T) => z.strictObject({ width: of.optional(), height: of.optional() });

/** Some of a few names, each at most once. */
const each = <const Names extends readonly [string, ...string[]]>(names: Names, error: string) =>
  z
    .array(z.enum(names, { error }), { error })
    .max(names.length, { error, abort: true })
    .refine((some) => new Set(some).size === some.length, { error });

/** Most layers on one thing. */
const MOST_LAYERS = 12;

const quarters = z.union([z.literal(0), z.literal(1), z.literal(2), z.literal(3)], {
  error: 'The blank is laid on the print turned by 0, 1, 2 or 3 quarters clockwise.',
});
/** Quarter turns clockwise that a blank is laid with on its print. */
export type Quarters = z.output<typeof quarters>;

/** A sheet a piece is cut from, and what it is like. */
export const paperSchema = z.strictObject({
  id: z.string().min(1).max(60).optional().describe('What tells it from other papers; of no meaning here.'),
  name: z.string().max(120).optional().describe('What its maker calls it, for the steps.'),
  width: size.optional(),
  height: size.optional(),
  caliper: lengthSchema({ over: 0, most: 5 }).prefault(USUAL_CALIPER),
  sided: z.union([z.literal(1), z.literal(2)], { error: 'Paper is printed on 1 or 2 sides.' }).default(2),
  directional: z
    .boolean({ error: 'Say true for a print that has a right way up, false for one that has not.' })
    .default(false),
  front: faceSchema
    .optional()
    .describe('What it looks like in front, outside on the finished thing; by its name, where it is left out.'),
  back: faceSchema
    .optional()
    .describe('And behind: plain where it is printed on one side, a little paler where it is of one colour.'),
  turn: quarters.default(0).describe('Quarter turns clockwise that the blank is laid with on the printed sheet.'),
  at: z
    .strictObject({ x: lengthSchema({ least: 0 }), y: lengthSchema({ least: 0 }) })
    .optional()
    .describe('Where on the sheet the first blank’s lower left corner lies, from the sheet’s own.'),
  window: z
    .strictObject({
      x: lengthSchema({ least: 0 }),
      y: lengthSchema({ least: 0 }),
      width: size,
      height: size,
      keep: z.enum(['show', 'avoid'], { error: 'A window is to "show" or to "avoid".' }).default('show'),
    })
    .optional()
    .describe('A place on the sheet that matters: a motif or text to show on the front, a torn edge to avoid.'),
});

/** A piece laid on a face or into the room. */
export const layerSchema = z.strictObject({
  id: z.string().min(1).max(60).optional().describe('A name for it among the others; of no meaning.'),
  on: z.enum(LAYER_PLACES, { error: `A layer lies on one of ${LAYER_PLACES.join(', ')}.` }),
  reveal: lengthSchema({ least: 0, most: 60 })
    .optional()
    .describe('The border that shows all round it: 1/8 in, inside 1/16 in, when left out.'),
  paper: paperSchema.optional().describe('The paper it is cut from, where it is another.'),
  pull: z
    .boolean({ error: 'Say true for a ribbon to pull an insert out by, false for none.' })
    .default(false)
    .describe('A ribbon round the far end of an insert pulls out what goes in.'),
});

const common = {
  version: z.literal(1, { error: 'This reads documents of version 1: write "version": 1.' }),
  contents: z
    .strictObject({
      width: size.optional(),
      height: size.optional(),
      thickness: lengthSchema({ least: 0, most: 200 }).prefault(mm(0)),
      name: z.string().min(1).max(60).optional().describe('What it is called, for the steps: card.'),
    })
    .optional()
    .describe('What goes in. A stack counts with its whole thickness, a card at its thickest place.'),
  blank: z
    .strictObject({ width: size, height: size })
    .optional()
    .describe('The paper at hand, when the question is what fits it.'),
  sheets: z
    .int({ error: 'Write how many sheets there are as a whole number, from 1 to 20.' })
    .min(1, { error: 'At least 1 sheet.' })
    .max(20, { error: 'At most 20 sheets.' })
    .optional()
    .describe(
      'All pieces come from so many sheets as the given paper (blank); when left out the paper is the first piece, and the plan says how many such sheets all of them take.',
    ),
  ease: both(room).optional().describe('Room aimed for, both sides together; the construction’s own when left out.'),
  leastEase: both(room).optional().describe('Room that rounding may not go under.'),
  paper: paperSchema.prefault({}).describe('The sheet the blank is cut from, and what it is like.'),
  tool: toolSchema.default(COMMON_BOARD),
  kit: kitSchema.optional().describe('What else is at hand; what is left out is not asked about.'),
  adhesive: z
    .strictObject({
      all: adhesive.default('wet-glue'),
      tape: lengthSchema({ over: 0, most: 60 })
        .prefault(inches(1 / 4))
        .describe('Width of the tape.'),
      joins: z
        .record(z.string().max(60), adhesive)
        .refine((joins) => Object.keys(joins).length <= MOST_JOINS, {
          error: `At most ${MOST_JOINS} joins are told apart.`,
        })
        .default({})
        .describe('What holds one join, by the step that makes it.'),
    })
    .prefault({})
    .describe('What holds paper to paper.'),
  order: z
    .enum(['by-operation', 'by-piece'], { error: 'Work goes "by-operation" or "by-piece".' })
    .default('by-operation')
    .describe('Cut all and score all before folding, or one piece after the other.'),
  closure: z
    .strictObject({
      kind: z.enum(CLOSURES, { error: `A closure is one of ${CLOSURES.join(', ')}.` }).default('none'),
      disc: lengthSchema({ over: 0, most: 60 })
        .prefault(inches(5 / 8))
        .describe('Diameter of the buttons’ discs, or of the dot.'),
      fromTip: size.optional().describe('From the tip of a flap to the middle of its disc; worked out when left out.'),
      otherFromTip: size.optional().describe('From the tip of the other flap to its disc, where it is another.'),
      cut: z.boolean().default(false).describe('Discs that would lap are cut off along one line between them.'),
    })
    .prefault({})
    .describe('What holds the finished thing shut.'),
  decorate: each(DECORATIONS, `A sheet is decorated with ${DECORATIONS.join(' or ')}, each once.`)
    .default([])
    .describe('What is done to the sheet while it is flat: edges inked, a pattern embossed.'),
  papers: z
    .record(z.string().max(60), paperSchema)
    .refine((papers) => Object.keys(papers).length <= MOST_PAPERS, {
      error: `At most ${MOST_PAPERS} pieces have papers of their own.`,
    })
    .default({})
    .describe('Papers of single pieces, by the piece’s name; all others are cut from “paper”.'),
  turns: z
    .record(z.string().max(60), quarters)
    .refine((turns) => Object.keys(turns).length <= MOST_JOINS, {
      error: `At most ${MOST_JOINS} pieces are turned by themselves.`,
    })
    .default({})
    .describe('How single pieces are laid on their print, by the piece’s name; all others as their paper says.'),
  layers: z
    .array(layerSchema, { error: 'List the layers.' })
    .max(MOST_LAYERS, { error: `At most ${MOST_LAYERS} layers.` })
    .default([])
    .describe(
      'What is laid on its faces or into its room; each next one on the same face is smaller by its own border.',
    ),
  rescued: rescuedSchema.optional().describe('One piece is made of a sheet that went wrong, as it is.'),
  graduation: z.enum(GRADUATIONS, { error: `Marks come at ${GRADUATIONS.join(', ')}.` }).default('1/8 in'),
  usual: z
    .enum(['in', 'mm'], { error: 'Usual lengths are told in "in" or in "mm".' })
    .default('in')
    .describe(
      'In which units lengths that are usual and that no option tells are round figures: decided when it is begun, whatever the marks become.',
    ),
};

const names = CONSTRUCTIONS.map((c) => c.name);
const OPTIONS = new Map([...CONSTRUCTIONS, ...GIVEN].map((c) => [c.name, optionFields(c.options)]));
/** The options of a construction, as forms show them. Empty for an unknown name. */
export const constructionOptions = (name: string): readonly OptionField[] => OPTIONS.get(name) ?? [];
const variantOf = (c: Construction) =>
  z
    .strictObject({ ...common, construction: z.literal(c.name), options: c.options.prefault({}) })
    .meta({ title: c.title, description: c.purpose });
type Variant = ReturnType<typeof variantOf>;

const schemaOf = (constructions: readonly Construction[]) =>
  z
    .discriminatedUnion('construction', constructions.map(variantOf) as [Variant, ...Variant[]], {
      error: ({ input }) => {
        const name = (input as { construction?: unknown } | null)?.construction;
        return name === undefined
          ? `Name the construction. Known are: ${names.join(', ')}.`
          : `${JSON.stringify(name)} is not a construction known here. Known are: ${names.join(', ')}.`;
      },
    })
    .superRefine((design, context) => {
      const miss = (path: string[], message: string) => context.addIssue({ code: 'custom', path, message });
      const { contents, blank, paper } = design;
      if (!blank && !contents) miss(['contents'], 'Say what goes in (contents) or what paper there is (blank).');
      if (design.sheets !== undefined && !blank)
        miss(
          ['sheets'],
          'How many sheets there are goes with the paper at hand (blank). Say its size, or leave it out.',
        );
      if (contents)
        for (const side of ['width', 'height'] as const)
          if (contents[side] === undefined && (!blank || contents.width !== undefined || contents.height !== undefined))
            miss(['contents', side], `The contents’ ${side} is missing. Write for example "3 1/2 in".`);
      if ((paper.width === undefined) !== (paper.height === undefined))
        miss(
          ['paper', paper.width === undefined ? 'width' : 'height'],
          'Give the paper’s width and height both, or neither.',
        );
      for (const [name, own] of Object.entries(design.papers))
        if ((own.width === undefined) !== (own.height === undefined))
          miss(['papers', name], 'Give the paper’s width and height both, or neither.');
      for (const { name, title, onPaper } of constructionOptions(design.construction))
        if (onPaper && !blank && (design.options as Record<string, unknown>)[name] !== undefined)
          miss(
            ['options', name],
            `“${title}” goes with the paper at hand (blank). With contents it is worked out: leave it out.`,
          );
    });

/** The design document (its JSON Schema: /api/v1/schema). Every construction's options are part of it. */
export const designSchema = schemaOf(CONSTRUCTIONS);
const givenSchema = schemaOf(GIVEN);
/** True for what nobody makes: a set tells of it as given. */
export const isGiven = (construction: unknown): boolean => GIVEN.some(({ name }) => name === construction);

/** A design as written: lengths as numbers of millimetres or as text, anything optional left out. */
export type DesignInput = z.input<typeof designSchema>;

/** A design with nothing left open; lengths in millimetres. */
export interface Design {
  readonly construction: Construction;
  readonly contents: Contents | null;
  /** What goes in, in a maker's words without an article; null where nobody said. */
  readonly holds: string | null;
  readonly thickness: Mm;
  readonly blank: Blank | null;
  /** All pieces come from so many such sheets; null where the blank is the first piece. */
  readonly sheets: number | null;
  readonly aim: Ease;
  readonly least: Ease;
  readonly paper: {
    readonly id?: string | undefined;
    readonly name?: string | undefined;
    readonly width?: Mm;
    readonly height?: Mm;
    readonly caliper: Mm;
    readonly sided: 1 | 2;
    readonly directional: boolean;
    readonly front?: PaperFace | undefined;
    readonly back?: PaperFace | undefined;
    readonly turn: Quarters;
    readonly at?: { readonly x: Mm; readonly y: Mm } | undefined;
    readonly window?:
      | { readonly x: Mm; readonly y: Mm; readonly width: Mm; readonly height: Mm; readonly keep: 'show' | 'avoid' }
      | undefined;
  };
  readonly tool: Tool;
  readonly kit: Kit;
  readonly adhesive: { readonly all: Adhesive; readonly tape: Mm; readonly joins: Readonly<Record<string, Adhesive>> };
  readonly order: 'by-operation' | 'by-piece';
  readonly closure: {
    readonly kind: Closure;
    readonly disc: Mm;
    readonly fromTip?: Mm | undefined;
    readonly otherFromTip?: Mm | undefined;
    readonly cut: boolean;
  };
  readonly layers: readonly {
    readonly id?: string | undefined;
    readonly on: LayerPlace;
    readonly reveal?: Mm | undefined;
    readonly paper?: Design['paper'] | undefined;
    readonly pull: boolean;
  }[];
  readonly decorate: readonly Decoration[];
  /** The sheet that went wrong which one piece is made of; null where all is new. */
  readonly rescued: Rescued | null;
  readonly graduation: Graduation;
  /** Units in which usual lengths are round figures. */
  readonly usual: Units;
  readonly options: unknown;
  /** The options that were told; the others are as usual. */
  readonly told: readonly string[];
  /** Papers of single pieces, by name; all others are of `paper`. */
  readonly papers: Readonly<Record<string, Design['paper']>>;
  /** How single pieces are laid on their print; all others as their paper says. */
  readonly turns: Readonly<Record<string, Quarters>>;
  /** What came out of it at the table, from the outside: what is laid on it and in it follows. Of no document. */
  readonly measured?: { readonly width: Mm; readonly height: Mm };
}

/** What pieces are cut from, and how they are laid on it. */
export type Papers = Pick<Design, 'paper' | 'papers' | 'turns'>;

/** The paper a piece is cut from, and how it lies on its print. */
export function paperOf({ paper, papers, turns }: Papers, piece: string): Design['paper'] {
  const own = papers[piece] ?? paper;
  const turn = turns[piece];
  return turn === undefined || turn === own.turn ? own : { ...own, turn };
}

/** How thick the paper of each piece is. */
export const calipersOf =
  (design: Papers): Calipers =>
  (piece) =>
    paperOf(design, piece).caliper;

/** Fills in what a checked document leaves open. */
function complete(document: z.output<typeof designSchema>, told: readonly string[]): Design {
  const construction = constructionNamed(document.construction);
  if (!construction) throw new Error(`${document.construction} passed the schema but is not registered`);
  const {
    contents,
    blank = null,
    paper,
    tool,
    kit = {},
    graduation,
    usual,
    options,
    adhesive: holds,
    order,
    closure,
    papers,
    turns,
    layers,
    decorate,
    rescued = null,
  } = document;
  const own = easeIn(usual, construction);
  const aim = { ...own.aim, ...defined(document.ease) };
  const ownLeast = {
    width: mm(Math.min(own.least.width, aim.width)),
    height: mm(Math.min(own.least.height, aim.height)),
  };
  const thickness = contents?.thickness ?? mm(0);
  return {
    construction,
    contents:
      contents?.width !== undefined && contents.height !== undefined
        ? { width: contents.width, height: contents.height, thickness }
        : null,
    holds: contents?.name ?? null,
    thickness,
    blank,
    sheets: document.sheets ?? null,
    aim,
    least: { ...ownLeast, ...defined(document.leastEase) },
    paper,
    tool,
    kit,
    adhesive: holds,
    order,
    closure,
    papers,
    turns,
    layers,
    decorate,
    rescued,
    graduation,
    usual,
    options,
    told,
  };
}

/** The room a construction asks for where nobody tells, as it is said in these units. */
const easeIn = (units: Units, { ease }: Construction): Construction['ease'] => {
  const both = ({ width, height }: Ease): Ease => ({ width: usualIn(units, width), height: usualIn(units, height) });
  return { aim: both(ease.aim), least: both(ease.least) };
};

const defined = <T extends object>(some: T | undefined): { [K in keyof T]?: NonNullable<T[K]> } =>
  Object.fromEntries(Object.entries(some ?? {}).filter(([, value]) => value !== undefined)) as never;

const NOTHING: Contents = { width: mm(0), height: mm(0), thickness: mm(0) };

/**
 * What a construction is asked, from a design.
 * @param taken what the holder's own paper takes beside what goes in, once it has been folded
 */
export const briefFor = (
  { contents, thickness, blank, aim, least, tool, graduation, usual, options, paper }: Design,
  taken: Contents = NOTHING,
): Brief => ({
  contents: contents && {
    ...contents,
    width: mm(contents.width + taken.width),
    height: mm(contents.height + taken.height),
  },
  asked: contents,
  thickness,
  deep: mm(thickness + taken.thickness),
  blank,
  aim,
  least,
  making: planTool(tool).making(tool, graduation),
  usual,
  caliper: paper.caliper,
  options,
});

export type DesignResult =
  | { readonly ok: true; readonly design: Design }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** What stands in a document sent as text; why there is nothing in it, as a sentence. */
export function parseDocument(
  text: string,
): { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly message: string } {
  if (text.trim() === '') return { ok: false, message: 'The document is empty.' };
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return { ok: false, message: 'This is not JSON.' };
  }
}

/** The options that a document tells. */
const toldIn = (document: unknown): readonly string[] =>
  Object.keys((document as { readonly options?: object }).options ?? {});

/** Checks a design document, of what is given too, and fills in what it leaves open; every problem is gathered. */
export function readDesign(input: unknown): DesignResult {
  const { construction } = (input ?? {}) as { readonly construction?: unknown };
  const result = (isGiven(construction) ? givenSchema : designSchema).safeParse(input, { reportInput: true });
  return result.success
    ? { ok: true, design: complete(result.data, toldIn(input)) }
    : { ok: false, issues: issuesOf(result.error) };
}
