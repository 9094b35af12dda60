import { z } from '../text/zod';
import { lengthSchema } from '../length';

/** How a sheet is turned before a pattern is laid on it: in the plane, then over its upright middle. */
export const TURNED = ['not', 'round', 'left', 'right'] as const;
export type Turned = (typeof TURNED)[number];

const size = lengthSchema({ over: 0, most: 10_000 });
const place = lengthSchema({ least: -10_000, most: 10_000 });
const point = z.tuple([place, place]);
const lines = z.array(z.tuple([point, point])).max(300);
const panels = z.array(z.string().min(1).max(60)).max(20);

/**
 * A sheet that went wrong, and what is made of it: one piece of the design is laid on it as it is. Lengths are those of the
 * sheet as it first lay, x to the right and y away from its maker.
 */
export const rescuedSchema = z.strictObject({
  piece: z.string().min(1).max(120).describe('The piece that is laid on it.'),
  sheet: z.strictObject({ width: size, height: size }),
  turned: z
    .enum(TURNED, { error: `A sheet is turned ${TURNED.join(', ')}.` })
    .default('not')
    .describe('How it is turned first, in the plane.'),
  over: z.boolean().default(false).describe('Then turned over.'),
  at: z
    .strictObject({ x: place, y: place })
    .prefault({ x: 0, y: 0 })
    .describe('Where the pattern begins then, from the sheet’s left end and its near edge.'),
  gone: z.array(z.array(point).min(3).max(300)).max(200).default([]).describe('Paper that is gone.'),
  scores: lines.default([]).describe('What is scored already.'),
  cuts: lines.default([]).describe('What is cut through and should not be.'),
  step: z
    .int({ error: 'A step is the number of one.' })
    .min(1)
    .optional()
    .describe('Everything before this step of the make was done: it is not told again.'),
  strips: panels.default([]).describe('Panels that a strip is glued behind, where they lack paper or are cut.'),
  joined: panels.default([]).describe('Panels that are cut off and made anew, joined on with a lap.'),
  stuck: z
    .string()
    .max(60)
    .optional()
    .describe('The panel that is glued where it should not be: it is cut off, and what is stuck stays.'),
});

/** A sheet that went wrong, read. */
export type Rescued = z.output<typeof rescuedSchema>;
