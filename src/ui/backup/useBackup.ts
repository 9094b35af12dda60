import { useCallback } from 'react';
import { BACKUP, DEMO_SHELF_AT, type BackupSetting } from '@/data/setting-kinds';
import { useOnce } from '../parts/once';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { saveBackup } from './saveBackup';

const DAY = 24 * 3600_000;
const EVERY: Record<BackupSetting['every'], number> = {
  never: Infinity,
  week: 7 * DAY,
  month: 30 * DAY,
  quarter: 91 * DAY,
};

/** True when it is time to remind of a backup; the first time counts from when the app was first opened. */
export const isDue = ({ every, lastAt, laterUntil }: BackupSetting, firstAt: number, now: number): boolean =>
  now > laterUntil && now - Math.max(lastAt, firstAt) > EVERY[every];

/** The backup as the person arranged it, and what takes one. */
export function useBackup(): {
  readonly setting: BackupSetting | undefined;
  readonly firstAt: number;
  readonly remind: (every: BackupSetting['every']) => void;
  readonly later: () => void;
  readonly save: () => void;
  readonly busy: boolean;
} {
  const { failed } = useTell();
  const [setting, set] = useSetting(BACKUP);
  const [firstAt = 0] = useSetting(DEMO_SHELF_AT);
  const [save, busy] = useOnce(() =>
    saveBackup()
      .then(() => set((now) => ({ ...now, lastAt: Date.now() })))
      .catch(failed('The backup could not be written')),
  );
  return {
    setting,
    firstAt,
    remind: useCallback((every) => set((now) => ({ ...now, every })), [set]),
    later: useCallback(() => set((now) => ({ ...now, laterUntil: Date.now() + 3 * DAY })), [set]),
    save,
    busy,
  };
}
