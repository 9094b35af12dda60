'use client';

import { CameraOutlined } from '@ant-design/icons';
import { Button, Segmented } from 'antd';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { z } from '@/core/text/zod';
import type { LogEntry } from '@/core/files';
import type { Fitted } from '@/core/fit';
import { mm } from '@/core/length';
import { whyOf } from '@/data/trouble';
import { FilePicker } from '../parts/FilePicker';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { Overtaken } from '../parts/Overtaken';
import { TextField } from '../parts/TextField';
import { useEditing } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { shrunk } from './photo';
import styles from './Log.module.css';

/** What was planned, and what the make itself knows: the rest is asked. */
type Known = Omit<LogEntry, 'fit' | 'changed' | 'note'> & Partial<Pick<LogEntry, 'fit' | 'changed' | 'note'>>;

interface FitFormProps {
  /** Names what is typed, so that it is found again: `make/…`, `log/…`. */
  readonly form: string;
  readonly known: Known;
  /** Photo kept already. */
  readonly photo?: Blob | null;
  readonly saveText: string;
  /** Null takes a photo away, undefined leaves it as it is. `base` is the entry as the form began from it. */
  readonly onSave: (entry: LogEntry, base: LogEntry, photo: Blob | null | undefined) => Promise<unknown>;
  /** Buttons beside; `leave` forgets what was typed. */
  readonly beside: (leave: () => void) => ReactNode;
}

type How = Fitted['how'];
/** Nobody said yet: nothing is taken for the answer. */
type Said = How | 'unsaid';
type Way = 'both' | 'width' | 'height';
const RIGHT: Fitted = { how: 'right', by: mm(0) };

/** What stands in the form. */
const ANSWERS = z.object({
  how: z.enum(['unsaid', 'tight', 'right', 'loose']),
  way: z.enum(['both', 'width', 'height']),
  by: z.number(),
  changed: z.string(),
  note: z.string(),
  minutes: z.number(),
  copies: z.number(),
  sheets: z.number(),
  paper: z.string(),
});
type Answers = z.output<typeof ANSWERS>;

/** What the fields are called in a sentence. */
const FIELD: Record<keyof Answers, string> = {
  how: 'the fit',
  way: 'which way:',
  by: 'off by (mm)',
  changed: 'what to change:',
  note: 'the note',
  minutes: 'minutes:',
  copies: 'copies:',
  sheets: 'sheets:',
  paper: 'the paper',
};

/** An entry as the form asks for it. */
function answersOf({ fit, changed = '', note = '', minutes, copies, sheets, paper }: Known): Answers {
  const off = fit && (fit.width.how !== 'right' ? fit.width : fit.height);
  const both = !fit || (fit.width.how !== 'right') === (fit.height.how !== 'right');
  return {
    how: off?.how ?? 'unsaid',
    way: both ? 'both' : fit.width.how !== 'right' ? 'width' : 'height',
    // Nobody measured it until somebody says so.
    by: off?.by ?? 0,
    changed,
    note,
    minutes,
    copies,
    sheets,
    paper,
  };
}

/** The entry that answers make of what is known. */
function entryOf(known: Known, { how, way, by, ...rest }: Answers): LogEntry {
  const fitted = (side: 'width' | 'height'): Fitted =>
    how === 'right' || how === 'unsaid' || (way !== 'both' && way !== side) ? RIGHT : { how, by: mm(by) };
  const { day, name, construction, contents, room } = known;
  return {
    day,
    name,
    construction,
    contents,
    room,
    ...rest,
    fit: { width: fitted('width'), height: fitted('height') },
  };
}

