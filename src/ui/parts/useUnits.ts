import { useLiveQuery } from 'dexie-react-hooks';
import type { Graduation, Units } from '@/core/length';
import { loadUnits, saveUnits } from '@/data/settings';

/** Units of the screens that belong to no project, and the marks lengths are typed on there. */
export function useUnits(): {
  readonly units: Units;
  readonly graduation: Graduation;
  readonly set: (to: Units) => void;
} {
  const units = useLiveQuery(loadUnits) ?? 'in';
  return { units, graduation: units === 'in' ? '1/16 in' : '0.5 mm', set: (to) => void saveUnits(to) };
}
