import type { Toolbox } from '@/core/tools';
import { TOOLBOX } from '@/data/setting-kinds';
import { useSetting } from './useKept';

/** The person's tools, as they stand now; null until they are read. */
export const useToolbox = (): Toolbox | null => useSetting(TOOLBOX)[0] ?? null;
