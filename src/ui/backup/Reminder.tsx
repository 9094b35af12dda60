import { Alert, Button } from 'antd';
import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';
import { useEffect, useState } from 'react';
import { isDue, useBackup } from './useBackup';
import styles from './Backup.module.css';

dayjs.extend(relativeTime);

/** A window that stays open for days looks at the time again this often, and when somebody comes back to it, ms. */
const LOOK = 600_000;

function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const look = (): void => setNow(Date.now());
    const timer = setInterval(look, LOOK);
    document.addEventListener('visibilitychange', look);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', look);
    };
  }, []);
  return now;
}

/** Reminds of a backup when the time the person set is over. */
export function Reminder() {
  const { setting, firstAt, save, busy, later } = useBackup();
  const now = useNow();
  if (!setting || firstAt === 0 || !isDue(setting, firstAt, now)) return null;
  return (
    <Alert
      type="info"
      banner
      showIcon
      title={
        setting.lastAt > 0
          ? `Your last backup was taken ${dayjs(setting.lastAt).fromNow()}.`
          : 'Nothing of what you made here was saved as a backup yet.'
      }
      action={
        <span className={styles.buttons}>
          <Button type="primary" size="small" loading={busy} onClick={() => save()}>
            Save a backup
          </Button>
          <Button size="small" onClick={later}>
            Later
          </Button>
        </span>
      }
    />
  );
}
