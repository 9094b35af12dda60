import { liveQuery } from 'dexie';
import { Link } from '../parts/Link';
import { useEffect, useState } from 'react';
import { onlyDemo } from '@/data/backup';
import styles from './Backup.module.css';

/** On a first visit, or after the browser forgot everything: where the person's own can be brought back from. */
export function FirstRun() {
  const [first, setFirst] = useState(false);
  useEffect(() => {
    const following = liveQuery(onlyDemo).subscribe({ next: setFirst, error: () => setFirst(false) });
    return () => following.unsubscribe();
  }, []);
  if (!first) return null;
  return (
    <aside className={styles.first} aria-label="First visit">
      <p>
        <strong>These are samples to try things on.</strong> Were you here before, and the browser forgot what you made?
      </p>
      <Link href="/backup">Restore a backup</Link>
    </aside>
  );
}
