import { useCallback, useEffect, useState, useSyncExternalStore } from 'react';
import type { KeptTable } from '@/data/db';
import {
  followAll,
  followRecord,
  keepingTrouble,
  onChanges,
  reportTrouble,
  seenNow,
  type Damaged,
  type OrderedTable,
  type Records,
} from '@/data/keep';
import type { SettingKind } from '@/data/setting-kinds';
import { keepSetting } from '@/data/settings';
import type { DataTrouble } from '@/data/trouble';

/** A record as it stands, this page's own changes at once on it; undefined until it is read, null where there is none. */
export function useRecord<T extends object>(table: KeptTable, id: string): T | null | undefined {
  const [seen, setSeen] = useState<{ readonly at: string; readonly record: T | null } | null>(null);
  const at = `${table}/${id}`;
  useEffect(
    () =>
      followRecord<T>(
        table,
        id,
        // Every change of the page is told to everybody who follows something: one that is no news draws nothing.
        (record) =>
          setSeen((last) =>
            last?.at === `${table}/${id}` && last.record === record ? last : { at: `${table}/${id}`, record },
          ),
        reportTrouble,
      ),
    [table, id],
  );
  return seen?.at === at ? seen.record : undefined;
}

/** All records of a table as they stand, and those that cannot be read; null until they are read. */
export function useAll<T extends object>(table: KeptTable): Records<T> | null {
  const [all, setAll] = useState<Records<T> | null>(null);
  useEffect(() => followAll<T>(table, setAll, reportTrouble), [table]);
  return all;
}

/** The same, the ones changed last at once and all of them a moment later; `more` says that there are more. */
export function useLastFirst<T extends object>(table: OrderedTable): Records<T> | null {
  const [all, setAll] = useState<Records<T> | null>(null);
  useEffect(() => followAll<T>(table, setAll, reportTrouble, true), [table]);
  return all;
}

const NONE: readonly Damaged[] = [];
/** What of a table cannot be read. */
export const damagedIn = (...all: readonly (Records<object> | null)[]): readonly Damaged[] =>
  all.some((one) => one && one.damaged.length > 0) ? all.flatMap((one) => one?.damaged ?? NONE) : NONE;

/**
 * A setting as it stands, and what changes it: `set` takes what is to be, or how it follows from what is. Undefined
 * until it is read. `first` is what the first change is made to where the kind itself has nothing to begin with: two
 * windows that both begin are then two changes to the same, not one over the other.
 */
export function useSetting<T>(
  kind: SettingKind<T>,
  first: T = kind.fallback,
): readonly [now: T | undefined, set: (next: T | ((now: T) => T)) => void] {
  const record = useRecord<{ readonly value: unknown }>('settings', kind.key);
  const read = record ? kind.shape.safeParse(record.value) : null;
  const now = record === undefined ? undefined : read?.success ? read.data : kind.fallback;
  // A setting is the same while it says the same: what is worked out from it is then worked out once.
  const text = now === undefined ? '' : JSON.stringify(now);
  const [steady, setSteady] = useState({ text, now });
  if (steady.text !== text) setSteady({ text, now });
  const current = steady.text === text ? steady.now : now;
  const set = useCallback(
    (next: T | ((was: T) => T)): void => {
      // Made of what is seen this moment, not of what this screen last knew: a button in a note may be pressed later.
      const seen = kind.shape.safeParse((seenNow('settings', kind.key) as { value?: unknown } | null)?.value);
      const before = (seen.success ? seen.data : null) ?? first;
      keepSetting(kind, before, typeof next === 'function' ? (next as (was: T) => T)(before) : next);
    },
    [kind, first],
  );
  return [current, set];
}

/** Why the last changes are not kept; null while they are. */
export const useKeepingTrouble = (): DataTrouble | null => useSyncExternalStore(onChanges, keepingTrouble, () => null);
