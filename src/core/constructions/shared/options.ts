import { z } from '../../text/zod';
import { lengthSchema, type LengthLimits, type Mm } from '../../length';

/** What every option tells about itself besides its value. Read by forms, the JSON Schema and the docs. */
export interface OptionMeta {
  readonly title: string;
  readonly description: string;
  readonly unit: 'mm' | 'choice' | 'count' | 'yes-no';
  /** What a length may be, mm. */
  readonly limits?: LengthLimits;
  /** Set on options that say what is fixed on the paper already: they have no place in a contents-first design. */
  readonly onPaper?: true;
  /** The tool that makes it, and has a size of its own. */
  readonly madeWith?: 'punch' | 'corner rounder';
  /** A limit that other lengths keep to: it gives way to nothing by itself. */
  readonly limit?: true;
  /** What happens when an option without a default is left open. */
  readonly open?: string;
}

/** A length option: `fallback` in mm when left out. */
export const lengthOption = (
  title: string,
  reason: string,
  fallback: Mm,
  limits: LengthLimits,
  more: Pick<OptionMeta, 'madeWith' | 'limit'> = {},
) =>
  lengthSchema(limits)
    .prefault(fallback)
    .meta({ title, description: reason, unit: 'mm', limits, ...more } satisfies OptionMeta);

/** A length option with no value of its own until the person gives one; `open` says what holds until then. */
export const openLengthOption = (
  title: string,
  reason: string,
  limits: LengthLimits,
  more: Pick<OptionMeta, 'onPaper' | 'open'> = {},
) =>
  lengthSchema(limits)
    .optional()
    .meta({ title, description: reason, unit: 'mm', limits, ...more } satisfies OptionMeta);

/** A choice among names; the first is the default. */
export const choiceOption = <const Names extends readonly [string, ...string[]]>(
  title: string,
  reason: string,
  names: Names,
) =>
  z
    .enum(names, {
      error: ({ input }) => `${JSON.stringify(input)} is not a choice here. Choose ${names.join(' or ')}.`,
    })
    .default(names[0] as never)
    .meta({ title, description: reason, unit: 'choice' } satisfies OptionMeta);

/** A whole number, between two limits. */
export const countOption = (title: string, reason: string, fallback: number, least: number, most: number) =>
  z
    .int({ error: `Write a whole number from ${least} to ${most}.` })
    .min(least, { error: `“${title}” is ${least} at least.` })
    .max(most, { error: `“${title}” is ${most} at most.` })
    .default(fallback)
    .meta({ title, description: reason, unit: 'count', limits: { least, most } } satisfies OptionMeta);

/** Yes or no. */
export const yesNoOption = (title: string, reason: string, fallback: boolean) =>
  z
    .boolean({ error: 'Say true or false.' })
    .default(fallback)
    .meta({ title, description: reason, unit: 'yes-no' } satisfies OptionMeta);

/** An option as a form or a table shows it. */
export interface OptionField extends OptionMeta {
  readonly name: string;
  readonly choices: readonly string[];
  readonly fallback: string | number | boolean | undefined;
}

/** Every option a schema declares, in its own order, read off the JSON Schema generated from it. */
export function optionFields(options: z.ZodType): OptionField[] {
  const { properties = {} } = z.toJSONSchema(options, { io: 'input', unrepresentable: 'any' }) as {
    properties?: Record<string, OptionMeta & { enum?: string[]; default?: string | number | boolean }>;
  };
  return Object.entries(properties).map(
    ([name, { title, description, unit, limits, onPaper, madeWith, limit, open, ...rest }]) => ({
      name,
      title,
      description,
      unit,
      ...(limits ? { limits } : {}),
      ...(onPaper ? { onPaper } : {}),
      ...(madeWith ? { madeWith } : {}),
      ...(limit ? { limit } : {}),
      ...(open ? { open } : {}),
      choices: rest.enum ?? [],
      fallback: rest.default,
    }),
  );
}
