import type { DesignInput, WayOfWork } from '@/core/plan';
import type { Units } from '@/core/length';
import { db, type MakeRecord, type SpoiledSheet } from './db';

/** Begins a make of a project as it stands now; later changes of the project leave it alone. Gives back its id. */
export async function beginMake(
  project: { readonly id: string; readonly name: string; readonly units: Units; readonly design: DesignInput },
  copies: number,
  way: WayOfWork,
): Promise<string> {
  const now = Date.now();
  const { name, units, design } = project;
  return db.makes.add({
    id: crypto.randomUUID(),
    projectId: project.id,
    name,
    units,
    design: structuredClone(design),
    copies,
    way,
    done: 0,
    spent: 0,
    startedAt: now,
    updatedAt: now,
    endedAt: 0,
    spoiled: [],
  });
}

/** The make of a project that goes on, the one touched last; null when none does. */
export async function openMake(projectId: string): Promise<MakeRecord | null> {
  const all = await db.makes.where({ projectId }).toArray();
  return all.filter(({ endedAt }) => endedAt === 0).sort((a, b) => b.updatedAt - a.updatedAt)[0] ?? null;
}

/** Every make that goes on and whose project still stands on the shelf, last touched first. */
export async function openMakes(): Promise<MakeRecord[]> {
  const open = (await db.makes.toArray()).filter(({ endedAt }) => endedAt === 0);
  const projects = await db.projects.bulkGet(open.map(({ projectId }) => projectId));
  return open.filter((_, i) => projects[i]?.deletedAt === 0).sort((a, b) => b.updatedAt - a.updatedAt);
}

/** Writes how far a make has come. Fails, loudly, when the browser has no room. */
export const saveMake = (
  id: string,
  change: Partial<Pick<MakeRecord, 'done' | 'spent' | 'endedAt' | 'spoiled'>>,
): Promise<number> => db.makes.update(id, { ...change, updatedAt: Date.now() });

/** Keeps a sheet that went wrong. */
export const keepSpoiled = (id: string, sheet: Omit<SpoiledSheet, 'at'>): Promise<number> =>
  db.makes.where({ id }).modify((make: { spoiled: SpoiledSheet[]; updatedAt: number }) => {
    make.updatedAt = Date.now();
    make.spoiled.push({ ...sheet, at: make.updatedAt });
  });
