import { PARTS } from './tick';

/** A count of parts of an inch: `5 eighths`. */
const part = (count: string, of: string): string => `${count} ${PARTS[Number(of)]![count === '1' ? 0 : 1]}`;

/**
 * A sentence as a voice says it well: fractions, units and signs in words. `in` is said as a unit behind a length alone:
 * `edge 1 in the board` stays.
 */
export const saidOut = (text: string): string =>
  text
    .replaceAll(/(\d+) (\d+)\/(2|4|8|16|32) in\b/g, (_, whole: string, count: string, of: string) => {
      return `${whole} and ${part(count, of)} inches`;
    })
    .replaceAll(/(\d+)\/(2|4|8|16|32) in\b/g, (_, count: string, of: string) => `${part(count, of)} of an inch`)
    .replaceAll(/(?<!(?:edge|score|and|[\d/]) )(?<![\d/.])(\d+(?:\.\d+)?) in\b/gi, '$1 inches')
    .replaceAll(/(?<=inch(?:es)? and |, )(\d+(?:\.\d+)?) in\b/gi, '$1 inches')
    .replaceAll(/\bmm\b/g, 'millimetres')
    .replaceAll(' × ', ' by ');
