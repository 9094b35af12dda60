import type { DesignInput, WayOfWork } from '@/core/plan';
import type { Units } from '@/core/length';
import { db, type MakeRecord, type SpoiledSheet } from './db';

/** How far a make has come: stops done, milliseconds spent. */
type Place = Pick<MakeRecord, 'done' | 'spent'>;

/**
 * A place waiting to be written. The database answers later, and a page left in between takes its open write with it;
 * this is written at once, and taken off when the database has it.
 */
const slip = (id: string): string => `tuck-fold-place-${id}`;

function readSlip(id: string): Place | null {
  try {
    const found = JSON.parse(localStorage.getItem(slip(id)) ?? 'null') as Partial<Place> | null;
    const whole = [found?.done, found?.spent].every((n) => Number.isFinite(n) && n! >= 0);
    return whole ? { done: found!.done!, spent: found!.spent! } : null;
  } catch {
    return null;
  }
}

/** Notes how far a make has come, at once. Where the browser keeps no such notes the database’s own is all there is. */
export function notePlace(id: string, done: number, spent: number): void {
  try {
    localStorage.setItem(slip(id), JSON.stringify({ done, spent } satisfies Place));
  } catch {
    // No room or not allowed: saveMake tells of it if it fails as well.
  }
}

/** A make with the place the database has not been told yet. */
const withSlip = (make: MakeRecord): MakeRecord => ({ ...make, ...readSlip(make.id) });

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
  const [last] = all.filter(({ endedAt }) => endedAt === 0).sort((a, b) => b.updatedAt - a.updatedAt);
  return last ? withSlip(last) : null;
}

/** Every make that goes on and whose project still stands on the shelf, last touched first. */
export async function openMakes(): Promise<MakeRecord[]> {
  const open = (await db.makes.toArray()).filter(({ endedAt }) => endedAt === 0);
  const projects = await db.projects.bulkGet(open.map(({ projectId }) => projectId));
  return open
    .filter((_, i) => projects[i]?.deletedAt === 0)
    .map(withSlip)
    .sort((a, b) => b.updatedAt - a.updatedAt);
}

/** Writes how far a make has come. Fails, loudly, when the browser has no room. */
export async function saveMake(
  id: string,
  change: Partial<Pick<MakeRecord, 'done' | 'spent' | 'endedAt' | 'spoiled'>>,
): Promise<void> {
  await db.makes.update(id, { ...change, updatedAt: Date.now() });
  const noted = readSlip(id);
  if (noted && (noted.done === change.done || change.endedAt)) localStorage.removeItem(slip(id));
}

/** Keeps a sheet that went wrong. */
export const keepSpoiled = (id: string, sheet: Omit<SpoiledSheet, 'at'>): Promise<number> =>
  db.makes.where({ id }).modify((make: { spoiled: SpoiledSheet[]; updatedAt: number }) => {
    make.updatedAt = Date.now();
    make.spoiled.push({ ...sheet, at: make.updatedAt });
  });
