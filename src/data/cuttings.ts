import { paperSpent, stashPaperSchema, whenCut, type CutList, type Layout, type StashPaper } from '@/core/cutting';
import type { Table } from 'dexie';
import { db, type CutRecord, type CuttingRecord, type PaperRecord } from './db';
import { isExample } from './examples';
import { allKept, keep } from './keep';
import { same } from './patch';
import { Refused } from './trouble';
import { newId } from './newId';

/** The cutting table of several projects; one project's own has the project's id. */
export const TABLE = 'table';

const fresh = (id: string): CuttingRecord => ({
  id,
  needs: id === TABLE ? [] : [{ id, projectId: id, copies: 1 }],
  extra: [],
  papers: null,
  bought: null,
  cutter: 'guillotine',
  offcutsFirst: true,
  byHand: null,
  cut: null,
  step: 0,
  updatedAt: 0,
});

/** What lies on a cutting table; an empty one where nothing was laid yet. */
export const laidOn = (id: string, kept: CuttingRecord | null): CuttingRecord => kept ?? fresh(id);

/** What is changed on a cutting table. */
export type CuttingChange = Partial<Omit<CuttingRecord, 'id'>>;

/** Keeps what was changed on a cutting table, at once. */
export const keepCutting = (now: CuttingRecord, change: CuttingChange): void =>
  keep('cuttings', now.id, now, { ...now, ...change }, fresh(now.id));

/** Cuttings that were carried out and not taken back, in order. */
export const carriedOut = (all: readonly CutRecord[]): CutRecord[] =>
  all.filter(({ undoneAt }) => undoneAt === 0).sort((a, b) => a.at - b.at);

/** A change of several records, all or nothing, made when everything this page changed is in its records. */
async function afterAll<T>(tables: Table[], work: () => Promise<T>): Promise<T> {
  await allKept();
  return db.transaction('rw', tables, work);
}

/** What of two offcuts may differ, and by how much, that they are one paper: mm, and money. */
const HAIR: Partial<Record<keyof StashPaper, number>> = { width: 0.05, height: 0.05, price: 0.005, count: Infinity };

/** Whether an offcut is one more of a paper that lies in the stash. An example stays what it came as. */
const alike = (paper: PaperRecord, offcut: StashPaper): boolean =>
  paper.offcut &&
  paper.deletedAt === 0 &&
  !isExample(paper) &&
  stashPaperSchema.keyof().options.every((key) => {
    const hair = HAIR[key];
    return hair === undefined ? paper[key] === offcut[key] : Math.abs(Number(paper[key]) - Number(offcut[key])) <= hair;
  });

/**
 * Marks a layout as cut: its sheets are taken out of the stash and its offcuts put in, all or nothing. `papers` says
 * which paper each sheet of the list is. Gives the cutting's id; fails with a sentence when the sheets are not there.
 */
export const markCut = (
  table: string,
  name: string,
  list: CutList,
  layout: Layout,
  papers: ReadonlyMap<string, string>,
): Promise<string> =>
  afterAll([db.papers, db.cuts, db.cuttings], async () => {
    // Pressed twice, it is cut once.
    const kept = await db.cuttings.get(table);
    if (kept?.cut && same(kept.cut.list, list) && same(kept.cut.layout, layout)) return kept.cut.id;
    const stash = new Map((await db.papers.toArray()).map((paper) => [paper.id, paper]));
    const paperOf = (sheet: string) => stash.get(papers.get(sheet) ?? '');
    const { taken, added } = whenCut(list, layout, paperOf);
    const id = newId();
    const at = Date.now();
    for (const { paper, count } of taken) {
      const own = stash.get(paper)!;
      if (own.deletedAt > 0 || own.count < count)
        throw new Refused(
          `there ${own.count === 1 ? 'is' : 'are'} only ${own.deletedAt > 0 ? 0 : own.count} of “${own.name}” left, and this takes ${count}`,
        );
      await db.papers.update(paper, { count: own.count - count, updatedAt: at });
    }
    const offcuts: { paper: string; count: number }[] = [];
    for (const offcut of added) {
      // One more of what lies there already is no other paper.
      const like = [...stash.values()].find((paper) => alike(paper, offcut));
      const paper = like?.id ?? newId();
      if (like)
        await db.papers.update(paper, { count: (await db.papers.get(paper))!.count + offcut.count, updatedAt: at });
      else await db.papers.add({ ...offcut, id: paper, offcut: true, from: id, addedAt: at, deletedAt: 0 });
      offcuts.push({ paper, count: offcut.count });
    }
    const { each: _, ...spent } = paperSpent(list, layout, paperOf);
    await db.cuts.add({ id, name, at, sheets: layout.sheetsUsed, ...spent, taken, added: offcuts, undoneAt: 0 });
    await db.cuttings.put({ ...(kept ?? fresh(table)), cut: { id, list, layout }, updatedAt: at });
    return id;
  });

/**
 * Takes a cutting back: its sheets are in the stash again, its offcuts are not. Fails with a sentence when an offcut of
 * it was used since.
 */
export const undoCut = (id: string): Promise<void> =>
  afterAll([db.papers, db.cuts, db.cuttings], async () => {
    const cut = await db.cuts.get(id);
    if (!cut || cut.undoneAt > 0) return;
    for (const { paper, count } of cut.added) {
      const offcut = await db.papers.get(paper);
      if (!offcut || offcut.deletedAt > 0 || offcut.count < count)
        throw new Refused(
          `an offcut of it (“${offcut?.name ?? 'removed'}”) was used or taken out since; put that back first`,
        );
    }
    for (const { paper, count } of cut.added) {
      const offcut = (await db.papers.get(paper))!;
      await db.papers.update(paper, {
        count: offcut.count - count,
        deletedAt: offcut.count === count ? Date.now() : 0,
        updatedAt: Date.now(),
      });
    }
    for (const { paper, count } of cut.taken) {
      const kept = await db.papers.get(paper);
      if (kept) await db.papers.update(paper, { count: kept.count + count, updatedAt: Date.now() });
    }
    await db.cuts.update(id, { undoneAt: Date.now(), updatedAt: Date.now() });
    for (const table of await db.cuttings.toArray())
      if (table.cut?.id === id) await db.cuttings.update(table.id, { cut: null, updatedAt: Date.now() });
  });
