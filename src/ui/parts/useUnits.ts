import type { Graduation, Units } from '@/core/length';
import { UNITS } from '@/data/setting-kinds';
import { useSetting } from './useKept';

/** Units of the screens that belong to no project, and the marks lengths are typed on there. */
export function useUnits(): {
  readonly units: Units;
  readonly graduation: Graduation;
  readonly set: (to: Units) => void;
} {
  const [units = 'in', set] = useSetting(UNITS);
  return { units, graduation: units === 'in' ? '1/16 in' : '0.5 mm', set };
}
