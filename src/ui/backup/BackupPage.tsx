'use client';

import { DownloadOutlined } from '@ant-design/icons';
import { Alert, Button, Segmented } from 'antd';
import dayjs from 'dayjs';
import { liveQuery } from 'dexie';
import { useEffect, useState } from 'react';
import { allAside, forgetAside } from '@/data/aside';
import {
  askToPersist,
  lastRestore,
  previewRestore,
  restore,
  takeBackRestore,
  whatIsKept,
  type Kept,
  type Prefer,
  type RestorePreview,
} from '@/data/backup';
import { DATA_VERSION, type AsideRecord, type KeptTable, type RestoreRecord } from '@/data/db';
import { reportTrouble } from '@/data/keep';
import { recordName } from '@/data/records';
import type { BackupSetting } from '@/data/setting-kinds';
import { troubleOf } from '@/data/trouble';
import { Boundary } from '../parts/Boundary';
import { download, fileName } from '../parts/download';
import { FilePicker } from '../parts/FilePicker';
import { OnceButton } from '../parts/once';
import { Link } from '../parts/Link';
import { Opened } from '../parts/Opened';
import { useTell } from '../parts/useTell';
import { Waiting } from '../parts/Waiting';
import { useBackup } from './useBackup';
import { unpacked } from './zipping';
import styles from './Backup.module.css';

/** Everything that is kept here: how much, how safe, as one file, and back from it. */
export function BackupPage() {
  return (
    <main className={styles.page}>
      <h1>Backup</h1>
      <p className={styles.lead}>
        What you make is kept in this browser and nowhere else. A backup is one file with all of it: projects, makes,
        log and photos, papers, tools, the bin. Keep it where you keep things that matter.
      </p>
      <Opened what="Counting what is kept" whole={false}>
        <div className={styles.columns}>
          <SaveIt />
          <BringBack />
        </div>
        <PutAside />
      </Opened>
      <p className={styles.made}>
        <Link href="/licences">What Tuck Fold is made of, and under which terms</Link>
      </p>
    </main>
  );
}

/** Follows what a query of the database gives. */
function useLive<T>(query: () => Promise<T>): T | null {
  const [value, setValue] = useState<T | null>(null);
  useEffect(() => {
    const following = liveQuery(query).subscribe({
      next: setValue,
      error: (error: unknown) => reportTrouble(troubleOf(error)),
    });
    return () => following.unsubscribe();
  }, [query]);
  return value;
}

const WORDS: readonly (readonly [table: KeptTable, one: string, many: string])[] = [
  ['projects', 'project', 'projects'],
  ['makes', 'make', 'makes'],
  ['log', 'log entry', 'log entries'],
  ['photos', 'photo', 'photos'],
  ['papers', 'paper or offcut', 'papers and offcuts'],
  ['cuts', 'cutting', 'cuttings'],
];

/** Bytes as one says them. */
function megabytes(bytes: number): string {
  if (bytes < 1e6) return `${Math.max(1, Math.round(bytes / 1e3))} kB`;
  return bytes < 1e9 ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;
}

const REMIND: readonly { readonly value: BackupSetting['every']; readonly label: string }[] = [
  { value: 'week', label: 'weekly' },
  { value: 'month', label: 'monthly' },
  { value: 'quarter', label: 'quarterly' },
  { value: 'never', label: 'never' },
];

function SaveIt() {
  const { setting, save, busy, remind } = useBackup();
  const kept = useLive(whatIsKept);
  const [promised, setPromised] = useState<boolean | null>(null);
  if (!kept || !setting) return <Waiting what="Counting what is kept" />;
  const { counts } = kept;
  return (
    <section className={styles.card} aria-label="What is kept here">
      <h2>What is kept here</h2>
      <ul className={styles.counts}>
        {WORDS.map(([table, one, many]) => (
          <li key={table}>
            <strong>{counts[table] ?? 0}</strong> {counts[table] === 1 ? one : many}
          </li>
        ))}
      </ul>
      <HowSafe kept={kept} promised={promised} onAsk={() => askToPersist().then(setPromised)} />
      <p className={styles.last}>
        {setting.lastAt > 0
          ? `Last saved as a file on ${dayjs(setting.lastAt).format('D MMM YYYY, HH:mm')}.`
          : 'Never saved as a file yet.'}
      </p>
      <Button type="primary" size="large" icon={<DownloadOutlined />} loading={busy} onClick={() => save()}>
        Save a backup
      </Button>
      <div className={styles.remind}>
        <span id="remind">Remind me</span>
        <Segmented aria-labelledby="remind" value={setting.every} options={[...REMIND]} onChange={remind} />
      </div>
    </section>
  );
}

