/** Text people type or files bring: `oneLine(' Star\tcards ')` is `Star cards`. */
import { z } from './zod';

/** What has no shape on paper or turns the text round it about: controls, lone halves of pairs, direction marks. */
const UNPRINTABLE = /[\p{Cc}\p{Cs}\u2028\u2029\u202A-\u202E\u2066-\u2069\uFEFF\uFDD0-\uFDEF\uFFFE\uFFFF]/gu;

/** A text on one line, of what can be printed only; blanks and line ends are single spaces. */
export const oneLine = (text: string): string =>
  // Composed and spaced last: what stood between two signs or two blanks may just have gone.
  text.replace(/\s/gu, ' ').replace(UNPRINTABLE, '').normalize('NFC').replace(/ +/g, ' ').trim();

/** A text of several lines, of what can be printed only. */
export const manyLines = (text: string): string =>
  text
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .map((line) => line.replace(/\t/g, ' ').replace(UNPRINTABLE, '').normalize('NFC').trimEnd())
    .join('\n');

/** True for a text that can be printed as it stands, on one line. */
export const isPrintable = (text: string): boolean => !/[\n\r\t]/.test(text) && text.search(UNPRINTABLE) < 0;

/** Names in a row: `a, b and c`, each but the first with a word before it where told. */
export const listed = (names: readonly string[], each = ''): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(`, ${each}`)} and ${each}${names.at(-1)}`;

/** So many of a thing: `1 piece`, `3 pieces`. */
export const several = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;

/** The article before a word or a figure as they are said: `a card`, `an envelope`, `an 8 in square`, `an A6 card`. */
export const article = (next: string): 'a' | 'an' =>
  /^(?:[aeio]|8|1[18](?!\d)|[AEFHILMNORSX](?![a-z]))/.test(next) || /^[AEIO][a-z]/.test(next) ? 'an' : 'a';

/** A text with a capital at its start. */
export const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A name as it stands within a sentence: `star card`; what does not begin like a plain word stays, `A6 card`. */
export const uncapitalised = (name: string): string =>
  /^\p{Lu}\p{Ll}/u.test(name) ? name.charAt(0).toLowerCase() + name.slice(1) : name;

/** A text cut to at most so many characters; a pair that makes one sign is not cut through. */
export const shortened = (text: string, most: number): string =>
  text.length > most ? `${text.slice(0, most - 1).replace(/[\uD800-\uDBFF]$/, '')}…` : text;

/** What somebody wrote, as a sentence about it repeats it: printable, on one line, and not long. */
export function quoted(written: unknown, most = 60): string {
  const text = typeof written === 'string' ? written : (JSON.stringify(written) ?? 'nothing');
  return `“${shortened(oneLine(text.slice(0, 10 * most)), most)}”`;
}

const longest = (most: number): { error: string } => ({ error: `At most ${most} characters.` });

/** A line of text in a document or a table: made printable, at most so many characters. */
export const lineSchema = (most: number) => z.string().overwrite(oneLine).max(most, longest(most));

/** A name: a line of text with something on it. */
export const nameSchema = (most: number, missing: string) => lineSchema(most).min(1, { error: missing });

/** Text of several lines. */
export const linesSchema = (most: number) => z.string().overwrite(manyLines).max(most, longest(most));
