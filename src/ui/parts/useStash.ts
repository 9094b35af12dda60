import { useLiveQuery } from 'dexie-react-hooks';
import type { PaperRecord } from '@/data/db';
import { papersLeft } from '@/data/stash';

const NONE: readonly PaperRecord[] = [];

/** Papers a sheet can be taken of, as they stand now; none until they are read. */
export const useStash = (): readonly PaperRecord[] => useLiveQuery(papersLeft) ?? NONE;