/** How much room it takes, and whether the browser may clear it by itself. */
function HowSafe({
  kept: { bytes, persisted },
  promised,
  onAsk,
}: {
  readonly kept: Kept;
  readonly promised: boolean | null;
  readonly onAsk: () => Promise<void>;
}) {
  const safe = promised ?? persisted;
  return (
    <div className={styles.promise}>
      {bytes && (
        <p>
          It takes {megabytes(bytes.used)} of the {megabytes(bytes.most)} this browser allows.
        </p>
      )}
      {safe === true && <p>The browser keeps it until you clear it yourself.</p>}
      {safe === false && (
        <>
          <p>
            {promised === false
              ? 'The browser does not promise it: use the app more often, or install it, and ask again. Until then a backup is all the safer.'
              : 'When the disk is full, the browser may clear it by itself.'}
          </p>
          <OnceButton onPress={onAsk}>Ask the browser to keep it</OnceButton>
        </>
      )}
      {safe === null && <p>This browser does not tell whether it may clear it by itself.</p>}
    </div>
  );
}

interface Chosen {
  readonly name: string;
  readonly writtenAt: number;
  readonly preview: RestorePreview;
}

const PREFER: readonly { readonly value: Prefer; readonly label: string }[] = [
  { value: 'later', label: 'the later of both' },
  { value: 'here', label: 'what is here' },
  { value: 'backup', label: 'what is in the backup' },
];

