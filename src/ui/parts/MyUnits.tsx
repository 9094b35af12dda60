'use client';

import type { ReactNode } from 'react';
import { UNITS } from '@/data/setting-kinds';
import { InUnits } from './InUnits';
import { UnitsSwitch } from './UnitsSwitch';
import { useSetting } from './useKept';

/** What belongs to no project is read in the person's own units. */
export function InMyUnits({ children }: { readonly children: ReactNode }) {
  const [units = UNITS.fallback] = useSetting(UNITS);
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
