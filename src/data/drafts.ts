/**
 * What was typed into a form and not sent off. Each open form has a draft of its own, so that two windows do not type
 * into one; a window that was closed leaves its draft to the next that opens the form.
 */
import { db, type DraftRecord } from './db';
import { keep } from './keep';
import { newId } from './newId';

/** A draft a page has in hand. */
export interface FormDraft {
  readonly id: string;
  /** What was typed into it before; null where nothing was. */
  readonly value: unknown;
  /** Puts it down, for another page to take up. */
  readonly putDown: () => void;
}

const lockName = (id: string): string => `tuck-fold-draft-${id}`;

/** Takes a draft for this page alone; null where another page has it in hand. */
function take(id: string): Promise<(() => void) | null> {
  if (!('locks' in navigator)) return Promise.resolve(() => undefined);
  return new Promise((taken, failed) => {
    navigator.locks
      .request(lockName(id), { ifAvailable: true }, (lock) => {
        if (!lock) return void taken(null);
        return new Promise<void>((putDown) => taken(putDown));
      })
      .catch(failed);
  });
}

/** Takes up the draft of a form: the last one nobody has in hand, or a new one. */
export async function takeUpDraft(form: string): Promise<FormDraft> {
  const kept = (await db.drafts.where('id').startsWith(`${form}#`).toArray()).filter(({ value }) => value !== null);
  for (const { id, value } of kept.sort((a, b) => b.updatedAt - a.updatedAt)) {
    const putDown = await take(id);
    if (putDown) return { id, value, putDown };
  }
  const id = `${form}#${newId()}`;
  return { id, value: null, putDown: (await take(id)) ?? (() => undefined) };
}

/** Keeps what was typed, at once; null forgets it. */
export const keepDraft = (id: string, before: unknown, after: unknown): void =>
  keep('drafts', id, { value: before }, { value: after }, { id, value: before } satisfies Partial<DraftRecord>);

/** Takes away drafts in which nothing stands any more. */
export const sweepDrafts = (): Promise<number> => db.drafts.filter(({ value }) => value === null).delete();
