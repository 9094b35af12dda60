import { useMemo } from 'react';
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
import { keepCutting, laidOn, type CuttingChange } from '@/data/cuttings';
import type { CuttingRecord } from '@/data/db';
import { useRecord } from '../parts/useKept';
import { useStash } from '../parts/useStash';

/** Paper this much thicker or thinner than a design's is not offered for it by itself. */
const SUITS = 0.3;

/** What lies on a cutting table: the pieces, the papers, the list made of both. */
export interface CuttingTable {
  readonly record: CuttingRecord;
  /** Everything of the stash a sheet can be taken of. */
  readonly stash: readonly KeptPaper[];
  readonly chosen: readonly string[];
  readonly bought: readonly string[];
  /** The list; null with the reasons while it cannot be laid. */
  readonly list: CutList | null;
  readonly problems: readonly string[];
  /** Which paper of the stash each sheet of the list is. */
  readonly paperIds: ReadonlyMap<string, string>;
  readonly save: (change: CuttingChange) => void;
}

/** Something to be cut for, and the thickness of paper it was planned with, mm. */
export interface NeedOnPaper extends Need {
  readonly caliper: number;
  /** The sheet it was planned for, mm; where nobody chose otherwise it is cut from that. */
  readonly sheet?: { readonly width: number; readonly height: number };
}

/** The cutting table `id`; `needsFor` says what the projects on it take. */
export function useCuttingTable(
  id: string,
  needsFor: (record: CuttingRecord) => readonly NeedOnPaper[],
): CuttingTable | null {
  const kept = useRecord<CuttingRecord>('cuttings', id);
  const stash = useStash();
  return useMemo(() => {
    if (kept === undefined || !stash) return null;
    const record = laidOn(id, kept);
    const needs = needsFor(record);
    const suits = (paper: KeptPaper): boolean =>
      paper.made === 'plain' &&
      (needs.length === 0 || needs.some(({ caliper }) => Math.abs(paper.caliper - caliper) <= SUITS * caliper));
    // Cut from the paper it was planned for, as far as there is any, and offcuts like it; where none is told, from whatever
    // suits.
    const sheets = needs.flatMap(({ sheet }) => (sheet ? [sheet] : []));
    const planned = (paper: { readonly width: number; readonly height: number }): boolean =>
      sheets.length === 0 ||
      sheets.some(({ width, height }) => isOfSize(paper, width, height) || isOfSize(paper, height, width));
    const chosen = (
      record.papers ??
      stash.filter((paper) => suits(paper) && (paper.offcut || planned(paper))).map((paper) => paper.id)
    ).filter((paper) => stash.some((kept) => kept.id === paper));
    const usual = PAPERS.find((paper) => sheets.length > 0 && planned(paper))?.id ?? '12in';
    const bought = record.bought ?? (chosen.length > 0 ? [] : [usual]);
    const own = sheetsFrom(
      stash.filter((paper) => chosen.includes(paper.id)),
      record.offcutsFirst,
    );
    const shop = PAPERS.filter((paper) => bought.includes(paper.id)).map(({ title, width, height }) => ({
      name: `${title}, bought`,
      width,
      height,
      priority: 2,
    }));
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
      record,
      stash,
      chosen,
      bought,
      list: read?.ok ? read.list : null,
      problems,
      paperIds: new Map(own.map(({ sheet, paper }) => [sheet.name, paper])),
      save: (change) => keepCutting(record, change),
    };
  }, [kept, stash, needsFor, id]);
}
