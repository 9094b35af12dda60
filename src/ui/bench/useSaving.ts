import { liveQuery } from 'dexie';
import { useEffect } from 'react';
import { db } from '@/data/db';
import { saveProject, THIS_PAGE } from '@/data/projects';
import type { BenchStore } from './store';

/** Changes are gathered this long before they are written, ms; leaving the page writes at once. */
const PAUSE = 120;

/** Writes every change as it is made, and takes over what another open page wrote. */
export function useSaving(store: BenchStore | null): void {
  useEffect(() => {
    if (!store) return;
    let timer: ReturnType<typeof setTimeout> | null = null;
    let written = store.getState();
    let writtenAt = 0;
    const write = (): void => {
      timer = null;
      const { id, name, units, design, setTrouble, trouble } = store.getState();
      written = store.getState();
      writtenAt = Date.now();
      saveProject(id, { name, units, design }).then(
        () => {
          if (trouble) setTrouble(null);
        },
        (error: Error) =>
          setTrouble(error.name === 'QuotaExceededError' ? 'the browser has no room left' : error.message),
      );
    };
    const stop = store.subscribe((state) => {
      if (state.design === written.design && state.name === written.name && state.units === written.units) return;
      timer ??= setTimeout(write, PAUSE);
    });
    const leave = (): void => {
      if (timer) {
        clearTimeout(timer);
        write();
      }
    };
    const others = liveQuery(() => db.projects.get(store.getState().id)).subscribe((stored) => {
      // What was read before this page's own last write has come late: it is older than what stands here.
      if (!stored || stored.writtenBy === THIS_PAGE || timer || stored.updatedAt < writtenAt) return;
      const { design, name, units, adopt } = store.getState();
      if (stored.name === name && stored.units === units && JSON.stringify(stored.design) === JSON.stringify(design))
        return;
      written = { ...store.getState(), ...stored };
      adopt(stored);
    });
    document.addEventListener('visibilitychange', leave);
    window.addEventListener('pagehide', leave);
    return () => {
      leave();
      stop();
      others.unsubscribe();
      document.removeEventListener('visibilitychange', leave);
      window.removeEventListener('pagehide', leave);
    };
  }, [store]);
}
