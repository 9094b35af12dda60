'use client';

import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { sayer, type Graduation, type Say, type Units } from '@/core/length';

/** How lengths are read and typed in a part of the screen. */
export interface HowRead {
  readonly units: Units;
  /** The marks of the person's ruler. */
  readonly graduation: Graduation;
  /** A length in words, on those marks. */
  readonly say: Say;
}

const readAs = (units: Units, graduation: Graduation): HowRead => ({
  units,
  graduation,
  say: sayer(units, graduation),
});
const HowItIsRead = createContext<HowRead | null>(null);

interface InUnitsProps {
  readonly units: Units;
  readonly graduation: Graduation;
  readonly children: ReactNode;
}

/** Every length inside is read and typed in these units, on these marks: a project has its own, and so has a chart. */
export function InUnits({ units, graduation, children }: InUnitsProps) {
  const how = useMemo(() => readAs(units, graduation), [units, graduation]);
  return <HowItIsRead value={how}>{children}</HowItIsRead>;
}

/** How lengths are read here. Fails where nobody said: a length in units of nobody's choosing would be taken for theirs. */
export function useUnits(): HowRead {
  const how = useContext(HowItIsRead);
  if (!how) throw new Error('A length is shown outside of any InUnits.');
  return how;
}