function BringBack() {
  const { failed } = useTell();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [prefer, setPrefer] = useState<Prefer>('later');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [reading, setReading] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const last = useLive(lastRestore);
  const look = async (file: File): Promise<void> => {
    setChosen(null);
    setTrouble(null);
    setSaid(null);
    setReading(true);
    try {
      const { LARGEST_BACKUP } = await import('@/core/files/backup');
      if (file.size > LARGEST_BACKUP)
        return setTrouble(
          `“${file.name}” was not taken in. It has ${megabytes(file.size)}, and a backup has at most ${megabytes(LARGEST_BACKUP)}.`,
        );
      const read = await unpacked(new Uint8Array(await file.arrayBuffer()));
      if (!read.ok) return setTrouble(`“${file.name}” was not taken in. ${read.message}`);
      const { backup } = read;
      if (backup.dataVersion > DATA_VERSION)
        return setTrouble(
          `“${file.name}” was written by a newer version of Tuck Fold. Load the page again to get that version; nothing was changed.`,
        );
      setChosen({ name: file.name, writtenAt: backup.writtenAt, preview: await previewRestore(backup) });
    } finally {
      setReading(false);
    }
  };
  const bring = async ({ name, preview }: Chosen): Promise<void> => {
    const { before } = await restore(name, preview, prefer);
    setChosen(null);
    const news = before.length - preview.untouched.length;
    setSaid(`${news} ${news === 1 ? 'thing was' : 'things were'} brought back.`);
  };
  const back = async (record: RestoreRecord): Promise<void> => {
    const stayed = await takeBackRestore(record);
    setSaid(
      stayed > 0
        ? `Taken back. ${stayed} ${stayed === 1 ? 'thing was' : 'things were'} changed since, and stay as they are.`
        : 'Taken back: everything is as it was before.',
    );
  };
  return (
    <section className={styles.card} aria-label="Bring it back">
      <h2>Bring it back</h2>
      <p>A backup is laid over what is here: what is missing is added, nothing is thrown away.</p>
      <FilePicker
        label="Backup file"
        accept=".zip,application/zip"
        onFile={(file) => void look(file).catch(failed('The file could not be read'))}
      >
        Choose a backup
      </FilePicker>
      {reading && <Waiting what="Reading the backup" />}
      {trouble && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      {chosen && (
        <Boundary what="What the backup would bring" of={chosen}>
          <Preview chosen={chosen} prefer={prefer} onPrefer={setPrefer} />
          <span className={styles.buttons}>
            <OnceButton
              type="primary"
              disabled={nothingIn(chosen.preview, prefer)}
              onPress={() => bring(chosen).catch(failed('Nothing was brought back'))}
            >
              Bring it back
            </OnceButton>
            <Button onClick={() => setChosen(null)}>Leave it</Button>
          </span>
        </Boundary>
      )}
      {said && <Alert type="success" showIcon title={said} />}
      {last && !chosen && (
        <div className={styles.last}>
          <p>
            Last brought back: “{last.name}”, {dayjs(last.at).format('D MMM YYYY, HH:mm')}.
          </p>
          <OnceButton onPress={() => back(last).catch(failed('It could not be taken back'))}>Take that back</OnceButton>
        </div>
      )}
    </section>
  );
}

const takenOver = ({ differing }: RestorePreview, prefer: Prefer): number =>
  prefer === 'here' ? 0 : differing.filter(({ later }) => prefer === 'backup' || later === 'backup').length;
const nothingIn = (preview: RestorePreview, prefer: Prefer): boolean =>
  preview.added.length + preview.unreadable.length + takenOver(preview, prefer) === 0;

/** Names shown of either kind. */
const SHOWN = 8;

function Preview({
  chosen: { name, writtenAt, preview },
  prefer,
  onPrefer,
}: {
  readonly chosen: Chosen;
  readonly prefer: Prefer;
  readonly onPrefer: (prefer: Prefer) => void;
}) {
  const { added, differing, equal, unreadable, unknown } = preview;
  const names = (all: readonly { readonly table: KeptTable; readonly theirs: object }[]) => (
    <ul className={styles.names}>
      {all.slice(0, SHOWN).map(({ table, theirs }, i) => (
        <li key={i}>{recordName(table, theirs)}</li>
      ))}
      {all.length > SHOWN && <li>and {all.length - SHOWN} more</li>}
    </ul>
  );
  return (
    <div aria-live="polite" className={styles.preview}>
      <p>
        “{name}”, written on {dayjs(writtenAt).format('D MMM YYYY, HH:mm')}:
      </p>
      <p>
        <strong>{added.length}</strong> will be added, <strong>{equal}</strong> are here just the same
        {differing.length > 0 && (
          <>
            , <strong>{differing.length}</strong> {differing.length === 1 ? 'is' : 'are'} different here
          </>
        )}
        {unreadable.length > 0 && (
          <>
            , <strong>{unreadable.length}</strong> cannot be read and will be set aside
          </>
        )}
        .
      </p>
      {unknown.length > 0 && (
        <p>
          This version does not know what {unknown.map(({ table, count }) => `“${table}” (${count})`).join(', ')}{' '}
          {unknown.length === 1 ? 'is' : 'are'}: that stays in the file.
        </p>
      )}
      {added.length > 0 && names(added)}
      {differing.length > 0 && (
        <>
          <p id="prefer">Where both differ, keep</p>
          <Segmented aria-labelledby="prefer" value={prefer} options={[...PREFER]} onChange={onPrefer} />
          <p>
            {takenOver(preview, prefer) === 0
              ? 'What is here stays.'
              : `${takenOver(preview, prefer)} of them will be as they are in the backup.`}
          </p>
          {names(differing)}
        </>
      )}
    </div>
  );
}

/** What was set aside because it could not be read: to be saved as it is, or forgotten. */
function PutAside() {
  const { failed } = useTell();
  const aside = useLive(allAside);
  if (!aside || aside.length === 0) return null;
  const title = ({ table, record }: AsideRecord): string => recordName(table, record);
  return (
    <section className={styles.card} aria-label="Set aside">
      <h2>Set aside</h2>
      <p>These could not be read. They are kept as they are; save them if somebody may make something of them.</p>
      <ul className={styles.aside}>
        {aside.map((one) => (
          <li key={one.id}>
            <span>
              {title(one)} <small>{one.why}</small>
            </span>
            <span className={styles.buttons}>
              <Button
                onClick={() =>
                  download(
                    fileName(`set aside ${title(one)}`, 'json'),
                    'application/json',
                    JSON.stringify(one.record, null, 2),
                  )
                }
              >
                Save it as a file
              </Button>
              <OnceButton onPress={() => forgetAside(one.id).catch(failed('It could not be forgotten'))}>
                Forget it
              </OnceButton>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
