'use client';

import { CameraOutlined } from '@ant-design/icons';
import { Button, Input, InputNumber, Segmented } from 'antd';
import { useEffect, useState, type ReactNode } from 'react';
import type { LogEntry } from '@/core/files';
import type { Fitted } from '@/core/fit';
import { INCH, mm, type Graduation, type Units } from '@/core/length';
import { FilePicker } from '../parts/FilePicker';
import { LengthField } from '../parts/LengthField';
import { shrunk } from './photo';
import styles from './Log.module.css';

/** What was planned, and what the make itself knows: the rest is asked. */
type Known = Omit<LogEntry, 'fit' | 'changed' | 'note'> & Partial<Pick<LogEntry, 'fit' | 'changed' | 'note'>>;

interface FitFormProps {
  readonly known: Known;
  readonly units: Units;
  readonly graduation: Graduation;
  /** Photo kept already. */
  readonly photo?: Blob | null;
  readonly saveText: string;
  /** Null takes a photo away, undefined leaves it as it is. */
  readonly onSave: (entry: LogEntry, photo: Blob | null | undefined) => void;
  readonly children?: ReactNode;
}

type How = Fitted['how'];
type Way = 'both' | 'width' | 'height';
const RIGHT: Fitted = { how: 'right', by: mm(0) };

/** How did it fit: asked when a make ends, and again when its entry is opened. */
export function FitForm({ known, units, graduation, photo = null, saveText, onSave, children }: FitFormProps) {
  const was = known.fit;
  const off = was && (was.width.how !== 'right' ? was.width : was.height);
  const [how, setHow] = useState<How>(off?.how ?? 'right');
  const [way, setWay] = useState<Way>(
    !was || (was.width.how !== 'right') === (was.height.how !== 'right')
      ? 'both'
      : was.width.how !== 'right'
        ? 'width'
        : 'height',
  );
  const [by, setBy] = useState<number>(off && off.by > 0 ? off.by : units === 'in' ? INCH / 16 : 2);
  const [rest, setRest] = useState({
    changed: known.changed ?? '',
    note: known.note ?? '',
    minutes: known.minutes,
    copies: known.copies,
    sheets: known.sheets,
    paper: known.paper,
  });
  const [picture, setPicture] = useState<Blob | null | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | null>(null);
  const shown = picture === undefined ? photo : picture;
  const address = useObjectUrl(shown);
  const set = (part: Partial<typeof rest>): void => setRest((now) => ({ ...now, ...part }));
  const fitted = (side: 'width' | 'height'): Fitted =>
    how === 'right' || (way !== 'both' && way !== side) ? RIGHT : { how, by: mm(by) };
  const save = (): void =>
    onSave({ ...known, ...rest, fit: { width: fitted('width'), height: fitted('height') } }, picture);
  const number = (label: string, part: 'copies' | 'sheets' | 'minutes', least: number, most: number) => (
    <label className={styles.number}>
      {label}
      <InputNumber
        min={least}
        max={most}
        value={rest[part]}
        onChange={(value) => set({ [part]: value === null ? least : Math.round(value) })}
      />
    </label>
  );
  return (
    <div className={styles.form} role="group" aria-label="How it fitted">
      <fieldset>
        <legend>How did it fit?</legend>
        <Segmented<How>
          size="large"
          aria-label="How did it fit?"
          value={how}
          options={[
            { value: 'tight', label: 'Tight' },
            { value: 'right', label: 'Just right' },
            { value: 'loose', label: 'Loose' },
          ]}
          onChange={setHow}
        />
        {how !== 'right' && (
          <div className={styles.off}>
            <Segmented<Way>
              aria-label="Which way"
              value={way}
              options={[
                { value: 'both', label: 'both ways' },
                { value: 'width', label: 'in the width' },
                { value: 'height', label: 'in the height' },
              ]}
              onChange={setWay}
            />
            <LengthField
              label={how === 'tight' ? 'Too tight by about' : 'Too loose by about'}
              units={units}
              graduation={graduation}
              value={by}
              least={0.1}
              most={50}
              onChange={setBy}
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
        <Input value={rest.paper} maxLength={120} onChange={(event) => set({ paper: event.target.value })} />
      </label>
      <label className={styles.text}>
        What I would change
        <Input
          value={rest.changed}
          maxLength={500}
          placeholder="a deeper flap, thinner glue"
          onChange={(event) => set({ changed: event.target.value })}
        />
      </label>
      <label className={styles.text}>
        Note
        <Input.TextArea
          value={rest.note}
          maxLength={2000}
          autoSize={{ minRows: 2, maxRows: 8 }}
          onChange={(event) => set({ note: event.target.value })}
        />
      </label>
      <div className={styles.photo}>
        {address && (
          // The picture is in this browser's own storage: there is nothing for an image service to do.
          // eslint-disable-next-line @next/next/no-img-element
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
              (error: Error) => setTrouble(error.message),
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
        <Button type="primary" size="large" onClick={save}>
          {saveText}
        </Button>
        {children}
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
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setAddress(made);
    return () => {
      if (made) URL.revokeObjectURL(made);
    };
  }, [blob]);
  return address;
}
