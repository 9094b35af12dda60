import { stashPaperSchema, type StashPaper } from '../cutting';
import { caliperOf, parseLength, USUAL_CALIPER, type Units } from '../length';
import { issuesOf } from '../text/issues';
import { quoted } from '../text';
import { cellOf, csv, guarded, length, reading, readTable, type TableReading } from './csv';

/** Columns of the stash as a table, in their order. */
const COLUMNS = [
  'name',
  'width',
  'height',
  'count',
  'caliper',
  'weight',
  'sides',
  'right way up',
  'colour',
  'price',
  'made',
  'of',
  'note',
] as const;
type Column = (typeof COLUMNS)[number];

/** The stash as comma-separated values; sizes carry their unit, for a table may be read where inches are usual. */
export const writeStashCsv = (papers: readonly StashPaper[]): string =>
  csv(
    COLUMNS,
    papers.map((paper) => [
      guarded(paper.name),
      `${length(paper.width)} mm`,
      `${length(paper.height)} mm`,
      String(paper.count),
      String(Number(paper.caliper.toFixed(3))),
      '',
      String(paper.sided),
      paper.directional ? 'yes' : 'no',
      guarded(paper.colour),
      String(Number(paper.price.toFixed(4))),
      paper.made,
      guarded(paper.of),
      guarded(paper.note),
    ]),
  );

/** One line of a table as it was read: a paper, or what is wrong with it. */
export type StashLine =
  | { readonly line: number; readonly paper: StashPaper }
  | { readonly line: number; readonly text: string; readonly problems: readonly string[] };

/**
 * Reads papers from a table, copied from a spreadsheet or a file. `name`, `width` and `height` must be there; a count
 * left out is one sheet. A weight (`weight`, g/m²) stands for the caliper where that is left out. Plain lengths are in
 * `units`, but for the caliper, which is millimetres.
 */
export const readStashCsv = (text: string, units: Units): TableReading<StashLine> =>
  reading(readTable(text, ['name', 'width', 'height'], 'the stash'), (row, line) => readLine(row, line, units));

function readLine(row: Readonly<Record<string, unknown>>, line: number, units: Units): StashLine {
  const problems: string[] = [];
  const cell = (column: Column): string => cellOf(row, column);
  const lengthIn = (column: Column, unit: Units): number => {
    const read = parseLength(cell(column), unit);
    if (read.ok) return read.value;
    problems.push(`${column}: ${read.message}`);
    return 1;
  };
  const number = (column: Column, fallback: number): number => {
    const written = cell(column).replace(',', '.');
    if (written === '') return fallback;
    const value = Number(written);
    if (Number.isFinite(value)) return value;
    problems.push(`${column}: ${quoted(cell(column))} is not a number.`);
    return fallback;
  };
  const weight = number('weight', 0);
  const upright = cell('right way up').toLowerCase();
  if (!['', 'yes', 'no', 'true', 'false'].includes(upright))
    problems.push(`right way up: write yes or no, not ${quoted(upright)}.`);
  const read = stashPaperSchema.safeParse(
    {
      name: cell('name'),
      width: lengthIn('width', units),
      height: lengthIn('height', units),
      count: number('count', 1),
      caliper: cell('caliper') ? lengthIn('caliper', 'mm') : weight > 0 ? caliperOf(weight) : USUAL_CALIPER,
      sided: number('sides', 2),
      directional: upright === 'yes' || upright === 'true',
      colour: cell('colour'),
      price: number('price', 0),
      made: cell('made') || 'plain',
      of: cell('of'),
      note: cell('note'),
    },
    { reportInput: true },
  );
  if (!read.success) problems.push(...issuesOf(read.error).map(({ path, message }) => `${path}: ${message}`));
  if (Array.isArray(row.__parsed_extra)) problems.push('There are more cells than columns.');
  return read.success && problems.length === 0
    ? { line, paper: read.data }
    : { line, text: cell('name') || 'no name', problems };
}
