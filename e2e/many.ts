import type { Page } from '@playwright/test';
import type { Project } from '../src/data/db';

/**
 * Fills the shelf of the page that is open up to so many projects, as the app keeps them: the examples, again and again, their
 * names telling them apart. The last one was changed last.
 */
export const fillShelf = (page: Page, upTo: number): Promise<void> =>
  page.evaluate(async (all) => {
    const open = indexedDB.open('tuck-fold');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const write = db.transaction('projects', 'readwrite');
    const store = write.objectStore('projects');
    const asking = store.getAll();
    const there = await new Promise<{ id: string; name: string; updatedAt: number }[]>(
      (done) => (asking.onsuccess = () => done(asking.result as never)),
    );
    const now = Date.now();
    for (let i = there.length; i < all; i++) {
      const like = there[i % there.length]!;
      store.put({ ...like, id: `many-${i}`, name: `${like.name} ${i}`, createdAt: now + i, updatedAt: now + i });
    }
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  }, upTo);

/** What is told of a project that a test puts on the shelf. */
export type ShelfProject = Pick<Project, 'id' | 'name' | 'units' | 'set'>;

/** Puts projects on the shelf of the page that is open, as the app keeps them. */
export const putOnShelf = (page: Page, projects: readonly ShelfProject[]): Promise<void> =>
  page.evaluate(async (all) => {
    const open = indexedDB.open('tuck-fold');
    const db = await new Promise<IDBDatabase>((done) => (open.onsuccess = () => done(open.result)));
    const write = db.transaction('projects', 'readwrite');
    const now = Date.now();
    for (const one of all)
      write.objectStore('projects').put({ ...one, createdAt: now, updatedAt: now, deletedAt: 0 } satisfies Project);
    await new Promise((done) => (write.oncomplete = done));
    db.close();
  }, projects);
