import { constructionNamed, CONSTRUCTIONS } from '../constructions';
import { mm, parseLength, type Mm } from '../length';
import { issuesOf } from '../text/issues';
import { quoted } from '../text';
import { cellOf, csv, guarded, length, reading, readTable, type TableReading } from './csv';
import { logEntrySchema, type LogEntry } from './log';

/** Columns of the log as a table, in their order; lengths are numbers of millimetres. */
const COLUMNS = [
  'day',
  'name',
  'holder',
  'width',
  'height',
  'thickness',
  'room width',
  'room height',
  'fit width',
  'off width',
  'fit height',
  'off height',
  'copies',
  'minutes',
  'paper',
  'sheets',
  'changed',
  'note',
] as const;
type Column = (typeof COLUMNS)[number];

/** The log as a table of comma-separated values; lengths in millimetres to a hundredth. */
export function writeLogCsv(entries: readonly LogEntry[]): string {
  const rows = entries.map((entry): Record<Column, string> => ({
    day: entry.day,
    name: guarded(entry.name),
    holder: entry.construction,
    width: length(entry.contents.width),
    height: length(entry.contents.height),
    thickness: length(entry.contents.thickness),
    'room width': entry.room ? length(entry.room.width) : '',
    'room height': entry.room ? length(entry.room.height) : '',
    'fit width': entry.fit.width.how,
    'off width': length(entry.fit.width.by),
    'fit height': entry.fit.height.how,
    'off height': length(entry.fit.height.by),
    copies: String(entry.copies),
    minutes: String(entry.minutes),
    paper: guarded(entry.paper),
    sheets: String(entry.sheets),
    changed: guarded(entry.changed),
    note: guarded(entry.note),
  }));
  return csv(
    COLUMNS,
    rows.map((row) => COLUMNS.map((column) => row[column])),
  );
}

/** One line of a table as it was read: an entry, or what is wrong with it. */
export type LogLine =
  | { readonly line: number; readonly entry: LogEntry }
  | { readonly line: number; readonly text: string; readonly problems: readonly string[] };

/**
 * Reads a log from comma-separated values, part by part; nothing is half read. Columns may come in any order and be left
 * out where a make has nothing to say; lengths may carry their unit, plain numbers are millimetres.
 */
export const readLogCsv = (text: string): TableReading<LogLine> =>
  reading(readTable(text, ['day', 'name', 'holder', 'width', 'height'], 'the log'), readLine);

function readLine(row: Readonly<Record<string, unknown>>, line: number): LogLine {
  const problems: string[] = [];
  const cell = (column: Column): string => cellOf(row, column);
  const lengthIn = (column: Column, fallback: Mm | null): Mm => {
    const written = cell(column);
    if (written === '' && fallback !== null) return fallback;
    const read = parseLength(written, 'mm');
    if (read.ok) return read.value;
    problems.push(`${column}: ${read.message}`);
    return mm(1);
  };
  const count = (column: Column, fallback: number): number => {
    const written = cell(column);
    if (written === '') return fallback;
    const value = Number(written);
    if (Number.isFinite(value)) return value;
    problems.push(`${column}: ${quoted(written)} is not a number.`);
    return fallback;
  };
  const holder = cell('holder');
  // Both the short name and the one the app shows are understood.
  const construction =
    constructionNamed(holder)?.name ??
    CONSTRUCTIONS.find(({ title }) => title.toLowerCase() === holder.toLowerCase())?.name ??
    holder;
  const read = logEntrySchema.safeParse(
    {
      day: cell('day'),
      name: cell('name'),
      construction,
      contents: {
        width: lengthIn('width', null),
        height: lengthIn('height', null),
        thickness: lengthIn('thickness', mm(0)),
      },
      room:
        cell('room width') === '' && cell('room height') === ''
          ? null
          : { width: lengthIn('room width', mm(0)), height: lengthIn('room height', mm(0)) },
      fit: {
        width: { how: cell('fit width') || 'right', by: lengthIn('off width', mm(0)) },
        height: { how: cell('fit height') || 'right', by: lengthIn('off height', mm(0)) },
      },
      copies: count('copies', 1),
      minutes: count('minutes', 0),
      paper: cell('paper'),
      sheets: count('sheets', 0),
      changed: cell('changed'),
      note: cell('note'),
    },
    { reportInput: true },
  );
  if (!read.success) problems.push(...issuesOf(read.error).map(({ path, message }) => `${path}: ${message}`));
  if (Array.isArray(row.__parsed_extra)) problems.push('There are more cells than columns.');
  return read.success && problems.length === 0
    ? { line, entry: read.data }
    : { line, text: [cell('day'), cell('name'), holder].filter(Boolean).join(', ') || 'empty', problems };
}
