import Dexie, { type EntityTable } from 'dexie';

/**
 * What cards of the shelf showed when they were last drawn, by design. It can be drawn anew at any time, so it stands in a
 * database of its own: no backup has it, no version of the data knows it, and losing it loses nothing.
 */
interface Still {
  readonly key: string;
  readonly at: number;
  readonly card: unknown;
  /** What drew it: another version of the app may draw another one. */
  readonly by: string;
}

/** Most stills kept; the oldest go. */
const MOST = 600;

type Stills = Dexie & { stills: EntityTable<Still, 'key'> };
let opened: Stills | null = null;
function stills(): EntityTable<Still, 'key'> {
  if (!opened) {
    const database = new Dexie('tuck-fold-stills') as Stills;
    // Raised whenever a card is drawn of other parts than before: an older one would be read as what it is not.
    database
      .version(4)
      .stores({ stills: '&key, at' })
      .upgrade((change) => change.table('stills').clear());
    opened = database;
  }
  return opened.stills;
}

/** The card of that design as it was last drawn, and by what; null where there is none, or no such store. */
export async function readStill(key: string): Promise<Pick<Still, 'card' | 'by'> | null> {
  try {
    return (await stills().get(key)) ?? null;
  } catch {
    return null;
  }
}

/** Keeps a card as it is drawn. Where it cannot be kept it is drawn anew the next time. */
export async function keepStill(key: string, card: unknown, by: string): Promise<void> {
  try {
    const table = stills();
    await table.put({ key, at: Date.now(), card, by });
    const over = (await table.count()) - MOST;
    if (over > 0) await table.bulkDelete(await table.orderBy('at').limit(over).primaryKeys());
  } catch {
    // No room, or no store.
  }
}
