import type { Units } from '@/core/length';
import type { SetInput, WayOfWork } from '@/core/sets';
import { db, type MakeRecord, type Project, type SpoiledSheet } from './db';
import { allKept, keep, readAll } from './keep';
import { newId } from './newId';

/** Begins a make of a project as it stands now; later changes of the project leave it alone. Gives back its id. */
export async function beginMake(
  project: { readonly id: string; readonly name: string; readonly units: Units; readonly set: SetInput },
  copies: number,
  way: WayOfWork,
): Promise<string> {
  const now = Date.now();
  const { name, units, set } = project;
  return db.makes.add({
    id: newId(),
    projectId: project.id,
    name,
    units,
    set: structuredClone(set),
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

const goingOn = async (): Promise<MakeRecord[]> =>
  (await readAll<MakeRecord>('makes')).records
    .filter(({ endedAt }) => endedAt === 0)
    .sort((a, b) => b.updatedAt - a.updatedAt);

/** The make of a project that goes on, the one touched last; null when none does. */
export const openMake = async (projectId: string): Promise<MakeRecord | null> =>
  (await goingOn()).find((make) => make.projectId === projectId) ?? null;

/** Those of the makes that go on and whose project stands on the shelf, last touched first. */
export function openMakesOf(makes: readonly MakeRecord[], shelf: readonly Project[]): MakeRecord[] {
  const standing = new Set(shelf.map(({ id }) => id));
  return makes
    .filter(({ endedAt, projectId }) => endedAt === 0 && standing.has(projectId))
    .sort((a, b) => b.updatedAt - a.updatedAt);
}

/** Keeps what became of a make, at once. */
export const keepMake = (
  make: MakeRecord,
  change: Partial<Pick<MakeRecord, 'done' | 'spent' | 'endedAt' | 'set'>>,
): void => keep('makes', make.id, make, { ...make, ...change });

/** Keeps a sheet that went wrong. */
export async function keepSpoiled(make: MakeRecord, sheet: Omit<SpoiledSheet, 'at'>): Promise<void> {
  keep('makes', make.id, make, { ...make, spoiled: [...make.spoiled, { ...sheet, at: Date.now() }] });
  await allKept();
}
