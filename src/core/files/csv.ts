import Papa from 'papaparse';

/** Text that a spreadsheet would run as a formula is led by an apostrophe. */
export const guarded = (text: string): string => (/^'*[=+\-@\t\r]/.test(text) ? `'${text}` : text);
/** The same text as it was before. */
export const plain = (text: string): string => (/^'+[=+\-@\t\r]/.test(text) ? text.slice(1) : text);
/** A length in a table: millimetres to a hundredth. */
export const length = (value: number): string => String(Number(value.toFixed(2)));

/** Rows as comma-separated values, the columns named in the first line. */
export const csv = (fields: readonly string[], rows: readonly (readonly string[])[]): string =>
  `${Papa.unparse({ fields: [...fields], data: rows.map((row) => [...row]) }, { newline: '\r\n' })}\r\n`;

/** Longest table worth reading, characters, and most lines. */
export const LONGEST_TABLE = 2_000_000;
const MOST_LINES = 20_000;

/** What a table holds, a record a line by its columns' names in small letters, or why it cannot be read. */
export type Table =
  | { readonly ok: true; readonly rows: readonly Readonly<Record<string, unknown>>[] }
  | { readonly ok: false; readonly message: string };

/**
 * Reads a table whose first line names its columns, separated by commas, semicolons or tabs. `needed` columns must be
 * there; `what` is what such a table is called ("A log").
 */
export function readTable(text: string, needed: readonly string[], what: string): Table {
  if (text.length > LONGEST_TABLE)
    return { ok: false, message: `This table has ${text.length} characters; ${what} has under ${LONGEST_TABLE}.` };
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase(),
  });
  const fields = parsed.meta.fields ?? [];
  const missing = needed.filter((name) => !fields.includes(name));
  if (missing.length > 0)
    return {
      ok: false,
      message: `The first line must name the columns, and “${missing.join('”, “')}” ${missing.length > 1 ? 'are' : 'is'} missing. Export ${what} once to see them all.`,
    };
  if (parsed.data.length > MOST_LINES)
    return {
      ok: false,
      message: `This table has ${parsed.data.length} lines; at most ${MOST_LINES} are read at once.`,
    };
  return { ok: true, rows: parsed.data };
}

/** The text of a cell, as it was before a spreadsheet was guarded against. */
export const cellOf = (row: Readonly<Record<string, unknown>>, column: string): string => {
  const value = row[column];
  return typeof value === 'string' ? plain(value.trim()) : '';
};
