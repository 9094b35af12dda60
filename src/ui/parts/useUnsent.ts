import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { z } from '@/core/text/zod';
import { keepDraft, takeUpDraft, type FormDraft } from '@/data/drafts';
import { allKept, reportTrouble } from '@/data/keep';
import { fieldsIn, patchBetween, patched, same } from '@/data/patch';
import { troubleOf } from '@/data/trouble';

/** A form whose contents survive until they are sent off. */
export interface Unsent<T> {
  /** What stands in the form; null until it is known whether something was typed before. */
  readonly value: T | null;
  readonly set: (part: Partial<T> | ((now: T) => Partial<T>)) => void;
  /** True when it was typed before this page was loaded. */
  readonly restored: boolean;
  /** It was sent off, or is not wanted: what stands in the form is forgotten, and it begins anew, or from there. */
  readonly forget: (from?: T) => void;
}

/**
 * Keeps what is typed into a form, so that a reload, a crash or a closed window loses none of it. `form` names it, `shape`
 * says what a kept draft must be to be taken up again.
 */
export function useUnsent<T extends object>(form: string, initial: T, shape: z.ZodType<T>): Unsent<T> {
  const [state, setState] = useState<{ readonly value: T; readonly restored: boolean } | null>(null);
  const draft = useRef<FormDraft | null>(null);
  const latest = useRef<T>(initial);
  /** What the draft holds as it is kept; null for nothing. */
  const kept = useRef<unknown>(null);
  const touched = useRef(false);
  const first = useRef({ initial, shape });
  useEffect(() => {
    let gone = false;
    const begin = (value: T, restored: boolean): void => {
      // Typed before it was known what had been typed: that stands.
      if (touched.current) return;
      latest.current = value;
      setState({ value, restored });
    };
    allKept()
      .then(() => takeUpDraft(form))
      .then(
        (taken) => {
          if (gone) return taken.putDown();
          draft.current = taken;
          kept.current = taken.value;
          // Typed before it was known where to keep it.
          if (touched.current) keepDraft(taken.id, taken.value, latest.current);
          if (touched.current) kept.current = latest.current;
          const read = first.current.shape.safeParse(taken.value);
          begin(read.success ? read.data : first.current.initial, read.success);
        },
        (error: unknown) => {
          reportTrouble(troubleOf(error));
          if (!gone) begin(first.current.initial, false);
        },
      );
    return () => {
      gone = true;
      draft.current?.putDown();
      draft.current = null;
    };
  }, [form]);
  const set = useCallback<Unsent<T>['set']>((part) => {
    const before = latest.current;
    const after = { ...before, ...(typeof part === 'function' ? part(before) : part) };
    latest.current = after;
    touched.current = true;
    if (draft.current) keepDraft(draft.current.id, kept.current, after);
    kept.current = after;
    setState((now) => ({ value: after, restored: now?.restored ?? false }));
  }, []);
  const forget = useCallback((from: T = first.current.initial): void => {
    latest.current = from;
    setState({ value: from, restored: false });
    if (draft.current && kept.current !== null) keepDraft(draft.current.id, kept.current, null);
    kept.current = null;
  }, []);
  return { value: state?.value ?? null, set, restored: state?.restored ?? false, forget };
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
      forget({ base: kept, value: kept });
    }, [forget, kept]),
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