/** How did it fit: asked when a make ends, and again when its entry is opened. */
export function FitForm({ form, known, photo = null, saveText, onSave, beside }: FitFormProps) {
  const kept = useMemo(() => answersOf(known), [known]);
  const editing = useEditing(form, kept, ANSWERS, { told: known.fit !== undefined });
  const { value, base, set, forget } = editing;
  const [picture, setPicture] = useState<Blob | null | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | null>(null);
  const shown = picture === undefined ? photo : picture;
  const address = useObjectUrl(shown);
  const [save, busy] = useOnce(async () => {
    if (!value || !base) return;
    try {
      await onSave(entryOf(known, value), entryOf(known, base), picture);
      forget();
    } catch (error) {
      setTrouble(`It could not be written down: ${whyOf(error)}.`);
    }
  });
  if (!value) return <Waiting what="Opening the form" />;
  const { how, way, by } = value;
  const number = (label: string, part: 'copies' | 'sheets' | 'minutes', least: number, most: number) => (
    <label className={styles.number}>
      {label}
      <NumberField
        aria-label={label}
        min={least}
        max={most}
        precision={0}
        value={value[part]}
        onChange={(count) => set({ [part]: count })}
      />
    </label>
  );
  return (
    <div className={styles.form} role="group" aria-label="How it fitted">
      <Overtaken editing={editing} words={(field, there) => `${FIELD[field]} ${String(there[field])}`} />
      <fieldset>
        <legend>How did it fit?</legend>
        <Segmented<Said>
          size="large"
          aria-label="How did it fit?"
          value={how}
          options={[
            { value: 'tight', label: 'Tight' },
            { value: 'right', label: 'Just right' },
            { value: 'loose', label: 'Loose' },
          ]}
          onChange={(next) => set({ how: next })}
        />
        {how !== 'right' && how !== 'unsaid' && (
          <div className={styles.off}>
            <Segmented<Way>
              aria-label="Which way"
              value={way}
              options={[
                { value: 'both', label: 'both ways' },
                { value: 'width', label: 'in the width' },
                { value: 'height', label: 'in the height' },
              ]}
              onChange={(next) => set({ way: next })}
            />
            <LengthField
              label={how === 'tight' ? 'Too tight by about' : 'Too loose by about'}
              value={by > 0 ? by : undefined}
              least={0.1}
              most={50}
              placeholder="not measured"
              onClear={() => set({ by: 0 })}
              onChange={(length) => set({ by: length })}
            />
          </div>
        )}
      </fieldset>
      <div className={styles.numbers}>
        {number('Copies', 'copies', 1, 9999)}
        {number('Sheets used', 'sheets', 0, 9999)}
        {number('Minutes', 'minutes', 0, 100_000)}
      </div>
      <label className={styles.text}>
        Paper
        <TextField value={value.paper} maxLength={120} onChange={(paper) => set({ paper })} />
      </label>
      <label className={styles.text}>
        What I would change
        <TextField
          value={value.changed}
          maxLength={500}
          placeholder="a deeper flap, thinner glue"
          onChange={(changed) => set({ changed })}
        />
      </label>
      <label className={styles.text}>
        Note
        <TextField lines={[2, 8]} value={value.note} maxLength={2000} onChange={(note) => set({ note })} />
      </label>
      <div className={styles.photo}>
        {address && (
          // The picture is in this browser's own storage: there is nothing for an image service to do.
          // oxlint-disable-next-line nextjs/no-img-element
          <img src={address} alt="The finished thing" />
        )}
        <FilePicker
          label="Photo of the finished thing"
          accept="image/*"
          icon={<CameraOutlined />}
          onFile={(file) =>
            void shrunk(file).then(
              (small) => {
                setPicture(small);
                setTrouble(null);
              },
              (error: unknown) => setTrouble(`${whyOf(error)}.`),
            )
          }
        >
          {shown ? 'Another photo' : 'Add a photo'}
        </FilePicker>
        {shown && <Button onClick={() => setPicture(null)}>Leave it out</Button>}
      </div>
      {trouble && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      <div className={styles.buttons}>
        <Button type="primary" size="large" loading={busy} disabled={how === 'unsaid'} onClick={() => save()}>
          {saveText}
        </Button>
        {beside(forget)}
      </div>
    </div>
  );
}

/** An address for a picture that lives in memory, given up when it is no longer shown. */
export function useObjectUrl(blob: Blob | null): string | null {
  const [address, setAddress] = useState<string | null>(null);
  useEffect(() => {
    const made = blob ? URL.createObjectURL(blob) : null;
    // The address can only be made, and must be given up, outside rendering.
    // oxlint-disable-next-line react/set-state-in-effect
    setAddress(made);
    return () => {
      if (made) URL.revokeObjectURL(made);
    };
  }, [blob]);
  return address;
}
