import { paperSpent, whenCut, type CutList, type Layout } from '@/core/cutting';
import { db, type CutRecord, type CuttingRecord } from './db';

/** The cutting table of several projects; one project's own has the project's id. */
export const TABLE = 'table';

const fresh = (id: string): CuttingRecord => ({
  id,
  needs: id === TABLE ? [] : [{ projectId: id, copies: 1 }],
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
export const loadCutting = async (id: string): Promise<CuttingRecord> => (await db.cuttings.get(id)) ?? fresh(id);

/** What is changed on a cutting table, or how it follows from what lies there: quick changes then never lose one. */
export type CuttingChange =
  Partial<Omit<CuttingRecord, 'id'>> | ((now: CuttingRecord) => Partial<Omit<CuttingRecord, 'id'>>);

/** Writes what was changed on a cutting table. */
export const saveCutting = (id: string, change: CuttingChange): Promise<void> =>
  db.transaction('rw', db.cuttings, async () => {
    const now = await loadCutting(id);
    const changed = typeof change === 'function' ? change(now) : change;
    await db.cuttings.put({ ...now, ...changed, updatedAt: Date.now() });
  });

/** Every cutting that was carried out and not taken back, in order. */
export const allCuts = async (): Promise<CutRecord[]> =>
  (await db.cuts.orderBy('at').toArray()).filter(({ undoneAt }) => undoneAt === 0);

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
  db.transaction('rw', [db.papers, db.cuts, db.cuttings], async () => {
    const stash = new Map((await db.papers.toArray()).map((paper) => [paper.id, paper]));
    const paperOf = (sheet: string) => stash.get(papers.get(sheet) ?? '');
    const { taken, added } = whenCut(list, layout, paperOf);
    const id = crypto.randomUUID();
    const at = Date.now();
    for (const { paper, count } of taken) {
      const kept = stash.get(paper)!;
      if (kept.deletedAt > 0 || kept.count < count)
        throw new Error(
          `there ${kept.count === 1 ? 'is' : 'are'} only ${kept.deletedAt > 0 ? 0 : kept.count} of “${kept.name}” left, and this takes ${count}`,
        );
      await db.papers.update(paper, { count: kept.count - count });
    }
    const offcuts: { paper: string; count: number }[] = [];
    for (const offcut of added) {
      const paper = crypto.randomUUID();
      await db.papers.add({ ...offcut, id: paper, offcut: true, from: id, addedAt: at, deletedAt: 0 });
      offcuts.push({ paper, count: offcut.count });
    }
    const { each: _, ...spent } = paperSpent(list, layout, paperOf);
    await db.cuts.add({ id, name, at, sheets: layout.sheetsUsed, ...spent, taken, added: offcuts, undoneAt: 0 });
    await saveCutting(table, { cut: { id, list, layout } });
    return id;
  });

/**
 * Takes a cutting back: its sheets are in the stash again, its offcuts are not. Fails with a sentence when an offcut of
 * it was used since.
 */
export const undoCut = (id: string): Promise<void> =>
  db.transaction('rw', [db.papers, db.cuts, db.cuttings], async () => {
    const cut = await db.cuts.get(id);
    if (!cut || cut.undoneAt > 0) return;
    for (const { paper, count } of cut.added) {
      const offcut = await db.papers.get(paper);
      if (!offcut || offcut.deletedAt > 0 || offcut.count < count)
        throw new Error(
          `an offcut of it (“${offcut?.name ?? 'removed'}”) was used or taken out since; put that back first`,
        );
    }
    for (const { paper, count } of cut.added) {
      const offcut = (await db.papers.get(paper))!;
      await db.papers.update(paper, {
        count: offcut.count - count,
        deletedAt: offcut.count === count ? Date.now() : 0,
      });
    }
    for (const { paper, count } of cut.taken) {
      const kept = await db.papers.get(paper);
      if (kept) await db.papers.update(paper, { count: kept.count + count });
    }
    await db.cuts.update(id, { undoneAt: Date.now() });
    for (const table of await db.cuttings.toArray())
      if (table.cut?.id === id) await db.cuttings.update(table.id, { cut: null });
  });
