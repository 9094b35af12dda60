import {
  isOfSize,
  piecesOf,
  readCutList,
  sheetsFrom,
  type CutList,
  type CutListInput,
  type KeptPaper,
  type Need,
} from '@/core/cutting';
import { PAPERS } from '@/core/design';
import type { Units } from '@/core/length';
import type { CuttingRecord } from '@/data/db';
import { isExample } from '@/data/examples';
import type { OnPaper } from './needOn';

/** Paper this much thicker or thinner than a design's is not offered for it by itself. */
const SUITS = 0.3;

/** Something to be cut for, and the paper it was planned with. */
export interface NeedOnPaper extends Need, OnPaper {
  readonly pieces: OnPaper['pieces'];
  /** It came with the app: then papers that came with it count too. */
  readonly example: boolean;
}

/** What is to be cut on a table, and from what. */
export interface ListOnTable {
  readonly chosen: readonly string[];
  readonly bought: readonly string[];
  /** The list; null with the reasons while it cannot be laid. */
  readonly list: CutList | null;
  readonly problems: readonly string[];
  /** Which paper of the stash each sheet of the list is. */
  readonly paperIds: ReadonlyMap<string, string>;
}

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The size that is usual where nobody tells one. */
const USUAL: Readonly<Record<Units, string>> = { in: '12in', mm: 'a4' };

/** Sheets that are to be bought, after everything there is. */
const toBuy = (name: string, { width, height }: Size) => ({
  name: `${name}, bought`,
  width,
  height,
  priority: 2,
});

/** The list of a cutting table, from what is needed and what lies in the stash. */
export function listOn(
  record: CuttingRecord,
  needs: readonly NeedOnPaper[],
  stash: readonly KeptPaper[],
  units: Units,
): ListOnTable {
  const suits = (paper: KeptPaper): boolean =>
    paper.made === 'plain' &&
    (!isExample(paper) || needs.some(({ example }) => example)) &&
    (needs.length === 0 || needs.some(({ caliper }) => Math.abs(paper.caliper - caliper) <= SUITS * caliper));
  // Cut from the paper it was planned for, what there is of it and what is missing bought, and from offcuts where they help;
  // where none is told, from whatever suits.
  const sheets = needs.flatMap(({ sheet }) => (sheet ? [sheet] : []));
  const sameSize = (a: Size, b: Size): boolean => isOfSize(a, b.width, b.height) || isOfSize(a, b.height, b.width);
  const planned = (paper: Size): boolean => sheets.length === 0 || sheets.some((sheet) => sameSize(paper, sheet));
  const chosen = (
    record.papers ?? stash.filter((paper) => suits(paper) && (paper.offcut || planned(paper))).map((paper) => paper.id)
  ).filter((paper) => stash.some((kept) => kept.id === paper));
  const usual =
    sheets.length > 0 ? PAPERS.filter(planned).map(({ id: size }) => size) : chosen.length > 0 ? [] : [USUAL[units]];
  const bought = record.bought ?? usual;
  // A sheet of a size that is sold under no name is bought as it was planned.
  const odd = record.bought
    ? []
    : sheets.filter(
        (sheet, i) =>
          !PAPERS.some((paper) => sameSize(paper, sheet)) && sheets.findIndex((one) => sameSize(one, sheet)) === i,
      );
  const own = sheetsFrom(
    stash.filter((paper) => chosen.includes(paper.id)),
    record.offcutsFirst,
  );
  const shop = [
    ...PAPERS.filter((paper) => bought.includes(paper.id)).map((paper) => toBuy(paper.title, paper)),
    ...odd.map((sheet, i) => toBuy(sheet.name || `Paper as it is planned${i > 0 ? ` ${i + 1}` : ''}`, sheet)),
  ];
  const pieces = [...piecesOf(needs), ...record.extra.map(({ id: _, ...piece }) => piece)];
  const problems: string[] = [];
  if (pieces.length === 0) problems.push('There is nothing to cut yet.');
  if (own.length + shop.length === 0) problems.push('There is no paper to cut from: tick one, or one to buy.');
  const written: CutListInput = {
    version: 1,
    sheets: [...own.map(({ sheet }) => sheet), ...shop],
    pieces,
    cutter: record.cutter,
  };
  const read = problems.length === 0 ? readCutList(written) : null;
  if (read && !read.ok) problems.push(...read.issues.map(({ message }) => message));
  return {
    chosen,
    bought,
    list: read?.ok ? read.list : null,
    problems,
    paperIds: new Map(own.map(({ sheet, paper }) => [sheet.name, paper])),
  };
}
