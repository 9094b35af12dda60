import { useLiveQuery } from 'dexie-react-hooks';
import type { Toolbox } from '@/core/tools';
import { loadToolbox } from '@/data/settings';

/** The person's tools, as they stand now; null until they are read. */
export const useToolbox = (): Toolbox | null => useLiveQuery(loadToolbox) ?? null;
