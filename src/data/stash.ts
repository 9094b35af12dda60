import type { StashPaper } from '@/core/cutting';
import { db, type PaperRecord } from './db';
import { keep } from './keep';
import { newId } from './newId';

/** What is in the stash: papers by name, each kind's offcuts after it, largest first. */
export const inStash = (all: readonly PaperRecord[]): PaperRecord[] =>
  all
    .filter(({ deletedAt }) => deletedAt === 0)
    .sort(
      (a, b) =>
        Number(a.offcut) - Number(b.offcut) || a.name.localeCompare(b.name) || b.width * b.height - a.width * a.height,
    );

/** Papers a sheet can still be taken of. */
export const leftInStash = (all: readonly PaperRecord[]): PaperRecord[] =>
  inStash(all).filter(({ count }) => count > 0);

const recordOf = (paper: StashPaper, at: number): PaperRecord => ({
  ...paper,
  id: newId(),
  offcut: false,
  from: '',
  addedAt: at,
  deletedAt: 0,
});

export const addPaper = (paper: StashPaper): Promise<string> => db.papers.add(recordOf(paper, Date.now()));

/** Adds several, all or none. */
export const addPapers = (papers: readonly StashPaper[]): Promise<void> =>
  db.transaction('rw', db.papers, async () => {
    const now = Date.now();
    await db.papers.bulkAdd(papers.map((paper) => recordOf(paper, now)));
  });

/** A record without what the database adds. */
export const stashPaperOf = ({
  name,
  width,
  height,
  count,
  caliper,
  sided,
  directional,
  colour,
  price,
  made,
  of,
  note,
}: PaperRecord): StashPaper => ({
  name,
  width,
  height,
  count,
  caliper,
  sided,
  directional,
  colour,
  price,
  made,
  of,
  note,
});

/** Keeps what became of a paper, at once; what changed in it elsewhere meanwhile stays. */
export const keepPaper = (id: string, before: StashPaper, after: StashPaper): void => keep('papers', id, before, after);
/** Takes a paper out; it can be put back. */
export const dropPaper = (id: string): Promise<number> =>
  db.papers.update(id, { deletedAt: Date.now(), updatedAt: Date.now() });
export const putBackPaper = (id: string): Promise<number> =>
  db.papers.update(id, { deletedAt: 0, updatedAt: Date.now() });
