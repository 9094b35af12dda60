import { db, type AsideRecord } from './db';
import type { Damaged } from './keep';

/** Takes a damaged record out of its table. It stays among what was set aside, as it was. */
export const dropDamaged = ({ table, id, raw, why }: Damaged): Promise<void> =>
  db.transaction('rw', [db.table(table), db.aside], async () => {
    const at = Date.now();
    await db.aside.put({ id: `${table}/${id}/${at}`, table, record: raw, why, at });
    await db.table<object, string>(table).delete(id);
  });

/** Everything that was set aside, last first. */
export const allAside = async (): Promise<AsideRecord[]> => (await db.aside.toArray()).sort((a, b) => b.at - a.at);

/** Forgets something that was set aside. */
export const forgetAside = (id: string): Promise<void> => db.aside.delete(id);
