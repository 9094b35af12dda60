import { z } from 'zod';
import { lengthSchema, type LengthLimits, type Mm } from '../length';

/** What every option tells about itself besides its value. Read by forms, the JSON Schema and the docs. */
export interface OptionMeta {
  readonly title: string;
  readonly description: string;
  readonly unit: 'mm' | 'choice';
}

/** A length option: `fallback` in mm when left out. */
export const lengthOption = (title: string, reason: string, fallback: Mm, limits: LengthLimits) =>
  lengthSchema(limits)
    .default(fallback)
    .meta({ title, description: reason, unit: 'mm' } satisfies OptionMeta);

/** A length option with no value of its own until the person gives one. */
export const openLengthOption = (title: string, reason: string, limits: LengthLimits) =>
  lengthSchema(limits)
    .optional()
    .meta({ title, description: reason, unit: 'mm' } satisfies OptionMeta);

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
