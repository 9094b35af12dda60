import { z } from '../text/zod';
import { sayer, unitsOf, type Say } from '../length';
import { planDocument, planSchema } from '../document';
import { setChecks } from './checks';
import { cutListOf, shortagesOf } from './cut-list';
import { runsOf } from './order';
import type { SetPlan } from './plan-set';
import { setSentence } from './words';

const number = z.number();
const size = z.strictObject({ width: number, height: number, thickness: number });

/** The set plan document: the answer to a set, lengths in millimetres. */
export const setPlanSchema = z.strictObject({
  version: z.literal(1),
  set: z.string(),
  parts: z
    .array(
      z.strictObject({
        id: z.string(),
        name: z.string(),
        quantity: number,
        contents: size.nullable().describe('All that lies in it, or that it goes round; null where no part tells it.'),
        outside: size.nullable().describe('With what it holds, at its thickest place; null without a pattern.'),
        plan: planSchema.nullable().describe('Its plan for one copy; null for what is there already.'),
      }),
    )
    .describe('From the innermost outwards.'),
  cutList: z.array(
    z.strictObject({
      paper: z.string(),
      pieces: z.array(
        z.strictObject({
          part: z.string(),
          name: z.string(),
          width: number,
          height: number,
          quantity: number.describe('For the whole set.'),
          turn: z.boolean(),
        }),
      ),
    }),
  ),
  shortages: z.array(
    z.strictObject({
      paper: z.string(),
      sheets: number.nullable().describe('Sheets it takes; null where a piece is larger than the sheet.'),
      has: number,
    }),
  ),
  order: z
    .array(z.strictObject({ part: z.string(), step: number, copies: number }))
    .describe('Every step of every part in the order of the work, and for how many copies it is done.'),
  checks: z.array(
    z.strictObject({
      id: z.string(),
      level: z.enum(['pass', 'note', 'warn', 'fail']),
      part: z.string().optional(),
      value: number.nullable(),
      limit: number,
      message: z.string(),
    }),
  ),
});
export type SetPlanDocument = z.infer<typeof setPlanSchema>;

/** Writes a planned set as the document others read; sentences in the units of its marks unless told. */
export function setDocument(
  planned: SetPlan,
  say: Say = sayer(unitsOf(planned.set.graduation), planned.set.graduation),
): SetPlanDocument {
  const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
  return {
    version: 1,
    set: planned.set.name,
    parts: planned.parts.map(({ part, plan, holds, outside }) => ({
      id: part.id,
      name: part.name,
      quantity: part.quantity,
      contents: holds && { width: holds.width, height: holds.height, thickness: holds.thickness },
      outside: outside && { width: outside.width, height: outside.height, thickness: outside.thickness },
      plan: part.given ? null : planDocument(plan, say),
    })),
    cutList: cutListOf(planned).map(({ paper, pieces }) => ({
      paper,
      pieces: pieces.map(({ part, name, width, height, quantity, turn, gives = 1 }) => ({
        part,
        name,
        width,
        height,
        quantity: Math.ceil(quantity / gives),
        turn,
      })),
    })),
    shortages: shortagesOf(planned).map(({ paper, sheets, has }) => ({ paper, sheets: finite(sheets), has })),
    order: runsOf(planned, say).flatMap(({ part, steps }) =>
      steps.map(({ id }) => ({ part, step: id, copies: planned.set.parts.find((one) => one.id === part)!.quantity })),
    ),
    checks: setChecks(planned).map((check) => ({
      id: check.id,
      level: check.level,
      ...(check.part !== null && { part: check.part }),
      value: finite(check.value),
      limit: check.limit,
      message: setSentence(check, say),
    })),
  };
}
