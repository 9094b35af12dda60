import { useEffect } from 'react';
import type { Project } from '@/data/db';
import { followRecord, reportTrouble } from '@/data/keep';
import type { BenchStore } from './store';

/** Takes over what another open page changes in the project. */
export function useFollowing(store: BenchStore): void {
  useEffect(
    () =>
      followRecord<Project>(
        'projects',
        store.getState().id,
        (project) => project && store.getState().adopt(project),
        reportTrouble,
      ),
    [store],
  );
}
