/**
 * What was typed into a form and not sent off. What a screen asks has one draft, which every window that shows it types into as
 * into any record: as patches, so that neither loses what the other typed, and each sees it. A form that is sent off has a draft
 * each window, so that two papers can be written at once; a window that was closed leaves its draft to the next that opens the form.
 */
import { db, type AsideRecord, type DraftRecord } from './db';
import { allKept, keep, seenNow } from './keep';
import { newId } from './newId';

/** True while something stands in a draft that was not sent off. Older versions forgot by taking the value away. */
export const isOpenDraft = ({ value, open }: Pick<DraftRecord, 'value' | 'open'>): boolean =>
  open !== false && value !== null;

/**
 * Keeps what stands in a form, at once. Only the difference from what the person saw is kept.
 * @param empty what stands in the form where nothing was typed
 * @param saw what stood in it before this was typed; null where no draft did
 */
export function keepDraft(id: string, empty: object, saw: object | null, after: object): void {
  const seen = seenNow('drafts', id) as DraftRecord | null;
  // That it is open is said with every change: what was typed before it was heard that the form was sent off stands.
  const before = { value: saw ?? seen?.value ?? empty, open: false };
  keep('drafts', id, before, { value: after, open: true }, { id, value: empty });
}

/**
 * It was sent off, or is not wanted: the next window that opens the form finds nothing in it.
 * @param empty what stands in the form where nothing was typed: what is typed next is laid over it
 */
export function forgetDraft(id: string, empty: object): void {
  const seen = seenNow('drafts', id) as DraftRecord | null;
  if (seen && isOpenDraft(seen))
    keep('drafts', id, { value: seen.value, open: seen.open ?? true }, { value: empty, open: false });
}

/** Takes a draft for this page alone; null where another page has it in hand. */
function take(id: string): Promise<(() => void) | null> {
  if (!('locks' in navigator)) return Promise.resolve(() => undefined);
  return new Promise((taken, failed) => {
    navigator.locks
      .request(`tuck-fold-draft-${id}`, { ifAvailable: true }, (lock) => {
        if (!lock) return void taken(null);
        return new Promise<void>((putDown) => taken(putDown));
      })
      .catch(failed);
  });
}

/** A draft a page has in hand: its id, and what puts it down for another page to take up. */
export interface FormDraft {
  readonly id: string;
  readonly putDown: () => void;
}

/** Takes up a draft of a form: the last one nobody has in hand, or a new one. */
export async function takeUpDraft(form: string): Promise<FormDraft> {
  await allKept();
  const kept = (await db.drafts.where('id').startsWith(`${form}#`).toArray()).filter(isOpenDraft);
  for (const { id } of kept.sort((a, b) => b.updatedAt - a.updatedAt)) {
    const putDown = await take(id);
    if (putDown) return { id, putDown };
  }
  const id = `${form}#${newId()}`;
  return { id, putDown: (await take(id)) ?? (() => undefined) };
}

/** Takes away drafts in which nothing stands any more. */
export const sweepDrafts = (): Promise<number> => db.drafts.filter((draft) => !isOpenDraft(draft)).delete();

/** What screens ask; older versions kept a draft each window of it, as of any form. */
const ASKED = /^(envelopes|sets|choose|rescue|try|trials|test strip|begin)\b.*#/;

/** Of what an older version kept for each window the last one typed is the screen’s now; the others are set aside. */
export const gatherOlderDrafts = (): Promise<void> =>
  db.transaction('rw', db.drafts, db.aside, async () => {
    const older = await db.drafts.filter(({ id }) => ASKED.test(id)).toArray();
    for (const draft of older.sort((a, b) => b.updatedAt - a.updatedAt)) {
      const form = draft.id.slice(0, draft.id.lastIndexOf('#'));
      await db.drafts.delete(draft.id);
      if (!isOpenDraft(draft)) continue;
      if (!(await db.drafts.get(form))) await db.drafts.put({ ...draft, id: form });
      else
        await db.aside.put({
          id: `drafts/${draft.id}/${draft.updatedAt}`,
          table: 'drafts',
          record: draft,
          why: 'It was typed in another window, and what was typed later stands there.',
          at: Date.now(),
        } satisfies AsideRecord);
    }
  });
