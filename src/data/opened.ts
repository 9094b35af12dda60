import { db } from './db';
import { gatherOlderDrafts, sweepDrafts } from './drafts';
import { layLeftOver, writeOlderAnew } from './keep';
import { gatherOlderCounts, seedDemoShelf } from './projects';
import { DataTrouble, troubleOf } from './trouble';

/** The storage answers within this time, or it is said that it does not, ms. */
const PATIENCE = 6000;

let held = false;
let opening: Promise<void> | null = null;

/** Opens the data once a page: what was written down and not laid is laid, and a first run finds the demo. */
async function open(): Promise<void> {
  db.on('blocked', () => {
    held = true;
  });
  await db.open();
  await layLeftOver();
  await writeOlderAnew();
  await gatherOlderDrafts();
  await sweepDrafts();
  await gatherOlderCounts();
  await seedDemoShelf();
  // The places that older versions noted beside the database, which knows better.
  try {
    for (const key of Object.keys(localStorage)) if (key.startsWith('tuck-fold-place-')) localStorage.removeItem(key);
  } catch {
    // Where there is no such store there are no such notes.
  }
}

/**
 * Waits until the data is open. Fails with trouble that says why it is not; after a while also while it may still
 * open: asking again then waits on.
 */
export async function openData(): Promise<void> {
  opening ??= open().catch((error: unknown) => {
    opening = null;
    throw troubleOf(error);
  });
  const late = new Promise<never>((_, fail) =>
    setTimeout(() => fail(new DataTrouble(held ? 'held' : 'silent')), PATIENCE),
  );
  await Promise.race([opening, late]);
}
