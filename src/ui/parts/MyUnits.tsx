'use client';

import { useSyncExternalStore, type ReactNode } from 'react';
import { UNITS } from '@/data/setting-kinds';
import { InUnits } from './InUnits';
import { UnitsSwitch } from './UnitsSwitch';
import { useSetting } from './useKept';

const NOTHING_CHANGES = (): (() => void) => () => undefined;

/**
 * What belongs to no project is read in the person's own units. A page that comes written from the server is in inches until it
 * is alive: the server does not know whose it is.
 */
export function InMyUnits({ children }: { readonly children: ReactNode }) {
  const [mine = UNITS.fallback] = useSetting(UNITS);
  const alive = useSyncExternalStore(
    NOTHING_CHANGES,
    () => true,
    () => false,
  );
  const units = alive ? mine : 'in';
  return (
    <InUnits units={units} graduation={units === 'in' ? '1/16 in' : '0.5 mm'}>
      {children}
    </InUnits>
  );
}

export function MyUnitsSwitch() {
  const [units = UNITS.fallback, set] = useSetting(UNITS);
  return <UnitsSwitch value={units} onChange={set} />;
}
