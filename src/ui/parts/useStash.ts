import { useMemo } from 'react';
import type { PaperRecord } from '@/data/db';
import { leftInStash } from '@/data/stash';
import { useAll } from './useKept';

const NONE: readonly PaperRecord[] = [];

/** Papers a sheet can be taken of, as they stand now; null until they are read. */
export function useStash(): readonly PaperRecord[] | null {
  const papers = useAll<PaperRecord>('papers');
  return useMemo(() => (papers ? leftInStash(papers.records) : null), [papers]);
}

/** The same; none until they are read. */
export const useStashPapers = (): readonly PaperRecord[] => useStash() ?? NONE;
