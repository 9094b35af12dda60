import type { StashPaper } from '@/core/cutting';
import { db, type PaperRecord } from './db';

/** Everything in the stash: papers by name, each kind's offcuts after it, largest first. */
export async function allPapers(): Promise<PaperRecord[]> {
  const all = (await db.papers.toArray()).filter(({ deletedAt }) => deletedAt === 0);
  return all.sort(
    (a, b) =>
      Number(a.offcut) - Number(b.offcut) || a.name.localeCompare(b.name) || b.width * b.height - a.width * a.height,
  );
}

/** Papers a sheet can still be taken of. */
export const papersLeft = async (): Promise<PaperRecord[]> => (await allPapers()).filter(({ count }) => count > 0);

export const addPaper = (paper: StashPaper): Promise<string> =>
  db.papers.add({
    ...paper,
    id: crypto.randomUUID(),
    offcut: false,
    from: '',
    addedAt: Date.now(),
    deletedAt: 0,
  });

/** Adds several, all or none. */
export const addPapers = (papers: readonly StashPaper[]): Promise<void> =>
  db.transaction('rw', db.papers, async () => {
    for (const paper of papers) await addPaper(paper);
  });

export const changePaper = (id: string, paper: StashPaper): Promise<number> => db.papers.update(id, { ...paper });
/** Takes a paper out; it can be put back. */
export const dropPaper = (id: string): Promise<number> => db.papers.update(id, { deletedAt: Date.now() });
export const putBackPaper = (id: string): Promise<number> => db.papers.update(id, { deletedAt: 0 });
