import { App, Button } from 'antd';
import dayjs from 'dayjs';
import Link from 'next/link';
import { useState } from 'react';
import type { LogEntry } from '@/core/files';
import type { Design, Made } from '@/core/plan';
import type { MakeRecord } from '@/data/db';
import { addLog, savePhoto } from '@/data/log';
import { saveMake } from '@/data/makes';
import { FitForm } from '../log/FitForm';
import { plannedEntry } from '../log/plannedEntry';
import styles from './Make.module.css';

interface FinishedProps {
  readonly make: MakeRecord;
  readonly made: Made;
  readonly design: Design;
  readonly minutes: number;
  readonly onBack: () => void;
}

/** The make is done: how it fitted is asked while it still lies on the table. */
export function Finished({ make, made, design, minutes, onBack }: FinishedProps) {
  const { message } = App.useApp();
  const [written, setWritten] = useState<string | null>(null);
  const end = async (entry: LogEntry | null, photo: Blob | null | undefined): Promise<void> => {
    const id = entry ? await addLog(entry, { units: make.units, makeId: make.id, projectId: make.projectId }) : '';
    if (id && photo) await savePhoto(id, photo);
    await saveMake(make.id, { endedAt: Date.now() });
    setWritten(id);
  };
  const failed = (error: Error): void => void message.error(`It could not be written down: ${error.message}`);
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
      <FitForm
        known={{
          ...plannedEntry(make.name, made, design),
          day: dayjs().format('YYYY-MM-DD'),
          copies: make.copies,
          minutes: Math.max(1, minutes),
          sheets: make.copies * made.pieces.length + make.spoiled.length,
        }}
        units={make.units}
        graduation={design.graduation}
        saveText="Write it in the log"
        onSave={(entry, photo) => void end(entry, photo).catch(failed)}
      >
        <Button size="large" onClick={() => void end(null, null).catch(failed)}>
          Not now
        </Button>
        <Button size="large" onClick={onBack}>
          ‹ One step back
        </Button>
      </FitForm>
    </section>
  );
}
