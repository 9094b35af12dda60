import { Button } from 'antd';
import dayjs from 'dayjs';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { LogEntry } from '@/core/files';
import { whenDone, type Design, type Made } from '@/core/plan';
import type { MakeRecord } from '@/data/db';
import { endMake } from '@/data/log';
import { StepPicture } from '../bench/StepPicture';
import { FitForm } from '../log/FitForm';
import { plannedEntry } from '../log/plannedEntry';
import { OnceButton } from '../parts/once';
import { useTell } from '../parts/useTell';
import styles from './Make.module.css';

interface FinishedProps {
  readonly make: MakeRecord;
  readonly made: Made;
  readonly design: Design;
  readonly minutes: number;
  readonly onBack: () => void;
}

/** Side of the picture of what was made, px. */
const PICTURE = 200;

/** The make is done: how it fitted is asked while it still lies on the table. */
export function Finished({ make, made, design, minutes, onBack }: FinishedProps) {
  const { failed } = useTell();
  const [written, setWritten] = useState<string | null>(null);
  const end = async (entry: LogEntry | null, photo: Blob | null | undefined): Promise<void> =>
    setWritten(await endMake(make, entry, photo));
  const known = useMemo(
    () => ({
      ...plannedEntry(make.name, made, design, make.units),
      day: dayjs().format('YYYY-MM-DD'),
      copies: make.copies,
      minutes: Math.max(1, minutes),
      sheets: make.copies * made.pieces.length + make.spoiled.length,
    }),
    [make, made, design, minutes],
  );
  if (written !== null)
    return (
      <section className={styles.finished}>
        <h1>{written ? 'Written down' : 'Done'}</h1>
        <p className={styles.text}>
          {written && (
            <>
              <Link href={`/log?e=${written}`}>See it in the log</Link> ·{' '}
            </>
          )}
          <Link href="/">To the shelf</Link> · <Link href={`/bench?p=${make.projectId}`}>Back to the bench</Link>
        </p>
      </section>
    );
  return (
    <section className={styles.finished}>
      <h1>{make.copies > 1 ? `All ${make.copies} made` : 'Made'}</h1>
      <StepPicture picture={whenDone(made, 'whole')} made={made} design={design} size={PICTURE} />
      <FitForm
        form={`make/${make.id}`}
        known={known}
        saveText="Write it in the log"
        onSave={(entry, _, photo) => end(entry, photo)}
        beside={(leave) => (
          <>
            <OnceButton size="large" onPress={() => end(null, null).then(leave).catch(failed('It could not be ended'))}>
              Not now
            </OnceButton>
            <Button size="large" onClick={onBack}>
              ‹ One step back
            </Button>
          </>
        )}
      />
    </section>
  );
}
