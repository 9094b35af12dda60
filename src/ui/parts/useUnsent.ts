import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { z } from '@/core/text/zod';
import type { DraftRecord } from '@/data/db';
import { forgetDraft, isOpenDraft, keepDraft, takeUpDraft, type FormDraft } from '@/data/drafts';
import { followRecord, reportTrouble } from '@/data/keep';
import { troubleOf } from '@/data/trouble';
import { fieldsIn, patchBetween, patched, same } from '@/data/patch';

/** A form whose contents survive until they are sent off. */
export interface Unsent<T> {
  /** What stands in the form; null until it is known whether something was typed before. */
  readonly value: T | null;
  readonly set: (part: Partial<T> | ((now: T) => Partial<T>)) => void;
  /** True when it was typed before this page was loaded. */
  readonly restored: boolean;
  /** It was sent off, or is not wanted: what stands in the form is forgotten, and it begins anew. */
  readonly forget: () => void;
}

/**
 * Keeps what is typed into a form that is sent off, so that a reload, a crash or a closed window loses none of it. Each window
 * has a draft of its own. `form` names it, `empty` is what stands in it where nothing was typed, `shape` says what a kept draft
 * must be to be taken up again.
 */
export function useUnsent<T extends object>(form: string, empty: T, shape: z.ZodType<T>): Unsent<T> {
  const [mine, setMine] = useState<{ readonly form: string; readonly id: string } | null>(null);
  useEffect(() => {
    let gone = false;
    let draft: FormDraft | null = null;
    takeUpDraft(form).then(
      (taken) => {
        if (gone) return taken.putDown();
        draft = taken;
        setMine({ form, id: taken.id });
      },
      // Where drafts cannot be read it is still a form.
      (error: unknown) => {
        reportTrouble(troubleOf(error));
        if (!gone) setMine({ form, id: form });
      },
    );
    return () => {
      gone = true;
      draft?.putDown();
    };
  }, [form]);
  return useDraft(mine?.form === form ? mine.id : null, empty, shape);
}

/** Keeps what a screen asks, the same way: windows that show it type into one draft, and each sees what the other typed. */
export const useAsked = <T extends object>(screen: string, empty: T, shape: z.ZodType<T>): Unsent<T> =>
  useDraft(screen, empty, shape);

/** A form over a draft; null while it is not known which one. */
function useDraft<T extends object>(form: string | null, empty: T, shape: z.ZodType<T>): Unsent<T> {
  const [seen, setSeen] = useState<{ readonly form: string; readonly record: DraftRecord | null } | null>(null);
  /** What stands in the form where no draft is seen: typed before it was read, or where nothing can be read. */
  const [own, setOwn] = useState<{ readonly form: string | null; readonly value: T } | null>(null);
  const [found, setFound] = useState<string | null>(null);
  const latest = useRef<{ readonly value: T; readonly empty: T; readonly early: T | null; readonly open: boolean }>({
    value: empty,
    empty,
    early: null,
    open: false,
  });
  useEffect(() => {
    if (form === null) return;
    // Typed before it was known where to keep it.
    const { early } = latest.current;
    if (early) {
      keepDraft(form, latest.current.empty, latest.current.empty, early);
      setOwn({ form, value: early });
    }
    let first = true;
    const show = (record: DraftRecord | null): void => {
      const open = record !== null && isOpenDraft(record);
      if (first && open && !early) setFound(form);
      first = false;
      // What was typed here is in the draft by now, and goes with it when another window sends it off.
      if (open) setOwn(null);
      setSeen({ form, record });
    };
    return followRecord<DraftRecord>('drafts', form, show, (trouble) => {
      reportTrouble(trouble);
      show(null);
    });
  }, [form]);
  const read = form !== null && seen?.form === form;
  const draft = read && seen.record && isOpenDraft(seen.record) ? shape.safeParse(seen.record.value) : null;
  const mine = own?.form === form ? own.value : null;
  const now = !read ? mine : draft?.success ? draft.data : (mine ?? empty);
  // What says the same is the same: what follows from it is then worked out once.
  const [steady, setSteady] = useState(now);
  const value = same(steady, now) ? steady : now;
  if (value !== steady) setSteady(value);
  useEffect(() => {
    latest.current = {
      value: value ?? empty,
      empty,
      early: form === null ? latest.current.early : null,
      open: draft?.success === true,
    };
  });
  const set = useCallback<Unsent<T>['set']>(
    (part) => {
      const before = latest.current.value;
      const after = { ...before, ...(typeof part === 'function' ? part(before) : part) };
      latest.current = { ...latest.current, value: after, early: form === null ? after : null };
      setOwn({ form, value: after });
      if (form !== null) keepDraft(form, latest.current.empty, latest.current.open ? before : null, after);
      // From now on it is the draft that is typed into.
      latest.current = { ...latest.current, open: form !== null };
    },
    [form],
  );
  const forget = useCallback((): void => {
    latest.current = { ...latest.current, value: latest.current.empty, early: null, open: false };
    setFound(null);
    setOwn(null);
    if (form !== null) forgetDraft(form, latest.current.empty);
  }, [form]);
  return { value, set, restored: found === form && draft?.success === true, forget };
}

