import { z } from '../text/zod';
import { inches, lengthSchema, mm } from '../length';
import { isPrintable } from '../text';
import { issuesOf, type Issue } from '../text/issues';

/** Most pieces of all sizes together that one list may ask for. */
const MOST_PIECES = 2000;
/** Most sheets of one size that may be at hand. */
const MOST_SHEETS = 10_000;
/** Most sizes of piece, and most kinds of sheet. */
const MOST_SIZES = 200;
const MOST_KINDS = 60;
/** A sheet's longer side is at most so many times the shortest side of any piece: a 10 m roll and a 1 cm strip. */
const MOST_TIMES = 1000;
/** Most of the smallest pieces that a single sheet may hold: more is confetti, and a search over it has no end. */
const MOST_ON_ONE = 20_000;

const size = lengthSchema({ over: 0 });
const name = z
  .string({ error: 'Give it a name.' })
  .trim()
  .min(1, { error: 'Give it a name.' })
  .max(120, { error: 'A name has at most 120 characters.' })
  .refine(isPrintable, { error: 'A name is on one line, of letters that can be printed.' });
const whole = (least: number, most: number, what: string) => {
  const error = `${what} is a whole number from ${least} to ${most}.`;
  return z.number({ error }).int({ error }).min(least, { error }).max(most, { error });
};

const sheetSchema = z.strictObject({
  name,
  width: size,
  height: size,
  count: whole(0, MOST_SHEETS, 'How many sheets there are')
    .optional()
    .describe('Sheets at hand; left out, there are as many as are needed.'),
  kerf: lengthSchema({ least: 0, most: 25 }).prefault(mm(0)).describe('Width the blade takes away at each cut.'),
  trim: lengthSchema({ least: 0, most: 100 })
    .prefault(mm(0))
    .describe('Margin cut off all round before anything else: a torn, inked or uneven edge.'),
  directional: z
    .boolean({ error: 'Say true for a print or grain that has a right way up, false for one that has not.' })
    .default(false)
    .describe('No piece is turned on such a sheet.'),
  priority: whole(-1000, 1000, 'A priority')
    .default(0)
    .describe(
      'The lowest is used first. A sheet is taken from a later priority only where that saves none of a still later one.',
    ),
});

const pieceSchema = z.strictObject({
  name,
  width: size,
  height: size,
  quantity: whole(0, MOST_PIECES, 'A quantity').default(1),
  turn: z
    .boolean({ error: 'Say true if the piece may be turned a quarter, false if it may not.' })
    .default(true)
    .describe('Whether the piece may be turned a quarter.'),
  place: z
    .strictObject({
      x: lengthSchema({ least: 0 }),
      y: lengthSchema({ least: 0 }),
      on: z.strictObject({ width: size, height: size }),
    })
    .optional()
    .describe(
      'Where the lower left corner of each copy lies on a sheet of its own, and of what size that sheet is: a motif is to show, a torn edge to be avoided. Without such a sheet in the list the piece is laid like any other.',
    ),
});

