import Papa from 'papaparse';
import { manyLines, quoted } from '../text';

/**
 * Signs that make a cell a formula in some spreadsheet: the plain ones, and the full-width ones of East Asian keyboards.
 * A line end or a mark that parts cells is looked behind: what follows it may be taken for a cell of its own where a
 * table is read with another mark.
 */
const RUNS = /(^|[;,\n])(\s*'*)(?=[=+\-@\uFF1D\uFF0B\uFF0D\uFF20])/gu;
const RAN = /(^|[;,\n])(\s*'*)'(?=[=+\-@\uFF1D\uFF0B\uFF0D\uFF20])/gu;

/** Text that a spreadsheet would run as a formula is led by an apostrophe. */
export const guarded = (text: string): string => manyLines(text).replace(RUNS, "$1$2'");
/** The same text as it was before. */
export const plain = (text: string): string => text.replace(RAN, '$1$2');
/** A length in a table: millimetres to a hundredth. */
export const length = (value: number): string => String(Number(value.toFixed(2)));

/**
 * Rows as comma-separated values, the columns named in the first line. Led by a byte order mark, without which common
 * spreadsheets take the letters for those of an old code page; every cell stands in quotes, so that no other mark
 * inside parts it.
 */
export const csv = (fields: readonly string[], rows: readonly (readonly string[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...fields], data: rows.map((row) => [...row]) }, { newline: '\r\n', quotes: true })}\r\n`;

/** Longest table worth reading, characters, and most lines. */
export const LONGEST_TABLE = 8_000_000;
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
  const named = new Set<string>();
  const twice = new Set<string>();
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (written, column) => {
      const name = written.trim().toLowerCase();
      if (!named.has(name)) return named.add(name) && name;
      if (name) twice.add(name);
      return `column ${column + 1}`;
    },
  });
  if (twice.size > 0)
    return {
      ok: false,
      message: `The first line names ${quoted([...twice][0]!)} twice, and it cannot be told which is meant. Rename one of the two columns.`,
    };
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

/** A table being read: how many lines it has, and what became of them, so many at a time. */
export type TableReading<Line> =
  | { readonly ok: true; readonly count: number; readonly parts: () => Generator<readonly Line[]> }
  | { readonly ok: false; readonly message: string };

/** Lines read at a time, where a page wants to answer in between. */
const PART = 500;

/** Reads each line of a table; the first line of records is line 2. */
export const reading = <Line>(
  table: Table,
  readLine: (row: Readonly<Record<string, unknown>>, line: number) => Line,
): TableReading<Line> =>
  table.ok
    ? {
        ok: true,
        count: table.rows.length,
        parts: function* () {
          for (let from = 0; from < table.rows.length; from += PART)
            yield table.rows.slice(from, from + PART).map((row, i) => readLine(row, from + i + 2));
        },
      }
    : table;
