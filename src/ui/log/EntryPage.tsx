import { Button } from 'antd';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { LogEntry } from '@/core/files';
import type { LogRecord, Photo, Project } from '@/data/db';
import { dropLog, dropPhoto, keepLog, putBackLog, savePhoto } from '@/data/log';
import { Figure } from '../parts/Figure';
import { useRecord } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { FitForm, useObjectUrl } from './FitForm';
import { fitWords, titleOf } from './fitWords';
import styles from './Log.module.css';

/** One make as it is remembered: to read, to print, to change. */
export function EntryPage({ entry }: { readonly entry: LogRecord }) {
  const { failed, undoable } = useTell();
  const router = useRouter();
  const [editing, setEditing] = useState(false);
  const { id } = entry;
  const photo = useRecord<Photo>('photos', id)?.image ?? null;
  const address = useObjectUrl(photo);
  const project = useRecord<Project>('projects', entry.projectId);
  const figure = (value: number, unit = true) => <Figure value={value} unit={unit} />;
  const save = async (next: LogEntry, base: LogEntry, picture: Blob | null | undefined): Promise<void> => {
    keepLog(id, base, next);
    if (picture) await savePhoto(id, picture);
    if (picture === null) await dropPhoto(id);
    setEditing(false);
  };
  const remove = async (): Promise<void> => {
    await dropLog(id);
    router.push('/log');
    undoable({ key: id, done: `“${entry.name}” is out of the log`, back: () => putBackLog(id) });
  };
  return (
    <main className={styles.log}>
      <p className={styles.noPrint}>
        <Link href="/log">‹ All entries</Link>
      </p>
      <div className={styles.head}>
        <h1>{entry.name}</h1>
        {!editing && (
          <>
            <Button className={styles.noPrint} onClick={() => setEditing(true)}>
              Change
            </Button>
            <Button className={styles.noPrint} onClick={() => window.print()}>
              Print
            </Button>
            <Button className={styles.noPrint} onClick={() => void remove().catch(failed('It could not be taken out'))}>
              Take out of the log
            </Button>
          </>
        )}
      </div>
      <div className={styles.card}>
        {editing ? (
          <FitForm
            form={`log/${id}`}
            known={entry}
            photo={photo}
            saveText="Keep the changes"
            onSave={save}
            beside={(leave) => (
              <Button
                size="large"
                onClick={() => {
                  leave();
                  setEditing(false);
                }}
              >
                Leave it as it was
              </Button>
            )}
          />
        ) : (
          <>
            {address && (
              // oxlint-disable-next-line nextjs/no-img-element -- it lives in this browser: nothing to optimise
              <img src={address} alt={`${entry.name}, finished`} className={styles.entryPhoto} />
            )}
            <dl className={styles.facts}>
              <Fact title="Made on">{entry.day}</Fact>
              <Fact title="Holder">{titleOf(entry.construction)}</Fact>
              <Fact title="For">
                {figure(entry.contents.width, false)} × {figure(entry.contents.height)}
                {entry.contents.thickness > 0 && <> × {figure(entry.contents.thickness)}</>}
              </Fact>
              <Fact title="Room the plan left">
                {entry.room ? (
                  <>
                    {figure(entry.room.width, false)} × {figure(entry.room.height)}
                  </>
                ) : (
                  'not written down'
                )}
              </Fact>
              <Fact title="How it fitted">{fitWords(entry)}</Fact>
              <Fact title="Copies">{entry.copies}</Fact>
              <Fact title="Minutes">
                {entry.minutes}
                {entry.copies > 1 && ` (${Math.round((entry.minutes / entry.copies) * 10) / 10} each)`}
              </Fact>
              <Fact title="Sheets">{entry.sheets}</Fact>
              {entry.paper && <Fact title="Paper">{entry.paper}</Fact>}
              {entry.changed && <Fact title="To change">{entry.changed}</Fact>}
            </dl>
            {entry.note && <p>{entry.note}</p>}
            {project && project.deletedAt === 0 && (
              <p className={styles.noPrint}>
                <Link href={`/bench?p=${encodeURIComponent(project.id)}`}>The project on the bench</Link>
              </p>
            )}
          </>
        )}
      </div>
    </main>
  );
}

const Fact = ({ title, children }: { readonly title: string; readonly children: React.ReactNode }) => (
  <div>
    <dt>{title}</dt>
    <dd>{children}</dd>
  </div>
);