/** A form over a record that may change meanwhile, in another window. */
export interface Editing<T> extends Pick<Unsent<T>, 'value' | 'set' | 'restored'> {
  /** The record that what stands in the form was laid over last; null until the form is there. */
  readonly base: T | null;
  /** What changed elsewhere while the form was open; null while nothing did. Both are kept. */
  readonly overtaken: { readonly fields: readonly (keyof T & string)[]; readonly theirs: T } | null;
  /** Takes what stands elsewhere in place of what was typed here. */
  readonly takeTheirs: () => void;
  readonly forget: () => void;
}

/**
 * A form that changes a record. What changed in the record meanwhile is laid under what was typed, and told; where both
 * changed the same, what was typed stays in the form until the person decides. It is not `told` where the form stands
 * over something that moves by itself, as a clock does.
 */
export function useEditing<T extends object>(
  form: string,
  kept: T,
  shape: z.ZodType<T>,
  { told = true }: { readonly told?: boolean } = {},
): Editing<T> {
  const both = useMemo(() => z.object({ base: shape, value: shape }) as unknown as z.ZodType<Both<T>>, [shape]);
  const unsent = useUnsent<Both<T>>(form, { base: kept, value: kept }, both);
  const [overtaken, setOvertaken] = useState<Editing<T>['overtaken']>(null);
  const { value: now, set, forget } = unsent;
  useEffect(() => {
    if (!now) return;
    const theirs = patchBetween(now.base, kept);
    if (theirs.length === 0) return;
    const value = patched(kept, patchBetween(now.base, now.value));
    const changed = fieldsIn(theirs);
    // What this form itself sent off comes back as the record: that is no news.
    const news = (Object.keys(kept) as (keyof T & string)[]).filter(
      (field) => changed.has(field) && !same(kept[field], now.value[field]),
    );
    // The record outside the form moved on, and the form with it.
    set({ base: kept, value });
    // oxlint-disable-next-line react/set-state-in-effect
    if (told && news.length > 0) setOvertaken({ fields: news, theirs: kept });
  }, [kept, now, set, told]);
  return {
    value: now?.value ?? null,
    base: now?.base ?? null,
    restored: unsent.restored,
    overtaken,
    set: useCallback(
      (part) => set(({ value }) => ({ value: { ...value, ...(typeof part === 'function' ? part(value) : part) } })),
      [set],
    ),
    forget: useCallback(() => {
      setOvertaken(null);
      forget();
    }, [forget]),
    takeTheirs: useCallback(() => {
      if (!overtaken) return;
      const { fields, theirs } = overtaken;
      set(({ value }) => ({
        value: { ...value, ...Object.fromEntries(fields.map((field) => [field, theirs[field]])) },
      }));
      setOvertaken(null);
    }, [overtaken, set]),
  };
}

/** What stands in a form, and the record it was laid over. */
interface Both<T> {
  readonly base: T;
  readonly value: T;
}
