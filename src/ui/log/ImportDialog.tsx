import { App, Modal, Progress } from 'antd';
import { useState } from 'react';
import type { LogEntry } from '@/core/files';
import type { LogLine } from '@/core/files/log-csv';
import { addLogs, entryKey } from '@/data/log';
import { whyOf } from '@/data/trouble';
import { FilePicker } from '../parts/FilePicker';
import { useOnce } from '../parts/once';
import { readInParts } from '../parts/readInParts';
import { useUnits } from '../parts/InUnits';
import styles from './Log.module.css';

interface ImportDialogProps {
  readonly known: readonly LogEntry[];
  readonly onClose: () => void;
}

/** What a table would bring into the log: what will be added, what is there already, what cannot be read. */
interface Preview {
  readonly file: string;
  readonly fresh: readonly { readonly line: number; readonly entry: LogEntry }[];
  readonly already: number;
  readonly unread: readonly Extract<LogLine, { problems: readonly string[] }>[];
}

/** Most lines shown of either list. */
const SHOWN = 60;

/** A log read in from a table: nothing is added before it was looked at, and then all of it or nothing. */
export function ImportDialog({ known, onClose }: ImportDialogProps) {
  const { message } = App.useApp();
  const { units } = useUnits();
  const [preview, setPreview] = useState<Preview | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [progress, setProgress] = useState<{ readonly doing: string; readonly share: number } | null>(null);
  const look = async (file: File): Promise<void> => {
    setPreview(null);
    setTrouble(null);
    const [{ readLogCsv }, { LONGEST_TABLE }] = await Promise.all([
      import('@/core/files/log-csv'),
      import('@/core/files/csv'),
    ]);
    if (file.size > LONGEST_TABLE * 4)
      return setTrouble(`“${file.name}” has ${file.size} bytes; a log has far less. Nothing was changed.`);
    const text = await file.text();
    const reading = readLogCsv(text);
    if (!reading.ok) return setTrouble(`“${file.name}” was not taken in. ${reading.message}`);
    const lines = await readInParts(reading, (share) => setProgress({ doing: 'Reading', share }));
    setProgress(null);
    const good = lines.flatMap((line) => ('entry' in line ? [line] : []));
    const there = new Set(known.map(entryKey));
    const fresh = good.filter(({ entry }) => !there.has(entryKey(entry)));
    setPreview({
      file: file.name,
      fresh,
      already: good.length - fresh.length,
      unread: lines.flatMap((line) => ('problems' in line ? [line] : [])),
    });
  };
  const [take, busy] = useOnce(async () => {
    const entries = preview!.fresh.map(({ entry }) => entry);
    try {
      await addLogs(entries, { units }, (written) =>
        setProgress({ doing: 'Writing', share: written / entries.length }),
      );
      void message.success(`${entries.length} ${entries.length === 1 ? 'entry' : 'entries'} added.`);
      onClose();
    } catch (error) {
      setTrouble(`Nothing was added: ${whyOf(error)}.`);
    } finally {
      setProgress(null);
    }
  });
  return (
    <Modal
      open
      title="Import a log"
      width={720}
      onCancel={onClose}
      okText={preview ? `Add ${preview.fresh.length}` : 'Add'}
      okButtonProps={{ disabled: !preview || preview.fresh.length === 0, loading: busy }}
      onOk={() => take()}
      cancelText="Leave it"
    >
      <p>
        A table with one make a line, its columns named in the first: day, name, holder, width, height, and what else
        you wrote down. Lengths are millimetres unless they carry their unit.
      </p>
      <FilePicker
        label="Log as a table (CSV)"
        accept=".csv,text/csv"
        onFile={(file) =>
          void look(file).catch((error: unknown) => setTrouble(`The file could not be read: ${whyOf(error)}.`))
        }
      >
        Choose a file
      </FilePicker>
      {progress && (
        <Progress
          percent={Math.round(progress.share * 100)}
          aria-label={progress.doing}
          format={(percent) => `${progress.doing}: ${percent} %`}
        />
      )}
      {trouble && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      {preview && (
        <div aria-live="polite">
          <p>
            <strong>{preview.fresh.length}</strong> will be added
            {preview.already > 0 && (
              <>
                , <strong>{preview.already}</strong> {preview.already === 1 ? 'is' : 'are'} there already
              </>
            )}
            {preview.unread.length > 0 && (
              <>
                , <strong>{preview.unread.length}</strong> cannot be read
              </>
            )}
            .
          </p>
          {preview.fresh.length > 0 && (
            <ul className={styles.preview}>
              {preview.fresh.slice(0, SHOWN).map(({ line, entry }) => (
                <li key={line}>
                  {entry.day}, {entry.name}: {entry.construction}
                </li>
              ))}
              {preview.fresh.length > SHOWN && <li>and {preview.fresh.length - SHOWN} more</li>}
            </ul>
          )}
          {preview.unread.length > 0 && (
            <>
              <p>These lines stay out:</p>
              <ul className={styles.preview}>
                {preview.unread.slice(0, SHOWN).map(({ line, text, problems }) => (
                  <li key={line}>
                    Line {line} ({text}): {problems.join(' ')}
                  </li>
                ))}
                {preview.unread.length > SHOWN && <li>and {preview.unread.length - SHOWN} more</li>}
              </ul>
            </>
          )}
        </div>
      )}
    </Modal>
  );
}