/** What is to be cut, and from what. */
export const cutListSchema = z
  .strictObject({
    version: z.literal(1, { error: 'This reads documents of version 1: write "version": 1.' }),
    sheets: z
      .array(sheetSchema, { error: 'List the sheets.' })
      .min(1, { error: 'There is no sheet to cut from. List at least one.' })
      .max(MOST_KINDS, { error: `At most ${MOST_KINDS} kinds of sheet. Make two lists of it.` }),
    pieces: z
      .array(pieceSchema, { error: 'List the pieces.' })
      .min(1, { error: 'There is no piece to cut. List at least one.' })
      .max(MOST_SIZES, { error: `At most ${MOST_SIZES} sizes of piece. Make two lists of it.` }),
    cutter: z
      .enum(['guillotine', 'free'], {
        error: 'A cutter is "guillotine" (from edge to edge) or "free" (scissors, cutting machine).',
      })
      .default('guillotine'),
    keep: lengthSchema({ over: 0, most: 1000 })
      .prefault(inches(1))
      .describe('An offcut is worth keeping if both its sides are at least this.'),
  })
  .check(({ value, issues }) => {
    const all = value.pieces.reduce((sum, { quantity }) => sum + quantity, 0);
    if (all > MOST_PIECES)
      issues.push({
        code: 'custom',
        path: ['pieces'],
        input: value.pieces,
        message: `${all} pieces are more than the ${MOST_PIECES} one list may hold. Make two lists of it.`,
      });
    const asked = value.pieces.filter(({ quantity }) => quantity > 0);
    const shortest = Math.min(...asked.map(({ width, height }) => Math.min(width, height)));
    const smallest = Math.min(...asked.map(({ width, height }) => width * height));
    value.sheets.forEach((sheet, i) => {
      const longer = Math.max(sheet.width, sheet.height);
      const holds = Math.floor((sheet.width * sheet.height) / smallest);
      if (longer > MOST_TIMES * shortest)
        issues.push({
          code: 'custom',
          path: ['sheets', i],
          input: sheet,
          message: `“${sheet.name}” is ${longer} mm long and the narrowest piece ${shortest} mm: that is more than ${MOST_TIMES} times. Cut strips of it first, or leave that piece out.`,
        });
      else if (holds > MOST_ON_ONE)
        issues.push({
          code: 'custom',
          path: ['sheets', i],
          input: sheet,
          message: `“${sheet.name}” would hold ${holds} of the smallest piece, and ${MOST_ON_ONE} is the most a list may ask for. Cut it into smaller sheets first.`,
        });
      const twin = value.sheets.findIndex(({ name }) => name === sheet.name);
      if (value.sheets[twin]!.width !== sheet.width || value.sheets[twin]!.height !== sheet.height)
        issues.push({
          code: 'custom',
          path: ['sheets', i, 'name'],
          input: sheet.name,
          message: `Two sizes of sheet are called “${sheet.name}”. Give one another name.`,
        });
      if (2 * sheet.trim >= Math.min(sheet.width, sheet.height))
        issues.push({
          code: 'custom',
          path: ['sheets', i, 'trim'],
          input: sheet.trim,
          message: `Trimming ${sheet.trim} mm off all round leaves nothing of “${sheet.name}”.`,
        });
    });
  });

/** A cut list, read: lengths in millimetres. */
export type CutList = z.output<typeof cutListSchema>;
/** A cut list as people write it. */
export type CutListInput = z.input<typeof cutListSchema>;
export type SheetKind = CutList['sheets'][number];
export type CutPiece = CutList['pieces'][number];

/** A rectangle on a sheet, mm, origin at the sheet's lower left. */
const rectangle = { x: z.number(), y: z.number(), width: z.number(), height: z.number() };
const point = z.tuple([z.number(), z.number()]);

/** What comes out: each sheet with its pieces, its cuts in the order they are made, and what is left of it. */
export const layoutSchema = z.object({
  version: z.literal(1),
  sheets: z.array(
    z.object({
      sheet: z.string(),
      placements: z.array(
        z.object({
          piece: z.string(),
          ...rectangle,
          turned: z.boolean().describe('A quarter turn: width and height are those on the sheet.'),
        }),
      ),
      cuts: z.array(z.object({ from: point, to: point })).describe('In the order they are made.'),
      offcuts: z.array(z.object(rectangle)).describe('What is worth keeping.'),
    }),
  ),
  sheetsUsed: z.int(),
  lowerBound: z.int().describe('No plan for the pieces placed, keeping the priorities, uses fewer sheets: proved.'),
  optimal: z.boolean().describe('True when fewer sheets are proved impossible and nothing is left over.'),
  yield: z.number().describe('Share of the used sheets that is pieces, 0 to 1.'),
  unplaced: z.array(z.object({ piece: z.string(), quantity: z.int(), why: z.string() })),
});
export type Layout = z.output<typeof layoutSchema>;
export type SheetLayout = Layout['sheets'][number];
export type Placement = SheetLayout['placements'][number];
export type Cut = SheetLayout['cuts'][number];
export type Rect = SheetLayout['offcuts'][number];

/** Reads a cut list. What is wrong comes back as sentences, a path each. */
export function readCutList(
  document: unknown,
): { readonly ok: true; readonly list: CutList } | { readonly ok: false; readonly issues: readonly Issue[] } {
  const read = cutListSchema.safeParse(document, { reportInput: true });
  return read.success ? { ok: true, list: read.data } : { ok: false, issues: issuesOf(read.error) };
}
