import { useMemo } from 'react';
import { paceOf } from '@/core/sets';
import type { MakeRecord } from '@/data/db';
import { finishedMakes } from '@/data/makes';
import { useAll } from './useKept';

/** How the person's pace stands to the usual one, from what they finished. */
export function usePace(): number {
  const makes = useAll<MakeRecord>('makes');
  return useMemo(() => paceOf(makes ? finishedMakes(makes.records) : []), [makes]);
}
