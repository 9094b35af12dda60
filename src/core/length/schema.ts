import { z } from '../text/zod';
import { mm, type Mm } from './mm';
import { parseLength } from './parse';

/** Longest length a design may name, mm: a 10 m roll. */
export const LONGEST = 10_000;

/** What is shorter than this is nothing, mm: a millionth. */
const NOTHING = 1e-6;

/** What a length may be, mm; the sentence about a length that is not says the limit. */
export interface LengthLimits {
  /** The length must be more than this. */
  readonly over?: number;
  readonly least?: number;
  readonly most?: number;
}

const HINT = 'Write a length: a number of millimetres, or text with its unit such as "3 3/4 in".';

/** Why a length is outside its limits, or null when it is not. `said` is the length as the person wrote it. */
function outside(value: number, said: string, { over, least, most = LONGEST }: LengthLimits): string | null {
  if (over !== undefined && value <= over) return `${said} is too small: it must be more than ${over} mm.`;
  if (least !== undefined && value < least) return `${said} is too small: at least ${least} mm.`;
  if (value > most) return `${said} is too large: at most ${most} mm.`;
  return null;
}

/** A length in a document: a number of millimetres, or text with its unit. Comes out as millimetres. */
export const lengthSchema = (limits: LengthLimits = {}) =>
  z.union([z.number({ error: HINT }), z.string({ error: HINT })], { error: HINT }).transform((written, context): Mm => {
    const fail = (message: string) => {
      context.issues.push({ code: 'custom', message, input: written });
      return z.NEVER;
    };
    if (typeof written === 'string') {
      const parsed = parseLength(written);
      if (!parsed.ok) return fail(parsed.message);
      const wrong = outside(parsed.value, written, limits);
      return wrong ? fail(wrong) : parsed.value;
    }
    const value = Math.abs(written) < NOTHING ? 0 : written;
    const wrong = outside(value, `${written} mm`, limits);
    return wrong ? fail(wrong) : mm(value);
  });
