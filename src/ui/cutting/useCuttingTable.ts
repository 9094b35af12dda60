import { useMemo } from 'react';
import type { KeptPaper } from '@/core/cutting';
import { keepCutting, laidOn, type CuttingChange } from '@/data/cuttings';
import type { CuttingRecord } from '@/data/db';
import { useUnits } from '../parts/InUnits';
import { useRecord } from '../parts/useKept';
import { useStash } from '../parts/useStash';
import { listOn, type ListOnTable, type NeedOnPaper } from './listOn';

/** What lies on a cutting table: the pieces, the papers, the list made of both. */
export interface CuttingTable extends ListOnTable {
  readonly record: CuttingRecord;
  /** Everything of the stash a sheet can be taken of. */
  readonly stash: readonly KeptPaper[];
  readonly save: (change: CuttingChange) => void;
}

/** The cutting table `id`; `needsFor` says what the projects on it take. */
export function useCuttingTable(
  id: string,
  needsFor: (record: CuttingRecord) => readonly NeedOnPaper[],
): CuttingTable | null {
  const kept = useRecord<CuttingRecord>('cuttings', id);
  const stash = useStash();
  const { units } = useUnits();
  return useMemo(() => {
    if (kept === undefined || !stash) return null;
    const record = laidOn(id, kept);
    return {
      record,
      stash,
      ...listOn(record, needsFor(record), stash, units),
      save: (change) => keepCutting(record, change),
    };
  }, [kept, stash, needsFor, id, units]);
}
